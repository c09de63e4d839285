import type { PumpPage } from '@winter-jar/contracts';
import { ballastAdvice } from '@winter-jar/core';
import type { Words } from '../words/words.js';
import { adviceWords } from './water-words.js';

/** What the gas ballast of this pump can do at its oil's running temperature, for what went in last. */
export function BallastPanel({ page, words }: { page: PumpPage; words: Words }) {
  const { setUp, state } = page;
  const charge = state.sumps.find((s) => s.key === 'oil')?.charge;
  const material = setUp.house.material[state.lastRun?.materialId ?? ''];
  const smelt = state.sumps.some((s) => s.findings.some((f) => f.code === 'smell' && f.smell === 'solvent'));
  const inOilUl = charge ? charge.expectedWaterUl - charge.bledWaterUl - charge.sampledWaterUl : 0;
  const advice = ballastAdvice({
    model: setUp.model,
    oilTempC: setUp.model.operatingOilTempC,
    waterMl: Math.max(0, inOilUl) / 1000,
    solvent: smelt || (material?.solvent ?? 0) >= 2,
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
