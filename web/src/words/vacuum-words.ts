import type {
  FigureRead,
  GaugeKind,
  JudgedLog,
  LeftOut,
  LogDoubt,
  LogIssueCode,
  LogOf,
  LogUnit,
  LogVerdict,
  PressureReference,
  PumpDownNote,
  RiseNote,
  Separator,
} from '@winter-jar/core';
import type { Print } from '../device/use-print.js';

export const LOG_OF_WORDS: Readonly<Record<LogOf, string>> = { rise: 'rise of pressure', pumpDown: 'pump-down' };

export const GAUGE_WORDS: Readonly<Record<GaugeKind, string>> = {
  capacitance: 'capacitance, or another that reads every gas alike',
  thermal: 'thermal: Pirani or thermocouple',
};

/** A verdict as the heading of its page. */
const RISES: Readonly<Record<LogVerdict, string>> = {
  tight: 'Tight and dry',
  leak: 'A leak',
  moisture: 'Moisture, and no leak to look for',
  leakAndMoisture: 'A leak, and moisture as well',
  undecided: 'This record does not tell',
  asGood: '',
  wornOrDirty: '',
  restriction: '',
};
const PUMP_DOWNS: Readonly<Record<LogVerdict, string>> = {
  tight: '',
  leakAndMoisture: '',
  asGood: 'Pumps down as it should',
  leak: 'Fast as it should be, but it ends too high: a leak, or oil that is not clean',
  wornOrDirty: 'Slow, and it ends too high: a worn pump, or dirty oil',
  restriction: 'Slow where the gas is thin: something narrow in the way',
  moisture: 'Held up by moisture',
  undecided: 'This record does not tell',
};
/** A leak that is not why the set pumps badly. */
const SMALL_RISES: Readonly<Partial<Record<LogVerdict, string>>> = {
  leak: 'A small leak',
  leakAndMoisture: 'A small leak, and moisture as well',
};
/** @param small the leak is too small to matter to this set */
export const verdictOfLog = (of: LogOf, verdict: LogVerdict, small = false): string =>
  (of === 'rise' && small ? SMALL_RISES[verdict] : undefined) ?? (of === 'rise' ? RISES : PUMP_DOWNS)[verdict];

/** What to do then, in one sentence. */
const THEN: Readonly<Record<LogVerdict, string>> = {
  tight: 'Nothing to look for here.',
  leak: 'Hunt it: gaskets, drain, hoses, then each valve, turned while somebody watches the gauge.',
  moisture: 'Dry the chamber, with its trap warm and open, and test again: what is left then is leak.',
  leakAndMoisture: 'Dry the chamber and test again: the leak alone is what goes on straight.',
  undecided: 'Log it longer, from a lower pressure, with the chamber empty and dry.',
  asGood: 'Nothing to look for here.',
  wornOrDirty: 'Change the oil, warm it through, and blank the pump off: still poor, it is the pump itself.',
  restriction: 'Look at the inlet screen, the anti-suckback valve, the in-line filter and the hose.',
};

const SMALL_THEN: Readonly<Partial<Record<LogVerdict, string>>> = {
  leak: 'Too small to be why it pumps badly: look elsewhere. Note it, and see whether it grows.',
  leakAndMoisture: 'The leak is too small to be why it pumps badly. Dry the chamber, and test again.',
};
export const thenWords = (verdict: LogVerdict, small: boolean): string =>
  (small ? SMALL_THEN[verdict] : undefined) ?? THEN[verdict];

/** A leak in the person's unit of pressure: 1 Pa·m³/s is 1000 Pa·L/s. */
export const leakWords = (leakPaM3PerS: number, print: Pick<Print, 'pressure'>): string =>
  `${print.pressure(leakPaM3PerS * 1000)}·L/s`;

/** Between which figures at least eight in ten lie. */
export const rangeWords = ({ p10, p90 }: FigureRead, one: (value: number) => string): string =>
  p10 <= 0 ? `at most ${one(p90)}` : `eight in ten: ${one(p10)} to ${one(p90)}`;

