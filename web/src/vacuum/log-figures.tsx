import { leakWaterGPerDay } from '@winter-jar/core';
import type { ReactNode } from 'react';
import type { Print } from '../device/use-print.js';
import { number } from '../ui/number.js';
import { leakWords, NOTE_WORDS, rangeWords, thenWords } from '../words/vacuum-words.js';
import type { JudgedBy } from './judge-log.js';

/** What a log says in figures: the leak, the moisture or the pump, each with its range, and what it would mean here. */
export function LogFigures({
  by,
  print,
  pumpingSpeedM3h,
  gauge,
  small,
}: {
  by: JudgedBy;
  print: Print;
  pumpingSpeedM3h: number;
  gauge: 'capacitance' | 'thermal';
  /** The leak is not why this set pumps badly. */
  small: boolean;
}) {
  const { verdict, leakPaM3PerS: leak, notes } = by.judged;
  const leaks = verdict === 'leak' || verdict === 'leakAndMoisture';
  return (
    <div className="flex flex-col gap-4">
      <div>
        <h2 className="text-[22px] leading-tight">
          {by.of === 'pumpDown' && verdict !== 'leak'
            ? `Speed ${print.flow(by.judged.speedM3h.p50)}`
            : `Leak ${leaks ? leakWords(leak.p50, print) : `at most ${leakWords(leak.p90, print)}`}`}
        </h2>
        <p className="mt-1 text-[14px] text-ink-2">
          {by.of === 'pumpDown' && verdict !== 'leak'
            ? `${rangeWords(by.judged.speedM3h, (v) => print.flow(v))}; ${number(by.judged.speedShare * 100)} % of what it should be`
            : leaks
              ? rangeWords(leak, (v) => leakWords(v, print))
              : 'nine in ten'}
        </p>
      </div>
      {leaks && (
        <p className="text-[15px] leading-6">
          It holds a pump of {print.flow(pumpingSpeedM3h)} {print.pressure((leak.p50 / pumpingSpeedM3h) * 3600)} above
          its own ultimate, and lets in about {waterWords(leakWaterGPerDay({ leakPaM3PerS: leak.p50 }))} of water a day
          from a room at 20&nbsp;°C and half damp.
        </p>
      )}
      <Rows rows={by.of === 'rise' ? riseRows(by.judged, print) : pumpRows(by.judged, print)} />
      <p className="text-[15px] leading-6 font-semibold">{thenWords(verdict, small)}</p>
      {notes.length > 0 && (
        <ul className="flex flex-col gap-2 border-l-4 border-look-sooner pl-3 text-[15px] leading-6">
          {notes.map((note) => (
            <li key={note}>{NOTE_WORDS[note]}</li>
          ))}
        </ul>
      )}
      {gauge === 'thermal' && by.of === 'rise' && (
        <p className="text-[14px] text-ink-2">
          A thermal gauge shows water vapour about 1.6 times too high, below 1 hPa: the moisture is corrected for that,
          the leak is not touched by it.
        </p>
      )}
    </div>
  );
}

const waterWords = (g: number): string => (g < 1 ? `${number(g * 1000, g < 0.01 ? 1 : 0)} mg` : `${number(g, 1)} g`);

type Row = readonly [name: string, value: string];

function Rows({ rows }: { rows: readonly Row[] }): ReactNode {
  return (
    <dl className="border-y border-rule text-[15px]">
      {rows.map(([name, value]) => (
        <div key={name} className="flex justify-between gap-4 border-b border-rule-soft py-1 last:border-0">
          <dt>{name}</dt>
          <dd className="figure text-right">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

const secondsWords = (s: number): string =>
  s < 90 ? `${number(s)} s` : `${number(Math.floor(s / 60))} min ${String(Math.round(s % 60)).padStart(2, '0')}`;

function riseRows(judged: Extract<JudgedBy, { of: 'rise' }>['judged'], print: Print): Row[] {
  const { levelsOffPa, tauS, scatterShare, straightTimesWorse, startPa, limits } = judged;
  return [
    ['It began at', print.pressure(startPa)],
    ...(levelsOffPa === null
      ? []
      : [
          ['What flattens levels off at', print.pressure(levelsOffPa)] as const,
          ['with a time constant of', secondsWords(tauS ?? 0)] as const,
        ]),
    ['A leak is one from', leakWords(limits.leakPaM3PerS, print)],
    ['Readings scatter by', `${number(scatterShare * 100, 1)} %`],
    ...(straightTimesWorse > 1.5 ? [['A leak alone would fit', `${number(straightTimesWorse)} × worse`] as const] : []),
  ];
}

function pumpRows(judged: Extract<JudgedBy, { of: 'pumpDown' }>['judged'], print: Print): Row[] {
  const { ultimatePa, outgassingPa, scatterShare, speedKeptShare, against, leakPaM3PerS } = judged;
  return [
    ['It would end at', print.pressure(ultimatePa.p50)],
    ['It should end at', print.pressure(against.ultimatePa)],
    ['Outgassing adds at the end', print.pressure(outgassingPa)],
    ...(speedKeptShare < 0.9
      ? [['Speed left where the gas is thin', `${number(speedKeptShare * 100)} %`] as const]
      : []),
    ...(leakPaM3PerS.p90 > 0 && leakPaM3PerS.p50 === 0
      ? [['A leak would be at most', leakWords(leakPaM3PerS.p90, print)] as const]
      : []),
    ['Readings scatter by', `${number(scatterShare * 100, 1)} %`],
  ];
}
