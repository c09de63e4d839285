import type { PumpPage } from '@winter-jar/contracts';
import { schoolCosts, SCHOOLS, withOilIn, type SchoolCost } from '@winter-jar/core';
import { useServiceTimesQuery } from '../api/house-api.js';
import { number, uncapital } from '../ui/number.js';
import { SCHOOL_WORDS } from '../words/school-words.js';

/** Which school of oil care the pump follows, why people do, and what each would cost here. */
export function SchoolNote({ page }: { page: PumpPage }) {
  const { preset } = page.setUp.pump;
  const { why, cost } = SCHOOLS[preset];
  const { data: times } = useServiceTimesQuery();
  const setUp = withOilIn(page.setUp, page.state.sumps[0]?.charge.productId ?? null);
  const costs = schoolCosts({ setUp, use: page.standing.usage, times: times?.times ?? [] });
  return (
    <div className="mt-3 border-l-4 border-rule pl-3 text-[14px] text-ink-2">
      <p>
        <span className="font-semibold text-ink">{SCHOOL_WORDS[preset]}.</span> {why} What it costs: {uncapital(cost)}
      </p>
      {costs.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold text-ink">What each school costs here</summary>
          <SchoolTable costs={costs} mine={preset} />
        </details>
      )}
    </div>
  );
}

const HEADS = ['School', 'Changes', 'New oil', 'Hands'] as const;

function SchoolTable({ costs, mine }: { costs: readonly SchoolCost[]; mine: string }) {
  const isPriced = costs.some((c) => c.money !== null);
  return (
    <>
      <div className="overflow-x-auto" role="region" aria-label="What each school costs here" tabIndex={0}>
        <table className="w-full text-left">
          <thead>
            <tr className="border-b border-rule">
              {[...HEADS, ...(isPriced ? ['Money'] : [])].map((h) => (
                <th key={h} scope="col" className="py-1 pr-4 font-semibold">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {costs.map((c) => (
              <tr
                key={c.school}
                className={`border-b border-rule-soft ${c.school === mine ? 'font-semibold text-ink' : ''}`}
              >
                <th scope="row" className="py-1 pr-4 font-[inherit]">
                  {SCHOOL_WORDS[c.school]}
                </th>
                <td className="figure whitespace-nowrap pr-4">{`${c.atLeast ? '≥ ' : ''}${number(c.changes, c.changes < 10 ? 1 : 0)}`}</td>
                <td className="figure whitespace-nowrap pr-4">{`${c.atLeast ? '≥ ' : ''}${number(c.litres, c.litres < 10 ? 1 : 0)}\u00a0L`}</td>
                <td className="figure whitespace-nowrap pr-4">{`${number(c.minutes / 60, c.minutes < 600 ? 1 : 0)}\u00a0h`}</td>
                {isPriced && <td className="figure pr-4">{c.money === null ? '–' : number(c.money)}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[13px]">
        A year at the pace of this pump’s last runs, its own limits left aside; waits are not counted.
        {costs.some((c) => c.reused) && ' Fresh every run uses settled and filtered oil again, a fifth of it new.'} ≥:
        they change by what they find, by the calendar at the latest.
        {!isPriced && ' In money once the set-up says what oil, an hour’s work and a report cost.'}
      </p>
    </>
  );
}
