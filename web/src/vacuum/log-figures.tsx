import { leakWaterGPerDay, PULL_DOWN_SLOW_TIMES, type LogVerdict } from '@winter-jar/core';
import type { ReactNode } from 'react';
import type { Print } from '../device/use-print.js';
import { number } from '../ui/number.js';
import {
  leakWords,
  NOTE_WORDS,
  per10MinWords,
  rangeWords,
  secondsWords,
  thenWords,
  type LogNote,
} from '../words/vacuum-words.js';
import type { JudgedBy } from './judge-log.js';

type Of<K extends JudgedBy['of']> = Extract<JudgedBy, { of: K }>['judged'];
type Row = readonly [name: string, value: string];

interface Told {
  readonly head: string;
  readonly range: string;
  readonly rows: readonly Row[];
}

/** What a log says in figures: the one that its verdict rests on, with its range, and what it would mean here. */
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
  const { verdict } = by.judged;
  const notes: readonly LogNote[] = by.judged.notes;
  const { head, range, rows } = toldOf(by, print);
  const leak = 'leakPaM3PerS' in by.judged && isLeak(by.judged) ? by.judged.leakPaM3PerS : null;
  return (
    <div className="flex flex-col gap-4">
      <div>
        <h2 className="text-[22px] leading-tight">{head}</h2>
        <p className="mt-1 text-[14px] text-ink-2">{range}</p>
      </div>
      {leak && (
        <p className="text-[15px] leading-6">
          It holds a pump of {print.flow(pumpingSpeedM3h)} {print.pressure((leak.p50 / pumpingSpeedM3h) * 3600)} above
          its own ultimate, and lets in about {waterWords(leakWaterGPerDay({ leakPaM3PerS: leak.p50 }))} of water a day
          from a room at 20&nbsp;°C and half damp.
        </p>
      )}
      <Rows rows={rows} />
      <p className="text-[15px] leading-6 font-semibold">{thenWords(by.of, verdict, small)}</p>
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

/** A figure whose ends lie further apart is none. */
const TOLD_TIMES = 30;
const SCATTER = 'Readings scatter by';

const isLeak = ({ verdict }: { verdict: LogVerdict }): boolean => verdict === 'leak' || verdict === 'leakAndMoisture';

function toldOf(by: JudgedBy, print: Print): Told {
  switch (by.of) {
    case 'rise':
      return { ...leakTold(by.judged, print), rows: riseRows(by.judged, print) };
    case 'pumpDown': {
      const { verdict, speedM3h, speedShare } = by.judged;
      const rows = pumpRows(by.judged, print);
      if (verdict === 'leak') return { ...leakTold(by.judged, print), rows };
      if (verdict === 'undecided' && speedM3h.p90 > TOLD_TIMES * speedM3h.p10)
        return {
          head: 'It tells no speed',
          range: 'The readings fit no single pump-down.',
          rows: rows.filter(([name]) => name === SCATTER),
        };
      const ofWhat = `${number(speedShare * 100)} % of what it should be`;
      return {
        head: `Speed ${print.flow(speedM3h.p50)}`,
        range: `${rangeWords(speedM3h, (v) => print.flow(v))}; ${ofWhat}`,
        rows,
      };
    }
    case 'ultimate': {
      const { ultimatePa, limitPa } = by.judged;
      return {
        head: `Stands at ${print.pressure(ultimatePa.p50)}`,
        range: rangeWords(ultimatePa, (v) => print.pressure(v)),
        rows: [['It is held to', print.pressure(limitPa)]],
      };
    }
    case 'bagDrop': {
      const { rise10MinPa, limitPa, startPa } = by.judged;
      return {
        head: per10MinWords(rise10MinPa.p50, print),
        range: rangeWords(rise10MinPa, (v) => print.pressure(v)),
        rows: [
          ['It may rise by', per10MinWords(limitPa, print)],
          ['It began at', print.pressure(startPa)],
        ],
      };
    }
    case 'cycles': {
      const { pullDownS, usualS, toPa, cycles, reached } = by.judged;
      return {
        head: reached > 0 ? secondsWords(pullDownS.p50) : 'Not reached',
        range: reached > 0 ? rangeWords(pullDownS, secondsWords) : `to ${print.pressure(toPa)}`,
        rows: [
          ['Down to', print.pressure(toPa)],
          ['Cycles that came to it', `${number(reached)} of ${number(cycles)}`],
          ...(usualS === null ? [] : [['Slow from', secondsWords(PULL_DOWN_SLOW_TIMES * usualS)] as const]),
        ],
      };
    }
  }
}

function leakTold(judged: Of<'rise'> | Of<'pumpDown'>, print: Print): Pick<Told, 'head' | 'range'> {
  const { leakPaM3PerS: leak } = judged;
  return isLeak(judged)
    ? { head: `Leak ${leakWords(leak.p50, print)}`, range: rangeWords(leak, (v) => leakWords(v, print)) }
    : { head: `Leak at most ${leakWords(leak.p90, print)}`, range: 'nine in ten' };
}

const waterWords = (g: number): string => (g < 1 ? `${number(g * 1000, g < 0.01 ? 1 : 0)} mg` : `${number(g, 1)} g`);

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

function riseRows(judged: Of<'rise'>, print: Print): Row[] {
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
    [SCATTER, `${number(scatterShare * 100, 1)} %`],
    ...(straightTimesWorse > 1.5 ? [['A leak alone would fit', `${number(straightTimesWorse)} × worse`] as const] : []),
  ];
}

function pumpRows(judged: Of<'pumpDown'>, print: Print): Row[] {
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
    [SCATTER, `${number(scatterShare * 100, 1)} %`],
  ];
}
