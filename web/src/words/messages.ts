// A sentence for every reason, in one view: longer than other files.
import type { NextTask } from '@winter-jar/contracts';
import type {
  Act,
  AnsweredBy,
  DueForecast,
  LayUp,
  LimitStanding,
  Measure,
  Reason,
  ReasonCode,
  Standing,
  TaskId,
  VerdictLevel,
} from '@winter-jar/core';
import { dayFromNow, dayWords, momentWords } from './dates.js';
import { NOT_WHOLE_WORDS } from './safety-state-words.js';
import { procedureName } from './procedure-words.js';
import { capital, countOf, number, oneOrMore, uncapital } from '../ui/number.js';
import type { Sentence, Words } from './words.js';
import { FINDING_WORDS } from './finding-words.js';
import { MACHINE_WORDS } from './machine-words.js';
import { SUMP_WORDS } from './sump-words.js';

const ACT_WORDS: Readonly<Record<Act, string>> = {
  change: 'Change',
  purge: 'Purge',
  flush: 'Flush',
  topUp: 'Top up',
  drainToMark: 'Drain to the mark',
  washHousing: 'Wash the housing',
  stripClean: 'Strip and clean',
  inspect: 'Inspect',
  look: 'Look',
  bleed: 'Bleed',
  sample: 'Draw a sample',
  report: 'Enter the lab report',
  findCause: 'Find the cause',
  exhaustFilter: 'New exhaust filter',
  sealCheck: 'Look at the shaft seal',
  blankOff: 'Blank off and measure',
  checkRemedy: 'Check the remedy',
  goOn: 'Go on with the job',
  closeUp: 'Close it, caps off',
};

/** The verdict in words; the third names the act that its reason calls for. */
export function verdictWords(verdict: VerdictLevel, act: Act | null): string {
  if (verdict === 'runOn') return 'Run on';
  if (verdict === 'lookSooner') return 'Look sooner';
  if (verdict === 'stop') return 'Stop';
  return act === null ? 'Wait before next run' : `${ACT_WORDS[act]} before next run`;
}

export const TASK_WORDS: Readonly<Record<TaskId, string>> = {
  look: 'Look at the oil',
  bleed: 'Bleed settled water',
  oilChange: 'Oil change',
  oilFilter: 'Oil filter',
  exhaustFilter: 'Exhaust filter',
  inletScreen: 'Inlet screen',
  flush: 'Flush',
  boosterOil: 'Booster gear oil',
  sealCup: 'Seal-cup top-up',
  sealCheck: 'Shaft-seal check',
  antiSuckback: 'Anti-suckback check',
  vaneCheck: 'Vane check',
  gaugeCheck: 'Gauge check',
  blankOff: 'Blanked off, measured',
  labSample: 'Lab sample',
  bearings: 'Bearings',
  tipSeals: 'Tip seals',
  purge: 'Ballast purge',
  housingClean: 'Housing clean',
  stripClean: 'Strip and solvent clean',
};

const MEASURE_WORDS: Readonly<Record<Measure, string>> = {
  runs: 'Runs',
  weight: 'Weighted runs',
  hours: 'Operating hours',
  days: 'Days',
  changes: 'Oil changes',
};
export const measureWords = (measure: Measure): string => MEASURE_WORDS[measure];

const SOURCE_WORDS: Readonly<Record<LimitStanding['from'], string>> = {
  preset: 'house school',
  house: 'house rule',
  model: 'pump model',
  product: 'oil product',
  pump: 'this pump',
  calendar: 'always stands',
  runningIn: 'running-in',
};
export const sourceWords = (from: LimitStanding['from']): string => SOURCE_WORDS[from];

/** A measure's amount with the digits that make sense: "5.4", "112 h". */
export function amount(measure: Measure, value: number): string {
  if (measure === 'weight') return number(value, 1);
  return measure === 'hours' ? `${number(value)} h` : number(value);
}

/** As a count with its unit: "5 runs", "weight 7", "750 h". */
export function limitWords(measure: Measure, value: number): string {
  if (measure === 'weight') return `${number(value, 1)} weighted runs`;
  if (measure === 'hours') return `${number(value)} h`;
  return countOf(value, { runs: 'run', days: 'day', changes: 'change' }[measure]);
}

/** "4.1 of 5" */
export const usedWords = (limit: LimitStanding): string =>
  `${amount(limit.measure, limit.used)} of ${amount(limit.measure, limit.limit)}`;

