import type { SchoolId } from '@winter-jar/core';

/** Names of the schools of oil care. */
export const SCHOOL_WORDS: Readonly<Record<SchoolId, string>> = {
  freshEveryRun: 'Fresh every run',
  bleedAndCount: 'Bleed and count',
  byTheHour: 'By the hour',
  byTheLook: 'By the look',
  byTheLab: 'By the lab',
  byTheGauge: 'By the gauge',
};
