import type { LogUnit, PressureReference } from '../journal/index.js';
import { unitOf } from '../units/index.js';

export interface PressureUnit {
  /** A symbol of {@link LOG_UNITS}. */
  readonly unit: LogUnit;
  readonly reference: PressureReference;
  /** Whether its words leave no doubt what it counts from. */
  readonly sure: boolean;
}

/** Pa of each unit that gauges write. Those of the product come from units; what only instruments use is here (NIST SP 811, 2008, app. B). */
export const LOG_UNITS: Readonly<Record<LogUnit, number>> = {
  hPa: unitOf('hPa').factor,
  mbar: unitOf('mbar').factor,
  Pa: 1,
  kPa: unitOf('kPa').factor,
  Torr: unitOf('Torr').factor,
  mTorr: unitOf('mTorr').factor,
  bar: unitOf('bar').factor,
  µbar: 0.1,
  mPa: 0.001,
  psi: unitOf('psi').factor,
  inHg: unitOf('inHg').factor,
  cmHg: unitOf('Torr').factor * 10,
  '%': 1,
};

/** How each is written; the first that fits a text counts, so longer words stand before what they begin with. */
const SPELLINGS: readonly (readonly [LogUnit, RegExp])[] = [
  ['mTorr', /m[\s-]?torr|milli[\s-]?torr|microns?|[µμu]m\s?hg/i],
  ['µbar', /[µμ]bar|ubar|microbar/i],
  ['hPa', /hpa|hectopascals?/i],
  ['kPa', /kpa[ag]?|kilopascals?/i],
  ['mPa', /mPa/],
  ['mbar', /m\s?bara?|millibars?|mb(?=$|[\s\])}:;,_])/i],
  ['psi', /psi[agv]?|lbf?\/in[²2]/i],
  ['inHg', /in[.\s]?hg(?:v|a|abs)?|"\s?hg|inches\s(?:of\s)?(?:hg|mercury)/i],
  ['cmHg', /cm\s?hg/i],
  ['Torr', /torr|mm\s?hg/i],
  ['bar', /bar[ag]?/i],
  ['Pa', /pa|pascals?/i],
];

const BOUND = String.raw`(?<![\p{L}])`;
const END = String.raw`(?![\p{L}])`;
const WORDS = SPELLINGS.map(([unit, form]) => ({
  unit,
  form: new RegExp(`${BOUND}(?:${form.source})${END}`, `${form.flags}u`),
}));

const OVER_AMBIENT =
  /\((?:g|rel)\)|psig|barg|kpag|[\s[(]g[\])]?$|\brel(?:ative|ativ)?\b|gauge pressure|überdruck|[üu]berdr/i;
const BELOW_AMBIENT =
  /hgv\b|psiv\b|hg[\s)\]]*vac|\)\s*vac|(?:pa|bar|torr|psi|hg)[\s_-]*(?:vac|vacuum)\b|[-−–]\s?(?:k?pa|m?bar|inhg|in\.?\s?hg|cmhg|psi)\b|below (?:ambient|atmosph)|unterdruck/i;
const FROM_NOTHING = /\babs\b|absolut|hga\b|psia|bara\b|kpaa|\(a\)/i;
const PERCENT = /%|percent|prozent/i;
const VACUUM = /vac|vak|vaz|vide|vuoto/i;

/** The unit that a heading or a cell names, and what it counts from; null where it names none. */
export function pressureUnitIn(text: string): PressureUnit | null {
  const found = WORDS.find(({ form }) => form.test(text))?.unit ?? null;
  if (found === null)
    return PERCENT.test(text) && VACUUM.test(text) ? { unit: '%', reference: 'percentVacuum', sure: true } : null;
  if (FROM_NOTHING.test(text)) return { unit: found, reference: 'absolute', sure: true };
  if (BELOW_AMBIENT.test(text)) return { unit: found, reference: 'belowAmbient', sure: true };
  if (OVER_AMBIENT.test(text)) return { unit: found, reference: 'gauge', sure: true };
  // Inches of mercury are what is missing to the air around, on the gauges that show them: it is said, and can be changed.
  if (found === 'inHg' || found === 'cmHg') return { unit: found, reference: 'belowAmbient', sure: VACUUM.test(text) };
  return { unit: found, reference: 'absolute', sure: true };
}

/**
 * Absolute pressure of a reading.
 * @param input.value in `unit`
 * @param input.ambientPa of the air around the gauge; counts for relative readings alone
 * @returns Pa; zero and below where a relative reading says more vacuum than there is
 */
export function absolutePa(input: {
  value: number;
  unit: LogUnit;
  reference: PressureReference;
  ambientPa: number;
}): number {
  const { value, unit, reference, ambientPa } = input;
  const pa = value * LOG_UNITS[unit];
  switch (reference) {
    case 'absolute':
      return pa;
    case 'gauge':
      return ambientPa + pa;
    case 'belowAmbient':
      return ambientPa - pa;
    case 'percentVacuum':
      return ambientPa * (1 - value / 100);
  }
}

const SEA_LEVEL_PA = 101_325;

/**
 * Pressure of the air at an altitude: ICAO standard atmosphere (Doc 7488, 1993), troposphere: p = p0 (1 − 0.0065 h / 288.15)^5.25588.
 * @param input.altitudeM −500 to 9000
 * @throws RangeError outside. Example: 1500 m → 84,556 Pa
 */
export function ambientAtPa({ altitudeM }: { altitudeM: number }): number {
  if (!(altitudeM >= -500 && altitudeM <= 9000)) throw new RangeError(`altitudeM: ${altitudeM} is not -500 to 9000`);
  return SEA_LEVEL_PA * (1 - (0.0065 * altitudeM) / 288.15) ** 5.25588;
}

/** Readings at the air's own pressure tell the unit where nobody names it: what 1013 hPa is in each. */
const AT_AMBIENT: readonly LogUnit[] = ['hPa', 'Torr', 'Pa', 'kPa', 'bar', 'psi', 'inHg', 'mTorr'];

/** The unit in which a log's highest reading would be the air around, 85 to 108 kPa; null where none fits. */
export const unitByAmbient = (highest: number): LogUnit | null =>
  AT_AMBIENT.find((unit) => highest * LOG_UNITS[unit] > 85_000 && highest * LOG_UNITS[unit] < 108_000) ?? null;
