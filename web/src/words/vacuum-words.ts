import type {
  BagNote,
  CyclesNote,
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
  UltimateNote,
} from '@winter-jar/core';
import { number } from '../ui/number.js';
import type { Print } from '../device/use-print.js';

export const LOG_OF_WORDS: Readonly<Record<LogOf, string>> = {
  rise: 'rise of pressure',
  pumpDown: 'pump-down',
  ultimate: 'pump blanked off',
  bagDrop: 'bag drop test',
  cycles: 'cycle pull-down',
};

export const GAUGE_WORDS: Readonly<Record<GaugeKind, string>> = {
  capacitance: 'capacitance, or another that reads every gas alike',
  thermal: 'thermal: Pirani or thermocouple',
};

interface SaidOfLog {
  /** The heading of its page. */
  readonly is: string;
  /** What to do then, in one sentence. */
  readonly then: string;
}
const NOT_TOLD = 'This record does not tell';
const NOTHING_TO_LOOK_FOR = 'Nothing to look for here.';

const SAID: Readonly<Record<LogOf, Readonly<Partial<Record<LogVerdict, SaidOfLog>>>>> = {
  rise: {
    tight: { is: 'Tight and dry', then: NOTHING_TO_LOOK_FOR },
    leak: {
      is: 'A leak',
      then: 'Hunt it: gaskets, drain, hoses, then each valve, turned while somebody watches the gauge.',
    },
    moisture: {
      is: 'Moisture, and no leak to look for',
      then: 'Dry the chamber, with its trap warm and open, and test again: what is left then is leak.',
    },
    leakAndMoisture: {
      is: 'A leak, and moisture as well',
      then: 'Dry the chamber and test again: the leak alone is what goes on straight.',
    },
    undecided: { is: NOT_TOLD, then: 'Log it longer, from a lower pressure, with the chamber empty and dry.' },
  },
  pumpDown: {
    asGood: { is: 'Pumps down as it should', then: NOTHING_TO_LOOK_FOR },
    leak: {
      is: 'Fast as it should be, but it ends too high: a leak, or oil that is not clean',
      then: 'Blank the pump off: good by itself, hunt the leak; poor, it is the oil or the pump.',
    },
    wornOrDirty: {
      is: 'Slow, and it ends too high: a worn pump, or dirty oil',
      then: 'Change the oil, warm it through, and blank the pump off: still poor, it is the pump itself.',
    },
    restriction: {
      is: 'Slow where the gas is thin: something narrow in the way',
      then: 'Look at the inlet screen, the anti-suckback valve, the in-line filter and the hose.',
    },
    moisture: {
      is: 'Held up by moisture',
      then: 'Dry the chamber, with its trap warm and open, and test again: what is left then is leak.',
    },
    undecided: { is: NOT_TOLD, then: 'Log it longer, from the air’s own pressure on, with the chamber empty and dry.' },
  },
  ultimate: {
    asGood: {
      is: 'The pump by itself is good',
      then: 'Poor at the chamber, it is upstream: a leak, moisture, or something narrow.',
    },
    wornOrDirty: {
      is: 'The pump by itself ends too high',
      then: 'Purge it warm with the ballast open and measure again; still poor, change the oil and measure with that.',
    },
    undecided: { is: NOT_TOLD, then: 'Log it until it stands: pump warm, ballast closed, half an hour.' },
  },
  bagDrop: {
    holds: { is: 'The bag holds', then: NOTHING_TO_LOOK_FOR },
    drops: {
      is: 'The bag drops too fast',
      then: 'Listen along the sealant, the pleats, the ports and the tubing; press down, and test again before resin goes in.',
    },
    undecided: {
      is: NOT_TOLD,
      then: 'Log it for ten minutes, gauge at the far end, valve closed, nobody near the bag.',
    },
  },
  cycles: {
    asGood: { is: 'Pulls down as fast as it should', then: NOTHING_TO_LOOK_FOR },
    slow: {
      is: 'Pulls down too slowly',
      then: 'Lid gasket and seal bar first, then inlet screen, filter and hose; then blank the pump off.',
    },
    undecided: {
      is: NOT_TOLD,
      then: 'Log some cycles, empty, with ten readings a second or more; three tests make its own usual.',
    },
  },
};

/** A leak that is not why the set pumps badly. */
const SMALL: Readonly<Partial<Record<LogVerdict, SaidOfLog>>> = {
  leak: {
    is: 'A small leak',
    then: 'Too small to be why it pumps badly: look elsewhere. Note it, and see whether it grows.',
  },
  leakAndMoisture: {
    is: 'A small leak, and moisture as well',
    then: 'The leak is too small to be why it pumps badly. Dry the chamber, and test again.',
  },
};

