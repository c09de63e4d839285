import { cautionWords, huntStanding, LEAK_STEPS } from '@winter-jar/core';
import { ChevronLeft } from 'lucide-react';
import { Link } from 'react-router';
import { useDiagnosisQuery } from '../api/house-api.js';
import { PageTitle } from '../ui/page-title.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { LinkButton } from '../ui/button.js';
import { Caution } from '../ui/caution.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { NextStepButton } from './next-step-button.js';
import { SetSchematic } from './set-schematic.js';

/** The hunt for a leak: step by step, and no further than the first one that fails. */
export function LeakHuntPage() {
  return <WithPump needsOil>{(props) => <Hunt {...props} />}</WithPump>;
}

function Hunt({ page }: EntryPageProps) {
  const { pumpId, name, equipmentName } = page.row;
  const { data, isError, isFetching, refetch } = useDiagnosisQuery({ pumpId });
  if (isError && !data)
    return (
      <Trouble title="The hunt could not be fetched" onRetry={() => void refetch()}>
        The server does not answer. Every step that was saved is kept.
      </Trouble>
    );
  if (!data) return <Loading what="the hunt" />;
  const hasTrap = page.setUp.equipment.coldTrap;
  const said = data.tried.flatMap(({ body }) =>
    body.leakStep ? [{ leakStep: body.leakStep, passed: body.passed === true }] : [],
  );
  const { next, failed, proven, done } = huntStanding({ said, hasTrap });
  // Which valve it was, say.
  const remark = data.tried.filter(({ body }) => body.leakStep === failed?.id).at(-1)?.body.remark;
  const steps = LEAK_STEPS.filter((s) => hasTrap || !s.needsTrap);
  const path = (id: string) => `/pumps/${pumpId}/test?step=${id}`;
  return (
    <main className="flex min-w-0 flex-1 flex-col">
      <PageTitle title={`Leak hunt · ${name}`} />
      <div className="flex items-center gap-3 border-b border-rule bg-sheet px-4 py-3">
        <Link
          to={`/pumps/${pumpId}/what-is-wrong`}
          aria-label="Back to What is wrong?"
          className="flex size-11 items-center justify-center text-ink"
        >
          <ChevronLeft aria-hidden="true" />
        </Link>
        <div className="min-w-0">
          <p className="text-[14px] text-ink-2">
            <span className="figure">{name}</span> · {equipmentName}
          </p>
          <h1 className="text-[22px]">Leak hunt</h1>
        </div>
      </div>
      <div className="grid gap-6 p-4 wide:grid-cols-[minmax(0,1fr)_420px] wide:p-6">
        <section>
          {failed ? (
            <>
              <h2 className="text-[20px]">It is here: {failed.name.toLowerCase()}</h2>
              <p className="mt-1 text-[16px]">
                {failed.failed.words}. {failed.remedy}
              </p>
              {remark && <p className="mt-1 text-[16px] font-semibold wrap-anywhere">{remark}</p>}
              <div className="mt-3 flex flex-wrap gap-3">
                <NextStepButton to={path(failed.id)} fetching={isFetching}>
                  Mended: do this step again
                </NextStepButton>
                <LinkButton size="field" to={`/pumps/${pumpId}/what-is-wrong`}>
                  Back to the causes
                </LinkButton>
              </div>
            </>
          ) : next ? (
            <>
              <h2 className="text-[20px]">
                Step {steps.indexOf(next) + 1} of {steps.length}: {next.name.toLowerCase()}
              </h2>
              <ul className="mt-1 list-disc pl-5 text-[16px] leading-6">
                {next.how.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
              <NextStepButton className="mt-3" to={path(next.id)} fetching={isFetching}>
                Do this step
              </NextStepButton>
            </>
          ) : (
            <>
              <h2 className="text-[20px]">Every step passed</h2>
              <p className="mt-1 text-[16px]">
                No leak was found. A rise that flattens is moisture; look at the trap, the oil and the load instead.
              </p>
              <LinkButton look="solid" size="field" className="mt-3" to={`/pumps/${pumpId}/what-is-wrong`}>
                Back to the causes
              </LinkButton>
            </>
          )}
          <ol aria-label="Steps" className="mt-6">
            {steps.map((step, i) => {
              const passed = done[step.id];
              return (
                <li key={step.id} className="border-b border-rule-soft">
                  <Link to={path(step.id)} className="flex min-h-11 items-baseline gap-3 py-2 text-[15px] text-ink">
                    <span className="figure w-6 shrink-0 text-right text-ink-2">{i + 1}</span>
                    <span className="min-w-0 flex-1">{step.name}</span>
                    <span
                      className={`shrink-0 text-[14px] ${passed === false ? 'font-semibold text-stop' : 'text-ink-2'}`}
                    >
                      {passed === undefined ? 'not done' : passed ? '✓ passed' : '✗ failed'}
                    </span>
                  </Link>
                </li>
              );
            })}
          </ol>
        </section>
        <section>
          <h2 className="mb-2 text-[18px]">What is proven</h2>
          <SetSchematic
            proven={proven}
            suspect={failed?.proves ?? []}
            hasTrap={hasTrap}
            process={page.setUp.equipment.process}
          />
          <div className="mt-4">
            <Caution>
              {cautionWords(['vent', 'lockOut']).join(' ')} Site rules and the maker’s manual come first.
            </Caution>
          </div>
        </section>
      </div>
    </main>
  );
}
