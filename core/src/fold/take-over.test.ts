import type { Entry, MeterBody, TakeOverBody } from '../journal/index.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt, type YardOptions } from '../testing/small-yard.js';
import { rebuild } from './pump-projection.js';
import { initialState } from './first-state.js';
import { overlongRuns, standingAt } from '../standing/standing.js';

const takeOver = (hours: number, body: TakeOverBody, more?: { pumpId: string }): Entry =>
  entryAt(hours, 'takeOver', body, more);
const meter = (hours: number, onMeterHours: number, more: Partial<MeterBody> = {}): Entry =>
  entryAt(hours, 'meter', { action: 'read', minutes: onMeterHours * 60, ...more });
const openRun = (hours: number): Entry =>
  entryAt(
    hours,
    'run',
    {
      materialId: 'any-empty',
      stillRunning: true,
      session: 'run',
      ballast: 'closed',
      ventedBeforeStop: 'unknown',
    },
    { equipmentId: 'chamber' },
  );

function pump(entries: Entry[], nowHours: number, options: YardOptions = {}) {
  const book = bookOf(options);
  const pumpId = entries[0]?.subjects.find((s) => s.type === 'pump')?.id ?? 'p1';
  const state = rebuild({ pumpId, entries, book });
  const setUp = book.pumpAt({ pumpId, instant: at(nowHours) });
  if (!setUp) throw new Error(`no pump ${pumpId}`);
  return { state, setUp, standing: standingAt({ state, setUp, now: at(nowHours) }) };
}

describe('take-over', () => {
  test('runs and days since the change count from what is known of them', () => {
    const { standing } = pump(
      [takeOver(24 * 40, { oilChangedAt: at(24 * 10), runsSince: 3, minutesSince: 4000 })],
      24 * 41,
    );
    const change = standing.tasks.find((t) => t.task === 'oilChange');
    const used = Object.fromEntries(change?.limits.map((l) => [l.measure, l.used]) ?? []);
    expect(used).toEqual({ runs: 3, weight: 3, days: 31 });
    expect(standing.reasons).toEqual([]);
  });

  test('without hours a known run counts as one of the equipment’s plain runs, 20 h here', () => {
    const options: YardOptions = { preset: 'byTheHour' };
    const { standing } = pump([takeOver(100, { oilChangedAt: at(1), runsSince: 4 })], 101, options);
    const hours = standing.tasks.find((t) => t.task === 'oilChange')?.limits.find((l) => l.measure === 'hours');
    expect(hours?.used).toBe(80);
  });

  test('two more runs on five allowed: the limit is reached', () => {
    const entries = [takeOver(100, { oilChangedAt: at(1), runsSince: 3 }), runAt(110, 20), runAt(140, 20)];
    expect(pump(entries, 170).standing).toMatchObject({ verdict: 'beforeNextRun', act: 'change' });
  });

  test('oil of unknown age asks for a look, and a look at its colour or clarity answers', () => {
    const unknown = takeOver(10, {});
    expect(pump([unknown], 11).standing).toMatchObject({
      verdict: 'lookSooner',
      act: 'look',
      reasons: [{ code: 'unknownAge', changedKnown: false, entryId: unknown.id }],
    });
    // Nobody knows of a change: its limits are counted from the take-over, and no change is said to have been then.
    const oilChange = (entries: Entry[]) => pump(entries, 13).standing.tasks.find((t) => t.task === 'oilChange');
    expect(oilChange([unknown])).toMatchObject({ sinceAt: at(10), doneEntryId: null });
    const told = takeOver(10, { oilChangedAt: at(2), runsSince: 1 });
    expect(oilChange([told])).toMatchObject({ sinceAt: at(2), doneEntryId: told.id });
    expect(pump([unknown, lookAt(12, { level: 'right' })], 13).standing.verdict).toBe('lookSooner');
    expect(pump([unknown, lookAt(12, { clarity: 'bright' })], 13).standing.verdict).toBe('runOn');
    // Looked at while it ran, or half an hour after: nothing has settled that would show.
    for (const hoursStood of [0, 0.5])
      expect(pump([unknown, lookAt(12, { clarity: 'bright', hoursStood })], 13).standing.verdict).toBe('lookSooner');
    const { tasks } = pump([unknown, lookAt(12, { clarity: 'bright', hoursStood: 0 })], 13).standing;
    expect(tasks[0]).toMatchObject({ task: 'look', status: 'now' });
    const sample = entryAt(12, 'labSample', { sump: 'oil', drawnMl: 50 });
    expect(pump([unknown, sample], 13).standing.verdict).toBe('lookSooner');
    const report = entryAt(14, 'labResult', { sampleId: sample.id, waterPpm: 40, acidMgKohG: 0.1 });
    expect(pump([unknown, sample, report], 15).standing.reasons.map((r) => r.code)).not.toContain('unknownAge');
    expect(pump([unknown, changeAt(12)], 13).standing.verdict).toBe('runOn');
  });

  test('a known day with unknown use still asks for a look; hours alone are enough', () => {
    expect(pump([takeOver(10, { oilChangedAt: at(2) })], 11).standing.reasons).toMatchObject([
      { code: 'unknownAge', changedKnown: true },
    ]);
    expect(pump([takeOver(10, { oilChangedAt: at(2), minutesSince: 600 })], 11).standing.reasons).toEqual([]);
  });

  test('of oil that nobody has said a word about, nobody says “run on”: a change, a look or a take-over ends that, a run does not', () => {
    const untouched = (pumpId: string) => {
      const setUp = bookOf().pumpAt({ pumpId, instant: at(1) });
      if (!setUp) throw new Error('no pump');
      return standingAt({ state: initialState(pumpId), setUp, now: at(1) });
    };
    expect(untouched('p1')).toMatchObject({ verdict: 'lookSooner', reasons: [{ code: 'notTakenOver' }] });
    expect(untouched('d1').verdict).toBe('runOn');
    const codes = (...entries: Entry[]) => pump(entries, 40).standing.reasons.map((r) => r.code);
    for (const says of [changeAt(1), lookAt(1, { clarity: 'bright', colour: 1 }), takeOver(1, { oilChangedAt: at(0) })])
      expect([says.kind, codes(runAt(2, 3), says).includes('notTakenOver')]).toEqual([says.kind, false]);
    const text = entryAt(1, 'note', { text: 'stands by the door' });
    expect(codes(text, runAt(2, 3), runAt(8, 3))).toContain('notTakenOver');
    expect(pump([changeAt(1)], 2).standing.verdict).toBe('runOn');
  });

  test('a dry pump has no oil to be of any age', () => {
    const { standing, state } = pump([takeOver(10, { meterMinutes: 90_000 }, { pumpId: 'd1' })], 11);
    expect(standing.reasons).toEqual([]);
    expect(state.meter?.minutes).toBe(90_000);
  });
});

