// Longer than a file should be: one table of what each service asks for, step by step.
import fc from 'fast-check';
import type { JobState } from '../job/index.js';
import { initialState } from '../fold/index.js';
import { at, versionsOf } from '../testing/small-yard.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { chosenAt, guideOf, type Guide } from './guide.js';
import { PROCEDURES } from './procedures/index.js';
import type { ProcedureId } from './procedures/procedure-names.js';
import { NO_JAR, recordOf } from './record.js';
import { proceduresAt, serviceAt, serviceOfJob, stepsAnswered, type Service } from './service-at.js';

type Given = Readonly<Record<string, number | string | null>>;
const NOTHING = { said: [], begun: [] };

const setUpOf = (pumpId: string, bodies: Readonly<Record<string, object>> = {}) =>
  setUpBook(versionsOf({}).map((v) => ({ ...v, body: { ...v.body, ...bodies[v.subjectId] } }) as SetUpVersion)).pumpAt({
    pumpId,
    instant: at(500),
  })!;
const serviceOf = (id: ProcedureId, pumpId = 'p1', bodies = {}): Service =>
  serviceAt(id, initialState(pumpId), setUpOf(pumpId, bodies));
const FILTER = { vane: { hasOilFilter: true, oilFilterHoldUpMl: 120 } };

/** Answers step after step: by `step` or `step/visit` what is given, else the first choice, or nothing measured. Hours count the steps. */
function walked(service: Service, given: Given = {}, most = 200): { said: JobState['said']; guide: Guide } {
  let said: JobState['said'] = [];
  for (let n = 0; n < most; n += 1) {
    const guide = guideOf(service, { said, begun: [] });
    const { current } = guide;
    if (!current) return { said, guide };
    const { visit } = current;
    const { step } = current.shown;
    const answer = given[`${step.id}/${visit}`] ?? given[step.id] ?? null;
    const first = step.kind === 'choose' ? (step.choices[0]?.id ?? null) : null;
    said = [
      ...said,
      {
        ...{ entryId: `${n}`, step: step.id, visit, at: at(n), who: null, oil: step.oil ?? null },
        value: typeof answer === 'number' ? answer : null,
        choice: typeof answer === 'string' ? answer : first,
      },
    ];
  }
  throw new Error('it goes in circles');
}
/** The jar that a drain fills. */
const JAR = { jarKept: true };
const LEVEL_RIGHT: Given = { level: 'right' };
interface Where {
  readonly pumpId?: string;
  readonly bodies?: Readonly<Record<string, object>>;
}
const record = (id: ProcedureId, given: Given, { pumpId = 'p1', bodies = {} }: Where = {}) =>
  recordOf(walked(serviceOf(id, pumpId, bodies), given).guide.done, () => 'oil-a').map(({ kind, body }) =>
    kind === 'done' ? `done ${body.task}` : { kind, ...body },
  );

const IDS = Object.keys(PROCEDURES) as ProcedureId[];

test.each(IDS)('%s: ids of its steps are its own, and every way out of a step leads somewhere', (id) => {
  const { steps } = PROCEDURES[id];
  const ids = steps.map((s) => s.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const step of steps) {
    if (step.then) expect(ids).toContain(step.then);
    if (step.onlyAfter) {
      const source = steps.find((s) => s.id === step.onlyAfter?.step);
      const { choice } = step.onlyAfter;
      if (choice === undefined) expect(source).toBeDefined();
      else expect(source?.kind === 'choose' && source.choices.map((c) => c.id)).toContain(choice);
    }
    for (const { goTo, follow } of step.kind === 'choose' ? step.choices : []) {
      if (goTo) expect(ids).toContain(goTo);
      if (follow) expect(IDS).toContain(follow);
    }
  }
});

// A task that the procedure is for is done by a step of it, or by the fill.
test.each(IDS)('%s does every task that it is for', (id) => {
  const { tasks, steps } = PROCEDURES[id];
  const done = steps.flatMap((step) => [
    ...(step.does ?? []),
    ...(step.kind === 'measure' && step.goes === 'in' ? (['oilChange', 'boosterOil'] as const) : []),
    ...(step.kind === 'measure' && step.goes === 'drawn' ? (['bleed'] as const) : []),
    ...(step.kind === 'measure' && step.sumps?.includes('sealCup') ? (['sealCup'] as const) : []),
  ]);
  for (const task of tasks) expect(done).toContain(task);
});

