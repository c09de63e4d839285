import { number } from '../ui/number.js';
import { typedQuantity } from '../ui/typed-number.js';
import type { PumpPage } from '@winter-jar/contracts';
import { equipmentOf, heldAgainst, type PressureHeld } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { useUnits } from '../device/use-units.js';
import { PRESSURE_BOUNDS, type RunValues } from './run-form.js';

const WHICH = { first: 'After the first minutes', lowest: 'Lowest pressure' } as const;

/** "Lowest pressure 0.12 hPa: misses the target of 0.05 hPa, 3 times its own best of 0.04 hPa." */
export function heldWords(held: PressureHeld, print: Print): string {
  const { which, reachedPa, targetPa, met, bestPa, timesBest } = held;
  const target = targetPa === null ? null : `${met ? 'meets' : 'misses'} the target of ${print.pressure(targetPa)}`;
  const own =
    bestPa === null || timesBest === null
      ? null
      : timesBest <= 1
        ? `its best so far, ${print.pressure(bestPa)} before`
        : `${number(timesBest, 1)} times its own best of ${print.pressure(bestPa)}`;
  return `${WHICH[which]} ${print.pressure(reachedPa)}: ${[target, own].filter(Boolean).join(', ')}.`;
}

/** What the pressures typed mean for this set, live. */
export function PressuresHeld({ values, page, print }: { values: RunValues; page: PumpPage; print: Print }) {
  const units = useUnits();
  const equipment = equipmentOf(values.equipmentId, page.setUp);
  const read = (text: string): number | null => {
    const parsed = typedQuantity({
      text,
      dimension: 'pressure',
      defaultUnit: units.pressure,
      ...PRESSURE_BOUNDS,
    });
    return parsed.ok ? parsed.value : null;
  };
  const held = heldAgainst({
    firstPa: read(values.firstPressurePa),
    lowestPa: read(values.lowestPressurePa),
    equipment,
    best: page.state.best.find((b) => b.equipmentId === values.equipmentId) ?? null,
  }).filter((h) => h.targetPa !== null || h.bestPa !== null);
  if (held.length === 0) return null;
  return (
    <ul aria-live="polite" className="-mt-2 flex flex-col gap-1 text-[15px]">
      {held.map((h) => (
        <li key={h.which} className={h.met === false ? 'font-semibold text-before-next-run' : 'text-ink-2'}>
          {heldWords(h, print)}
        </li>
      ))}
    </ul>
  );
}
