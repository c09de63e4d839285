/** Molar gas constant, J/(mol K): exact since the SI of 2019. */
export const GAS_CONSTANT = 8.314462618;
/** Molar mass of water, g/mol (IAPWS G5-01(2020)). */
export const WATER_G_PER_MOL = 18.015268;
export const KELVIN = 273.15;
/** Standard atmosphere. */
export const ATMOSPHERE_PA = 101_325;
/** Density of cold water, g/mL: what is seen in a jar against what was estimated in grams. */
export const WATER_G_PER_ML = 0.998;

/** Standard deviation of a jar’s or glass’s reading, mL: people read water to a few millilitres. */
export const READING_SD_ML = 2;

/** Microlitres that so much water takes in a jar. */
export const waterUlOfG = (g: number): number => Math.round((g / WATER_G_PER_ML) * 1000);

/** What is assumed where nothing else is known (docs/trade.md 5). */
export const WATER_DEFAULTS = {
  /** Pressure at which the exhaust valve opens. */
  exhaustPressureHpa: 1333,
  /** Of the room's air that the ballast lets in. */
  airTempC: 20,
  airHumidity: 0.5,
  /** Gas on its way from the trap to the pump. */
  gasTempC: 20,
  trapEfficiency: 1,
  /** How nearly the air that passes leaves saturated. */
  carryOutEfficiency: 0.5,
  /** Of the process water at least so much stays. */
  leastShareLeft: 0.05,
  /** Real oil gives its water up slowly. */
  purgeEfficiency: 0.1,
  /** From which the oil counts as warm. */
  warmOilC: 60,
} as const;

/** Throws unless a value lies between bounds; faults in our own edge checks, never a person's input. */
export function mustLieWithin(key: string, value: number, min: number, max: number, unit: string): void {
  if (!(value >= min && value <= max)) throw new RangeError(`${key}: ${value} ${unit} is not within ${min} to ${max}`);
}
