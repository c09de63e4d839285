import type { PumpPage } from '@winter-jar/contracts';
import { backPressuresOf, LEVEL_MARKS, rightsOfRecord, type LevelMark, type ModelFact } from '@winter-jar/core';
import { useState } from 'react';
import { usePrint } from '../device/use-print.js';
import { Button } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { LEVEL_MARK_WORDS, MODEL_FACT_WORDS } from '../words/model-words.js';
import { NotKept } from './not-kept.js';
import { useKeepModel } from './use-keep-record.js';

/** What the model says of a step. What nobody has said is asked for once, and kept for all pumps of it. */
export function ModelFacts({ page, facts }: { page: PumpPage; facts: readonly ModelFact[] }) {
  const { model } = page.setUp;
  const { keep, busy, failed } = useKeepModel(page);
  const [asked, setAsked] = useState(false);
  const [typed, setTyped] = useState<Partial<Record<ModelFact, string>>>({});
  const known = facts.filter((fact) => model.service?.[fact]);
  const missing = facts.filter((fact) => !model.service?.[fact]);
  const said = Object.fromEntries(missing.flatMap((fact) => (typed[fact]?.trim() ? [[fact, typed[fact].trim()]] : [])));
  return (
    <section aria-label={`${model.name}, as its manual says`} className="flex flex-col gap-3">
      {known.length > 0 && (
        <dl className="text-[17px]">
          {known.map((fact) => (
            <div key={fact} className="flex flex-wrap gap-x-2">
              <dt className="text-ink-2">{MODEL_FACT_WORDS[fact].name}:</dt>
              <dd className="font-semibold wrap-anywhere">{model.service?.[fact]}</dd>
            </div>
          ))}
        </dl>
      )}
      {missing.length > 0 && !asked && (
        <button
          type="button"
          className="min-h-11 self-start text-left text-[15px] underline underline-offset-4"
          onClick={() => setAsked(true)}
        >
          Not said for {model.name} yet: {missing.map((fact) => MODEL_FACT_WORDS[fact].name.toLowerCase()).join(', ')}
        </button>
      )}
      {missing.length > 0 && asked && (
        <form
          className="flex flex-col gap-4 border-l-4 border-oil bg-sheet p-4"
          onSubmit={(event) => {
            event.preventDefault();
            void keep(({ service }) => ({ service: { ...service, ...said } }));
          }}
        >
          {missing.map((fact) => (
            <TextField
              key={fact}
              label={MODEL_FACT_WORDS[fact].name}
              value={typed[fact] ?? ''}
              onText={(text) => setTyped({ ...typed, [fact]: text })}
              hint={MODEL_FACT_WORDS[fact].hint}
            />
          ))}
          {failed && <NotKept />}
          <div className="flex flex-wrap gap-3">
            <Button type="submit" size="field" disabled={busy || Object.keys(said).length === 0}>
              Keep it for every {model.name}
            </Button>
            <Button size="field" look="plain" onClick={() => setAsked(false)}>
              Not now
            </Button>
          </div>
        </form>
      )}
    </section>
  );
}

/** How a glass shows its level is asked before it is read the first time. */
export function AskLevelMark({ page }: { page: PumpPage }) {
  const { keep, busy, failed } = useKeepModel(page);
  return (
    <div role="group" aria-label={`What the glass of ${page.setUp.model.name} shows`} className="flex flex-col gap-2">
      <p className="text-[15px] text-ink-2">
        What does the glass of {page.setUp.model.name} show? Asked once; then it is drawn here.
      </p>
      <div className="flex flex-wrap gap-2">
        {LEVEL_MARKS.map((mark: LevelMark) => (
          <Button
            needs={rightsOfRecord('pumpModel')}
            key={mark}
            disabled={busy}
            onClick={() => void keep(() => ({ levelMark: mark }))}
          >
            {LEVEL_MARK_WORDS[mark]}
          </Button>
        ))}
      </div>
      {failed && <NotKept />}
    </div>
  );
}

/** Of an exhaust filter that is built in, and of a mist filter outside on a small pump (docs/trade.md 8-H). Over ambient, Pa. */
const USUAL_BACK_PRESSURES = [
  { words: 'built in', exhaustLookPa: 30_000, exhaustRenewPa: 60_000 },
  { words: 'a mist filter outside', exhaustLookPa: 15_000, exhaustRenewPa: 15_000 },
] as const;

/** From where the exhaust filter of a model is looked at and renewed. Where nobody has said it, it is asked once. */
export function BackPressureLimits({ page }: { page: PumpPage }) {
  const { keep, busy, failed } = useKeepModel(page);
  const print = usePrint();
  const { model } = page.setUp;
  const { lookPa, renewPa } = backPressuresOf(model);
  const isSaid = Boolean(model.exhaustLookPa ?? model.exhaustRenewPa);
  if (isSaid)
    return (
      <p className="text-[17px]">
        {model.name}: look at its filter from {print.pressure(lookPa)}, renew it from {print.pressure(renewPa)}.
      </p>
    );
  return (
    <div role="group" aria-label={`The exhaust filter of ${model.name}`} className="flex flex-col gap-2">
      <p className="text-[15px] text-ink-2">
        Which exhaust filter has {model.name}? Asked once; other pressures of its manual go into the set-up.
      </p>
      <div className="flex flex-wrap gap-2">
        {USUAL_BACK_PRESSURES.map(({ words, ...pressures }) => (
          <Button
            needs={rightsOfRecord('pumpModel')}
            key={words}
            disabled={busy}
            onClick={() => void keep(() => pressures)}
          >
            {words}
          </Button>
        ))}
      </div>
      {failed && <NotKept />}
    </div>
  );
}
