import { cautionWords, DECIDED } from '@winter-jar/core';
import type { LikelyCause } from '@winter-jar/contracts';
import { useState } from 'react';
import { Button } from '../ui/button.js';
import { Caution } from '../ui/caution.js';
import { causeName, causeOf, isLinked, foundWords, shareWords } from '../words/diagnosis-words.js';
import { ShareSum } from './share-sum.js';
import type { DiagnosisProps } from './diagnosis-props.js';

const FIRST = 5;
/** Signs and conditions beside a cause; the others stand in its sum. */
const CHIPS = 4;

/** What may be wrong, the likeliest first, each with what speaks for and against it and the sum behind its share. */
export function LikelyCauses({ answer }: DiagnosisProps) {
  const [all, setAll] = useState(false);
  const causes = all ? answer.causes : answer.causes.slice(0, FIRST);
  const [top] = answer.causes;
  return (
    <section>
      <h2 className="text-[18px]">Likely causes</h2>
      {answer.undecided && (
        <p className="mt-2 border-l-4 border-rule pl-3 text-[15px]">
          {top && top.probability >= DECIDED
            ? 'Not enough to tell: circumstances make the first one likely, and no sign of it was seen yet. Do the next cheap check.'
            : 'Not enough to tell: nothing stands out yet. Do the next cheap check.'}
        </p>
      )}
      <ol className="mt-2">
        {causes.map((cause, i) => (
          <Cause key={cause.id} cause={cause} first={i === 0 && !answer.undecided} />
        ))}
      </ol>
      <p className="mt-3 text-[13px] text-ink-2">
        A share is the probability that this cause is at work. Several may be, so shares need not add up to 100. Nothing
        of all this: {shareWords(answer.nothing)}.
      </p>
      {answer.causes.length > FIRST && (
        <Button look="plain" className="no-print !px-0 !text-[14px]" onClick={() => setAll(!all)}>
          {all ? 'Fewer causes' : 'More causes'}
        </Button>
      )}
      {top && !answer.undecided && <Remedy id={top.id} />}
    </section>
  );
}

function Cause({ cause, first }: { cause: LikelyCause; first: boolean }) {
  const [open, setOpen] = useState(false);
  const name = causeName(cause.id);
  const telling = cause.contributions.filter((s) => isLinked(cause.id, s.finding)).slice(0, CHIPS);
  return (
    <li className="border-b border-rule py-3">
      <h3 className={first ? 'text-[20px]' : 'text-[16px]'}>
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="flex min-h-8 w-full items-baseline gap-3 text-left"
        >
          <span className="min-w-0 flex-1">{name}</span>
          <span className="figure shrink-0 underline decoration-edge underline-offset-4">
            {shareWords(cause.probability)}
          </span>
        </button>
      </h3>
      <span className="mt-1 block h-2 overflow-hidden rounded-full bg-rule-soft" aria-hidden="true">
        <span
          className={`block h-full rounded-full ${first ? 'bg-ink' : 'bg-edge'}`}
          style={{ width: `${Math.max(1, cause.probability * 100)}%` }}
        />
      </span>
      {telling.length > 0 && (
        <ul aria-label={`What speaks for and against: ${name}`} className="mt-2 flex flex-wrap gap-2">
          {telling.map((s) => (
            <li
              key={s.finding}
              className={`rounded-[6px] border px-2 py-0.5 text-[13px] ${s.weight > 0 ? 'border-run-on text-run-on' : 'border-stop text-stop'}`}
            >
              {s.weight > 0 ? 'for' : 'against'}: {foundWords(s.finding, s.state)}
            </li>
          ))}
        </ul>
      )}
      {telling.length === 0 && <p className="mt-1 text-[13px] text-ink-2">Nothing that was found speaks of it.</p>}
      {open && <ShareSum cause={cause} />}
    </li>
  );
}

function Remedy({ id }: { id: string }) {
  const cause = causeOf(id);
  if (!cause) return null;
  return (
    <div className="mt-5 flex flex-col gap-3">
      <p className="border-l-4 border-ink pl-3 text-[15px] leading-6">
        <span className="font-semibold">If it is that:</span> {cause.remedy} {cause.prevention}
      </p>
      {cause.cautions.length > 0 && (
        <Caution>
          {cautionWords(cause.cautions).join(' ')} Site rules, local codes and the maker’s manual come first.
        </Caution>
      )}
    </div>
  );
}
