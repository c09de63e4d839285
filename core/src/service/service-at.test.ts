import { CAUTIONS, type CautionId } from '../cautions/index.js';
import { rebuild } from '../fold/index.js';
import type { Entry } from '../journal/index.js';
import { setUpBook, type ServiceClass, type SetUpVersion } from '../set-up/index.js';
import { at, changeAt, jobAt, runAt, versionsOf, type YardOptions } from '../testing/small-yard.js';
import { PROCEDURES } from './procedures/index.js';
import type { ProcedureId } from './procedures/procedure-names.js';
import { proceduresAt, serviceAt } from './service-at.js';

interface Place extends YardOptions {
  readonly service?: readonly ServiceClass[];
  readonly pumpId?: string;
  readonly entries?: readonly Entry[];
  readonly bodies?: Readonly<Record<string, object>>;
}

function pumpAt({ service = [], pumpId = 'p1', entries = [], bodies = {}, ...yard }: Place) {
  const versions = versionsOf(yard).map(
    (v) =>
      ({
        ...v,
        body: { ...v.body, ...(v.subjectId === pumpId ? { serviceClasses: service } : {}), ...bodies[v.subjectId] },
      }) as SetUpVersion,
  );
  const book = setUpBook(versions);
  return { state: rebuild({ pumpId, entries: [...entries], book }), setUp: book.pumpAt({ pumpId, instant: at(500) })! };
}
const serviceOf = (id: ProcedureId, place: Place = {}) => {
  const { state, setUp } = pumpAt(place);
  return serviceAt(id, state, setUp);
};

const PLAIN: Place = {};
/** Styrene, of rating 3. */
const SOLVENT: Place = { entries: [changeAt(1), runAt(10, 10, 'co-polyester')] };
const OXYGEN: Place = { service: ['oxygen'] };
const TOXIC: Place = { service: ['toxic'] };
const BIO: Place = { service: ['biological'] };
const ACID: Place = { service: ['corrosive'] };
const FOOD: Place = { service: ['food'] };
const PFPE: Place = { base: 'pfpe', bodies: { 'oil-a': { densityKgM3: 1890 } } };
const FILTER: Place = { model: { hasOilFilter: true } };
const COLD: Place = { bodies: { site: { coldSeason: 'decToFeb' } } };
const INDUSTRIAL: Place = { bodies: { chamber: { process: 'industrial' } } };
/** As a service has left it. */
const left = (pump: 'open' | 'capped'): Place => ({
  entries: [changeAt(1), jobAt.started(5, 'inlet'), jobAt.step(6, 'off', { pump }), jobAt.ended(7, 'givenUp')],
});
const [OPEN, CAPPED] = [left('open'), left('capped')];
const BOOSTER: Place = { pumpId: 'b1' };

