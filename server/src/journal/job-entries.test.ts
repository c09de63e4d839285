import type { JobAnswer, ServiceTimes, StepTimes } from '@winter-jar/contracts';
import type { Entry, JournalEntry } from '@winter-jar/core';
import { changeAt, correctionAt, entryAt, jobAt, runAt } from '@winter-jar/core/testing';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';
import { NOW_HOURS, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { SERVER } from './actor.js';

let served: ServedHouse;
let house: TestHouse;
const ago = (hours: number) => NOW_HOURS - hours;
const START = jobAt.started(ago(10), 'oilChange');

const withOthers = (entry: Entry, others: readonly string[]): Entry =>
  ({ ...entry, body: { ...entry.body, with: others } }) as Entry;

const openHouse = async () => {
  served = await serveHouse();
  ({ house } = served);
  house.write(changeAt(ago(300)), runAt(ago(200), 5));
};
const closeHouse = () => served.close();
const sent = (...entries: JournalEntry[]) => house.writer.write(SERVER, entries);

describe('what a job may say', () => {
  beforeAll(async () => {
    await openHouse();
    house.write(START);
  });
  afterAll(closeHouse);

  test.each<[string, Entry, string, RegExp]>([
    ['a step of no job', jobAt.step(ago(9), 'fill', {}, 'job-x'), 'subjects.1.id', /started before/],
    ['a second start', jobAt.started(ago(9), 'bleed'), 'subjects.1.id', /a new job/],
    ['no procedure', jobAt.started(ago(9), 'polish', 'job-b'), 'body.procedure', /a procedure that/],
    ['of another kind of pump', jobAt.started(ago(9), 'boosterOil', 'job-b'), 'body.procedure', /a procedure that/],
    [
      'a visit with what does not go with it',
      withOthers(jobAt.started(ago(9), 'oilChange', 'job-b'), ['inlet', 'flush']),
      'body.with.1',
      /one of inlet, exhaustFilter/,
    ],
    [
      'a visit of what is done by itself',
      withOthers(jobAt.started(ago(9), 'bleed', 'job-b'), ['inlet']),
      'body.with.0',
      /^left out/,
    ],
    [
      'what else of nothing',
      withOthers(jobAt.started(ago(9), 'oilChange', 'job-b'), ['inlet', 'inlet']),
      'body.with',
      /once/,
    ],
    ['a step of what is not done with it', jobAt.step(ago(9), 'inlet.off'), 'body.step', /one of warm, cool, lock/],
    ['a step of another procedure', jobAt.step(ago(9), 'wash'), 'body.step', /one of warm, cool, lock/],
    ['what the step does not ask', jobAt.step(ago(9), 'level', { choice: 'never' }), 'body.choice', /low, right, high/],
    ['less than nothing', jobAt.step(ago(9), 'out', { value: -5 }), 'body.value', /came out\? 0 or more/],
    // The oil is in, and nobody knows how much: the record would have no change of it.
    ['a fill without its amount', jobAt.step(ago(9), 'fill', { oil: 'in' }), 'body.value', /A number, 1 or more/],
    ['a fill of nothing', jobAt.step(ago(9), 'fill', { value: 0, oil: 'in' }), 'body.value', /1 or more/],
    ['a choice that was not made', jobAt.step(ago(9), 'level'), 'body.choice', /low, right, high/],
    [
      'an overhaul where modules are exchanged',
      jobAt.started(ago(9), 'overhaul', 'job-b'),
      'body.procedure',
      /not opened here/,
    ],
    [
      'to nobody of the house',
      jobAt.moved(ago(9), { how: 'handedOver', to: 'nobody', locksChanged: true }),
      'body.to',
      /a person/,
    ],
  ])('%s is refused', async (_, entry, field, right) => {
    const { body } = await served.post('/api/entries', { entries: [entry] }).expect(400);
    const [answer] = (body as { answers: { issues: { field: string; right: string }[] }[] }).answers;
    expect(answer?.issues).toMatchObject([{ field }]);
    expect(answer?.issues[0]?.right).toMatch(right);
  });
});

describe('a job at work', () => {
  beforeEach(openHouse);
  afterEach(closeHouse);

  const drains = jobAt.step(ago(8), 'drain', { phase: 'begun', until: START.happenedAt, oil: 'out' });
  /** All of a job is one deed. */
  const ofOne = (entries: readonly Entry[]): Entry[] => entries.map((e) => ({ ...e, actId: START.id }));
  const CHANGE = entryAt(ago(6), 'change', {
    ...{ sump: 'oil', productId: 'oil-a', outMl: 650, inMl: 700, levelAfter: 'right' },
  });
  const WHOLE = ofOne([
    START,
    drains,
    jobAt.step(ago(7), 'drain'),
    jobAt.step(ago(5.9), 'fill', { value: 700, oil: 'in' }),
    CHANGE,
    jobAt.ended(ago(5), 'done'),
  ]);

  test('a run of a drained pump is asked about, before the drain and after the fill not', async () => {
    house.write(START, drains);
    const asked = await served.post('/api/entries', { entries: [runAt(ago(4), 2)] }).expect(422);
    expect(JSON.stringify(asked.body)).toContain(`"code":"drained","drainedAt":"${drains.happenedAt}"`);
    await served.post('/api/entries', { entries: [runAt(ago(30), 2)] }).expect(201);
    house.write(jobAt.step(ago(3.5), 'fill', { value: 700, oil: 'in' }));
    await served.post('/api/entries', { entries: [runAt(ago(3), 2)] }).expect(201);
  });

  test('a run of a pump that stands open or capped is asked about, once it is closed not', async () => {
    const caps = jobAt.step(ago(8), 'caps', { pump: 'capped' });
    house.write(jobAt.started(ago(10), 'layUp'), caps);
    const asked = await served.post('/api/entries', { entries: [runAt(ago(4), 2)] }).expect(422);
    expect(JSON.stringify(asked.body)).toContain(`"code":"notWhole","how":"capped","sinceAt":"${caps.happenedAt}"`);
    await served.post('/api/entries', { entries: [runAt(ago(30), 2)] }).expect(201);
    house.write(jobAt.ended(ago(7), 'done'), jobAt.started(ago(6), 'backToWork', 'job-b'));
    house.write(jobAt.step(ago(5), 'unlock', { pump: 'closed' }, 'job-b'));
    await served.post('/api/entries', { entries: [runAt(ago(3), 2)] }).expect(201);
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });

  // What closes it or goes on with it is what it needs; without oil it is filled, opened or sent away, and not run or bled.
  test.each<[string, string, Entry, string, readonly string[], readonly string[]]>([
    [
      ...(['open by its exhaust filter', 'exhaustFilter', jobAt.step(ago(9), 'out', { pump: 'open' })] as const),
      ...(['startedNotWhole', ['exhaustFilter', 'closeUp'], ['oilChange', 'ballastPurge', 'inlet']] as const),
    ],
    [
      ...(['open by its inlet', 'inlet', jobAt.step(ago(9), 'off', { pump: 'open' })] as const),
      ...(['startedNotWhole', ['inlet'], ['exhaustFilter', 'layUp']] as const),
    ],
    [
      // Lay-up opens nothing again that it could close.
      ...(['capped', 'layUp', jobAt.step(ago(9), 'caps', { pump: 'capped' })] as const),
      ...(['startedNotWhole', ['backToWork'], ['oilChange', 'beforeRun', 'layUp']] as const),
    ],
    [
      ...(['without oil', 'oilChange', jobAt.step(ago(9), 'drain', { oil: 'out' })] as const),
      'startedDrained',
      ['oilChange', 'flush', 'housingClean', 'exhaustFilter', 'layUp', 'pumpSwap'],
      ['ballastPurge', 'bleed', 'beforeRun', 'afterRun', 'leakHunt'],
    ],
  ])(
    'left %s a pump takes the start of some services, and asks about others',
    async (_, by, left, code, fit, others) => {
      house.write(jobAt.started(ago(10), by), left, jobAt.ended(ago(8), 'givenUp'));
      const start = (next: string) =>
        served.post('/api/entries', { entries: [jobAt.started(ago(7), next, `job-${next}`)] });
      for (const next of others) {
        const { status, body } = await start(next);
        const [asked] = (body as { answers: { questions?: { code: string }[] }[] }).answers;
        expect([next, status, asked?.questions?.map((q) => q.code)]).toEqual([next, 422, [code]]);
      }
      for (const next of fit) {
        expect([next, (await start(next)).status]).toEqual([next, 201]);
        house.write(jobAt.ended(ago(7), 'givenUp', `job-${next}`));
      }
    },
  );

  test('a second job on a pump is asked about while the first is under way', async () => {
    house.write(START);
    const second = jobAt.started(ago(5), 'bleed', 'job-b');
    const asked = await served.post('/api/entries', { entries: [second] }).expect(422);
    expect(JSON.stringify(asked.body)).toContain('"code":"jobUnderWay","procedure":"oilChange"');
    house.write(jobAt.ended(ago(4), 'givenUp'));
    await served
      .post('/api/entries', { entries: [{ ...second, happenedAt: jobAt.ended(ago(3), 'done').happenedAt }] })
      .expect(201);
  });

  test('two devices that answer the same step write it once; the second is told what stands', async () => {
    house.write(START);
    const first = jobAt.step(ago(5), 'out', { value: 650 });
    const second = { ...first, recordedAt: first.happenedAt, body: { ...first.body, value: 600 } };
    await served.post('/api/entries', { entries: [first] }).expect(201);
    await served.post('/api/entries', { entries: [first] }).expect(200);
    const told = await served.post('/api/entries', { entries: [second] }).expect(409);
    expect(JSON.stringify(told.body)).toContain('"value":650');
    expect(house.states().p1?.job?.said.map(({ value }) => value)).toEqual([650]);
  });

  test('a step is taken back by itself, what the job left in the record only with all of it', () => {
    house.write(...WHOLE);
    const [, , done] = WHOLE as [Entry, Entry, Entry];
    expect(sent(correctionAt(ago(1), done, { action: 'void' }))).toMatchObject([{ status: 'written' }]);
    const change = WHOLE[4] as Entry;
    expect(sent(correctionAt(ago(1), change, { action: 'void' }))).toMatchObject([
      { status: 'refused', issues: [{ code: 'restOfAct' }] },
    ]);
  });

  test('of a visit each part has its steps, those of the house too, and no time of its own', async () => {
    house.write(
      ...ofOne([
        withOthers(START, ['exhaustFilter']),
        jobAt.step(ago(8), 'exhaustFilter.rust', { choice: 'rusty' }),
        jobAt.step(ago(7), 'own.a'),
        jobAt.step(ago(6), 'exhaustFilter.own.b'),
      ]),
    );
    expect(house.states().p1?.job).toMatchObject({ with: ['exhaustFilter'], said: { length: 3 } });
    const ended = jobAt.ended(ago(5), 'done');
    house.write({ ...ended, actId: START.id, body: { how: 'done', workedMinutes: 80 } });
    expect((await served.get('/api/service-times').expect(200)).body).toEqual({ times: [] });
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });

  test('how long services took is told by procedure and model, of those that were done to their end', async () => {
    house.write(...WHOLE.slice(0, -1));
    const ended = WHOLE.at(-1) as Entry;
    house.write({ ...ended, body: { how: 'done', workedMinutes: 31 } });
    const { times } = (await served.get('/api/service-times').expect(200)).body as ServiceTimes;
    expect(times).toEqual([{ procedure: 'oilChange', modelId: 'vane', kind: 'technician', minutes: [31] }]);
    // Three hours before the fill somebody was elsewhere: it counts as the five minutes that it usually takes; the drain is a wait.
    const steps = async (modelId: string) =>
      (await served.get(`/api/service-times/oilChange/${modelId}`).expect(200)).body as StepTimes;
    expect(await steps('vane')).toEqual({ steps: [{ step: 'fill', minutes: [5] }] });
    expect(await steps('booster')).toEqual({ steps: [] });
  });

  test('a job undone leaves the pump as it was, bit for bit, and has no page any more', async () => {
    const before = house.states();
    house.write(...WHOLE);
    const { entries } = (await served.get('/api/pumps/p1/jobs/job-a').expect(200)).body as JobAnswer;
    expect(entries.map(({ kind }) => kind)).toEqual([
      ...['jobStarted', 'jobStep', 'jobStep', 'change', 'jobStep', 'jobEnded'],
    ]);
    await served.get('/api/pumps/b1/jobs/job-a').expect(404);
    expect(house.states().p1?.totals.changes).toBe((before.p1?.totals.changes ?? 0) + 1);
    const single = WHOLE.map((entry) => correctionAt(ago(1), entry, { action: 'void' }));
    const voids = single.map((one) => ({ ...one, actId: START.id }));
    expect(sent(...voids).map(({ status }) => status)).toEqual(voids.map(() => 'written'));
    expect(house.states()).toEqual(before);
    const { body } = await served.get('/api/pumps/p1/jobs/job-a').expect(404);
    expect(JSON.stringify(body)).toMatch(/the id of a job of this pump/);
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });
});
