import { useState } from 'react';
import { capital } from '../ui/number.js';
import { FAULT_WORDS, FIELD_WORDS, rowsWords } from './notebook-words.js';
import { cellKey, type NotebookInHand } from './use-notebook.js';

const SHOWN = 50;

/** Rows that cannot be read, each mended in its place; those that stay so are left out. */
export function WrongCells({ notebook }: { notebook: NotebookInHand }) {
  const { read, sheet, said } = notebook;
  if (!read || !sheet || read.wrong.length === 0) return null;
  const whole = (line: number) =>
    sheet.rows
      .find((row) => row.line === line)
      ?.cells.filter(Boolean)
      .join(' · ');
  return (
    <section className="mt-6 border-l-4 border-stop pl-4">
      <h2 className="text-[20px]">{capital(rowsWords(read.wrong.length))} cannot be read</h2>
      <p className="text-[15px]">
        {read.wrong.length === 1 ? 'Mend it here, or it is left out.' : 'Mend them here; what stays so is left out.'}
      </p>
      <ul>
        {read.wrong.slice(0, SHOWN).map(({ line, column, field, cell, fault }) => (
          <li
            key={`${line} ${column} ${fault}`}
            className="grid gap-x-4 gap-y-1 border-b border-rule-soft py-3 sm:grid-cols-[1fr_16rem] sm:items-center"
          >
            <div>
              <p className="figure text-[14px] text-ink-2 wrap-anywhere">
                Line {line}: {whole(line)}
              </p>
              <p className="text-[15px] font-semibold text-stop">{FAULT_WORDS[fault]}</p>
            </div>
            {column === null ? (
              <p className="text-[15px]">The file has no column “{FIELD_WORDS[field]}”.</p>
            ) : (
              <Mend
                key={said.mended[cellKey(line, column)] ?? cell}
                label={`${FIELD_WORDS[field]} in line ${line}`}
                text={cell}
                onMend={(text) => notebook.mend(line, column, text)}
              />
            )}
          </li>
        ))}
      </ul>
      {read.wrong.length > SHOWN && <p className="py-2 text-[15px]">and {read.wrong.length - SHOWN} more</p>}
    </section>
  );
}

/** Taken over when the field is left, or with Enter: half a date is not read. */
function Mend({ label, text, onMend }: { label: string; text: string; onMend: (text: string) => void }) {
  const [typed, setTyped] = useState(text);
  return (
    <input
      aria-label={label}
      className="figure min-h-11 w-full rounded-[6px] border-2 border-stop bg-sheet px-3 text-[15px]"
      value={typed}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => typed !== text && onMend(typed)}
      onKeyDown={(e) => e.key === 'Enter' && typed !== text && onMend(typed)}
    />
  );
}
