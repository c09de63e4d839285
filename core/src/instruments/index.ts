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
