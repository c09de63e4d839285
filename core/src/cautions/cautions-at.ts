import { productIn, type PumpState } from '../fold/index.js';
import type { TaskId } from '../limits/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { isAirBarred, unfitOil } from '../standing/index.js';
import type { CautionId } from './cautions.js';

/** What somebody is about to do at a pump: work on its oil, a look, a sample, or a task. */
export type Deed = 'change' | 'topUp' | 'look' | TaskId;

/** What makes a caution, or a step of a service, matter at this pump now. */
export interface Place {
  readonly oxygen: boolean;
  readonly solvent: boolean;
  readonly toxic: boolean;
  readonly biological: boolean;
  readonly corrosive: boolean;
  readonly food: boolean;
  readonly pfpe: boolean;
  readonly growth: boolean;
  readonly booster: boolean;
  readonly oilFilter: boolean;
  readonly industrial: boolean;
  readonly coldRoom: boolean;
}

/** What a step of work does that can hurt somebody. */
export type Risk =
  | 'oilIn'
  | 'oilOut'
  | 'drains'
  | 'drainsWarm'
  | 'nearOil'
  | 'looksAtOil'
  | 'fillsJar'
  | 'standsStill'
  | 'opensPump'
  | 'opensLine'
  | 'opensVacuum'
  | 'opensBooster'
  | 'opensExhaust'
  | 'takesFilterOff'
  | 'electrical'
  | 'hot'
  | 'purges'
  | 'starts'
  | 'ventsChamber'
  | 'solvent'
  | 'lifts'
  | 'tilts'
  | 'wipes'
  | 'frost';

const WHOLE_CHANGE = [
  ...(['oilIn', 'oilOut', 'drains', 'drainsWarm', 'nearOil', 'standsStill'] as const),
  ...(['takesFilterOff', 'tilts', 'wipes'] as const),
] as const;

/** What each deed does, as a whole. */
const RISKS_OF: Readonly<Record<Deed, readonly Risk[]>> = {
  change: WHOLE_CHANGE,
  oilChange: WHOLE_CHANGE,
  topUp: ['oilIn', 'nearOil', 'standsStill'],
  look: ['looksAtOil', 'nearOil', 'fillsJar'],
  bleed: ['oilOut', 'drains', 'nearOil', 'standsStill', 'hot', 'fillsJar', 'tilts'],
  labSample: ['nearOil', 'hot', 'fillsJar'],
  flush: ['opensPump', 'oilIn', 'oilOut', 'drains', 'drainsWarm', 'nearOil', 'wipes'],
  purge: ['purges', 'opensExhaust'],
  housingClean: ['opensPump', 'oilOut', 'drains', 'drainsWarm', 'nearOil', 'opensVacuum', 'wipes'],
  stripClean: ['opensPump', 'oilOut', 'drains', 'nearOil', 'opensVacuum', 'hot', 'lifts', 'wipes'],
  vaneCheck: ['opensPump', 'nearOil', 'electrical', 'hot', 'lifts'],
  exhaustFilter: ['opensPump', 'nearOil', 'opensExhaust', 'opensVacuum', 'hot', 'wipes'],
  bearings: ['opensPump', 'nearOil', 'electrical', 'lifts'],
  tipSeals: ['opensPump', 'nearOil'],
  oilFilter: ['oilOut', 'nearOil', 'standsStill', 'takesFilterOff', 'wipes'],
  inletScreen: ['opensLine', 'opensVacuum', 'opensBooster'],
  sealCheck: ['opensLine', 'opensVacuum', 'opensBooster'],
  antiSuckback: ['opensLine', 'opensVacuum'],
  gaugeCheck: ['opensLine', 'opensVacuum'],
  blankOff: ['opensLine', 'opensVacuum'],
  boosterOil: ['oilIn', 'oilOut', 'nearOil', 'standsStill', 'opensBooster', 'drainsWarm'],
  sealCup: ['oilIn', 'standsStill', 'opensBooster'],
};

interface Row {
  readonly caution: CautionId;
  readonly risks: readonly Risk[];
  /** Missing means always. */
  readonly when?: (place: Place) => boolean;
}

