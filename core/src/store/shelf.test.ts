import type { Container, HouseSetUp, OilProduct } from '../set-up/index.js';
import { firstAccount, NO_MARKS, type AccountState } from './account-state.js';
import type { Part } from './part.js';
import { NO_FACTS } from './reuse-facts.js';
import { onShelf } from './shelf.js';

const FILLED = '2031-01-01T00:00:00.000Z';
const HOUR_MS = 3_600_000;
const OIL: OilProduct = {
  ...{ name: 'A', grade: 'VG 68', base: 'mineral', waterBehaviour: 'demulsifying', freshColour: 1, densityKgM3: 870 },
};
const house = (reuseSchool: 'newOnly' | 'reuse' = 'reuse') =>
  ({
    oilProduct: { a: OIL, d: { ...OIL, waterBehaviour: 'detergent' }, f: { ...OIL, base: 'pfpe', densityKgM3: 1890 } },
    ...{ jarShape: {}, filterMedia: {}, houseRules: { house: { limits: {}, reuseSchool } } },
  }) as unknown as HouseSetUp;
const part = (ml: number, rounds = 1, more: Partial<Part> = {}): Part => ({
  ...{ phase: 'oil', lot: 'l', productId: 'a', rounds, passes: 0, uL: ml * 1000 },
  ...more,
});
const reading = (more: object = {}) => ({
  ...{ entryId: 'e', at: FILLED, hazyUL: 0, clarity: 'bright' as const, colour: null },
  ...more,
});
const shown = (
  parts: readonly Part[],
  more: { state?: Partial<AccountState>; container?: Partial<Container>; hours?: number; newOnly?: boolean } = {},
) =>
  onShelf({
    state: { ...firstAccount({ type: 'container', id: 'c' }), parts, filledAt: FILLED, ...more.state },
    container: { name: 'C', vessel: 'jar', holdsMl: 1000, siteId: 's', ...more.container },
    house: house(more.newOnly ? 'newOnly' : 'reuse'),
    facts: NO_FACTS,
    nowMs: Date.parse(FILLED) + (more.hours ?? 1) * HOUR_MS,
  });
const WATER = part(20, 0, { phase: 'water', productId: null });

/** Where it stands, written down before the code was read: by what a technician would do with it next. */
test.each([
  ['nothing in it', [], {}, 'empty'],
  ['what clings to the wall', [part(0.3)], {}, 'empty'],
  ['new oil', [part(900, 0)], {}, 'new'],
  ['two new oils poured together', [part(900, 0), part(50, 0, { productId: 'd' })], {}, 'refused'],
  ['drained an hour ago', [part(640)], {}, 'settling'],
  ['drained three days ago', [part(640)], { hours: 72 }, 'toRead'],
  ['a detergent oil, an hour ago: it never settles', [part(640, 1, { productId: 'd' })], {}, 'toRead'],
  ['read with water beneath', [part(640), WATER], { hours: 72, state: { reading: reading() } }, 'toPour'],
  ['hazy, nothing beneath', [part(640)], { state: { reading: reading({ clarity: 'hazy' }) } }, 'toFilter'],
  ['clear', [part(640)], { state: { reading: reading() } }, 'ready'],
  ['filtered, not read since', [part(640, 1, { passes: 1 })], {}, 'toRead'],
  ['burnt', [part(640)], { state: { marks: { ...NO_MARKS, smells: ['burnt'] } } }, 'refused'],
  ['PFPE', [part(640, 1, { productId: 'f' })], { hours: 900 }, 'refused'],
  ['in a filter', [part(640)], { container: { vessel: 'filter' } }, 'filter'],
  ['in a drum for waste', [part(640)], { container: { wasteKind: 'oil' } }, 'waste'],
  ['used, where none goes back', [part(640)], { newOnly: true, hours: 72 }, 'spent'],
] as const)('%s', (_name, parts, more, group) => {
  expect(shown(parts, more as Parameters<typeof shown>[1]).group).toBe(group);
});

test('layers from the bottom; on a denser oil the water floats', () => {
  const layers = (productId: string) =>
    shown([part(600, 1, { productId }), WATER, part(4, 0, { phase: 'sludge', productId: null })], {
      state: { reading: reading({ hazyUL: 90_000 }) },
    }).layers.map(({ phase, ml }) => `${phase} ${ml}`);
  expect(layers('a')).toEqual(['sludge 4', 'water 20', 'hazy 90', 'oil 510']);
  expect(layers('f')).toEqual(['sludge 4', 'hazy 90', 'oil 510', 'water 20']);
});

test.each([
  [null, 899, false],
  [null, 900, true],
  [60, 599, false],
  [60, 600, true],
])('waste is full at %s percent of a litre: %s mL', (fullPercent, ml, full) => {
  expect(shown([part(ml)], { container: { wasteKind: 'oil', fullPercent } }).full).toBe(full);
});
