// Longer than a file should be: one table of everything that an entry can get wrong, field by field.
import { at, changeAt, entryAt, jobAt, lookAt, runAt } from '@winter-jar/core/testing';
import { SCHOOLS, type Entry } from '@winter-jar/core';
import { QUESTION_CODES } from './answers.js';
import { checkEntry, checkShape, type FieldIssue } from './check-entry.js';
import { checkRecord } from './check-record.js';
import { SET_UP_CLASSES } from './set-up.js';

const NOW = Date.parse(at(1000));
const issuesOf = (raw: unknown): readonly FieldIssue[] => {
  const checked = checkEntry(raw, NOW);
  return checked.ok ? [] : checked.issues;
};
const withBody = <E extends { body: object }>(entry: E, body: object) => ({
  ...entry,
  body: { ...entry.body, ...body },
});
const run = runAt(10, 20);
const look = lookAt(10, {
  source: 'sample',
  lookedAtMl: 300,
  freeWaterMl: 20,
  colour: 3,
  clarity: 'hazy',
  level: 'right',
});
const bleed = entryAt(10, 'bleed', { sump: 'oil', drawnMl: 30, waterMl: 12 });
const topUp = entryAt(10, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 40, levelAfter: 'right' });
const change = changeAt(10);
const done = entryAt(10, 'done', { task: 'flush' });
const note = entryAt(10, 'note', { text: 'Quiet today.' });
const labSample = entryAt(10, 'labSample', { sump: 'oil', drawnMl: 100, label: 'B-7' });
const labResult = entryAt(40, 'labResult', {
  sampleId: labSample.id,
  ironPpm: 12,
  count4PerMl: 5000,
  count6PerMl: 1200,
  count14PerMl: 80,
  wearSigns: ['noise'],
});

test.each([run, look, bleed, topUp, change, done, note, labSample, labResult].map((e) => [e.kind, e] as const))(
  'a right %s passes and keeps what it says',
  (_kind, entry) => {
    const checked = checkEntry(entry, NOW);
    expect(checked).toEqual({ ok: true, value: entry });
  },
);

const blankOff = {
  ...entryAt(10, 'test', {
    checkId: 'blankOffAsIs',
    findings: [],
    measured: [{ pa: 3.5, where: 'pump', ballast: 'closed', oil: 'asIs', oilTempC: 65, gauge: 'G-2' }],
  }),
};
const drawn = entryAt(10, 'bleed', { sump: 'oil', drawnMl: 30, waterMl: 10, levelAfter: 'right' });

test('a pressure alone is something found, and a bleed may say the level it left', () => {
  for (const entry of [blankOff, drawn]) expect(checkEntry(entry, NOW)).toEqual({ ok: true, value: entry });
});

test.each([
  ['where', { pa: 3, where: 'cellar' }, 'body.measured.0.where'],
  ['below nothing', { pa: -3, where: 'pump' }, 'body.measured.0.pa'],
  ['ballast', { pa: 3, where: 'pump', ballast: 'ajar' }, 'body.measured.0.ballast'],
  ['too hot', { pa: 3, where: 'pump', oilTempC: 900 }, 'body.measured.0.oilTempC'],
  ['not a list of pressures', 3, 'body.measured.0'],
])('a measured pressure, %s: refused at its field', (_what, measured, field) => {
  const checked = checkEntry({ ...blankOff, body: { findings: [], measured: [measured] } }, NOW);
  expect(checked.ok ? [] : checked.issues.map((i) => i.field)).toContain(field);
});

