/** What a number may be: one value, or two where its one comma or point parts three digits. */
export type NumberRead =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'twoWays'; readonly thousands: number; readonly decimal: number }
  | { readonly kind: 'notANumber' };

const NOT_A_NUMBER: NumberRead = { kind: 'notANumber' };
const GROUPS = /^\d{1,3}(?:([.,])\d{3})(?:\1\d{3})*$/;

/** Digits with points and commas, without a sign or spaces. */
function readDigits(digits: string): NumberRead {
  const marks = digits.replace(/\d/g, '');
  const number = (text: string): NumberRead => (text === '' ? NOT_A_NUMBER : { kind: 'number', value: Number(text) });
  if (!/\d/.test(digits)) return NOT_A_NUMBER;
  if (marks.length === 0) return number(digits);
  const last = marks.at(-1) ?? '';
  const at = digits.lastIndexOf(last);
  const [whole, rest] = [digits.slice(0, at), digits.slice(at + 1)];
  // The last of two kinds is the decimal one, and what stands before it are thousands.
  if (marks.includes(',') && marks.includes('.'))
    return GROUPS.test(whole) && !whole.includes(last) ? number(`${whole.replace(/[.,]/g, '')}.${rest}`) : NOT_A_NUMBER;
  if (marks.length > 1) return GROUPS.test(digits) ? number(digits.replace(/[.,]/g, '')) : NOT_A_NUMBER;
  const decimal = Number(`${whole}.${rest}`);
  if (rest.length !== 3 || !/^[1-9]\d{0,2}$/.test(whole)) return { kind: 'number', value: decimal };
  return { kind: 'twoWays', thousands: Number(whole + rest), decimal };
}

const FRACTIONS: Readonly<Record<string, string>> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅓': '1/3', '⅔': '2/3' };
const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** Minus signs, superscripts, fractions and thousands parted by a space or an apostrophe, each in one form. */
export const plainNumbers = (text: string): string =>
  text
    .replace(/[−–‒]\s*(?=[\d.,])/g, '-')
    .replace(/[⁺⁻]?[⁰¹²³⁴⁵⁶⁷⁸⁹]+/g, (run) =>
      /^[⁺⁻]/.test(run) || run !== '³'
        ? `^${[...run].map((c) => (c === '⁻' ? '-' : c === '⁺' ? '' : String(SUPERSCRIPTS.indexOf(c)))).join('')}`
        : run,
    )
    .replace(/[½¼¾⅓⅔]/g, (c) => ` ${FRACTIONS[c] ?? c}`)
    .replace(/(\d)[\u00a0\u2009\u202f '’](?=\d{3}(?!\d))/g, '$1')
    .trim();

const DIGITS = String.raw`\d[\d.,]*\d|[.,]?\d+[.,]?`;
const FRACTION = /^([+-]?)(?:(\d+)\s+)?(\d+)\/(\d+)/;
const POWER_ALONE = /^([+-]?)10\^([+-]?\d+)/;
const NUMBER = new RegExp(`^([+-]?)(${DIGITS})(?:\\s*[x×*·]\\s*10\\^?([+-]?\\d+)|e([+-]?\\d+))?`, 'i');

const times = (read: NumberRead, factor: number): NumberRead => {
  if (read.kind === 'notANumber') return read;
  if (read.kind === 'number') return { kind: 'number', value: read.value * factor };
  return { kind: 'twoWays', thousands: read.thousands * factor, decimal: read.decimal * factor };
};

/**
 * The number that a text begins with, and what comes after it.
 * @param plain as {@link plainNumbers} leaves it
 * @returns null where it begins with none
 */
export function numberAtStart(plain: string): { readonly read: NumberRead; readonly rest: string } | null {
  const fraction = FRACTION.exec(plain);
  if (fraction) {
    const [all, sign, whole = '0', above = '', below = ''] = fraction;
    const value = Number(whole) + Number(above) / Number(below);
    const read: NumberRead = Number.isFinite(value)
      ? { kind: 'number', value: sign === '-' ? -value : value }
      : NOT_A_NUMBER;
    return { read, rest: plain.slice(all.length).trim() };
  }
  const power = POWER_ALONE.exec(plain);
  if (power) {
    const [all, sign, exponent] = power;
    const value = (sign === '-' ? -1 : 1) * 10 ** Number(exponent);
    return { read: { kind: 'number', value }, rest: plain.slice(all.length).trim() };
  }
  const match = NUMBER.exec(plain);
  if (!match) return null;
  const [all, sign, digits = '', tens, e] = match;
  const exponent = Number(tens ?? e ?? 0);
  const read = times(readDigits(digits), (sign === '-' ? -1 : 1) * 10 ** exponent);
  return { read, rest: plain.slice(all.length).trim() };
}

/**
 * Which of two readings is meant: the only one that can be, else as the app writes numbers (1,200 and 1.2), and asked where the
 * device writes them the other way round.
 * @param fits whether a value can be right in this field
 */
export function meant(
  read: NumberRead,
  { fits, separator, decimalComma }: { fits: (value: number) => boolean; separator: ',' | '.'; decimalComma: boolean },
): NumberRead {
  if (read.kind !== 'twoWays') return read;
  const [asThousands, asDecimal] = [fits(read.thousands), fits(read.decimal)];
  if (asThousands !== asDecimal) return { kind: 'number', value: asThousands ? read.thousands : read.decimal };
  if (decimalComma) return read;
  return { kind: 'number', value: separator === ',' ? read.thousands : read.decimal };
}

/**
 * A number without a unit, as people type it: "1,200", "1 200", "0,5", "1 1/2".
 * @param min,max inclusive; they decide where it can be read two ways
 */
export function readNumber(
  text: string,
  {
    min = -Infinity,
    max = Infinity,
    decimalComma = false,
  }: { min?: number; max?: number; decimalComma?: boolean } = {},
): NumberRead {
  const plain = plainNumbers(text);
  const first = numberAtStart(plain);
  if (!first || first.rest !== '') return NOT_A_NUMBER;
  const fits = (value: number) => value >= min && value <= max;
  return meant(first.read, { fits, separator: plain.includes(',') ? ',' : '.', decimalComma });
}
