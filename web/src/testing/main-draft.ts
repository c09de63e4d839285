import type { EntryKind } from '@winter-jar/core';
import type { EntryDraft, FormAnswer } from '../entry/deed.js';

/** A form's answer with its main entry laid open, as tests ask for it. */
export const mainDraft = <K extends EntryKind>(
  answer: FormAnswer<K>,
): (EntryDraft<K> & { readonly ok: true }) | Extract<FormAnswer<K>, { ok: false }> =>
  answer.ok ? { ...answer.deed.main, ok: true } : answer;