// Each body field once below, above or beside what is right.
test.each<[string, unknown, string]>([
  ['an id in capitals, which would be another one', { ...run, id: 'ABCDEF00-0000-4000-8000-000000000001' }, 'id'],
  ['a zone otherwise spelled', { ...run, zone: 'europe/lisbon' }, 'zone'],
  ['run: minutes 0', withBody(run, { minutes: 0 }), 'body.minutes'],
  ['run: 31 days', withBody(run, { minutes: 31 * 1440 }), 'body.minutes'],
  ['run: cycles 0', withBody(run, { cycles: 0 }), 'body.cycles'],
  ['run: half a cycle', withBody(run, { cycles: 1.5 }), 'body.cycles'],
  ['sample: an empty bottle', withBody(labSample, { drawnMl: 0 }), 'body.drawnMl'],
  ['sample: a label as long as a letter', withBody(labSample, { label: 'x'.repeat(61) }), 'body.label'],
  ['report: of no sample', withBody(labResult, { sampleId: 'the last one' }), 'body.sampleId'],
  ['report: iron below nothing', withBody(labResult, { ironPpm: -1 }), 'body.ironPpm'],
  ['report: viscosity as a word', withBody(labResult, { viscosity40Mm2s: 'thick' }), 'body.viscosity40Mm2s'],
  ['report: two counts of three', withBody(labResult, { count6PerMl: null }), 'body.count6PerMl'],
  ['report: more coarse than fine', withBody(labResult, { count14PerMl: 2000 }), 'body.count14PerMl'],
  ['report: a sign that is none', withBody(labResult, { wearSigns: ['hunch'] }), 'body.wearSigns'],
  ['report: without a figure', { ...labResult, body: { sampleId: labSample.id } }, 'body.waterPpm'],
  ['run: a load below nothing', withBody(run, { loadKg: -1 }), 'body.loadKg'],
  ['run: oil as hot as a furnace', withBody(run, { oilTempC: 400 }), 'body.oilTempC'],
  ['run: perhaps defrosted', withBody(run, { defrostedBefore: 'perhaps' }), 'body.defrostedBefore'],
  ['run: a first pressure of none', withBody(run, { firstPressurePa: 0 }), 'body.firstPressurePa'],
  ['run: a trap read at no time', withBody(run, { trapProfile: [{ tempC: -40 }] }), 'body.trapProfile.0.minutes'],
  [
    'run: a trap read backwards',
    withBody(run, {
      trapProfile: [
        { minutes: 60, tempC: -40 },
        { minutes: 30, tempC: -41 },
      ],
    }),
    'body.trapProfile',
  ],
  [
    'run: a trap read after the end',
    withBody(run, { trapProfile: [{ minutes: 1300, tempC: -40 }] }),
    'body.trapProfile',
  ],
  ['look: more layers than the jar holds', withBody(look, { sludgeMl: 200, creamMl: 100 }), 'body.creamMl'],
  [
    'look: particles of a kind, and none',
    withBody(look, { particles: 'none', particleKinds: ['black'] }),
    'body.particles',
  ],
  [
    'look: a kind of particle twice',
    withBody(look, { particles: 'few', particleKinds: ['black', 'black'] }),
    'body.particleKinds',
  ],
  ['look: a kind that is none', withBody(look, { particleKinds: ['sand'] }), 'body.particleKinds'],
  ['look: smell', withBody(look, { smell: 'roses' }), 'body.smell'],
  ['look: foam', withBody(look, { foam: 'lots' }), 'body.foam'],
  ['look: jar at boiling heat', withBody(look, { jarTempC: 120 }), 'body.jarTempC'],
  ['look: hazy layer below nothing', withBody(look, { hazyMl: -1 }), 'body.hazyMl'],
  ['look: water at the pick-up, perhaps', withBody(look, { waterAtPickUp: 'perhaps' }), 'body.waterAtPickUp'],
  ['look: a photograph by a path', withBody(look, { photoId: '../../secret' }), 'body.photoId'],
  ['run: session', withBody(run, { session: 'party' }), 'body.session'],
  ['run: ballast', withBody(run, { ballast: 'ajar' }), 'body.ballast'],
  ['run: trap too cold', withBody(run, { trapTempC: -121 }), 'body.trapTempC'],
  ['run: trap too warm', withBody(run, { trapTempC: 61 }), 'body.trapTempC'],
  ['run: trap as text', withBody(run, { trapTempC: '-40' }), 'body.trapTempC'],
  ['run: pressure 0', withBody(run, { lowestPressurePa: 0 }), 'body.lowestPressurePa'],
  ['run: vented', withBody(run, { ventedBeforeStop: true }), 'body.ventedBeforeStop'],
  ['run: remark of 501', withBody(run, { remark: 'x'.repeat(501) }), 'body.remark'],
  ['run: material as number', withBody(run, { materialId: 7 }), 'body.materialId'],
  ['look: source', withBody(look, { source: 'nose' }), 'body.source'],
  ['look: stood -1', withBody(look, { hoursStood: -1 }), 'body.hoursStood'],
  ['look: stood 1001', withBody(look, { hoursStood: 1001 }), 'body.hoursStood'],
  ['look: level', withBody(look, { level: 'fine' }), 'body.level'],
  ['look: colour 0', withBody(look, { colour: 0 }), 'body.colour'],
  ['look: colour 8.5', withBody(look, { colour: 8.5 }), 'body.colour'],
  ['look: clarity', withBody(look, { clarity: 'milky' }), 'body.clarity'],
  ['look: more water than in the jar', withBody(look, { freeWaterMl: 301 }), 'body.freeWaterMl'],
  ['look: a jar of nothing', withBody(look, { lookedAtMl: null }), 'body.lookedAtMl'],
  ['bleed: negative', withBody(bleed, { drawnMl: -1 }), 'body.drawnMl'],
  ['bleed: sump', withBody(bleed, { sump: 'cellar' }), 'body.sump'],
  ['bleed: more water than was drawn', withBody(bleed, { drawnMl: 40, waterMl: 41 }), 'body.waterMl'],
  ['top-up: nothing added', withBody(topUp, { addedMl: 0 }), 'body.addedMl'],
  ['top-up: product missing', withBody(topUp, { productId: '' }), 'body.productId'],
  ['change: nothing filled', withBody(change, { inMl: 0 }), 'body.inMl'],
  ['change: out of this world', withBody(change, { outMl: 200_001 }), 'body.outMl'],
  ['change: level', withBody(change, { levelAfter: 'ok' }), 'body.levelAfter'],
  ['done: a task of its own kind', withBody(done, { task: 'oilChange' }), 'body.task'],
  ['note: empty', withBody(note, { text: '' }), 'body.text'],
  ['envelope: act', { ...run, actId: 'deed' }, 'actId'],
  ['envelope: no subjects', { ...run, subjects: [] }, 'subjects'],
  ['envelope: subject type', { ...run, subjects: [{ type: 'person', id: 'x' }] }, 'subjects.0.type'],
  ['envelope: precision', { ...run, precision: 'roughly' }, 'precision'],
  ['envelope: recorded without zone', { ...run, recordedAt: '2031-01-01T00:00:00' }, 'recordedAt'],
  ['envelope: recorded tomorrow', { ...run, recordedAt: at(1024) }, 'recordedAt'],
  ['envelope: acknowledged', { ...run, acknowledged: ['no codes; here'] }, 'acknowledged'],
  ['envelope: body version', { ...run, bodyVersion: 2 }, 'bodyVersion'],
  ['envelope: body a list', { ...run, body: [] }, 'body'],
  ['envelope: more', { ...run, mood: 'good' }, 'mood'],
])('%s is refused at its field', (_what, entry, field) => {
  const issues = issuesOf(entry);
  expect(issues.map((i) => i.field)).toContain(field);
  for (const issue of issues) expect(issue.right.length).toBeGreaterThan(0);
});

