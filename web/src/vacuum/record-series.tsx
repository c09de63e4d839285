import type { HouseSetUp, VacuumMended, VacuumSeries } from '@winter-jar/core';
import { Link } from 'react-router';
import { VerdictShape } from '../ui/verdict.js';
import { dayWords } from '../words/dates.js';
import {
  creepWords,
  lastWords,
  limitWords,
  SERIES_WORDS,
  standingWords,
  standsWords,
  valueWords,
} from '../words/vacuum-record-words.js';
import type { Words } from '../words/words.js';
import { RecordChart } from './record-chart.js';

/** One series of a record: the last figure and how it stands, drawn, and as a table. */
export function RecordSeries({
  series,
  mended,
  house,
  words,
}: {
  series: VacuumSeries;
  mended: readonly VacuumMended[];
  house: HouseSetUp;
  words: Words;
}) {
  const { of, points } = series;
  const { name, from } = SERIES_WORDS[of];
  const creep = creepWords(series, words);
  const stands = standsWords(series);
  const level = series.stands === 'outside' || series.trend.goes === 'worse' ? 'lookSooner' : 'runOn';
  return (
    <section className="min-w-0" aria-label={name}>
      <h2 className="text-[18px]">{name}</h2>
      <p className="text-[14px] text-ink-2">{from}</p>
      <p className="mt-1 flex flex-wrap items-center gap-x-2 text-[18px]">
        {stands && <VerdictShape level={level} />}
        <span className="figure">{lastWords(series, words.print)}</span>
        <span className="text-[15px] text-ink-2">{[stands, standingWords(series)].filter(Boolean).join(', ')}</span>
      </p>
      <RecordChart
        series={series}
        mended={mended}
        words={words}
        label={`${name}: ${[lastWords(series, words.print), standingWords(series), limitWords(series, words.print), creep].filter(Boolean).join('; ')}`}
      />
      {creep && (
        <p className={`text-[15px] ${series.trend.goes === 'worse' ? 'font-semibold' : 'text-ink-2'}`}>{creep}</p>
      )}
      <details className="mt-1 text-[15px]">
        <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
          {points.length === 1 ? 'The test' : `All ${points.length} tests`}
        </summary>
        <table className="w-full">
          <tbody>
            {points.toReversed().map((p) => (
              <tr key={`${p.entryId}${p.value}`} className="border-b border-rule-soft align-top">
                <td className="py-1 pr-3">
                  {p.pumpId ? (
                    <Link to={`/pumps/${p.pumpId}/entries/${p.entryId}`} className="text-ink">
                      {dayWords(p.at, words.zone, words.now)}
                    </Link>
                  ) : (
                    dayWords(p.at, words.zone, words.now)
                  )}
                </td>
                <td className="py-1 pr-3 text-ink-2 wrap-anywhere">
                  {p.pumpId && (house.pump[p.pumpId]?.name ?? p.pumpId)}
                </td>
                <td className="figure py-1 text-right">
                  {p.atMost ? 'at most ' : ''}
                  {valueWords(of, p.value, words.print)}
                  {p.range && !p.atMost && (
                    <span className="block text-[13px] text-ink-2">
                      {valueWords(of, p.range.p10, words.print)} to {valueWords(of, p.range.p90, words.print)}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  );
}
