import { number } from '../ui/number.js';
import type { PumpPage } from '@winter-jar/contracts';
import type { WaterStory } from '@winter-jar/core';
import { useWaterQuery } from '../api/house-api.js';
import { dayWords } from '../words/dates.js';
import { materialName } from '../words/material-words.js';
import type { Words } from '../words/words.js';
import { WaterBars } from './water-bars.js';
import { assumedWords, budgetWords, fitWords, hintWords, notEstimatedWords } from './water-words.js';

/** Where the water of this charge comes from: expected by its runs, found, and what the difference means. */
export function WaterSection({ page, words }: { page: PumpPage; words: Words }) {
  const { data, isError } = useWaterQuery(page.row.pumpId);
  if (isError)
    return <p className="text-[15px] text-ink-2">The water could not be fetched: the server does not answer.</p>;
  if (!data) return <p className="text-[15px] text-ink-2">Calculating …</p>;
  const { story } = data;
  if (!story) return null;
  return <Budget story={story} page={page} words={words} />;
}

function Budget({ story, page, words }: { story: WaterStory; page: PumpPage; words: Words }) {
  const { print } = words;
  const said = budgetWords(story, print);
  const fit = fitWords(story);
  const { says } = story.budget;
  const [first, ...others] = story.hints;
  return (
    <div className="flex flex-col gap-3">
      <p className={`text-[15px] ${says === 'more' ? 'font-semibold' : ''}`}>{said.full}</p>
      {says !== 'notEstimated' && <WaterBars story={story} print={print} />}
      {first && <p className="text-[15px]">{hintWords(first)}</p>}
      {(others.length > 0 || fit || story.purged || story.runs.length > 0) && (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center text-[15px] underline">
            The sum, run by run
          </summary>
          <div className="flex flex-col gap-3">
            {others.length > 0 && (
              <ul className="list-disc pl-5 text-[15px] leading-6">
                {others.map((hint) => (
                  <li key={hint.code}>{hintWords(hint)}</li>
                ))}
              </ul>
            )}
            {story.purged && (
              <p className="text-[14px] text-ink-2">
                It was purged on this charge: what that took out cannot be found again.
              </p>
            )}
            {fit && <p className="text-[14px] text-ink-2">{fit}</p>}
            <RunsTable story={story} page={page} words={words} />
          </div>
        </details>
      )}
    </div>
  );
}

const grams = (g: number): string => `${number(g)}\u00a0g`;

/** Taken in and expected in the oil are kept apart, run by run. */
export function RunsTable({
  story,
  page,
  words,
}: {
  story: Pick<WaterStory, 'runs'>;
  page: Pick<PumpPage, 'setUp'>;
  words: Words;
}) {
  if (story.runs.length === 0) return null;
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[560px] text-left text-[14px]">
        <thead>
          <tr className="border-b border-rule text-ink-2">
            <th className="py-2 pr-3 font-normal">Run</th>
            <th className="py-2 pr-3 font-normal">Past the trap, or product</th>
            <th className="py-2 pr-3 font-normal">With air</th>
            <th className="py-2 pr-3 font-normal">Expected in the oil</th>
          </tr>
        </thead>
        <tbody>
          {[...story.runs].reverse().map(({ entryId, at, materialId, water }) => (
            <tr key={entryId} className="border-b border-rule-soft align-top">
              <td className="py-2 pr-3">
                {dayWords(at, words.zone, words.now)} · {materialName(materialId, page.setUp.house)}
              </td>
              {water.ok ? (
                <>
                  <td className="figure py-2 pr-3">{grams(water.takenIn.trapG + water.takenIn.flashG)}</td>
                  <td className="figure py-2 pr-3">{grams(water.takenIn.ballastG + water.takenIn.chamberG)}</td>
                  <td className="py-2 pr-3">
                    <span className="figure">{grams(water.leftG)}</span>
                    {water.assumed.length > 0 && (
                      <span className="block text-[13px] text-ink-2">taken: {assumedWords(water.assumed)}</span>
                    )}
                  </td>
                </>
              ) : (
                <td className="py-2 pr-3 text-ink-2" colSpan={3}>
                  not estimated: {notEstimatedWords(water.why)}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
