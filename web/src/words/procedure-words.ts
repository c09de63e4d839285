import { PROCEDURE_NAMES, type ProcedureId } from '@winter-jar/core';

/** What a procedure is called; one that is not known here by its id. */
export const procedureName = (id: string): string =>
  Object.hasOwn(PROCEDURE_NAMES, id) ? PROCEDURE_NAMES[id as ProcedureId] : id;
