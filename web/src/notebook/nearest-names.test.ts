import { nearestNames } from './nearest-names.js';

const PUMPS = Object.fromEntries(
  ['Cart 1', 'Cart 2', 'Sealer A', 'Sealer B', 'Bag pump', 'Oven pump', 'Furnace pump 2'].map((name) => [
    name,
    { name },
  ]),
);

test.each([
  ['Crat 1', 'Cart 1'],
  ['Bag pmp', 'Bag pump'],
  ['furnace pump', 'Furnace pump 2'],
  ['oven', 'Oven pump'],
  ['seeler a', 'Sealer A'],
  ['sealer', 'Sealer A, Sealer B'],
  ['pump', ''],
  ['Spare', ''],
  ['XY-9', ''],
])('%s is near to %s', (typed, near) => {
  expect(
    nearestNames(typed, PUMPS)
      .map(({ name }) => name)
      .join(', '),
  ).toBe(near);
});
