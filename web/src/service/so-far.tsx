import { dirtScaleOf, type Guide, type GuideStep } from '@winter-jar/core';
import { usePrint, type Print } from '../device/use-print.js';
import { dirtWords } from '../words/dirt-words.js';

/** A value that a step was answered with, in the person's units; null where it asks for none. @param done names the scale of a flush */
export function valueWords(
  { shown: { step }, said }: GuideStep,
  print: Print,
  done: readonly GuideStep[],
): string | null {
  if (!said) return null;
  if (step.kind === 'measure') return said.value === null ? 'not measured' : print[step.of](said.value);
  if (step.kind !== 'dirt') return null;
  const scale = dirtScaleOf(done);
  return scale === null || said.value === null ? 'not read' : dirtWords(scale, said.value);
}
const isAsked = ({ shown: { step } }: GuideStep): boolean => step.kind === 'measure' || step.kind === 'dirt';

/** What was measured until now, and what should be at hand. */
export function SoFar({ guide: { done }, atHand }: { guide: Guide; atHand: readonly string[] }) {
  const print = usePrint();
  const measured = done.filter(isAsked);
  return (
    <div className="flex flex-col gap-4">
      {measured.length > 0 && (
        <section>
          <h2 className="text-[17px]">So far</h2>
          <dl className="mt-1">
            {measured.map((at) => (
              <div key={`${at.shown.step.id}/${at.visit}`} className="flex justify-between gap-4 py-0.5 text-[14px]">
                <dt>{'label' in at.shown.step && at.shown.step.label}</dt>
                <dd className="figure">{valueWords(at, print, done)}</dd>
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
