import { MAX_METER_MINUTES } from '@winter-jar/contracts';

export const METER_BOUNDS = { min: 0, max: MAX_METER_MINUTES } as const;
/** A meter is read in hours, whole or with a decimal. */
export const meterText = (minutes: number | null | undefined): string =>
  minutes === null || minutes === undefined ? '' : String(Math.round(minutes / 6) / 10);
