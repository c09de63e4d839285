import { inUnit, printQuantity, type QuantityIssue } from '@winter-jar/core';
import { twoWaysWords, typedText } from './typed-number.js';

/** Says what was not understood, and gives an example. */
export function quantityIssueWords(issue: QuantityIssue, unit: string): string {
  const bound = issue.bound === undefined ? '' : printQuantity({ value: issue.bound, unit });
  const such = `, such as ${issue.example}`;
  switch (issue.code) {
    case 'empty':
      return `Say how much${such}`;
    case 'notANumber':
      return `“${issue.part}” is not a number with a unit${such}`;
    case 'unknownUnit':
      return `“${issue.part}” is not a unit known here${such}`;
    case 'otherKindOfUnit':
      return `“${issue.part}” measures something else${such}`;
    case 'twoWays':
      return twoWaysWords(issue.part, issue.readings ?? [NaN, NaN]);
    case 'belowRange':
      return `“${issue.part}” is less than the least that can be right, ${bound}`;
    case 'aboveRange':
      return `“${issue.part}” is more than the most that can be right, ${bound}`;
  }
}

/** A stored value as the text that a person would type, in their unit. */
export function quantityText(value: number | null | undefined, unit: string): string {
  if (value === null || value === undefined) return '';
  if (unit === 'h') return printQuantity({ value, unit });
  return `${typedText(Number(inUnit({ value, unit }).toPrecision(6)))} ${unit}`;
}
