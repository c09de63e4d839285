import type { HouseRules, OilProduct, ServiceClass } from '../set-up/index.js';
import { NO_MARKS, type AccountState, type Marks } from './account-state.js';
import type { Part } from './part.js';
import { canMend, notInto, reuseOf } from './reuse.js';
import { NO_FACTS, type ReuseFacts } from './reuse-facts.js';

const OIL: OilProduct = {
  ...{ name: 'Oil A', grade: 'VG 68', base: 'mineral', waterBehaviour: 'demulsifying', freshColour: 1 },
  ...{ densityKgM3: 870, viscosity40Mm2s: 68, freshAcidMgKohG: 0.05 },
};
const products: Record<string, OilProduct> = {
  'oil-a': OIL,
  'oil-b': { ...OIL, name: 'Oil B' },
  'oil-f': { ...OIL, name: 'Oil F', base: 'pfpe', densityKgM3: 1890 },
};
const part = (uL: number, rounds: number, more: Partial<Part> = {}): Part => ({
  ...{ phase: 'oil', lot: 'l', productId: 'oil-a', rounds, passes: 1, uL },
  ...more,
});
const CLEAR = { entryId: 'e', at: '2031-01-01T00:00:00.000Z', hazyUL: 0, clarity: 'bright', colour: 2 } as const;
const REUSES: HouseRules = { limits: {}, reuseSchool: 'reuse' };

const judged = (more: {
  parts?: readonly Part[];
  marks?: Partial<Marks>;
  reading?: AccountState['reading'];
  rules?: HouseRules;
  facts?: Partial<ReuseFacts>;
  isWaste?: boolean;
}) =>
  reuseOf({
    state: {
      parts: more.parts ?? [part(800_000, 1)],
      marks: { ...NO_MARKS, ...more.marks },
      reading: more.reading === undefined ? CLEAR : more.reading,
    },
    isWaste: more.isWaste ?? false,
    products,
    rules: more.rules ?? REUSES,
    facts: { ...NO_FACTS, ...more.facts },
  });
const codes = (more: Parameters<typeof judged>[0]) => judged(more).refusals.map(({ code }) => code);

test('clear, once round and read: fit for its second round, with a fifth of new oil', () => {
  expect(judged({})).toEqual({ fit: true, isNew: false, refusals: [], nextRound: 2, newPercent: 20 });
});

/** From docs/trade.md 9, one by one. */
test.each([
  ['burnt', { marks: { smells: ['burnt'] } }, ['smell']],
  ['solvent', { marks: { smells: ['solvent'] } }, ['smell']],
  ['amine', { marks: { smells: ['ammonia'] } }, ['smell']],
  ['fishy in fish packing is product', { marks: { smells: ['fishy'] } }, []],
  ['glitter', { marks: { particleKinds: ['glitter'] } }, ['particles']],
  ['growth', { marks: { particleKinds: ['growth'] } }, ['particles']],
  ['rust is filtered out', { marks: { particleKinds: ['rustRed'] } }, []],
  ['two products', { parts: [part(500_000, 1), part(300_000, 1, { productId: 'oil-b' })] }, ['mixed']],
  ['a trace of another is none', { parts: [part(999_500, 1), part(400, 1, { productId: 'oil-b' })] }, []],
  ['acid over +0.5', { facts: { lab: { acidMgKohG: 0.56 } } }, ['lab']],
  ['acid at +0.5', { facts: { lab: { acidMgKohG: 0.55 } } }, []],
  ['viscosity 10 % off', { facts: { lab: { viscosity40Mm2s: 74.7 } } }, []],
  ['viscosity more than 10 % off', { facts: { lab: { viscosity40Mm2s: 74.9 } } }, ['lab']],
  ['thinner by solvent', { facts: { lab: { viscosity40Mm2s: 60 } } }, ['lab']],
  ['resin ran', { facts: { materials: [{ materialId: 'm', solvent: 2, acid: 0 }] } }, ['material']],
  ['strong acid ran', { facts: { materials: [{ materialId: 'm', solvent: 0, acid: 3 }] } }, ['material']],
  ['weak acid ran', { facts: { materials: [{ materialId: 'm', solvent: 1, acid: 2 }] } }, []],
  ['colour at +1.5', { reading: { ...CLEAR, colour: 2.5 } }, []],
  ['colour over +1.5 against unused oil', { reading: { ...CLEAR, colour: 3 } }, ['colour']],
  ['three times round', { parts: [part(800_000, 3)] }, []],
  ['four times round', { parts: [part(800_000, 4)] }, ['rounds']],
  ['the worst part counts', { parts: [part(799_000, 0), part(1000, 4)] }, ['rounds']],
  ['hazy', { reading: { ...CLEAR, clarity: 'hazy' } }, ['notClear']],
  ['a hazy layer', { reading: { ...CLEAR, hazyUL: 5000 } }, ['notClear']],
  ['not read', { reading: null }, ['notRead']],
  ['water beneath', { parts: [part(800_000, 1), part(9000, 0, { phase: 'water', productId: null })] }, ['pourOff']],
  ['nobody said which oil', { parts: [part(800_000, 1, { productId: null })] }, ['unknownOil']],
  ['PFPE', { parts: [part(800_000, 1, { productId: 'oil-f' })], reading: null }, ['pfpe', 'notRead']],
  ['from the waste drum', { isWaste: true }, ['waste']],
] as const)('%s', (_name, more, expected) => {
  expect(codes(more as Parameters<typeof judged>[0])).toEqual(expected);
});

