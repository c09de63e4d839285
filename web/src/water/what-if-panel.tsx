import { number, weightNumber } from '../ui/number.js';
import { typedQuantity } from '../ui/typed-number.js';
import type { PumpPage } from '@winter-jar/contracts';
import { type Dimension } from '@winter-jar/core';
import { useState } from 'react';
import { useUnits } from '../device/use-units.js';
import { forecastWords, measureWords, usedWords } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { Chips } from '../ui/chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { notEstimatedWords } from './water-words.js';
import { likeTheLast, whatIf, type WhatIfAnswer } from './what-if.js';

const BALLAST = [
  { value: 'closed', words: 'closed' },
  { value: 'open', words: 'open' },
  { value: 'purge', words: 'to purge' },
] as const;

type Ballast = (typeof BALLAST)[number]['value'];

const BOUNDS = {
  trapTempC: { min: -120, max: 20 },
  oilTempC: { min: 0, max: 110 },
  hours: { min: 60, max: 30 * 24 * 60 },
} as const;

/** The next run with another trap, ballast, oil or length: its water, its weight and the next change follow at once. */
export function WhatIfPanel({ page, words }: { page: PumpPage; words: Words }) {
  const units = useUnits();
  const start = likeTheLast(page);
  const [trap, setTrap] = useState(() => quantityText(start.trapTempC, units.temperature));
  const [oil, setOil] = useState(() => quantityText(start.oilTempC, units.temperature));
  const [hours, setHours] = useState(() => quantityText(start.hours * 60, units.duration));
  const [ballast, setBallast] = useState<Ballast>(start.ballast === 'unknown' ? 'closed' : start.ballast);
  const read = (text: string, dimension: Dimension, bounds: { min: number; max: number }): number | null => {
    const parsed = typedQuantity({
      text,
      dimension,
      defaultUnit: units[dimension],
      ...bounds,
    });
    return parsed.ok ? parsed.value : null;
  };
  const trapTempC = page.setUp.equipment.coldTrap ? read(trap, 'temperature', BOUNDS.trapTempC) : start.trapTempC;
  const oilTempC = read(oil, 'temperature', BOUNDS.oilTempC);
  const minutes = read(hours, 'duration', BOUNDS.hours);
  const answer =
    trapTempC === null || oilTempC === null || minutes === null
      ? null
      : whatIf(page, { trapTempC, ballast, oilTempC, hours: minutes / 60 }, words.now);
  return (
    <section>
      <h3 className="mb-2 text-[17px]">What if the next run …</h3>
      {page.state.lastRun === null ? (
        <p className="text-[15px] text-ink-2">Log a run first: the next one is taken to be like it.</p>
      ) : (
        <div className="flex flex-col gap-4">
          <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
            {page.setUp.equipment.coldTrap && (
              <QuantityField label="Trap" dimension="temperature" text={trap} onText={setTrap} {...BOUNDS.trapTempC} />
            )}
            <QuantityField label="Oil" dimension="temperature" text={oil} onText={setOil} {...BOUNDS.oilTempC} />
            <QuantityField label="Length" dimension="duration" text={hours} onText={setHours} {...BOUNDS.hours} />
          </div>
          {page.setUp.model.ballastRule !== 'none' && (
            <Chips label="Ballast" chips={BALLAST} value={ballast} onChange={setBallast} />
          )}
          <div aria-live="polite">{answer && <Answer answer={answer} words={words} />}</div>
        </div>
      )}
    </section>
  );
}

function Answer({ answer, words }: { answer: WhatIfAnswer; words: Words }) {
  const { water, weight, after } = answer;
  const change = after?.tasks.find((t) => t.task === 'oilChange');
  const g = (value: number) => `${number(value)}\u00a0g`;
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[15px]">
      <dt className="text-ink-2">Taken in</dt>
      <dd className="figure">{water.ok ? g(water.takenInG) : notEstimatedWords(water.why)}</dd>
      <dt className="text-ink-2">Stays in the oil</dt>
      <dd className="figure">{water.ok ? g(water.leftG) : '–'}</dd>
      <dt className="text-ink-2">Weight</dt>
      <dd className="figure">{weightNumber(weight)}</dd>
      {change?.decides && (
        <>
          <dt className="text-ink-2">Oil change</dt>
          <dd>
            {usedWords(change.decides)} {measureWords(change.decides.measure).toLowerCase()}
            {change.status === 'reached'
              ? ', due'
              : change.forecast && `, ${forecastWords(change.forecast, words).about}`}
          </dd>
        </>
      )}
    </dl>
  );
}
