import type { LayUp, TaskStanding, Usage } from '@winter-jar/core';
import {
  amount,
  dueWords,
  forecastWords,
  layUpWords,
  measureWords,
  sourceWords,
  usedWords,
} from '../words/messages.js';
import { capital } from '../ui/number.js';
import type { Words } from '../words/words.js';

/** All limits of the oil change with what is left; the one that decides first. */
export function LimitsTable({ change, words }: { change: TaskStanding; words: Words }) {
  const sorted = [...change.limits].sort((a, b) => Number(b === change.decides) - Number(a === change.decides));
  return (
    <table className="w-full text-left text-[15px]">
      <thead className="sr-only">
        <tr>
          <th>Limit</th>
          <th>Used</th>
          <th>Left</th>
        </tr>
      </thead>
      <tbody>
        {sorted.map((limit) => {
          const decides = limit === change.decides;
          const forecast = limit.forecast ? forecastWords(limit.forecast, words) : null;
          return (
            <tr key={limit.measure} className="border-b border-rule-soft align-top">
              <th scope="row" className={`py-2 pr-3 ${decides ? 'font-bold' : 'font-normal'}`}>
                {measureWords(limit.measure)}
                <span className="block text-[13px] font-normal text-ink-2">{sourceWords(limit.from)}</span>
              </th>
              <td className="figure py-2 pr-3">{usedWords(limit)}</td>
              <td className={`py-2 text-right ${limit.reached ? 'font-semibold text-before-next-run' : ''}`}>
                {limit.reached ? 'reached' : `${amount(limit.measure, limit.left)} left`}
                {limit.withinNextRun && (
                  <span className="block text-[13px] font-semibold text-before-next-run">
                    the next run ends over it
                  </span>
                )}
                {!limit.reached && forecast && <span className="block text-[13px] text-ink-2">{forecast.about}</span>}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** The forecast of a task in one sentence, with what it rests on. */
export function ForecastLine({ task, usage, words }: { task: TaskStanding; usage: Usage; words: Words }) {
  const { forecast } = task;
  if (task.status === 'reached' || task.status === 'now') return null;
  if (!forecast || usage.idleDays !== null) {
    const calendar = task.limits.find((l) => l.measure === 'days')?.forecast;
    const atLatest = calendar ? `, and ${forecastWords(calendar, words).about} at the latest` : '';
    return (
      <p className="text-[14px] text-ink-2">
        {capital(dueWords(task, words))}
        {task.decides?.measure === 'days' ? '' : atLatest}.
        {usage.idleDays === null && ' A date follows from two runs, or from two readings of the hour meter.'}
      </p>
    );
  }
  const { about, range } = forecastWords(forecast, words);
  return (
    <p className="text-[14px] text-ink-2">
      Expected {about}
      {range && <> (8 in 10: {range})</>}, by {measureWords(forecast.measure).toLowerCase()}
      {forecast.basis === 'fewRuns' && '; few runs so far, so the range is wide'}
      {forecast.basis === 'meter' && ', as its hour meter goes'}.
    </p>
  );
}

/** What to do with a pump that stands. */
export function LayUpLine({ layUp }: { layUp: LayUp | null }) {
  return layUp && <p className="text-[14px]">{layUpWords(layUp)}</p>;
}
