import type { EntryBodies } from '@winter-jar/core';
import { changeAt, correctionAt, entryAt, runAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { ServedHouses, signedIn, type ServedHouse } from '../testing/served-house.js';

// What an operator writes.
const houses = new ServedHouses();
afterEach(() => houses.close());
const as = (cookie: string) => ({ Cookie: cookie });

let served: ServedHouse;
let cookie: string;
beforeEach(async () => {
  served = await houses.serve();
  await signedIn(served, 'Ada', 'owner');
  cookie = await signedIn(served, 'Cleo', 'operator');
});
const write = (...entries: object[]) => served.post('/api/entries', { entries }, as(cookie));
const storedWho = async (id: string) =>
  ((await served.get(`/api/entries/${id}`).set('Cookie', cookie)).body as { original: { who?: string } }).original.who;

test('bears their name, said or not, and nobody else’s', async () => {
  const [unsaid, said] = [runAt(10, 2), { ...runAt(20, 2), who: 'cleo' }];
  await write(unsaid).expect(201);
  await write(said).expect(201);
  expect([await storedWho(unsaid.id), await storedWho(said.id)]).toEqual(['cleo', 'cleo']);
  // Sent again, as after a lost answer, it is the same.
  await write(unsaid).expect(200);
  const { body } = await write({ ...runAt(30, 2), who: 'ada' }).expect(403);
  expect(body).toMatchObject({ answers: [{ status: 'refused', issues: [{ field: 'who', code: 'mayNot' }] }] });
});

/** Said by whoever sends it. */
const corrected = (...said: Parameters<typeof correctionAt>) => ({ ...correctionAt(...said), who: null });

test('is taken back by them, and what others wrote is not', async () => {
  const own = runAt(10, 2);
  const others = { ...runAt(40, 2), who: 'ada' };
  const owner = await signedIn(served, 'Ada', 'owner');
  await served.post('/api/entries', { entries: [others] }, as(owner)).expect(201);
  await write(own).expect(201);
  await write(corrected(50, own, { action: 'void' })).expect(201);
  await write(corrected(50, others, { action: 'void' })).expect(403);
  // What somebody began anybody ends who logs runs; ended, it is the first one's again.
  const ended = runAt(60, 2).body as EntryBodies['run'];
  const goesOn = {
    ...runAt(60, 2, 'any-empty', { body: { minutes: null, stillRunning: true } }),
    who: 'ada',
  };
  await served.post('/api/entries', { entries: [goesOn] }, as(owner)).expect(201);
  await write(corrected(63, goesOn, { action: 'void' })).expect(403);
  await write(corrected(63, goesOn, { action: 'replace', body: ended })).expect(201);
  await write(corrected(64, goesOn, { action: 'replace', body: ended })).expect(403);
  // Of what is not here nobody knows whose it is.
  await write(corrected(51, runAt(70, 2), { action: 'void' })).expect(403);
});

test('is what comes before and after a run, and no service', async () => {
  const [theirs, others] = [newId(), newId()];
  const start = (jobId: string, procedure: string) => ({
    ...entryAt(60, 'jobStarted', { procedure }, { jobId, pumpId: 'p1' }),
    acknowledged: ['jobUnderWay'],
  });
  const step = (jobId: string, id: string) =>
    entryAt(61, 'jobStep', { step: id, visit: 1, phase: 'done' }, { jobId, pumpId: 'p1' });
  await write(start(others, 'oilChange')).expect(403);
  await write(start(theirs, 'afterRun')).expect(201);
  await write(step(theirs, 'chamber')).expect(201);
  const owner = await signedIn(served, 'Ada', 'owner');
  await served.post('/api/entries', { entries: [start(others, 'oilChange')] }, as(owner)).expect(201);
  await write(step(others, 'drain')).expect(403);
  await write(changeAt(62)).expect(403);
});
