import type { OwnStep } from '../set-up/index.js';
import type { Step } from './procedure.js';
import { PROCEDURES } from './procedures/index.js';
import { isProcedure, type ProcedureId } from './procedures/procedure-names.js';

/** Other steps lead to it, or follow from it. */
function isReferredTo({ id }: Step, steps: readonly Step[]): boolean {
  return steps.some(
    (step) =>
      step.then === id ||
      (step.kind === 'do' && step.shows === id) ||
      step.onlyAfter?.step === id ||
      (step.kind === 'measure' && step.byGlass === id) ||
      (step.kind === 'choose' && step.choices.some(({ goTo }) => goTo === id)),
  );
}

/** Whether a house may leave it out: nothing of it can hurt, nothing is recorded of it, and nothing else needs it. */
export const mayLeaveOut = (step: Step, steps: readonly Step[]): boolean =>
  step.kind === 'do' &&
  !step.shows &&
  !step.overhauls &&
  !step.risks?.length &&
  !step.cautions?.length &&
  !step.does?.length &&
  !step.uses?.length &&
  !step.oil &&
  !step.pump &&
  !isReferredTo(step, steps);

/** Whether a step in addition is come to there every time: not where something leads past it. */
export const mayAdd = (way: 'before' | 'after', step: Step): boolean =>
  !step.onlyAfter && (way === 'before' || !step.then);

/** What is wrong with a step of a house's own; null where nothing is. Both the door and the page go by it. */
export type OwnStepIssue = 'procedure' | 'step' | 'leaveOut' | 'place' | 'words';
export function ownStepIssue({ procedure, step: id, way, words }: OwnStep): OwnStepIssue | null {
  if (!isProcedure(procedure)) return 'procedure';
  const { steps } = PROCEDURES[procedure];
  const step = steps.find((one) => one.id === id);
  if (!step) return 'step';
  if (way === 'leaveOut') return mayLeaveOut(step, steps) ? null : 'leaveOut';
  if (way !== 'reword' && !mayAdd(way, step)) return 'place';
  return words?.trim() ? null : 'words';
}

const OWN_MINUTES = 2;
export const OWN_STEP = 'own.';

const added = ({ id, words, minutes, photoId }: OwnStep): Step => ({
  ...{ id: `${OWN_STEP}${id}`, kind: 'do', words: words ?? '', minutes: minutes ?? OWN_MINUTES },
  own: { id, photoId: photoId ?? null },
});

/** A step in the house's words. What can hurt, what is measured and where it leads stay as they are. */
function reworded(step: Step, { id, words, photoId }: OwnStep): Step {
  const own = { id, insteadOf: step.words, photoId: photoId ?? null };
  const said = { words: words ?? step.words, own };
  if (step.kind !== 'wait' || !step.filled) return { ...step, ...said };
  const { opens, rest } = step.filled;
  return { ...step, ...said, filled: opens === undefined ? { rest: said.words } : { opens: said.words, rest } };
}

/** The steps of a procedure as a house does them at a model. What does not fit them, as after an update, is passed over. */
export function withOwnSteps(procedure: ProcedureId, ownSteps: readonly OwnStep[] | null | undefined): readonly Step[] {
  const { steps } = PROCEDURES[procedure];
  const own = (ownSteps ?? []).filter((one) => one.procedure === procedure && ownStepIssue(one) === null);
  if (own.length === 0) return steps;
  return steps.flatMap((step): Step[] => {
    const of = (way: OwnStep['way']) => own.filter((one) => one.step === step.id && one.way === way);
    const words = of('reword').at(-1);
    const itself = of('leaveOut').length > 0 ? [] : [words ? reworded(step, words) : step];
    return [...of('before').map(added), ...itself, ...of('after').map(added)];
  });
}