test('nothing, text, a list and null are no entries', () => {
  for (const raw of [undefined, null, 'run', 7, []])
    expect(issuesOf(raw)).toMatchObject([{ code: 'notAnObject', right: 'a JSON object' }]);
});

describe('times', () => {
  const starting = (hours: number, minutes: number) =>
    issuesOf(withBody({ ...run, happenedAt: at(hours) }, { minutes }));

  test('a run may end up to ten minutes after the reader’s clock', () => {
    expect(starting(999, 60)).toEqual([]);
    expect(starting(999, 70)).toEqual([]);
    expect(starting(999, 71)).toMatchObject([{ field: 'body.minutes', code: 'endsInTheFuture' }]);
  });

  test('a run known to the day may reach into the evening', () => {
    expect(issuesOf(withBody({ ...run, precision: 'day', happenedAt: at(999) }, { minutes: 600 }))).toEqual([]);
  });

  test('what starts in the future is refused', () => {
    expect(issuesOf({ ...note, happenedAt: at(1000.2) })).toMatchObject([{ field: 'happenedAt', code: 'inTheFuture' }]);
  });
});

describe('what the record of a pump begins with', () => {
  const meter = { ...note, kind: 'meter' as const };
  const takeOver = { ...note, kind: 'takeOver' as const };
  test('a meter is read, or replaced by one that shows something', () => {
    const of = (body: object) => issuesOf({ ...meter, body });
    expect(of({ action: 'read', minutes: 72_000 })).toEqual([]);
    expect(of({ action: 'replaced', minutes: 72_000, newMinutes: 0 })).toEqual([]);
    expect(of({ action: 'replaced', minutes: 72_000 })).toMatchObject([{ field: 'body.newMinutes', code: 'missing' }]);
    expect(of({ action: 'read', minutes: 72_000, newMinutes: 0 })).toMatchObject([{ field: 'body.newMinutes' }]);
    expect(of({ action: 'read', minutes: -1 })).toMatchObject([{ field: 'body.minutes' }]);
  });

  test('the oil of a take-over was changed before it', () => {
    const of = (body: object) => issuesOf({ ...takeOver, body });
    expect(of({})).toEqual([]);
    expect(of({ oilChangedAt: takeOver.happenedAt, runsSince: 0 })).toEqual([]);
    expect(of({ oilChangedAt: at(999) })).toMatchObject([{ field: 'body.oilChangedAt', code: 'afterTakeOver' }]);
    expect(of({ runsSince: 1.5 })).toMatchObject([{ field: 'body.runsSince' }]);
  });

  test('a run that goes on has neither length nor cycles yet', () => {
    const of = (body: object) => issuesOf(withBody(run, { minutes: undefined, stillRunning: true, ...body }));
    expect(of({})).toEqual([]);
    expect(of({ minutes: 60 })).toMatchObject([{ field: 'body.minutes', code: 'notWhileRunning' }]);
    expect(of({ cycles: 60 })).toMatchObject([{ field: 'body.cycles', code: 'notWhileRunning' }]);
    expect(of({ stillRunning: 'yes' })).toMatchObject([{ field: 'body.stillRunning' }]);
  });
});

