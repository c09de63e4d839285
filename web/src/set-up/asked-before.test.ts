import { bookOf, START } from '@winter-jar/core/testing';
import { misplaced, sameNamed } from './asked-before.js';

const small = bookOf().at(START);
const house = {
  ...small,
  site: { ...small.site, shed: { name: 'Shed', process: 'packaging', zone: 'UTC' } },
  equipment: {
    ...small.equipment,
    tank: { name: 'Tank', siteId: 'shed', process: 'packaging', referenceHours: 8, coldTrap: false },
  },
} as typeof small;

test.each([
  [{ kind: 'pump', name: 'P-1' }, '“P-1” stands under Pumps already.'],
  [{ kind: 'pump', name: ' p 1 ' }, '“P-1” stands under Pumps already.'],
  [{ kind: 'oilProduct', name: 'OIL-A' }, '“Oil A” stands under Oils already.'],
  [{ kind: 'pump', name: 'P-1', id: 'p1' }, ''],
  [{ kind: 'pump', name: 'P-11' }, ''],
  [{ kind: 'site', name: 'P-1' }, ''],
  [{ kind: 'pump', name: '' }, ''],
] as const)('%j', (named, said) => {
  expect(sameNamed(house, [named]).join(' ')).toBe(said);
});

test('a pump at an equipment of another site is asked about', () => {
  expect(misplaced(house, 'site', 'tank')).toEqual(['Tank belongs to Shed, and the pump would to Test site.']);
  expect(misplaced(house, 'shed', 'tank')).toEqual([]);
  expect(misplaced(house, 'site', '')).toEqual([]);
});