// docs/trade.md 11, by hand: what must be read before which step, at which pump.
test.each<[ProcedureId, string, Place, CautionId, string]>([
  ['bleed', 'any', PLAIN, 'standing', 'stand'],
  ['bleed', 'any', PLAIN, 'tilt', 'tilt'],
  ['bleed', 'any', PLAIN, 'hotOil', 'crack'],
  ['bleed', 'any', PLAIN, 'waste', 'crack'],
  ['bleed', 'solvent', SOLVENT, 'drainCold', 'crack'],
  ['bleed', 'food', FOOD, 'food', 'crack'],
  ['bleed', 'cultures', BIO, 'biological', 'crack'],
  ['oilChange', 'any', PLAIN, 'drainWarm', 'warm'],
  ['oilChange', 'a cold room', COLD, 'thickOil', 'warm'],
  ['oilChange', 'solvent', SOLVENT, 'drainCold', 'cool'],
  ['oilChange', 'solvent', SOLVENT, 'drainCold', 'drain'],
  ['oilChange', 'any', PLAIN, 'standing', 'lock'],
  ['oilChange', 'any', PLAIN, 'vent', 'vent'],
  ['oilChange', 'any', PLAIN, 'hotOil', 'drain'],
  ['oilChange', 'any', PLAIN, 'waste', 'drain'],
  ['oilChange', 'toxic', TOXIC, 'residues', 'drain'],
  ['oilChange', 'acid', ACID, 'corrosive', 'drain'],
  ['oilChange', 'PFPE', PFPE, 'pfpeHeat', 'drain'],
  ['oilChange', 'any', PLAIN, 'tilt', 'tilt'],
  ['oilChange', 'oxygen', OXYGEN, 'oxygen', 'rinse'],
  ['oilChange', 'oxygen', OXYGEN, 'oxygen', 'fill'],
  ['oilChange', 'food', FOOD, 'food', 'fill'],
  ['oilChange', 'any', PLAIN, 'exhaustOpen', 'shortRun'],
  ['oilChange', 'any', PLAIN, 'rags', 'unlock'],
  ['oilAndFilter', 'a filter', FILTER, 'hotFilter', 'filterOff'],
  ['oilAndFilter', 'a filter', FILTER, 'hotFilter', 'reseat'],
  ['oilAndFilter', 'a filter', FILTER, 'standing', 'reseat'],
  ['flush', 'any', PLAIN, 'standing', 'drainAgain'],
  ['flush', 'oxygen', OXYGEN, 'oxygen', 'newCharge'],
  ['housingClean', 'any', PLAIN, 'lockOut', 'caseOff'],
  ['housingClean', 'any', PLAIN, 'solventWork', 'wash'],
  ['ballastPurge', 'any', PLAIN, 'exhaust', 'openAir'],
  ['ballastPurge', 'any', PLAIN, 'exhaustOpen', 'warmUp'],
  ['ballastPurge', 'solvent', SOLVENT, 'noAir', 'openNitrogen'],
  ['ballastPurge', 'solvent', SOLVENT, 'nitrogen', 'openNitrogen'],
  ['boosterOil', 'a booster', BOOSTER, 'boosterVent', 'vent'],
  ['boosterOil', 'a booster', BOOSTER, 'standing', 'lock'],
  ['exhaustFilter', 'any', PLAIN, 'hotOil', 'coverOff'],
  ['exhaustFilter', 'any', PLAIN, 'lockOut', 'out'],
  ['exhaustFilter', 'any', PLAIN, 'exhaustOpen', 'unlock'],
  ['inlet', 'any', PLAIN, 'lockOut', 'off'],
  ['changeProduct', 'oxygen', OXYGEN, 'oxygen', 'flush'],
  ['leakHunt', 'any', PLAIN, 'vent', 'gaskets'],
  ['leakHunt', 'any', PLAIN, 'furnace', 'valves'],
  ['leakHunt', 'any', PLAIN, 'boiling', 'bubbles'],
  ['leakHunt', 'any', PLAIN, 'supplyOff', 'sensor'],
  ['overhaul', 'any', PLAIN, 'heavy', 'bench'],
  ['overhaul', 'any', PLAIN, 'capacitor', 'bench'],
  ['overhaul', 'cultures', BIO, 'biological', 'apart1'],
  ['overhaul', 'any', PLAIN, 'lockOut', 'apart1'],
  ['beforeRun', 'any', PLAIN, 'exhaustOpen', 'ready'],
  ['beforeRun', 'oxygen', OXYGEN, 'oxygen', 'topUp'],
  ['beforeRun', 'PFPE', PFPE, 'pfpeHeat', 'glass'],
  ['afterRun', 'industrial', INDUSTRIAL, 'furnace', 'chamber'],
  ['afterRun', 'any', PLAIN, 'exhaust', 'dryAir'],
  ['afterRun', 'solvent', SOLVENT, 'noAir', 'dryNitrogen'],
  ['layUp', 'any', PLAIN, 'exhaustOpen', 'caps'],
  ['backToWork', 'capped', CAPPED, 'standing', 'lock'],
  ['backToWork', 'capped', CAPPED, 'exhaustOpen', 'capsOff'],
  ['backToWork', 'capped', CAPPED, 'exhaustOpen', 'unlock'],
  ['backToWork', 'cultures, capped', { ...CAPPED, ...BIO }, 'biological', 'settled'],
  ['closeUp', 'open', OPEN, 'standing', 'lock'],
  ['closeUp', 'open', OPEN, 'lockOut', 'seals'],
  ['closeUp', 'open', OPEN, 'exhaustOpen', 'unlock'],
  ['pumpSwap', 'any', PLAIN, 'heavy', 'lift'],
  ['pumpSwap', 'any', PLAIN, 'exhaustOpen', 'connect'],
  ['pumpSwap', 'any', PLAIN, 'capacitor', 'rotation'],
  ['potsAndTrap', 'any', PLAIN, 'coldMetal', 'defrost'],
  ['potsAndTrap', 'toxic', TOXIC, 'residues', 'pots'],
])('%s at a pump with %s: “%s” before %s', (id, _what, place, caution, stepId) => {
  // What the step just before said need not be said again: it still stands there.
  const steps = serviceOf(id, place).steps;
  const i = steps.findIndex(({ step }) => step.id === stepId);
  expect(i).toBeGreaterThanOrEqual(0);
  const near = [steps[i - 1], steps[i]].flatMap((s) => s?.cautions ?? []);
  expect(near).toContain(caution);
});

