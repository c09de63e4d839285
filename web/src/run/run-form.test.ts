import type { PumpPage } from '@winter-jar/contracts';
import { initialState, rebuild, standingAt, type Entry } from '@winter-jar/core';
import { at, bookOf, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { unitsOf } from '../device/units-of.js';
import {
  countedBefore,
  lastReadings,
  NOT_TOLD,
  readRun,
  recentMaterials,
  runDefaults,
  runsWith,
  runValuesOf,
  startIn,
  type RunValues,
} from './run-form.js';
import { mainDraft } from '../testing/main-draft.js';

const units = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const NOW = Date.parse(at(500));

function pageOf(entries: Entry[] = []): PumpPage {
  const setUp = bookOf().pumpAt({ pumpId: 'p1', instant: at(500) });
  if (!setUp) throw new Error('the pump is missing');
  const state = entries.length > 0 ? rebuild({ pumpId: 'p1', entries, book: bookOf() }) : initialState('p1');
  return {
    row: { pumpId: 'p1', zone: 'Europe/Lisbon' },
    setUp,
    state,
    standing: standingAt({ state, setUp, now: at(500) }),
  } as unknown as PumpPage;
}
const page = pageOf([changeAt(1), runAt(10, 20, 'fd-meat'), runAt(100, 30, 'fd-paper-wet')]);
const defaults = runDefaults({ page, nowMs: NOW });
const read = (more: Partial<RunValues>, on = page, inUnits = units) =>
  mainDraft(readRun({ ...defaults, ...more }, { page: on, units: inUnits, nowMs: NOW }));

test('a run that goes on starts now, one that is over a length ago, and a start that was typed stays', () => {
  // 21 January 2031, 20:00 in Lisbon; the last run took 30 h.
  const start = (mode: RunValues['mode'], from: string) =>
    startIn(mode, { ...defaults, start: from }, { page, nowMs: NOW });
  expect(start('started', defaults.start)).toBe('2031-01-21T20:00');
  expect(start('times', '2031-01-21T20:00')).toBe('2031-01-20T14:00');
  expect(start('times', '2031-01-19T08:00')).toBe('2031-01-19T08:00');
  expect(start('started', '2031-01-21T17:30')).toBe('2031-01-21T17:30');
});

test('it starts from the last run, ended now', () => {
  expect(defaults).toMatchObject({
    materialId: 'fd-paper-wet',
    mode: 'endedNow',
    duration: '30 h',
    ballast: 'closed',
    ventedBeforeStop: 'unknown',
    trapTempC: '',
    lowestPressurePa: '',
    session: 'run',
    remark: '',
  });
  expect(read({})).toEqual({
    ok: true,
    kind: 'run',
    happenedAt: at(470),
    precision: 'exact',
    alsoAbout: [
      { type: 'pump', id: 'd1' },
      { type: 'pump', id: 'b1' },
      { type: 'equipment', id: 'chamber' },
    ],
    body: { materialId: 'fd-paper-wet', minutes: 1800, session: 'run', ballast: 'closed', ventedBeforeStop: 'unknown' },
  });
});

test('what was read at the last run is offered, and no reading of this one', () => {
  const cold = runAt(100, 30, 'fd-paper-wet', { body: { trapTempC: -48, lowestPressurePa: 12 } });
  expect(lastReadings({ page: pageOf([changeAt(1), cold]), units })).toEqual({
    trapTempC: '-48 °C',
    lowestPressurePa: '0.12 hPa',
  });
  expect(lastReadings({ page: pageOf(), units })).toEqual({ trapTempC: '', lowestPressurePa: '' });
});

test('without a last run it starts from the reference hours, and asks what went in', () => {
  const empty = pageOf();
  const fresh = runDefaults({ page: empty, nowMs: NOW });
  expect(fresh).toMatchObject({ materialId: '', duration: '20 h', ballast: 'unknown' });
  expect(mainDraft(readRun(fresh, { page: empty, units, nowMs: NOW }))).toMatchObject({
    ok: false,
    issues: { materialId: 'Say what went in, or that you do not know it yet.' },
  });
  const unknown = mainDraft(readRun({ ...fresh, materialId: NOT_TOLD }, { page: empty, units, nowMs: NOW }));
  expect(unknown).toMatchObject({ ok: true, body: { materialId: null } });
});

test('quantities are read in the person’s units', () => {
  const said = read({ trapTempC: '-40', lowestPressurePa: '35' }, page, {
    ...units,
    temperature: '°F',
    pressure: 'mTorr',
  });
  expect(said).toMatchObject({ ok: true, body: { trapTempC: -40 } });
  expect(said.ok && said.body.lowestPressurePa).toBeCloseTo(4.666, 3);
});

test('cycles: with or without hours, with separators, and only where they are counted', () => {
  const line = (more: Partial<RunValues>) => read({ equipmentId: 'line', ...more });
  expect(line({ materialId: 'vp-meat', cycles: '1,850', duration: '' })).toMatchObject({
    ok: true,
    body: { cycles: 1850 },
  });
  const fromCycles = line({ materialId: 'vp-meat', cycles: '2000', duration: '' });
  expect(fromCycles.ok && 'minutes' in fromCycles.body).toBe(false);
  expect(fromCycles).toMatchObject({ happenedAt: new Date(NOW - 1000 * 60_000).toISOString() });
  expect(line({ materialId: 'vp-meat', cycles: '2000', duration: '9 h' })).toMatchObject({
    body: { cycles: 2000, minutes: 540 },
  });
  expect(line({ materialId: 'vp-meat', cycles: 'many' })).toMatchObject({
    issues: { cycles: expect.stringMatching(/“many” is not a number of cycles/) },
  });
  expect(read({ cycles: '2000' })).toMatchObject({ ok: true, body: expect.not.objectContaining({ cycles: 2000 }) });
});

test('what is known beyond the short form is read, kept for a correction, and left out where nobody said it', () => {
  const typed = {
    loadKg: '26 lb',
    oilTempC: '68',
    defrostedBefore: 'yes' as const,
    drainClosed: 'no' as const,
    firstPressurePa: '3 hPa',
    trapProfile: 'min;°C\n0;-52\n600;-44,5',
  };
  const said = read(typed);
  expect(said).toMatchObject({
    ok: true,
    body: {
      loadKg: expect.closeTo(11.79, 2) as number,
      oilTempC: 68,
      defrostedBefore: 'yes',
      drainClosed: 'no',
      firstPressurePa: 300,
      trapProfile: [
        { minutes: 0, tempC: -52 },
        { minutes: 600, tempC: -44.5 },
      ],
    },
  });
  if (!said.ok) return;
  expect(Object.keys(said.body)).not.toContain('inLineFilter');
  const entry = { ...runAt(470, 30), body: said.body } as Extract<Entry, { kind: 'run' }>;
  const again = mainDraft(
    readRun(runValuesOf(entry, { zone: 'Europe/Lisbon', units, nowMs: NOW }), { page, units, nowMs: NOW }),
  );
  expect(again).toMatchObject({ ok: true, body: { ...said.body, loadKg: expect.closeTo(11.79, 2) as number } });
  // On a line without a trap nobody asks about it.
  const line = read({ ...typed, equipmentId: 'line', materialId: 'vp-meat', cycles: '2000', duration: '9 h' });
  expect(line.ok && Object.keys(line.body)).not.toContain('trapProfile');
});

test('a wrong line of the trap’s readings is named', () => {
  expect(read({ trapProfile: '0 -50\ncold' })).toMatchObject({
    issues: { trapProfile: 'Line 2: “cold” is not minutes and a temperature. Right would be “90 -41”.' },
  });
});

test('every wrong field is named at once', () => {
  expect(read({ materialId: 'none', duration: 'long', trapTempC: '12 stones', lowestPressurePa: '-1' })).toMatchObject({
    ok: false,
    issues: {
      materialId: expect.any(String),
      duration: expect.any(String),
      trapTempC: expect.any(String),
      lowestPressurePa: expect.any(String),
    },
  });
});

test('a run that is corrected comes back as it was typed', () => {
  const run = runAt(100, 30, 'fd-meat') as Extract<Entry, { kind: 'run' }>;
  const odd = { ...run, body: { ...run.body, trapTempC: -41, lowestPressurePa: 470, remark: 'odd' } };
  const values = runValuesOf(odd, { zone: 'Europe/Lisbon', units, nowMs: NOW });
  expect(values).toMatchObject({
    mode: 'times',
    start: '2031-01-05T04:00',
    end: '2031-01-06T10:00',
    trapTempC: '-41 °C',
    lowestPressurePa: '4.7 hPa',
    remark: 'odd',
  });
  expect(mainDraft(readRun(values, { page, units, nowMs: NOW }))).toMatchObject({
    ok: true,
    happenedAt: run.happenedAt,
    body: odd.body,
  });
});

test('the materials that it had last come first, each once', () => {
  expect(recentMaterials(page)).toEqual(['fd-paper-wet', 'fd-meat']);
});

test('pumps run together where a booster stands on the same equipment; a borrowed one stands in for the vane pump there', () => {
  const { house } = page.setUp;
  expect(runsWith('p1', 'chamber', house)).toEqual(['d1', 'b1']);
  const moved = { ...house.pump, p1: { ...house.pump.p1!, equipmentId: 'line' } };
  expect(runsWith('p1', 'line', { ...house, pump: moved })).toEqual([]);
  expect(runsWith('p1', 'chamber', { ...house, pump: moved })).toEqual(['b1']);
  const spare = { ...house.pump, b1: { ...house.pump.b1!, place: 'spare' as const } };
  expect(runsWith('p1', 'chamber', { ...house, pump: spare })).toEqual([]);
});

test('a run that has just started has no length, and is ended with what its end says', () => {
  const start = '2031-01-21T18:30';
  const said = read({ mode: 'started', start, duration: 'whatever', cycles: 'many' });
  expect(said).toMatchObject({ ok: true, happenedAt: '2031-01-21T18:30:00.000Z', body: { stillRunning: true } });
  expect(said.ok && ('minutes' in said.body || 'cycles' in said.body)).toBe(false);
  expect(read({ mode: 'started', start: '2031-02-21T18:30' })).toMatchObject({
    issues: { start: expect.stringMatching(/has not come yet/) },
  });
  const going = { ...runAt(480, 1), body: { ...(said.ok ? said.body : {}) } } as Extract<Entry, { kind: 'run' }>;
  const ending = runValuesOf(going, { zone: 'Europe/Lisbon', units, nowMs: NOW });
  expect(ending).toMatchObject({ mode: 'times', start: '2031-01-21T00:00', end: '2031-01-21T20:00' });
  const ended = mainDraft(readRun(ending, { page, units, nowMs: NOW }));
  expect(ended).toMatchObject({ ok: true, body: { minutes: 20 * 60 } });
  expect(ended.ok && ended.body.stillRunning).toBeUndefined();
});

describe('a run from before the take-over', () => {
  const taken = pageOf([entryAt(495, 'takeOver', { oilChangedAt: at(400), runsSince: 2 })]);
  const of = (more: Partial<RunValues>) => read({ takeOver: '', duration: '20 h', ...more }, taken);

  test('asks whether it was counted, and says so in the entry', () => {
    expect(of({})).toMatchObject({ ok: false, issues: { takeOver: expect.stringMatching(/^Say whether/) as string } });
    expect(of({ takeOver: 'among' })).toMatchObject({ ok: true, body: { beyondTakeOver: false } });
    expect(of({ takeOver: 'onTop' })).toMatchObject({ ok: true, body: { beyondTakeOver: true } });
    expect(countedBefore({ ...defaults, duration: '20 h' }, { page: taken, units, nowMs: NOW })).toBe(2);
  });

  test('one that began later, or on the oil before, is not asked about', () => {
    const later = of({ duration: '4 h' });
    expect(later).toMatchObject({ ok: true });
    expect(later.ok && later.body).not.toHaveProperty('beyondTakeOver');
    expect(of({ duration: '110 h' })).toMatchObject({ ok: true });
  });
});
