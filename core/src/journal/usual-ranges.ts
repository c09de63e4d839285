import type { Entry, EntryBodies, EntryKind } from './entry.js';

/** Those whose unit a person picks, and units that stand as they are. */
type ReadIn =
  | 'temperature'
  | 'pressure'
  | 'volume'
  | 'duration'
  | 'cycles'
  | 'kg'
  | 'h'
  | 'runs'
  | 'ppm'
  | 'mm²/s'
  | 'mg KOH/g'
  | 'per mL';

/** In the base units of the fields; `quantity` says how a person reads them, or the unit that stands behind. */
export interface UsualRange {
  readonly least: number;
  readonly most: number;
  readonly quantity: ReadIn;
}

const DAY_MINUTES = 24 * 60;
const HOUR_MINUTES = 60;
const TRAP: UsualRange = { least: -90, most: 5, quantity: 'temperature' };
const METER: UsualRange = { least: 0, most: 200_000 * HOUR_MINUTES, quantity: 'duration' };
const METAL: UsualRange = { least: 0, most: 1000, quantity: 'ppm' };
const PARTICLES: UsualRange = { least: 0, most: 1e7, quantity: 'per mL' };

/**
 * Between what a reading lies in the trade. What lies outside is not wrong, but is asked: a slipped comma, minutes for hours, one
 * unit for another. The bounds are assumptions of ours, see docs/trade.md 6.
 */
export const USUAL_RANGES: { readonly [K in EntryKind]?: { readonly [F in keyof EntryBodies[K]]?: UsualRange } } = {
  run: {
    minutes: { least: 1, most: 7 * DAY_MINUTES, quantity: 'duration' },
    cycles: { least: 1, most: 100_000, quantity: 'cycles' },
    loadKg: { least: 0, most: 2000, quantity: 'kg' },
    trapTempC: TRAP,
    oilTempC: { least: 0, most: 110, quantity: 'temperature' },
    firstPressurePa: { least: 0.01, most: 101_325, quantity: 'pressure' },
    lowestPressurePa: { least: 0.01, most: 20_000, quantity: 'pressure' },
  },
  look: {
    lookedAtMl: { least: 1, most: 50_000, quantity: 'volume' },
    hoursStood: { least: 0, most: 14 * 24, quantity: 'h' },
    jarTempC: { least: -10, most: 70, quantity: 'temperature' },
  },
  meter: { minutes: METER, newMinutes: METER },
  takeOver: {
    meterMinutes: METER,
    runsSince: { least: 0, most: 2000, quantity: 'runs' },
    minutesSince: { least: 0, most: 20_000 * HOUR_MINUTES, quantity: 'duration' },
  },
  labSample: { drawnMl: { least: 10, most: 2000, quantity: 'volume' } },
  labResult: {
    waterPpm: { least: 0, most: 50_000, quantity: 'ppm' },
    viscosity40Mm2s: { least: 5, most: 1500, quantity: 'mm²/s' },
    ironPpm: METAL,
    siliconPpm: METAL,
    aluminiumPpm: METAL,
    acidMgKohG: { least: 0, most: 20, quantity: 'mg KOH/g' },
    baseMgKohG: { least: 0, most: 40, quantity: 'mg KOH/g' },
    count4PerMl: PARTICLES,
    count6PerMl: PARTICLES,
    count14PerMl: PARTICLES,
  },
};

/** A reading outside its usual range. */
export interface UnusualReading extends UsualRange {
  readonly field: string;
  readonly value: number;
}

/** Readings of an entry that lie outside what is usual, those of a trap's profile too. */
export function unusualReadings(entry: Entry): UnusualReading[] {
  const ranges: Readonly<Record<string, UsualRange | undefined>> = USUAL_RANGES[entry.kind] ?? {};
  const given = Object.entries(entry.body as unknown as Record<string, unknown>);
  const profile = entry.kind === 'run' ? (entry.body.trapProfile ?? []) : [];
  const readings = [
    ...given.map(([field, value]) => ({ field, value, range: ranges[field] })),
    ...profile.map(({ tempC }) => ({ field: 'trapTempC', value: tempC, range: TRAP })),
  ];
  const unusual = readings.flatMap(({ field, value, range }) =>
    range && typeof value === 'number' && !(value >= range.least && value <= range.most)
      ? [{ field, value, ...range }]
      : [],
  );
  return unusual.filter((u, i) => unusual.findIndex((o) => o.field === u.field) === i);
}
