import { rebuild, type PumpState } from '../fold/index.js';
import { at, bookOf, changeAt } from '../testing/small-yard.js';
import { purgePlan, waterInOilMl } from './purge-plan.js';
import { serviceAt, serviceOfJob } from './service-at.js';

const setUp = bookOf().pumpAt({ pumpId: 'p1', instant: at(1) })!;
const model = { ...setUp.model, ballastFlowM3h: 0.6, pumpingSpeedM3h: 6, operatingOilTempC: 70 };
function wet(expectedMl: number, drawnMl = 0): PumpState {
  const state = rebuild({ pumpId: 'p1', entries: [changeAt(1)], book: bookOf() });
  return {
    ...state,
    sumps: state.sumps.map((sump) => ({
      ...sump,
      charge: { ...sump.charge, expectedWaterUl: expectedMl * 1000, bledWaterUl: drawnMl * 1000 },
    })),
  };
}

// docs/trade.md 5: 15 g at 0.6 m³/h takes about 0.8 h at 70 °C, 1.4 h at 60 °C, 5 h at 40 °C; in steps of five minutes, by hand.
test.each<[string, PumpState, number | null, number, boolean]>([
  ['15 mL at 70 °C', wet(15), 70, 50, true],
  ['15 mL, its warmth not read: the model’s', wet(15), null, 50, true],
  ['15 mL at 60 °C', wet(15), 60, 90, true],
  ['15 mL at 40 °C: no end in four hours, the hour of the trade', wet(15), 40, 60, false],
  ['a drop at 70 °C: not under twenty minutes', wet(1), 70, 20, true],
  ['nothing known of any', wet(0), 70, 60, false],
  ['all of it drawn', wet(15, 20), 70, 60, false],
  ['half a litre at 70 °C', wet(500), 70, 60, false],
  ['oil as cold as the air', wet(15), 10, 60, false],
])('%s', (_, state, oilTempC, minutes, isReckoned) => {
  expect(purgePlan(state, { model }, { oilTempC, solvent: false })).toMatchObject({ minutes, isReckoned });
});

test('dry nitrogen takes a little more away than the room’s air', () => {
  const [air, nitrogen] = [false, true].map(
    (solvent) => purgePlan(wet(60), { model }, { oilTempC: 70, solvent }).minutes,
  );
  expect(nitrogen).toBeLessThan(air ?? 0);
});

test('without ballast it is the hour of the trade', () => {
  const none = { ...model, ballastRule: 'none' as const };
  expect(purgePlan(wet(15), { model: none }, { oilTempC: 70, solvent: false })).toMatchObject({ minutes: 60 });
});

test('the wait of a purge lasts as long as its oil was warm', () => {
  const hot = { ...setUp, model };
  const minutes = (service: ReturnType<typeof serviceAt>) =>
    service.steps.find(({ step }) => step.id === 'hour')?.step.minutes;
  expect(minutes(serviceAt('ballastPurge', wet(15), hot))).toBe(50);
  const said = { entryId: 'e', step: 'oilTemp', visit: 1, at: at(2), who: null, value: 60, choice: null, oil: null };
  const job = {
    ...{ jobId: 'j', procedure: 'ballastPurge', with: [], startedAt: at(1), who: null, since: at(1) },
    ...{ foundDrained: false, foundNotWhole: null, paused: null, said: [said], begun: [] },
  };
  expect(minutes(serviceOfJob(job, { ...wet(15), job }, hot))).toBe(90);
});

test('what should be in the oil is what came in less what was drawn', () => {
  expect([wet(15, 6), wet(3, 5)].map(waterInOilMl)).toEqual([9, 0]);
});
