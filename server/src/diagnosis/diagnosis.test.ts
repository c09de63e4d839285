import type { CaseAnswer, DiagnosisAnswer, SuspectsAnswer } from '@winter-jar/contracts';
import { SERVER } from '../journal/actor.js';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';
import { NOW_HOURS } from '../testing/test-house.js';
import { at, caseAt, changeAt, entryAt, foundAt, lookAt, runAt } from '@winter-jar/core/testing';

let served: ServedHouse;
beforeEach(async () => {
  served = await serveHouse();
});
afterEach(() => served.close());

const answerOf = async (pumpId: string, query = '') =>
  (await served.get(`/api/pumps/${pumpId}/diagnosis${query}`)).body as DiagnosisAnswer;
/** Counted back from the house's clock. */
const ago = (hours: number) => NOW_HOURS - hours;
const inCase = (hours: number, found: Record<string, string>) => ({
  ...foundAt(hours, found),
  subjects: [
    { type: 'pump', id: 'p1' },
    { type: 'case', id: 'case-a' },
  ],
});
const wet = (hours: number) => runAt(hours, 2, 'fd-meat', { body: { ballast: 'closed', trapTempC: -50 } });

test('the evidence that the journal holds, the causes it speaks for, and the tests that tell most', async () => {
  served.house.write(changeAt(ago(200)), wet(ago(150)), wet(ago(100)), lookAt(ago(20), { clarity: 'cream' }));
  const answer = await answerOf('p1');
  const cream = answer.evidence.find((e) => e.id === 'cream');
  expect(cream).toMatchObject({ state: 'yes', kind: 'look', at: at(ago(20)) });
  expect(answer.causes[0]).toMatchObject({ id: 'condensation' });
  const { probability: share, steps } = answer.causes[0]!;
  expect(steps[0]).toMatchObject({ finding: null });
  expect(steps.at(-1)?.probability).toBeCloseTo(share, 12);
  expect(answer.checks[0]?.outcomes.length).toBeGreaterThan(1);
  expect(answer.case).toBeNull();
});

test('a finding that a person adds goes into the evidence and changes the order', async () => {
  served.house.write(changeAt(ago(200)), runAt(ago(100), 2));
  const before = (await answerOf('p1')).causes[0]!.id;
  const found = foundAt(ago(1), { oilUpHose: 'always', suckbackBall: 'bad' });
  expect(served.house.write(found)).toEqual(['written']);
  const after = await answerOf('p1');
  expect(before).not.toBe('suckback');
  expect(after.causes[0]).toMatchObject({ id: 'suckback' });
  expect(after.tried.map((t) => t.id)).toEqual([found.id]);
});

test('where standing still costs nothing or much, other tests come first', async () => {
  served.house.write(changeAt(ago(200)), foundAt(ago(1), { chamberPressure: 'poor', rateOfRise: 'straight' }));
  const order = async (weight: number) =>
    (await answerOf('p1', `?stopWeight=${weight}`)).checks.map((c) => c.id).join();
  expect(await order(0)).not.toBe(await order(50));
  const wrong = await served.get('/api/pumps/p1/diagnosis?stopWeight=much');
  expect([wrong.status, JSON.stringify(wrong.body)]).toEqual([400, expect.stringContaining('from 0 to 100')]);
});

