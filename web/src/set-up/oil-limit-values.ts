import { number } from '../ui/number.js';
import { MAX_OIL_LIMIT } from '@winter-jar/contracts';
import { OIL_LIMITS, OIL_SIGNS, VERDICT_LEVELS, type SignId, type SparseOilLimits } from '@winter-jar/core';
import { typedNumber, typedText } from '../ui/typed-number.js';
import type { RecordValues } from './field-specs.js';
import { NO_LIMIT } from './limit-values.js';

export type OilLimitKey = keyof typeof OIL_LIMITS;
export const OIL_LIMIT_BOUNDS = { min: 0, max: MAX_OIL_LIMIT } as const;
export const OIL_LIMIT_KEYS = Object.keys(OIL_LIMITS) as readonly OilLimitKey[];
export const oilLimitName = (key: OilLimitKey): string => `oilLimits/${key.replaceAll('.', '/')}`;
const isSign = (key: OilLimitKey): key is SignId => (OIL_SIGNS as readonly string[]).includes(key);

/** Sparse limits on the oil as they are typed or chosen: empty inherits, "none" takes a number away. */
export function oilLimitValues(limits: SparseOilLimits): RecordValues {
  return Object.fromEntries(
    OIL_LIMIT_KEYS.map((key) => {
      const value = limits[key];
      return [
        oilLimitName(key),
        value === undefined ? '' : value === null ? NO_LIMIT : typeof value === 'number' ? typedText(value) : value,
      ];
    }),
  );
}

type Read =
  | { readonly ok: true; readonly limits: SparseOilLimits }
  | { readonly ok: false; readonly issues: Readonly<Record<string, string>> };

export function readOilLimits(values: RecordValues): Read {
  const limits: Record<string, number | string | null> = {};
  const issues: Record<string, string> = {};
  for (const key of OIL_LIMIT_KEYS) {
    const name = oilLimitName(key);
    const text = (values[name] ?? '').trim();
    if (text === '') continue;
    if (isSign(key)) {
      if ((VERDICT_LEVELS as readonly string[]).includes(text)) limits[key] = text;
      continue;
    }
    const read = text.toLowerCase() === NO_LIMIT ? null : typedNumber(text, OIL_LIMIT_BOUNDS);
    if (read === null) limits[key] = null;
    else if (read.ok) limits[key] = read.value;
    else
      issues[name] =
        read.twoWays ??
        `“${text}” is not a limit. Right would be a number from 0 to ${number(MAX_OIL_LIMIT)}, or “${NO_LIMIT}”.`;
  }
  return Object.keys(issues).length > 0 ? { ok: false, issues } : { ok: true, limits: limits };
}
