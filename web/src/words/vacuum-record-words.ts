import type { VacuumLimits, VacuumSeries, VacuumSeriesOf } from '@winter-jar/core';
import { number } from '../ui/number.js';
import { dayWords } from './dates.js';
import { leakWords, secondsWords } from './vacuum-words.js';
import type { Words } from './words.js';

export const SERIES_WORDS: Readonly<Record<VacuumSeriesOf, { readonly name: string; readonly from: string }>> = {
  leak: { name: 'Leak', from: 'rise of pressure, the part that goes on straight' },
  moisture: { name: 'Moisture', from: 'rise of pressure, where what flattens levels off' },
  chamber: { name: 'Pressure at the chamber', from: 'readings, and where a pump-down would end' },
  blankOff: { name: 'Pump blanked off', from: 'ballast closed, oil warm' },
  speed: { name: 'Speed of the pump', from: 'pump-downs' },
  bagRise: { name: 'Bag drop', from: 'what its pressure rises by in ten minutes' },
  pullDown: { name: 'Cycle pull-down', from: 'empty, to the set pressure' },
};

/** What the dashed line is. */
const LIMIT_WORDS: Readonly<Record<keyof VacuumLimits, string>> = {
  leak: 'matters from',
  moisture: '',
  chamber: 'target',
  blankOff: 'limit',
  speed: 'slow below',
  bagRise: 'limit',
  pullDown: 'slow from',
};

/** A value of a series as people write it. */
export const valueWords = (of: VacuumSeriesOf, value: number, print: Words['print']): string =>
  of === 'leak'
    ? leakWords(value, print)
    : of === 'speed'
      ? print.flow(value)
      : of === 'pullDown'
        ? secondsWords(value)
        : print.pressure(value);

export const limitWords = ({ of, limit }: Pick<VacuumSeries, 'of' | 'limit'>, print: Words['print']): string =>
  limit === null ? '' : `${LIMIT_WORDS[of]} ${valueWords(of, limit, print)}`;

export function lastWords({ of, points }: VacuumSeries, print: Words['print']): string {
  const last = points.at(-1);
  return last ? `${last.atMost ? 'at most ' : ''}${valueWords(of, last.value, print)}` : '';
}

/** Where the last one stands among its own. */
export function standingWords({ of, standing, points }: VacuumSeries): string {
  const { place, of: all } = standing;
  if (all === 1) return 'the first one here';
  const [best, worst] = RANKS[of] ?? ['lowest', 'highest'];
  // What several share is nobody's own place.
  const last = points.at(-1)!;
  const own = of === 'blankOff' || of === 'speed' ? points.filter((p) => p.pumpId === last.pumpId) : points;
  const alike = own.filter((p) => p.value === last.value).length - 1;
  if (alike === all - 1) return `the same as all ${all}`;
  if (place === 1) return `the ${best} of ${all}`;
  if (place + alike === all) return `the ${worst} of ${all}`;
  const fromWorst = all + 1 - place - alike;
  return fromWorst < place ? `${nth(fromWorst)} ${worst} of ${all}` : `${nth(place)} ${best} of ${all}`;
}

/** How a series stands, beside its shape; null where nothing says what would be right. */
export function standsWords({ of, stands, trend }: VacuumSeries): string | null {
  if (stands === 'outside') return of === 'speed' ? 'below its limit' : 'over its limit';
  if (trend.goes === 'worse') return of === 'speed' || of === 'pullDown' ? 'getting slower' : 'creeping up';
  return stands && 'within its limit';
}

const RANKS: Readonly<Partial<Record<VacuumSeriesOf, readonly [best: string, worst: string]>>> = {
  speed: ['fastest', 'slowest'],
  pullDown: ['fastest', 'slowest'],
};

const nth = (n: number): string => {
  const tens = n % 100;
  const ending = tens >= 11 && tens <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${ending}`;
};

const GOES: Readonly<Partial<Record<VacuumSeriesOf, readonly [more: string, less: string]>>> = {
  speed: ['getting faster', 'getting slower'],
  pullDown: ['getting slower', 'getting faster'],
};

/** Whether it creeps; null where too few tests could tell. */
export function creepWords({ of, trend }: VacuumSeries, { zone, now }: Words): string | null {
  const { goes, perTestShare, sinceAt, tests } = trend;
  if (goes === 'tooFew' || sinceAt === null) return null;
  const since = `${tests} tests since ${dayWords(sinceAt, zone, now)}`;
  if (goes === 'none') return `no trend in ${since}`;
  const up = perTestShare > 0;
  const [more, less] = GOES[of] ?? ['creeping up', 'coming down'];
  const how = up ? more : less;
  const share = Math.abs(perTestShare) * 100;
  return `${how}: ${number(share, share < 10 ? 1 : 0)} % a test, ${since}`;
}

/** What a record comes to, for its heading: what is outside its limit before what creeps. */
export function recordWords(series: readonly VacuumSeries[]): string {
  const outside = series.filter((s) => s.stands === 'outside').map((s) => OUTSIDE[s.of]);
  if (outside.length > 0) return sentence(outside);
  const worse = series.filter((s) => s.trend.goes === 'worse').map((s) => WORSE[s.of]);
  if (worse.length > 0) return sentence(worse);
  return series.some((s) => s.stands === 'within') ? 'Within its limits' : 'No limit is known for what was measured';
}
const OUTSIDE: Readonly<Record<VacuumSeriesOf, string>> = {
  leak: 'a leak that matters',
  moisture: 'moisture',
  chamber: 'the chamber does not come to its target',
  blankOff: 'the pump by itself is over its limit',
  speed: 'the pump is slow',
  bagRise: 'the bag drops too fast',
  pullDown: 'cycles pull down too slowly',
};
const WORSE: Readonly<Record<VacuumSeriesOf, string>> = {
  leak: 'the leak is creeping up',
  moisture: 'moisture is creeping up',
  chamber: 'the chamber’s pressure is creeping up',
  blankOff: 'the pump’s own pressure is creeping up',
  speed: 'the pump is getting slower',
  bagRise: 'bags drop faster from test to test',
  pullDown: 'cycles are getting slower',
};
const sentence = (parts: readonly string[]): string => {
  const text = parts.join(', and ');
  return text.charAt(0).toUpperCase() + text.slice(1);
};

/** What to do about it, in one sentence; null where there is nothing to do. */
export function recordThen(series: readonly VacuumSeries[]): string | null {
  const first = (stands: (s: VacuumSeries) => boolean) => series.find(stands)?.of;
  const of = first((s) => s.stands === 'outside') ?? first((s) => s.trend.goes === 'worse');
  return of ? THEN[of] : null;
}
const THEN: Readonly<Record<VacuumSeriesOf, string>> = {
  leak: 'Hunt it while it is small: gaskets, drain, hoses, then each valve, turned while somebody watches the gauge.',
  moisture: 'Dry the chamber and its trap, and test again.',
  chamber:
    'Close the chamber and log its rise: that tells a leak from moisture. Blanked off, the pump tells its own part.',
  blankOff: 'Purge it warm with the ballast open and measure again; still poor, change the oil and measure with that.',
  bagRise: 'Listen along the sealant, the pleats, the ports and the tubing, and test again.',
  pullDown: 'Lid gasket and seal bar first, then inlet screen, filter and hose; then blank the pump off.',
  speed: 'Look at the inlet screen, the in-line filter and the hose before the vanes.',
};
