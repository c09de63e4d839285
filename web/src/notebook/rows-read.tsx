import { countOf, number } from '../ui/number.js';
import type { HouseSetUp, NotebookAssumption, NotebookRead, NotebookRow } from '@winter-jar/core';
import { useState } from 'react';
import { usePrint } from '../device/use-print.js';
import { Button } from '../ui/button.js';
import { dayWords, momentWords } from '../words/dates.js';
import { LEVEL_WORDS, meterWords } from '../words/entry-words.js';
import { CLARITY_WORDS } from '../words/look-words.js';
import { assumedWords, NOTEBOOK_KIND_WORDS, rowsWords } from './notebook-words.js';

const SHOWN = 12;

/** The rows as they were understood, and what was taken for granted. */
export function RowsRead({ read, house, now }: { read: NotebookRead; house: HouseSetUp; now: string }) {
  const [all, setAll] = useState(false);
  const shown = all ? read.rows : read.rows.slice(0, SHOWN);
  const assumed = Object.entries(read.assumed) as [NotebookAssumption, number][];
  if (read.rows.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="text-[20px]">As it is understood</h2>
      {assumed.length > 0 && (
        <ul className="mt-1 list-disc pl-5 text-[15px] text-ink-2">
          {assumed.map(([what, rows]) => (
            <li key={what}>{assumedWords(what, rows)}</li>
          ))}
          {read.leftOut > 0 && <li>{rowsWords(read.leftOut)} left out, as you said.</li>}
        </ul>
      )}
      <div className="mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label="Rows as they are understood">
        <table className="w-full text-left text-[15px]">
          <thead>
            <tr className="border-b border-ink">
              {['Line', 'When', 'Pump', 'What', 'Says'].map((head) => (
                <th key={head} scope="col" className="py-2 pr-3">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((row, i) => (
              <Row key={`${row.line} ${i}`} row={row} house={house} now={now} />
            ))}
          </tbody>
        </table>
      </div>
      {read.rows.length > shown.length && (
        <Button look="plain" className="!px-0" onClick={() => setAll(true)}>
          Show all {number(read.rows.length)} rows
        </Button>
      )}
    </section>
  );
}

const wordsOf = (words: Readonly<Record<string, string>>, code: string | undefined): string | null =>
  code === undefined ? null : (words[code] ?? code);

function Row({ row, house, now }: { row: NotebookRow; house: HouseSetUp; now: string }) {
  const print = usePrint();
  const pump = house.pump[row.pumpId];
  const zone = house.site[pump?.siteId ?? '']?.zone ?? 'UTC';
  const { cells } = row;
  const said = (column: string, words: (value: number) => string) =>
    cells[column] === undefined ? null : words(Number(cells[column]));
  const says = [
    row.minutes === null ? null : print.duration(row.minutes),
    cells.cycles && countOf(Number(cells.cycles), 'cycle'),
    cells.material && (house.material[cells.material]?.name ?? cells.material),
    cells.equipment && (house.equipment[cells.equipment]?.name ?? cells.equipment),
    cells.product && (house.oilProduct[cells.product]?.name ?? cells.product),
    said('in_ml', (ml) => `${print.volume(ml)} in`),
    said('out_ml', (ml) => `${print.volume(ml)} out`),
    said('added_ml', (ml) => `${print.volume(ml)} added`),
    said('meter_minutes', (minutes) => `meter ${meterWords(minutes)}`),
    said('load_kg', (kg) => `${number(kg, 1)}\u00a0kg`),
    said('trap_temp_c', (c) => `trap ${print.temperature(c)}`),
    said('oil_temp_c', (c) => `oil ${print.temperature(c)}`),
    said('lowest_pressure_pa', (pa) => `down to ${print.pressure(pa)}`),
    cells.ballast && cells.ballast !== 'unknown'
      ? `ballast ${cells.ballast === 'purge' ? 'to purge' : cells.ballast}`
      : null,
    wordsOf(LEVEL_WORDS, cells.level ?? cells.level_after),
    wordsOf(CLARITY_WORDS, cells.clarity),
    row.who && `by ${house.person[row.who]?.name ?? row.who}`,
    row.remark && `“${row.remark}”`,
  ].filter(Boolean);
  return (
    <tr className="border-b border-rule-soft align-top">
      <td className="figure py-2 pr-3">{row.line}</td>
      <td className="figure py-2 pr-3 whitespace-nowrap">
        {row.dayOnly ? dayWords(row.at, zone, now) : momentWords(row.at, zone, now)}
      </td>
      <td className="py-2 pr-3 wrap-anywhere">{pump?.name ?? row.pumpId}</td>
      <td className="py-2 pr-3 whitespace-nowrap">{NOTEBOOK_KIND_WORDS[row.kind]}</td>
      <td className="min-w-60 py-2 wrap-anywhere">{says.join(', ')}</td>
    </tr>
  );
}
