import type { TaskId } from './tasks.js';

/** What a limit is counted in. `changes` are oil changes since the task was last done. */
export const MEASURES = ['runs', 'weight', 'hours', 'days', 'changes'] as const;
export type Measure = (typeof MEASURES)[number];

/** Null takes a limit away, a missing key inherits it. */
export type Limits = { readonly [M in Measure]?: number | null };
export type SparseLimits = { readonly [T in TaskId]?: Limits };

export type SchoolId = 'freshEveryRun' | 'bleedAndCount' | 'byTheHour' | 'byTheLook' | 'byTheLab' | 'byTheGauge';

export interface School {
  readonly id: SchoolId;
  readonly limits: SparseLimits;
  /** What its people say for it, and what it costs. */
  readonly why: string;
  readonly cost: string;
}

/** The schools of oil care (docs/trade.md 4). Every limit can be overridden for the house, a model, a product or a pump. */
export const SCHOOLS: Readonly<Record<SchoolId, School>> = {
  freshEveryRun: {
    id: 'freshEveryRun',
    limits: { oilChange: { runs: 1 }, look: { runs: 3, days: 30 } },
    why: 'A change takes minutes; nothing has time to grow.',
    cost: 'Handling, filter media, oil locked up in filters.',
  },
  bleedAndCount: {
    id: 'bleedAndCount',
    limits: {
      bleed: { runs: 1 },
      oilChange: { runs: 5, weight: 7 },
      flush: { changes: 3 },
      look: { runs: 3, days: 21 },
    },
    why: 'Less handling than a change after every run.',
    cost: 'Needs honest counting.',
  },
  byTheHour: {
    id: 'byTheHour',
    limits: { oilChange: { hours: 750 }, oilFilter: { hours: 750 }, look: { days: 14 } },
    why: 'Fits continuous duty: packaging and process lines.',
    cost: 'Blind to a wet week.',
  },
  byTheLook: {
    id: 'byTheLook',
    limits: { look: { days: 7 } },
    why: 'The condition decides, not the calendar.',
    cost: 'Needs a trained eye and a record.',
  },
  byTheLab: {
    id: 'byTheLab',
    limits: { labSample: { runs: 10 }, look: { days: 14 } },
    why: 'Wear shows in a sample before it is seen.',
    cost: 'Days of delay between the sample and its report.',
  },
  byTheGauge: {
    id: 'byTheGauge',
    limits: { blankOff: { runs: 10 }, look: { days: 14 } },
    why: 'The process needs a pressure, not a clean jar.',
    cost: 'Says nothing of acid, rust or wear until late, and needs a gauge that one can trust.',
  },
};

/** Limits of the house beneath every school, each with its reason. The pump's own manual wins. */
export const HOUSE_LIMITS: SparseLimits = {
  // docs/trade.md 8-H: 2,000 h or 12 months.
  exhaustFilter: { hours: 2000, days: 365 },
  // A clogged screen looks like a worn pump; twice a year catches it.
  inletScreen: { days: 182 },
  // A pitted ball shows only when the pump is stopped under vacuum; once a year is cheap.
  antiSuckback: { days: 365 },
  // Vanes of oil-sealed pumps commonly last years; a look on the bench at 8,000 h.
  vaneCheck: { hours: 8000 },
  // A gauge is believed until it is compared.
  gaugeCheck: { days: 365 },
  // Oil filter goes with the oil where there is no other rule.
  oilFilter: { hours: 1500, days: 365 },
  // Gear oil of a booster: commonly half a year of shifts, or a year.
  boosterOil: { hours: 3000, days: 365 },
  // docs/trade.md 8-G: weekly top-up is normal, oftener means a seal leak.
  sealCup: { days: 14 },
  // Scroll pumps: common makers' intervals for tip seals, bearings at double.
  tipSeals: { hours: 9000 },
  bearings: { hours: 18000 },
};

/** docs/trade.md 4: a calendar limit always stands, 12 months, 6 in wet work. */
export const CALENDAR_LIMIT_DAYS = { dry: 365, wet: 182 } as const;

/** docs/trade.md 4: first change after a new or overhauled pump at 100-150 h. */
export const RUNNING_IN_HOURS = 120;

/** docs/trade.md 4: mineral oil's life halves per 10 K above 80 °C. */
export const OIL_LIFE_HALVES = { aboveC: 80, perK: 10 } as const;
