import type { PumpSetUp } from '../set-up/index.js';
import { vacuumLimits } from './vacuum-limits.js';

type Given = { pump?: object; model?: object; equipment?: object };
const setUp = ({ pump = {}, model = {}, equipment = {} }: Given) =>
  ({ pump, model: { pumpingSpeedM3h: 6, ...model }, equipment }) as unknown as PumpSetUp;

// By hand. Leak: a tenth of the target times the speed, m³/h over 3600; slow below three quarters of the plate.
test.each([
  ['the target of the set', { equipment: { targetUltimatePa: 4 } }, [], { leak: 6.667e-4, chamber: 4, blankOff: null }],
  ['three times what the model says', { model: { ultimatePa: 0.2 } }, [], { leak: 1e-4, chamber: null, blankOff: 0.6 }],
  [
    'the pump’s own value before its model’s',
    { pump: { blankOffPa: 0.4 }, model: { ultimatePa: 0.2 } },
    [],
    { leak: 2e-4, blankOff: 1.2 },
  ],
  ['its own three good tests before both', { pump: { blankOffPa: 0.4 } }, [1, 2, 3], { leak: 1e-3, blankOff: 6 }],
  [
    'two good tests are no limit yet, yet tell how it does',
    { model: { ultimatePa: 0.2 } },
    [1, 3],
    { leak: 1e-3, blankOff: 0.6 },
  ],
  ['one stage, nothing said', { model: { stages: 1 } }, [], { leak: 0.025, blankOff: null }],
  ['two stages, nothing said', { model: { stages: 2 } }, [], { leak: 2.5e-4, blankOff: null }],
] as [string, Given, number[], object][])('%s', (_, given, goodPa, expected) => {
  const found = vacuumLimits(goodPa, setUp(given));
  for (const [name, value] of Object.entries(expected) as [keyof typeof found, number | null][])
    if (value === null) expect(found[name]).toBeNull();
    else expect(found[name]).toBeCloseTo(value, 6);
  expect(found).toMatchObject({ speed: 4.5, moisture: null, bagRise: 2000, pullDown: null });
});
