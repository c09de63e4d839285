import { ballastAdvice } from './ballast-advice.js';

const model = { ballastFlowM3h: 0.6, pumpingSpeedM3h: 6, ballastRule: 'purge' } as const;
const advise = (more: Partial<Parameters<typeof ballastAdvice>[0]> = {}) =>
  ballastAdvice({ model, oilTempC: 70, waterMl: 15, solvent: false, ...more })!;

test('tolerance as a range of both forms, and what 20 K more would change', () => {
  const { tolerance, hotter, warmUp } = advise({ oilTempC: 60 });
  // The independent values of the two forms at 60 and 80 °C.
  expect(tolerance.tradeHpa).toBeCloseTo(22.082, 1);
  expect(tolerance.molarHpa).toBeCloseTo(16.455, 1);
  expect(hotter.oilTempC).toBe(80);
  expect(hotter.tolerance.tradeHpa).toBeCloseTo(71.778, 1);
  expect(hotter.tolerance.molarHpa).toBeCloseTo(54.125, 1);
  expect(warmUp).toBe(false);
});

test('a cold pump is to be warmed, and in humid heat its ballast adds water', () => {
  expect(advise({ oilTempC: 30, airTempC: 30, airHumidity: 0.8 })).toMatchObject({
    warmUp: true,
    addsWater: true,
    tolerance: { molarHpa: 0 },
    purgeHours: null,
  });
  expect(advise({ oilTempC: 35, airTempC: 30, airHumidity: 0.8 }).addsWater).toBe(false);
});

test('15 g take about 0.8 h to purge at 70 °C; without water there is nothing to purge', () => {
  expect(advise().purgeHours).toBeCloseTo(0.8, 1);
  expect(advise({ waterMl: 0 }).purgeHours).toBeNull();
});

test('solvent forbids air, and a pump without ballast has no advice', () => {
  expect(advise({ solvent: true }).neverWithAir).toBe(true);
  expect(
    ballastAdvice({ model: { ...model, ballastRule: 'none' }, oilTempC: 70, waterMl: 0, solvent: false }),
  ).toBeNull();
});

test('a ballast flow that nobody has said is a tenth of the speed', () => {
  const { ballastFlowM3h: _, ...unsaid } = model;
  expect(advise({ model: unsaid }).tolerance.tradeHpa).toBeCloseTo(advise().tolerance.tradeHpa, 9);
});