describe('corrections', () => {
  const correction = (body: object) => ({
    ...run,
    kind: 'correction',
    body: { targetId: run.id, supersedes: null, action: 'void', ...body },
  });

  test('a void needs no body, a replacement the full new one', () => {
    expect(issuesOf(correction({}))).toEqual([]);
    expect(issuesOf(correction({ action: 'replace' }))).toMatchObject([{ field: 'body.body', code: 'missing' }]);
    expect(issuesOf(correction({ action: 'replace', body: run.body, happenedAt: at(2000) }))).toMatchObject([
      { field: 'body.happenedAt', code: 'inTheFuture' },
    ]);
    expect(issuesOf(correction({ targetId: 'that one' })).map((i) => i.field)).toEqual(['body.targetId']);
    expect(issuesOf(correction({ action: 'forget' })).map((i) => i.field)).toEqual(['body.action']);
  });
});

describe('set-up', () => {
  const equipment = { name: 'Chamber', siteId: 's', process: 'freezeDrying', referenceHours: 20, coldTrap: true };
  const fieldsOf = (checked: ReturnType<typeof checkShape>) => (checked.ok ? [] : checked.issues.map((i) => i.field));

  test.each<[keyof typeof SET_UP_CLASSES, object, string]>([
    ['site', { name: 'S', process: 'freezeDrying', zone: 'Moon/Base' }, 'zone'],
    ['equipment', { ...equipment, referenceHours: 0 }, 'referenceHours'],
    ['equipment', { ...equipment, coldTrap: 'yes' }, 'coldTrap'],
    ['material', { name: 'M', process: 'packaging', moisture: 4, fat: 0, fines: 0, solvent: 0, acid: 0 }, 'moisture'],
    [
      'oilProduct',
      { name: 'O', grade: 'VG 68', base: 'olive', waterBehaviour: 'detergent', freshColour: 1, densityKgM3: 870 },
      'base',
    ],
    ['pump', { name: 'x'.repeat(61), modelId: 'm', siteId: 's', equipmentId: 'e', preset: 'byTheHour' }, 'name'],
    [
      'pump',
      {
        name: 'P',
        modelId: 'm',
        siteId: 's',
        equipmentId: 'e',
        preset: 'byTheHour',
        limits: { oilChange: { runs: 0 } },
      },
      'limits',
    ],
    [
      'pump',
      { name: 'P', modelId: 'm', siteId: 's', equipmentId: 'e', preset: 'byTheHour', limits: { polish: { runs: 3 } } },
      'limits',
    ],
    ['houseRules', { limits: { oilChange: { moons: 3 } } }, 'limits'],
    ['houseRules', { limits: {}, oilLimits: { 'waterPercent.stop': -1 } }, 'oilLimits'],
    ['houseRules', { limits: {}, oilLimits: { 'smell.rancid': 5 } }, 'oilLimits'],
    ['houseRules', { limits: {}, oilLimits: { 'taste.bad': 'stop' } }, 'oilLimits'],
    ['jarShape', { name: 'Jar', points: [{ heightMm: 0, ml: 'none' }] }, 'points.0.ml'],
  ])('a wrong %s is refused at its field', (kind, body, field) => {
    expect(fieldsOf(checkShape<object>(SET_UP_CLASSES[kind], body))).toEqual([field]);
  });

  test.each([
    [[{ heightMm: 0, ml: 0 }], /at least two heights/],
    [
      [
        { heightMm: 1, ml: 0 },
        { heightMm: 9, ml: 90 },
      ],
      /0 mm and 0 mL first/,
    ],
    [
      [
        { heightMm: 0, ml: 0 },
        { heightMm: 9, ml: 90 },
        { heightMm: 9, ml: 95 },
      ],
      /that rise/,
    ],
  ])('points that make no jar say what would', (points, right) => {
    const checked = checkRecord('jarShape', { name: 'Jar', points });
    expect(checked).toMatchObject({
      ok: false,
      issues: [{ field: 'points', right: expect.stringMatching(right) as string }],
    });
  });

  test('null takes a limit away, also one on the oil', () => {
    expect(checkShape(SET_UP_CLASSES.houseRules, { limits: {}, oilLimits: { 'sludgePercent.stop': null } }).ok).toBe(
      true,
    );
    expect(checkShape(SET_UP_CLASSES.houseRules, { limits: { oilChange: { runs: null, hours: 500 } } }).ok).toBe(true);
  });
});

