import { Download } from 'lucide-react';
import { Button } from '../ui/button.js';
import { number } from '../ui/number.js';
import { LEAST_ROUND } from '../words/store-words.js';
import { saveCsv } from './save-csv.js';
import { stockRows } from './stock-rows.js';
import type { StoreProps } from './store-screen.js';

/** Oil by product over the whole shelf. */
export function Stock({ store, house, words }: StoreProps) {
  const { print } = words;
  if (store.stock.length === 0) return null;
  const columns = [
    ['New', 'newMl'],
    ...(store.reuses
      ? ([
          ['Ready', 'readyMl'],
          ['Waits', 'waitingMl'],
          ['In filters', 'inFiltersMl'],
        ] as const)
      : []),
    [store.reuses ? 'Not to go back' : 'Used', 'refusedMl'],
  ] as const;
  return (
    <section className="mt-8">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
        <h2 className="text-[20px]">By product</h2>
        <Button look="plain" onClick={() => saveCsv(stockRows(store.containers, house), 'stock.csv')}>
          <Download size={18} aria-hidden="true" /> Stock as CSV
        </Button>
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Oil by product">
        <table className="w-full max-w-[720px] text-left text-[15px]">
          <thead>
            <tr className="border-b border-ink">
              <th className="py-2 pr-3 font-semibold">Oil</th>
              {columns.map(([name]) => (
                <th key={name} className="py-2 pl-3 text-right font-semibold">
                  {name}
                </th>
              ))}
              <th className="py-2 pl-3 text-right font-semibold">In pumps</th>
            </tr>
          </thead>
          <tbody>
            {store.stock.map((line) => {
              const inPumps = store.sumps.filter((s) => house.pump[s.pumpId]?.oilProductId === line.productId);
              const round = inPumps.filter((s) => s.meanRounds >= LEAST_ROUND);
              return (
                <tr key={line.productId} className="border-b border-rule">
                  <th scope="row" className="py-2 pr-3 font-normal whitespace-nowrap">
                    {house.oilProduct[line.productId]?.name ?? line.productId}
                  </th>
                  {columns.map(([name, key]) => (
                    <td key={name} className="figure py-2 pl-3 text-right">
                      {print.volume(line[key])}
                    </td>
                  ))}
                  <td className="figure py-2 pl-3 text-right">
                    {print.volume(inPumps.reduce((s, p) => s + p.oilMl, 0))}
                    {round.length > 0 && (
                      <span className="block text-[13px] text-ink-2">
                        {round
                          .map((s) => `${house.pump[s.pumpId]?.name ?? s.pumpId}: ${number(s.meanRounds, 1)} round`)
                          .join(', ')}
                      </span>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
