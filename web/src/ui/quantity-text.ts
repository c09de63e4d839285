import { inUnit, printQuantity, type QuantityIssue } from '@winter-jar/core';
import { twoWaysWords, typedText } from './typed-number.js';

/** What is wrong with a quantity and what would be right, in the words of all fields: “Say …” where it is empty, “Right would be …” where it is wrong. */
export function quantityIssueWords(issue: QuantityIssue, unit: string): string {
  const bound = issue.bound === undefined ? '' : printQuantity({ value: issue.bound, unit });
  switch (issue.code) {
    case 'empty':
      return `Say how much, such as ${issue.example}.`;
    case 'notANumber':
      return `“${issue.part}” is not a number with a unit. Right would be ${issue.example}, for instance.`;
    case 'unknownUnit':
      return `“${issue.part}” is not a unit known here. Right would be ${issue.example}, for instance.`;
    case 'otherKindOfUnit':
      return `“${issue.part}” measures something else. Right would be ${issue.example}, for instance.`;
    case 'twoWays':
      return twoWaysWords(issue.part, issue.readings ?? [NaN, NaN]);
    case 'belowRange':
      return `“${issue.part}” is too little. Right would be ${bound} or more.`;
    case 'aboveRange':
      return `“${issue.part}” is too much. Right would be ${bound} or less.`;
  }
}

/** A stored value as the text that a person would type, in their unit. */
export function quantityText(value: number | null | undefined, unit: string): string {
  if (value === null || value === undefined) return '';
  if (unit === 'h') return printQuantity({ value, unit });
  return `${typedText(Number(inUnit({ value, unit }).toPrecision(6)))} ${unit}`;
}
