import type { NextTask, RoundRow } from '@winter-jar/contracts';
import { cautionWords } from '@winter-jar/core';
import { Printer } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { Link } from 'react-router';
import { useRoundQuery } from '../api/house-api.js';
import { WithPump } from '../entry/entry-page.js';
import { useAddress } from './use-address.js';
import { dayWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { usePrint } from '../device/use-print.js';
import { dueWords, limitWords, TASK_WORDS } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { Button } from '../ui/button.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';

/** On a label of its own there is room for more than the next one. */
const NEXT_LIMITS = 3;

/** Labels of all pumps of the Round. */
export function LabelsPage() {
  const { data, isError, refetch } = useRoundQuery(undefined);
  if (isError && !data)
    return (
      <Trouble title="The pumps could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!data) return <Loading what="the pumps" />;
  const rows = [...data.rows].sort((a, b) => a.siteName.localeCompare(b.siteName) || a.name.localeCompare(b.name));
  return <Labels rows={rows} tasksOf={({ nextTask }) => (nextTask ? [nextTask] : [])} now={data.at} />;
}

/** The label of one pump. */
export function LabelPage() {
  return (
    <WithPump needsOil={false}>
      {({ page: { row, standing } }) => (
        <Labels rows={[row]} tasksOf={() => standing.tasks.slice(0, NEXT_LIMITS)} now={standing.at} />
      )}
    </WithPump>
  );
}

function Labels({
  rows,
  tasksOf,
  now,
}: {
  rows: readonly RoundRow[];
  tasksOf: (row: RoundRow) => readonly NextTask[];
  now: string;
}) {
  const print = usePrint();
  const { origin, onlyHere } = useAddress();
  if (rows.length === 0) return <Empty title="No pump yet">Add the first pump, then print its label.</Empty>;
  return (
    <main className="mx-auto w-full max-w-[960px] px-4 pb-10 pt-5">
      <PageTitle title="Cart labels" />
      <div className="no-print mb-5 flex flex-wrap items-start justify-between gap-3">
        <div>
          <h1 className="text-[28px]">{rows.length === 1 ? 'Cart label' : 'Cart labels'}</h1>
          <p className="mt-1 max-w-[60ch] text-ink-2">
            Scan the code beside the pump and its page opens. The limits are those of today: print anew after an oil
            change.
          </p>
          {onlyHere && (
            <p className="mt-2 border-l-4 border-before-next-run pl-3">
              These codes lead to this machine only. Start with “--host” first: see{' '}
              <Link to="/phone">phone and tablet</Link>.
            </p>
          )}
        </div>
        <Button look="solid" onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
      </div>
      <ul className="grid gap-4 sm:grid-cols-2 print:grid-cols-2">
        {rows.map((row) => (
          <Label
            key={row.pumpId}
            row={row}
            tasks={tasksOf(row)}
            origin={origin}
            words={{ print, zone: row.zone, now }}
          />
        ))}
      </ul>
    </main>
  );
}

function Label({
  row,
  tasks,
  origin,
  words,
}: {
  row: RoundRow;
  tasks: readonly NextTask[];
  origin: string;
  words: Words;
}) {
  const address = `${origin}/pumps/${encodeURIComponent(row.pumpId)}`;
  return (
    <li className="flex min-w-0 break-inside-avoid gap-4 rounded-[6px] border-2 border-ink bg-white p-4 text-black">
      <QRCodeSVG value={address} size={128} level="M" title={`Address of ${row.name}`} className="shrink-0" />
      <div className="flex min-w-0 flex-1 flex-col">
        <p dir="auto" className="font-head text-[26px] leading-tight font-bold wrap-anywhere">
          {row.name}
        </p>
        <p dir="auto" className="text-[14px] wrap-anywhere">
          {row.siteName} · {row.equipmentName}
        </p>
        <p className="text-[14px] wrap-anywhere">
          {row.modelName}
          {row.oilName && `, ${row.oilName}`}
          {row.chargeMl && `, ${words.print.volume(row.chargeMl)}`}
        </p>
        <ul className="mt-2 text-[15px]">
          {tasks.map((task) => (
            <li key={task.task}>
              <span className="font-semibold">{TASK_WORDS[task.task]}</span>{' '}
              {task.decides && `every ${limitWords(task.decides.measure, task.decides.limit)}, `}
              next {dueWords(task, words)}
            </li>
          ))}
        </ul>
        {cautionWords([...row.dangers, 'standing']).map((said) => (
          <p key={said} className="mt-2 border-l-4 border-black pl-2 text-[12.5px] leading-4">
            {said}
          </p>
        ))}
        <p className="mt-auto pt-2 text-[12.5px] wrap-anywhere">
          {address} · printed {dayWords(words.now, words.zone, '1970-01-01T00:00:00.000Z')}
        </p>
      </div>
    </li>
  );
}