/** Which caution matters where. The order is that of reading: what kills first. */
const CAUTIONS_AT: readonly Row[] = [
  { caution: 'oxygen', risks: ['oilIn', 'opensPump'], when: (p) => p.oxygen },
  { caution: 'pfpeHeat', risks: ['oilOut', 'opensPump', 'looksAtOil'], when: (p) => p.pfpe },
  { caution: 'drainCold', risks: ['drains'], when: (p) => p.solvent },
  { caution: 'noAir', risks: ['purges'], when: (p) => p.solvent },
  { caution: 'nitrogen', risks: ['purges'], when: (p) => p.solvent },
  { caution: 'biological', risks: ['nearOil'], when: (p) => p.biological },
  { caution: 'residues', risks: ['nearOil'], when: (p) => p.toxic },
  { caution: 'corrosive', risks: ['nearOil'], when: (p) => p.corrosive },
  { caution: 'growth', risks: ['nearOil'], when: (p) => p.growth },
  { caution: 'solventWork', risks: ['solvent'] },
  { caution: 'furnace', risks: ['ventsChamber'], when: (p) => p.industrial },
  { caution: 'standing', risks: ['standsStill'] },
  { caution: 'lockOut', risks: ['opensPump', 'opensLine'] },
  { caution: 'boosterVent', risks: ['opensBooster'], when: (p) => p.booster },
  { caution: 'vent', risks: ['opensVacuum'] },
  { caution: 'capacitor', risks: ['electrical'] },
  { caution: 'thickOil', risks: ['starts'], when: (p) => p.coldRoom },
  { caution: 'drainWarm', risks: ['drainsWarm'], when: (p) => !p.solvent },
  { caution: 'hotOil', risks: ['hot'] },
  { caution: 'hotFilter', risks: ['takesFilterOff'], when: (p) => p.oilFilter },
  { caution: 'exhaust', risks: ['purges'] },
  { caution: 'exhaustOpen', risks: ['opensExhaust'] },
  { caution: 'food', risks: ['oilIn', 'fillsJar'], when: (p) => p.food },
  { caution: 'heavy', risks: ['lifts'] },
  { caution: 'tilt', risks: ['tilts'] },
  { caution: 'coldMetal', risks: ['frost'] },
  { caution: 'waste', risks: ['oilOut'] },
  { caution: 'rags', risks: ['wipes'] },
];

/** What is so at a pump as it stands now. */
export function placeOf(state: PumpState, setUp: PumpSetUp): Place {
  const { service, model } = setUp;
  const is = (s: (typeof service)[number]) => service.includes(s);
  const findings = state.sumps.flatMap((s) => s.findings);
  return {
    oxygen: is('oxygen') || unfitOil(state, setUp)?.unfit === 'oxygen',
    solvent: isAirBarred(state, setUp),
    toxic: is('toxic'),
    biological: is('biological'),
    corrosive: is('corrosive'),
    food: is('food'),
    pfpe: productIn(state, setUp, 'oil')?.base === 'pfpe',
    growth: findings.some((f) => f.code === 'particles' && f.kinds.includes('growth')),
    booster: model.kind === 'booster',
    oilFilter: model.hasOilFilter,
    industrial: setUp.equipment.process === 'industrial',
    coldRoom: (setUp.site.coldSeason ?? 'none') !== 'none',
  };
}

/** What to mind where somebody does this at such a place, the gravest first. */
export const cautionsOf = (risks: readonly Risk[], place: Place): CautionId[] =>
  CAUTIONS_AT.filter((row) => row.risks.some((r) => risks.includes(r)) && (row.when?.(place) ?? true)).map(
    (row) => row.caution,
  );

/** What to mind at a deed at this pump as it stands now, the gravest first. */
export const cautionsAt = (deed: Deed, state: PumpState, setUp: PumpSetUp): CautionId[] =>
  cautionsOf(RISKS_OF[deed], placeOf(state, setUp));

/** What is dangerous about a pump itself, whatever is done at it. */
const OF_THE_PUMP: readonly CautionId[] = [
  'oxygen',
  'pfpeHeat',
  'noAir',
  'biological',
  'residues',
  'corrosive',
  'growth',
  'boosterVent',
  'food',
];

/** What whoever comes to a pump should know before anything else, the gravest first: for its label and for lists on paper. */
export function dangersOf(state: PumpState, setUp: PumpSetUp): CautionId[] {
  const place = placeOf(state, setUp);
  const rows = CAUTIONS_AT.filter(({ caution, when }) => OF_THE_PUMP.includes(caution) && when?.(place));
  return [...new Set(rows.map((row) => row.caution))];
}
