import { meant, numberAtStart, plainNumbers, type NumberRead } from './read-number.js';
import { findUnit, unitOf, type Dimension, type Unit } from './units.js';

export type QuantityIssueCode =
  'empty' | 'notANumber' | 'unknownUnit' | 'otherKindOfUnit' | 'twoWays' | 'belowRange' | 'aboveRange';

export interface QuantityIssue {
  readonly code: QuantityIssueCode;
  /** The part of the text that was not understood, or the bound that was passed (in the base unit). */
  readonly part: string;
  readonly bound?: number;
  /** What it may mean, in the unit that was typed: with its mark as thousands, and as a decimal. */
  readonly readings?: readonly [thousands: number, decimal: number];
  readonly example: string;
}

export type ParsedQuantity =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly issue: QuantityIssue };

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

/** "41 h 30", "41h30m", "41:30" → minutes; null when the text has another form. */
function clockMinutes(text: string): number | null {
  const match = /^(\d+)\s*(?:h|hr|hours?|:)\s*([0-5]?\d)\s*(?:m|min|minutes?)?$/i.exec(text);
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}

/** Below what a laboratory can tell, or by eye: the number that is named counts. */
const ABOUT = /^(?:[<≤~≈]|ca\.?|about(?=\s*\d))\s*/i;
/** After a number of degrees. */
const DEGREES = /^(?:°|deg|degrees?)$/i;
/** Between the parts of "1 L, 200 mL". */
const AND = /^[,;+]?\s*/;

interface Part {
  readonly read: NumberRead;
  readonly separator: ',' | '.';
  readonly unit: Unit | null;
}

/** The parts of "1 L 200 mL", each a number with its unit; or what was not understood. */
function partsOf(
  text: string,
): readonly Part[] | { readonly code: 'notANumber' | 'unknownUnit'; readonly part: string } {
  const parts: Part[] = [];
  for (let left = text; left !== '';) {
    const first = numberAtStart(left);
    if (!first || first.read.kind === 'notANumber') return { code: 'notANumber', part: left };
    const typed = left.slice(0, left.length - first.rest.length);
    const separator = typed.includes(',') ? ',' : '.';
    // A unit may have digits in it (m3/h): the longest that is known, then what follows.
    const unit = unitAtStart(first.rest);
    if (first.rest !== '' && unit === null && !DEGREES.test(first.rest))
      return { code: /^[.,:\d]/.test(first.rest) ? 'notANumber' : 'unknownUnit', part: first.rest };
    parts.push({ read: first.read, separator, unit: unit?.unit ?? null });
    left = unit ? unit.rest.replace(AND, '') : '';
  }
  return parts;
}

function unitAtStart(text: string): { readonly unit: Unit; readonly rest: string } | null {
  for (let end = text.length; end > 0; end--) {
    const unit = findUnit(text.slice(0, end));
    const rest = text.slice(end);
    if (unit && /^(?:$|[\s,;+\d])/.test(rest)) return { unit, rest };
  }
  return null;
}

/**
 * Reads what a person typed. A missing unit means `defaultUnit`. A number that can be read two ways ("1,200") is what fits between
 * the bounds, else what the app itself would mean by it; where the device writes numbers the other way round, it is asked.
 * @param min,max inclusive bounds in the base unit of the dimension (Pa, mL, °C, minutes)
 * @param decimalComma whether the device writes 1,5 for one and a half
 * @returns the value in the base unit, or an issue with an example; never throws on a person's text
 */
export function parseQuantity(input: {
  text: string;
  dimension: Dimension;
  defaultUnit: string;
  min?: number;
  max?: number;
  decimalComma?: boolean;
}): ParsedQuantity {
  const { dimension, min = -Infinity, max = Infinity, decimalComma = false } = input;
  const example = QUANTITY_EXAMPLES[dimension];
  const fail = (code: QuantityIssueCode, part: string, more: Partial<QuantityIssue> = {}): ParsedQuantity => ({
    ok: false,
    issue: { code, part, ...more, example },
  });
  const typed = input.text.trim();
  const text = plainNumbers(typed).replace(ABOUT, '');
  if (text === '') return fail('empty', '');

  const minutes = dimension === 'duration' ? clockMinutes(text) : null;
  const clock: Part = { read: { kind: 'number', value: minutes ?? 0 }, separator: '.', unit: unitOf('min') };
  const parts = minutes === null ? partsOf(text) : [clock];
  if ('code' in parts) return fail(parts.code, parts.code === 'notANumber' ? typed : parts.part);
  let value = 0;
  for (const part of parts) {
    if (part.unit === null && parts.length > 1) return fail('notANumber', typed);
    const partUnit = part.unit ?? unitOf(input.defaultUnit);
    if (partUnit.dimension !== dimension) return fail('otherKindOfUnit', partUnit.symbol);
    const inBase = (number: number) => Number((number * partUnit.factor + partUnit.offset).toPrecision(12));
    const fits = (number: number) => inBase(number) >= min && inBase(number) <= max;
    const read = meant(part.read, { fits, separator: part.separator, decimalComma });
    if (read.kind === 'twoWays') return fail('twoWays', typed, { readings: [read.thousands, read.decimal] });
    if (read.kind === 'notANumber') return fail('notANumber', typed);
    value += inBase(read.value);
  }
  if (!Number.isFinite(value)) return fail('notANumber', typed);
  if (value < min) return fail('belowRange', typed, { bound: min });
  if (value > max) return fail('aboveRange', typed, { bound: max });
  return { ok: true, value };
}
