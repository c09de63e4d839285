import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { at, versionsOf, type YardOptions } from '../testing/small-yard.js';
import { schoolCosts } from './school-costs.js';

/** A hundred runs of 20 h a year, on a charge of 700 mL, in freeze drying. */
const USE = { runsPerDay: 100 / 365, meanWeight: 1, meanHours: 20 };
function costsOf(options: YardOptions = {}, more: Readonly<Record<string, object>> = {}) {
  const versions = versionsOf(options).map((v) => ({ ...v, body: { ...v.body, ...more[v.kind] } }) as SetUpVersion);
  const prices = more['houseRules'];
  const rules = {
    ...versions[0],
    kind: 'houseRules',
    subjectId: 'house',
    body: { limits: {}, ...prices },
  } as SetUpVersion;
  const setUp = setUpBook(prices ? [...versions, rules] : versions).pumpAt({ pumpId: 'p1', instant: at(10) })!;
  return Object.fromEntries(schoolCosts({ setUp, use: USE }).map((c) => [c.school, c]));
}

// Reckoned by hand: 100 runs, 2,000 h, 365 days; a change takes 30 min, a bleed 10, a look 5, a flush 60 and a charge of its own.
test.each([
  // Every run changed; settled and filtered oil goes in again, a fifth of it new. Looks: every 3 runs.
  ['freshEveryRun', 100, 14, 100 * 30 + (100 / 3) * 5, false],
  // Every 5 runs; a bleed before each; a flush with every third change.
  ['bleedAndCount', 20, 20 * 0.7 + (20 / 3) * 0.7, 20 * 30 + 100 * 10 + (20 / 3) * 60 + (100 / 3) * 5, false],
  // 2,000 of 750 h; a look every 14 days.
  ['byTheHour', 2000 / 750, (2000 / 750) * 0.7, (2000 / 750) * 30 + (365 / 14) * 5, false],
  // The calendar alone, 182 days in wet work; a look every 7 days. What they see may ask for more.
  ['byTheLook', 365 / 182, (365 / 182) * 0.7, (365 / 182) * 30 + (365 / 7) * 5, true],
  // A sample every 10 runs, 10 min each.
  ['byTheLab', 365 / 182, (365 / 182) * 0.7, (365 / 182) * 30 + 10 * 10 + (365 / 14) * 5, true],
  // Blanked off every 10 runs, 30 min each.
  ['byTheGauge', 365 / 182, (365 / 182) * 0.7, (365 / 182) * 30 + 10 * 30 + (365 / 14) * 5, true],
] as const)('%s: %d changes a year', (school, changes, litres, minutes, atLeast) => {
  const cost = costsOf()[school];
  expect(cost?.changes).toBeCloseTo(changes, 6);
  expect(cost?.litres).toBeCloseTo(litres, 6);
  expect(cost?.minutes).toBeCloseTo(minutes, 6);
  expect(cost?.atLeast).toBe(atLeast);
  expect(cost?.money).toBeNull();
});

test('in money once the set-up says what oil, an hour and a report cost', () => {
  const more = { oilProduct: { pricePerL: 20 }, houseRules: { hourPrice: 60, labPrice: 50 } };
  const costs = costsOf({}, more);
  // 14 L at 20, 3,166.7 min at 60 an hour.
  expect(costs['freshEveryRun']?.money).toBeCloseTo(14 * 20 + (100 * 30 + (100 / 3) * 5), 6);
  // Ten reports beside.
  expect(costs['byTheLab']?.money).toBeCloseTo((365 / 182) * 14 + (365 / 182) * 30 + 100 + (365 / 14) * 5 + 500, 6);
});

test('oil that does not settle, or may not go in again, is new each time', () => {
  expect(costsOf({ waterBehaviour: 'detergent' })['freshEveryRun']?.litres).toBeCloseTo(70, 6);
  expect(costsOf({}, { pump: { serviceClasses: ['food'] } })['freshEveryRun']?.litres).toBeCloseTo(70, 6);
  expect(costsOf()['freshEveryRun']?.reused).toBe(true);
});

test('without a rate of use there is nothing to reckon', () => {
  const setUp = setUpBook(versionsOf()).pumpAt({ pumpId: 'p1', instant: at(10) })!;
  expect(schoolCosts({ setUp, use: { ...USE, runsPerDay: null } })).toEqual([]);
});

test('once five were done here, a change takes what it takes in this house', () => {
  const setUp = setUpBook(versionsOf()).pumpAt({ pumpId: 'p1', instant: at(10) })!;
  const minutesWith = (minutes: readonly number[], modelId = 'vane') => {
    const times = [{ procedure: 'oilChange', modelId, kind: 'technician' as const, minutes }];
    return schoolCosts({ setUp, use: USE, times }).find((c) => c.school === 'byTheHour')?.minutes;
  };
  const looks = (365 / 14) * 5;
  // 2,000 of 750 h: 2.67 changes a year, of a median of 44 min instead of 30.
  expect(minutesWith([40, 41, 44, 50, 90])).toBeCloseTo((2000 / 750) * 44 + looks, 6);
  expect(minutesWith([40, 41, 44, 50])).toBeCloseTo((2000 / 750) * 30 + looks, 6);
  expect(minutesWith([40, 41, 44, 50, 90], 'booster')).toBeCloseTo((2000 / 750) * 30 + looks, 6);
});
