import type { ProposedCheck } from '@winter-jar/contracts';
import { Link } from 'react-router';
import { causeName, checkName, checkOf, foundWords, shareWords } from '../words/diagnosis-words.js';
import type { DiagnosisProps } from './diagnosis-props.js';
import { NextStepButton } from './next-step-button.js';

/** What it costs that the pump stands still, as the person says it. */
export const STOPS = [
  { value: 'stands', words: 'it stands anyway', weight: 0 },
  { value: 'may', words: 'it may stop', weight: 1 },
  { value: 'must-run', words: 'it must run', weight: 10 },
] as const;
export type Stop = (typeof STOPS)[number]['value'];

const OTHERS = 3;
const SKILL_WORDS = { 1: 'by whoever runs the pump', 2: 'by a technician', 3: 'by a workshop or laboratory' } as const;

export interface NextTestsProps extends DiagnosisProps {
  /** The evidence is fetched anew: what is proposed may be what was just done. */
  readonly fetching: boolean;
  readonly stop: Stop;
  readonly onStop: (stop: Stop) => void;
}

/** The cheapest test that tells most, with what each outcome would leave on top; then the next ones. */
export function NextTests({ page, answer, fetching, stop, onStop }: NextTestsProps) {
  const { pumpId } = page.row;
  const [best, ...others] = answer.checks;
  const path = (id: string) => `/pumps/${pumpId}/test?check=${id}`;
  return (
    <section>
      <h2 className="text-[18px]">Cheapest test that tells most</h2>
      {best ? (
        <>
          <div className="mt-2 rounded-[6px] border border-rule p-3">
            <div className="flex items-baseline justify-between gap-3">
              <h3 className="text-[16px]">{checkName(best.id)}</h3>
              <span className="figure shrink-0 text-[14px] text-ink-2">{minutesWords(best.id)}</span>
            </div>
            <Takes id={best.id} />
            <Outcomes check={best} now={answer.causes[0]?.id ?? ''} />
          </div>
          <NextStepButton to={path(best.id)} fetching={fetching} className="no-print mt-3 w-full justify-center">
            Do this test
          </NextStepButton>
        </>
      ) : (
        <p className="mt-2 text-[15px]">Every test of the list is done. Close the case, or ask the maker.</p>
      )}
      <ul className="mt-3">
        {others.slice(0, OTHERS).map((check) => (
          <li key={check.id} className="border-b border-rule-soft">
            <Link
              to={path(check.id)}
              className="flex min-h-11 items-center justify-between gap-3 py-2 text-[15px] text-ink"
            >
              <span>{checkName(check.id)}</span>
              <span className="figure shrink-0 text-[14px] text-ink-2">{minutesWords(check.id)}</span>
            </Link>
          </li>
        ))}
      </ul>
      <fieldset className="no-print mt-4">
        <legend className="text-[14px] text-ink-2">The pump</legend>
        <div className="mt-1 flex flex-wrap gap-x-4">
          {STOPS.map(({ value, words }) => (
            <label key={value} className="flex min-h-10 items-center gap-2 text-[14px]">
              <input
                type="radio"
                name="stop"
                checked={stop === value}
                onChange={() => onStop(value)}
                className="size-4 accent-(--ink)"
              />
              {words}
            </label>
          ))}
        </div>
      </fieldset>
    </section>
  );
}

const minutesWords = (id: string): string => {
  const minutes = checkOf(id)?.minutes ?? 0;
  return minutes < 120 ? `${minutes}\u00a0min` : `${Math.round(minutes / 60)}\u00a0h`;
};

function Takes({ id }: { id: string }) {
  const check = checkOf(id);
  if (!check) return null;
  const takes = [
    check.stopsPump ? 'the pump has to stop' : 'the pump may run on',
    SKILL_WORDS[check.skill],
    check.cost > 0 ? `about ${check.cost} in parts or fees` : null,
  ].filter(Boolean);
  return <p className="mt-1 text-[14px] text-ink-2">{takes.join(' · ')}</p>;
}

/** How it may come out, and what would then stand on top. */
function Outcomes({ check, now }: { check: ProposedCheck; now: string }) {
  const changing = check.outcomes.filter((o) => o.top.cause !== now).length;
  return (
    <div className="mt-2">
      <p className="text-[14px]">
        {changing === 0
          ? 'No outcome changes the top answer; it makes it surer or less sure.'
          : `Changes the top answer in ${changing} of ${check.outcomes.length} outcomes.`}
      </p>
      <ul className="mt-2 text-[14px]">
        {check.outcomes.map((o) => (
          <li key={o.state} className="border-t border-rule-soft py-1.5">
            <span className="flex justify-between gap-3">
              <span className="font-semibold">{foundWords(o.finding, o.state)}</span>
              <span className="figure shrink-0 text-ink-2">{shareWords(o.probability)}</span>
            </span>
            <span className="block text-ink-2">
              → {causeName(o.top.cause)}, {shareWords(o.top.probability)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
