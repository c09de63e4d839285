import type { Guide, GuideStep } from '@winter-jar/core';
import { usePrint, type Print } from '../device/use-print.js';

/** A measured value in the person's units; null where nobody measured it. */
export function valueWords({ shown: { step }, said }: GuideStep, print: Print): string | null {
  if (step.kind !== 'measure' || !said) return null;
  return said.value === null ? 'not measured' : print[step.of](said.value);
}

/** What was measured until now, and what should be at hand. */
export function SoFar({ guide: { done }, atHand }: { guide: Guide; atHand: readonly string[] }) {
  const print = usePrint();
  const measured = done.filter(({ shown: { step } }) => step.kind === 'measure');
  return (
    <div className="flex flex-col gap-4">
      {measured.length > 0 && (
        <section>
          <h2 className="text-[17px]">So far</h2>
          <dl className="mt-1">
            {measured.map((at) => (
              <div key={`${at.shown.step.id}/${at.visit}`} className="flex justify-between gap-4 py-0.5 text-[14px]">
                <dt>{at.shown.step.kind === 'measure' && at.shown.step.label}</dt>
                <dd className="figure">{valueWords(at, print)}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      {atHand.length > 0 && (
        <section>
          <h2 className="text-[17px]">At hand</h2>
          <ul className="mt-1 text-[14px] text-ink-2">
            {atHand.map((thing) => (
              <li key={thing} className="py-0.5">
                {thing}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
