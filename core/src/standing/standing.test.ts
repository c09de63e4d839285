import { at, bookOf, changeAt, entryAt, lookAt, runAt, type YardOptions } from '../testing/small-yard.js';
import type { Entry } from '../journal/index.js';
import { rebuild } from '../fold/index.js';
import { standingAt } from './standing.js';

function standing(entries: Entry[], nowHours: number, options: YardOptions & { pumpId?: string } = {}) {
  const book = bookOf(options);
  const pumpId = options.pumpId ?? 'p1';
  const state = rebuild({ pumpId, entries, book });
  const setUp = book.pumpAt({ pumpId, instant: at(nowHours) });
  if (!setUp) throw new Error('the pump is missing');
  return { state, ...standingAt({ state, setUp, now: at(nowHours) }) };
}
const oilChange = (s: ReturnType<typeof standing>) => s.tasks.find((t) => t.task === 'oilChange');
const daily = (count: number, hours = 20, from = 24): Entry[] =>
  Array.from({ length: count }, (_, i) => runAt(from + i * 48, hours));

describe('limits', () => {
  test('the first limit reached decides and says how much is left of each, and since when', () => {
    const s = standing([changeAt(1), ...daily(3, 40)], 200, {
      limits: { oilChange: { runs: 10, weight: null, hours: 100, days: 30 } },
    });
    expect(oilChange(s)).toMatchObject({
      status: 'reached',
      sinceAt: at(1),
      decides: { measure: 'hours', used: 120, limit: 100, left: 0 },
    });
    expect(oilChange(s)?.limits).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ measure: 'runs', used: 3, left: 7, reached: false }),
        expect.objectContaining({ measure: 'days', used: 8, left: 22, reached: false }),
      ]),
    );
    expect(s).toMatchObject({ verdict: 'beforeNextRun', act: 'change' });
  });

  test('an oil denser than water is never bled: its water floats', () => {
    const bleed = (base: 'mineral' | 'pfpe') =>
      standing([changeAt(1), ...daily(3)], 200, { base }).tasks.some((t) => t.task === 'bleed');
    expect(bleed('mineral')).toBe(true);
    expect(bleed('pfpe')).toBe(false);
  });

  test('4 of 5 runs used shows before starting, and does not change the verdict', () => {
    const s = standing([changeAt(1), ...daily(4)], 192, { limits: { look: { runs: null, days: null } } });
    expect(oilChange(s)).toMatchObject({
      status: 'withinNextRun',
      decides: { measure: 'runs', used: 4, withinNextRun: true },
    });
    expect(s.reasons.map((r) => r.code)).toEqual(['lastRunBeforeChange']);
    expect(s.verdict).toBe('runOn');
  });

  test('40 h left before a 60 h run shows before starting', () => {
    const s = standing([changeAt(1), ...daily(2, 60)], 150, {
      limits: { oilChange: { runs: null, weight: null, hours: 160 } },
    });
    expect(oilChange(s)?.limits.find((l) => l.measure === 'hours')).toMatchObject({
      left: 40,
      reached: false,
      withinNextRun: true,
    });
  });

  test('only a full drain resets the count: top-up and bleed never do', () => {
    const s = standing(
      [
        changeAt(1),
        ...daily(2),
        entryAt(100, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 50, levelAfter: 'right' }),
        entryAt(101, 'bleed', { sump: 'oil', drawnMl: 30, waterMl: 15 }),
      ],
      102,
    );
    expect(oilChange(s)?.limits.find((l) => l.measure === 'runs')?.used).toBe(2);
    expect(
      standing([changeAt(1), ...daily(2), changeAt(110)], 111)
        .tasks.find((t) => t.task === 'oilChange')
        ?.limits.find((l) => l.measure === 'runs')?.used,
    ).toBe(0);
  });

  test('days follow the site’s calendar: an evening change is a day old after midnight', () => {
    const s = standing([changeAt(23.5)], 24.5);
    expect(oilChange(s)?.limits.find((l) => l.measure === 'days')?.used).toBe(1);
  });

  test('the first charge of an overhauled pump has the running-in limit of 100-150 h, the next one not', () => {
    const options = { overhauledAt: at(5), preset: 'byTheHour' } as const;
    const first = oilChange(standing([changeAt(1), ...daily(2)], 120, options))?.limits.find(
      (l) => l.measure === 'hours',
    );
    expect(first).toMatchObject({ from: 'runningIn' });
    expect(first?.limit).toBeGreaterThanOrEqual(100);
    expect(first?.limit).toBeLessThanOrEqual(150);
    const next = oilChange(standing([changeAt(1), ...daily(2), changeAt(130)], 131, options))?.limits.find(
      (l) => l.measure === 'hours',
    );
    expect(next).toMatchObject({ limit: 750, from: 'preset' });
  });

  // Five runs, 7 weighted, and half a year are allowed; four runs of it are gone, and nobody has logged one.
  test('before any run is logged the limit in runs decides, not the far date of the calendar', () => {
    const taken = entryAt(480, 'takeOver', { oilChangedAt: at(24), runsSince: 4 });
    const change = oilChange(standing([taken], 481));
    expect(change?.decides).toMatchObject({ measure: 'runs', left: 1, runsLeft: 1, forecast: null });
    expect(change?.limits.find((l) => l.measure === 'days')?.forecast?.p50Days).toBeGreaterThan(100);
    // Three days before the half-year is over with one run gone, the date decides.
    const old = entryAt(24 * 181, 'takeOver', { oilChangedAt: at(24 * 1), runsSince: 1 });
    expect(oilChange(standing([old], 24 * 181))?.decides).toMatchObject({ measure: 'days' });
  });

  test('two readings of the hour meter give a rate: 60 h in 5 days, and 240 h left are 20 days', () => {
    const meter = (hours: number, onMeter: number) =>
      entryAt(hours, 'meter', { action: 'read', minutes: onMeter * 60 });
    const taken = entryAt(24, 'takeOver', { oilChangedAt: at(23), minutesSince: 450 * 60, meterMinutes: 1000 * 60 });
    const options: YardOptions = { preset: 'byTheHour' };
    const forecastOf = (entries: Entry[], now: number) => oilChange(standing(entries, now, options))?.forecast;
    expect(forecastOf([taken, meter(24 * 3, 1030)], 24 * 3)?.basis).not.toBe('meter');
    const read = forecastOf([taken, meter(24 * 6, 1060)], 24 * 6);
    expect(read).toMatchObject({ measure: 'hours', basis: 'meter' });
    expect(read?.p50Days).toBeCloseTo(20, 5);
  });

  test('a flush is counted in oil changes', () => {
    const s = standing([changeAt(1), changeAt(100), changeAt(200)], 201);
    expect(s.tasks.find((t) => t.task === 'flush')).toMatchObject({
      status: 'reached',
      decides: { measure: 'changes', used: 3 },
    });
  });

  test('what fills a pump after its flush is the flush’s last fill, and no change towards the next one', () => {
    const flushed = [changeAt(1), changeAt(100), entryAt(200, 'done', { task: 'flush' }), changeAt(200)];
    const used = (entries: Entry[]) => standing(entries, 400).tasks.find((t) => t.task === 'flush')?.limits[0]?.used;
    expect(used(flushed)).toBe(0);
    expect(used([...flushed, runAt(210, 10), changeAt(300)])).toBe(1);
    // Filled, run, and changed: that one counts.
    expect(used([changeAt(1), entryAt(200, 'done', { task: 'flush' }), runAt(210, 10), changeAt(300)])).toBe(1);
  });

  test('an overdue look gives Look sooner; other overdue tasks never alter the verdict', () => {
    const noOilLimits = { oilChange: { runs: null, weight: null } };
    expect(
      standing([changeAt(1), ...daily(3)], 24 * 30, { limits: { ...noOilLimits, look: { runs: 3 } } }),
    ).toMatchObject({ verdict: 'lookSooner', act: 'look' });
    const s = standing([changeAt(1), ...daily(3)], 200, {
      limits: { ...noOilLimits, look: { runs: null, days: null }, vaneCheck: { hours: 10 } },
    });
    expect(s.tasks.find((t) => t.task === 'vaneCheck')?.status).toBe('reached');
    expect(s.verdict).toBe('runOn');
  });

  test('a dry pump is scheduled by hours and has no oil', () => {
    const s = standing(
      Array.from({ length: 6 }, (_, i) => runAt(i * 24, 20, 'any-empty', { pumpId: 'd1' })),
      150,
      { pumpId: 'd1' },
    );
    expect(s.tasks.find((t) => t.task === 'tipSeals')).toMatchObject({
      status: 'reached',
      decides: { used: 120, limit: 100 },
    });
    expect(s.tasks.some((t) => t.task === 'oilChange')).toBe(false);
    expect(s.state.sumps).toEqual([]);
    expect(s.verdict).toBe('runOn');
  });

  test('a booster’s gear oil counts from the end that waited longest', () => {
    const gear = (hours: number, sump: 'gearA' | 'gearB') =>
      entryAt(
        hours,
        'change',
        { sump, productId: 'oil-a', outMl: 380, inMl: 400, levelAfter: 'right' },
        { pumpId: 'b1' },
      );
    const runs = Array.from({ length: 4 }, (_, i) => runAt(10 + i * 24, 20, 'any-empty', { pumpId: 'b1' }));
    const one = standing([...runs, gear(200, 'gearA')], 201, { pumpId: 'b1' });
    expect(one).toMatchObject({ verdict: 'beforeNextRun', act: 'change' });
    expect(standing([...runs, gear(200, 'gearA'), gear(200.1, 'gearB')], 201, { pumpId: 'b1' }).verdict).toBe('runOn');
  });
});

