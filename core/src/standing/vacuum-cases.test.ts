import type { Entry, EntryBodies } from '../journal/index.js';
import { rebuild } from '../fold/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { QUIET } from '../testing/judged-pump.js';
import { at, caseAt, changeAt, entryAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import { VACUUM_CASES, type VacuumCase, type VacuumEvent } from '../testing/vacuum-cases.js';
import { standingAt } from './standing.js';

const NOW = 2300;

function yardOf({ targetPa, blankOffPa, modelPa, byTheGauge }: VacuumCase): SetUpVersion[] {
  const model = modelPa ? { ultimatePa: modelPa } : {};
  const limits = { ...QUIET.limits, ...(byTheGauge ? { oilChange: { runs: null, weight: null } } : {}) };
  const versions = versionsOf({ ...QUIET, limits, model, ...(byTheGauge ? { preset: 'byTheGauge' as const } : {}) });
  const more: Readonly<Record<string, object>> = {
    equipment: targetPa ? { targetUltimatePa: targetPa } : {},
    pump: blankOffPa ? { blankOffPa } : {},
  };
  return versions.map((v) => ({ ...v, body: { ...v.body, ...more[v.kind] } }) as SetUpVersion);
}

function entriesOf(event: VacuumEvent): Entry[] {
  const { at: hours } = event;
  const test = (body: Partial<EntryBodies['test']>): Entry[] => [entryAt(hours, 'test', { findings: [], ...body })];
  if ('change' in event) return [changeAt(hours)];
  if ('run' in event) {
    const { lowestPa = null, oilC = null, session = 'run' } = event.run;
    return [runAt(hours, 20, 'any-empty', { body: { lowestPressurePa: lowestPa, oilTempC: oilC, session } })];
  }
  if ('found' in event)
    return test({ findings: Object.entries(event.found).map(([id, state]) => ({ id, state, certainty: 1 })) });
  if ('measured' in event) {
    const { pa, where = 'pump', ballast = 'closed', oil = 'asIs', oilC = null } = event.measured;
    return test({ measured: [{ pa, where, ballast, oil, oilTempC: oilC }] });
  }
  if ('backPressurePa' in event) return test({ measured: [{ pa: event.backPressurePa, where: 'exhaust' }] });
  if ('done' in event) return [entryAt(hours, 'done', { task: event.done })];
  if ('closedWith' in event) return [caseAt.opened(hours), caseAt.closed(hours + 1, event.closedWith)];
  if ('fillMl' in event)
    return [entryAt(hours, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: event.fillMl, levelAfter: 'right' })];
  if ('held' in event) return [caseAt.checked(hours, event.held)];
  return [lookAt(hours, event.look)];
}

function standingOf(story: VacuumCase) {
  const book = setUpBook(yardOf(story));
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(NOW) })!;
  const state = rebuild({ pumpId: 'p1', entries: story.story.flatMap(entriesOf), book });
  return standingAt({ state, setUp, now: at(NOW) });
}

test('each story has a name of its own', () => {
  expect(new Set(VACUUM_CASES.map((c) => c.name)).size).toBe(VACUUM_CASES.length);
});

test.each(VACUUM_CASES.map((c) => [c.name, c] as const))('%s', (_name, story) => {
  const { verdict, act, reasons, tasks } = standingOf(story);
  const codes = reasons.map((r) => r.code as string);
  expect({ verdict, ...(story.act === undefined ? {} : { act }) }).toEqual({
    verdict: story.verdict,
    ...(story.act === undefined ? {} : { act: story.act }),
  });
  if (story.says) expect(codes).toContain(story.says);
  if (story.saysNot) expect(codes).not.toContain(story.saysNot);
  if (story.head) expect([tasks[0]?.task, tasks[0]?.status]).toEqual(story.head);
});
