import type { PumpState } from '../fold/index.js';
import type { Entry, EntryKind } from '../journal/index.js';
import { labReadingOf, type Finding as OfVerdict, type FindingCode } from '../oil/index.js';
import type { MachineCode, MachineFinding } from '../machine/index.js';
import type { FindingId, StateOf } from './all-findings.js';
import { LEAST_CERTAINTY, observed, type Evidence, type Observation } from './evidence.js';
import { PARTICLE_SIGNS, SMELL_SIGNS } from './look-signs.js';

type Sign = { [F in FindingId]: readonly [id: F, state: StateOf<F>] }[FindingId];

/** What each finding of the verdict is among the signs of the diagnosis; the compiler checks that none is forgotten. */
const SIGNS_OF: { readonly [C in FindingCode]: (found: Extract<OfVerdict, { code: C }>) => readonly Sign[] } = {
  // So much of the charge: whether it is more than its runs explain is another finding.
  water: () => [],
  waterAboveExpected: ({ level }) => [['water', level === 'lookSooner' ? 'more' : 'farMore']],
  waterAtPickUp: () => [],
  levelFromWater: () => [['level', 'high']],
  cream: () => [['cream', 'yes']],
  creamThroughout: () => [
    ['cream', 'yes'],
    ['haze', 'hazy'],
  ],
  clarity: () => [['haze', 'hazy']],
  colour: ({ level }) => [['colour', level === 'lookSooner' ? 'darker' : 'farDarker']],
  darkAgain: () => [['darkAfterChange', 'yes']],
  sludge: () => [['sludge', 'yes']],
  particles: ({ kinds }) =>
    kinds.flatMap((kind): Sign[] => {
      const id = kind === 'brown' ? null : PARTICLE_SIGNS[kind];
      return id ? [[id, 'yes']] : [];
    }),
  smell: ({ smell }) => [['smell', SMELL_SIGNS[smell]]],
  foam: () => [['foam', 'yes']],
  // A hair outside the marks is neither low nor high, and of what nobody read nothing is known.
  level: ({ found }) => (found === 'hair' || found === 'notTold' ? [] : [['level', found === 'high' ? 'high' : 'low']]),
  oilLost: ({ where }) => (where === 'exhaust' ? [['exhaustMist', 'thrown']] : [['level', 'low']]),
  thrownOil: () => [['exhaustMist', 'thrown']],
  viscosity: ({ thinner }) => [['thickness', thinner ? 'thin' : 'thick']],
  labWater: () => [],
  iron: () => [['iron', 'raised']],
  silicon: ({ withAluminium }) => [['silicon', withAluminium ? 'withAluminium' : 'alone']],
  particleCode: () => [['particleCode', 'raised']],
  ironRate: () => [['iron', 'raised']],
  wear: () => [['iron', 'raised']],
  acid: () => [['acid', 'raised']],
  base: () => [['acid', 'raised']],
  otherProduct: () => [['productChanged', 'yes']],
  unknownAge: () => [],
  goneCharge: () => [],
};

/** The same of what the pump itself says. */
const MACHINE_SIGNS_OF: {
  readonly [C in MachineCode]: (found: MachineFinding & { readonly code: C }) => readonly Sign[];
} = {
  poorVacuum: ({ where, isFar }) =>
    where === 'pump'
      ? [['pumpPressureAsIs', 'poor']]
      : where === 'hoseEnd'
        ? [['hosePressure', 'poor']]
        : [['chamberPressure', isFar ? 'farAbove' : 'poor']],
  overGood: () => [['pumpPressureAsIs', 'poor']],
  backPressure: ({ blocked }) => [['backPressure', blocked ? 'blocked' : 'raised']],
  runsHot: () => [['ranHot', 'yes']],
  resinInOil: () => [['thickness', 'gels']],
  swallowed: () => [['swallowed', 'yes']],
  grinding: () => [['noise', 'grinding']],
  louder: () => [['noise', 'louder']],
  stiff: () => [['starts', 'stiff']],
  trips: () => [['starts', 'trips']],
  slowStart: () => [['starts', 'slow']],
  moreCurrent: () => [['current', 'higher']],
  hotterCase: () => [['caseTemp', 'hotter']],
  oilUse: () => [['levelTrend', 'falling']],
  toppedUpOften: () => [['levelTrend', 'falling']],
  sealCupLeak: () => [['boosterOil', 'low']],
  // Level and water are looked at: neither is known yet.
  levelHolds: () => [],
};

const signsOf = (found: OfVerdict): readonly Sign[] =>
  (SIGNS_OF[found.code] as (f: OfVerdict) => readonly Sign[])(found);

const kindOf = (found: OfVerdict): EntryKind =>
  labReadingOf(found) ? 'labResult' : found.code === 'otherProduct' ? 'change' : 'look';

/** What the verdict holds until it is answered, as signs: of the oil, and of the pump itself. */
export const evidenceOfVerdict = ({ sumps, machine }: PumpState): Observation[] => [
  ...(sumps.find((s) => s.key === 'oil')?.findings ?? []).flatMap((found) =>
    signsOf(found).map(([id, state]) => {
      const source = { id: found.entryId, kind: kindOf(found), happenedAt: found.at } as Entry;
      return observed(source, id, state as never);
    }),
  ),
  ...machine.flatMap((found) =>
    (MACHINE_SIGNS_OF[found.code] as (f: MachineFinding) => readonly Sign[])(found).map(([id, state]) => {
      const kind =
        found.code === 'runsHot' || (found.code === 'poorVacuum' && found.where === 'chamber')
          ? 'run'
          : machineKind(found.code);
      return observed({ id: found.entryId, kind, happenedAt: found.at } as Entry, id, state as never);
    }),
  ),
];

const machineKind = (code: MachineCode): EntryKind =>
  code === 'oilUse' || code === 'toppedUpOften' || code === 'sealCupLeak' ? 'topUp' : 'test';

/**
 * What stands in the verdict has been answered by nothing: no reading overrules it, such as a jar that had not stood its time, and it
 * never fades so far that it counts as not known. Somebody who says of it that it is not so has the last word here.
 */
export function withVerdict(known: readonly Evidence[], verdict: readonly Evidence[]): Evidence[] {
  const standing = verdict.flatMap((one) => {
    const said = known.find((k) => k.id === one.id);
    if (said?.kind === 'test' && said.at > one.at) return [];
    // The look or report itself says it nearer to its words.
    const same = said?.state === one.state ? said : one;
    return [{ ...same, certainty: Math.max(same.certainty, LEAST_CERTAINTY) }];
  });
  return [...known.filter((k) => !standing.some((s) => s.id === k.id)), ...standing];
}