// Taken over at hour 100. By hand: what was counted then is K; what the log has since the change is among it unless somebody says not.
describe('what happened before a take-over and is written later', () => {
  /** Hours of the table count from here, and the take-over is at 100. */
  const ZERO = 240;
  const TAKEN = ZERO + 100;
  const ran = (hours: number, length = 20) => runAt(ZERO + hours, length);
  const onTop = (hours: number, length = 20) =>
    runAt(ZERO + hours, length, 'any-empty', { body: { beyondTakeOver: true } });
  const changed = (hours: number) => changeAt(ZERO + hours);
  const two = { oilChangedAt: at(ZERO + 10), runsSince: 2 };

  test.each<[string, TakeOverBody, Entry[], { runs: number; hours: number; unknownAge: boolean }]>([
    ['nothing', two, [], { runs: 2, hours: 40, unknownAge: false }],
    ['one of the two', two, [ran(60)], { runs: 2, hours: 40, unknownAge: false }],
    ['both of them, one of 30 h', two, [ran(30, 30), ran(70)], { runs: 2, hours: 50, unknownAge: false }],
    ['three, where two were counted', two, [ran(20), ran(45), ran(70)], { runs: 3, hours: 60, unknownAge: false }],
    ['one that came on top', two, [onTop(60)], { runs: 3, hours: 60, unknownAge: false }],
    ['one of the two, and two on top', two, [ran(20), onTop(45), onTop(70)], { runs: 4, hours: 80, unknownAge: false }],
    ['one on the oil before', two, [ran(-20)], { runs: 2, hours: 40, unknownAge: false }],
    [
      'one, where hours were told too',
      { ...two, minutesSince: 70 * 60 },
      [ran(60)],
      { runs: 2, hours: 70, unknownAge: false },
    ],
    [
      'two, where nobody knew how many',
      { oilChangedAt: at(ZERO + 10) },
      [ran(40), ran(65)],
      { runs: 2, hours: 40, unknownAge: true },
    ],
    ['two, where nobody knew anything', {}, [ran(40), ran(65)], { runs: 2, hours: 40, unknownAge: true }],
    [
      'the change that nobody knew of, and a run',
      {},
      [changed(50), ran(65)],
      { runs: 1, hours: 20, unknownAge: false },
    ],
    ['a newer change, and a run', two, [changed(50), ran(65)], { runs: 1, hours: 20, unknownAge: false }],
    ['the same change, and one of the two', two, [changed(11), ran(65)], { runs: 2, hours: 40, unknownAge: false }],
    [
      'an older change, and runs on both',
      two,
      [changed(-60), ran(-40), ran(40)],
      { runs: 2, hours: 40, unknownAge: false },
    ],
  ])('%s', (_, body, before, wanted) => {
    const limits = { oilChange: { runs: 50, hours: 5000, weight: null } };
    const { standing } = pump([...before, takeOver(TAKEN, body)], TAKEN + 1, { limits });
    const used = Object.fromEntries(
      standing.tasks.find((t) => t.task === 'oilChange')?.limits.map((l) => [l.measure, l.used]) ?? [],
    );
    const unknownAge = standing.reasons.some((r) => r.code === 'unknownAge');
    expect({ runs: used['runs'], hours: used['hours'], unknownAge }).toEqual(wanted);
  });

  test('runs after it go on from there, and the ruler has the bars of those that are on record', () => {
    const { state } = pump([ran(60), takeOver(TAKEN, { ...two, runsSince: 3 }), ran(120)], ZERO + 150);
    expect(state.bars).toHaveLength(2);
    expect(state.collapsed).toEqual({ runs: 2, weightMilli: 2000, minutes: 40 * 60 });
    expect(state.totals.runs - state.sumps[0]!.charge.since.counts.runs).toBe(4);
  });

  test('water that a logged charge was found to hold stands, and what nobody logged leaves it open', () => {
    const trap = { body: { trapTempC: -40 } };
    const known = [changed(50), runAt(ZERO + 60, 30, 'any-empty', trap), takeOver(TAKEN, {})];
    const charge = (entries: Entry[]) => pump(entries, ZERO + 150).state.sumps[0]!.charge;
    expect(charge(known).expectedWaterUl / 1000).toBeCloseTo(17.1, 0);
    expect(charge(known).unestimatedRuns).toBe(0);
    expect(charge([...known.slice(0, 2), takeOver(TAKEN, { runsSince: 3 })]).unestimatedRuns).toBe(2);
  });
});

