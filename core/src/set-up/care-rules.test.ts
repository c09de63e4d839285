import { bookOf, START, type YardOptions } from '../testing/small-yard.js';
import { oilLifeFactor, isWetWork } from './care-rules.js';
import { SCHOOLS, type SchoolId } from '../limits/schools.js';

function limits(options: YardOptions, task: string) {
  const rules = bookOf(options).pumpAt({ pumpId: 'p1', instant: START })?.rules;
  return Object.fromEntries(
    (rules?.tasks.find((t) => t.task === task)?.limits ?? []).map((l) => [l.measure, [l.value, l.from]]),
  );
}

// docs/trade.md 4: the schools and what each counts.
test.each<[SchoolId, string, object]>([
  ['freshEveryRun', 'oilChange', { runs: [1, 'preset'] }],
  ['bleedAndCount', 'bleed', { runs: [1, 'preset'] }],
  ['bleedAndCount', 'oilChange', { runs: [5, 'preset'] }],
  ['bleedAndCount', 'flush', { changes: [3, 'preset'] }],
  ['byTheHour', 'oilChange', { hours: [750, 'preset'] }],
  ['byTheLook', 'look', { days: [7, 'preset'] }],
  ['byTheLab', 'labSample', { runs: [10, 'preset'] }],
])('%s: %s', (preset, task, expected) => {
  expect(limits({ preset }, task)).toMatchObject(expected);
});

test('a calendar limit always stands: 12 months, 6 in wet work, and cannot be taken away', () => {
  expect(limits({ preset: 'byTheHour', process: 'packaging' }, 'oilChange')).toMatchObject({ days: [365, 'calendar'] });
  expect(limits({ preset: 'byTheHour', process: 'freezeDrying' }, 'oilChange')).toMatchObject({
    days: [182, 'calendar'],
  });
  expect(limits({ limits: { oilChange: { days: null } } }, 'oilChange')).toMatchObject({ days: [182, 'calendar'] });
  expect(limits({ limits: { oilChange: { days: 90 } } }, 'oilChange')).toMatchObject({ days: [90, 'pump'] });
});

test.each([
  ['freezeDrying', null, true],
  ['freezeDrying', 'dry', true],
  ['packaging', 'wet', true],
  ['packaging', null, false],
  ['industrial', 'wet', true],
  ['composites', 'dry', false],
] as const)('%s, said to be %s: wet %s', (process, wetness, wet) => {
  expect(isWetWork({ process, wetness })).toBe(wet);
});

test('every limit can be changed for one pump, or taken away with null; the rest is inherited', () => {
  const changed = limits({ limits: { oilChange: { runs: 8, weight: null } } }, 'oilChange');
  expect(changed).toEqual({ runs: [8, 'pump'], days: [182, 'calendar'] });
});

test('mineral oil above 80 °C lives half as long per 10 K', () => {
  expect(oilLifeFactor({ oilTempC: 75 })).toBe(1);
  expect(oilLifeFactor({ oilTempC: 90 })).toBeCloseTo(0.5, 10);
  expect(oilLifeFactor({ oilTempC: 100 })).toBeCloseTo(0.25, 10);
  const hot = { preset: 'byTheHour', model: { operatingOilTempC: 90 } } as const;
  expect(limits(hot, 'oilChange')).toMatchObject({ hours: [375, 'preset'] });
  expect(limits({ ...hot, base: 'synthetic' }, 'oilChange')).toMatchObject({ hours: [750, 'preset'] });
  expect(() => oilLifeFactor({ oilTempC: NaN })).toThrow(/^oilTempC:/);
});

test('every school says why and what it costs', () => {
  for (const preset of Object.values(SCHOOLS))
    expect([preset.why, preset.cost].every((words) => words.length > 10)).toBe(true);
});
