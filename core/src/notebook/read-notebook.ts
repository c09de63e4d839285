import { dayOrderIn } from './columns.js';
import { idsByTypedName } from './names.js';
import type { Notebook, NotebookRead, NotebookRow, UnplacedRow, WrongRow } from './notebook.js';
import { placeRows } from './place-rows.js';
import { readRow } from './read-row.js';
import { Gathered, idsOf, rowCells, RowEnds } from './row-cells.js';

/** Ahead of UTC, nowhere is it later. */
const LATEST_ZONE_MS = 14 * 3_600_000;

/**
 * Reads the rows of a notebook as people keep them into entries. What is not understood and not needed stays in the remark; what is
 * needed is asked once for all rows, or named at its cell. Rows about which something is asked are not among `rows` yet.
 */
export function readNotebook(notebook: Notebook): NotebookRead {
  const { sheet, columns, answers, house, nowMs } = notebook;
  const gathered = new Gathered();
  const today = new Date(nowMs + LATEST_ZONE_MS).toISOString().slice(0, 10);
  const shown = dayOrderIn(sheet, columns, today);
  const dayOrder = answers.dayOrder ?? (shown === 'told' || shown === 'open' ? null : shown);
  const context = { gathered, ids: idsOf(house), people: idsByTypedName(house.person), today, dayOrder };
  const unplaced: UnplacedRow[] = [];
  const wrong: WrongRow[] = [];
  let leftOut = 0;
  for (const line of sheet.rows) {
    try {
      const made = readRow(rowCells(line, notebook, context), notebook);
      unplaced.push(...made.map((one) => ({ ...one, line: line.line })));
      gathered.endRow(true);
    } catch (ended) {
      gathered.endRow(false);
      if (!(ended instanceof RowEnds)) throw ended;
      if (ended.why === 'leftOut') leftOut += 1;
      else if (ended.why !== 'asked') wrong.push({ line: line.line, ...ended.why });
    }
  }
  const placed = placeRows(unplaced, nowMs);
  const isAhead = ({ at }: NotebookRow) => Date.parse(at) > nowMs;
  const rows = placed.filter((row) => !isAhead(row));
  const dayOnly = rows.filter((row) => row.dayOnly).length;
  return {
    rows,
    wrong: [...wrong, ...placed.filter(isAhead).map((row) => aheadOf(row, notebook))].sort((a, b) => a.line - b.line),
    questions: gathered.questions,
    leftOut,
    assumed: dayOnly > 0 ? { ...gathered.assumed, dayOnly } : gathered.assumed,
  };
}

function aheadOf({ line, dayOnly }: NotebookRow, { sheet, columns }: Notebook): WrongRow {
  const field = dayOnly || !columns.some((column) => column.field === 'time') ? 'date' : 'time';
  const column = columns.findIndex((one) => one.field === field);
  return {
    line,
    column,
    field,
    cell: sheet.rows.find((row) => row.line === line)?.cells[column] ?? '',
    fault: 'ahead',
  };
}
