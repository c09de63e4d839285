export { loadAbovePaOf, loadByOf } from './load-by.js';
export {
  type LineFound,
  type LinePattern,
  matchLine,
  type PatternIssueCode,
  type PatternRead,
  readPattern,
} from './line-pattern.js';
export {
  type ChannelRead,
  isOfTopic,
  type RawReading,
  READING_ISSUES,
  type ReadingIssueCode,
  readRaw,
  wordsOf,
} from './read-raw.js';
export { type OwnClock, type Placed, readingTimes, type Stamped } from './reading-time.js';
export { type Interval, onIntervals, type Span } from './spans.js';
export {
  forgetBefore,
  type Heard,
  hearSignal,
  type LoadBy,
  nothingHeard,
  RUN_RULES,
  type RunRules,
  runsSeen,
  type SeenRun,
  type SeenRuns,
} from './runs-seen.js';
export { type UsualMaterial, usualMaterial } from './usual-material.js';