describe('hour meter', () => {
  const start = takeOver(1, { oilChangedAt: at(0), runsSince: 0, meterMinutes: 1000 * 60 });

  test('meter minus logged runs is unlogged time, and counts on the oil', () => {
    const { state, standing } = pump([start, runAt(10, 20), meter(60, 1050)], 61);
    expect(state.totals).toMatchObject({ runs: 1, minutes: 50 * 60, unloggedMinutes: 30 * 60 });
    // 20 h of a plain run, and 30 h that weigh as 1.5 plain runs.
    expect(state.totals.weightMilli).toBe(2500);
    expect(standing.unloggedMinutes).toBe(1800);
    expect(state.bars.map((b) => b.load)).toEqual(['clean', 'unlogged']);
  });

  test('a reading in the middle of a run that is logged in full is made good by the next one', () => {
    const { state } = pump([start, runAt(10, 20), meter(15, 1005), meter(60, 1020)], 61);
    expect(state.totals).toMatchObject({ minutes: 20 * 60, unloggedMinutes: 0 });
    expect(state.meter?.aheadMinutes).toBe(0);
  });

  test('a replaced meter goes on from what the new one shows', () => {
    const replaced = meter(50, 1030, { action: 'replaced', newMinutes: 2 * 60 });
    const { state } = pump([start, runAt(10, 20), replaced, meter(90, 7)], 91);
    // 1000 → 1030 is 30 h, 20 of them logged; 2 → 7 is 5 h more.
    expect(state.totals).toMatchObject({ minutes: 35 * 60, unloggedMinutes: 15 * 60 });
  });

  test('a meter that shows less than before starts a new count, and takes nothing away', () => {
    const { state } = pump([start, runAt(10, 20), meter(60, 900), meter(70, 904)], 71);
    expect(state.totals).toMatchObject({ minutes: 24 * 60, unloggedMinutes: 4 * 60 });
  });

  test('after a change only what ran since counts as unlogged on this charge', () => {
    const { standing } = pump([start, meter(40, 1030), changeAt(50), meter(90, 1042)], 91);
    expect(standing.unloggedMinutes).toBe(12 * 60);
  });
});

describe('a run that goes on', () => {
  test('shows, and counts only when its end is known', () => {
    const going = openRun(10);
    const { state } = pump([going], 20);
    expect(state.running).toEqual([{ entryId: going.id, at: at(10), equipmentId: 'chamber', materialId: 'any-empty' }]);
    expect(state.totals.runs).toBe(0);
  });

  test('is asked about after twice its equipment’s plain run, and a day at least', () => {
    const book = bookOf();
    const state = rebuild({ pumpId: 'p1', entries: [openRun(10)], book });
    const setUp = book.pumpAt({ pumpId: 'p1', instant: at(10) });
    if (!setUp) throw new Error('no pump');
    // 20 h are a plain run in the chamber.
    expect(overlongRuns({ state, setUp, now: at(49) })).toHaveLength(0);
    expect(overlongRuns({ state, setUp, now: at(51) })).toHaveLength(1);
  });
});