/** What a test with a log found, for a line of a journal. */
export function logWords(log: JudgedLog, print: Pick<Print, 'pressure'>): string {
  const leaks = log.verdict === 'leak' || log.verdict === 'leakAndMoisture';
  const leak = leaks && log.leakPaM3PerS ? `, ${leakWords(log.leakPaM3PerS.p50, print)}` : '';
  return `${LOG_OF_WORDS[log.of]}: ${lower(verdictOfLog(log.of, log.verdict))}${leak}`;
}
const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

export const NOTE_WORDS: Readonly<Record<RiseNote | PumpDownNote, string>> = {
  tooShort: 'The record is short for what it shows: three times as long would tell more.',
  nearAtmosphere: 'It comes near the air’s own pressure: from there on a leak lets in less than it would into vacuum.',
  leakOrMoisture: 'A slow leak and slow moisture look alike in it.',
  atSaturation: 'It levels off where water of this warmth does: ice or free water stands in there.',
  aboveSaturation: 'It would level off above what water of this warmth can: solvent, or air that is shut in somewhere.',
  gaugeSteps: 'The gauge jumped where it changed its range: that is taken out.',
  changedUnderWay: 'Something changed under way, such as a valve: only the longer part is judged.',
  fewReadings: 'Too few readings in the part that counts.',
  thermalAbove: 'A thermal gauge hardly tells pressures above 10 hPa apart: it is judged from there down.',
  notFromAmbient: 'It does not begin at the air’s own pressure: the speed rests on less.',
  leakOrUltimate: 'A leak and oil that is not clean look alike in it: blank off the pump to tell them apart.',
  speedAboveRated: 'Faster than the plate says: is the volume right?',
};

export const UNIT_WORDS: Readonly<Record<LogUnit, string>> = {
  hPa: 'hPa',
  mbar: 'mbar',
  Pa: 'Pa',
  kPa: 'kPa',
  Torr: 'Torr',
  mTorr: 'mTorr, micron',
  bar: 'bar',
  µbar: 'µbar',
  mPa: 'mPa',
  psi: 'psi',
  inHg: 'inHg',
  cmHg: 'cmHg',
  '%': 'percent',
};
export const REFERENCE_WORDS: Readonly<Record<PressureReference, string>> = {
  absolute: 'absolute',
  gauge: 'over the air around (negative in vacuum)',
  belowAmbient: 'below the air around',
  percentVacuum: 'percent of vacuum',
};
export const SEPARATOR_WORDS: Readonly<Record<Separator, string>> = {
  '\t': 'tabs',
  ';': 'semicolons',
  '|': 'bars',
  ',': 'commas',
  ' ': 'blanks',
};

/** What is taken for granted until somebody says it. */
export const DOUBT_WORDS: Readonly<Record<LogDoubt, string>> = {
  dayOrder: 'day or month first',
  elapsedUnit: 'seconds, since nothing says what the time is in',
  zone: 'the zone of its clock',
  start: 'when it began',
  step: 'how far its rows are apart',
  unitByAmbient: 'the unit, by its highest reading being the air around',
  reference: 'what the readings count from',
  ambient: 'the air around, 1013 hPa',
  clockParts: 'hours and minutes, not minutes and seconds',
  decimal: 'the decimal mark',
};

export const LEFT_OUT_WORDS: Readonly<Record<LeftOut, string>> = {
  blank: 'without a reading',
  over: 'over the range',
  under: 'under the range',
  word: 'with a word in place of a number',
  noTime: 'without a time',
  belowZero: 'at or below nothing',
  tooHigh: 'higher than a vacuum gauge reads',
};

/** Why a log cannot be read, and what would help. */
export const LOG_ISSUE_WORDS: Readonly<Record<LogIssueCode, string>> = {
  empty: 'Nothing stands in this file. Right would be an export of a gauge, as text.',
  noReadings: 'No row of it holds a number. Right would be rows with a time and a pressure.',
  unitUnknown: 'Nothing says which unit it is in. Choose it.',
  timeUnknown: 'Its rows have no time. Say how many seconds they are apart.',
  tooFew: 'It holds fewer than two readings. Right would be a log of some minutes.',
  lineTooLong: 'A line in it does not end. Right would be a text of rows, such as CSV.',
  noText: 'This is no text. Right would be an export as CSV or text.',
};
