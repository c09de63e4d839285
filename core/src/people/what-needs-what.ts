import type { CorrectionBody, EntryKind } from '../journal/index.js';
import type { SetUpKind } from '../set-up/index.js';
import type { Right } from './roles.js';

/** Kinds that whoever runs a pump writes: what ran, what was seen, water that was let out, what its meter shows, and a word about it. */
const LOGGED: readonly EntryKind[] = ['run', 'look', 'bleed', 'meter', 'note'];

/** The right that an entry of a kind needs, where it is about no job. */
export const rightOfKind = (kind: EntryKind): Right => (LOGGED.includes(kind) ? 'log' : 'write');

/**
 * The right that a correction needs, besides that of the kind which it corrects: one's own words one may take back, those of
 * others, and what nobody put a name to, only who may write anything.
 */
export const rightOfCorrection = (
  original: { readonly who?: string | null },
  by: string,
  { action }: Pick<CorrectionBody, 'action'>,
): Right => (action !== 'setAside' && original.who === by ? 'log' : 'write');

/** The right that a record of the set-up needs. */
export const RIGHT_OF_RECORD: Readonly<Record<SetUpKind, Right>> = {
  site: 'setUp',
  equipment: 'setUp',
  pumpModel: 'setUp',
  pump: 'setUp',
  oilProduct: 'setUp',
  material: 'setUp',
  jarShape: 'setUp',
  container: 'setUp',
  filterMedia: 'setUp',
  // Who is who, whom the server calls, and what all judgements rest on.
  person: 'house',
  instrument: 'house',
  houseRules: 'house',
};
