import type { EntryKind, JobStartedBody } from '../journal/index.js';
import { isProcedure, PROCEDURES } from '../service/index.js';
import type { Right } from './roles.js';
import { rightOfKind } from './what-needs-what.js';

/**
 * The right that an entry needs.
 * @param job what started the job that it is about; null where it is about none, or its start is not known
 */
export function rightOfEntry(kind: EntryKind, job: Pick<JobStartedBody, 'procedure' | 'with'> | null): Right {
  // What a procedure calls an operator's work is theirs, guided too: before and after a run, bleeding, purging, pots and trap.
  const procedures = job ? [job.procedure, ...(job.with ?? [])] : [];
  const isOperators = (id: string) => isProcedure(id) && PROCEDURES[id].skill === 'operator';
  return procedures.length > 0 && procedures.every(isOperators) ? 'log' : rightOfKind(kind);
}
