import { countOf, hours } from '../ui/number.js';
import type { EarlierCharge, PumpPage } from '@winter-jar/contracts';
import { barWords, rulerWords } from '../words/bar-words.js';
import { materialName } from '../words/material-words.js';
import { shortDayWords } from '../words/dates.js';
import { jarWords } from '../words/jar-words.js';
import type { Words } from '../words/words.js';
import { layersOf } from '../ui/jar-layout.js';
import { Jar } from '../ui/jar.js';
import { RunRuler } from '../ui/run-ruler.js';
import { useWidth } from '../ui/use-width.js';

/** Earlier charges stacked beneath the present one, so that charges compare. */
export function EarlierCharges({ page, words }: { page: PumpPage; words: Words }) {
  if (page.earlier.length === 0)
    return (
      <p className="text-[15px] text-ink-2">
        This is the first charge in the journal. Each oil change puts the old one here.
      </p>
    );
  return (
    <ul>
      {page.earlier.map((charge) => (
        <Charge key={charge.number} charge={charge} page={page} words={words} />
      ))}
    </ul>
  );
}

function Charge({ charge, page, words }: { charge: EarlierCharge; page: PumpPage; words: Words }) {
  const [ref, width] = useWidth<HTMLDivElement>(400);
  const names = Object.fromEntries(
    charge.ruler.bars.flatMap(({ materialId: id }) => (id ? [[id, materialName(id, page.setUp.house)] as const] : [])),
  );
  const since = shortDayWords(charge.since, words.zone);
  return (
    <li className="grid grid-cols-[56px_minmax(0,1fr)_36px] items-center gap-3 border-b border-rule-soft py-1 wide:grid-cols-[64px_minmax(0,1fr)_168px_36px]">
      <span className="figure text-[14px]">{since}</span>
      <div ref={ref} className="min-w-0 overflow-hidden">
        <RunRuler
          ruler={charge.ruler}
          width={width}
          label={rulerWords(`Charge of ${since}`, charge.ruler)}
          wordsOf={(bar) => barWords(bar, names, words)}
        />
      </div>
      <span className="col-start-2 text-[14px] text-ink-2 wide:col-start-3">
        {countOf(charge.runs, 'run')}, {hours(charge.hours)}
        {charge.bledWaterMl > 0 && `, ${words.print.volume(charge.bledWaterMl)} bled`}
        {charge.carriedOverRuns > 0 && `, ${charge.carriedOverRuns} carried over`}
      </span>
      <span className="col-start-3 row-start-1 wide:col-start-4">
        {charge.lastJar && (
          <Jar
            layers={layersOf(charge.lastJar, page.row.chargeMl)}
            width={24}
            label={jarWords(charge.lastJar, page.row.chargeMl, words.print)}
          />
        )}
      </span>
    </li>
  );
}
