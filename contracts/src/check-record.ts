import {
  jarShapeIssue,
  type JarShape,
  type OwnStep,
  type OwnStepIssue,
  ownStepIssue,
  type PumpKind,
  type PumpModel,
  type SetUpKind,
  type SumpKey,
} from '@winter-jar/core';
import { checkShape, type Checked, type FieldIssue } from './check-entry.js';
import { SET_UP_CLASSES } from './set-up.js';

/** The sumps that a pump of each kind has. */
export const SUMPS_OF: Readonly<Record<PumpKind, readonly SumpKey[]>> = {
  vane: ['oil'],
  booster: ['gearA', 'gearB', 'sealCup'],
  dry: [],
};

function modelIssues(model: PumpModel): FieldIssue[] {
  const wanted = SUMPS_OF[model.kind];
  const keys = model.sumps.map((s) => s.key);
  if (keys.join() !== wanted.join()) {
    const right = wanted.length > 0 ? `the sumps ${wanted.join(', ')}, in this order` : 'no sump: it holds no oil';
    return [{ field: 'sumps', value: keys.join(', '), code: 'wrongSumps', right }];
  }
  const { exhaustLookPa, exhaustRenewPa } = model;
  if (exhaustLookPa && exhaustRenewPa && exhaustRenewPa < exhaustLookPa) {
    const right = `at least what it is looked at from, ${exhaustLookPa} Pa`;
    return [{ field: 'exhaustRenewPa', value: exhaustRenewPa, code: 'doesNotFit', right }];
  }
  return model.sumps.flatMap((sump, i): FieldIssue[] => {
    const tooMuch = (field: keyof typeof sump, right: string): FieldIssue[] => [
      { field: `sumps.${i}.${field}`, value: sump[field], code: 'doesNotFit', right },
    ];
    if (sump.housingMl < sump.chargeMl) return tooMuch('housingMl', `at least the charge, ${sump.chargeMl} mL`);
    if (sump.holdUpMl >= sump.chargeMl) return tooMuch('holdUpMl', `less than the charge, ${sump.chargeMl} mL`);
    if ((sump.betweenMarksMl ?? 0) > sump.chargeMl)
      return tooMuch('betweenMarksMl', `at most the charge, ${sump.chargeMl} mL`);
    return [];
  });
}

const JAR_RIGHT = {
  tooFew: 'at least two heights: the bottom and the top',
  notFromBottom: '0 mm and 0 mL first, the inside bottom',
  notRising: 'heights and volumes that rise from the bottom to the top',
} as const;

function jarIssues({ points }: JarShape): FieldIssue[] {
  const issue = jarShapeIssue(points);
  return issue ? [{ field: 'points', value: points.length, code: issue, right: JAR_RIGHT[issue] }] : [];
}

/** Shape of one record of the set-up, and what its fields say about one another. Fields are named under `prefix`. */
export function checkRecord(kind: SetUpKind, body: unknown, prefix = ''): Checked<object> {
  const shape = checkShape<object>(SET_UP_CLASSES[kind], body, prefix);
  if (!shape.ok) return shape;
  const issues = relationIssues(kind, shape.value);
  if (issues.length === 0) return shape;
  return { ok: false, issues: issues.map((i) => ({ ...i, field: prefix ? `${prefix}.${i.field}` : i.field })) };
}

const OWN_STEP_RIGHT: Readonly<Record<OwnStepIssue, readonly [keyof OwnStep, string]>> = {
  procedure: ['procedure', 'the id of a procedure of docs/service.md'],
  step: ['step', 'the id of a step of that procedure'],
  leaveOut: ['way', 'reword: a step with a caution, a value or something that follows from it is not left out'],
  place: ['step', 'a step that is come to every time'],
  words: ['words', 'what is to be done'],
};

const ownStepIssues = ({ ownSteps }: PumpModel): FieldIssue[] =>
  (ownSteps ?? []).flatMap((own, i): FieldIssue[] => {
    const issue = ownStepIssue(own);
    if (!issue) return [];
    const [field, right] = OWN_STEP_RIGHT[issue];
    return [{ field: `ownSteps.${i}.${field}`, value: own[field], code: 'doesNotFit', right }];
  });

function relationIssues(kind: SetUpKind, body: object): FieldIssue[] {
  if (kind === 'pumpModel') return [...modelIssues(body as PumpModel), ...ownStepIssues(body as PumpModel)];
  return kind === 'jarShape' ? jarIssues(body as JarShape) : [];
}
