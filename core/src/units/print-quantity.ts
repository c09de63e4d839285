import { unitOf } from './units.js';

/** A value in the base unit, converted to `unit`, unrounded. */
export function inUnit(input: { value: number; unit: string }): number {
  const unit = unitOf(input.unit);
  return (input.value - unit.offset) / unit.factor;
}

function digits(value: number, dimension: string): string {
  const size = Math.abs(value);
  if (dimension === 'temperature') return trimZeros(value.toFixed(1));
  if (dimension === 'pressure' && size !== 0 && (size < 0.001 || size >= 10_000)) return value.toExponential(1);
  if (size === 0) return '0';
  if (size >= 100) return value.toFixed(0);
  if (size >= 10) return trimZeros(value.toFixed(1));
  return trimZeros(value.toPrecision(size < 0.1 ? 2 : 3));
}

const trimZeros = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/**
 * A quantity as a person reads it: "0.047 hPa", "−41 °C", "17.5 mL", "41 h 30".
 * @param value in the base unit of the unit's dimension (Pa, mL, °C, minutes)
 */
export function printQuantity(input: { value: number; unit: string }): string {
  const unit = unitOf(input.unit);
  if (unit.symbol === 'h') return printDuration(input.value);
  return `${digits(inUnit(input), unit.dimension).replace('-', '−')} ${unit.symbol}`;
}

/** Minutes as "41 h 30", "20 h", "45 min". */
export function printDuration(minutes: number): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}
