/** A number as people here write it, with so many digits at most. */
export const number = (value: number, digits: number): string =>
  (Math.round(value * 10 ** digits) / 10 ** digits).toLocaleString('en-GB', { maximumFractionDigits: digits });

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
export const uncapital = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
