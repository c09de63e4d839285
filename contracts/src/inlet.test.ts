import type { InletPart } from '@winter-jar/core';
import { checkRecord } from './check-record.js';

const equipment = (inlet: readonly object[]) => ({
  ...{ name: 'Chamber', siteId: 's', process: 'freezeDrying', referenceHours: 30, coldTrap: true },
  inlet,
});
const WHOLE: InletPart[] = [
  { kind: 'valve', diameterMm: 25, lengthMm: 80 },
  { kind: 'hose', diameterMm: 16, lengthMm: 1800 },
  { kind: 'bends', diameterMm: 16, count: 2 },
  { kind: 'filter', conductanceLPerS: 4 },
];

test('a chain is kept as it is said', () => {
  expect(checkRecord('equipment', equipment(WHOLE))).toMatchObject({ ok: true });
});

test.each([
  ['a hose without a length', { kind: 'hose', diameterMm: 25 }, 'kind'],
  ['bends without a count', { kind: 'bends', diameterMm: 25 }, 'kind'],
  ['a filter that lets nothing through', { kind: 'filter', conductanceLPerS: 0 }, 'conductanceLPerS'],
  ['a part that there is not', { kind: 'funnel' }, 'kind'],
  ['half a bend', { kind: 'bends', diameterMm: 25, count: 0.5 }, 'count'],
  ['a hose as wide as a door', { kind: 'hose', diameterMm: 2000, lengthMm: 10 }, 'diameterMm'],
  ['something else', { kind: 'hose', diameterMm: 25, lengthMm: 10, colour: 'red' }, 'colour'],
])('%s is refused where it stands', (_, part, field) => {
  const checked = checkRecord('equipment', equipment([WHOLE[0]!, part]));
  if (checked.ok) throw new Error('it was taken');
  expect(checked.issues.map((i) => i.field)).toContainEqual(expect.stringContaining(`inlet.1.${field}`));
});

test('at most twenty parts', () => {
  const many = Array.from({ length: 21 }, () => WHOLE[1]!);
  expect(checkRecord('equipment', equipment(many))).toMatchObject({ ok: false });
});
