// How often a flush plan calls for the wash rightly: simulated housings whose corners and walls the plan cannot see.

const HOUSINGS = 500;
const TARGET = 0.2;
/** Half a tenth of a percent of sludge. */
const COARSE = 0.05;
const LATEST_FILLS = 2;
const MOST_FILLS = 60;

/** @returns shares of the housings in which "wash first" was said when, and only when, it was cheaper; and how often the new charge met the target */
export function benchFlush({ core, housings: { afterFlushFill, dirtyHousing, readingOf } }) {
  const wanted = (housing) => {
    let next = afterFlushFill(housing);
    let fills = 0;
    for (; fills < MOST_FILLS && next.inOil > TARGET; fills += 1) next = afterFlushFill(next);
    return fills;
  };
  let [right, cheaper, said, ended, met] = [0, 0, 0, 0, 0];
  for (let seed = 1; seed <= HOUSINGS; seed += 1) {
    const random = core.seededRandom(70_000 + seed);
    const chargeL = Math.exp(random.between([Math.log(0.4), Math.log(20)]));
    const [perL, perHour] = [random.between([4, 40]), random.between([30, 90])];
    const effort = (fills, minutes, hours) => ({
      ...{ litres: fills * chargeL, minutes, hours },
      money: fills * chargeL * perL + (minutes / 60) * perHour,
    });
    const [fill, wash] = [effort(1, 28, 1), effort(2, 85, 2)];
    let housing = dirtyHousing(random, Math.exp(random.between([Math.log(0.8), Math.log(8)])));
    const start = Math.max(readingOf(random, housing, COARSE), COARSE);
    const readings = [];
    for (;;) {
      const input = { start, target: TARGET, coarse: COARSE, readings, holdUp: housing.holdUp, fill, wash };
      const { verdict } = core.flushPlan(input);
      if (verdict !== 'fillOnce' || readings.length === LATEST_FILLS) {
        const isCheaper = wanted(housing) * fill.money > wash.money;
        cheaper += isCheaper ? 1 : 0;
        said += verdict === 'wash' ? 1 : 0;
        right += isCheaper === (verdict === 'wash') ? 1 : 0;
        ended += verdict === 'newCharge' ? 1 : 0;
        met += verdict === 'newCharge' && wanted(housing) === 0 ? 1 : 0;
        break;
      }
      housing = afterFlushFill(housing);
      readings.push(readingOf(random, housing, COARSE));
    }
  }
  return { right: right / HOUSINGS, met: met / ended, cheaper, said, ended, housings: HOUSINGS, limit: 0.9 };
}
