// Longer than a file should be: one house of two sites, asked everything that tells of the other.
import type { PhotoKept, SetUpAnswer } from '@winter-jar/contracts';
import type { Entry, JudgedLog } from '@winter-jar/core';
import { at, caseAt, changeAt, correctionAt, entryAt, jobAt, lookAt, runAt } from '@winter-jar/core/testing';
import { once } from 'node:events';
import { get, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import sharp from 'sharp';
import { Door } from '../house/door.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SERVER } from '../journal/actor.js';
import { addOtherSite, ELSEWHERE } from '../testing/other-site.js';
import { serveHouse, signedIn, upload, versionOf, type ServedHouse } from '../testing/served-house.js';

// Whoever is bound to one site: the small yard's, whose p1 came from the other one ten hours after its start.
let served: ServedHouse;
let ben: string;
let photoId: string;
let ownPhotoId: string;
let logId: string;
beforeEach(async () => {
  served = await serveHouse();
  addOtherSite(served);
  const picture = async (background: string) =>
    sharp({ create: { width: 8, height: 8, channels: 3, background } })
      .jpeg()
      .toBuffer();
  const keep = async (colour: string) =>
    ((await upload(served, '/api/photos', 'image/jpeg', await picture(colour))).body as PhotoKept).photoId;
  photoId = await keep('#c27a12');
  ownPhotoId = await keep('#102030');
  const log = await upload(served, '/api/gauge-logs', 'text/csv', `s,mbar\n0,0.03\n2,0.04\n4,0.05\n`);
  ({ logId } = log.body as { logId: string });
  await signedIn(served, 'Ada', 'owner');
  ben = await signedIn(served, 'Ben', 'technician', ['site']);
});
afterEach(() => served.close());

const as = (cookie: string) => ({ Cookie: cookie });
const theirs = { pumpId: 'n1', equipmentId: 'n-line' };
const note = (hours: number, pumpId = 'n1') => entryAt(hours, 'note', { text: `${ELSEWHERE} words` }, { pumpId });
const about = (entry: Entry, type: 'equipment' | 'container', id: string) =>
  ({ ...entry, subjects: [{ type, id }] }) as Entry;
const poured = (hours: number, id: string) =>
  about(entryAt(hours, 'transfer', { toId: id, outside: 'bought', productId: 'oil-a', oilMl: 900 }), 'container', id);
const collected = (hours: number, id: string) =>
  about(
    entryAt(hours, 'transfer', { fromId: id, outside: 'carrier', oilMl: 100, carrier: ELSEWHERE }),
    'container',
    id,
  );
const judged = () =>
  ({ logId, of: 'rise', volumeL: 62, gauge: 'capacitance', verdict: 'leak' }) as unknown as JudgedLog;

/** All that there is at the other site, each with its word, and a little at one's own. */
function fill() {
  const elsewhere = [
    { ...changeAt(1), subjects: [{ type: 'pump' as const, id: 'n1' }] },
    runAt(2, 4, 'any-empty', { ...theirs, body: { remark: ELSEWHERE } }),
    runAt(8, 1, null as unknown as string, theirs),
    { ...lookAt(12, { photoId, remark: ELSEWHERE }), subjects: [{ type: 'pump' as const, id: 'n1' }] },
    note(13),
    note(5, 'p1'),
    entryAt(14, 'test', { findings: [{ id: 'rateOfRise', state: 'straight', certainty: 0.9 }], log: judged() }, theirs),
    caseAt.opened(15, 'case-n', 'n1'),
    jobAt.started(16, 'oilChange', 'job-n', 'n1'),
    about(note(17), 'equipment', 'n-line'),
    poured(18, 'n-jar'),
    collected(19, 'n-jar'),
  ] as Entry[];
  const own = [changeAt(21), runAt(22, 4), lookAt(30, { photoId: ownPhotoId }), poured(31, 'own-jar')];
  const answers = served.app.get(JournalWriter).write(SERVER, [...elsewhere, ...own]);
  expect(answers.map((a) => a.status)).toEqual(answers.map(() => 'written'));
  return { elsewhere, own };
}

/** In an answer that tells of the other site; one that says what is not there quotes it otherwise. */
const LEAK = /Elsewhere|"(n1|n-line|n-jar|n-gauge|north)"/;
/** Every address that only reads, with the ids of what is one's own and what is not. */
const READ = [
  '/api/round',
  '/api/set-up',
  '/api/changes',
  '/api/store',
  '/api/store/waste',
  '/api/suspects',
  '/api/unsettled',
  '/api/untold',
  '/api/instruments',
  '/api/service-times',
  '/api/logs/runs/contents',
  '/api/logs/looks/contents',
  '/api/logs/pours/contents',
  '/api/set-up/records/pump/p1',
  '/api/set-up/records/pump/n1',
  '/api/set-up/records/pumpModel/vane',
  '/api/set-up/records/site/north',
  ...['p1', 'n1'].flatMap((id) =>
    ['', '/journal', '/oil-story', '/water', '/taken-back', '/diagnosis', '/jobs/job-n'].map(
      (p) => `/api/pumps/${id}${p}`,
    ),
  ),
  ...['chamber', 'n-line'].flatMap((id) => [`/api/equipment/${id}`, `/api/equipment/${id}/vacuum`]),
  ...['own-jar', 'n-jar'].map((id) => `/api/store/containers/${id}`),
  '/api/cases/case-n',
];

test('no answer has a word of what stands or was written elsewhere; an owner is told it all', async () => {
  const { elsewhere } = fill();
  const owner = await signedIn(served, 'Ada', 'owner');
  const paths = [...READ, ...elsewhere.map(({ id }) => `/api/entries/${id}`)];
  const ofOwner: string[] = [];
  for (const path of paths) {
    const { text } = await served.get(path).set('Cookie', ben);
    expect([path, LEAK.exec(text)?.[0]]).toEqual([path, undefined]);
    ofOwner.push((await served.get(path).set('Cookie', owner)).text);
  }
  // The walk sees what it is to see.
  expect(ofOwner.filter((text) => LEAK.test(text)).length).toBeGreaterThan(25);
});

test('of a pump that moved it is told what was written since, and at what it stands', async () => {
  const { own } = fill();
  const { body } = await served.get('/api/pumps/p1/journal').set('Cookie', ben).expect(200);
  const { lines } = body as { lines: { entry: Entry }[] };
  expect(lines.map((l) => l.entry.id)).toEqual([own[2], own[1], own[0]].map((e) => e?.id));
  const round = (await served.get('/api/round').set('Cookie', ben)).body as {
    rows: { pumpId: string }[];
    pumps: number;
  };
  expect([round.rows.map((r) => r.pumpId).sort(), round.pumps]).toEqual([['b1', 'd1', 'p1'], 3]);
});

test('a photograph or a log of somebody else by its hash is not there; what no entry shows yet is', async () => {
  const paths = [`/api/photos/${photoId}`, `/api/photos/${photoId}/thumb`, `/api/gauge-logs/${logId}`];
  for (const path of paths) await served.get(path).set('Cookie', ben).expect(200);
  fill();
  for (const path of paths) {
    const { text } = await served.get(path).set('Cookie', ben).expect(404);
    expect(text).toBe((await served.get(path.replace(/[0-9a-f]{64}/, '0'.repeat(64))).set('Cookie', ben)).text);
  }
  await served.get(`/api/photos/${ownPhotoId}`).set('Cookie', ben).expect(200);
  // Nor does one get it by showing it in a look of one's own.
  await served.post('/api/entries', { entries: [lookAt(50, { photoId })] }, as(ben)).expect(403);
  await served.get(`/api/photos/${photoId}`).set('Cookie', ben).expect(404);
  await served.post('/api/entries', { entries: [lookAt(50, { photoId: ownPhotoId })] }, as(ben)).expect(201);
});

test('files that are made hold what is theirs', async () => {
  fill();
  const lines = async (what: string, cookie: string) => {
    const made = (await served.post('/api/downloads', { what }, as(cookie)).expect(202)).body as { id: string };
    const address = `/api/downloads/${made.id}`;
    for (let state = ''; state !== 'ready';)
      ({ state } = (await served.get(address).set('Cookie', cookie)).body as { state: string });
    const text = String((await served.get(`${address}/file`).set('Cookie', cookie).buffer(true)).text);
    return text.trim().split('\n').slice(1);
  };
  const owner = await signedIn(served, 'Ada', 'owner');
  // By hand: of two runs that said what went in one, of two looks one, and of three movements one.
  for (const [what, all, own] of [
    ['runs', 3, 1],
    ['looks', 2, 1],
    ['changes', 2, 1],
    ['pours', 3, 1],
  ] as const) {
    expect([what, (await lines(what, owner)).length, (await lines(what, ben)).length]).toEqual([what, all, own]);
    expect((await lines(what, ben)).join()).not.toContain(ELSEWHERE);
  }
  for (const what of ['backup', 'everything']) await served.post('/api/downloads', { what }, as(ben)).expect(403);
});

test('is written of by whoever sees it, and previewed, and corrected; nothing else is', async () => {
  const { elsewhere } = fill();
  const write = (...entries: object[]) => served.post('/api/entries', { entries }, as(ben));
  const refused = async (...entries: object[]) => {
    const { body } = await write(...entries).expect(403);
    expect(body).toMatchObject({ answers: [{ status: 'refused', issues: [{ field: 'subjects', code: 'mayNot' }] }] });
  };
  const own = runAt(60, 2);
  await write(own).expect(201);
  await refused(runAt(60, 2, 'any-empty', theirs));
  // p1 was not theirs then; and into a jar that is not.
  await refused(runAt(5, 1));
  await refused(entryAt(61, 'bleed', { sump: 'oil', waterMl: 5, intoContainerId: 'n-jar' } as never));
  await refused(poured(62, 'n-jar'));
  await write(poured(62, 'own-jar')).expect(201);
  await refused({ ...correctionAt(63, elsewhere[1] as Entry, { action: 'void' }), who: null });
  await refused({ ...correctionAt(63, own, { action: 'replace', body: own.body, happenedAt: at(5) }), who: null });
  // Of what is not here nobody knows where it stands.
  await refused({ ...correctionAt(63, runAt(70, 2), { action: 'void' }), who: null });
  await write({ ...correctionAt(64, own, { action: 'void' }), who: null }).expect(201);
  const preview = await served.post('/api/entries/preview', { entries: [note(65)] }, as(ben)).expect(200);
  expect(preview.body).toMatchObject({ effects: [], answers: [{ status: 'refused' }] });
});

test('the set-up is changed of what stands there, before and after; what is the house’s is not', async () => {
  const change = (kind: 'pump' | 'equipment' | 'pumpModel' | 'site', id: string, body: object) =>
    served.post('/api/set-up', { versions: [versionOf(served.house, kind, id, at(100), body)] }, as(ben));
  served.house.store.reload(served.house.reading.sql);
  await change('pump', 'p1', { name: 'P-1 beside the door' }).expect(201);
  await change('equipment', 'chamber', { name: 'Chamber 1' }).expect(201);
  for (const [kind, id, body] of [
    ['pump', 'n1', { name: 'Mine' }],
    ['pump', 'n1', { siteId: 'site', equipmentId: 'chamber' }],
    ['pump', 'p1', { siteId: 'north' }],
    ['pump', 'p1', { equipmentId: 'n-line' }],
    ['equipment', 'n-line', { siteId: 'site' }],
    ['pumpModel', 'vane', { name: 'Other' }],
    ['site', 'site', { name: 'Mine' }],
  ] as const)
    expect([kind, id, (await change(kind, id, body)).text.includes('see every site')]).toEqual([kind, id, true]);
  await served.post('/api/set-up/remove', { records: [{ kind: 'container', id: 'n-jar' }] }, as(ben)).expect(403);
  await served.post('/api/set-up/remove', { records: [{ kind: 'container', id: 'own-jar' }] }, as(ben)).expect(200);
  const { house } = (await served.get('/api/set-up').set('Cookie', ben)).body as SetUpAnswer;
  expect(house.pump.p1?.name).toBe('P-1 beside the door');
  expect(LEAK.exec(JSON.stringify(house))?.[0]).toBeUndefined();
});

test('the streams tell of theirs, and follow at once where an owner changes what somebody sees', async () => {
  await served.app.listen(0, '127.0.0.1');
  const { port } = served.server.address() as AddressInfo;
  const follow = async (path: string) => {
    const asked = get({ port, host: '127.0.0.1', path, headers: { Cookie: ben } });
    const [stream] = (await once(asked, 'response')) as [IncomingMessage];
    async function until(pattern: RegExp) {
      while (!pattern.test(told.text)) await once(stream, 'data');
    }
    const told = { text: '', until, end: () => asked.destroy() };
    stream.setEncoding('utf8').on('data', (part: string) => (told.text += part));
    stream.on('error', () => undefined);
    return told;
  };
  const changes = await follow('/api/changes/stream');
  await changes.until(/stands/);
  const gauges = await follow('/api/instruments/stream?of=n-gauge');
  await gauges.until(/own-gauge/);
  const write = (entry: Entry) => served.app.get(JournalWriter).write(SERVER, [entry]);
  write(note(70));
  write(note(71, 'p1'));
  await changes.until(/"p1"/);
  expect([LEAK.exec(changes.text)?.[0], LEAK.exec(gauges.text)?.[0]]).toEqual([undefined, undefined]);
  await served.app.get(Door).people.accounts.change('ben', { siteIds: ['north'] });
  write(note(72));
  await changes.until(/"n1"/);
  await gauges.until(/"n-gauge"/);
  changes.end();
  gauges.end();
});

test('what stands open at a pump that came from elsewhere is seen and ended by whoever sees the pump', async () => {
  const on = runAt(8, 1, 'any-empty', { equipmentId: 'n-line', body: { minutes: null, stillRunning: true } });
  const started = jobAt.started(9, 'oilChange', 'job-p');
  served.app.get(JournalWriter).write(SERVER, [on, started]);
  const job = () => served.get('/api/pumps/p1/jobs/job-p').set('Cookie', ben);
  const run = () => served.get(`/api/entries/${on.id}`).set('Cookie', ben);
  await job().expect(200);
  await run().expect(200);
  const ended = { ...correctionAt(12, on, { action: 'replace', body: runAt(8, 3).body }), who: null };
  await served.post('/api/entries', { entries: [ended] }, as(ben)).expect(201);
  await served.post('/api/entries', { entries: [jobAt.ended(13, 'givenUp', 'job-p')] }, as(ben)).expect(201);
  // Ended, they are of where they were.
  await job().expect(404);
  await run().expect(404);
  await served
    .post('/api/entries', { entries: [{ ...correctionAt(14, on, { action: 'void' }), who: null }] }, as(ben))
    .expect(403);
});

test('what waits to be settled, and a case, go with a pump that came from elsewhere, and are ended here', async () => {
  const writer = served.app.get(JournalWriter);
  const elsewhere = runAt(8, 1, 'any-empty', { equipmentId: 'n-line' });
  const wrong = correctionAt(20, elsewhere, {
    action: 'replace',
    body: { ...elsewhere.body, materialId: 'none' },
  });
  const others = runAt(8, 1, 'any-empty', theirs);
  const wrongThere = correctionAt(20, others, {
    action: 'replace',
    body: { ...others.body, materialId: 'none' },
  });
  const early = correctionAt(21, runAt(9, 1), { action: 'void' });
  // What fails comes before what it is about, so that it is kept.
  writer.write(SERVER, [wrong, wrongThere, early, caseAt.opened(9)]);
  writer.write(SERVER, [elsewhere, others]);
  const waits = async () => {
    const { body } = await served.get('/api/unsettled').set('Cookie', ben).expect(200);
    const round = (await served.get('/api/round').set('Cookie', ben)).body as { unsettled: number };
    const { lines, total } = body as { lines: { correction: { id: string } }[]; total: number };
    return { ids: lines.map((l) => l.correction.id).sort(), total, onRound: round.unsettled };
  };
  expect(await waits()).toEqual({ ids: [wrong.id, early.id].sort(), total: 2, onRound: 2 });
  const aside = (of: Entry, saw: string[]) => ({ ...correctionAt(30, of, { action: 'setAside', saw }), who: null });
  const write = (entry: object) => served.post('/api/entries', { entries: [entry] }, as(ben));
  await write(aside(others, [wrongThere.id])).expect(403);
  await write(aside(elsewhere, [wrong.id, wrongThere.id])).expect(403);
  await write(aside(elsewhere, [wrong.id])).expect(201);
  await write(aside({ ...runAt(9, 1), id: early.body.targetId }, [early.id])).expect(201);
  expect(await waits()).toEqual({ ids: [], total: 0, onRound: 0 });
  const caseOf = () => served.get('/api/cases/case-a').set('Cookie', ben);
  await caseOf().expect(200);
  await write({ ...caseAt.closed(40), who: null }).expect(201);
  // Whoever saw it before sees it no more: it is of a pump that stands elsewhere.
  await caseOf().expect(200);
  const eve = await signedIn(served, 'Eve', 'reader', ['north']);
  await served.get('/api/cases/case-a').set('Cookie', eve).expect(404);
});
