import { bookOf, START } from '../testing/small-yard.js';
import { flushFills, flushResidual } from './flush.js';

// Perfect mixing, C_n = C_0 hⁿ.
test.each([
  [0.12, 1, 0.12],
  [0.12, 2, 0.0144],
  [0.12, 3, 0.001728],
  [0.25, 1, 0.25],
  [0.25, 3, 0.015625],
  [0.3, 0, 1],
  [0, 2, 0],
])('of a hold-up of %d, after %d fills, %d is left', (holdUp, fills, left) => {
  expect(flushResidual({ holdUp, fills })).toBeCloseTo(left, 12);
});

test.each([
  [1, 1],
  [-0.1, 1],
  [NaN, 1],
  [0.1, 1.5],
  [0.1, -1],
])('a hold-up of %d and %d fills cannot be', (holdUp, fills) => {
  expect(() => flushResidual({ holdUp, fills })).toThrow(RangeError);
});

test('what the oil filter soaks up stays behind too, unless it is new', () => {
  const vane = bookOf().at(START).pumpModel.vane!;
  const sump = { ...vane.sumps[0]!, chargeMl: 1000, holdUpMl: 80 };
  const model = { ...vane, hasOilFilter: true, oilFilterHoldUpMl: 120, sumps: [sump] };
  // (80 + 120) of 1,000 mL, then 80 of 1,000.
  expect(flushFills(model, false).map(({ left, oilMl }) => [Number(left.toFixed(6)), oilMl])).toEqual([
    [0.2, 1000],
    [0.04, 2000],
    [0.008, 3000],
  ]);
  expect(flushFills(model, true)[0]?.left).toBeCloseTo(0.08, 12);
  expect(flushFills({ ...vane, sumps: [] }, false)).toEqual([]);
});
