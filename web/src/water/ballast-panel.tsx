import type { PumpPage } from '@winter-jar/contracts';
import { ballastAdvice, type Material } from '@winter-jar/core';
import type { Words } from '../words/words.js';
import { adviceWords } from './water-words.js';

/** Rating from which a material’s vapour makes air in the pump a danger. */
const SOLVENT_LOAD = 2;

/** What went in last; where nobody has said it, whatever is usual on such equipment. */
function mayHaveGoneIn({ setUp, state }: PumpPage): Material[] {
  const { material } = setUp.house;
  if (!state.lastRun) return [];
  const { materialId } = state.lastRun;
  return Object.entries(material).flatMap(([id, m]) =>
    (materialId === null ? m.process === setUp.equipment.process : id === materialId) ? [m] : [],
  );
}

/** What the gas ballast of this pump can do at its oil's running temperature, for what went in last. */
export function BallastPanel({ page, words }: { page: PumpPage; words: Words }) {
  const { setUp, state } = page;
  const charge = state.sumps.find((s) => s.key === 'oil')?.charge;
  const smelt = state.sumps.some((s) => s.findings.some((f) => f.code === 'smell' && f.smell === 'solvent'));
  const inOilUl = charge ? charge.expectedWaterUl - charge.bledWaterUl - charge.sampledWaterUl : 0;
  const advice = ballastAdvice({
    model: setUp.model,
    oilTempC: setUp.model.operatingOilTempC,
    waterMl: Math.max(0, inOilUl) / 1000,
    solvent: smelt || mayHaveGoneIn(page).some((m) => m.solvent >= SOLVENT_LOAD),
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
