import { initialState } from '../fold/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { at, versionsOf } from '../testing/small-yard.js';
import { chosenAt, guideOf } from './guide.js';
import type { ProcedureId } from './procedures/procedure-names.js';
import { recordOf } from './record.js';
import { ridersAt, serviceAt, type Service } from './service-at.js';
import { ridersOf } from './visit.js';

const setUpOf = (model: object = {}) =>
  setUpBook(
    versionsOf({}).map(
      (v) => ({ ...v, body: { ...v.body, ...(v.subjectId === 'vane' ? model : {}) } }) as SetUpVersion,
    ),
  ).pumpAt({ pumpId: 'p1', instant: at(500) })!;
const DRAINED = { at: at(0), who: null, jobId: 'j' };
const visitOf = (id: ProcedureId, others: readonly ProcedureId[], drained: typeof DRAINED | null = null): Service =>
  serviceAt(id, { ...initialState('p1'), drained }, setUpOf(), others);
const stepIds = ({ steps }: Service) => steps.filter(({ step }) => !step.onlyAfter).map(({ step }) => step.id);

// By hand: warm drain first, inlet and exhaust filter while it runs out, what needs a running pump once it is filled.
const MEANWHILE = ['inlet.off', 'inlet.screen', 'inlet.ball', 'inlet.on', 'exhaustFilter.coverOff'];
const FILTER_OUT = ['exhaustFilter.out', 'exhaustFilter.rust', 'exhaustFilter.new'];
const FILLED = ['fill', 'levelBase', 'plug', 'shortRun', 'comesDown', 'level', 'unlock'];

test('an oil change with the inlet and the exhaust filter is one way through the pump', () => {
  expect(stepIds(visitOf('oilChange', ['exhaustFilter', 'inlet']))).toEqual([
    ...['exhaustFilter.back', 'warm', 'lock', 'vent', 'fillPlug', 'drain'],
    ...MEANWHILE,
    ...FILTER_OUT,
    ...['drain.rest', 'tilt', 'rinse', 'out', 'jar', 'seal'],
    ...FILLED,
    ...['exhaustFilter.backAfter', 'inlet.holds'],
  ]);
});

test('where the oil was out already nothing is run before it is filled', () => {
  expect(stepIds(visitOf('oilChange', ['exhaustFilter', 'inlet'], DRAINED))).toEqual([
    // Its plug may still be out.
    ...['lock', 'vent', ...MEANWHILE, ...FILTER_OUT, 'seal', ...FILLED],
    ...['exhaustFilter.backAfter', 'inlet.holds'],
  ]);
  // Nothing is filled in these.
  expect(stepIds(visitOf('exhaustFilter', ['inlet'], DRAINED))).toEqual([
    ...['lock', 'vent', ...MEANWHILE, 'out', 'rust', 'new', 'unlock'].map((id) => id.replace('exhaustFilter.', '')),
  ]);
  expect(stepIds(visitOf('inlet', [], DRAINED))).not.toContain('holds');
});

// Oil change 30 of work and 37 of waiting, exhaust filter 32 and 30, inlet 27: 156 one by one. Together lock, vent and unlock once,
// the drain is opened (2), and the 18 of the inlet are in the 30 of cooling: 82 of work, 20 + 12 + 1 + 2 + 5 of waiting.
test.each<[ProcedureId, ProcedureId[], number, number]>([
  ['oilChange', [], 30, 37],
  ['exhaustFilter', [], 32, 30],
  ['inlet', [], 27, 0],
  ['oilChange', ['inlet', 'exhaustFilter'], 82, 40],
  ['exhaustFilter', ['inlet'], 55, 12],
])('%s with %p: %i min of work, %i of waiting', (id, others, handsMinutes, waitMinutes) => {
  expect(visitOf(id, others)).toMatchObject({ handsMinutes, waitMinutes });
});