// Oil that was let out is filled in again before the end, on every way through that does not end early.
test.each(IDS.filter((id) => PROCEDURES[id].steps.some(({ oil }) => oil === 'out')))('%s ends with oil in it', (id) => {
  const pumpId = PROCEDURES[id].kinds[0] === 'booster' ? 'b1' : 'p1';
  const { guide, said } = walked(serviceOf(id, pumpId), LEVEL_RIGHT);
  expect(guide.current).toBeNull();
  if (!guide.ended) expect(said.filter(({ oil }) => oil).at(-1)?.oil).toBe('in');
});

test('every procedure that a pump has comes to its end', () => {
  for (const pumpId of ['p1', 'b1'])
    for (const id of proceduresAt(initialState(pumpId), setUpOf(pumpId))) {
      const service = serviceOf(id, pumpId);
      expect(guideOf(service, NOTHING).current?.shown).toBe(service.steps[0]);
      expect(walked(service, LEVEL_RIGHT).guide.current).toBeNull();
    }
});

test('below the mark: oil is added, it comes down, and the level is read again', () => {
  const given = { 'level/1': 'low', addMore: 40, 'level/2': 'high', takeOff: 15, 'level/3': 'right' };
  const { guide } = walked(serviceOf('oilChange'), given);
  const steps = guide.done.map(({ shown, visit }) => `${shown.step.id}/${visit}`);
  expect(steps.slice(steps.indexOf('comesDown/1'))).toEqual([
    ...['comesDown/1', 'level/1', 'addMore/1'],
    ...['comesDown/2', 'level/2', 'takeOff/1'],
    ...['comesDown/3', 'level/3', 'unlock/1'],
  ]);
});

