/** What a pump is: oil-sealed vanes, a mechanical booster in front of one, or a dry pump beside it. */
export type PumpKind = 'vane' | 'booster' | 'dry';

/** Every service task that can have limits. Words for them live in the interface. */
export type TaskId =
  | 'look'
  | 'bleed'
  | 'oilChange'
  | 'oilFilter'
  | 'exhaustFilter'
  | 'inletScreen'
  | 'flush'
  | 'boosterOil'
  | 'sealCup'
  | 'sealCheck'
  | 'antiSuckback'
  | 'vaneCheck'
  | 'gaugeCheck'
  | 'blankOff'
  | 'labSample'
  | 'bearings'
  | 'tipSeals'
  | 'purge'
  | 'housingClean'
  | 'stripClean';

export interface Task {
  readonly id: TaskId;
  readonly kinds: readonly PumpKind[];
  /** Which entry says that it was done. Tasks marked `done` are ticked off with a `done` entry. */
  readonly doneBy: 'look' | 'bleed' | 'change' | 'topUp' | 'labSample' | 'test' | 'done';
  readonly needsOilFilter?: true;
}

export const TASKS: readonly Task[] = [
  { id: 'oilChange', kinds: ['vane'], doneBy: 'change' },
  { id: 'bleed', kinds: ['vane'], doneBy: 'bleed' },
  { id: 'look', kinds: ['vane'], doneBy: 'look' },
  { id: 'labSample', kinds: ['vane'], doneBy: 'labSample' },
  { id: 'flush', kinds: ['vane'], doneBy: 'done' },
  { id: 'purge', kinds: ['vane'], doneBy: 'done' },
  { id: 'housingClean', kinds: ['vane'], doneBy: 'done' },
  { id: 'stripClean', kinds: ['vane'], doneBy: 'done' },
  { id: 'oilFilter', kinds: ['vane'], doneBy: 'done', needsOilFilter: true },
  { id: 'exhaustFilter', kinds: ['vane'], doneBy: 'done' },
  { id: 'inletScreen', kinds: ['vane', 'booster'], doneBy: 'done' },
  { id: 'antiSuckback', kinds: ['vane'], doneBy: 'done' },
  { id: 'vaneCheck', kinds: ['vane'], doneBy: 'done' },
  { id: 'gaugeCheck', kinds: ['vane', 'booster', 'dry'], doneBy: 'done' },
  { id: 'blankOff', kinds: ['vane'], doneBy: 'test' },
  { id: 'boosterOil', kinds: ['booster'], doneBy: 'change' },
  { id: 'sealCup', kinds: ['booster'], doneBy: 'topUp' },
  { id: 'sealCheck', kinds: ['booster'], doneBy: 'done' },
  { id: 'bearings', kinds: ['dry'], doneBy: 'done' },
  { id: 'tipSeals', kinds: ['dry'], doneBy: 'done' },
];

export function tasksOf(model: { readonly kind: PumpKind; readonly hasOilFilter: boolean }): Task[] {
  return TASKS.filter((t) => t.kinds.includes(model.kind) && (!t.needsOilFilter || model.hasOilFilter));
}
