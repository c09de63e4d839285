import type { PumpEffect } from '@winter-jar/contracts';
import type { Words } from '../words/words.js';
import { countWords, standingWords } from '../words/effect-words.js';

const SHOWN = 30;

interface EffectLine {
  readonly effect: PumpEffect;
  readonly before: string;
  readonly after: string | null;
  readonly counts: readonly string[];
}

/** What moves, pump by pump, before anything is saved: those that will stand otherwise first, in a word those that will not. */
export function EffectList({
  effects,
  progress = 1,
  wordsFor,
}: {
  effects: readonly PumpEffect[];
  /** How much of the yard was looked at, from 0 to 1. */
  progress?: number;
  wordsFor: (zone: string) => Words;
}) {
  const said = effects.map((effect): EffectLine => {
    const words = wordsFor((effect.after ?? effect.before)?.zone ?? 'UTC');
    return { effect, ...standingWords(effect, words), counts: countWords(effect) };
  });
  const moved = said
    .filter((s) => s.after !== null || s.counts.length > 0)
    .sort((a, b) => Number(b.after !== null) - Number(a.after !== null));
  const others = said.filter((s) => !moved.includes(s)).map((s) => s.effect.name);
  return (
    <div className="text-[15px]">
      {progress < 1 && (
        <p role="status" className="text-ink-2">
          Looked at <span className="figure">{Math.floor(progress * 100)} %</span> of the pumps so far; more may move.
        </p>
      )}
      {progress === 1 && moved.length === 0 && others.length === 0 && <p>No pump stands otherwise than before.</p>}
      <ul>
        {moved.slice(0, SHOWN).map(({ effect, before, after, counts }) => (
          <li key={effect.pumpId} className="border-b border-rule-soft py-2">
            <span dir="auto" className="figure font-semibold wrap-anywhere">
              {effect.name}
            </span>{' '}
            {after === null ? (
              <span>stands as before: {before}.</span>
            ) : (
              <span>
                <span className="text-ink-2">{before}</span> → <span className="font-semibold">{after}</span>
              </span>
            )}
            {counts.length > 0 && <span className="figure block text-[14px] text-ink-2">{counts.join(' · ')}</span>}
          </li>
        ))}
      </ul>
      {moved.length > SHOWN && <p className="py-2 text-ink-2">and {moved.length - SHOWN} more</p>}
      {others.length > 0 && (
        <p className="py-2 text-[14px] text-ink-2 wrap-anywhere">
          {moved.length === 0 ? 'All stand as before' : 'These stand as before'}, at most a date moves:{' '}
          {others.slice(0, SHOWN).join(', ')}
          {others.length > SHOWN && ` and ${others.length - SHOWN} more`}.
        </p>
      )}
    </div>
  );
}