// Reckoned by hand: what came out, 660 and 40 added, 15 taken off again.
test.each<[string, ProcedureId, Given, unknown[], Where]>([
  [
    'an oil change',
    'oilChange',
    { out: 650, fill: 660, 'level/1': 'low', addMore: 40, 'level/2': 'high', takeOff: 15, 'level/3': 'right' },
    [{ kind: 'change', sump: 'oil', productId: 'oil-a', outMl: 650, inMl: 685, levelAfter: 'right', ...JAR }],
    {},
  ],
  [
    'with its filter',
    'oilAndFilter',
    { out: 2380, fill: 2600, level: 'right' },
    [
      'done oilFilter',
      { kind: 'change', sump: 'oil', productId: 'oil-a', outMl: 2380, inMl: 2600, levelAfter: 'right', ...JAR },
      { kind: 'test', findings: [{ id: 'pumpWeeps', state: 'no', certainty: 1 }] },
    ],
    { bodies: FILTER },
  ],
  [
    'a filter that leaks: seated again, filled up, run and looked at once more',
    'oilAndFilter',
    {
      ...{
        out: 600,
        fill: 650,
        'level/1': 'right',
        'drip/1': 'leaks',
        'level/2': 'low',
        addMore: 80,
        'level/3': 'right',
      },
      ...{ 'drip/2': 'drip', 'drip/3': 'dry' },
    },
    [
      'done oilFilter',
      { kind: 'change', sump: 'oil', productId: 'oil-a', outMl: 600, inMl: 730, levelAfter: 'right', ...JAR },
      ...['yes', 'yes', 'no'].map((state) => ({ kind: 'test', findings: [{ id: 'pumpWeeps', state, certainty: 1 }] })),
    ],
    { bodies: FILTER },
  ],
  [
    'nobody measured what came out',
    'oilChange',
    { fill: 700, jar: NO_JAR, level: 'right' },
    [{ kind: 'change', sump: 'oil', productId: 'oil-a', outMl: null, inMl: 700, levelAfter: 'right' }],
    {},
  ],
  [
    'a flush of three fills: the last is the new charge',
    'flush',
    {
      ...{ out: 600, fill: 650, 'drainAgain/1': 640, 'again/1': 'more', 'again/2': 'more', 'again/3': 'clean' },
      ...{ newCharge: 700, level: 'right' },
    },
    [
      'done flush',
      {
        ...{ kind: 'change', sump: 'oil', productId: 'oil-a', outMl: 600, inMl: 700, levelAfter: 'right', ...JAR },
        flushed: [640, null, null].map((outMl) => ({
          ...{ inMl: 650, outMl },
          ...{ fromContainerId: null, intoContainerId: null },
        })),
      },
    ],
    {},
  ],
  [
    'a bleed, filled up',
    'bleed',
    { drawn: 60, water: 45, topUp: 55, level: 'right' },
    [
      { kind: 'bleed', sump: 'oil', drawnMl: 60, waterMl: 45, levelAfter: 'right' },
      { kind: 'topUp', sump: 'oil', productId: 'oil-a', addedMl: 55, levelAfter: 'right' },
    ],
    {},
  ],
  [
    'before a run: what was seen, and what was added',
    'beforeRun',
    { glass: 'bright', 'level/1': 'low', topUp: 40, 'level/2': 'right', water: 'none' },
    [
      { kind: 'look', sump: 'oil', source: 'sightGlass', hoursStood: 1, clarity: 'bright', level: 'low' },
      { kind: 'topUp', sump: 'oil', productId: 'oil-a', addedMl: 40, levelAfter: 'right' },
    ],
    {},
  ],
  [
    'before a run: the level has risen by itself',
    'beforeRun',
    { glass: 'hazy', level: 'high' },
    [{ kind: 'look', sump: 'oil', source: 'sightGlass', hoursStood: 1, clarity: 'hazy', level: 'high' }],
    {},
  ],
  [
    'stopped under vacuum',
    'afterRun',
    { stop: 'underVacuum' },
    [{ kind: 'test', findings: [{ id: 'stoppedUnderVacuum', state: 'yes', certainty: 1 }] }],
    {},
  ],
  [
    'a purge, and the look after it',
    'ballastPurge',
    { glass: 'hazy' },
    ['done purge', { kind: 'look', sump: 'oil', source: 'sightGlass', hoursStood: 0, clarity: 'hazy' }],
    {},
  ],
  [
    'both ends of a booster, each half of what was filled, and its cup',
    'boosterOil',
    { outA: 450, outB: 430, half: 700, mark: 300, cup: 60 },
    [
      { kind: 'change', sump: 'gearA', productId: 'oil-a', outMl: 450, inMl: 500, levelAfter: null },
      { kind: 'change', sump: 'gearB', productId: 'oil-a', outMl: 430, inMl: 500, levelAfter: null },
      { kind: 'topUp', sump: 'sealCup', productId: 'oil-a', addedMl: 60, levelAfter: null },
      'done inletScreen',
    ],
    { pumpId: 'b1' },
  ],
  [
    'an exhaust filter: its back-pressure before and after',
    'exhaustFilter',
    { back: 62_000, backAfter: 9000 },
    [
      { kind: 'test', findings: [], measured: [{ pa: 62_000, where: 'exhaust' }] },
      'done exhaustFilter',
      { kind: 'test', findings: [], measured: [{ pa: 9000, where: 'exhaust' }] },
    ],
    {},
  ],
  ['a change that may not be', 'changeProduct', { may: 'never' }, [], {}],
  [
    'another product',
    'changeProduct',
    { may: 'badly', out: 650, flush: 1400, fill: 'oil-b', level: 'right' },
    // Nobody said how much: a fill without an amount leaves no change behind.
    ['done flush', 'done exhaustFilter'],
    {},
  ],
  [
    'a leak hunt ends where it fails',
    'leakHunt',
    { 'gaskets/1': 'failed' },
    [{ kind: 'test', leakStep: 'gaskets', passed: false, findings: [] }],
    {},
  ],
])('%s leaves its record', (_, id, given, lines, where) => expect(record(id, given, where)).toEqual(lines));

test('given up, what was done until then is kept', () => {
  const { said } = walked(serviceOf('oilAndFilter', 'p1', FILTER), { out: 650, fill: 700, ...LEVEL_RIGHT });
  const until = said.slice(0, said.findIndex(({ step }) => step === 'filterOn') + 1);
  const done = stepsAnswered({ procedure: 'oilAndFilter', with: [], said: until, begun: [] }, setUpOf('p1', FILTER));
  expect(recordOf(done, () => 'oil-a')).toMatchObject([{ kind: 'done', body: { task: 'oilFilter' } }]);
});

test('a flush that gets no cleaner ends, and the housing clean that follows does not drain it again', () => {
  const { guide } = walked(serviceOf('flush'), { again: 'wash' });
  expect(guide.ended).toMatchObject({ id: 'wash', follow: 'housingClean' });
  const drained = { at: at(1), who: null, jobId: 'job-a' };
  const after = serviceAt('housingClean', { ...initialState('p1'), drained }, setUpOf('p1'));
  const ids = after.steps.map(({ step }) => step.id);
  expect(ids).not.toEqual(expect.arrayContaining(['drain']));
  expect(ids.slice(0, 4)).toEqual(['lock', 'vent', 'seal', 'caseOff']);
});

