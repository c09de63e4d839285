import type { PumpPage } from '@winter-jar/contracts';
import {
  cautionWords,
  changeOfProduct,
  flushPlanAt,
  NO_JAR,
  warmRiseMl,
  withOilIn,
  type FlushPlan,
  CLARITIES,
  WAYS,
  type ServiceStep,
} from '@winter-jar/core';
import { useLayoutEffect, useRef, useState, type MouseEvent } from 'react';
import { usePrint } from '../device/use-print.js';
import { ProductField, productOf } from '../entry/product-field.js';
import { Button } from '../ui/button.js';
import { Caution } from '../ui/caution.js';
import { CLARITY_WORDS } from '../words/look-words.js';
import { WAY_WORDS } from '../words/product-change-words.js';
import { DirtReading } from './dirt-reading.js';
import { FlushPanel } from './flush-panel.js';
import { SayOverhauled } from './say-overhauled.js';
import { StepPhoto } from './step-photo.js';
import type { StepProps } from './step-props.js';
import { flushWords, headAndRest, purgeWords, withAmount } from './step-words.js';
import { LevelGlass } from './level-glass.js';
import { Measured } from './measured.js';
import { AskLevelMark, ModelFacts } from './model-facts.js';
import { AsItWas, Photographed } from './photographed.js';
import { Waiting } from './waiting.js';

/** What is to be done now: its cautions first, then the step, then what answers it. */
export function CurrentStep({
  at,
  number,
  count,
  ...rest
}: Omit<StepProps, 'step'> & { readonly number: number; readonly count: number }) {
  const print = usePrint();
  const head = useRef<HTMLHeadingElement>(null);
  const came = useRef(0);
  // Each step is read from its top.
  useLayoutEffect(() => {
    came.current = performance.now();
    head.current?.focus();
  }, []);
  const { head: title, rest: more } = headAndRest(at.shown, print);
  const cautions = cautionWords(at.shown.cautions);
  const { own } = at.shown.step;
  const inIt = withOilIn(rest.page.setUp, productOf(rest.page, 'oil'));
  const plan = flushPlanAt(at.shown.step, rest.done, inIt);
  return (
    <section
      aria-label={`Step ${number} of ${count}`}
      className="flex max-w-[640px] flex-col gap-4"
      onClickCapture={(e) => {
        if (!isTapOfBefore(e, came.current)) return;
        e.preventDefault();
        e.stopPropagation();
      }}
    >
      <p className="text-[15px] text-ink-2">
        Step {number} of {count}
        {at.visit > 1 && `, the ${ordinal(at.visit)} time`}
      </p>
      <h2 ref={head} dir="auto" tabIndex={-1} className="text-[26px] leading-tight outline-none wrap-anywhere">
        {title}
      </h2>
      {more && (
        <p dir="auto" className="text-[19px] wrap-anywhere">
          {more}
        </p>
      )}
      {own?.photoId && <StepPhoto photoId={own.photoId} />}
      {own?.insteadOf && (
        <p className="text-[15px] text-ink-2">
          In this house’s words. The procedure says: {withAmount(own.insteadOf, at.shown, print)}
        </p>
      )}
      {cautions.length > 0 && (
        <Caution>
          <ul className="flex flex-col gap-2 text-[17px]">
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
          <p className="pt-2 text-[14px] text-ink-2">
            The site’s rules, local codes and the maker’s manual come first.
          </p>
        </Caution>
      )}
      {at.shown.step.knows && <ModelFacts page={rest.page} facts={at.shown.step.knows} />}
      {at.shown.purge && <p className="text-[17px]">{purgeWords(at.shown.purge, print)}</p>}
      {plan && <FlushPanel plan={plan} />}
      {!plan && at.shown.flushes.length > 0 && <p>{flushWords(at.shown.flushes, print)}</p>}
      <AnswerOf at={at} plan={plan} {...rest} />
    </section>
  );
}

/** A second tap of the same hand, as gloves do it. */
const SAME_HAND_MS = 700;

/** The second of two taps, of which the first answered the step before: this step was not even read. */
const isTapOfBefore = (tap: Pick<MouseEvent, 'detail'>, cameMs: number): boolean =>
  tap.detail > 1 && performance.now() - cameMs < SAME_HAND_MS;

/** After a short run. */
const WARM_C = 50;
const ORDINALS = ['', 'first', 'second', 'third', 'fourth', 'fifth'];
const ordinal = (n: number): string => ORDINALS[n] ?? `${n}th`;

