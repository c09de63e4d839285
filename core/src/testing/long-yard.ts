import { BODY_VERSION, type Entry, type EntryBodies, type EntryKind } from '../journal/index.js';
import { seededRandom, type Random } from '../simulate/random.js';
import type { SetUpVersion } from '../set-up/index.js';
import { at, START, versionsOf } from './small-yard.js';

/** A yard whose entries follow from its seed alone and not from any judgement of ours, so that a judgement can be held against another one on the same entries. */
const ZONE = 'Europe/Lisbon';
const RUN_EVERY_HOURS = 47;
const RUNS_PER_CHANGE = 6;
const SEED = 91;

const MATERIALS = ['any-empty', 'fd-meat', 'fd-fruit', 'fd-cultures', 'vp-brined', 'co-epoxy'] as const;

/** Products that differ in what their oil does with water, and in what is known of it unused. */
const PRODUCTS: Readonly<Record<string, object>> = {
  'oil-a': {
    ...productBody('mineral', 'demulsifying', 870),
    viscosity40Mm2s: 68,
    viscosity100Mm2s: 8.6,
    freshIronPpm: 1,
    freshAcidMgKohG: 0.1,
  },
  'oil-b': productBody('mineral', 'demulsifying', 870),
  'oil-d': { ...productBody('mineral', 'detergent', 880), viscosity40Mm2s: 100, freshBaseMgKohG: 8 },
  'oil-f': { ...productBody('pfpe', 'demulsifying', 1890), viscosity40Mm2s: 55, freshColour: 0.5 },
};

function productBody(base: string, waterBehaviour: string, densityKgM3: number) {
  return { name: `${base}, ${waterBehaviour}`, grade: 'VG 68', base, waterBehaviour, freshColour: 1, densityKgM3 };
}

export const longYardPumps = (pumps: number): string[] => Array.from({ length: pumps }, (_, i) => `long-${i}`);
const productOfPump = (i: number): string => Object.keys(PRODUCTS)[i % Object.keys(PRODUCTS).length] ?? 'oil-a';

/** The set-up: vane pumps of one model, with four oils in turn, some with limits of their own. */
export function longYardVersions(pumps: number): SetUpVersion[] {
  const random = seededRandom(SEED);
  const base = versionsOf().filter((v) => v.kind !== 'oilProduct');
  const p1 = base.find((v) => v.kind === 'pump' && v.subjectId === 'p1');
  const version = (kind: SetUpVersion['kind'], subjectId: string, body: object) =>
    ({
      id: random.uuid(Date.parse(START)),
      kind,
      subjectId,
      validFrom: START,
      recordedAt: START,
      body,
    }) as unknown as SetUpVersion;
  return [
    ...base,
    ...Object.entries(PRODUCTS).map(([id, body]) => version('oilProduct', id, body)),
    ...longYardPumps(pumps).map((id, i) =>
      version('pump', id, {
        ...p1?.body,
        name: id,
        oilProductId: productOfPump(i),
        ...(i % 5 === 0 ? { limits: { oilChange: { runs: 12, weight: 20 } } } : {}),
        ...(i % 7 === 0 ? { oilLimits: { 'waterPercent.lookSooner': 1, 'ironPpm.lookSooner': 10 } } : {}),
      }),
    ),
  ];
}

