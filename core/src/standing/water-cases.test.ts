import type { Entry, EntryBodies } from '../journal/index.js';
import { foundUlOf, rebuild, type PumpState } from '../fold/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { waterStory } from '../story/index.js';
import { QUIET } from '../testing/judged-pump.js';
import { WATER_CASES, type JarSeenInStory, type WaterCase } from '../testing/water-cases.js';
import { at, changeAt, entryAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import { standingAt } from './standing.js';

const NOW = 500;

function yardOf({ oil = 'mineral', chargeMl = 700, equipment = 'dryer' }: WaterCase): SetUpVersion[] {
  const model = {
    sumps: [{ key: 'oil' as const, chargeMl, housingMl: chargeMl * 1.4, holdUpMl: chargeMl / 12 }],
    ballastFlowM3h: 0.6,
  };
  const versions = versionsOf({
    ...QUIET,
    model,
    base: oil === 'pfpe' ? 'pfpe' : 'mineral',
    waterBehaviour: oil === 'detergent' ? 'detergent' : 'demulsifying',
  });
  const fields = {
    dryer: {},
    dryerWithVolume: { chamberVolumeL: 200 },
    plain: { coldTrap: false },
    packing: {
      coldTrap: false,
      chamberVolumeL: 50,
      productTempC: 20,
      productHumidity: 1,
      cyclesPerRun: 2000,
      cycleTimeS: 30,
    },
  }[equipment];
  return versions.map((v) =>
    v.subjectId === 'chamber' ? ({ ...v, body: { ...v.body, ...fields } } as SetUpVersion) : v,
  );
}

const jarOf = ({ jarMl, stood, jarC = 25, ...seen }: JarSeenInStory): Partial<EntryBodies['look']> => ({
  lookedAtMl: jarMl ?? null,
  hoursStood: stood,
  jarTempC: jarC,
  clarity: seen.clarity ?? null,
  freeWaterMl: seen.waterMl ?? null,
  creamMl: seen.creamMl ?? null,
});

function entriesOf({ story, chargeMl = 700 }: WaterCase): Entry[] {
  let sampleId: string | null = null;
  return story.flatMap((event): Entry[] => {
    const hours = event.at + 1;
    if ('change' in event) {
      const change = changeAt(hours);
      return [{ ...change, body: { ...change.body, inMl: chargeMl } } as Entry];
    }
    if ('run' in event) {
      const { hours: long, ballast, trapC = null, oilC = null, cycles = null } = event.run;
      const run = runAt(hours - long, long, 'any-empty');
      const body = { ...run.body, ballast, trapTempC: trapC, oilTempC: oilC, cycles };
      return [{ ...run, body } as Entry];
    }
    if ('bleed' in event) return [entryAt(hours, 'bleed', { sump: 'oil', ...event.bleed })];
    if ('bledJar' in event) return [lookAt(hours, { source: 'bleed', ...jarOf(event.bledJar) })];
    if ('sample' in event) {
      const { drawn, again, ...jar } = event.sample;
      const look = lookAt(hours, { source: 'sample', drawn, drawnId: again ? sampleId : null, ...jarOf(jar) });
      if (!again) sampleId = look.id;
      return [look];
    }
    if ('glass' in event) {
      const { waterMl, stood, atPickUp, ...seen } = event.glass;
      const rest = { ...seen, freeWaterMl: waterMl ?? null, waterAtPickUp: atPickUp ?? null };
      return [lookAt(hours, { source: 'sightGlass', hoursStood: stood, ...rest })];
    }
    if ('labPpm' in event) {
      const sample = entryAt(hours, 'labSample', { sump: 'oil', drawnMl: 100 });
      return [sample, entryAt(hours + 1, 'labResult', { sampleId: sample.id, waterPpm: event.labPpm })];
    }
    return [entryAt(hours, 'done', { task: 'purge' })];
  });
}

const oilOf = (state: PumpState) => state.sumps.find((s) => s.key === 'oil')!.charge;

test.each(WATER_CASES.map((c) => [c.name, c] as const))('%s', (_, story) => {
  const book = setUpBook(yardOf(story));
  const entries = entriesOf(story);
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(NOW) })!;
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { verdict, act, reasons } = standingAt({ state, setUp, now: at(NOW) });
  expect({ verdict, act, why: story.why }).toEqual({ verdict: story.verdict, act: story.act, why: story.why });
  const acts = reasons.map((r) => ('act' in r ? r.act : null));
  for (const never of story.never ?? []) expect(acts).not.toContain(never);
  const expectedMl = oilOf(state).expectedWaterUl / 1000;
  if (story.expectedMl) {
    expect(expectedMl).toBeGreaterThanOrEqual(story.expectedMl[0]);
    expect(expectedMl).toBeLessThanOrEqual(story.expectedMl[1]);
  }
  if (story.foundMl !== undefined) {
    const water = waterStory({ pumpId: 'p1', entries, state, book, now: at(NOW) });
    expect(foundUlOf(water!.found) / 1000).toBe(story.foundMl);
  }
});
