import type { PumpPage } from '@winter-jar/contracts';
import {
  DIRT_SCALE_IDS,
  DIRT_SCALES,
  dirtScaleOf,
  lastDirt,
  withOilIn,
  type DirtScaleId,
  type GuideStep,
  type Step,
} from '@winter-jar/core';
import { useState } from 'react';
import { productOf } from '../entry/product-field.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { echoOf, typedNumber, typedText } from '../ui/typed-number.js';
import { DIRT_SCALE_WORDS, dirtWords } from '../words/dirt-words.js';
import { AnswerForm } from './answer-form.js';
import type { Answer } from './job-entries.js';

/** How dirty the oil is: on a scale that is chosen at the first reading. */
export function DirtReading({
  step,
  done,
  page,
  busy,
  onAnswer,
}: {
  step: Extract<Step, { kind: 'dirt' }>;
  done: readonly GuideStep[];
  page: PumpPage;
  busy: boolean;
  onAnswer: (said: Answer) => void;
}) {
  const { product } = withOilIn(page.setUp, productOf(page, 'oil'));
  const offered = DIRT_SCALE_IDS.filter((id) => DIRT_SCALES[id].fits(product));
  const chosen = dirtScaleOf(done);
  const [scale, setScale] = useState<DirtScaleId>(
    chosen ?? offered.find((id) => lastDirt(id, page.state) !== null) ?? 'sludge',
  );
  const [text, setText] = useState<string | null>(null);
  const usual = step.asks === 'target' ? typedText(DIRT_SCALES[scale].target(product)) : '';
  const last = step.asks === 'start' ? lastDirt(scale, page.state) : null;
  const [error, setError] = useState<string>();
  const shown = text ?? usual;
  const { min, max } = DIRT_SCALES[scale];
  function answer() {
    const read = typedNumber(shown, { min, max });
    const refused = read.ok ? dirtIssue(step.asks, read.value) : (read.twoWays ?? `A number from ${min} to ${max}.`);
    setError(refused ?? undefined);
    if (read.ok && !refused) onAnswer({ value: read.value, choice: step.asks === 'start' ? scale : null });
  }
  /** A target is cleaner than what it begins from, and dirtier than nothing. */
  function dirtIssue(asks: 'start' | 'target' | 'fill', reading: number): string | null {
    const dirt = DIRT_SCALES[scale].dirtOf(reading, product);
    if (asks !== 'target') return null;
    if (dirt <= 0)
      return scale === 'colour' && product
        ? `Above the unused oil’s ${product.freshColour}: no flush makes it lighter than that.`
        : 'Above 0: no flush takes out the last of it.';
    const start =
      done.findLast(({ shown: { step: s } }) => s.kind === 'dirt' && s.asks === 'start')?.said?.value ?? null;
    return start !== null && dirt >= DIRT_SCALES[scale].dirtOf(start, product)
      ? `Cleaner than what came out first: ${dirtWords(scale, start)}.`
      : null;
  }
  // Where the first was not read there is nothing to hold it against.
  if (step.asks === 'fill' && !chosen)
    return (
      <Button size="field" look="solid" disabled={busy} onClick={() => onAnswer({})} className="justify-center">
        Looked at
      </Button>
    );
  const { name, hint } = DIRT_SCALE_WORDS[scale];
  const echo = echoOf(shown, { min, max });
  return (
    <AnswerForm
      busy={busy}
      unsaid={step.asks === 'target' ? null : 'Not read'}
      onNext={answer}
      onUnsaid={() => onAnswer({ value: null })}
    >
      {step.asks === 'start' && (
        <Chips
          label="Read by"
          value={scale}
          onChange={(id) => {
            setScale(id);
            setText(null);
          }}
          chips={offered.map((id) => ({ value: id, words: DIRT_SCALE_WORDS[id].name }))}
        />
      )}
      <TextField
        label={`${step.label}: ${name}`}
        value={shown}
        onText={setText}
        error={error}
        hint={[hint, echo].filter(Boolean).join(' · ')}
      />
      {last !== null && (
        <Button size="field" onClick={() => setText(typedText(last))}>
          As last read: {dirtWords(scale, last)}
        </Button>
      )}
    </AnswerForm>
  );
}
