// Longer than a file should be: one table of jars, each a story of the trade.
import type { LookBody } from '../journal/index.js';
import type { OilProduct } from '../set-up/index.js';
import type { Act, FindingCode } from './finding.js';
import type { VerdictLevel } from '../limits/verdict-level.js';
import { OIL_LIMITS } from '../limits/oil-limits.js';
import { readOil } from './read-oil.js';
import type { ChargeSeen } from './judge.js';

/**
 * Sixty-odd jars and glasses judged by the table and the special rules of the trade, not by what the engine says.
 * One table, longer than a file should be, so that it can be read beside the trade's own.
 */
type Oil = Pick<OilProduct, 'base' | 'waterBehaviour' | 'freshColour' | 'densityKgM3'> & Partial<OilProduct>;

const MINERAL: Oil = {
  base: 'mineral',
  waterBehaviour: 'demulsifying',
  freshColour: 1,
  densityKgM3: 870,
  viscosity40Mm2s: 68,
  viscosity100Mm2s: 8.7,
};
const DETERGENT: Oil = { ...MINERAL, waterBehaviour: 'detergent' };
const ESTER: Oil = { ...MINERAL, base: 'ester', densityKgM3: 930 };
const PFPE: Oil = { ...MINERAL, base: 'pfpe', densityKgM3: 1890, freshColour: 0.5 };

