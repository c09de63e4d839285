import { parseQuantity, readNumber, type ParsedQuantity } from '@winter-jar/core';

/** Whether this device writes 1,5 for one and a half. */
export const DECIMAL_COMMA = new Intl.NumberFormat()
  .formatToParts(1.5)
  .some((part) => part.type === 'decimal' && part.value === ',');

export const twoWaysWords = (text: string, [thousands, decimal]: readonly [number, number]): string =>
  `“${text}” can be ${thousands} or ${decimal}. Right would be ${thousands}, or ${typedText(decimal)}.`;

/** A number as a field shows it, so that it reads back as the same: three decimals alone could be thousands. */
export const typedText = (value: number): string => String(value).replace(/^(-?[1-9]\d{0,2}\.\d{3})$/, '$10');

export type TypedNumber =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly twoWays: string | null };

/** A number without a unit as it is typed; the bounds decide where it can be read two ways, and what is outside of them is none. */
export function typedNumber(text: string, bounds: { min?: number; max?: number } = {}): TypedNumber {
  const read = readNumber(text, { ...bounds, decimalComma: DECIMAL_COMMA });
  if (read.kind === 'twoWays') return { ok: false, twoWays: twoWaysWords(text.trim(), [read.thousands, read.decimal]) };
  const { min = -Infinity, max = Infinity } = bounds;
  const fits = read.kind === 'number' && read.value >= min && read.value <= max;
  return fits ? { ok: true, value: read.value } : { ok: false, twoWays: null };
}

/** What was understood, where it is not what is plainly written; null where there is nothing to say. */
export function echoOf(text: string, bounds: { min?: number; max?: number } = {}): string | null {
  const read = typedNumber(text, bounds);
  if (!read.ok) return read.twoWays;
  const plain = String(read.value);
  return plain === text.trim() ? null : `= ${plain}`;
}

/** A quantity with or without its unit as it is typed on this device. */
export const typedQuantity = (input: Omit<Parameters<typeof parseQuantity>[0], 'decimalComma'>): ParsedQuantity =>
  parseQuantity({ ...input, decimalComma: DECIMAL_COMMA });
