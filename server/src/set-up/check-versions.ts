import { checkRecord, checkShape, SetUpVersionDto, type FieldIssue } from '@winter-jar/contracts';
import type { SetUpVersion } from '@winter-jar/core';

/** Device clocks may be ahead by so much. */
const TOLERANCE_MS = 10 * 60_000;

/** Versions whose shape and times are right, or all that is wrong with them. */
export function checkVersions(
  sent: readonly unknown[],
  nowMs: number,
): { versions: SetUpVersion[]; issues: FieldIssue[] } {
  const issues: FieldIssue[] = [];
  const latest = new Date(nowMs + TOLERANCE_MS).toISOString();
  sent.forEach((version, i) => {
    const shape = checkShape(SetUpVersionDto, version, `versions.${i}`);
    if (!shape.ok) return issues.push(...shape.issues);
    for (const field of ['validFrom', 'recordedAt'] as const) {
      const value = shape.value[field];
      const right = 'a time that has passed: is this device’s clock right?';
      if (value > latest) issues.push({ field: `versions.${i}.${field}`, value, code: 'inTheFuture', right });
    }
    const { overhauledAt = null } = shape.value.body as { overhauledAt?: string | null };
    if (shape.value.kind === 'pump' && overhauledAt !== null && overhauledAt > latest) {
      const field = `versions.${i}.body.overhauledAt`;
      issues.push({ field, value: overhauledAt, code: 'inTheFuture', right: 'a day that has passed' });
    }
    const record = checkRecord(shape.value.kind, shape.value.body, `versions.${i}.body`);
    return record.ok ? 0 : issues.push(...record.issues);
  });
  return { versions: issues.length > 0 ? [] : (sent as SetUpVersion[]), issues };
}
