import type { Entry, FoundSaid, TestBody } from '../journal/index.js';
import { isFairBlankOff, type BackPressures, type HeldTo } from '../machine/index.js';
import { FINDINGS, type FindingId } from './all-findings.js';
import type { Observation } from './evidence.js';

/** A finding as it is called now: several hPa is relative to the target by now, and water that comes again is a sign of its own. */
export function namedNow<F extends Pick<FoundSaid, 'id' | 'state'>>(found: F): F {
  if (found.id === 'chamberPressure' && found.state === 'severalHpa') return { ...found, state: 'farAbove' };
  if (found.id === 'afterPurge' && found.state === 'waterAgain') return { ...found, id: 'waterAgain', state: 'yes' };
  return found;
}

/** What pressures are held against. @property held null where nothing is known of its blank-off */
type Against = Pick<BackPressures, 'lookPa'> & { readonly held: HeldTo | null };

const isKnown = (id: string): id is FindingId => Object.hasOwn(FINDINGS, id);
const hasState = ({ id, state }: FoundSaid): boolean => isKnown(id) && Object.hasOwn(FINDINGS[id].states, state);

/** What a gauge says where nobody put it into words: at the exhaust, and blanked off against what the pump is held to now. */
function ofMeasured({ findings, measured }: TestBody, { held, lookPa }: Against): FoundSaid[] {
  return (measured ?? []).flatMap((one): FoundSaid[] => {
    if (one.where === 'exhaust' && !findings.some((f) => f.id === 'backPressure'))
      return [{ id: 'backPressure', state: one.pa >= lookPa ? 'raised' : 'low', certainty: 1 }];
    if (!isFairBlankOff(one)) return [];
    const id = one.oil === 'fresh' ? 'pumpPressure' : 'pumpPressureAsIs';
    if (!held || findings.some((f) => f.id === id)) return [];
    return [{ id, state: one.pa > held.limitPa ? 'poor' : 'good', certainty: 1 }];
  });
}

/** What people found by tests or saw, as sure as they were. A finding that this version does not know is passed over. */
export function evidenceOfTests(entries: readonly Entry[], against: Against): Observation[] {
  return entries.flatMap((entry) => {
    if (entry.kind !== 'test') return [];
    const { id: entryId, happenedAt: at, kind } = entry;
    return [...entry.body.findings.map(namedNow), ...ofMeasured(entry.body, against)].flatMap((found): Observation[] =>
      isKnown(found.id) && hasState(found)
        ? [{ id: found.id, state: found.state, at, entryId, kind, sure: found.certainty }]
        : [],
    );
  });
}
