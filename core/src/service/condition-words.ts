import type { Condition, Step } from './procedure.js';

/** Of the conditions that procedures and steps go by. */
export const CONDITION_WORDS: Readonly<Partial<Record<Condition, string>>> = {
  oilFilter: 'with an oil filter',
  '!oilFilter': 'without an oil filter',
  solvent: 'with solvent in the oil',
  '!solvent': 'without solvent in the oil',
  '!drained': 'where its oil is not out already',
  '!denser': 'where water sinks in the oil',
  coldTrap: 'with a cold trap',
  oil: 'where it holds oil',
  open: 'where it stands open',
  '!open': 'where it does not stand open',
  capped: 'where it is capped',
  '!capped': 'where it is not capped',
};

/** As a service has left the pump: these do not change while a job goes on. */
export const AS_FOUND: readonly Condition[] = ['drained', '!drained', 'open', '!open', 'capped', '!capped'];

/** Where a step is done at all, as far as it is not a matter of how the pump was found; null where it always is. */
export function onlyWords({ when }: Pick<Step, 'when'>): string | null {
  const words = (when ?? []).flatMap((one) => (AS_FOUND.includes(one) ? [] : [CONDITION_WORDS[one] ?? one]));
  return words.length > 0 ? `Only ${words.join(', ')}.` : null;
}