test('with solvent in the oil no step opens the ballast to air, and nothing is drained warm', () => {
  for (const id of Object.keys(PROCEDURES) as ProcedureId[]) {
    if (!PROCEDURES[id].kinds.includes('vane')) continue;
    const { steps } = serviceOf(id, SOLVENT);
    const barred = steps.filter(({ step }) => ['openAir', 'dryAir', 'warm'].includes(step.id));
    expect(barred.map(({ step }) => [id, step.id])).toEqual([]);
    expect([id, steps.flatMap((s) => s.cautions).includes('drainWarm')]).toEqual([id, false]);
  }
});

test.each<[string, Place, readonly ProcedureId[], readonly ProcedureId[]]>([
  ['a plain pump', PLAIN, ['bleed', 'oilChange', 'overhaul'], ['oilAndFilter', 'boosterOil', 'closeUp', 'backToWork']],
  // The inlet was given up: it can be begun again, and nothing else that might run it.
  ['one that stands open', OPEN, ['closeUp', 'inlet'], ['backToWork', 'oilChange', 'ballastPurge', 'leakHunt']],
  ['a capped one', CAPPED, ['backToWork'], ['closeUp', 'oilChange', 'layUp', 'afterRun']],
  ['one with an oil filter', FILTER, ['oilAndFilter'], ['oilChange']],
  ['PFPE: nothing is bled at the bottom', PFPE, ['oilChange', 'ballastPurge'], ['bleed']],
  ['a booster', BOOSTER, ['boosterOil', 'pumpSwap'], ['oilChange', 'bleed', 'ballastPurge']],
  ['a dry pump', { pumpId: 'd1' }, ['pumpSwap'], ['oilChange', 'bleed', 'boosterOil']],
])('%s has its procedures', (_, place, has, hasNot) => {
  const { state, setUp } = pumpAt(place);
  const ids = proceduresAt(state, setUp);
  expect(ids).toEqual(expect.arrayContaining([...has]));
  expect(ids.filter((id) => hasNot.includes(id))).toEqual([]);
});

test('volumes are those of the model, and a dry pump is asked for no oil', () => {
  const amounts = (id: ProcedureId, place: Place) =>
    serviceOf(id, place).steps.flatMap(({ step, amountMl }) => (step.amount ? [[step.id, amountMl]] : []));
  // 700 mL, a tenth of it to rinse with; what the filter soaks up nobody has said.
  expect(amounts('oilAndFilter', FILTER)).toEqual([
    ['rinse', 70],
    ['filterOff', null],
    ['fill', 700],
    ['comesDown', null],
  ]);
  expect(serviceOf('pumpSwap', { pumpId: 'd1' }).steps.map(({ step }) => step.id)).not.toContain('oil');
});

test('the minutes of hands are apart from those of waiting', () => {
  const { handsMinutes, waitMinutes } = serviceOf('ballastPurge');
  // Close 1, read 1, open 1, back 1, look 2; warm up 30 and an hour.
  expect({ handsMinutes, waitMinutes }).toEqual({ handsMinutes: 6, waitMinutes: 90 });
});