describe('oil carried over', () => {
  const carried = (entries: Entry[], options: YardOptions = {}) =>
    standing(entries, 24 * 40, options).state.bars.map((b) => b.carriedOver);

  test('a run is carried over when the change was due at its start, not when it becomes due by it', () => {
    expect(carried([changeAt(1), ...daily(7)])).toEqual([false, false, false, false, false, true, true]);
  });

  test('a change before the next run ends it', () => {
    expect(carried([changeAt(1), ...daily(6), changeAt(24 + 6 * 48 - 2), ...daily(1, 20, 24 + 6 * 48)])).toEqual([
      false,
    ]);
  });

  test('a verdict of the third kind about the oil carries over, a low level does not', () => {
    expect(carried([changeAt(1), lookAt(10, { colour: 1 }), lookAt(20, { colour: 4.5 }), runAt(24, 20)])).toEqual([
      true,
    ]);
    expect(carried([changeAt(1), lookAt(20, { level: 'low' }), runAt(24, 20)])).toEqual([false]);
  });

  test('a day limit counts at the start of the run', () => {
    const options = { limits: { oilChange: { runs: null, weight: null, days: 10 } } };
    expect(carried([changeAt(1), runAt(24 * 9, 30), runAt(24 * 11, 10)], options)).toEqual([false, true]);
  });
});

test('a finding says in which sump it stands: both ends of a booster can be low', () => {
  const low = (hours: number, sump: 'gearA' | 'gearB') =>
    entryAt(hours, 'look', { sump, source: 'sightGlass', hoursStood: 8, level: 'low' }, { pumpId: 'b1' });
  const { reasons } = standing([low(10, 'gearA'), low(11, 'gearB')], 20, { pumpId: 'b1' });
  expect(reasons.filter((r) => r.code === 'level')).toMatchObject([
    { found: 'low', sump: 'gearA' },
    { found: 'low', sump: 'gearB' },
  ]);
});
