import { findUnit, unitOf, type Dimension, type Unit } from './units.js';

export type QuantityIssueCode =
  'empty' | 'notANumber' | 'unknownUnit' | 'otherKindOfUnit' | 'belowRange' | 'aboveRange';

export interface QuantityIssue {
  readonly code: QuantityIssueCode;
  /** The part of the text that was not understood, or the bound that was passed (in the base unit). */
  readonly part: string;
  readonly bound?: number;
  readonly example: string;
}

export type ParsedQuantity =
  | { readonly ok: true; readonly value: number; readonly typedValue: number; readonly unit: Unit }
  | { readonly ok: false; readonly issue: QuantityIssue };

export const QUANTITY_EXAMPLES: Readonly<Record<Dimension, string>> = {
  pressure: '0.05 hPa or 35 micron',
  volume: '25 mL or 2 tbsp',
  temperature: '-41 °C',
  duration: '41 h 30 or 2 d',
  flow: '6 m³/h or 3.5 cfm',
  mass: '12 kg or 26 lb',
  share: '180 ppm or 0.02 %',
  viscosity: '68 mm²/s or 68 cSt',
  acidNumber: '0.4 mg KOH/g',
  count: '2210 /mL',
};

const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';
const FRACTIONS: Readonly<Record<string, string>> = { '½': '0.5', '¼': '0.25', '¾': '0.75' };
const MANTISSA = String.raw`[+-]?(?:\d+(?:\.\d*)?|\.\d+)`;
const NUMBER = new RegExp(
  `^(?:(${MANTISSA})\\s*(?:[x×*·]\\s*)10\\^?([+-]?\\d+)|([+-]?)10\\^([+-]?\\d+)|(${MANTISSA}(?:e[+-]?\\d+)?))\\s*(.*)$`,
  'i',
);

/** Minus signs, superscripts, decimal commas, fractions and thin spaces in the one form that the number grammar reads. */
function plainText(text: string): string {
  return text
    .replace(/[−–‒]/g, '-')
    .replace(/[⁺⁻]?[⁰¹²³⁴⁵⁶⁷⁸⁹]+/g, (run) =>
      /^[⁺⁻]/.test(run) || run !== '³'
        ? `^${[...run].map((c) => (c === '⁻' ? '-' : c === '⁺' ? '' : String(SUPERSCRIPTS.indexOf(c)))).join('')}`
        : run,
    )
    .replace(/[½¼¾]/g, (c) => FRACTIONS[c] ?? c)
    .replace(/(\d)[\u00a0\u2009\u202f ](?=\d{3}(?!\d))/g, '$1')
    .replace(/(\d),(\d)/g, '$1.$2')
    .trim();
}

/** "41 h 30", "41h30m", "41:30" → minutes; null when the text has another form. */
function clockMinutes(text: string): number | null {
  const match = /^(\d+)\s*(?:h|hr|hours?|:)\s*([0-5]?\d)\s*(?:m|min|minutes?)?$/i.exec(text);
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}

/**
 * Reads what a person typed. A missing unit means `defaultUnit`.
 * @param min,max inclusive bounds in the base unit of the dimension (Pa, mL, °C, minutes)
 * @returns the value in the base unit, or an issue with an example; never throws on a person's text
 */
export function parseQuantity(input: {
  text: string;
  dimension: Dimension;
  defaultUnit: string;
  min?: number;
  max?: number;
}): ParsedQuantity {
  const fail = (code: QuantityIssueCode, part: string, bound?: number): ParsedQuantity => ({
    ok: false,
    issue: { code, part, ...(bound === undefined ? {} : { bound }), example: QUANTITY_EXAMPLES[input.dimension] },
  });
  const text = plainText(input.text);
  if (text === '') return fail('empty', '');

  const minutes = input.dimension === 'duration' ? clockMinutes(text) : null;
  const match = NUMBER.exec(text);
  if (minutes === null && !match) return fail('notANumber', input.text.trim());

  let unit = unitOf(minutes === null ? input.defaultUnit : 'min');
  let typedValue = minutes ?? 0;
  if (minutes === null && match) {
    const [, mantissa, exponent, sign, bareExponent, plain, rest] = match;
    if (mantissa !== undefined) typedValue = Number(mantissa) * 10 ** Number(exponent);
    else if (bareExponent !== undefined) typedValue = (sign === '-' ? -1 : 1) * 10 ** Number(bareExponent);
    else typedValue = Number(plain);
    if (rest) {
      const found = findUnit(rest);
      if (!found) return fail(/^[.,\d]/.test(rest) ? 'notANumber' : 'unknownUnit', rest.trim());
      if (found.dimension !== input.dimension) return fail('otherKindOfUnit', rest.trim());
      unit = found;
    }
  }
  const value = Number((typedValue * unit.factor + unit.offset).toPrecision(12));
  if (!Number.isFinite(value)) return fail('notANumber', input.text.trim());
  if (input.min !== undefined && value < input.min) return fail('belowRange', input.text.trim(), input.min);
  if (input.max !== undefined && value > input.max) return fail('aboveRange', input.text.trim(), input.max);
  return { ok: true, value, typedValue, unit };
}