function AnswerOf({ plan, ...props }: Omit<StepProps, 'step'> & { plan: FlushPlan | null }) {
  const { step }: ServiceStep = props.at.shown;
  switch (step.kind) {
    case 'do':
      return step.photographed ? (
        <Photographed {...props} step={step} />
      ) : (
        <>
          {step.overhauls && <SayOverhauled page={props.page} since={props.page.state.job?.startedAt ?? ''} />}
          {step.shows && <AsItWas step={step.shows} done={props.done} />}
          <Done {...props} says="Done" />
        </>
      );
    case 'wait':
      return (
        <Waiting
          step={step}
          begun={props.at.begun}
          zone={props.words.zone}
          busy={props.busy}
          onDone={() => props.onAnswer({})}
        />
      );
    case 'measure':
      return <Measured {...props} step={step} />;
    case 'look':
      return step.at === 'glass' ? <InTheGlass {...props} step={step} /> : <InAJar {...props} />;
    case 'dirt':
      return <DirtReading {...props} step={step} />;
    case 'choose':
      return step.asksProduct ? (
        <WhichWay {...props} step={step} />
      ) : (
        <Choose
          label={step.words}
          glass={step.inGlass ? props.page : null}
          choices={step.choices}
          advised={plan ? step.choices.find(({ verdict }) => verdict === plan.verdict)?.id : undefined}
          busy={props.busy}
          onChoose={(choice, value = null) => props.onAnswer({ choice, value })}
        />
      );
  }
}

function Done({ busy, onAnswer, says }: Omit<StepProps, 'step'> & { says: string }) {
  return (
    <Button size="field" look="solid" disabled={busy} onClick={() => onAnswer({})} className="justify-center">
      {says}
    </Button>
  );
}

function Choose({
  label,
  choices,
  advised,
  glass = null,
  busy,
  onChoose,
}: {
  label: string;
  choices: readonly { readonly id: string; readonly words: string }[];
  /** The one that the plan calls for. */
  advised?: string | undefined;
  /** A level that can be tapped in the glass of this pump. */
  glass?: PumpPage | null;
  busy: boolean;
  /** @param offMl by a tap in the glass */
  onChoose: (id: string, offMl?: number | null) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-col gap-3">
      {glass?.setUp.model.kind === 'vane' && (
        <>
          {!glass.setUp.model.levelMark && <AskLevelMark page={glass} />}
          <LevelGlass model={glass.setUp.model} onTap={({ level, offMl }) => onChoose(level, offMl)} />
          <WarmRise page={glass} />
        </>
      )}
      {choices.map(({ id, words }) => (
        <Button
          key={id}
          size="field"
          {...(id === advised ? { look: 'solid' as const } : {})}
          disabled={busy}
          onClick={() => onChoose(id)}
        >
          {words}
        </Button>
      ))}
    </div>
  );
}

/** Read warm, it stands higher than it will. */
function WarmRise({ page: { setUp } }: { page: PumpPage }) {
  const print = usePrint();
  const chargeMl = setUp.model.sumps[0]?.chargeMl ?? 0;
  return (
    <p className="text-[15px] text-ink-2">
      Compare readings at one warmth: at {print.temperature(WARM_C)} it stands about{' '}
      {print.volume(Math.round(warmRiseMl({ chargeMl, oilC: WARM_C })))} higher than in a room of{' '}
      {print.temperature(20)}.
    </p>
  );
}

/** Which oil comes, and what may then be chosen: never what is milder than the two oils allow. */
function WhichWay({ step, page, busy, onAnswer }: StepProps<'choose'>) {
  const [productId, setProductId] = useState('');
  const found = productId === '' ? null : changeOfProduct(page.state, page.setUp, productId);
  const allowed = found ? WAYS.slice(WAYS.indexOf(found.way)) : [];
  return (
    <div className="flex flex-col gap-4">
      <ProductField
        page={page}
        value={productId}
        before={productOf(page, 'oil')}
        onChange={setProductId}
        error={undefined}
      />
      {found && (
        <p role="status" className="border-l-4 border-oil bg-sheet p-3 text-[17px]">
          {WAY_WORDS[found.why]}
        </p>
      )}
      {found && (
        <Choose
          label={step.words}
          choices={step.choices.filter(({ id }) => allowed.some((way) => way === id))}
          busy={busy}
          onChoose={(choice) => onAnswer({ choice })}
        />
      )}
    </div>
  );
}

function InTheGlass({ step, busy, onAnswer }: StepProps<'look'>) {
  return (
    <Choose
      label={step.words}
      choices={CLARITIES.map((id) => ({ id, words: CLARITY_WORDS[id] }))}
      busy={busy}
      onChoose={(choice) => onAnswer({ choice })}
    />
  );
}

function InAJar({ busy, onAnswer, ...props }: Omit<StepProps, 'step'>) {
  return (
    <div className="flex flex-col gap-3">
      <Done {...props} busy={busy} onAnswer={onAnswer} says="The jar is filled" />
      <Button size="field" disabled={busy} onClick={() => onAnswer({ choice: NO_JAR })}>
        No jar this time
      </Button>
    </div>
  );
}
