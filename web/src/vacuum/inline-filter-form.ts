import { inlineFilterWorth, type InlineFilterCase, type InlineFilterWorth } from '@winter-jar/core';
import { number } from '../ui/number.js';
import { typedNumber } from '../ui/typed-number.js';

interface Asked {
  readonly label: string;
  /** Shares are asked for in percent. */
  readonly percent?: true;
  /** Nobody has measured it. */
  readonly assumed?: true;
  readonly max?: number;
  /** Nothing is not a figure of it. */
  readonly aboveNothing?: true;
}
type Key = Exclude<keyof InlineFilterCase, 'minutesLostPerRun' | 'joints'>;

/** What is asked, in its order and by what it is of. */
export const INLINE_FILTER_GROUPS: readonly { readonly title: string; readonly keys: readonly Key[] }[] = [
  {
    title: 'This pump',
    keys: [
      'runsPerYear',
      'oilChangesPerYear',
      'oilChangePrice',
      'overhaulPrice',
      'overhaulEveryYears',
      'hourPrice',
      'machineHourPrice',
    ],
  },
  {
    title: 'What nobody has measured',
    keys: ['particleShare', 'wearShare', 'caughtShare', 'leaksPerJointYear', 'elementsPerYear'],
  },
  { title: 'The filter', keys: ['filterPrice', 'filterLastsYears', 'elementPrice', 'elementMinutes', 'huntHours'] },
  { title: 'The other way: the oil filtered after every run', keys: ['oilFilterMinutes', 'oilFilterMediaPrice'] },
];
export const INLINE_FILTER_ASKED: Readonly<Record<Key, Asked>> = {
  runsPerYear: { label: 'Runs a year' },
  oilChangesPerYear: { label: 'Oil changes a year' },
  oilChangePrice: { label: 'An oil change costs' },
  overhaulPrice: { label: 'An overhaul costs' },
  overhaulEveryYears: { label: 'Years between overhauls', aboveNothing: true },
  hourPrice: { label: 'An hour of hands costs' },
  machineHourPrice: { label: 'An hour of the set is worth' },
  filterPrice: { label: 'The filter costs' },
  filterLastsYears: { label: 'It lasts, years', aboveNothing: true },
  elementPrice: { label: 'An element costs' },
  elementsPerYear: { label: 'Elements a year', assumed: true },
  elementMinutes: { label: 'Minutes to change one' },
  particleShare: { label: 'Oil changes made by particles, %', percent: true, assumed: true },
  wearShare: { label: 'Wear made by particles, %', percent: true, assumed: true },
  caughtShare: { label: 'Particles that it catches, %', percent: true, assumed: true },
  leaksPerJointYear: { label: 'Leaks a year at one joint', assumed: true },
  huntHours: { label: 'Hours to hunt a leak' },
  oilFilterMinutes: { label: 'Minutes a run' },
  oilFilterMediaPrice: { label: 'Media a run' },
};
export const INLINE_FILTER_KEYS = Object.keys(INLINE_FILTER_ASKED) as Key[];
export type InlineFilterTyped = Readonly<Record<Key, string>>;

const JOINTS = 2;
/** Where nobody says better. Who changes the oil after every run, whatever is in it, changes it for no particle. */
const USUAL: Readonly<Record<Key, number>> = {
  ...{ runsPerYear: 100, oilChangesPerYear: 10, oilChangePrice: 30, overhaulPrice: 900, overhaulEveryYears: 4 },
  ...{ hourPrice: 40, machineHourPrice: 0, filterPrice: 350, filterLastsYears: 10, elementPrice: 35 },
  ...{ elementsPerYear: 4, elementMinutes: 15, particleShare: 30, wearShare: 30, caughtShare: 95 },
  ...{ leaksPerJointYear: 0.05, huntHours: 2, oilFilterMinutes: 10, oilFilterMediaPrice: 1 },
};

/** Fields as they begin. @param own what is known of this pump */
export const inlineFilterBegins = (own: Readonly<Partial<Record<Key, number>>>): InlineFilterTyped =>
  Object.fromEntries(
    INLINE_FILTER_KEYS.map((key) => [key, String(Number((own[key] ?? USUAL[key]).toPrecision(3)))]),
  ) as unknown as InlineFilterTyped;

export function inlineFilterIssue(key: Key, text: string): string | undefined {
  const { percent, aboveNothing } = INLINE_FILTER_ASKED[key];
  const max = percent ? 100 : 1e7;
  const read = typedNumber(text, { min: 0, max });
  if (read.ok && !(aboveNothing && read.value === 0)) return undefined;
  return `Right would be a number ${aboveNothing ? 'above 0' : `from 0 to ${number(max)}`}.`;
}

/** @returns null while a figure is not right */
export function inlineFilterOf(typed: InlineFilterTyped, minutesLostPerRun: number): InlineFilterWorth | null {
  if (INLINE_FILTER_KEYS.some((key) => inlineFilterIssue(key, typed[key]))) return null;
  const figures = INLINE_FILTER_KEYS.map((key) => {
    const read = typedNumber(typed[key]);
    return [key, (read.ok ? read.value : 0) / (INLINE_FILTER_ASKED[key].percent ? 100 : 1)];
  });
  return inlineFilterWorth({
    ...(Object.fromEntries(figures) as Record<Key, number>),
    minutesLostPerRun,
    joints: JOINTS,
  });
}
