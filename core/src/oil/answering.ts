import type { TaskId } from '../limits/index.js';
import type { Act, AnsweredBy, Finding, OilFinding } from './finding.js';

/** Findings that end only with two deeds: work at the pump, and clean oil (docs/trade.md 6). */
interface TwoDeeds {
  readonly work: readonly TaskId[];
  readonly act: Act;
  /** The work drains the oil: only a charge that is filled with it, or after it, is clean. */
  readonly workFirst: boolean;
}

const TWO_DEEDS: { readonly [A in AnsweredBy]?: TwoDeeds } = {
  inspectAndChange: { work: ['vaneCheck'], act: 'inspect', workFirst: false },
  flushAndChange: { work: ['flush', 'housingClean', 'stripClean'], act: 'washHousing', workFirst: true },
  washAndChange: { work: ['housingClean', 'stripClean'], act: 'washHousing', workFirst: true },
  stripAndChange: { work: ['stripClean'], act: 'stripClean', workFirst: true },
};
const ONE_DEED: { readonly [A in AnsweredBy]?: readonly TaskId[] } = {
  flush: ['flush', 'housingClean', 'stripClean'],
  inspect: ['vaneCheck', 'exhaustFilter'],
};

/**
 * What fresh oil does not answer: metal, solvent, growth, a housing full of sludge, oil that was dark again at once, oil thrown out.
 * Metal of a pump that is being run in goes out with the change.
 */
export const outlivesChange = ({ answeredBy, code }: OilFinding): boolean =>
  Boolean(TWO_DEEDS[answeredBy]) ||
  answeredBy === 'changeThenViscosity' ||
  code === 'darkAgain' ||
  code === 'thrownOil';

/** A finding after a change of the oil: what is left of it to do, or null where it is answered. */
export function afterChange(finding: Finding, at: string): Finding | null {
  if (!outlivesChange(finding)) return null;
  const deeds = TWO_DEEDS[finding.answeredBy];
  if (deeds && finding.half?.done === 'pump') return null;
  const half = { done: 'oil', at } as const;
  if (deeds) return { ...finding, act: deeds.act, half };
  return finding.answeredBy === 'changeThenViscosity' ? { ...finding, act: 'sample', half } : finding;
}

/** A finding after a task was ticked off: what is left of it to do, or null where it is answered. */
export function afterWork(finding: Finding, task: TaskId, at: string): Finding | null {
  if (ONE_DEED[finding.answeredBy]?.includes(task)) return null;
  const deeds = TWO_DEEDS[finding.answeredBy];
  if (!deeds?.work.includes(task)) return finding;
  if (finding.half?.done === 'oil' && (!deeds.workFirst || finding.half.at === at)) return null;
  return { ...finding, act: 'change', half: { done: 'pump', at } };
}

/** A finding of water after a bleed or a purge: what was asked for is done, and a look shows what is left. */
export function afterDraining<F extends OilFinding>(finding: F, at: string): F {
  const asked = finding.act === 'bleed' || finding.act === 'purge';
  return asked && finding.answeredBy === 'bleedOrPurgeThenLook' ? { ...finding, act: 'look', drainedAt: at } : finding;
}

/**
 * Solvent in the oil, after a report on the oil that took its place: within the limit of what is thin it is gone, else the new oil
 * has taken it up and goes too.
 */
export function afterViscosity(finding: Finding, isThin: boolean): Finding | null {
  if (finding.answeredBy !== 'changeThenViscosity' || finding.half?.done !== 'oil') return finding;
  if (!isThin) return null;
  const { half: _, ...again } = finding;
  return { ...again, act: 'change' };
}
