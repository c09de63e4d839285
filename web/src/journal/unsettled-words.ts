import type { FieldIssue, UnsettledLine } from '@winter-jar/contracts';
import type { Correction } from '@winter-jar/core';
import { issueWords } from '../words/issue-words.js';

/** A field's name as words: `body.body.drawnMl` is "drawn mL". */
export function fieldWords(field: string): string {
  const name = field.replace(/^(body\.)+/, '');
  return name
    .replace(/([a-z0-9])([A-Z])/g, (_all, before: string, after: string) => `${before} ${after.toLowerCase()}`)
    .replace(/\bml\b/, 'mL')
    .replaceAll('.', ' ');
}

/** What is wrong, and where. */
export const issueAt = (issue: FieldIssue): string => `${fieldWords(issue.field)}: ${issueWords(issue)}`;

/** Why a correction does not count. */
export const whyWords = ({ state }: UnsettledLine['unsettled']): string =>
  state === 'waits'
    ? 'It waits for the entry that it corrects, which has not come. It counts as soon as that comes; if it never will, log what happened by hand and leave this out.'
    : 'It does not count, because this cannot be:';

const plain = (value: unknown): string =>
  typeof value === 'string' ? value : value === undefined ? '' : JSON.stringify(value);

/** The unit that ends a field's name stands behind its value. */
const withUnit = (field: string, value: string): string =>
  field.endsWith(' mL') ? `${field.slice(0, -3)} ${value}\u00a0mL` : `${field} ${value}`;

/** What a correction says, as it came: it may be anything, so it is only spelled out. */
export function saidWords({ body }: Correction): string {
  if (body.action === 'void') return 'take the entry back.';
  const said = Object.entries(body.body ?? {}).filter(([, value]) => value !== null);
  if (said.length === 0) return 'nothing.';
  const words = said.map(([field, value]) => withUnit(fieldWords(field), plain(value))).join(' · ');
  return words.length > MOST ? `${words.slice(0, MOST)} …` : words;
}
const MOST = 300;
