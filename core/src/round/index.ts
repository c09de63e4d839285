export {
  inNeedOfHands,
  onTheRound,
  roundOf,
  roundRow,
  rowOf,
  type NextTask,
  type RoundRow,
  type RunningRun,
} from './round-row.js';