const saidOf = (of: LogOf, verdict: LogVerdict, small: boolean): SaidOfLog | undefined =>
  (of === 'rise' && small ? SMALL[verdict] : undefined) ?? SAID[of][verdict];

/** @param small the leak is too small to matter to this set */
export const verdictOfLog = (of: LogOf, verdict: LogVerdict, small = false): string =>
  saidOf(of, verdict, small)?.is ?? NOT_TOLD;

export const thenWords = (of: LogOf, verdict: LogVerdict, small: boolean): string =>
  saidOf(of, verdict, small)?.then ?? '';

/** What the lines of a drawing are: as fitted, and what that is held against. */
export const LINES_WORDS: Readonly<Record<LogOf, { readonly fitted: string | null; readonly against: string }>> = {
  rise: { fitted: 'both together', against: 'leak alone, straight' },
  pumpDown: { fitted: 'as fitted', against: 'where it ends' },
  ultimate: { fitted: 'where it stands', against: 'its limit' },
  bagDrop: { fitted: 'the straight part', against: 'its limit' },
  cycles: { fitted: null, against: 'the set pressure' },
};

/** A leak in the person's unit of pressure: 1 Pa·m³/s is 1000 Pa·L/s. */
export const leakWords = (leakPaM3PerS: number, print: Pick<Print, 'pressure'>): string =>
  `${print.pressure(leakPaM3PerS * 1000)}·L/s`;

/** Between which figures at least eight in ten lie. */
export const rangeWords = ({ p10, p90 }: FigureRead, one: (value: number) => string): string =>
  p10 <= 0 ? `at most ${one(p90)}` : `eight in ten: ${one(p10)} to ${one(p90)}`;

/** What a test with a log found, for a line of a journal. */
export function logWords(log: JudgedLog, print: Pick<Print, 'pressure'>): string {
  const said = `${LOG_OF_WORDS[log.of]}: ${lower(verdictOfLog(log.of, log.verdict))}`;
  return [said, figureWords(log, print)].filter(Boolean).join(', ');
}
/** The figure that a log's verdict rests on. */
function figureWords(log: JudgedLog, print: Pick<Print, 'pressure'>): string {
  const leaks = log.verdict === 'leak' || log.verdict === 'leakAndMoisture';
  if (log.of === 'rise') return leaks && log.leakPaM3PerS ? leakWords(log.leakPaM3PerS.p50, print) : '';
  if (log.of === 'ultimate') return log.ultimatePa ? print.pressure(log.ultimatePa.p50) : '';
  if (log.of === 'bagDrop') return log.rise10MinPa ? per10MinWords(log.rise10MinPa.p50, print) : '';
  if (log.of === 'cycles') return log.pullDownS && log.pullDownS.p50 > 0 ? secondsWords(log.pullDownS.p50) : '';
  return leaks && log.leakPaM3PerS ? leakWords(log.leakPaM3PerS.p50, print) : '';
}

export const per10MinWords = (pa: number, print: Pick<Print, 'pressure'>): string => `${print.pressure(pa)} in 10 min`;

export const secondsWords = (s: number): string =>
  s < 10
    ? `${number(s, 1)} s`
    : s < 90
      ? `${number(s)} s`
      : `${number(Math.floor(s / 60))} min ${String(Math.round(s % 60)).padStart(2, '0')}`;

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

export type LogNote = RiseNote | PumpDownNote | UltimateNote | BagNote | CyclesNote;
export const NOTE_WORDS: Readonly<Record<LogNote, string>> = {
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
  seeps: 'Gas comes off slowly, as out of rubber, resin or foam cores, not as off a dry wall.',
  refrigerationCycle:
    'It swings with a period of its own, as a trap does whose refrigeration goes on and off: that is taken out.',
  stillFalling: 'It was still falling when the log ended.',
  neverFell: 'It never came down: was the pump running, and the gauge on its inlet?',
  swings: 'It swings by more than twice: oil that is not degassed, or a gauge that is fouled.',
  settles: 'It slows down: film, breather and resin give way at first, so its later half is judged.',
  airCameIn: 'Air came in at once before ten minutes were over: if nobody opened the valve, the bag gave way.',
  nearResinVapour:
    'Near the vapour pressure of styrene: resin that boils looks like a leak. With resin in the bag, raise the pressure above 30 hPa and test there.',
  coarse: 'Its readings are too far apart for such a short time.',
  someNotReached: 'Some cycles never came to the set pressure.',
  noUsual: 'Nothing to hold it against yet: three tests make this set’s own usual, or say its volume.',
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
