import { productIn, type PumpState } from '../fold/index.js';
import type { TaskId } from '../limits/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { isAirBarred, unfitOil } from '../standing/index.js';
import type { CautionId } from './cautions.js';

/** What somebody is about to do at a pump: work on its oil, a look, a sample, or a task. */
export type Deed = 'change' | 'topUp' | 'look' | TaskId;

/** What makes a caution matter at this pump now. */
interface Place {
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
}

interface Row {
  readonly caution: CautionId;
  readonly deeds: readonly Deed[];
  /** Missing means always. */
  readonly when?: (place: Place) => boolean;
}

const OPENS_THE_PUMP = [
  'flush',
  'housingClean',
  'stripClean',
  'vaneCheck',
  'exhaustFilter',
  'bearings',
  'tipSeals',
] as const;
const OPENS_A_LINE = ['sealCheck', 'inletScreen', 'antiSuckback', 'gaugeCheck', 'blankOff'] as const;
const OIL_COMES_OUT = ['change', 'bleed', 'flush', 'housingClean', 'stripClean', 'boosterOil', 'oilFilter'] as const;
const NEAR_THE_OIL = [
  'change',
  'topUp',
  'bleed',
  'look',
  'labSample',
  ...OPENS_THE_PUMP,
  'oilFilter',
  'boosterOil',
] as const;
const OIL_GOES_IN = ['change', 'topUp', 'flush', 'boosterOil', 'sealCup'] as const;

/** Which caution matters at which deed. The order is that of reading: what kills first. */
const CAUTIONS_AT: readonly Row[] = [
  { caution: 'oxygen', deeds: [...OIL_GOES_IN, ...OPENS_THE_PUMP], when: (p) => p.oxygen },
  { caution: 'pfpeHeat', deeds: [...OIL_COMES_OUT, ...OPENS_THE_PUMP, 'look'], when: (p) => p.pfpe },
  { caution: 'drainCold', deeds: ['change', 'bleed', 'flush', 'housingClean', 'stripClean'], when: (p) => p.solvent },
  { caution: 'noAir', deeds: ['purge'], when: (p) => p.solvent },
  { caution: 'nitrogen', deeds: ['purge'], when: (p) => p.solvent },
  { caution: 'biological', deeds: NEAR_THE_OIL, when: (p) => p.biological },
  { caution: 'residues', deeds: NEAR_THE_OIL, when: (p) => p.toxic },
  { caution: 'corrosive', deeds: NEAR_THE_OIL, when: (p) => p.corrosive },
  { caution: 'growth', deeds: NEAR_THE_OIL, when: (p) => p.growth },
  { caution: 'standing', deeds: ['change', 'topUp', 'bleed', 'oilFilter', 'boosterOil', 'sealCup'] },
  { caution: 'lockOut', deeds: [...OPENS_THE_PUMP, ...OPENS_A_LINE] },
  { caution: 'boosterVent', deeds: ['boosterOil', 'sealCup', 'sealCheck', 'inletScreen'], when: (p) => p.booster },
  { caution: 'vent', deeds: [...OPENS_A_LINE, 'housingClean', 'stripClean', 'exhaustFilter'] },
  { caution: 'capacitor', deeds: ['vaneCheck', 'bearings'] },
  { caution: 'drainWarm', deeds: ['change', 'flush', 'housingClean', 'boosterOil'], when: (p) => !p.solvent },
  { caution: 'hotOil', deeds: ['bleed', 'labSample', 'exhaustFilter', 'stripClean', 'vaneCheck'] },
  { caution: 'hotFilter', deeds: ['oilFilter'] },
  { caution: 'hotFilter', deeds: ['change'], when: (p) => p.oilFilter },
  { caution: 'exhaust', deeds: ['purge'] },
  { caution: 'exhaustOpen', deeds: ['purge', 'exhaustFilter'] },
  { caution: 'food', deeds: [...OIL_GOES_IN, 'look', 'labSample', 'bleed'], when: (p) => p.food },
  { caution: 'heavy', deeds: ['vaneCheck', 'stripClean', 'bearings'] },
  { caution: 'tilt', deeds: ['change', 'bleed'] },
  { caution: 'waste', deeds: [...OIL_COMES_OUT] },
  { caution: 'rags', deeds: ['change', 'flush', 'housingClean', 'stripClean', 'exhaustFilter', 'oilFilter'] },
];

function placeOf(state: PumpState, setUp: PumpSetUp): Place {
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
  };
}

/** What to mind at a deed at this pump as it stands now, the gravest first. */
export function cautionsAt(deed: Deed, state: PumpState, setUp: PumpSetUp): CautionId[] {
  const place = placeOf(state, setUp);
  return CAUTIONS_AT.filter((row) => row.deeds.includes(deed) && (row.when?.(place) ?? true)).map((row) => row.caution);
}

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
