import type { PumpPage } from '@winter-jar/contracts';
import {
  cautionWords,
  proceduresAt,
  ridersAt,
  serviceAt,
  withOilIn,
  type ProcedureId,
  type ServiceStep,
} from '@winter-jar/core';
import { Printer, TriangleAlert } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { useParams, useSearchParams } from 'react-router';
import { usePrint } from '../device/use-print.js';
import { useUnits } from '../device/use-units.js';
import { Button, LinkButton } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { Trouble } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { dayWords } from '../words/dates.js';
import { flushWords, lastsWords, SKILL_WORDS, stepWords } from '../service/step-words.js';
import { StepPhoto } from '../service/step-photo.js';
import { WithPump } from '../entry/entry-page.js';
import { useAddress } from './use-address.js';

/** One procedure at one pump, for paper. */
export function JobCardPage() {
  const { procedure } = useParams();
  const [search] = useSearchParams();
  const asked: readonly string[] = search.get('with')?.split(',') ?? [];
  return (
    <WithPump needsOil={false}>
      {({ page }) => {
        const id = proceduresAt(page.state, page.setUp).find((known) => known === procedure);
        const others = id ? ridersAt(id, page.state, page.setUp).filter((one) => asked.includes(one)) : [];
        return id ? (
          <JobCard page={page} id={id} others={others} />
        ) : (
          <Trouble title="This pump has no such procedure">
            Its model and its oil decide which ones it has: choose one of its job cards.
          </Trouble>
        );
      }}
    </WithPump>
  );
}

function JobCard({ page, id, others }: { page: PumpPage; id: ProcedureId; others: readonly ProcedureId[] }) {
  const { row, state, setUp, standing } = page;
  const print = usePrint();
  const { origin } = useAddress();
  const { procedure, steps, ...lasts } = serviceAt(id, state, setUp, others);
  const oil = withOilIn(setUp, state.sumps[0]?.charge.productId ?? null).product;
  const facts = [
    row.modelName,
    oil && row.chargeMl ? `${print.volume(row.chargeMl)} of ${oil.name}` : null,
    `${row.siteName}, ${row.equipmentName}`,
  ];
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4 print:p-0">
      <PageTitle title={`${procedure.name}, ${row.name}`} />
      <div className="no-print flex flex-wrap items-start justify-between gap-3">
        <PageHead back={`/pumps/${row.pumpId}/job-cards`} above={`Job card of ${row.name}`}>
          {procedure.name}
        </PageHead>
        <div className="flex flex-wrap gap-3">
          {steps.some(({ step }) => step.kind === 'do' && step.bag !== undefined) && (
            <LinkButton to={`/pumps/${row.pumpId}/job-cards/${id}/bags`}>Labels for the bags</LinkButton>
          )}
          <LinkButton to={`/pumps/${row.pumpId}/job-cards/${id}/own-steps`}>Steps of this house</LinkButton>
          <Button look="solid" onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print
          </Button>
        </div>
      </div>
      <article className="mt-4 border-2 border-ink bg-white p-5 text-black print:mt-0 print:border-0 print:p-0 print:text-[12.5px] print:leading-[1.35]">
        <header className="flex items-start gap-4 border-b-2 border-black pb-3">
          <div className="min-w-0 flex-1">
            <p className="font-head text-[24px] leading-tight font-bold wrap-anywhere">
              {procedure.name}: <span dir="auto">{row.name}</span>
            </p>
            <p className="wrap-anywhere">{facts.filter(Boolean).join(' · ')}</p>
            <p>
              {lastsWords(lasts)} · by {SKILL_WORDS[procedure.skill]}
            </p>
          </div>
          <QRCodeSVG
            value={`${origin}/pumps/${encodeURIComponent(row.pumpId)}`}
            size={72}
            level="M"
            title={`Address of ${row.name}`}
            className="shrink-0"
          />
        </header>
        {procedure.atHand.length > 0 && (
          <p className="mt-3">
            <span className="font-bold">At hand:</span> {procedure.atHand.join('; ')}.
          </p>
        )}
        <ol className="mt-3 print:mt-1">
          {steps.map((step, i) => (
            <CardStep key={step.step.id} step={step} number={i + 1} />
          ))}
        </ol>
        <p className="mt-4 flex flex-wrap gap-x-8 gap-y-3 print:mt-2">
          <Blank label="Done by" /> <Blank label="Day and time" /> <Blank label="Minutes of work" />
        </p>
        <p className="mt-3 text-[12.5px]">
          The site’s rules, local codes, licensed practice and the maker’s manual come first. Printed{' '}
          {dayWords(standing.at, row.zone, '1970-01-01T00:00:00.000Z')}, for the oil that is in it then.
        </p>
      </article>
    </main>
  );
}

function CardStep({ step: shown, number }: { step: ServiceStep; number: number }) {
  const print = usePrint();
  const units = useUnits();
  const { step, cautions, flushes } = shown;
  return (
    <li className="break-inside-avoid border-t border-neutral-300 py-2 first:border-t-0 print:py-[3px]">
      {cautionWords(cautions).map((said) => (
        <p key={said} className="mb-1 flex gap-2 border-l-4 print:mb-0 border-black pl-2 font-semibold">
          <TriangleAlert size={16} aria-label="Caution" className="mt-0.5 shrink-0" />
          <span>{said}</span>
        </p>
      ))}
      <div className="flex gap-3">
        <Box />
        <span className="figure w-6 shrink-0 text-right">{number}</span>
        <span className="min-w-0 flex-1">
          <span dir="auto">{stepWords(shown, print, '……… mL')}</span>
          {step.own?.photoId && <StepPhoto photoId={step.own.photoId} small />}
          {flushes.length > 0 && step.kind === 'measure' && ` ${flushWords(flushes, print)}`}
          {step.kind === 'wait' && ` About ${print.duration(step.minutes)}.`}
          {step.kind === 'measure' && (
            <span className="mt-2 block print:mt-0">
              <Blank label={step.label} unit={units[step.of]} />
            </span>
          )}
          {step.kind === 'dirt' && (
            <span className="mt-2 block print:mt-0">
              <Blank label={step.label} />
            </span>
          )}
          {step.kind === 'look' && (
            <span className="mt-2 flex flex-wrap gap-x-6 gap-y-2 print:mt-0">
              <Blank label="Colour" /> <Blank label="Clarity" />{' '}
              {step.at === 'jar' && <Blank label="Water" unit={units.volume} />}
            </span>
          )}
          {step.kind === 'choose' && (
            <span className="mt-2 flex flex-wrap gap-x-5 gap-y-1 print:mt-0">
              {step.choices.map((choice) => (
                <span key={choice.id} className="flex items-center gap-2">
                  <Box /> {choice.words}
                </span>
              ))}
            </span>
          )}
        </span>
      </div>
    </li>
  );
}

const Box = () => <span aria-hidden="true" className="mt-0.5 inline-block size-4 shrink-0 border-2 border-black" />;

const Blank = ({ label, unit }: { label: string; unit?: string }) => (
  <span className="inline-flex items-end gap-2">
    {label}
    <span aria-hidden="true" className="inline-block h-5 w-28 border-b border-black" />
    {unit}
  </span>
);
