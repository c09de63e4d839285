// Longer than a file should be: one table of lab reports, with what the trade says of each.
import type { LabValues, WearSign } from '../journal/index.js';
import type { OilProduct } from '../set-up/index.js';
import type { Act, FindingCode } from './finding.js';
import type { VerdictLevel } from '../limits/verdict-level.js';
import { OIL_LIMITS } from '../limits/oil-limits.js';
import { readLab } from './read-lab.js';
import type { LabCharge } from './judge-lab.js';

/** Lab reports judged by the table and the special rules of the trade, not by what the engine says. */
type Oil = Partial<OilProduct> & Pick<OilProduct, 'base' | 'waterBehaviour' | 'densityKgM3'>;

const FRESH = { viscosity40Mm2s: 68, freshAcidMgKohG: 0.1, freshIronPpm: 1 };
const MINERAL: Oil = { base: 'mineral', waterBehaviour: 'demulsifying', densityKgM3: 870, ...FRESH };
const DETERGENT: Oil = { base: 'mineral', waterBehaviour: 'detergent', densityKgM3: 880, ...FRESH, freshBaseMgKohG: 8 };
const ESTER: Oil = { base: 'ester', waterBehaviour: 'demulsifying', densityKgM3: 960, ...FRESH };

const PFPE: Oil = { base: 'pfpe', waterBehaviour: 'demulsifying', densityKgM3: 1890, ...FRESH };

const CHARGE: LabCharge = {
  earlierSilicon: [],
  earlierClasses: [],
  hours: 200,
  runningOilTempC: 70,
  earlierIronRates: [],
  glitterSeen: false,
};

interface Case {
  readonly name: string;
  readonly oil?: Oil;
  readonly charge?: Partial<LabCharge>;
  readonly values: LabValues;
  readonly with?: readonly WearSign[];
  readonly level: VerdictLevel;
  readonly act: Act | null;
  readonly reason: FindingCode | null;
}

const sooner = { level: 'lookSooner', act: 'sample' } as const;
const change = { level: 'beforeNextRun', act: 'change' } as const;

