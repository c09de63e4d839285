import type { PumpPage } from '@winter-jar/contracts';
import { proceduresAt, serviceAt, type ProcedureId } from '@winter-jar/core';
import { Printer } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { useParams } from 'react-router';
import { usePrint } from '../device/use-print.js';
import { WithPump } from '../entry/entry-page.js';
import { headOf } from '../service/step-words.js';
import { Button } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { Trouble } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { dayWords } from '../words/dates.js';
import { procedureName } from '../words/procedure-words.js';
import { useAddress } from './use-address.js';

/** Numbered labels for what comes off a pump, in the order in which it does. */
export function BagLabelsPage() {
  const { procedure } = useParams();
  return (
    <WithPump needsOil={false}>
      {({ page }) => {
        const id = proceduresAt(page.state, page.setUp).find((known) => known === procedure);
        return id ? (
          <BagLabels page={page} id={id} />
        ) : (
          <Trouble title="This pump has no such procedure">Choose one of its services.</Trouble>
        );
      }}
    </WithPump>
  );
}

function BagLabels({ page, id }: { page: PumpPage; id: ProcedureId }) {
  const { row, state, setUp, standing } = page;
  const print = usePrint();
  const { origin } = useAddress();
  const bags = serviceAt(id, state, setUp).steps.filter(({ step }) => step.kind === 'do' && step.bag !== undefined);
  // On paper no day is today.
  const day = dayWords(state.job?.startedAt ?? standing.at, row.zone, '1970-01-01T00:00:00.000Z');
  if (bags.length === 0)
    return <Trouble title={`Nothing of “${procedureName(id)}” goes into bags`}>Choose another service.</Trouble>;
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4 print:p-0">
      <PageTitle title={`Bags, ${row.name}`} />
      <div className="no-print flex flex-wrap items-start justify-between gap-3">
        <PageHead
          back={state.job ? `/pumps/${row.pumpId}/job` : `/pumps/${row.pumpId}/job-cards/${id}`}
          above={`${procedureName(id)} of ${row.name}`}
        >
          Labels for the bags
        </PageHead>
        <Button look="solid" onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
      </div>
      <ol className="mt-4 grid gap-4 sm:grid-cols-2 print:grid-cols-2">
        {bags.map((shown) => (
          <li
            key={shown.step.id}
            className="flex min-w-0 break-inside-avoid items-start gap-4 rounded-[6px] border-2 border-ink bg-white p-4 text-black"
          >
            <span className="font-head text-[56px] leading-none font-bold">
              {shown.step.kind === 'do' && shown.step.bag}
            </span>
            <span className="min-w-0 flex-1">
              <span dir="auto" className="block font-semibold wrap-anywhere">
                {headOf(shown, print)}
              </span>
              <span className="block text-[14px] wrap-anywhere">
                {row.name} · {row.modelName} · {day}
              </span>
              <span className="block text-[14px]">Back on in the reverse order: the highest number first.</span>
            </span>
            <QRCodeSVG
              value={`${origin}/pumps/${encodeURIComponent(row.pumpId)}/job`}
              size={64}
              level="M"
              title={`Address of the job on ${row.name}`}
              className="shrink-0"
            />
          </li>
        ))}
      </ol>
    </main>
  );
}