type ReasonOf<C extends ReasonCode> = Extract<Reason, { code: C }>;

const NOT_TOLD_COUNTS = [
  ['run', 'a run counts as the heaviest material of such equipment'],
  ['bleed', 'a bleed counts as without water'],
] as const;

/** "2 runs and 1 bleed not told" */
function notToldWords({ entries }: ReasonOf<'notTold'>): Sentence {
  const kinds = NOT_TOLD_COUNTS.map(([kind, as]) => ({ kind, as, of: entries.filter((e) => e.kind === kind).length }));
  const said = kinds.filter(({ of }) => of > 0);
  const short = `${said.map(({ of, kind }) => countOf(of, kind)).join(' and ')} not told`;
  return { short, full: `${short}. Until somebody says it, ${said.map(({ as }) => as).join(', ')}.` };
}

/** Why an oil does not belong where it is, and what ends it. */
function unfitWords({ unfit, trace, stripped, productId }: ReasonOf<'unfitOil'>): Sentence {
  if (productId === null && unfit === 'oxygen')
    return {
      short: 'Nobody said which oil it holds, in oxygen service',
      full: 'This pump is for gas with more than 21\u00a0% oxygen, and nobody has said which oil is in it: hydrocarbon oil would explode. Say it in the set-up if it is PFPE; else strip and solvent clean by a specialist.',
    };
  const left = stripped
    ? 'It was stripped and cleaned: fill it with the right oil, and log the change.'
    : 'A trace is enough: strip and solvent clean by a specialist, then the right oil. Neither a change nor a flush ends it.';
  switch (unfit) {
    case 'oxygen':
      return {
        short: trace ? 'Trace of hydrocarbon oil in oxygen service' : 'Hydrocarbon oil in oxygen service',
        full: `${trace ? 'Hydrocarbon oil was in this pump before' : 'There is hydrocarbon oil in this pump'}, and it pumps gas with more than 21\u00a0% oxygen: it can explode. ${left}`,
      };
    case 'pfpe':
      return {
        short: 'Hydrocarbon oil in a PFPE pump',
        full: `Hydrocarbon oil was filled into a pump that is kept on PFPE. ${left}`,
      };
    case 'food':
      return {
        short: 'Oil not registered for food',
        full: 'The oil in this pump is not registered for incidental food contact (H1), and its service is food. Change it to one that is; or, if it is H1, say so of the oil in the set-up.',
      };
  }
}

