import type { Dimension } from '@winter-jar/core';
import { quantityText } from '../ui/quantity-text.js';
import { typedQuantity } from '../ui/typed-number.js';
import { nameOf, type RecordValues } from './field-specs.js';

/** Shares that stand in for what a manual would say. */
export const ASSUMED_SHARES = {
  'sumps.0.housingMl': { of: 'sumps.0.chargeMl', share: 1.5 },
  'sumps.0.holdUpMl': { of: 'sumps.0.chargeMl', share: 0.08 },
  'sumps.0.betweenMarksMl': { of: 'sumps.0.chargeMl', share: 0.3 },
  ballastFlowM3h: { of: 'pumpingSpeedM3h', share: 0.1 },
} as const;
type Derived = keyof typeof ASSUMED_SHARES;

const DIGITS = 3;
/** The stand-in that follows from its source. */
export const assumedFrom = (path: Derived, source: number): number =>
  Number((source * ASSUMED_SHARES[path].share).toPrecision(DIGITS));

/**
 * Fields that stand in for a manual and follow a field that was typed, as they read then; a value that somebody typed stays.
 * @returns by name of the field
 */
export function derivedValues(
  path: string,
  text: string,
  {
    values,
    units,
    dimension,
  }: { values: RecordValues; units: Readonly<Record<Dimension, string>>; dimension: Dimension },
): Readonly<Record<string, string>> {
  const typed = typedQuantity({ text, dimension, defaultUnit: units[dimension], min: 0 });
  if (!typed.ok) return {};
  const assumed = (values.assumed ?? '').split(' ');
  const followers = (Object.keys(ASSUMED_SHARES) as Derived[]).filter(
    (derived) => ASSUMED_SHARES[derived].of === path && assumed.includes(derived),
  );
  return Object.fromEntries(
    followers.map((derived) => [nameOf(derived), quantityText(assumedFrom(derived, typed.value), units[dimension])]),
  );
}
