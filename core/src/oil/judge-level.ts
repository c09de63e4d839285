import type { LookBody, OilWent } from '../journal/index.js';
import type { FindingOf, OilFinding } from './finding.js';
import type { Judge } from './judge.js';

/**
 * Level is a task: below MIN a top-up, above MAX drain to the mark (looking for water first where nothing was added),
 * a hair outside a look, nothing in the glass stops the pump until somebody says where the oil went.
 */
export function levelFinding(
  level: NonNullable<LookBody['level']>,
  { addedSinceLevel = true }: { addedSinceLevel?: boolean } = {},
): FindingOf<'level'> | null {
  const nothingAdded = !addedSinceLevel;
  switch (level) {
    case 'right':
      return null;
    case 'none':
      return { code: 'level', found: 'none', level: 'stop', act: 'topUp', answeredBy: 'whereItWent', nothingAdded };
    case 'low':
      return { code: 'level', found: 'low', level: 'beforeNextRun', act: 'topUp', answeredBy: 'topUp', nothingAdded };
    case 'hair':
      return { code: 'level', found: 'hair', level: 'lookSooner', act: 'look', answeredBy: 'look', nothingAdded };
    case 'high':
      return {
        code: 'level',
        found: 'high',
        level: 'beforeNextRun',
        act: 'drainToMark',
        answeredBy: 'drainToMark',
        nothingAdded,
      };
  }
}

/** It is filled up again; where its oil went may happen again. */
export const oilLost = (where: OilWent): FindingOf<'oilLost'> => ({
  code: 'oilLost',
  level: 'lookSooner',
  act: 'look',
  answeredBy: 'look',
  where,
});

/** No oil stood in the glass, and filled up it stands right: a Stop still until somebody says where the oil went. */
export const filledUp = <F extends OilFinding>(none: F): F => ({ ...none, act: 'findCause', filled: true });

/** Oil was filled and nobody said how high it stands: somebody looks, and until then it is no better than it was. */
export function levelNotTold(before: Pick<OilFinding, 'level'> | undefined): FindingOf<'level'> {
  const level = before?.level ?? 'lookSooner';
  return { code: 'level', found: 'notTold', level, act: 'look', answeredBy: 'look', nothingAdded: false };
}

export const judgeLevel: Judge = ({ look, charge }) => (look.level ? levelFinding(look.level, charge) : null);

/** Oil thrown from the exhaust after the first five minutes of pump-down: the pump is losing what seals it. */
export const judgeThrownOil: Judge = ({ look }) => (look.thrownFromExhaust ? THROWN_OIL : null);

/** The same from a look and from a test. */
export const THROWN_OIL: FindingOf<'thrownOil'> = {
  code: 'thrownOil',
  level: 'stop',
  act: 'inspect',
  answeredBy: 'inspect',
};