test.each(['oxygen', 'toxic', 'biological', 'corrosive', 'food'] as const)(
  'never from %s service, whatever the house rules say',
  (service) => {
    const rules: HouseRules = { limits: {}, reuseSchool: 'reuse', reuseMost: 20, reuseNewPercent: 0 };
    const found = judged({ marks: { services: [service] }, rules });
    expect(found.refusals).toEqual([{ code: 'service', service }]);
    expect(found.refusals.some(canMend)).toBe(false);
  },
);

test('a house moves the limits that are its own', () => {
  const rules: HouseRules = { limits: {}, reuseSchool: 'reuse', reuseMost: 1, reuseNewPercent: 40 };
  expect(judged({ rules, parts: [part(800_000, 2)] })).toMatchObject({ fit: false, newPercent: 40 });
  expect(judged({ rules })).toMatchObject({ fit: true, nextRound: 2 });
});

test('new oil only: no used oil goes back, and new oil is asked nothing', () => {
  expect(codes({ rules: { limits: {} } })).toEqual(['newOnly']);
  expect(judged({ rules: { limits: {} }, parts: [part(9_000_000, 0)], reading: null })).toMatchObject({
    ...{ fit: true, isNew: true, nextRound: 1, refusals: [] },
  });
});

test.each([
  ['new oil only', undefined, {}, [], 'newOnly'],
  ['reuse', 'reuse', {}, [], null],
  ['a pump that was not chosen', 'chosenPumps', {}, [], 'notChosen'],
  ['a chosen one', 'chosenPumps', { takesReused: true }, [], null],
  ['a chosen one of food', 'chosenPumps', { takesReused: true }, ['food'], 'service'],
  ['flammable work', 'reuse', {}, ['flammable'], null],
  ['oxygen', 'reuse', {}, ['oxygen'], 'service'],
  ['round as often as it takes', 'reuse', { reuseMost: 2 }, [], null],
  ['round oftener than it takes', 'reuse', { reuseMost: 1 }, [], 'rounds'],
  ['kept on another oil', 'reuse', { oilProductId: 'oil-b' }, [], 'otherProduct'],
] as const)('into a pump: %s', (_name, reuseSchool, pump, service, expected) => {
  const rules = reuseSchool ? { limits: {}, reuseSchool } : undefined;
  const into = { pump, service: service as readonly ServiceClass[], rules, productId: 'oil-a', worstRounds: 2 };
  expect(notInto(into)).toBe(expected);
});
