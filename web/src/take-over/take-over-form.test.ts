import type { PumpPage } from '@winter-jar/contracts';
import { entryAt } from '@winter-jar/core/testing';
import { unitsOf } from '../device/units-of.js';
import { nothingKnown, readTakeOver, takeOverValuesOf, type TakeOverValues } from './take-over-form.js';
import { meterText } from '../forms/meter-text.js';

const units = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const NOW = Date.parse('2031-06-01T10:00:00.000Z');
const read = (more: Partial<TakeOverValues>, hasOil = true) =>
  readTakeOver({ ...nothingKnown(), ...more }, { units, zone: 'Europe/Lisbon', nowMs: NOW, hasOil });

test('a day is six in the morning of the site; hours and meter are whole minutes', () => {
  expect(read({ changedDay: '2031-05-20', runsSince: '3', hoursSince: '70,5', meter: '1204.2' })).toEqual({
    ok: true,
    body: { oilChangedAt: '2031-05-20T05:00:00.000Z', runsSince: 3, minutesSince: 4230, meterMinutes: 72_252 },
  });
});

test('what nobody knows is null, and nought is known', () => {
  expect(read({ changed: 'unknown', changedDay: 'left over' })).toMatchObject({
    body: { oilChangedAt: null, runsSince: null, minutesSince: null, meterMinutes: null },
  });
  expect(read({ changed: 'unknown', runsSince: '0' })).toMatchObject({ body: { runsSince: 0 } });
  expect(read({ changedDay: '', runsSince: 'many' }, false)).toMatchObject({ ok: true, body: { oilChangedAt: null } });
});

test.each<[Partial<TakeOverValues>, string, RegExp]>([
  [{}, 'changedDay', /on which day, or choose/],
  [{ changedDay: '2031-06-02' }, 'changedDay', /has not come yet/],
  [{ changed: 'unknown', runsSince: '-1' }, 'runsSince', /a whole number/],
  [{ changed: 'unknown', hoursSince: 'two' }, 'hoursSince', /not a number with a unit/],
  [{ changed: 'unknown', meter: '-4' }, 'meter', /“-4” is too little\. Right would be 0 min or more/],
])('%j is refused at its field', (values, field, words) => {
  const answer = read(values);
  expect(!answer.ok && answer.issues[field]).toMatch(words);
});

test('a take-over that is corrected comes back as it was typed', () => {
  const values: TakeOverValues = {
    changed: 'day',
    changedDay: '2031-05-20',
    runsSince: '0',
    hoursSince: '70.5',
    meter: '',
  };
  const answer = read(values);
  if (!answer.ok) throw new Error('not read');
  const entry = entryAt(5000, 'takeOver', answer.body) as Parameters<typeof takeOverValuesOf>[0];
  expect(takeOverValuesOf(entry, { row: { zone: 'Europe/Lisbon' } } as PumpPage)).toEqual(values);
});

test('a meter reads in hours with at most one decimal', () => {
  expect([meterText(72_252), meterText(60), meterText(null)]).toEqual(['1204.2', '1', '']);
});
