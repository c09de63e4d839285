import { runTime } from './run-time.js';

const base = {
  minutes: 1200,
  start: '',
  end: '',
  day: '',
  zone: 'Europe/Lisbon',
  nowMs: Date.parse('2031-07-09T12:00:00.000Z'),
};

test('a run that ended now started its length ago', () => {
  expect(runTime({ ...base, mode: 'endedNow' })).toEqual({
    ok: true,
    time: { happenedAt: '2031-07-08T16:00:00.000Z', precision: 'exact', minutes: 1200 },
  });
});

test('times are of the site’s zone, daylight saving included', () => {
  expect(runTime({ ...base, mode: 'times', start: '2031-07-08T10:00', end: '2031-07-08T18:30' })).toMatchObject({
    time: { happenedAt: '2031-07-08T09:00:00.000Z', minutes: 510 },
  });
  // The night of 30 March is an hour short.
  expect(runTime({ ...base, mode: 'times', start: '2031-03-29T22:00', end: '2031-03-30T06:00' })).toMatchObject({
    time: { minutes: 420 },
  });
});

test('about a day counts from six in the morning, local time', () => {
  expect(runTime({ ...base, mode: 'day', day: '2031-07-08' })).toEqual({
    ok: true,
    time: { happenedAt: '2031-07-08T05:00:00.000Z', precision: 'day', minutes: 1200 },
  });
});

test.each([
  [{ mode: 'times', start: '', end: '2031-07-08T18:30' }, 'start', /when the run started/],
  [{ mode: 'times', start: '2031-07-08T10:00', end: '' }, 'end', /when the run ended/],
  [{ mode: 'times', start: '2031-07-08T10:00', end: '2031-07-08T10:00' }, 'end', /not after the start/],
  [{ mode: 'times', start: '2031-07-08T10:00', end: '2031-07-09T20:00' }, 'end', /has not come yet/],
  [{ mode: 'day', day: 'sometime' }, 'day', /which day/],
  [{ mode: 'day', day: '2031-07-10' }, 'day', /has not come yet/],
] as const)('%j names the field and what would be right', (given, field, text) => {
  expect(runTime({ ...base, ...given })).toMatchObject({ ok: false, field, words: expect.stringMatching(text) });
});
