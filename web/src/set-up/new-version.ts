import type { SetUpBodies, SetUpKind, SetUpVersion } from '@winter-jar/core';

const TAIL = 4;

/** An id that a person can read in a file: the name in plain letters, and a tail that keeps it apart from others. */
export function recordId(name: string, uuid: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, '-')
    .slice(0, 40)
    .replace(/^-|-$/g, '');
  return `${plain || 'record'}-${uuid.replaceAll('-', '').slice(-TAIL)}`;
}

/** A first version, valid from its writing; before it the same body stands. */
export const firstVersion = <K extends SetUpKind>(
  kind: K,
  input: { id: string; subjectId: string; at: string; body: SetUpBodies[K] },
): SetUpVersion =>
  ({
    id: input.id,
    kind,
    subjectId: input.subjectId,
    validFrom: input.at,
    recordedAt: input.at,
    body: input.body,
  }) as unknown as SetUpVersion;
