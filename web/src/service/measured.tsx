import { boundsAtStep, mostAtStep, type MeasureGoes } from '@winter-jar/core';
import { useState } from 'react';
import { useUnits } from '../device/use-units.js';
import { ContainerField } from '../entry/container-field.js';
import { ProductField, productOf } from '../entry/product-field.js';
import { fieldReader } from '../forms/read-quantity.js';
import { Button } from '../ui/button.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { AnswerForm } from './answer-form.js';
import { fillRefusal } from './fill-refusal.js';
import { BackPressureLimits } from './model-facts.js';
import type { StepProps } from './step-props.js';

/** Values that move oil between the pump and the shelf. */
const CONTAINER_WAYS: { readonly [G in MeasureGoes]?: 'from' | 'into' } = {
  in: 'from',
  added: 'from',
  flushed: 'from',
  flushOut: 'into',
  out: 'into',
  drawn: 'into',
};

/** One number; what nobody measured stays unsaid, but a fill has an amount. */
export function Measured({ step, done, page, busy, onAnswer }: StepProps<'measure'>) {
  const units = useUnits();
  const [text, setText] = useState('');
  const [productId, setProductId] = useState('');
  const [containerId, setContainerId] = useState('');
  const [issues, setIssues] = useState<Readonly<Record<string, string>>>({});
  const { wanted, ...bounds } = boundsAtStep(step);
  const before = productOf(page, step.sumps?.[0] ?? 'oil');
  const offMl = done.findLast(({ shown }) => shown.step.id === step.byGlass)?.said?.value ?? null;
  const offer = offMl === null || offMl === 0 ? null : quantityText(Math.abs(offMl), units.volume);
  const barred = before === null ? null : fillRefusal(page, step, before);
  const comesIn = wanted || step.goes === 'added';
  // Oil that comes in has a name; of one that may not come in another is asked for.
  const asksProduct = comesIn && (step.asksProduct || before === null || barred !== null);
  function answer() {
    const fields = fieldReader(units);
    const value = fields.wanted('value', text, step.of, bounds);
    const most = mostAtStep(step, done, page.setUp.model);
    if (most !== null && value > most)
      fields.refuse(
        'value',
        `At most ${quantityText(most, units.volume)}: what the housing of ${page.setUp.model.name} holds.`,
      );
    const refused = productId === '' ? null : fillRefusal(page, step, productId);
    if (refused) fields.refuse('productId', refused);
    if (asksProduct && productId === '') fields.refuse('productId', 'Say which oil was filled.');
    setIssues(fields.issues);
    if (!fields.hasIssues()) onAnswer({ value, choice: productId || null, containerId: containerId || null });
  }
  return (
    <AnswerForm
      busy={busy}
      unsaid={wanted ? null : 'Not measured'}
      onNext={answer}
      onUnsaid={() => onAnswer({ value: null, containerId: containerId || null })}
    >
      {barred && !step.asksProduct && (
        <p role="alert" className="border-l-4 border-stop bg-sheet p-3 text-[17px]">
          {page.setUp.house.oilProduct[before ?? '']?.name ?? 'The oil that is in it'}: {barred}
        </p>
      )}
      {asksProduct && (
        <ProductField page={page} value={productId} before={before} onChange={setProductId} error={issues.productId} />
      )}
      {step.goes === 'exhaustPa' && <BackPressureLimits page={page} />}
      <QuantityField label={step.label} dimension={step.of} text={text} onText={setText} error={issues.value} />
      {step.goes !== undefined && CONTAINER_WAYS[step.goes] && (
        <ContainerField
          page={page}
          way={CONTAINER_WAYS[step.goes] ?? 'from'}
          // What flushes for a change of product is not the oil that leaves, and none that may not come in.
          {...(step.goes === 'flushed'
            ? { productId: null, fits: (id: string) => id !== before && fillRefusal(page, step, id) === null }
            : { productId: productId || before })}
          value={containerId}
          onChange={setContainerId}
        />
      )}
      {offer !== null && text === '' && (
        <Button size="field" onClick={() => setText(offer)}>
          By the glass, to the middle: about {offer}
        </Button>
      )}
    </AnswerForm>
  );
}
