import type { RoundRow } from '@winter-jar/contracts';
import { cautionWords } from '@winter-jar/core';
import { Printer } from 'lucide-react';
import { useRoundQuery } from '../api/house-api.js';
import { momentWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { usePrint } from '../device/use-print.js';
import { dueWords, TASK_WORDS, verdictWords } from '../words/messages.js';
import { Button } from '../ui/button.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { roundGroups, sentenceOfService, looksOf, sentenceOfTheDay } from './round-order.js';
import { rowLine } from './running.js';

/** The Round on paper: every pump with what to do, and room to write. */
export function PrintedRound() {
  const { data, isError, refetch } = useRoundQuery(undefined);
  const print = usePrint();
  if (isError && !data)
    return (
      <Trouble title="The Round could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!data) return <Loading what="the Round" />;
  const rows = data.rows as RoundRow[];
  const zone = rows[0]?.zone ?? 'UTC';
  return (
    <main className="mx-auto w-full max-w-[1080px] px-4 pb-10 pt-5">
      <PageTitle title="Round on paper" />
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-[24px]">
          {sentenceOfTheDay(data.needHands, looksOf(rows))}
          {data.overdue > 0 && (
            <span className="block font-sans text-[15px] font-normal">
              {sentenceOfService(data.overdue, data.needHands)}
            </span>
          )}
        </h1>
        <p className="text-[14px] text-ink-2">Winter Jar, {momentWords(data.at, zone, '1970-01-01T00:00:00.000Z')}</p>
        <Button look="solid" className="no-print" onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
      </div>
      {roundGroups(rows, 'site').map((group) => (
        <section key={group.key} className="mt-5">
          <h2 className="text-[18px]">{group.title}</h2>
          <div className="overflow-x-auto" role="region" aria-label={group.title} tabIndex={0}>
            <table className="w-full min-w-[640px] text-left text-[14px]">
              <thead>
                <tr className="border-b-2 border-ink">
                  <th className="w-[24%] py-1 pr-3">Pump</th>
                  <th className="w-[34%] py-1 pr-3">Verdict</th>
                  <th className="w-[22%] py-1 pr-3">Next</th>
                  <th className="py-1">Done, seen, mL</th>
                </tr>
              </thead>
              <tbody>
                {group.rows.map((row) => {
                  const words = { print, zone: row.zone, now: data.at };
                  return (
                    <tr key={row.pumpId} className="break-inside-avoid border-b border-rule align-top">
                      <th scope="row" className="py-2 pr-3 font-normal">
                        <span dir="auto" className="figure block font-bold wrap-anywhere">
                          {row.name}
                        </span>
                        <span dir="auto" className="text-ink-2 wrap-anywhere">
                          {row.siteName} · {row.equipmentName}
                        </span>
                      </th>
                      <td className="py-2 pr-3">
                        <span className="font-semibold">{verdictWords(row.verdict, row.act)}</span>
                        <span className="block">{rowLine(row, words)}</span>
                        {cautionWords(row.dangers).map((said) => (
                          <span key={said} className="mt-1 block text-[13px] font-semibold">
                            {said}
                          </span>
                        ))}
                      </td>
                      <td className="py-2 pr-3">
                        {row.nextTask && `${TASK_WORDS[row.nextTask.task]} ${dueWords(row.nextTask, words)}`}
                      </td>
                      <td className="py-2">
                        <span className="block h-9 border-b border-rule" />
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </section>
      ))}
      <p className="mt-5 break-inside-avoid border-l-4 border-before-next-run pl-3 text-[13px]">
        {cautionWords(['standing', 'hotOil', 'exhaustOpen', 'waste', 'rags']).join(' ')} Site rules, local codes and the
        maker’s manual come first.
      </p>
    </main>
  );
}
