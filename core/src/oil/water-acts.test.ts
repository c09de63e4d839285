import { OIL_LIMITS } from '../limits/index.js';
import type { VerdictLevel } from '../limits/index.js';
import type { Act } from './finding.js';
import type { ChargeSeen, JudgedProduct } from './judge.js';
import { readLab } from './read-lab.js';
import { readOil } from './read-oil.js';

const MINERAL: JudgedProduct = { base: 'mineral', waterBehaviour: 'demulsifying', freshColour: 1, densityKgM3: 870 };
const DETERGENT: JudgedProduct = { ...MINERAL, waterBehaviour: 'detergent' };
const PFPE: JudgedProduct = { ...MINERAL, base: 'pfpe', densityKgM3: 1890 };
const CHARGE: ChargeSeen = {
  number: 2,
  chargeMl: 1000,
  runs: 4,
  startColour: 1,
  waterTakenOutMl: 0,
  expectedWaterMl: null,
  purgedSinceSeen: false,
  addedSinceLevel: false,
  productChanged: false,
  pumpHours: null,
  gone: null,
};

// docs/trade.md 6: 2, 5 and 10 % of the charge; from 50 mL on bled before the next run, however large the charge.
test.each<[string, JudgedProduct, number, number, VerdictLevel, Act | null]>([
  ['25 mL in a litre', MINERAL, 1000, 25, 'lookSooner', 'bleed'],
  ['49 mL in 20 L', MINERAL, 20_000, 49, 'runOn', null],
  ['50 mL in 20 L', MINERAL, 20_000, 50, 'beforeNextRun', 'bleed'],
  ['60 mL in 3 L, just 2 %', MINERAL, 3000, 60, 'beforeNextRun', 'bleed'],
  ['130 mL in 7 L, 1.9 %', MINERAL, 7000, 130, 'beforeNextRun', 'bleed'],
  ['390 mL in 20 L, 2 %', MINERAL, 20_000, 390, 'beforeNextRun', 'bleed'],
  ['200 mL in 5 L, 4 %', MINERAL, 5000, 200, 'beforeNextRun', 'bleed'],
  ['60 mL in a litre, 6 %', MINERAL, 1000, 60, 'beforeNextRun', 'change'],
  ['110 mL in a litre, 11 %', MINERAL, 1000, 110, 'stop', 'change'],
  ['3 mL under a detergent oil: it holds no more', DETERGENT, 1000, 3, 'beforeNextRun', 'change'],
  ['none under a detergent oil', DETERGENT, 1000, 0, 'runOn', null],
  ['25 mL on a litre of PFPE: skimmed and purged', PFPE, 1000, 25, 'lookSooner', 'purge'],
  ['60 mL on 20 L of PFPE', PFPE, 20_000, 60, 'beforeNextRun', 'purge'],
  ['60 mL on a litre of PFPE', PFPE, 1000, 60, 'beforeNextRun', 'purge'],
])('%s', (_, product, chargeMl, freeWaterMl, level, act) => {
  const look = { sump: 'oil', source: 'sightGlass', hoursStood: 60, freeWaterMl } as const;
  const read = readOil({ look, product, charge: { ...CHARGE, chargeMl }, limits: OIL_LIMITS });
  expect({ level: read.level, act: read.act }).toEqual({ level, act });
});

test('water that was bled before counts by its share, not among what stands', () => {
  const look = { sump: 'oil', source: 'sightGlass', hoursStood: 60, freeWaterMl: 10 } as const;
  const charge = { ...CHARGE, chargeMl: 20_000, waterTakenOutMl: 45 };
  expect(readOil({ look, product: MINERAL, charge, limits: OIL_LIMITS }).level).toBe('runOn');
});

test('75 mL that a bleed brought ask for a look at what is left', () => {
  const look = { sump: 'oil', source: 'bleed', lookedAtMl: 90, hoursStood: 60, freeWaterMl: 75 } as const;
  const read = readOil({ look, product: MINERAL, charge: { ...CHARGE, chargeMl: 7000 }, limits: OIL_LIMITS });
  expect({ level: read.level, act: read.act }).toEqual({ level: 'lookSooner', act: 'look' });
});

test('60 ppm by lab in a mineral oil are dissolved while it is warm: purged, never bled', () => {
  const charge = {
    hours: 100,
    runningOilTempC: 70,
    earlierIronRates: [],
    earlierSilicon: [],
    earlierClasses: [],
    glitterSeen: false,
  };
  const { findings } = readLab({
    values: { waterPpm: 60 },
    wearSigns: [],
    product: MINERAL,
    charge,
    limits: OIL_LIMITS,
  });
  expect(findings).toMatchObject([{ code: 'labWater', level: 'lookSooner', act: 'purge' }]);
});
