import type { CorrectionBody, Entry, EntryBodies, EntryKind, JobStartedBody } from '../journal/index.js';
import { isProcedure, PROCEDURE_SKILLS } from '../service/index.js';
import type { SetUpKind } from '../set-up/index.js';
import { standsAtSite } from './at-a-site.js';
import type { Right } from './roles.js';

/** Kinds that whoever runs a pump writes: what ran, what was seen, water that was let out, what its meter shows, and a word about it. */
const LOGGED: readonly EntryKind[] = ['run', 'look', 'bleed', 'meter', 'note'];

/** The right that an entry of a kind needs, where it is about no job. */
export const rightOfKind = (kind: EntryKind): Right => (LOGGED.includes(kind) ? 'log' : 'write');

/**
 * The right that an entry needs.
 * @param job what started the job that it is about; null where it is about none, or its start is not known
 */
export function rightOfEntry(kind: EntryKind, job: Pick<JobStartedBody, 'procedure' | 'with'> | null): Right {
  // What a procedure calls an operator's work is theirs, guided too: before and after a run, bleeding, purging, pots and trap.
  const procedures = job ? [job.procedure, ...(job.with ?? [])] : [];
  const isOperators = (id: string) => isProcedure(id) && PROCEDURE_SKILLS[id] === 'operator';
  return procedures.length > 0 && procedures.every(isOperators) ? 'log' : rightOfKind(kind);
}

/** A run that somebody began and somebody else ends, or of which nobody has said yet what went in. */
const isToBeTold = (counts: Pick<Entry, 'kind' | 'body'> | null): boolean => {
  if (counts?.kind !== 'run') return false;
  const { stillRunning, materialId } = counts.body as EntryBodies['run'];
  return Boolean(stillRunning) || !materialId;
};

/**
 * The right that a correction needs, besides that of the kind which it corrects: one's own words one may take back, and a run whose end
 * or load is not told yet anybody tells who logs runs; all else of others, and what nobody put a name to, is for those who may write
 * anything.
 * @param counts the entry as it counts now; null where it is void
 * @param by who corrects it
 */
export function rightOfCorrection(of: {
  original: { readonly who?: string | null };
  counts: Pick<Entry, 'kind' | 'body'> | null;
  by: string;
  action: CorrectionBody['action'];
}): Right {
  if (of.action === 'setAside') return 'write';
  return of.original.who === of.by || (of.action === 'replace' && isToBeTold(of.counts)) ? 'log' : 'write';
}

const RIGHT_OF_RECORD: Readonly<Record<SetUpKind, Right>> = {
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

/** What a record of the set-up needs; one of the house needs that one sees every site. */
export const rightsOfRecord = (kind: SetUpKind): readonly Right[] =>
  standsAtSite(kind) ? [RIGHT_OF_RECORD[kind]] : [RIGHT_OF_RECORD[kind], 'everySite'];
