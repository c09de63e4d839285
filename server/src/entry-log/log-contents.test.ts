import { changeAt, runAt } from '@winter-jar/core/testing';
import { jobTools, openHouse, type TestHouse } from '../testing/test-house.js';
import { LOG_CONTENTS_JOB } from './log-contents.js';

let house: TestHouse;
beforeEach(async () => (house = await openHouse()));
afterEach(() => house.close());

test('a log says what it holds by pump and month, the newest first, and only of its kind', async () => {
  expect(await LOG_CONTENTS_JOB.run(jobTools(house), 'runs')).toEqual({ entries: 0, months: [], pumps: [] });
  const [january, march] = [5 * 24, (31 + 28 + 8) * 24];
  const d1 = { pumpId: 'd1' };
  house.write(runAt(january, 2), runAt(january + 30, 2), runAt(march, 2), runAt(march + 5, 2, 'any-empty', d1));
  house.write(changeAt(march + 50));
  expect(await LOG_CONTENTS_JOB.run(jobTools(house), 'runs')).toEqual({
    entries: 4,
    months: ['2031-03', '2031-01'],
    pumps: [
      { pumpId: 'd1', entries: 1, byMonth: [1, 0] },
      { pumpId: 'p1', entries: 3, byMonth: [1, 2] },
    ],
  });
  expect(await LOG_CONTENTS_JOB.run(jobTools(house), 'changes')).toMatchObject({ entries: 1, months: ['2031-03'] });
});
