export {
  dayOrderIn,
  guessColumns,
  type NotebookColumn,
  type NotebookLine,
  type NotebookSheet,
  sheetOf,
  type Units,
} from './columns.js';
export { dayOrderOf, readClock, readDay, readSpan, type DayOrder, type DayRead } from './days-typed.js';
export { NOTEBOOK_FIELDS, type NotebookField } from './fields.js';
export { foldText, tightText } from './fold-text.js';
export { knownNames, type NamedKind } from './names.js';
export {
  NO_ANSWERS,
  type Notebook,
  type NotebookAnswers,
  type NotebookAssumption,
  type NotebookFault,
  type NotebookQuestion,
  type NotebookRead,
  type NotebookRow,
  type WrongRow,
} from './notebook.js';
export { readNotebook } from './read-notebook.js';
export { NOTEBOOK_KINDS, type NotebookKind } from './words-typed.js';
