import { MEASURES, TASKS, type Limits, type Measure, type SparseLimits, type TaskId } from '@winter-jar/core';
import { typedNumber, typedText } from '../ui/typed-number.js';
import type { RecordValues } from './field-specs.js';

export const limitName = (task: TaskId, measure: Measure): string => `limits/${task}/${measure}`;
/** What takes an inherited limit away. */
export const NO_LIMIT = 'none';
export const LIMIT_BOUNDS = { min: 0, max: 100_000 } as const;

/** Sparse limits as they are typed: empty inherits, "none" takes away, a number decides. */
export function limitValues(limits: SparseLimits): RecordValues {
  const fields = TASKS.flatMap(({ id }) =>
    MEASURES.map((measure): [string, string] => {
      const value = limits[id]?.[measure];
      return [limitName(id, measure), value === undefined ? '' : value === null ? NO_LIMIT : typedText(value)];
    }),
  );
  return Object.fromEntries(fields);
}

type Read =
  | { readonly ok: true; readonly limits: SparseLimits }
  | { readonly ok: false; readonly issues: Readonly<Record<string, string>> };

export function readLimits(values: RecordValues): Read {
  const limits: Partial<Record<TaskId, Limits>> = {};
  const issues: Record<string, string> = {};
  for (const { id } of TASKS) {
    for (const measure of MEASURES) {
      const name = limitName(id, measure);
      const text = (values[name] ?? '').trim().toLowerCase();
      if (text === '') continue;
      const read = text === NO_LIMIT ? null : typedNumber(text, LIMIT_BOUNDS);
      if (read === null) limits[id] = { ...limits[id], [measure]: null };
      else if (read.ok && read.value > 0) limits[id] = { ...limits[id], [measure]: read.value };
      else
        issues[name] =
          (!read.ok && read.twoWays) || `“${values[name]}” is not a limit. Right would be a number above 0, or “none”.`;
    }
  }
  return Object.keys(issues).length > 0 ? { ok: false, issues } : { ok: true, limits };
}