test('every procedure is whole: letters A to P, ids of its own, sentences, amounts where it names them', () => {
  const all = Object.values(PROCEDURES);
  // Before a run, and what closes or frees a pump, have no letter of their own.
  expect(
    all
      .map(({ letter }) => letter)
      .join('')
      .replaceAll('·', ''),
  ).toBe('ABCDEFGHIJKLMNOP');
  for (const { name, steps } of all) {
    expect([name, new Set(steps.map(({ id }) => id)).size]).toEqual([name, steps.length]);
    for (const { id, words, amount, minutes } of steps) {
      expect([name, id, /[.?]$/.test(words), words.includes('{amount}')]).toEqual([
        name,
        id,
        true,
        amount !== undefined,
      ]);
      expect(minutes).toBeGreaterThan(0);
    }
  }
});

test('every caution that a step can call for is one of the list, at every kind of pump', () => {
  for (const id of Object.keys(PROCEDURES) as ProcedureId[])
    for (const place of [PLAIN, SOLVENT, OXYGEN, TOXIC, BIO, ACID, FOOD, PFPE, FILTER, COLD, INDUSTRIAL]) {
      const { steps } = serviceOf(id, place);
      const said = steps.flatMap(({ cautions }) => cautions);
      expect([id, said.every((c) => c in CAUTIONS), said.length > 0]).toEqual([id, true, true]);
    }
});

test('what stands open or capped is not run to warm it, nor to read its pressure', () => {
  for (const id of ['housingClean', 'exhaustFilter'] as const) {
    const again: Place = {
      entries: [changeAt(1), jobAt.started(5, id), jobAt.step(6, 'x', { pump: 'open' }), jobAt.ended(7, 'givenUp')],
    };
    const ids = serviceOf(id, again).steps.map(({ step }) => step.id);
    expect([id, ids.filter((step) => ['warm', 'back'].includes(step))]).toEqual([id, []]);
    expect(ids[0]).toBe('lock');
    // With solvent in it, it is left to cool all the same.
    if (id !== 'housingClean') continue;
    const flammable = serviceOf(id, { ...again, service: ['flammable'] }).steps.map(({ step }) => step.id);
    expect(flammable[0]).toBe('cool');
  }
});

test('a swap that was given up with the oil out leads to no run before it is filled', () => {
  const swap: Place = {
    entries: [
      ...[changeAt(1), jobAt.started(5, 'pumpSwap')],
      ...[jobAt.step(6, 'drain', { oil: 'out', pump: 'capped' }), jobAt.ended(7, 'givenUp')],
    ],
  };
  const { steps } = serviceOf('backToWork', swap);
  expect(steps.map(({ step }) => step.id)).toEqual(['lock', 'capsOff', 'turn', 'unlock']);
  // Begun again it is drained and capped as before.
  expect(serviceOf('pumpSwap', swap).steps.map(({ step }) => [step.id, step.oil ?? null])).toContainEqual([
    'oil',
    'in',
  ]);
});

test.each<[string, Place]>([
  ['a plain pump', PLAIN],
  ['one with an oil filter', FILTER],
  ['solvent in it', SOLVENT],
  ['PFPE', PFPE],
  ['a booster', BOOSTER],
])('with its oil out nothing runs %s before it is filled, and nothing is filled through an open plug', (_, place) => {
  const { state, setUp } = pumpAt(place);
  const found = { ...state, drained: { at: at(400), who: null, jobId: 'job-a' } };
  const ids = proceduresAt(found, setUp);
  expect(ids).toEqual(expect.arrayContaining(setUp.model.kind === 'vane' ? ['flush', 'layUp'] : ['boosterOil']));
  for (const id of ids) {
    const steps = serviceAt(id, found, setUp).steps.map(({ step }) => step);
    // A flush is filled and run in one step.
    const fill = steps.findIndex(({ risks }) => risks?.includes('oilIn'));
    const runs = steps.findIndex(({ risks }) => risks?.includes('starts'));
    expect([id, runs < 0 || (fill >= 0 && fill <= runs)]).toEqual([id, true]);
    // A swap fills another pump.
    const isOpen = setUp.model.kind === 'vane' && fill >= 0 && id !== 'pumpSwap';
    if (isOpen) expect([id, steps.slice(0, fill).some((step) => step.id === 'seal')]).toEqual([id, true]);
  }
});