test.each([
  ['a run: what went in', withBody(run, { materialId: null })],
  ['a bleed: its water', withBody(bleed, { waterMl: null })],
  ['a bleed: what was drawn', withBody(bleed, { drawnMl: null, waterMl: 5 })],
  ['a bleed: both', withBody(bleed, { drawnMl: undefined, waterMl: undefined })],
  ['a change: what came out, and the level', withBody(change, { outMl: null, levelAfter: null })],
  ['a top-up: the level', withBody(topUp, { levelAfter: undefined })],
])('%s may be said later', (_what, entry) => {
  expect(issuesOf(entry)).toEqual([]);
});

test.each([
  ['30 February', '2031-02-30T00:00:00.000Z'],
  ['hour 24', '2031-03-01T24:00:00.000Z'],
  ['month 13', '2031-13-01T00:00:00.000Z'],
  ['a year before any pump here', '1949-12-31T23:59:59.999Z'],
  ['the year 1', '0001-01-01T00:00:00.000Z'],
])('%s is no instant', (_what, happenedAt) => {
  expect(issuesOf({ ...run, happenedAt })).toMatchObject([{ field: 'happenedAt', value: happenedAt }]);
});

test('29 February of a leap year, and the first moment of 1950, are', () => {
  for (const happenedAt of ['2028-02-29T12:00:00.000Z', '1950-01-01T00:00:00.000Z'])
    expect(issuesOf({ ...run, happenedAt })).toEqual([]);
});

test.each(Object.keys(SCHOOLS))('a pump may be cared for %s', (preset) => {
  const pump = { name: 'P', modelId: 'm', siteId: 's', equipmentId: 'e', preset };
  expect(checkRecord('pump', pump)).toMatchObject({ ok: true });
});

// The steps of a job: what of them can be wrong by itself.
test.each<[string, Entry, string, string]>([
  ['a wait without an end', jobAt.step(10, 'drain', { phase: 'begun' }), 'body.until', 'missing'],
  ['a done wait with an end', jobAt.step(10, 'drain', { until: at(11) }), 'body.until', 'notWhenDone'],
  ['handed over to nobody', jobAt.moved(10, { how: 'handedOver', locksChanged: true }), 'body.to', 'missing'],
  ['handed over without a lock', jobAt.moved(10, { how: 'handedOver', to: 'p' }), 'body.locksChanged', 'missing'],
  ['a step of no job', entryAt(10, 'jobStep', { step: 'fill', visit: 1, phase: 'done' }), 'subjects', 'missing'],
  ['a visit before the first', jobAt.step(10, 'fill', { visit: 0 }), 'body.visit', 'notRight'],
  ['oil that is nowhere', jobAt.step(10, 'fill', { oil: 'lost' as never }), 'body.oil', 'notRight'],
])('%s is refused', (_, entry, field, code) => {
  expect(issuesOf(entry)).toMatchObject([{ field, code }]);
});

test('a job that is right in itself is taken', () => {
  for (const entry of [
    jobAt.started(10, 'oilChange'),
    jobAt.step(10, 'drain', { phase: 'begun', until: at(11), oil: 'out' }),
    jobAt.step(11, 'out', { value: 650 }),
    jobAt.moved(11, { how: 'handedOver', to: 'p', locksChanged: true }),
    jobAt.ended(12, 'givenUp'),
  ])
    expect(issuesOf(entry)).toEqual([]);
});

test('an entry may have been asked every question there is', () => {
  const entry = { ...runAt(10, 5), acknowledged: QUESTION_CODES };
  expect(checkEntry(entry, Date.parse(at(100)))).toMatchObject({ ok: true });
});
