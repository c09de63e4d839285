import fc from 'fast-check';
import { rebuild } from '../fold/index.js';
import type { Entry } from '../journal/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { QUIET } from '../testing/judged-pump.js';
import { at, changeAt, entryAt, foundAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import { standingAt } from './standing.js';

/** What somebody may do at a stopped pump, right or wrong. */
const ACTS = [
  ...['change', 'wash', 'flush', 'strip', 'vaneCheck', 'exhaustFilter', 'purge', 'bleed'],
  ...['topUp', 'topUpSaid', 'clearLook', 'thickSample', 'thinSample', 'takeOver', 'run', 'usualTest', 'goodPressure'],
] as const;
type Act = (typeof ACTS)[number];

const TASKS: { readonly [A in Act]?: string } = {
  wash: 'housingClean',
  flush: 'flush',
  strip: 'stripClean',
  vaneCheck: 'vaneCheck',
  exhaustFilter: 'exhaustFilter',
  purge: 'purge',
};
const sampled = (hours: number, viscosity40Mm2s: number): Entry[] => {
  const sample = entryAt(hours, 'labSample', { sump: 'oil', drawnMl: 50 });
  return [sample, entryAt(hours + 0.2, 'labResult', { sampleId: sample.id, viscosity40Mm2s })];
};
function entriesOf(act: Act, hours: number, productId: string): Entry[] {
  const task = TASKS[act];
  if (task) return [entryAt(hours, 'done', { task })];
  const topUp = { sump: 'oil', productId, addedMl: 50, levelAfter: 'right' } as const;
  switch (act) {
    case 'change':
      return [changeAt(hours, productId)];
    case 'bleed':
      return [entryAt(hours, 'bleed', { sump: 'oil', drawnMl: 10, waterMl: 0 })];
    case 'topUp':
      return [entryAt(hours, 'topUp', topUp)];
    case 'topUpSaid':
      return [entryAt(hours, 'topUp', { ...topUp, oilWent: 'leak' })];
    case 'thickSample':
      return sampled(hours, 66);
    case 'thinSample':
      return sampled(hours, 58);
    case 'takeOver':
      return [entryAt(hours, 'takeOver', { runsSince: 1, oilChangedAt: at(1) })];
    case 'run':
      return [runAt(hours, 0.3, 'any-empty', { body: { oilTempC: 60, lowestPressurePa: 2 } })];
    case 'usualTest':
      return [
        foundAt(hours, {
          noise: 'usual',
          starts: 'usual',
          backPressure: 'low',
          current: 'usual',
          thickness: 'asFresh',
        }),
      ];
    case 'goodPressure':
      return [entryAt(hours, 'test', { findings: [], measured: [{ pa: 0.5, where: 'pump', ballast: 'closed' }] })];
    default:
      return [
        lookAt(hours, {
          ...{ source: 'sample', lookedAtMl: 200, hoursStood: 60, jarTempC: 25, clarity: 'bright', level: 'right' },
          ...{ particles: 'none', smell: 'none', sludgeMl: 0, creamMl: 0, freeWaterMl: 0 },
        }),
      ];
  }
}

/** A danger as the trade has it: what shows it, and the deeds that end it one after another. */
interface Danger {
  readonly shown: readonly Entry[];
  readonly product?: string;
  /** From one step to the next; a danger that has none left is gone. */
  readonly steps: readonly { readonly [A in Act]?: number }[];
}
const GONE = -1;
const CHARGE = [changeAt(1), runAt(5, 10)];
const seen = (more: Parameters<typeof lookAt>[1]) =>
  lookAt(20, { source: 'sample', lookedAtMl: 200, hoursStood: 60, jarTempC: 25, ...more });
const DANGERS: Readonly<Record<string, Danger>> = {
  metal: {
    shown: [...CHARGE, seen({ particles: 'few', particleKinds: ['glitter'] })],
    steps: [{ vaneCheck: 1, change: 2 }, { change: GONE }, { vaneCheck: GONE }],
  },
  sludge: {
    shown: [...CHARGE, seen({ sludgeMl: 42 })],
    steps: [{ wash: 1, flush: 1, strip: 1 }, { change: GONE }],
  },
  solvent: {
    shown: [...CHARGE, seen({ smell: 'solvent' })],
    steps: [{ change: 1 }, { thickSample: GONE, thinSample: 0 }],
  },
  noOil: {
    shown: [...CHARGE, lookAt(20, { level: 'none' })],
    steps: [{ topUpSaid: GONE }],
  },
  // The pump itself: a usual word afterwards ends none of these.
  grinding: { shown: [...CHARGE, foundAt(20, { noise: 'grinding' })], steps: [{ vaneCheck: GONE }] },
  stiff: { shown: [...CHARGE, foundAt(20, { starts: 'stiff' })], steps: [{ vaneCheck: GONE }] },
  blocked: { shown: [...CHARGE, foundAt(20, { backPressure: 'blocked' })], steps: [{ exhaustFilter: GONE }] },
  resin: {
    shown: [...CHARGE, foundAt(20, { thickness: 'gels' })],
    steps: [{ flush: 1, wash: 1, strip: 1 }, { change: GONE }],
  },
  // Only the case, closed with what it was.
  tripped: { shown: [...CHARGE, foundAt(20, { starts: 'trips' })], steps: [{}] },
  hot: { shown: [changeAt(1), runAt(5, 10, 'any-empty', { body: { oilTempC: 106 } })], steps: [{}] },
  oxygen: {
    shown: [changeAt(1, 'oil-b'), entryAt(20, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 50 })],
    product: 'oil-b',
    steps: [{ strip: 1 }, { change: GONE }],
  },
};

function bookFor({ product }: Danger) {
  const versions = versionsOf(QUIET).map((v) => {
    const body = v.body as object;
    if (v.kind === 'oilProduct') {
      const inert = v.subjectId === 'oil-b' ? { base: 'pfpe', densityKgM3: 1890 } : {};
      return { ...v, body: { ...body, ...inert, viscosity40Mm2s: 68 } };
    }
    const oxygen = { serviceClasses: ['oxygen'], oilProductId: 'oil-b' };
    return v.subjectId === 'p1' && product ? { ...v, body: { ...body, ...oxygen } } : v;
  });
  return setUpBook(versions as SetUpVersion[]);
}

test.each(Object.entries(DANGERS))(
  '%s: no acts end its Stop but those that end its danger, in their order',
  (_, danger) => {
    const book = bookFor(danger);
    const setUp = book.pumpAt({ pumpId: 'p1', instant: at(900) })!;
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...ACTS), { maxLength: 9 }), (acts) => {
        const entries = [...danger.shown];
        let step = 0;
        acts.forEach((act, i) => {
          entries.push(...entriesOf(act, 30 + i, danger.product ?? 'oil-a'));
          // A new charge between samples: what was shown of the charge before says nothing.
          step = step === GONE ? GONE : (danger.steps[step]?.[act] ?? step);
        });
        const state = rebuild({ pumpId: 'p1', entries, book });
        const { reasons } = standingAt({ state, setUp, now: at(900) });
        const stops = reasons.filter((r) => r.level === 'stop' && !('code' in r && r.code === 'viscosity'));
        expect(stops.length > 0).toBe(step !== GONE);
      }),
      { numRuns: 300, seed: Number(process.env.SEED ?? 7) },
    );
  },
);