const CASES: readonly Case[] = [
  // Viscosity against this product's fresh oil.
  { name: 'as thick as new', values: { viscosity40Mm2s: 68 }, level: 'runOn', act: null, reason: null },
  { name: '9 % thinner', values: { viscosity40Mm2s: 61.9 }, level: 'runOn', act: null, reason: null },
  { name: '11 % thinner', values: { viscosity40Mm2s: 60.5 }, ...sooner, reason: 'viscosity' },
  { name: '16 % thinner', values: { viscosity40Mm2s: 57 }, ...change, reason: 'viscosity' },
  {
    name: '26 % thinner: solvent, flash point',
    values: { viscosity40Mm2s: 50 },
    level: 'stop',
    act: 'change',
    reason: 'viscosity',
  },
  { name: '14 % thicker', values: { viscosity40Mm2s: 77.5 }, level: 'runOn', act: null, reason: null },
  { name: '16 % thicker', values: { viscosity40Mm2s: 79 }, ...sooner, reason: 'viscosity' },
  { name: '26 % thicker', values: { viscosity40Mm2s: 86 }, ...change, reason: 'viscosity' },
  { name: 'twice as thick is still no stop', values: { viscosity40Mm2s: 136 }, ...change, reason: 'viscosity' },
  {
    name: 'a grade is no fresh value: it may be 10 % off',
    oil: { ...MINERAL, viscosity40Mm2s: null, grade: 'VG 68' },
    values: { viscosity40Mm2s: 50 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  // Water: saturation for a mineral oil without additives, its own numbers for a detergent one.
  { name: '50 ppm in mineral oil', values: { waterPpm: 50 }, level: 'runOn', act: null, reason: null },
  {
    name: '60 ppm in mineral oil: dissolved while it is warm, never bled',
    values: { waterPpm: 60 },
    level: 'lookSooner',
    act: 'purge',
    reason: 'labWater',
  },
  {
    name: '350 ppm in mineral oil at 70 °C',
    values: { waterPpm: 350 },
    level: 'lookSooner',
    act: 'purge',
    reason: 'labWater',
  },
  {
    name: '365 ppm in mineral oil at 70 °C',
    values: { waterPpm: 365 },
    level: 'beforeNextRun',
    act: 'purge',
    reason: 'labWater',
  },
  {
    name: '300 ppm in mineral oil that runs at 60 °C only',
    charge: { runningOilTempC: 60 },
    values: { waterPpm: 300 },
    level: 'beforeNextRun',
    act: 'purge',
    reason: 'labWater',
  },
  {
    name: '5,000 ppm is no stop by lab alone',
    values: { waterPpm: 5000 },
    level: 'beforeNextRun',
    act: 'purge',
    reason: 'labWater',
  },
  {
    name: 'wet and thin: never purge with air where solvent may be in it',
    values: { waterPpm: 900, viscosity40Mm2s: 60 },
    ...change,
    reason: 'labWater',
  },
  {
    name: '400 ppm in detergent oil',
    oil: DETERGENT,
    values: { waterPpm: 400 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: '600 ppm in detergent oil',
    oil: DETERGENT,
    values: { waterPpm: 600 },
    level: 'lookSooner',
    act: 'purge',
    reason: 'labWater',
  },
  {
    name: '1,100 ppm in detergent oil',
    oil: DETERGENT,
    values: { waterPpm: 1100 },
    level: 'beforeNextRun',
    act: 'purge',
    reason: 'labWater',
  },
  { name: 'no default for an ester', oil: ESTER, values: { waterPpm: 2000 }, level: 'runOn', act: null, reason: null },
  // Iron above fresh.
  { name: '14 ppm above fresh', values: { ironPpm: 15 }, level: 'runOn', act: null, reason: null },
  { name: '16 ppm above fresh', values: { ironPpm: 17 }, ...sooner, reason: 'iron' },
  { name: '41 ppm above fresh', values: { ironPpm: 42 }, ...change, reason: 'iron' },
  { name: '120 ppm alone: change and inspect', values: { ironPpm: 121 }, ...change, reason: 'wear' },
  {
    name: '120 ppm with noise',
    values: { ironPpm: 121 },
    with: ['noise'],
    level: 'stop',
    act: 'inspect',
    reason: 'wear',
  },
  {
    name: '120 ppm with a poor blank-off',
    values: { ironPpm: 121 },
    with: ['poorBlankOff'],
    level: 'stop',
    act: 'inspect',
    reason: 'wear',
  },
  {
    name: '120 ppm with glitter in the report',
    values: { ironPpm: 121 },
    with: ['glitter'],
    level: 'stop',
    act: 'inspect',
    reason: 'wear',
  },
  {
    name: '120 ppm with glitter seen in a jar of this charge',
    charge: { glitterSeen: true },
    values: { ironPpm: 121 },
    level: 'stop',
    act: 'inspect',
    reason: 'wear',
  },
  {
    name: 'noise alone is no finding of the lab',
    values: { ironPpm: 5 },
    with: ['noise'],
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: '12 ppm in 200 h, where 2 ppm per 100 h is usual',
    charge: { earlierIronRates: [2, 1.8, 2.4] },
    values: { ironPpm: 13 },
    ...sooner,
    reason: 'ironRate',
  },
  {
    name: '7 ppm in 200 h, where 2 ppm per 100 h is usual',
    charge: { earlierIronRates: [2, 1.8, 2.4] },
    values: { ironPpm: 8 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  // Acid number above fresh; base number for detergent oils.
  { name: 'acid 0.4 above fresh', values: { acidMgKohG: 0.5 }, level: 'runOn', act: null, reason: null },
  { name: 'acid 0.6 above fresh', values: { acidMgKohG: 0.7 }, ...sooner, reason: 'acid' },
  { name: 'acid 1.1 above fresh', values: { acidMgKohG: 1.2 }, ...change, reason: 'acid' },
  {
    name: 'a detergent oil is not judged by its acid number',
    oil: DETERGENT,
    values: { acidMgKohG: 3 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'base number at 60 % of fresh',
    oil: DETERGENT,
    values: { baseMgKohG: 4.8 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  { name: 'base number under half of fresh', oil: DETERGENT, values: { baseMgKohG: 3.9 }, ...change, reason: 'base' },
  // Below what a laboratory can tell, and before a rate is one.
  {
    name: '2 ppm after 20 h, where 2 ppm per 100 h is usual: noise',
    charge: { hours: 20, earlierIronRates: [2, 1.8, 2.4] },
    values: { ironPpm: 3 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: '9 ppm above fresh after 40 h: too short for a rate',
    charge: { hours: 40, earlierIronRates: [2, 1.8, 2.4] },
    values: { ironPpm: 10 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: '9 ppm above fresh after 60 h, where 2 ppm per 100 h is usual',
    charge: { hours: 60, earlierIronRates: [2, 1.8, 2.4] },
    values: { ironPpm: 10 },
    ...sooner,
    reason: 'ironRate',
  },
  // Silicon and the particle code, against this pump's own charges.
  {
    name: 'silicon 15 with aluminium, where 4 is usual: dust',
    charge: { earlierSilicon: [4, 5, 4] },
    values: { siliconPpm: 15, aluminiumPpm: 6 },
    level: 'lookSooner',
    act: 'findCause',
    reason: 'silicon',
  },
  {
    name: 'silicon 15 alone, where 4 is usual',
    charge: { earlierSilicon: [4, 5, 4] },
    values: { siliconPpm: 15 },
    level: 'lookSooner',
    act: 'findCause',
    reason: 'silicon',
  },
  {
    name: 'silicon 9, where 4 is usual: within the noise',
    charge: { earlierSilicon: [4, 5, 4] },
    values: { siliconPpm: 9 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'silicon 40 on a pump of which nothing is known',
    values: { siliconPpm: 40 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'particles three classes up at 6 µm',
    charge: {
      earlierClasses: [
        [17, 13],
        [18, 14],
        [17, 14],
      ],
    },
    values: { count4PerMl: 20_000, count6PerMl: 6000, count14PerMl: 100 },
    ...sooner,
    reason: 'particleCode',
  },
  {
    name: 'particles one class up',
    charge: {
      earlierClasses: [
        [17, 13],
        [18, 14],
        [17, 14],
      ],
    },
    values: { count4PerMl: 5000, count6PerMl: 2000, count14PerMl: 100 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  {
    name: 'particles counted in wet oil: droplets count too',
    charge: {
      earlierClasses: [
        [17, 13],
        [18, 14],
        [17, 14],
      ],
    },
    values: { count4PerMl: 20_000, count6PerMl: 6000, count14PerMl: 100, waterPpm: 200 },
    level: 'lookSooner',
    act: 'purge',
    reason: 'labWater',
  },
  // What applies to other oils.
  {
    name: 'acid 0.6 above fresh in an ester: it hydrolyses',
    oil: ESTER,
    values: { acidMgKohG: 0.7 },
    ...sooner,
    reason: 'acid',
  },
  {
    name: 'acid in PFPE is none of its own',
    oil: PFPE,
    values: { acidMgKohG: 2 },
    level: 'runOn',
    act: null,
    reason: null,
  },
  { name: 'iron in PFPE is wear as anywhere', oil: PFPE, values: { ironPpm: 42 }, ...change, reason: 'iron' },
  // Several at once.
  {
    name: 'the worst decides, all that speak are listed',
    values: { waterPpm: 60, ironPpm: 50, acidMgKohG: 0.7 },
    ...change,
    reason: 'labWater',
  },
];

test.each(CASES)('$name', (c) => {
  const reading = readLab({
    values: c.values,
    wearSigns: c.with ?? [],
    product: c.oil ?? MINERAL,
    limits: OIL_LIMITS,
    charge: { ...CHARGE, ...c.charge },
  });
  expect({ level: reading.level, act: reading.act }).toEqual({ level: c.level, act: c.act });
  const codes = reading.findings.map((f) => f.code);
  expect(codes).toEqual(c.reason ? expect.arrayContaining([c.reason]) : []);
});