/** A litre of oil, four runs into its charge, in a pump long in service. */
const CHARGE: ChargeSeen = {
  number: 3,
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

const GLASS: LookBody = { sump: 'oil', source: 'sightGlass', hoursStood: 12 };
const RUNNING: LookBody = { sump: 'oil', source: 'sightGlass', hoursStood: 0 };
/** All of it in a jar, after two days on a warm shelf: settled for any of these oils. */
const JAR: LookBody = { sump: 'oil', source: 'sample', lookedAtMl: 1000, hoursStood: 60, jarTempC: 25 };
const TEN_MINUTES: LookBody = { ...JAR, hoursStood: 0.17 };

interface Case {
  readonly name: string;
  readonly oil?: Oil;
  readonly charge?: Partial<ChargeSeen>;
  readonly look: LookBody;
  readonly level: VerdictLevel;
  readonly act: Act | null;
  readonly reason: FindingCode | null;
}

const CASES: readonly Case[] = [
  // Water, per charge and not per jar.
  {
    name: 'clear bright oil',
    look: { ...JAR, clarity: 'bright', freeWaterMl: 0, colour: 1 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: '20 mL of a litre is not over 2 %',
    look: { ...JAR, freeWaterMl: 20 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  { name: '25 mL of a litre', look: { ...JAR, freeWaterMl: 25 }, level: 'lookSooner', act: 'bleed', reason: 'water' },
  {
    name: '60 mL of a litre',
    look: { ...JAR, freeWaterMl: 60 },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'water',
  },
  { name: '110 mL of a litre', look: { ...JAR, freeWaterMl: 110 }, level: 'stop', act: 'change', reason: 'water' },
  {
    name: 'a bleed that is half water, of a large charge',
    charge: { chargeMl: 3000 },
    look: { ...JAR, source: 'bleed', lookedAtMl: 30, freeWaterMl: 15 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'what was bled before is out of the oil',
    charge: { waterTakenOutMl: 40 },
    look: { ...JAR, freeWaterMl: 15 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'half of the cream counts as water',
    look: { ...JAR, freeWaterMl: 10, creamMl: 24 },
    level: 'lookSooner',
    act: 'bleed',
    reason: 'water',
  },
  {
    name: '26 mL where 12 mL are expected',
    charge: { chargeMl: 2000, expectedWaterMl: 12 },
    look: { ...JAR, freeWaterMl: 26 },
    level: 'lookSooner',
    act: 'bleed',
    reason: 'waterAboveExpected',
  },
  {
    name: '40 mL where 12 mL are expected',
    charge: { chargeMl: 3000, expectedWaterMl: 12 },
    look: { ...JAR, freeWaterMl: 40 },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'waterAboveExpected',
  },
  {
    name: 'three times almost nothing is almost nothing',
    charge: { expectedWaterMl: 1 },
    look: { ...JAR, freeWaterMl: 4 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'water stands at the oil pick-up',
    look: { ...GLASS, waterAtPickUp: true },
    level: 'stop',
    act: 'change',
    reason: 'waterAtPickUp',
  },
  {
    name: 'level above MAX with nothing added, and water in it',
    look: { ...GLASS, level: 'high', freeWaterMl: 30 },
    level: 'stop',
    act: 'change',
    reason: 'levelFromWater',
  },
  // Cream.
  {
    name: 'a little cream that stays',
    look: { ...JAR, creamMl: 5 },
    level: 'lookSooner',
    act: 'purge',
    reason: 'cream',
  },
  { name: 'cream over 3 %', look: { ...JAR, creamMl: 35 }, level: 'beforeNextRun', act: 'purge', reason: 'cream' },
  {
    name: 'a purge did not clear the cream',
    charge: { purgedSinceSeen: true },
    look: { ...JAR, creamMl: 5 },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'cream',
  },
  {
    name: 'cream with solvent in the oil is not purged with air',
    look: { ...JAR, creamMl: 35, smell: 'solvent' },
    level: 'stop',
    act: 'change',
    reason: 'smell',
  },
  {
    name: 'the running oil is cream throughout',
    look: { ...RUNNING, clarity: 'cream' },
    level: 'stop',
    act: 'change',
    reason: 'creamThroughout',
  },
  // Clarity.
  {
    name: 'hazy after two days',
    look: { ...JAR, clarity: 'hazy' },
    level: 'lookSooner',
    act: 'look',
    reason: 'clarity',
  },
  {
    name: 'cloudy after two days',
    look: { ...JAR, clarity: 'cloudy' },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'clarity',
  },
  {
    name: 'running oil opaque',
    look: { ...RUNNING, clarity: 'opaque' },
    level: 'stop',
    act: 'change',
    reason: 'clarity',
  },
  {
    name: 'a hazy detergent oil is as it should be',
    oil: DETERGENT,
    look: { ...JAR, clarity: 'hazy' },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'a cloudy detergent oil',
    oil: DETERGENT,
    look: { ...JAR, clarity: 'cloudy' },
    level: 'lookSooner',
    act: 'purge',
    reason: 'clarity',
  },
  {
    name: 'a purge did not clear a cloudy detergent oil',
    oil: DETERGENT,
    charge: { purgedSinceSeen: true },
    look: { ...JAR, clarity: 'cloudy' },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'clarity',
  },
  {
    name: 'an opaque detergent oil, running',
    oil: DETERGENT,
    look: { ...RUNNING, clarity: 'opaque' },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'clarity',
  },
  // Ten minutes: haze may still be air; what shows, shows.
  {
    name: 'hazy after ten minutes says nothing yet',
    look: { ...TEN_MINUTES, clarity: 'hazy' },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: '60 mL of water after ten minutes is there',
    look: { ...TEN_MINUTES, freeWaterMl: 60 },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'water',
  },
  // Colour above this charge's start.
  {
    name: 'mineral, a step and a half darker',
    look: { ...JAR, colour: 2.5 },
    level: 'lookSooner',
    act: 'look',
    reason: 'colour',
  },
  {
    name: 'mineral, three steps darker',
    look: { ...JAR, colour: 4 },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'colour',
  },
  {
    name: 'mineral from 3 to 4 is one step',
    charge: { startColour: 3 },
    look: { ...JAR, colour: 4 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'ester, a step and a half darker',
    oil: ESTER,
    look: { ...JAR, colour: 2.5 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'detergent, three steps darker',
    oil: DETERGENT,
    look: { ...JAR, colour: 4 },
    level: 'lookSooner',
    act: 'look',
    reason: 'colour',
  },
  {
    name: 'detergent, four steps darker',
    oil: DETERGENT,
    look: { ...JAR, colour: 5 },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'colour',
  },
  {
    name: 'PFPE is not judged by colour',
    oil: PFPE,
    charge: { startColour: 0.5 },
    look: { ...JAR, colour: 6 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'dark again within the first run',
    charge: { runs: 1 },
    look: { ...GLASS, colour: 5 },
    level: 'beforeNextRun',
    act: 'flush',
    reason: 'darkAgain',
  },
  // Sludge.
  { name: 'a trace of sludge', look: { ...JAR, sludgeMl: 1 }, level: 'lookSooner', act: 'look', reason: 'sludge' },
  {
    name: '12 mL of sludge in a litre',
    look: { ...JAR, sludgeMl: 12 },
    level: 'beforeNextRun',
    act: 'flush',
    reason: 'sludge',
  },
  {
    name: '55 mL of sludge in a litre',
    look: { ...JAR, sludgeMl: 55 },
    level: 'stop',
    act: 'washHousing',
    reason: 'sludge',
  },
  // Particles.
  {
    name: 'a few black specks',
    look: { ...JAR, particles: 'few', particleKinds: ['black'] },
    level: 'lookSooner',
    act: 'look',
    reason: 'particles',
  },
  {
    name: 'many particles',
    look: { ...JAR, particles: 'many' },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'particles',
  },
  {
    name: 'few, but rust-red',
    look: { ...JAR, particles: 'few', particleKinds: ['rustRed'] },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'particles',
  },
  {
    name: 'a skin of growth',
    look: { ...JAR, particles: 'few', particleKinds: ['growth'] },
    level: 'beforeNextRun',
    act: 'washHousing',
    reason: 'particles',
  },
  {
    name: 'glitter',
    look: { ...JAR, particles: 'few', particleKinds: ['glitter'] },
    level: 'stop',
    act: 'inspect',
    reason: 'particles',
  },
  {
    name: 'glitter in the first 100 h of an overhauled pump',
    charge: { pumpHours: 60 },
    look: { ...JAR, particles: 'few', particleKinds: ['glitter'] },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'particles',
  },
  // Smell and foam.
  { name: 'rancid', look: { ...JAR, smell: 'rancid' }, level: 'lookSooner', act: 'look', reason: 'smell' },
  { name: 'sour', look: { ...JAR, smell: 'sour' }, level: 'beforeNextRun', act: 'change', reason: 'smell' },
  {
    name: 'smells of ammonia',
    look: { ...JAR, smell: 'ammonia' },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'smell',
  },
  { name: 'smells of solvent', look: { ...GLASS, smell: 'solvent' }, level: 'stop', act: 'change', reason: 'smell' },
  { name: 'foam that stays', look: { ...RUNNING, foam: 'stays' }, level: 'lookSooner', act: 'look', reason: 'foam' },
  {
    name: 'foam with haze after a change of product',
    charge: { productChanged: true },
    look: { ...GLASS, foam: 'stays', clarity: 'hazy' },
    level: 'beforeNextRun',
    act: 'flush',
    reason: 'foam',
  },
  // Level is a task.
  { name: 'below MIN', look: { ...GLASS, level: 'low' }, level: 'beforeNextRun', act: 'topUp', reason: 'level' },
  {
    name: 'above MAX after a top-up',
    charge: { addedSinceLevel: true },
    look: { ...GLASS, level: 'high' },
    level: 'beforeNextRun',
    act: 'drainToMark',
    reason: 'level',
  },
  {
    name: 'a hair outside the marks',
    look: { ...GLASS, level: 'hair' },
    level: 'lookSooner',
    act: 'look',
    reason: 'level',
  },
  { name: 'no oil in the glass', look: { ...GLASS, level: 'none' }, level: 'stop', act: 'topUp', reason: 'level' },
  {
    name: 'oil thrown from the exhaust',
    look: { ...RUNNING, level: 'right', thrownFromExhaust: true },
    level: 'stop',
    act: 'inspect',
    reason: 'thrownOil',
  },
  // The jar of a finished change judges the charge that is gone.
  {
    name: 'the jar of a finished change, full of water',
    charge: {
      runs: 0,
      gone: {
        answered: [],
        runs: 5,
        startColour: 1,
        chargeMl: 1000,
        waterTakenOutMl: 0,
        expectedWaterMl: null,
        number: 2,
      },
    },
    look: { ...JAR, source: 'drained', lookedAtMl: 950, freeWaterMl: 130 },
    level: 'lookSooner',
    act: 'look',
    reason: 'goneCharge',
  },
  {
    name: 'glitter in the jar of a finished change',
    charge: {
      runs: 0,
      gone: {
        answered: [],
        runs: 5,
        startColour: 1,
        chargeMl: 1000,
        waterTakenOutMl: 0,
        expectedWaterMl: null,
        number: 2,
      },
    },
    look: { ...JAR, source: 'drained', lookedAtMl: 950, particles: 'few', particleKinds: ['glitter'] },
    level: 'stop',
    act: 'inspect',
    reason: 'particles',
  },
  {
    name: 'a drained jar that was poured back judges the charge that goes on',
    charge: { runs: 5 },
    look: { ...JAR, source: 'drained', lookedAtMl: 950, freeWaterMl: 60 },
    level: 'beforeNextRun',
    act: 'change',
    reason: 'water',
  },
  {
    name: 'the jar of a finished change, dark again in its only run',
    charge: {
      runs: 0,
      gone: {
        answered: [],
        runs: 1,
        startColour: 1,
        chargeMl: 1000,
        waterTakenOutMl: 0,
        expectedWaterMl: null,
        number: 2,
      },
    },
    look: { ...JAR, source: 'drained', lookedAtMl: 950, colour: 5 },
    level: 'beforeNextRun',
    act: 'flush',
    reason: 'darkAgain',
  },
  // Denser than water: the water swims on the oil, and counts the same.
  {
    name: 'PFPE with 60 mL of water on it',
    oil: PFPE,
    look: { ...JAR, freeWaterMl: 60 },
    level: 'beforeNextRun',
    act: 'purge',
    reason: 'water',
  },
  {
    name: 'PFPE with 25 mL of water on it: nothing to bleed at the bottom',
    oil: PFPE,
    look: { ...JAR, freeWaterMl: 25 },
    level: 'lookSooner',
    act: 'purge',
    reason: 'water',
  },
];

test.each(CASES)('$name: $level', ({ oil = MINERAL, charge = {}, look, level, act, reason }) => {
  const read = readOil({ look, product: oil, charge: { ...CHARGE, ...charge }, limits: OIL_LIMITS });
  expect({ level: read.level, act: read.act }).toEqual({ level, act });
  expect(read.findings.map((f) => f.code)).toEqual(reason ? expect.arrayContaining([reason]) : []);
});
