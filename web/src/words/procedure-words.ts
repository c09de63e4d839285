import { PROCEDURES, type ProcedureId } from '@winter-jar/core';

/** What a procedure is called; one that is not known here by its id. */
export const procedureName = (id: string): string =>
  Object.hasOwn(PROCEDURES, id) ? PROCEDURES[id as ProcedureId].name : id;
