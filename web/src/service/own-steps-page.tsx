import {
  amountAt,
  onlyWords,
  PROCEDURES,
  proceduresAt,
  withOwnSteps,
  type OwnStep,
  type ProcedureId,
  type Step,
} from '@winter-jar/core';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { usePrint } from '../device/use-print.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Button } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { Trouble } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { procedureName } from '../words/procedure-words.js';
import { OwnStepForm } from './own-step-form.js';
import { withAmount } from './step-words.js';
import { StepPhoto } from './step-photo.js';
import { useKeepModel } from './use-keep-record.js';

/** What a house does otherwise in a service, at every pump of a model. */
export function OwnStepsPage() {
  const { procedure } = useParams();
  return (
    <WithPump needsOil={false}>
      {(props) => {
        const id = proceduresAt(props.page.state, props.page.setUp).find((known) => known === procedure);
        return id ? (
          <OwnSteps {...props} id={id} />
        ) : (
          <Trouble title="This pump has no such procedure">Choose one of its services.</Trouble>
        );
      }}
    </WithPump>
  );
}

function OwnSteps({ page, id }: EntryPageProps & { id: ProcedureId }) {
  const { row, setUp, state } = page;
  const { model } = setUp;
  const print = usePrint();
  const name = procedureName(id);
  const [search] = useSearchParams();
  const { keep, busy, failed } = useKeepModel(page);
  /** The step that is asked about, or the own step that is changed. */
  const [open, setOpen] = useState<string | null>(search.get('step'));
  const all = model.ownSteps ?? [];
  const ofThis = all.filter((own) => own.procedure === id);
  const steps = PROCEDURES[id].steps;
  const leftOut = (step: Step) => ofThis.find((own) => own.step === step.id && own.way === 'leaveOut');
  const shown = withOwnSteps(
    id,
    all.filter(({ way }) => way !== 'leaveOut'),
  );
  const anchorOf = (own: OwnStep | undefined): Step | undefined => steps.find((step) => step.id === own?.step);
  async function write(own: OwnStep) {
    const others = (known: readonly OwnStep[] | null | undefined) => (known ?? []).filter((one) => one.id !== own.id);
    if (await keep(({ ownSteps }) => ({ ownSteps: [...others(ownSteps), own] }))) setOpen(null);
  }
  const said = (step: Step, words: string) => withAmount(words, { amountMl: amountAt(step, setUp) }, print);
  const drop = (ownId: string) =>
    void keep(({ ownSteps }) => ({ ownSteps: (ownSteps ?? []).filter((own) => own.id !== ownId) }));
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title={`${name} in this house, ${model.name}`} />
      <PageHead
        back={state.job ? `/pumps/${row.pumpId}/job` : `/pumps/${row.pumpId}/job-cards/${id}`}
        above={model.name}
      >
        {name} in this house
      </PageHead>
      <p className="mt-2 max-w-[64ch] text-ink-2">
        What you do otherwise at every {model.name}: in your words, with steps of your own and a photograph. No caution
        can be taken away.
      </p>
      <ol className="mt-4">
        {shown.map((step) => {
          const own = step.own && ofThis.find((one) => one.id === step.own?.id);
          const isAdded = own !== undefined && own.way !== 'reword';
          const anchor = isAdded ? anchorOf(own) : step;
          const out = isAdded ? undefined : leftOut(step);
          return (
            <li key={step.id} className={`border-b border-rule-soft py-3 ${own ? 'border-l-4 border-l-oil pl-3' : ''}`}>
              <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                <div className="min-w-0 flex-1 basis-64">
                  <p dir="auto" className={`wrap-anywhere ${out ? 'text-ink-2 line-through' : ''}`}>
                    {said(step, step.words)}
                  </p>
                  {own?.way === 'reword' && (
                    <p className="text-[14px] text-ink-2">
                      The procedure says: {said(step, step.own?.insteadOf ?? '')}
                    </p>
                  )}
                  {!isAdded && onlyWords(step) && <p className="text-[14px] text-ink-2">{onlyWords(step)}</p>}
                  {isAdded && <p className="text-[14px] text-ink-2">A step of this house, {step.minutes} min</p>}
                  {out && <p className="text-[14px] font-semibold">Left out here</p>}
                  {step.own?.photoId && <StepPhoto photoId={step.own.photoId} small />}
                </div>
                {out || own ? (
                  <span className="flex flex-wrap gap-2">
                    {own && (
                      <Button aria-label={`Change: ${said(step, step.words)}`} onClick={() => setOpen(own.id)}>
                        Change
                      </Button>
                    )}
                    <Button
                      look="plain"
                      disabled={busy}
                      aria-label={`${out ? 'Do it again' : 'Take it off'}: ${said(step, step.words)}`}
                      onClick={() => drop((out ?? own)?.id ?? '')}
                    >
                      {out ? 'Do it again' : 'Take it off'}
                    </Button>
                  </span>
                ) : (
                  <Button
                    look="plain"
                    aria-label={`Otherwise here: ${said(step, step.words)}`}
                    aria-expanded={open === step.id}
                    onClick={() => setOpen(open === step.id ? null : step.id)}
                  >
                    Otherwise here …
                  </Button>
                )}
              </div>
              {anchor && open !== null && (open === step.id || open === own?.id) && (
                <OwnStepForm
                  step={anchor}
                  steps={steps}
                  known={open === own?.id ? (own ?? null) : null}
                  busy={busy}
                  failed={failed}
                  onKeep={(said) =>
                    void write({
                      ...{ id: open === own?.id && own ? own.id : newId(), procedure: id, step: anchor.id },
                      ...said,
                    })
                  }
                  onLeave={() => setOpen(null)}
                />
              )}
            </li>
          );
        })}
      </ol>
    </main>
  );
}
