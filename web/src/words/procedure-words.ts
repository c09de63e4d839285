import { PROCEDURE_NAMES, type ProcedureId } from '@winter-jar/core';

/** What a procedure is called; one that is not known here by its id. */
export const procedureName = (id: string): string =>
  Object.hasOwn(PROCEDURE_NAMES, id) ? PROCEDURE_NAMES[id as ProcedureId] : id;

/** A service of one visit: what it is, and what is done with it. */
export const jobName = (procedure: string, others: readonly string[] | null | undefined): string =>
  [procedureName(procedure), ...(others ?? []).map((id) => procedureName(id).toLowerCase())].join(', ');
