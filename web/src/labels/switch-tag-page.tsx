import { cautionWords, dangersOf } from '@winter-jar/core';
import { Printer } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Button } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { momentWords } from '../words/dates.js';
import { reasonWords } from '../words/messages.js';
import { personName } from '../words/person-words.js';
import { NOT_WHOLE_WORDS } from '../words/safety-state-words.js';
import { procedureName } from '../words/procedure-words.js';
import { useAddress } from './use-address.js';

/** What hangs on the switch of a pump that nobody may start: why, since when, and whose lock it is. */
export function SwitchTagPage() {
  return <WithPump needsOil={false}>{(props) => <SwitchTag {...props} />}</WithPump>;
}

function SwitchTag({ page, words }: EntryPageProps) {
  const { row, state, setUp, standing } = page;
  const { origin } = useAddress();
  // On paper no day is today.
  const said = (at: string) => momentWords(at, row.zone, '1970-01-01T00:00:00.000Z');
  const stops = standing.reasons.filter(({ level }) => level === 'stop');
  const atIt = personName(state.job?.who ?? null, setUp.house);
  // Whoever is at it has not hung a lock before that step is answered.
  const lock = state.job?.said.findLast(({ step }) => step === 'lock') ?? null;
  const lockedBy = lock && (personName(lock.who, setUp.house) ?? atIt);
  const facts = [
    state.drained && `No oil in it since ${said(state.drained.at)}.`,
    state.notWhole && `${NOT_WHOLE_WORDS[state.notWhole.how].toUpperCase()} since ${said(state.notWhole.at)}.`,
    state.job && `${procedureName(state.job.procedure)} under way since ${said(state.job.startedAt)}.`,
    ...stops
      .filter(({ code }) => code !== 'drained' && code !== 'notWhole')
      .map((reason) => `${reasonWords(reason, words).short}.`),
  ].filter((fact) => fact !== null);
  return (
    <main className="mx-auto w-full max-w-[560px] px-4 pb-10 pt-4 print:p-0">
      <PageTitle title={`Switch tag, ${row.name}`} />
      <div className="no-print flex flex-wrap items-start justify-between gap-3">
        <PageHead back={`/pumps/${row.pumpId}`} above={row.name}>
          Switch tag
        </PageHead>
        <Button look="solid" onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
      </div>
      <article className="mt-4 border-4 border-black bg-white p-6 text-black">
        <p className="font-head text-[44px] leading-none font-bold">Do not start</p>
        <p className="mt-3 font-head text-[32px] leading-none font-bold wrap-anywhere">{row.name}</p>
        <p className="mt-1 text-[17px] wrap-anywhere">
          {row.equipmentName}, {row.siteName}
        </p>
        <ul className="mt-4 list-disc pl-5 text-[19px] font-semibold">
          {(facts.length > 0 ? facts : ['Out of service.']).map((fact) => (
            <li key={fact}>{fact}</li>
          ))}
          {cautionWords(dangersOf(state, setUp)).map((danger) => (
            <li key={danger} className="font-normal">
              {danger}
            </li>
          ))}
        </ul>
        <div className="mt-5 flex items-end justify-between gap-4 border-t-2 border-black pt-4">
          <p className="text-[17px]">
            {atIt && (
              <span className="mb-1 block">
                At it: <span className="font-semibold">{atIt}</span>
              </span>
            )}
            Locked by <span className="font-semibold">{lockedBy ?? '………………………'}</span>
            <span className="mt-1 block">Printed {said(standing.at)}.</span>
            <span className="mt-1 block">Only whoever hung the lock takes it off. The site’s rules come first.</span>
          </p>
          <QRCodeSVG
            value={`${origin}/pumps/${encodeURIComponent(row.pumpId)}`}
            size={88}
            level="M"
            title={`Address of ${row.name}`}
            className="shrink-0"
          />
        </div>
      </article>
    </main>
  );
}
