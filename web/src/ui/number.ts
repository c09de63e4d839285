/** A number as people here write it, with so many digits at most. Every printed number that has no unit of choice comes from here. */
export const number = (value: number, digits = 0): string =>
  (Math.round(value * 10 ** digits) / 10 ** digits).toLocaleString('en-GB', { maximumFractionDigits: digits });

/** "1 run", "1,200 runs". */
export const countOf = (n: number, one: string, many = `${one}s`): string => `${number(n)} ${n === 1 ? one : many}`;

/** As a sentence begins: "One run", "12 runs". */
export const oneOrMore = (n: number, one: string, many = `${one}s`): string =>
  n === 1 ? `One ${one}` : countOf(n, one, many);

/** Whole hours are enough for what has run for long. */
export const hours = (value: number): string => `${number(value)}\u00a0h`;

/** An amount in the house's own money. */
export const money = (value: number): string =>
  value.toLocaleString('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2 });

/** A weight of runs, always with its tenth. */
export const weightNumber = (weight: number): string =>
  weight.toLocaleString('en-GB', { minimumFractionDigits: 1, maximumFractionDigits: 1 });

/** @param share 0-1; below a tenth with one digit more */
export const percent = (share: number): string => `${number(share * 100, share < 0.1 ? 1 : 0)}\u00a0%`;

export const megabytes = (bytes: number): string => `${number(bytes / 1e6, 1)}\u00a0MB`;

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
export const uncapital = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** "1:05:09" or "9:41", of seconds that are left. */
export function clock(seconds: number): string {
  const whole = Math.ceil(seconds);
  const two = (n: number) => String(n).padStart(2, '0');
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
