import { v7 as newId } from 'uuid';
import type { Correction, Envelope } from '@winter-jar/core';

/** Leaves out a correction that does not count; the entry stays as it is. */
export function setAsideOf(
  correction: Correction,
  input: { now: string; shared: Pick<Envelope, 'who' | 'device' | 'acknowledged' | 'bodyVersion'> },
): Correction {
  const id = newId();
  const { subjects, zone, body } = correction;
  return {
    ...input.shared,
    id,
    actId: id,
    kind: 'correction',
    subjects,
    zone,
    happenedAt: input.now,
    precision: 'exact',
    recordedAt: input.now,
    body: { targetId: body.targetId, supersedes: null, action: 'setAside', saw: [correction.id] },
  };
}
