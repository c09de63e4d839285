import type { Entry, EntryBodies } from '../journal/index.js';
import { rebuild, type PumpState } from '../fold/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { QUIET } from '../testing/judged-pump.js';
import { SAFETY_CASES, type SafetyCase, type StoryEvent } from '../testing/safety-cases.js';
import { at, changeAt, entryAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import { standingAt } from './standing.js';

const NOW = 400;
/** The test pump's charge, and the viscosity of all its oils. */
const CHARGE_ML = 700;
const FRESH_MM2S = 68;

/** The small yard with the oils and materials of the stories. */
function yardOf({ oil = 'mineral', service, story }: SafetyCase): SetUpVersion[] {
  const base = versionsOf(QUIET);
  const of = (id: string) => base.find((v) => v.subjectId === id)!;
  const plain = { ...(of('oil-a').body as object), viscosity40Mm2s: FRESH_MM2S };
  const oils = {
    mineral: plain,
    otherMineral: { ...plain, name: 'Other' },
    detergent: { ...plain, name: 'Detergent', waterBehaviour: 'detergent' },
    h1: { ...plain, name: 'H1', foodGrade: true },
    pfpe: { ...plain, name: 'PFPE', base: 'pfpe', densityKgM3: 1890 },
  };
  const runs = story.flatMap((e) => ('run' in e ? [e.run] : []));
  const materials = runs.map(({ solvent = 0, oxygen }, i) => [
    `material-${i}`,
    {
      ...{ name: `Material ${i}`, process: 'industrial', moisture: 0, fat: 0, fines: 0, solvent, acid: 0 },
      ...(oxygen === undefined ? {} : { oxygenPercent: oxygen }),
    },
  ]);
  const pump = { ...(of('p1').body as object), oilProductId: oil };
  const classes = story.flatMap((e) => ('service' in e ? [e] : []));
  const records = [
    ...Object.entries(oils).map(([id, body]) => ['oilProduct', id, body] as const),
    ...materials.map(([id, body]) => ['material', id as string, body] as const),
    ['pump', 'p1', { ...pump, ...(service ? { serviceClasses: [service] } : {}) }] as const,
  ];
  const start = { validFrom: at(0), recordedAt: at(0) };
  const made = (kind: string, subjectId: string, body: unknown, when: object, i: number) =>
    ({ id: `00000000-0000-4000-9000-${String(i).padStart(12, '0')}`, kind, subjectId, body, ...when }) as SetUpVersion;
  return [
    ...base.filter((v) => v.subjectId !== 'p1'),
    ...records.map(([kind, id, body], i) => made(kind, id, body, start, i)),
    ...classes.map((c, i) => {
      const when = { validFrom: at(c.at), recordedAt: at(c.at) };
      return made('pump', 'p1', { ...pump, serviceClasses: [c.service] }, when, 100 + i);
    }),
  ];
}

function lookOf(event: Extract<StoryEvent, { look: object }>): Entry {
  const { smell, glitter, growth, sludgePercent, creamPercent, noOil } = event.look;
  const kinds = [...(glitter ? (['glitter'] as const) : []), ...(growth ? (['growth'] as const) : [])];
  const layers = sludgePercent !== undefined || creamPercent !== undefined;
  const seen: Partial<EntryBodies['look']> = {
    ...(layers ? { source: 'sample', lookedAtMl: 600, hoursStood: 60, jarTempC: 25 } : {}),
    ...(smell ? { smell } : {}),
    ...(kinds.length > 0 ? { particles: 'few', particleKinds: kinds } : {}),
    ...(sludgePercent === undefined ? {} : { sludgeMl: (CHARGE_ML * sludgePercent) / 100 }),
    ...(creamPercent === undefined ? {} : { creamMl: (CHARGE_ML * creamPercent) / 100 }),
    ...(noOil ? { level: 'none' } : {}),
  };
  return lookAt(event.at, seen);
}

function entriesOf(story: readonly StoryEvent[]): Entry[] {
  let run = 0;
  return story.flatMap((event): Entry[] => {
    if ('change' in event) {
      const change = changeAt(event.at + 1, event.change);
      return [{ ...change, body: { ...change.body, oilWent: event.oilWent } } as Entry];
    }
    if ('topUp' in event) {
      const { topUp: productId, oilWent } = event;
      return [entryAt(event.at + 1, 'topUp', { sump: 'oil', productId, addedMl: 50, levelAfter: 'right', oilWent })];
    }
    if ('run' in event) {
      const materialId = `material-${run++}`;
      const open = { minutes: null, stillRunning: true };
      return [runAt(event.at + 1, 20, materialId, event.run.on ? { body: open } : {})];
    }
    if ('look' in event) return [{ ...lookOf(event), happenedAt: at(event.at + 1), recordedAt: at(event.at + 1) }];
    if ('done' in event) return [entryAt(event.at + 1, 'done', { task: event.done })];
    if ('viscosityPercent' in event) {
      const sample = entryAt(event.at + 1, 'labSample', { sump: 'oil', drawnMl: 100 });
      const viscosity40Mm2s = FRESH_MM2S * (1 + event.viscosityPercent / 100);
      return [sample, entryAt(event.at + 2, 'labResult', { sampleId: sample.id, viscosity40Mm2s })];
    }
    return [];
  });
}

function judge(one: SafetyCase) {
  const book = setUpBook(yardOf(one));
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(NOW) })!;
  const state: PumpState = rebuild({ pumpId: 'p1', entries: entriesOf(one.story), book });
  return standingAt({ state, setUp, now: at(NOW) });
}

test.each(SAFETY_CASES.map((c) => [c.name, c] as const))('%s', (_, one) => {
  const { verdict, act, reasons } = judge(one);
  expect({ verdict, act, why: one.why }).toEqual({ verdict: one.verdict, act: one.act, why: one.why });
  const acts = reasons.filter((r) => r.level !== 'runOn').map((r) => r.act);
  expect(acts.filter((a) => a !== null && one.never?.includes(a))).toEqual([]);
});

test('solvent, changed: once the sample is drawn its report is asked for, not another sample', () => {
  const book = setUpBook(yardOf({ name: '', why: '', story: [], verdict: 'stop', act: 'report' }));
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(NOW) })!;
  const changed = [changeAt(1, 'mineral'), lookAt(60, { smell: 'solvent' }), changeAt(70, 'mineral')];
  const drawn = (hours: number) => entryAt(hours, 'labSample', { sump: 'oil', drawnMl: 50 });
  const actAfter = (...entries: Entry[]) =>
    standingAt({ state: rebuild({ pumpId: 'p1', entries, book }), setUp, now: at(NOW) }).act;
  expect(actAfter(...changed)).toBe('sample');
  expect(actAfter(...changed, drawn(80))).toBe('report');
  // Of the oil that went out a report says nothing.
  expect(actAfter(...changed.slice(0, 2), drawn(65), ...changed.slice(2))).toBe('sample');
  const answered = drawn(80);
  const water = entryAt(90, 'labResult', { sampleId: answered.id, waterPpm: 20 });
  expect(actAfter(...changed, answered, water)).toBe('sample');
});
