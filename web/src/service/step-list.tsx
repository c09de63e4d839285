import { localTime, ownMinutes, type Guide, type ServiceStep } from '@winter-jar/core';
import { Check } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useStepTimesQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { useWide } from '../device/use-wide.js';
import type { Words } from '../words/words.js';
import { headOf } from './step-words.js';

/** Every step with its time: done, now, and as long as it usually takes, here where five were done. */
export function StepList({
  guide: { done, current, ahead },
  words,
  of,
}: {
  guide: Guide;
  words: Words;
  of: { procedure: string; modelId: string };
}) {
  const { data } = useStepTimesQuery(of);
  const own = (step: string) => ownMinutes(data?.steps.find((one) => one.step === step)?.minutes ?? []);
  const print = usePrint();
  const now = done.length + 1;
  const line = (shown: ServiceStep) => headOf(shown, print);
  const wide = useWide();
  const list = useRef<HTMLOListElement>(null);
  const here = useRef<HTMLLIElement>(null);
  // Beside the step the list keeps it in its middle, and the page stays where it is; beneath it, on a phone, nothing scrolls.
  useEffect(() => {
    if (!wide || !list.current || !here.current) return;
    list.current.scrollTop = here.current.offsetTop - list.current.clientHeight / 2;
  }, [wide, now]);
  return (
    <ol
      ref={list}
      aria-label="Steps"
      tabIndex={0}
      className="order-3 flex flex-col border-rule p-4 text-[14px] wide:sticky wide:top-0 wide:order-none wide:max-h-[calc(100dvh-160px)] wide:overflow-y-auto wide:border-r"
    >
      {done.map(({ shown, visit, said }) => (
        <li
          key={`${shown.step.id}/${visit}`}
          className="grid grid-cols-[24px_1fr_auto] gap-2 border-b border-rule-soft py-2 text-ink-2"
        >
          <Check size={16} aria-label="done" className="mt-0.5" />
          <span className="wrap-anywhere">{line(shown)}</span>
          <span className="figure">{said && localTime({ at: said.at, zone: words.zone })}</span>
        </li>
      ))}
      {current && (
        <li
          ref={here}
          aria-current="step"
          className="grid grid-cols-[24px_1fr] gap-2 rounded-[6px] border-2 border-ink bg-sheet px-2 py-2 font-semibold"
        >
          <span className="figure">{now}</span>
          <span className="wrap-anywhere">{line(current.shown)}</span>
        </li>
      )}
      {ahead.map((shown, i) => (
        <li key={shown.step.id} className="grid grid-cols-[24px_1fr_auto] gap-2 border-b border-rule-soft py-2">
          <span className="figure">{now + i + 1}</span>
          <span className="wrap-anywhere">{line(shown)}</span>
          <span className="figure text-ink-2">{print.duration(own(shown.step.id) ?? shown.step.minutes)}</span>
        </li>
      ))}
    </ol>
  );
}
