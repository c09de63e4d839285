/** Names that every object has already: a field of such a name would stand in the way of what is done with it. */
const RESERVED: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));
const DEEPEST = 8;

/**
 * What no body, record or file of ours holds, and class-transformer cannot read: fields named like an object's own, lists within
 * lists, things within things without an end. Null where there is none of it.
 */
export function oddJson(value: unknown, field: string, depth = 0): { field: string; right: string } | null {
  if (typeof value !== 'object' || value === null) return null;
  if (depth > DEEPEST) return { field, right: `at most ${DEEPEST} things within one another` };
  for (const [key, inner] of Object.entries(value)) {
    const at = field ? `${field}.${key}` : key;
    if (!Array.isArray(value) && RESERVED.has(key)) return { field: at, right: 'a field of another name' };
    if (Array.isArray(value) && Array.isArray(inner)) return { field: at, right: 'no list within a list' };
    const odd = oddJson(inner, at, depth + 1);
    if (odd) return odd;
  }
  return null;
}