test.each<[ProcedureId, readonly ProcedureId[]]>([
  ['oilChange', ['inlet', 'exhaustFilter']],
  ['oilAndFilter', ['inlet', 'exhaustFilter']],
  ['housingClean', ['inlet', 'exhaustFilter']],
  ['exhaustFilter', ['inlet']],
  // A flush may turn into a wash, an overhaul does both itself.
  ['flush', []],
  ['overhaul', []],
  ['inlet', []],
  ['boosterOil', []],
  ['pumpSwap', []],
])('with %s may go %p', (id, riders) => {
  expect(ridersOf(id)).toEqual(riders);
});

test('a pump carries only what it has', () => {
  const booster = setUpBook(versionsOf({})).pumpAt({ pumpId: 'b1', instant: at(500) })!;
  expect(ridersAt('boosterOil', initialState('b1'), booster)).toEqual([]);
  // What does not go with it is left out.
  expect(stepIds(visitOf('flush', ['inlet']))).toEqual(stepIds(visitOf('flush', [])));
});

/** Each step with its first choice, or with what is given. */
function walked(service: Service, given: Readonly<Record<string, number | string>>) {
  const said: Parameters<typeof guideOf>[1]['said'][number][] = [];
  for (let guide = guideOf(service, { said, begun: [] }); ; guide = guideOf(service, { said, begun: [] })) {
    if (!guide.current) return guide;
    const { step } = guide.current.shown;
    const answer = given[step.id] ?? (step.kind === 'choose' ? step.choices[0]?.id : null) ?? null;
    said.push({
      ...{ entryId: step.id, step: step.id, visit: guide.current.visit, at: at(said.length), who: null, oil: null },
      value: typeof answer === 'number' ? answer : null,
      choice: typeof answer === 'string' ? answer : null,
    });
    if (said.length > 99) throw new Error('it goes in circles');
  }
}
const TOLD = { out: 640, fill: 700, level: 'right', 'exhaustFilter.back': 35_000, 'exhaustFilter.backAfter': 4_000 };

test('each service of the visit leaves its own line in the record', () => {
  const { done, ended } = walked(visitOf('oilChange', ['inlet', 'exhaustFilter']), TOLD);
  expect(ended).toBeNull();
  const record = recordOf(done, () => 'oil-a').map(({ kind, body }) => ({ kind, ...body }));
  expect(record).toEqual([
    { kind: 'test', findings: [], measured: [{ pa: 35_000, where: 'exhaust' }] },
    { kind: 'done', task: 'inletScreen' },
    { kind: 'done', task: 'antiSuckback' },
    { kind: 'test', findings: [{ id: 'suckbackBall', state: 'sound', certainty: 1 }] },
    { kind: 'done', task: 'exhaustFilter' },
    { kind: 'change', sump: 'oil', productId: 'oil-a', outMl: 640, inMl: 700, levelAfter: 'right', jarKept: true },
    { kind: 'test', findings: [], measured: [{ pa: 4_000, where: 'exhaust' }] },
  ]);
});

test('an inlet that does not hold leads into a service of its own, not back behind the fill', () => {
  const { done, ended } = walked(visitOf('oilChange', ['inlet', 'exhaustFilter']), { ...TOLD, 'inlet.holds': 'rises' });
  expect(ended).toMatchObject({ id: 'rises', follow: 'inlet' });
  expect(chosenAt(done.at(-1)!)).toBe(ended);
  expect(recordOf(done, () => 'oil-a').filter(({ kind }) => kind === 'change')).toHaveLength(1);
});

// docs/trade.md 11, by hand: what a step can do to somebody does not depend on what else is done that day.
test.each([
  ['exhaustFilter.back', 'exhaustOpen'],
  ['drain', 'hotOil'],
  ['drain', 'waste'],
  ['inlet.off', 'lockOut'],
  ['exhaustFilter.coverOff', 'hotOil'],
  ['exhaustFilter.out', 'lockOut'],
  ['unlock', 'rags'],
])('before %s stands “%s” in a visit too', (id, caution) => {
  const { steps } = visitOf('oilChange', ['inlet', 'exhaustFilter']);
  const i = steps.findIndex(({ step }) => step.id === id);
  expect([...(steps[i - 1]?.cautions ?? []), ...(steps[i]?.cautions ?? [])]).toContain(caution);
});
