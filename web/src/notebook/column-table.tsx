import { NOTEBOOK_FIELDS, UNITS, type NotebookColumn, type NotebookField, type NotebookSheet } from '@winter-jar/core';
import { FIELD_ORDER } from './notebook-text.js';
import { FIELD_WORDS } from './notebook-words.js';
import type { NotebookInHand } from './use-notebook.js';

const EXAMPLES = 3;
const selectClass = 'min-h-11 w-full rounded-[6px] border border-edge bg-sheet px-3 text-[15px]';

const examplesOf = ({ rows }: NotebookSheet, at: number): string =>
  [...new Set(rows.flatMap(({ cells }) => cells[at] || []))].slice(0, EXAMPLES).join(' · ');

/** What each column of the file says: guessed, and changed with one choice. */
export function ColumnTable({ notebook }: { notebook: NotebookInHand }) {
  const { sheet, columns } = notebook;
  if (!sheet) return null;
  return (
    <ul aria-label="Columns" className="mt-2">
      {columns.map((column, i) => {
        const heading = sheet.header?.[i] || `Column ${i + 1}`;
        return (
          <li
            key={i}
            className="grid grid-cols-1 gap-x-4 gap-y-1 border-b border-rule-soft py-2 sm:grid-cols-[1fr_1fr_minmax(12rem,1fr)_8rem] sm:items-center"
          >
            <span className="font-semibold wrap-anywhere">{heading}</span>
            <span className="figure text-[14px] text-ink-2 wrap-anywhere">{examplesOf(sheet, i) || 'empty'}</span>
            <FieldChoice heading={heading} column={column} onChange={(next) => notebook.setColumn(i, next)} />
            <UnitChoice heading={heading} column={column} onChange={(next) => notebook.setColumn(i, next)} />
          </li>
        );
      })}
    </ul>
  );
}

interface Choice {
  readonly heading: string;
  readonly column: NotebookColumn;
  readonly onChange: (column: NotebookColumn) => void;
}

function FieldChoice({ heading, column, onChange }: Choice) {
  return (
    <select
      aria-label={`${heading} says`}
      className={selectClass}
      value={column.field ?? ''}
      onChange={(e) => {
        const field = (e.target.value || null) as NotebookField | null;
        onChange({ field, unit: (field && NOTEBOOK_FIELDS[field].quantity?.unit) ?? null });
      }}
    >
      <option value="">leave it out</option>
      {FIELD_ORDER.map((field) => (
        <option key={field} value={field}>
          {FIELD_WORDS[field]}
        </option>
      ))}
    </select>
  );
}

/** What a bare number in it means. */
function UnitChoice({ heading, column, onChange }: Choice) {
  const quantity = column.field && NOTEBOOK_FIELDS[column.field].quantity;
  if (!quantity) return null;
  return (
    <select
      aria-label={`A number in ${heading} without a unit is in`}
      className={selectClass}
      value={column.unit ?? quantity.unit}
      onChange={(e) => onChange({ field: column.field, unit: e.target.value })}
    >
      {UNITS.filter(({ dimension }) => dimension === quantity.dimension).map(({ symbol }) => (
        <option key={symbol} value={symbol}>
          in {symbol}
          {column.isGuess && symbol === column.unit ? ', not said' : ''}
        </option>
      ))}
    </select>
  );
}
