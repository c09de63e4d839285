import type { Entry } from '../journal/index.js';
import { standingAt } from '../standing/index.js';
import { at, bookOf, changeAt, jobAt, runAt } from '../testing/small-yard.js';
import { rebuild } from './pump-projection.js';

const book = bookOf();
const setUp = book.pumpAt({ pumpId: 'p1', instant: at(900) })!;
function after(nowHours: number, ...entries: Entry[]) {
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { reasons, verdict, act } = standingAt({ state, setUp, now: at(nowHours) });
  const ofJob = reasons.filter(({ code }) => ['drained', 'notWhole', 'jobOpen'].includes(code));
  return { state, verdict, act, said: ofJob.map(({ code, level }) => `${code}: ${level}`) };
}
const ran = [changeAt(1), runAt(2, 2)];
const started = [...ran, jobAt.started(10, 'oilChange')];
const drains = jobAt.step(11, 'drain', { phase: 'begun', until: at(11.2), oil: 'out' });
const fills = jobAt.step(12, 'fill', { value: 700, oil: 'in' });

test.each<[string, Entry[], number, string, string[]]>([
  ['before any', ran, 20, 'runOn', []],
  ['under way', started, 20, 'runOn', ['jobOpen: runOn']],
  ['in a wait', [...started, drains], 11.1, 'stop', ['drained: stop', 'jobOpen: runOn']],
  ['its wait is over', [...started, drains], 11.3, 'stop', ['drained: stop', 'jobOpen: lookSooner']],
  [
    'paused: nobody waits',
    [...started, drains, jobAt.moved(11.1, { how: 'paused' })],
    20,
    'stop',
    ['drained: stop', 'jobOpen: runOn'],
  ],
  ['given up while drained', [...started, drains, jobAt.ended(11.4, 'givenUp')], 20, 'stop', ['drained: stop']],
  ['filled', [...started, drains, jobAt.step(11.3, 'drain'), fills], 20, 'runOn', ['jobOpen: runOn']],
  ['done', [...started, drains, jobAt.step(11.3, 'drain'), fills, jobAt.ended(13, 'done')], 20, 'runOn', []],
  [
    'filled by hand after it was given up',
    [...started, drains, jobAt.ended(11.4, 'givenUp'), changeAt(15)],
    20,
    'runOn',
    [],
  ],
])('a job %s', (_, entries, now, verdict, said) => expect(after(now, ...entries)).toMatchObject({ verdict, said }));

test('a drained pump says Go on while its job is open, and Change once it was given up', () => {
  expect(after(20, ...started, drains).act).toBe('goOn');
  expect(after(20, ...started, drains, jobAt.ended(11.4, 'givenUp')).act).toBe('change');
});

test('a word on a job that another one has followed changes nothing but the oil', () => {
  const second = [...started, drains, jobAt.started(13, 'housingClean', 'job-b')];
  expect(after(20, ...second).state.job).toMatchObject({ jobId: 'job-b', foundDrained: true });
  expect(after(20, ...second, jobAt.ended(14, 'done')).state.job).toMatchObject({ jobId: 'job-b' });
  expect(after(20, ...second, jobAt.step(14, 'fill', { oil: 'in' })).state.drained).toBeNull();
});

test('the first answer stands', () => {
  const twice = [...started, jobAt.step(11, 'out', { value: 600 }), jobAt.step(11.1, 'out', { value: 650 })];
  expect(after(20, ...twice).state.job?.said.map(({ value }) => value)).toEqual([600]);
});

test('handed over, the next one is at it; taken up again, whoever did', () => {
  const over = [...started, jobAt.moved(11, { how: 'handedOver', to: 'ines', locksChanged: true })];
  expect(after(20, ...over).state.job).toMatchObject({ who: 'ines', since: at(11), startedAt: at(10) });
  const again = [...over, jobAt.moved(12, { how: 'paused' }), jobAt.moved(13, { how: 'resumed' })];
  expect(after(20, ...again).state.job).toMatchObject({ paused: null, since: at(13) });
});

const opens = jobAt.step(11, 'out', { pump: 'open' });
const closes = jobAt.step(12, 'new', { pump: 'closed' });
const caps = jobAt.step(11, 'caps', { pump: 'capped' });
const filter = [...ran, jobAt.started(10, 'exhaustFilter')];
const laidUp = [...ran, jobAt.started(10, 'layUp'), caps, jobAt.ended(11.5, 'done')];

// docs/trade.md 11: nobody starts what stands open, nor what is capped.
test.each<[string, Entry[], string, string | null, string[]]>([
  ['opened', [...filter, opens], 'stop', 'goOn', ['notWhole: stop', 'jobOpen: runOn']],
  [
    'opened and paused',
    [...filter, opens, jobAt.moved(11.1, { how: 'paused' })],
    'stop',
    'goOn',
    ['notWhole: stop', 'jobOpen: runOn'],
  ],
  ['opened and given up', [...filter, opens, jobAt.ended(11.5, 'givenUp')], 'stop', 'closeUp', ['notWhole: stop']],
  ['closed again', [...filter, opens, closes, jobAt.ended(13, 'done')], 'runOn', null, []],
  ['laid up: it stays capped when the job is done', laidUp, 'stop', 'closeUp', ['notWhole: stop']],
  [
    'freed by a job of its own',
    [
      ...laidUp,
      jobAt.started(15, 'backToWork', 'job-b'),
      jobAt.step(16, 'unlock', { pump: 'closed' }, 'job-b'),
      jobAt.ended(17, 'done', 'job-b'),
    ],
    'runOn',
    null,
    [],
  ],
  [
    'open without its oil: it is closed first',
    [...started, drains, jobAt.step(11.3, 'caseOff', { pump: 'open' }), jobAt.ended(11.5, 'givenUp')],
    'stop',
    'closeUp',
    ['notWhole: stop', 'drained: stop'],
  ],
])('a pump %s', (_, entries, verdict, act, said) =>
  expect(after(20, ...entries)).toMatchObject({ verdict, act, said }),
);
