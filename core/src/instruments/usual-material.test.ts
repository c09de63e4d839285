import { usualMaterial } from './usual-material.js';

const zone = 'Europe/Lisbon';
/** 2031-03-10 is a Monday. */
const monday = (weeksBefore: number, hour = 8): string =>
  new Date(Date.UTC(2031, 2, 10 - 7 * weeksBefore, hour)).toISOString();
const tuesday = (weeksBefore: number): string => new Date(Date.UTC(2031, 2, 11 - 7 * weeksBefore, 8)).toISOString();
const run = (at: string, materialId: string | null) => ({ at, materialId });
const of = (runs: { at: string; materialId: string | null }[]) => usualMaterial({ runs, at: monday(0), zone });

test('what goes in on most such weekdays', () => {
  const runs = [run(monday(1), 'fish'), run(monday(2), 'fish'), run(monday(3), 'brine'), run(tuesday(1), 'brine')];
  expect(of(runs)).toEqual({ materialId: 'fish', times: 2, ofTimes: 3 });
});

test('else what ran last', () => {
  expect(of([run(monday(1), 'fish'), run(tuesday(1), 'brine')])).toEqual({
    materialId: 'brine',
    times: null,
    ofTimes: null,
  });
  expect(
    of([run(monday(1), 'fish'), run(monday(2), 'brine'), run(monday(3), 'fish'), run(monday(4), 'brine')]),
  ).toEqual({
    ...{ materialId: 'fish', times: null, ofTimes: null },
  });
});

test('nothing of what came later, was never told, or lies months back', () => {
  expect(of([])).toBeNull();
  expect(of([run(monday(0, 9), 'fish'), run(monday(1), null)])).toBeNull();
  expect(
    of([run(monday(13), 'fish'), run(monday(14), 'fish'), run(monday(15), 'fish'), run(tuesday(1), 'brine')]),
  ).toEqual({
    ...{ materialId: 'brine', times: null, ofTimes: null },
  });
});

test('the weekday is that of the site: half past eleven on Sunday in UTC is Monday in Auckland', () => {
  const at = '2031-03-09T11:30:00.000Z';
  const runs = [
    run('2031-03-02T12:30:00.000Z', 'fish'),
    run('2031-02-23T12:30:00.000Z', 'fish'),
    run('2031-03-08T00:00:00.000Z', 'brine'),
  ];
  expect(usualMaterial({ runs, at, zone: 'Pacific/Auckland' })).toMatchObject({ materialId: 'fish', times: 2 });
});
