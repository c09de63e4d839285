import type { PumpPage } from '@winter-jar/contracts';
import { ballastAdvice, isAirBarred, waterInOilMl } from '@winter-jar/core';
import type { Words } from '../words/words.js';
import { adviceWords } from './water-words.js';

/** What the gas ballast of this pump can do at its oil's running temperature, for what is in the oil. */
export function BallastPanel({ page, words }: { page: PumpPage; words: Words }) {
  const { setUp, state } = page;
  const advice = ballastAdvice({
    model: setUp.model,
    oilTempC: setUp.model.operatingOilTempC,
    waterMl: waterInOilMl(state),
    solvent: isAirBarred(state, setUp),
  });
  return (
    <section>
      <h3 className="mb-1 text-[17px]">Gas ballast</h3>
      {advice ? (
        <ul className="list-disc pl-5 text-[15px] leading-6">
          {adviceWords(advice, words.print).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ) : (
        <p className="text-[15px]">This pump has no gas ballast.</p>
      )}
    </section>
  );
}