const REASON_WORDS: { readonly [C in ReasonCode]: (reason: ReasonOf<C>, words: Words) => Sentence } = {
  ...FINDING_WORDS,
  ...MACHINE_WORDS,
  unfitOil: unfitWords,
  changeDue: (r, { zone, now }) => ({
    short: `${limitWords(r.decides.measure, r.decides.limit)} reached`,
    full: `${r.task === 'boosterOil' ? 'Gear oil' : 'Oil'} change due: ${usedWords(r.decides)} ${measureWords(r.decides.measure).toLowerCase()} since ${dayWords(r.sinceAt, zone, now)}.`,
  }),
  lookDue: (r, { zone, now }) => ({
    short: `Look overdue: ${limitWords(r.decides.measure, r.decides.used)}`,
    full: `Nobody has looked at the oil since ${dayWords(r.sinceAt, zone, now)}: ${usedWords(r.decides)} ${measureWords(r.decides.measure).toLowerCase()}.`,
  }),
  blankOffDue: (r, { zone, now }) => ({
    short: 'Not measured for a while',
    full: `Cared for by the gauge, and not blanked off since ${dayWords(r.sinceAt, zone, now)}: ${usedWords(r.decides)} ${measureWords(r.decides.measure).toLowerCase()}. Same gauge and place, ballast closed, oil warm for half an hour.`,
  }),
  lastRunBeforeChange: (r) => ({
    short: 'Last run before the change',
    full: `The next run ends over the limit: ${limitWords(r.decides.measure, r.decides.left)} left of ${amount(r.decides.measure, r.decides.limit)}.`,
  }),
  drained: (r, { zone, now }) => ({
    short: 'No oil in it',
    full: `Its oil was let out ${momentWords(r.sinceAt, zone, now)}, and none is in it: do not start it. Fill it, or finish the job.`,
  }),
  notWhole: (r, { zone, now }) => ({
    short: NOT_WHOLE_WORDS[r.how],
    full:
      r.how === 'open'
        ? `It was opened ${momentWords(r.sinceAt, zone, now)} and not closed since: do not start it. Close it, or finish the job.`
        : `Inlet and exhaust were capped ${momentWords(r.sinceAt, zone, now)}: run so, its case can burst. Caps off before anybody starts it.`,
  }),
  jobOpen: (r, { zone, now }) => {
    const name = procedureName(r.procedure);
    const since = `${name} under way since ${momentWords(r.sinceAt, zone, now)}`;
    if (r.paused)
      return { short: `${name} paused`, full: `${since}, paused. Its steps are kept: go on with it, or give it up.` };
    if (r.waitUntil === null) return { short: `${name} under way`, full: `${since}.` };
    const until = momentWords(r.waitUntil, zone, now);
    return r.overdue
      ? {
          short: `${name}: the wait is over`,
          full: `${since}. The wait that it was in was over ${until}: go on with it.`,
        }
      : { short: `${name}: waits until ${until}`, full: `${since}; it waits until ${until}.` };
  },
  jarToRead: ({ fromAt, ready }, { zone, now }) => {
    const from = momentWords(fromAt, zone, now);
    return ready
      ? { short: 'A jar to read', full: `The jar of what came out has stood its time since ${from}: read it.` }
      : { short: `Jar to read from ${from}`, full: `The jar of what came out is to be read from ${from} on.` };
  },
  notTakenOver: () => ({
    short: 'Not taken over yet',
    full: 'Nobody has said a word of its oil yet. Take it over: say when it was changed, or that nobody knows; or look at it.',
  }),
  readLevel: ({ takenUl }, { print }) => ({
    short: 'Level not read since oil was drawn',
    full: `${print.volume(takenUl / 1000)} of oil were drawn with samples and bleeds since somebody read the level: read it, and top up to the mark.`,
  }),
  unsettled: ({ corrections: n }) => ({
    short: n === 1 ? 'One entry is to be settled' : `${n} entries are to be settled`,
    full: 'Something was said about this pump that does not count yet. Settle it before you trust this verdict.',
  }),
  madeAnew: () => ({
    short: 'Its figures are being made anew',
    full: 'After an update, a change of the set-up that bears upon much, or an import that broke off, its figures are being made anew from the journal: in a few minutes at most. What stands here is of before; start nothing on it.',
  }),
  caseOpen: (r, { zone, now }) => ({
    short: 'A case is open',
    full: `A case is open since ${dayWords(r.sinceAt, zone, now)}: ${r.complaint}.`,
  }),
  caseToCheck: (r, { zone, now }) => ({
    short: 'Did the remedy hold?',
    full: `The case “${r.complaint}” was closed ${dayWords(r.closedAt, zone, now)}, and the pump has run since: did the remedy hold?`,
  }),
  notTold: notToldWords,
  carriedOver: (r) => ({
    short: `${countOf(r.runs, 'run')} on oil that was due`,
    full: `${oneOrMore(r.runs, 'run')} of this charge went out on oil that was due (↷ on the ruler).`,
  }),
};

/** What is left to do where a finding ends only with two deeds, by the deed that was done. */
const LEFT_TO_DO: { readonly [A in AnsweredBy]?: Readonly<Record<'pump' | 'oil', string>> } = {
  inspectAndChange: { pump: 'Inspected: clean oil is left to do.', oil: 'Changed: the inspection is left to do.' },
  flushAndChange: {
    pump: 'Cleaned: a new charge is left to do.',
    oil: 'Changed without a wash: wash it, then fill it anew.',
  },
  washAndChange: {
    pump: 'Washed: a new charge is left to do.',
    oil: 'Changed without a wash: wash it, then fill it anew.',
  },
  stripAndChange: {
    pump: 'Stripped and cleaned: a new charge is left to do.',
    oil: 'Changed, and not stripped and cleaned yet.',
  },
  changeThenViscosity: {
    pump: '',
    oil: 'Changed: run it warm for an hour, and show by a sample that the new oil is within 10\u00a0% of new. No smell may be noticed; nobody is to sniff at it. Where the set-up does not say how thick the unused oil is, no figure can show it: correct its record first.',
  },
};

/** What was done of it, and what must not be. */
function besides(reason: Reason): string {
  const half = 'half' in reason && reason.half ? LEFT_TO_DO[reason.answeredBy]?.[reason.half.done] : undefined;
  const barred =
    'airBarred' in reason && reason.airBarred ? 'Solvent may be in the oil: never purge it with air.' : null;
  return [half, barred]
    .filter(Boolean)
    .map((s) => ` ${s}`)
    .join('');
}

