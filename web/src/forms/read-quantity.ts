import type { Dimension } from '@winter-jar/core';
import { typedQuantity } from '../ui/typed-number.js';
import { quantityIssueWords } from '../ui/quantity-text.js';

/** Gathers the fields of a form: each quantity parsed, each issue kept under its field. */
export function fieldReader(units: Readonly<Record<Dimension, string>>) {
  const issues: Record<string, string> = {};
  function read(
    name: string,
    text: string,
    dimension: Dimension,
    bounds: { min?: number; max?: number },
    optional: boolean,
  ): number | null {
    if (optional && text.trim() === '') return null;
    const parsed = typedQuantity({
      text,
      dimension,
      defaultUnit: units[dimension],
      ...bounds,
    });
    if (parsed.ok) return parsed.value;
    issues[name] = quantityIssueWords(parsed.issue, units[dimension]);
    return null;
  }
  return {
    issues,
    wanted: (name: string, text: string, dimension: Dimension, bounds = {}) =>
      read(name, text, dimension, bounds, false) ?? 0,
    optional: (name: string, text: string, dimension: Dimension, bounds = {}) =>
      read(name, text, dimension, bounds, true),
    refuse: (name: string, words: string) => {
      issues[name] = words;
    },
    hasIssues: () => Object.keys(issues).length > 0,
  };
}