test('a case from its opening to the check: its tests, its cause, and the shares that it shifts', async () => {
  served.house.write(changeAt(ago(300)), wet(ago(250)));
  const first = await answerOf('p1');
  const priorOf = (answer: DiagnosisAnswer) => answer.causes.find((c) => c.id === 'condensation')?.prior ?? 0;
  served.house.write(caseAt.opened(ago(200)), inCase(ago(190), { cream: 'yes' }));
  expect((await answerOf('p1')).case).toMatchObject({ caseId: 'case-a', closedAt: null, openedAt: at(ago(200)) });

  served.house.write(entryAt(ago(185), 'done', { task: 'purge' }), caseAt.closed(ago(180)), wet(ago(100)));
  const closed = await answerOf('p1');
  expect(closed.case).toMatchObject({ causeId: 'condensation', remedy: 'Purged warm', closedAt: at(ago(180)) });
  expect(closed.counted).toEqual({ thisPump: 1, sameKind: 0 });
  expect(priorOf(closed)).toBeGreaterThan(priorOf(first));
  expect(closed.evidence.some((e) => e.id === 'cream')).toBe(false);

  served.house.write(caseAt.checked(ago(10), true));
  const held = await answerOf('p1');
  expect(held.case).toBeNull();
  expect(held.past).toMatchObject([{ caseId: 'case-a', held: true }]);

  const report = (await served.get('/api/cases/case-a')).body as CaseAnswer;
  expect(report.case).toMatchObject({ complaint: 'cream after every wet load', held: true });
  expect(report.entries.map((e) => e.kind)).toEqual(['caseOpened', 'test', 'done', 'caseClosed', 'caseChecked']);
});

test('a cause that did not hold shifts nothing, and the case is open again', async () => {
  served.house.write(caseAt.opened(ago(200)), caseAt.closed(ago(180)), caseAt.checked(ago(100), false));
  const answer = await answerOf('p1');
  expect(answer.counted).toEqual({ thisPump: 0, sameKind: 0 });
  expect(answer.case).toMatchObject({ caseId: 'case-a', closedAt: null });
});

test('what a bench has shown outlasts oil changes', async () => {
  served.house.write(foundAt(ago(2000), { vanes: 'worn' }), ...[900, 700, 500, 300].map((h) => changeAt(ago(h))));
  expect((await answerOf('p1')).evidence.find((e) => e.id === 'vanes')).toMatchObject({ state: 'worn', kind: 'test' });
});

test('a case closed before those oil changes has dealt with it', async () => {
  const changes = [900, 700, 500, 300].map((h) => changeAt(ago(h)));
  served.house.write(
    foundAt(ago(2000), { vanes: 'worn' }),
    caseAt.opened(ago(1900)),
    caseAt.closed(ago(1800), 'wornVanes'),
  );
  served.house.write(...changes);
  expect((await answerOf('p1')).evidence.map((e) => e.id)).not.toContain('vanes');
});

test.each<[string, object, string]>([
  ['a finding that is none', foundAt(ago(1), { moonlight: 'yes' }), 'the id of a finding'],
  ['a state that is none', foundAt(ago(1), { noise: 'deafening' }), 'one of usual, louder'],
  [
    'a test that is none',
    entryAt(ago(1), 'test', { checkId: 'prayer', findings: [], remark: 'x' }),
    'the id of a test',
  ],
  ['a leak step that is none', entryAt(ago(1), 'test', { leakStep: 'x', passed: true, findings: [] }), 'gaskets'],
  ['a cause that is none', caseAt.closed(ago(1), 'gremlins'), 'the id of a cause'],
  ['a case that was never opened', caseAt.closed(ago(1), 'meltwater', 'case-z'), 'opened before'],
  ['a case of another pump', caseAt.closed(ago(1), 'meltwater', 'case-a', 'b1'), 'of this pump'],
  ['a case that is opened twice', caseAt.opened(ago(1)), 'the id of a new case'],
])('%s is refused with what would be right', (_what, entry, right) => {
  expect(served.house.write(caseAt.opened(ago(50)))).toEqual(['written']);
  const [answer] = served.house.writer.write(SERVER, [entry]);
  expect(answer?.status).toBe('refused');
  expect(JSON.stringify(answer)).toContain(right);
});

test('what a case was opened with can be corrected', async () => {
  const opened = caseAt.opened(ago(50));
  const correction = {
    ...opened,
    id: '20000000-0000-4000-8000-000000000001',
    actId: '20000000-0000-4000-8000-000000000001',
    kind: 'correction',
    recordedAt: at(ago(40)),
    body: { targetId: opened.id, supersedes: null, action: 'replace', body: { complaint: 'haze, not cream' } },
  };
  expect(served.house.write(opened, correction)).toEqual(['written', 'written']);
  expect((await answerOf('p1')).case).toMatchObject({ complaint: 'haze, not cream' });
});

