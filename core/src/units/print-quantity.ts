import { unitOf, type Unit } from './units.js';

/** A value in the base unit, converted to `unit`, unrounded. */
export function inUnit(input: { value: number; unit: string }): number {
  const unit = unitOf(input.unit);
  return (input.value - unit.offset) / unit.factor;
}

/** Symbols in which an amount is read more easily than in the one that was picked: small ones, and large ones. */
const NEIGHBOURS: Readonly<
  Record<
    string,
    {
      readonly small?: readonly [below: number, symbol: string];
      readonly large?: readonly [from: number, symbol: string];
    }
  >
> = {
  L: { small: [0.1, 'mL'] },
  qt: { small: [0.125, 'fl oz'] },
  mL: { large: [10_000, 'L'] },
  mTorr: { large: [1000, 'Torr'] },
};

/** The unit that a value is printed in. */
function printedIn(value: number, symbol: string): Unit {
  const unit = unitOf(symbol);
  const size = Math.abs(inUnit({ value, unit: symbol }));
  const { small, large } = NEIGHBOURS[unit.symbol] ?? {};
  if (small && size < small[0] && size > 0) return unitOf(small[1]);
  return large && size >= large[0] ? unitOf(large[1]) : unit;
}

const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';
const superscript = (exponent: number): string =>
  (exponent < 0 ? '⁻' : '') + [...String(Math.abs(exponent))].map((digit) => SUPERSCRIPTS[Number(digit)]).join('');

/** "4×10⁻⁶", as it is written by hand and read back. */
function powerOfTen(value: number): string {
  const [mantissa = '', exponent = '0'] = value.toExponential(1).split('e');
  return `${trimZeros(mantissa)}×10${superscript(Number(exponent))}`;
}

function digits(value: number, dimension: string): string {
  const size = Math.abs(value);
  if (dimension === 'temperature') return trimZeros(value.toFixed(1));
  if (dimension === 'pressure' && size !== 0 && size < 0.001) return powerOfTen(value);
  if (size === 0) return '0';
  if (size >= 1000) return Math.round(value).toLocaleString('en-GB');
  if (size >= 100) return value.toFixed(0);
  if (size >= 10) return trimZeros(value.toFixed(1));
  return trimZeros(value.toPrecision(size < 0.1 ? 2 : 3));
}

const trimZeros = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/**
 * A quantity as a person reads it: "0.047 hPa", "−41 °C", "17.5 mL", "41 h 30". Small amounts in litres are printed in mL, in quarts
 * in fl oz, large ones of mL in L, of mTorr in Torr.
 * @param value in the base unit of the unit's dimension (Pa, mL, °C, minutes)
 */
export function printQuantity(input: { value: number; unit: string }): string {
  const unit = printedIn(input.value, input.unit);
  if (unit.symbol === 'h') return printDuration(input.value);
  return `${digits(inUnit({ value: input.value, unit: unit.symbol }), unit.dimension).replace('-', '−')} ${unit.symbol}`;
}

/** Minutes as "41 h 30", "20 h", "45 min". */
export function printDuration(minutes: number): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  if (hours === 0) return `${rest} min`;
  const said = `${hours.toLocaleString('en-GB')} h`;
  return rest === 0 ? said : `${said} ${String(rest).padStart(2, '0')}`;
}