/** A reason in the person's units and days. The compiler checks that no code is forgotten. */
export function reasonWords(reason: Reason, words: Words): Sentence {
  const plain = (REASON_WORDS[reason.code] as (r: Reason, w: Words) => Sentence)(reason, words);
  const said = { ...plain, full: `${plain.full}${besides(reason)}` };
  // A vane pump has one oil; of a booster's three it must be told which.
  if (!('sump' in reason) || reason.sump === 'oil') return said;
  const after = (text: string) => `${capital(SUMP_WORDS[reason.sump])}: ${uncapital(text)}`;
  return { short: after(said.short), full: after(said.full) };
}

/** Tells the reasons of one verdict apart. */
export const reasonKey = (reason: Reason): string => `${reason.code}/${'sump' in reason ? reason.sump : ''}`;

/** "about 9 Dec, 3-12 Dec" for a forecast, "Mon 9 Mar" for a date. */
export function forecastWords(forecast: DueForecast, { now, zone }: Words): { about: string; range: string | null } {
  const about = dayFromNow(now, forecast.p50Days, zone);
  if (forecast.basis === 'date') return { about: `on ${about}`, range: null };
  const range = `${dayFromNow(now, forecast.p10Days, zone)} – ${dayFromNow(now, forecast.p90Days, zone)}`;
  return { about: `about ${about}`, range };
}

const LAID_UP_FOR: Readonly<Record<LayUp['why'], (days: number) => string>> = {
  idle: (days) => `Idle: no run for ${days} days, so its use gives no date.`,
  wetOil: (days) => `It has stood for ${days} days on oil from wet work: rust and growth begin within days.`,
  acidOil: (days) => `It has stood for ${days} days on oil with acid from its loads: rust begins within days.`,
};

/** Of a pump that stands, why, and what keeps it sound. */
export const layUpWords = ({ why, days }: LayUp): string =>
  `${LAID_UP_FOR[why](Math.floor(days))} If it is to stand on, lay it up: fresh oil, run it, cap inlet and exhaust, and tag the switch EXHAUST CAPPED.`;

/** "after 1 more run": where no use is known that would give a date. */
export function moreWords({ measure, left }: Pick<LimitStanding, 'measure' | 'left'>): string {
  if (measure === 'weight') return `after ${number(left, 1)} more weighted runs`;
  if (measure === 'hours') return `after ${number(Math.ceil(left))} more hours`;
  const noun = { runs: 'run', days: 'day', changes: 'change' }[measure];
  return `after ${countOf(Math.ceil(left), `more ${noun}`)}`;
}

/** When a task is wanted: "now", "after the next run", "about 9 Dec". */
export function dueWords(task: NextTask, words: Words): string {
  if (task.status === 'now' || task.status === 'reached') return 'now';
  if (task.forecast && !(task.status === 'withinNextRun' && task.forecast.basis !== 'date'))
    return forecastWords(task.forecast, words).about;
  if (task.status === 'withinNextRun') return 'after the next run';
  return task.decides ? moreWords(task.decides) : 'no limit';
}

/** One line for the Round: the worst reason, else what comes next. */
export function headline(
  row: { reasons: readonly Reason[]; verdict: VerdictLevel; nextTask: NextTask | null },
  words: Words,
): string {
  const [worst] = row.reasons;
  const job = row.reasons.find(({ code }) => code === 'jobOpen');
  const said = [row.verdict === 'runOn' ? undefined : worst, job].filter((reason) => reason !== undefined);
  if (said.length > 0) return [...new Set(said)].map((reason) => reasonWords(reason, words).short).join(' · ');
  return row.nextTask ? `${TASK_WORDS[row.nextTask.task]} ${dueWords(row.nextTask, words)}` : 'Nothing logged yet';
}

export const standingChange = (before: Standing, after: Standing): string | null => {
  const of = (s: Standing) =>
    s.tasks.find((t) => t.task === 'oilChange' || t.task === 'boosterOil' || t.task === 'tipSeals');
  const next = of(after)?.decides;
  const previous = of(before)?.limits.find((l) => l.measure === next?.measure);
  if (!next) return null;
  if (previous?.used === next.used) return null;
  const unit = next.measure === 'hours' ? '' : ` ${measureWords(next.measure).toLowerCase()}`;
  return `${previous ? amount(next.measure, previous.used) : '0'} → ${amount(next.measure, next.used)} of ${amount(next.measure, next.limit)}${unit}`;
};
