import type { FlushEffort, FlushPlan } from '@winter-jar/core';
import { MOST_FILLS } from '@winter-jar/core';
import { usePrint } from '../device/use-print.js';
import { number, percent } from '../ui/number.js';
import { fillsWords, FLUSH_VERDICT_WORDS, releaseWords } from '../words/dirt-words.js';

/** How the flush goes on: what to do next, and fills held against washing the housing. */
export function FlushPanel({ plan }: { plan: FlushPlan }) {
  const { verdict, fills, fill, left } = plan;
  const [, likely] = fills;
  const rest: FlushEffort = {
    litres: likely * fill.litres,
    minutes: likely * fill.minutes,
    hours: likely * fill.hours,
    money: fill.money === null ? null : likely * fill.money,
  };
  return (
    <section aria-label="Flush plan" className="border border-rule bg-sheet p-4">
      <p
        role="status"
        className={`border-l-4 pl-3 text-[17px] font-semibold ${verdict === 'wash' ? 'border-stop' : 'border-oil'}`}
      >
        {FLUSH_VERDICT_WORDS[verdict]}
      </p>
      <p className="pt-3">
        Still wanted before the new charge: {fillsWords(fills)}.
        {left !== null && ` ${percent(left)} of what was there at the start is in the oil now.`}
      </p>
      {verdict !== 'newCharge' && <Ways rest={rest} plan={plan} />}
      {releaseWords(plan).map((said) => (
        <p key={said} className="pt-2 text-[15px] text-ink-2">
          {said}
        </p>
      ))}
    </section>
  );
}

/** Fills until it is clean, against washing first. */
function Ways({ rest, plan: { fills, wash } }: { rest: FlushEffort; plan: FlushPlan }) {
  const isPriced = rest.money !== null && wash.money !== null;
  return (
    <table className="mt-3 w-full text-[15px]">
      <thead>
        <tr className="text-left text-ink-2">
          <th scope="col" className="font-normal">
            Until it is clean
          </th>
          <th scope="col" className="text-right font-normal">
            oil
          </th>
          <th scope="col" className="text-right font-normal">
            time
          </th>
          {isPriced && (
            <th scope="col" className="text-right font-normal">
              cost
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        <Way
          name={fills[1] >= MOST_FILLS ? `${MOST_FILLS} fills or more` : 'going on with fills'}
          effort={rest}
          isPriced={isPriced}
        />
        <Way name="washing the housing, with its two short flushes" effort={wash} isPriced={isPriced} />
      </tbody>
    </table>
  );
}

function Way({ name, effort, isPriced }: { name: string; effort: FlushEffort; isPriced: boolean }) {
  const print = usePrint();
  return (
    <tr className="border-t border-rule-soft align-top">
      <th scope="row" className="py-1 text-left font-normal">
        {name}
      </th>
      <td className="figure py-1 pl-3 text-right">{print.volume(effort.litres * 1000)}</td>
      <td className="figure py-1 pl-3 text-right">{print.duration(Math.round(effort.hours * 60))}</td>
      {isPriced && <td className="figure py-1 pl-3 text-right">{number(effort.money ?? 0)}</td>}
    </tr>
  );
}
