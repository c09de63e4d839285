import { inlineFilterWorth, type InlineFilterCase } from './inline-filter.js';

const CASE: InlineFilterCase = {
  ...{ runsPerYear: 150, oilChangesPerYear: 30, oilChangePrice: 25 },
  ...{ particleShare: 0.4, caughtShare: 0.95, overhaulPrice: 900, overhaulEveryYears: 3, wearShare: 0.3 },
  ...{ filterPrice: 400, filterLastsYears: 10, elementPrice: 30, elementsPerYear: 4, elementMinutes: 15 },
  ...{ joints: 2, leaksPerJointYear: 0.05, huntHours: 2, minutesLostPerRun: 1, hourPrice: 40, machineHourPrice: 12 },
  ...{ oilFilterMinutes: 10, oilFilterMediaPrice: 1 },
};

// By hand. Oil: 30 · 0.4 · 0.95 · 25 = 285; pump: 900 / 3 · 0.3 · 0.95 = 85.5. Housing 400 / 10 = 40; elements 4 · (30 + 15 / 60 · 40) = 160;
// joints 2 · 0.05 · 2 · 40 = 8; time 150 / 60 · 12 = 30. Net 370.5 − 238 = 132.5.
test('worth it, by hand', () => {
  const { yearly, net, otherWay } = inlineFilterWorth(CASE);
  expect(yearly.oil).toBeCloseTo(285, 9);
  expect(yearly.pump).toBeCloseTo(85.5, 9);
  expect(yearly.housing).toBeCloseTo(-40, 9);
  expect(yearly.elements).toBeCloseTo(-160, 9);
  expect(yearly.joints).toBeCloseTo(-8, 9);
  expect(yearly.time).toBeCloseTo(-30, 9);
  expect(net).toBeCloseTo(132.5, 9);
  // The other way keeps the oil alone, and costs 150 · (10 / 60 · 40 + 1) = 1150.
  expect(otherWay).toBeCloseTo(285 - 1150, 9);
});

test.each<[string, Partial<InlineFilterCase>, number | null]>([
  // 712.5 a year for all changes: (238 − 85.5) / 712.5.
  ['it pays from 21 % on', {}, 0.214],
  // 1,000 an element: 4 · 1010 = 4040 can never be kept.
  ['it never pays', { elementPrice: 1000 }, null],
  // The pump alone keeps 900 · 0.95 = 855.
  ['it pays without any oil kept', { overhaulEveryYears: 1, wearShare: 1 }, 0],
])('break-even in the share of changes that dust makes: %s', (_, more, share) => {
  const { breakEvenShare } = inlineFilterWorth({ ...CASE, ...more });
  if (share === null) expect(breakEvenShare).toBeNull();
  else expect(breakEvenShare).toBeCloseTo(share, 3);
});

// Half and twice of each assumption: dust’s share moves the net by 285 · 1.5 = 428, wear’s by 128, joints by 12.
test.each<[string, Partial<InlineFilterCase>, string]>([
  ['on the share of changes', {}, 'particleShare'],
  ['on the wear', { overhaulPrice: 9000 }, 'wearShare'],
  ['on the joints', { particleShare: 0.01, wearShare: 0.01, leaksPerJointYear: 5 }, 'leaksPerJointYear'],
])('what it hangs on: %s', (_, more, key) => {
  expect(inlineFilterWorth({ ...CASE, ...more }).hangsOn).toBe(key);
});

test.each<[Partial<InlineFilterCase>]>([[{ particleShare: 1.2 }], [{ filterLastsYears: 0 }], [{ runsPerYear: -1 }]])(
  'outside: %o',
  (wrong) => {
    expect(() => inlineFilterWorth({ ...CASE, ...wrong })).toThrow(RangeError);
  },
);
