import { seededRandom } from '../simulate/index.js';
import { madePumpDown, madeRise } from '../testing/gauge-logs.js';
import { judgePumpDown } from './judge-pump-down.js';
import { judgeRise } from './judge-rise.js';

/** A sample: npm run bench judges 500 of each, within 95, 10 and 85 to 95 percent. */
const LOGS = 20;
const uniformOf = (seed: number) => {
  const random = seededRandom(seed);
  return () => random.next();
};

test('rises that were made: right where something is decided, decided where it can be told, and the leak within its interval', () => {
  const uniform = uniformOf(7);
  let [decided, right, told, undecided, held] = [0, 0, 0, 0, 0];
  for (let i = 0; i < LOGS; i++) {
    const made = madeRise(uniform);
    const { verdict, leakPaM3PerS: leak } = judgeRise(made);
    if (verdict !== 'undecided') decided += 1;
    if (verdict === made.truth) right += 1;
    if (made.canBeTold) told += 1;
    if (made.canBeTold && verdict === 'undecided') undecided += 1;
    if (made.leakPaM3PerS >= leak.p10 && made.leakPaM3PerS <= leak.p90) held += 1;
  }
  expect(right / decided).toBeGreaterThanOrEqual(0.9);
  expect(undecided / told).toBeLessThanOrEqual(0.15);
  expect(held / LOGS).toBeGreaterThanOrEqual(0.7);
});

test('pump-downs that were made: what keeps the pressure up, and the speed within a tenth of what the volume allows', () => {
  const uniform = uniformOf(9);
  let [right, speeds, near] = [0, 0, 0];
  for (let i = 0; i < LOGS; i++) {
    const made = madePumpDown(uniform);
    const judged = judgePumpDown({ ...made, pumpingSpeedM3h: made.ratedM3h });
    if (judged.verdict === made.truth) right += 1;
    if (made.truth === 'restriction' || made.truth === 'moisture') continue;
    speeds += 1;
    if (made.speedM3h >= judged.speedM3h.p10 && made.speedM3h <= judged.speedM3h.p90) near += 1;
  }
  expect(right / LOGS).toBeGreaterThanOrEqual(0.95);
  expect(near / speeds).toBeGreaterThanOrEqual(0.7);
});
