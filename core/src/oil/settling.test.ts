import { readFileSync } from 'node:fs';
import { kinematicViscosityMm2s, parallelV100Mm2s } from './viscosity.js';
import {
  jarHeightMm,
  jarShapeIssue,
  jarShapeOf,
  jarVolumeMl,
  JAR_SHAPES,
  shelfJar,
  type JarShape,
} from '../limits/jar-shape.js';
import { settlingOf, stokesSettlingMmPerH } from './settling.js';

/** Relative tolerance of the reference values. */
const within = (value: number, expected: number, rel = 1e-3) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(rel);

interface Reference {
  relTol: number;
  kinematicViscosityMm2s: { values: { v40: number; v100: number; tempC: number; expected: number }[] };
  stokesSettlingMmPerH: { values: { diameterUm: number; tempC: number; expected: number }[] };
}
const reference = JSON.parse(
  readFileSync(new URL('../../reference/core-values.json', import.meta.url), 'utf8'),
) as Reference;

test.each(reference.kinematicViscosityMm2s.values)(
  'viscosity of a $v40 / $v100 oil at $tempC °C matches the independent value',
  ({ expected, ...input }) => {
    within(kinematicViscosityMm2s(input), expected, reference.relTol);
  },
);

test.each(reference.stokesSettlingMmPerH.values)(
  'a droplet of $diameterUm µm at $tempC °C falls as the independent value says',
  ({ expected, ...input }) => {
    within(stokesSettlingMmPerH(input), expected, reference.relTol);
  },
);

test('its own oil: thinner, and nearly as dense as water, it falls slower', () => {
  within(stokesSettlingMmPerH({ diameterUm: 50, tempC: 25, v40: 46, v100: 6.8, oilDensityKgM3: 880 }), 6.6176);
});

test('with one viscosity only the line is drawn parallel', () => {
  within(parallelV100Mm2s({ v40: 46, like: { v40: 68, v100: 8.7 } }), 6.9616);
  within(parallelV100Mm2s({ v40: 68, like: { v40: 68, v100: 8.7 } }), 8.7);
});

test.each([
  [() => kinematicViscosityMm2s({ v40: 8, v100: 9, tempC: 20 }), /v40/],
  [() => kinematicViscosityMm2s({ v40: 68, v100: 1, tempC: 20 }), /v100/],
  [() => kinematicViscosityMm2s({ v40: 68, v100: 8.7, tempC: 300 }), /tempC: 300/],
  [() => stokesSettlingMmPerH({ diameterUm: 0, tempC: 20 }), /diameterUm/],
  [() => stokesSettlingMmPerH({ diameterUm: 50, tempC: 20, oilDensityKgM3: 1900 }), /oilDensityKgM3/],
  [() => jarHeightMm({ shape: JAR_SHAPES['straight-500'], ml: 501 }), /501 is not within the jar "500 mL straight"/],
  [() => jarVolumeMl({ shape: JAR_SHAPES['straight-500'], heightMm: -1 }), /-1/],
])('outside its validity a formula names key and value (%#)', (outside, message) => {
  expect(outside).toThrow(RangeError);
  expect(outside).toThrow(message);
});

const oil = { waterBehaviour: 'demulsifying', densityKgM3: 870, viscosity40Mm2s: 68, viscosity100Mm2s: 8.7 } as const;
const sample = { source: 'sample', lookedAtMl: 300, hoursStood: 15 } as const;

test('settled is the oil’s own time over the height in its jar, at the jar’s temperature', () => {
  // 300 mL stand 66.1 mm high in the 76 mm jar: 19.7 h at 20 °C, 14.3 h at 25 °C.
  const cold = settlingOf({ look: sample, product: oil });
  expect(cold).toMatchObject({ basis: 'droplets', settled: false });
  within(cold.neededHours, 19.69, 0.01);
  const warm = settlingOf({ look: { ...sample, jarTempC: 25 }, product: oil });
  within(warm.neededHours, 14.29, 0.01);
  expect(warm.settled).toBe(true);
});

test('two hours at the very least; overnight behind the glass', () => {
  expect(settlingOf({ look: { ...sample, lookedAtMl: 5, jarTempC: 60 }, product: oil })).toMatchObject({
    basis: 'least',
    neededHours: 2,
  });
  expect(settlingOf({ look: { source: 'sightGlass', hoursStood: 7 }, product: oil })).toEqual({
    basis: 'sightGlass',
    neededHours: 8,
    settled: false,
  });
});

test('nothing is estimated where water stays up or floats', () => {
  for (const product of [
    { ...oil, waterBehaviour: 'detergent' as const },
    { ...oil, densityKgM3: 1890 },
  ])
    expect(settlingOf({ look: sample, product })).toEqual({ basis: 'least', neededHours: 2, settled: true });
});

test('a higher, narrower jar of one’s own takes longer', () => {
  const tube: JarShape = {
    name: 'Tube',
    points: [
      { heightMm: 0, ml: 0 },
      { heightMm: 300, ml: 300 },
    ],
  };
  within(settlingOf({ look: sample, product: oil, shape: tube }).neededHours, 300 / 3.3591, 0.01);
});

test('heights and volumes of a jar are each other’s inverse, straight between its points', () => {
  const cone = JAR_SHAPES['cone-1000'];
  expect(jarVolumeMl({ shape: cone, heightMm: 150 })).toBeCloseTo(77.5, 9);
  expect(jarHeightMm({ shape: cone, ml: 77.5 })).toBeCloseTo(150, 9);
  for (const shape of Object.values<JarShape>(JAR_SHAPES))
    for (const part of [0, 0.1, 0.5, 0.9, 1]) {
      const ml = part * (shape.points.at(-1)?.ml ?? 0);
      expect(jarVolumeMl({ shape, heightMm: jarHeightMm({ shape, ml }) })).toBeCloseTo(ml, 6);
    }
});

test('jars off the shelf hold what is asked; one of one’s own comes first', () => {
  expect(shelfJar(349).name).toBe('500 mL straight');
  expect(jarHeightMm({ shape: shelfJar(60_000), ml: 60_000 })).toBeGreaterThan(200);
  const own = { mine: { ...JAR_SHAPES['straight-250'], name: 'Mine' } };
  expect(jarShapeOf({ id: 'mine', own })?.name).toBe('Mine');
  expect(jarShapeOf({ id: 'constructor', own })).toBeNull();
  expect(jarShapeOf({ id: null, own })).toBeNull();
});

test('points that make no jar are named', () => {
  const at = (heightMm: number, ml: number) => ({ heightMm, ml });
  expect(jarShapeIssue([at(0, 0)])).toBe('tooFew');
  expect(jarShapeIssue([at(5, 0), at(10, 100)])).toBe('notFromBottom');
  expect(jarShapeIssue([at(0, 0), at(50, 200), at(50, 300)])).toBe('notRising');
  expect(jarShapeIssue([at(0, 0), at(50, 200), at(90, 150)])).toBe('notRising');
  expect(jarShapeIssue([at(0, 0), at(50, 200)])).toBeNull();
});
