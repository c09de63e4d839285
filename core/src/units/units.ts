/**
 * Every unit the product reads or prints. The only file where a non-SI number exists.
 * Base units: Pa, mL, °C, minutes, m³/h, kg, ppm by mass, mm²/s, mg KOH/g, particles per mL. Sources: SI brochure 2019 (Pa, L, °C), NIST SP 811 (2008) app. B for the rest.
 */
export type Dimension =
  'pressure' | 'volume' | 'temperature' | 'duration' | 'flow' | 'mass' | 'share' | 'viscosity' | 'acidNumber' | 'count';

export interface Unit {
  readonly symbol: string;
  readonly dimension: Dimension;
  /** value in base unit = typed * factor + offset */
  readonly factor: number;
  readonly offset: number;
  /** Every spelling accepted beside the symbol, in lower case. */
  readonly spellings: readonly string[];
}

const unit = (dimension: Dimension, symbol: string, factor: number, spellings: string[], offset = 0): Unit => ({
  symbol,
  dimension,
  factor,
  offset,
  spellings,
});

const TORR_PA = 101_325 / 760;
const US_GALLON_ML = 3785.411784;
/** (0.3048 m)³ per minute. */
const CFM_M3H = 0.3048 ** 3 * 60;

const FLUID_OUNCES = [
  ...['oz', 'ounce', 'ounces', 'floz', 'fl.oz', 'fl.oz.', 'fl. oz', 'fl. oz.', 'us fl oz', 'us oz'],
  ...['fluid oz', 'fluid ounce', 'fluid ounces'],
];

export const UNITS: readonly Unit[] = [
  unit('pressure', 'hPa', 100, ['hectopascal']),
  unit('pressure', 'mbar', 100, ['millibar']),
  unit('pressure', 'Pa', 1, ['pascal']),
  unit('pressure', 'Torr', TORR_PA, ['mmhg']),
  unit('pressure', 'mTorr', TORR_PA / 1000, ['micron', 'microns', 'µ', 'μ', 'µmhg', 'μmhg', 'umhg', 'millitorr']),
  unit('pressure', 'kPa', 1000, ['kilopascal']),
  unit('pressure', 'bar', 100_000, []),
  unit('pressure', 'psi', 6894.757293, ['psia', 'lb/in²']),
  unit('pressure', 'inHg', 3386.389, ['in hg', '"hg', 'inches hg']),
  unit('volume', 'mL', 1, ['ml.', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc', 'cm³', 'cm3']),
  unit('volume', 'L', 1000, ['l.', 'ltr', 'litre', 'liter', 'litres', 'liters']),
  unit('volume', 'dL', 100, ['deciliter', 'decilitre']),
  unit('volume', 'cL', 10, ['centiliter', 'centilitre']),
  unit('volume', 'fl oz', US_GALLON_ML / 128, FLUID_OUNCES),
  unit('volume', 'tbsp', US_GALLON_ML / 256, ['tablespoon', 'tablespoons']),
  unit('volume', 'pt', US_GALLON_ML / 8, ['pint', 'pints', 'us pt', 'us pint', 'us pints']),
  unit('volume', 'qt', US_GALLON_ML / 4, ['quart', 'quarts', 'us qt', 'us quart', 'us quarts']),
  unit('volume', 'gal', US_GALLON_ML, ['gallon', 'gallons', 'us gal', 'us gallon', 'us gallons']),
  unit('temperature', '°C', 1, ['c', 'degc', 'deg c', 'celsius', 'ºc']),
  unit('temperature', '°F', 5 / 9, ['f', 'degf', 'deg f', 'fahrenheit', 'ºf'], (-32 * 5) / 9),
  unit('duration', 'h', 60, ['hr', 'hrs', 'hour', 'hours', 'std', 'std.']),
  unit('duration', 'min', 1, ['mins', 'minute', 'minutes', 'm']),
  unit('duration', 'd', 1440, ['day', 'days', 'tag', 'tage']),
  unit('flow', 'm³/h', 1, ['m3/h', 'm^3/h', 'm3h', 'cbm/h']),
  unit('flow', 'L/s', 3.6, ['l/sec']),
  unit('flow', 'L/min', 0.06, ['lpm']),
  unit('flow', 'cfm', CFM_M3H, ['ft³/min', 'ft3/min']),
  unit('mass', 'kg', 1, ['kilogram', 'kilograms']),
  unit('mass', 'g', 0.001, ['gram', 'grams']),
  unit('mass', 'lb', 0.45359237, ['lbs', 'pound', 'pounds']),
  unit('share', 'ppm', 1, ['mg/kg']),
  unit('share', '%', 10_000, ['percent']),
  unit('viscosity', 'mm²/s', 1, ['mm^2/s', 'mm2/s', 'cst']),
  unit('acidNumber', 'mg KOH/g', 1, ['mgkoh/g', 'mg/g']),
  unit('count', '/mL', 1, ['per ml', '1/ml', 'p/ml']),
];

export function findUnit(text: string): Unit | undefined {
  const wanted = text.trim().toLowerCase().replace(/\s+/g, ' ');
  return UNITS.find((u) => u.symbol.toLowerCase() === wanted || u.spellings.includes(wanted));
}

/** @throws RangeError when the symbol is not one of {@link UNITS}: a fault in our code, never in a person's input. */
export function unitOf(symbol: string): Unit {
  const found = findUnit(symbol);
  if (!found) throw new RangeError(`symbol: "${symbol}" is none of ${UNITS.map((u) => u.symbol).join(', ')}`);
  return found;
}
