import { del, get, set } from 'idb-keyval';

/** What was typed and not saved yet, with the ids that a retry sends again. Kept on this device. */
export interface Draft {
  readonly ids: Readonly<Record<string, string>>;
  readonly values: Readonly<Record<string, unknown>>;
}

const keyOf = (name: string): string => `draft/${name}`;

/** A browser without a database forgets drafts; the form still works. */
async function orNothing<T>(wanted: Promise<T>): Promise<T | undefined> {
  try {
    return await wanted;
  } catch {
    return undefined;
  }
}

export const loadDraft = (name: string): Promise<Draft | undefined> => orNothing(get<Draft>(keyOf(name)));
export const saveDraft = (name: string, draft: Draft): Promise<void> => orNothing(set(keyOf(name), draft));
export const dropDraft = (name: string): Promise<void> => orNothing(del(keyOf(name)));
