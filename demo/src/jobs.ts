import type { EntryBodies, ProcedureId } from '@winter-jar/core';
import type { LastEntry } from './last-days.js';

type Said = Partial<Omit<EntryBodies['jobStep'], 'step'>>;

/** A service as it went: what was answered, minutes after it began, and how long a wait is that was begun. */
interface Job {
  readonly name: string;
  readonly pumpId: string;
  readonly procedure: ProcedureId;
  readonly hoursBefore: number;
  readonly who: string;
  readonly steps: readonly (readonly [step: string, minutes: number, said?: Said, waitMinutes?: number])[];
}

const MINUTES = 60;

/** It, as entries. */
const begunAndSaid = ({ name, pumpId, procedure, hoursBefore, who, steps }: Job): LastEntry[] => {
  const of = { pumpId, ofJob: name, who };
  return [
    { ...of, kind: 'jobStarted', hoursBefore, name, body: { procedure } },
    ...steps.map(([step, minutes, said, waitMinutes]): LastEntry => {
      const body = { step, visit: 1, phase: 'done', ...said } as const;
      const wait = waitMinutes === undefined ? {} : { waitMinutes };
      return { ...of, ...wait, kind: 'jobStep', hoursBefore: hoursBefore - minutes / MINUTES, body };
    }),
  ];
};

/** A change of oil from the warm pump to the lock; its jar stands to be read. */
const CHANGED: Job = {
  ...{ name: 'changed', pumpId: 'lf-03', procedure: 'oilChange', hoursBefore: 5, who: 'wren' },
  steps: [
    ['warm', 18],
    ['lock', 20],
    ['vent', 22],
    ['fillPlug', 23],
    ['drain', 23.1, { phase: 'begun', oil: 'out' }, 10],
    ['drain', 34],
    ['tilt', 36],
    ['rinse', 38],
    ['out', 40, { value: 940 }],
    ['jar', 44],
    ['seal', 47],
    ['fill', 53, { value: 1000, oil: 'in' }],
    ['levelBase', 54],
    ['plug', 55],
    ['shortRun', 57],
    ['comesDown', 62],
    ['level', 64, { choice: 'right' }],
    ['unlock', 66],
  ],
};

/** Wet powder has been through it, and it cools down: with solvent in the oil it is not drained warm. */
const COOLS: Job = {
  ...{ name: 'cools', pumpId: 'rl-01', procedure: 'oilChange', hoursBefore: 0.5, who: 'corin' },
  steps: [['cool', 0.1, { phase: 'begun' }, 60]],
};

/** Begun this morning; the O-ring that it needs comes with the post. */
const WAITS_FOR_PART: Job = {
  ...{ name: 'part', pumpId: 'qp-03', procedure: 'inlet', hoursBefore: 4, who: 'maud' },
  steps: [
    ['lock', 3],
    ['vent', 4],
    ['off', 9, { pump: 'open' }],
    ['screen', 15],
  ],
};

/** Services of the last hours: one done with its card, one under way, one to finish today. */
export const JOBS: readonly LastEntry[] = [
  ...begunAndSaid(CHANGED),
  {
    ...{ pumpId: 'lf-03', ofJob: 'changed', who: 'wren', kind: 'change', hoursBefore: 5 - 66 / MINUTES },
    body: { sump: 'oil', productId: 'linnet-68', outMl: 940, inMl: 1000, levelAfter: 'right', jarKept: true },
  },
  {
    ...{ pumpId: 'lf-03', ofJob: 'changed', who: 'wren', kind: 'jobEnded', hoursBefore: 5 - 66.1 / MINUTES },
    body: { how: 'done' },
  },
  ...begunAndSaid(COOLS),
  ...begunAndSaid(WAITS_FOR_PART),
  {
    ...{ pumpId: 'qp-03', ofJob: 'part', who: 'maud', kind: 'jobMoved', hoursBefore: 4 - 16 / MINUTES },
    body: { how: 'paused' },
  },
];