test('what is chosen at a step is known by its id', () => {
  const { guide } = walked(serviceOf('oilChange'), { level: 'right' });
  const level = guide.done.find(({ shown }) => shown.step.id === 'level');
  expect(level && chosenAt(level)).toMatchObject({ words: 'at the mark', level: 'right' });
});

// Oil in = oil out + what stays: whatever was answered, the record has no mL that no step told.
test('the record of any answers adds up', () => {
  const ml = fc.integer({ min: 1, max: 900 });
  fc.assert(
    fc.property(
      fc.record({ out: ml, fill: ml, addMore: ml, takeOff: fc.integer({ min: 0, max: 1 }) }),
      fc.array(fc.constantFrom('low', 'high'), { maxLength: 4 }),
      (given, levels) => {
        const said = Object.fromEntries(levels.map((level, i) => [`level/${i + 1}`, level]));
        const [change] = record('oilChange', { ...given, ...said, level: 'right' }) as {
          inMl: number;
          outMl: number;
        }[];
        const added = levels.filter((l) => l === 'low').length * given.addMore;
        const off = levels.filter((l) => l === 'high').length * given.takeOff;
        const inMl = given.fill + added - off;
        if (inMl <= 0) return expect(change).toBeUndefined();
        return expect(change).toMatchObject({ outMl: given.out, inMl });
      },
    ),
    { numRuns: 200, seed: 15 },
  );
});

test('the same answers lead to the same place in any order of arrival', () => {
  const service = serviceOf('flush');
  const { said } = walked(service, { 'again/1': 'more', again: 'clean', ...LEVEL_RIGHT });
  const back = guideOf(service, { said: [...said].reverse(), begun: [] });
  expect(back).toEqual(guideOf(service, { said, begun: [] }));
});

test('the new filter takes its share: how far the oil sinks is said before', () => {
  const down = serviceOf('oilAndFilter', 'p1', FILTER).steps.find(({ step }) => step.id === 'comesDown');
  expect(down?.step.words).toMatch(/The new filter takes about \{amount\}/);
  expect(down?.amountMl).toBe(120);
});

// In the middle of a job the pump turns out to be one with solvent in it: the set-up is corrected, or somebody smells it.
test.each<[string, ProcedureId, readonly string[], readonly string[]]>([
  ['nothing answered yet: it is left to cool', 'oilChange', [], ['cool', 'lock', 'vent']],
  ['warm and safe already: on with the drain', 'oilChange', ['warm', 'lock', 'vent', 'fillPlug'], ['drain', 'tilt']],
  ['before the ballast is opened: no air', 'ballastPurge', ['close', 'warmUp', 'oilTemp'], ['openNitrogen', 'hour']],
  [
    'after it was: nitrogen instead, at once',
    'ballastPurge',
    ['close', 'warmUp', 'oilTemp', 'openAir'],
    ['openNitrogen'],
  ],
])('%s', (_, procedure, answered, ahead) => {
  const said = answered.map((step, n) => ({
    ...{ entryId: `${n}`, step, visit: 1, at: at(n), who: null, value: null, choice: null, oil: null },
  }));
  const job: JobState = {
    ...{
      jobId: 'job-a',
      procedure,
      with: [],
      startedAt: at(0),
      who: null,
      since: at(0),
      foundDrained: false,
      foundNotWhole: null,
      paused: null,
    },
    ...{ said, begun: [] },
  };
  const service = serviceOfJob(
    job,
    { ...initialState('p1'), job },
    setUpOf('p1', { p1: { serviceClasses: ['flammable'] } }),
  );
  const guide = guideOf(service, job);
  expect(guide.done.map(({ shown }) => shown.step.id)).toEqual(answered);
  const next = [guide.current?.shown.step.id, ...guide.ahead.map(({ step }) => step.id)];
  expect(next.slice(0, ahead.length)).toEqual(ahead);
});

test('what comes off goes into numbered bags, photographed, and on again in the reverse order', () => {
  const { steps } = serviceOf('overhaul');
  const done = steps.flatMap(({ step }) => (step.kind === 'do' ? [step] : []));
  expect(done.flatMap(({ bag }) => bag ?? [])).toEqual([1, 2, 3, 4, 5]);
  expect(done.filter(({ bag }) => bag).every(({ photographed }) => photographed)).toBe(true);
  expect(done.flatMap(({ shows }) => shows ?? [])).toEqual(['apart5', 'apart4', 'apart3', 'apart2', 'apart1']);
});