test('no pump and no case are no answer', async () => {
  expect((await served.get('/api/pumps/p9/diagnosis')).status).toBe(404);
  expect((await served.get('/api/cases/none')).status).toBe(404);
});

test('a material that goes with water again and again stands out over all pumps, by its name', async () => {
  const stretch = (from: number, materialId: string, waterMl: number) => [
    runAt(ago(from), 2, materialId),
    entryAt(ago(from - 5), 'bleed', { sump: 'oil', drawnMl: 40, waterMl }),
  ];
  const wet = [3000, 2900, 2800, 2700, 2600].flatMap((h) => stretch(h, 'fd-meat', 12));
  const dry = [2500, 2400, 2300, 2200, 2100, 2000, 1900, 1800].flatMap((h) => stretch(h, 'any-empty', 0));
  served.house.write(changeAt(ago(3100)), ...wet, ...dry);
  const { dark, water, names } = (await served.get('/api/suspects')).body as SuspectsAnswer;
  expect(water.stretches).toBe(13);
  expect(water.materials.map((m) => [m.materialId, m.standsOut, m.came])).toEqual([
    ['fd-meat', true, 5],
    ['any-empty', false, 0],
  ]);
  expect(Object.keys(names)).toContain('fd-meat');
  expect(dark.materials).toEqual([]);
});

test('what is older than a year is not weighed', async () => {
  served.house.write(changeAt(ago(NOW_HOURS - 1)), runAt(ago(NOW_HOURS - 5), 2, 'fd-meat'));
  const { water } = (await served.get('/api/suspects')).body as SuspectsAnswer;
  expect(water.materials).toEqual([]);
});

test('what was read for the suspects holds until somebody writes of the pump, corrects an entry or changes the set-up', async () => {
  const suspects = async () => {
    const { water, dark } = (await served.get('/api/suspects')).body as SuspectsAnswer;
    const runs = Object.fromEntries(water.materials.map((m) => [m.materialId, m.runs]));
    return { runs, darker: dark.materials.map((m) => m.came) };
  };
  const bleed = (hours: number) => entryAt(ago(hours), 'bleed', { sump: 'oil', drawnMl: 40, waterMl: 12 });
  const dark = entryAt(ago(820), 'look', { sump: 'oil', source: 'sightGlass', hoursStood: 0, colour: 3 });
  const run = runAt(ago(900), 2, 'fd-meat');
  served.house.write(changeAt(ago(1000)), bleed(950), run, bleed(850), runAt(ago(840), 2, 'fd-meat'), dark);
  expect(await suspects()).toEqual({ runs: { 'fd-meat': 1 }, darker: [1] });
  served.house.write(runAt(ago(800), 2, 'any-empty'), bleed(750));
  expect(await suspects()).toEqual({ runs: { 'fd-meat': 2, 'any-empty': 1 }, darker: [1] });
  const [id] = ['20000000-0000-4000-8000-000000000002'];
  const body = { targetId: run.id, supersedes: null, action: 'void' };
  served.house.write({ ...run, id, actId: id, kind: 'correction', recordedAt: at(ago(700)), body });
  expect(await suspects()).toEqual({ runs: { 'fd-meat': 1, 'any-empty': 1 }, darker: [1] });
  // Of an oil that is as dark when it is new nothing has become darker.
  const { oilProduct } = served.house.store.book.at(at(NOW_HOURS));
  const version = { id: '20000000-0000-4000-8000-000000000003', kind: 'oilProduct', subjectId: 'oil-a' };
  const darkOil = {
    ...version,
    validFrom: at(0),
    recordedAt: at(NOW_HOURS),
    body: { ...oilProduct['oil-a'], freshColour: 3 },
  };
  await served.post('/api/set-up', { versions: [darkOil] }).expect(201);
  expect((await suspects()).darker).toEqual([0]);
});