/** All that happened at one pump, in order. */
export function longYardEntries(index: number, runs: number): Entry[] {
  const random = seededRandom(SEED + 1000 * (index + 1));
  const pumpId = `long-${index}`;
  const entries: Entry[] = [];
  const write = <K extends EntryKind>(hours: number, kind: K, body: EntryBodies[K]): string => {
    const id = random.uuid(Date.parse(at(hours)) + entries.length);
    entries.push({
      id,
      actId: id,
      kind,
      body,
      subjects: [
        { type: 'pump', id: pumpId },
        ...(kind === 'run' ? [{ type: 'equipment', id: random.chance(0.9) ? 'chamber' : 'line' }] : []),
      ],
      happenedAt: at(hours),
      zone: ZONE,
      precision: 'exact',
      recordedAt: at(hours),
      acknowledged: [],
      bodyVersion: BODY_VERSION,
    } as unknown as Entry);
    return id;
  };
  const productId = productOfPump(index);
  let sampleId: string | null = null;
  for (let run = 0; run < runs; run++) {
    const start = 10 + run * RUN_EVERY_HOURS;
    if (run % RUNS_PER_CHANGE === 0)
      write(start - 3, 'change', {
        sump: 'oil',
        productId: random.chance(0.95) ? productId : 'oil-b',
        outMl: 640,
        inMl: 700,
        levelAfter: 'right',
      });
    else if (random.chance(0.4)) write(start - 3, 'bleed', bleedOf(random));
    if (sampleId !== null) {
      write(start - 2, 'labResult', reportOf(random, sampleId));
      sampleId = null;
    }
    if (random.chance(0.5)) write(start - 1, 'look', lookOf(random));
    write(start, 'run', runOf(random));
    if (random.chance(0.12)) sampleId = write(start + 30, 'labSample', { sump: 'oil', drawnMl: 100 });
    if (random.chance(0.08)) write(start + 31, 'done', { task: random.pick(['purge', 'flush', 'vaneCheck']) });
    if (random.chance(0.08))
      write(start + 32, 'topUp', {
        sump: 'oil',
        productId: random.chance(0.8) ? productId : 'oil-b',
        addedMl: 50,
        levelAfter: random.pick(['right', 'high', 'low']),
      });
  }
  return entries;
}

const round = (value: number): number => Math.round(value * 10) / 10;

function bleedOf(random: Random): EntryBodies['bleed'] {
  const waterMl = round(random.between([0, 30]));
  return { sump: 'oil', drawnMl: waterMl + 10, waterMl };
}

function lookOf(random: Random): EntryBodies['look'] {
  const source = random.pick(['sightGlass', 'sightGlass', 'sample', 'bleed'] as const);
  return {
    sump: 'oil',
    source,
    hoursStood: random.pick([0.5, 8, 24]),
    ...(source === 'sightGlass' ? {} : { lookedAtMl: 100, sludgeMl: random.chance(0.1) ? 2 : 0 }),
    level: random.pick(['right', 'right', 'right', 'low', 'high', 'hair']),
    colour: random.pick([1, 1.5, 2, 3, 4.5]),
    clarity: random.pick(['bright', 'bright', 'bright', 'hazy', 'cloudy']),
    freeWaterMl: random.chance(0.6) ? 0 : round(random.between([0, 25])),
    creamMl: random.chance(0.9) ? 0 : round(random.between([0, 10])),
    particles: random.pick(['none', 'none', 'none', 'few']),
    particleKinds: ['black'],
    smell: random.pick(['none', 'none', 'none', 'none', 'sour']),
  };
}

function runOf(random: Random): EntryBodies['run'] {
  return {
    materialId: random.pick(MATERIALS),
    minutes: Math.round(random.between([300, 1800])),
    session: random.chance(0.95) ? 'run' : 'sideJob',
    ballast: random.pick(['closed', 'closed', 'open', 'purge']),
    ...(random.chance(0.9) ? { trapTempC: -round(random.between([32, 48])) } : {}),
    lowestPressurePa: round(random.between([2, 9])),
    ventedBeforeStop: random.pick(['yes', 'no']),
  };
}

function reportOf(random: Random, sampleId: string): EntryBodies['labResult'] {
  return {
    sampleId,
    waterPpm: Math.round(random.between([10, 600])),
    viscosity40Mm2s: round(random.between([50, 85])),
    ironPpm: Math.round(random.between([0, 60])),
    acidMgKohG: round(random.between([0, 1.5])),
  };
}
