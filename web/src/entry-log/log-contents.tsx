import { number } from '../ui/number.js';
import type { LogName } from '@winter-jar/contracts';
import { Link } from 'react-router';
import { useLogContentsQuery, useSetUpQuery } from '../api/house-api.js';
import { useWide } from '../device/use-wide.js';
import { Loading } from '../ui/page-state.js';
import { monthWords } from '../words/dates.js';
import type { LogWords } from './log-words.js';

const MONTHS = { wide: 6, narrow: 2 } as const;
const orNone = (n: number): string => (n === 0 ? '–' : number(n));

/** What there is, by pump and month, before any file is spoken of. */
export function LogContents({ name, words }: { name: LogName; words: LogWords }) {
  const { data } = useLogContentsQuery(name);
  const { data: setUp } = useSetUpQuery();
  const wide = useWide();
  if (!data || !setUp) return <Loading what={`the ${words.many}`} />;
  if (data.entries === 0) return <p className="mt-3 text-[15px] text-ink-2">No {words.one} is written yet.</p>;
  const months = data.months.slice(0, wide ? MONTHS.wide : MONTHS.narrow);
  const nameOf = (pumpId: string) => setUp.house.pump[pumpId]?.name ?? setUp.house.container[pumpId]?.name ?? pumpId;
  const pumps = [...data.pumps].sort((a, b) => nameOf(a.pumpId).localeCompare(nameOf(b.pumpId)));
  return (
    <div className="mt-3 max-h-[50vh] overflow-auto" tabIndex={0} role="region" aria-label={`${words.many} by month`}>
      <table className="w-full text-left text-[15px]">
        <thead className="sticky top-0 bg-ground">
          <tr className="border-b border-ink">
            <th scope="col" className="py-2 pr-3">
              {name === 'pours' || name === 'stocktakes' ? 'Container' : 'Pump'}
            </th>
            {months.map((month) => (
              <th key={month} scope="col" className="py-2 pr-3 text-right whitespace-nowrap">
                {monthWords(month)}
              </th>
            ))}
            <th scope="col" className="py-2 text-right">
              In all
            </th>
          </tr>
        </thead>
        <tbody>
          {pumps.map(({ pumpId, entries, byMonth }) => (
            <tr key={pumpId} className="border-b border-rule-soft">
              <th scope="row" className="py-2 pr-3 font-normal wrap-anywhere">
                {setUp.house.pump[pumpId] || setUp.house.container[pumpId] ? (
                  <Link
                    to={setUp.house.pump[pumpId] ? `/pumps/${pumpId}#journal` : `/store/${pumpId}`}
                    className="text-ink"
                  >
                    {nameOf(pumpId)}
                  </Link>
                ) : (
                  // It stands elsewhere now.
                  nameOf(pumpId)
                )}
              </th>
              {months.map((month, i) => (
                <td key={month} className="figure py-2 pr-3 text-right">
                  {orNone(byMonth[i] ?? 0)}
                </td>
              ))}
              <td className="figure py-2 text-right font-semibold">{orNone(entries)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
