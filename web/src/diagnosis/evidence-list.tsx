import type { DiagnosisAnswer, EvidenceLine } from '@winter-jar/contracts';
import { Link } from 'react-router';
import { dayWords } from '../words/dates.js';
import type { Words } from '../words/words.js';
import { LinkButton } from '../ui/button.js';
import { kindAsSource } from '../words/kind-words.js';
import { checkOf, findingName, foundWords, FULL_FROM, isLinked, stateName } from '../words/diagnosis-words.js';
import type { DiagnosisProps } from './diagnosis-props.js';

/** Shown as open questions: what the first tests would settle. */
const QUESTIONS = 3;

/** Causes that a person looks at, and the change of a cause's log odds from which a finding is worth a line. */
const LOOKED_AT = 5;
const TELLING = 0.3;

/** What moves the causes on top, the strongest first, and what people have said; then the rest. */
export function byHowMuchItSays({ evidence, causes }: Pick<DiagnosisAnswer, 'evidence' | 'causes'>): {
  telling: EvidenceLine[];
  rest: EvidenceLine[];
} {
  const weight = ({ id }: EvidenceLine) =>
    Math.max(
      0,
      ...causes
        .slice(0, LOOKED_AT)
        .flatMap((c) =>
          c.contributions.filter((s) => s.finding === id && isLinked(c.id, id)).map((s) => Math.abs(s.weight)),
        ),
    );
  const sorted = evidence.toSorted((a, b) => weight(b) - weight(a));
  const tells = (one: EvidenceLine) => weight(one) >= TELLING || one.kind === 'test';
  return { telling: sorted.filter(tells), rest: sorted.filter((one) => !tells(one)) };
}

/** What is known, where it came from and how sure it still is; then what nobody has asked yet. */
export function EvidenceList(props: DiagnosisProps) {
  const { page, answer, words } = props;
  const { pumpId } = page.row;
  const asked = [...new Set(answer.checks.slice(0, QUESTIONS).flatMap((c) => checkOf(c.id)?.settles ?? []))]
    .filter((id) => !answer.evidence.some((e) => e.id === id && e.certainty >= FULL_FROM))
    .slice(0, QUESTIONS);
  const { telling, rest } = byHowMuchItSays(answer);
  return (
    <section className="mt-4">
      <h2 className="text-[18px]">Evidence</h2>
      <p className="text-[13px] text-ink-2">● stands · ○ fading or not sure · ? not known</p>
      <ul className="mt-1">
        {telling.map((one) => (
          <Known key={one.id} one={one} pumpId={pumpId} words={words} />
        ))}
        {asked.map((id) => {
          const faded = answer.faded.find((f) => f.id === id);
          return (
            <li key={`? ${id}`} className="flex gap-3 border-b border-rule-soft py-2">
              <span aria-hidden="true" className="w-4 shrink-0 text-center">
                ?
              </span>
              <span className="min-w-0">
                <span className="block text-[15px]">{findingName(id)}</span>
                <span className="block text-[13px] text-ink-2">
                  {faded
                    ? `not since ${dayWords(faded.at, words.zone, words.now)}: ${stateName(id, faded.state)} then`
                    : 'not known'}
                </span>
              </span>
            </li>
          );
        })}
      </ul>
      {rest.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-8 cursor-pointer text-[14px] text-ink-2">
            {rest.length} more that say little
          </summary>
          <ul>
            {rest.map((one) => (
              <Known key={one.id} one={one} pumpId={pumpId} words={words} />
            ))}
          </ul>
        </details>
      )}
      {answer.evidence.length === 0 && (
        <p className="py-2 text-[15px]">
          The journal says nothing yet. Add what you see: every sign changes the order.
        </p>
      )}
      <LinkButton className="no-print mt-4" letter="A" to={`/pumps/${pumpId}/test`}>
        Add what you see
      </LinkButton>
    </section>
  );
}

function Known({ one, pumpId, words }: { one: EvidenceLine; pumpId: string; words: Words }) {
  const full = one.certainty >= FULL_FROM;
  return (
    <li className="flex gap-3 border-b border-rule-soft py-2">
      <span aria-hidden="true" className="w-4 shrink-0 text-center">
        {full ? '●' : '○'}
      </span>
      <span className="min-w-0 flex-1">
        <span className="block text-[15px]">
          {foundWords(one.id, one.state)}
          <span className="sr-only">{full ? ', stands' : ', fading or not sure'}</span>
        </span>
        <span className="block text-[13px] text-ink-2">
          <Link
            to={one.kind === 'setUp' ? `/set-up/${one.entryId}` : `/pumps/${pumpId}/entries/${one.entryId}`}
            className="text-ink-2"
          >
            {kindAsSource(one.kind)}, {dayWords(one.at, words.zone, words.now)}
          </Link>
          {one.before &&
            ` · ${kindAsSource(one.before.kind).toLowerCase()} of ${dayWords(one.before.at, words.zone, words.now)} said: ${stateName(one.id, one.before.state)}`}
        </span>
      </span>
      <Link
        to={`/pumps/${pumpId}/test?finding=${one.id}`}
        aria-label={`Not so: ${foundWords(one.id, one.state)}`}
        className="no-print flex min-h-11 shrink-0 wide:min-h-8 items-center px-1 text-[13px] text-ink-2"
      >
        Not so?
      </Link>
    </li>
  );
}
