import { seededRandom } from '../simulate/index.js';
import type { Equipment, PumpModel } from '../set-up/index.js';
import { fitTrapEfficiency, type WaterSegment } from './fit-trap-efficiency.js';
import type { RunWaterInput } from './run-water.js';
import { waterBudget } from './water-budget.js';

// The Magnus form over ice (WMO, 2018, guide no. 8, annex 4.B) and the ideal gas, at 6 m³/h.
const icePa = (c: number): number => 611.2 * Math.exp((22.46 * c) / (272.62 + c));
const pastG = (c: number, hours: number): number => (icePa(c) * 6 * hours * 18.015) / (8.3145 * 293.15);

const equipment: Equipment = {
  name: 'Chamber',
  siteId: 'site',
  process: 'freezeDrying',
  referenceHours: 20,
  coldTrap: true,
};
const model = { pumpingSpeedM3h: 6, operatingOilTempC: 70, ballastRule: 'purge' } as PumpModel;
const runOf = (trapTempC: number, hours: number): RunWaterInput => ({
  body: { minutes: hours * 60, session: 'run', ballast: 'closed', trapTempC, ventedBeforeStop: 'yes' },
  minutes: hours * 60,
  equipment,
  model,
});

test('20 mL of meltwater are noticed after a few ordinary charges, whatever the trap’s factor, and seldom called where there are none', () => {
  const seed = Number(process.env['SEED'] ?? 1);
  const random = seededRandom(seed);
  let [noticed, falsely] = [0, 0];
  const lives = 300;
  for (let life = 0; life < lives; life++) {
    const factor = 0.2 * 20 ** random.next();
    const ordinary = () => ({ c: random.between([-48, -38]), hours: random.between([15, 45]) });
    const read = (c: number, hours: number) => (pastG(c, hours) / factor) * Math.exp(0.06 * random.normal());
    const seen = (ml: number) => Math.max(0, ml + 2 * random.normal());
    const segments = Array.from({ length: 6 }, (): WaterSegment => {
      const { c, hours } = ordinary();
      return { foundMl: seen(read(c, hours)), leftMl: (efficiency) => pastG(c, hours) / efficiency };
    });
    const fit = fitTrapEfficiency(segments);
    const { c, hours } = ordinary();
    const water = read(c, hours);
    const expectedUl = (pastG(c, hours) / (fit.ok && fit.knowsEnough ? fit.efficiency : 1)) * 1000;
    const says = (ml: number) =>
      waterBudget({ runs: [runOf(c, hours)], expectedUl, foundMl: seen(ml), fit, setUpEfficiency: null }).says;
    if (says(water + 20) === 'more') noticed += 1;
    if (says(water) === 'more') falsely += 1;
  }
  expect(noticed / lives).toBeGreaterThanOrEqual(0.95);
  expect(falsely / lives).toBeLessThanOrEqual(0.05);
});
