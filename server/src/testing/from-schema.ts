import fc from 'fast-check';

/** The part of JSON Schema that the API's document uses. */
export interface Schema {
  readonly $ref?: string;
  readonly type?: string | readonly string[];
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema;
}
export type Schemas = Readonly<Record<string, Schema>>;

/** What no form sends and a program may. */
export const ODD = fc.constantFrom<unknown>(
  null,
  {},
  [],
  [[]],
  [null],
  { constructor: 1 },
  JSON.parse('{"__proto__":{"x":1}}'),
  '',
  ' ',
  'x'.repeat(5000),
  '\u0000',
  '\ud800',
  '__proto__',
  '1e999',
  '-0',
  0,
  -1,
  1e308,
  1e-308,
  0.1,
  9007199254740993,
  true,
  '0001-01-01T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
);

const DEEPEST = 9;
const odder = (arbitrary: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  fc.oneof({ weight: 24, arbitrary }, { weight: 1, arbitrary: ODD });

/**
 * Values of the form that a schema describes, with odd ones among them.
 * @param strings what a text field of a name is given: ids that exist, instants, zones
 */
export function valuesOf(
  schema: Schema,
  schemas: Schemas,
  strings: (field: string) => fc.Arbitrary<string>,
  field = '',
  depth = 0,
): fc.Arbitrary<unknown> {
  const inner = (one: Schema, name = field) => valuesOf(one, schemas, strings, name, depth + 1);
  if (depth > DEEPEST) return ODD;
  if (schema.$ref) return inner(schemas[schema.$ref.split('/').at(-1) ?? ''] ?? {});
  if (schema.const !== undefined) return odder(fc.constant(schema.const));
  if (schema.enum) return odder(fc.constantFrom(...schema.enum));
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map((one) => inner(one)));
  if (Array.isArray(schema.type)) return fc.oneof(...schema.type.map((type: string) => inner({ ...schema, type })));
  switch (schema.type) {
    case 'object': {
      const fields = Object.entries(schema.properties ?? {}).map(([name, one]) => [name, odder(inner(one, name))]);
      const requiredKeys = [...(schema.required ?? [])].filter((name) => name in (schema.properties ?? {}));
      return fc.record(Object.fromEntries(fields) as Record<string, fc.Arbitrary<unknown>>, { requiredKeys });
    }
    case 'array':
      return fc.array(inner(schema.items ?? {}), { maxLength: 3 });
    case 'string':
      return strings(field);
    case 'number':
    case 'integer':
      return fc.oneof(fc.nat(60), fc.integer(), fc.double());
    case 'boolean':
      return fc.boolean();
    default:
      return fc.constant(null);
  }
}

/** A value with one of its fields, however deep, replaced by something odd. */
export function bent(value: unknown, at: number, odd: unknown): unknown {
  const paths: (readonly (string | number)[])[] = [];
  const walk = (one: unknown, path: readonly (string | number)[]) => {
    if (path.length > 0) paths.push(path);
    if (typeof one === 'object' && one !== null)
      for (const [key, inner] of Object.entries(one)) walk(inner, [...path, Array.isArray(one) ? Number(key) : key]);
  };
  walk(value, []);
  const path = paths[at % paths.length];
  const copy = structuredClone(value) as Record<string | number, unknown>;
  if (!path) return odd;
  let place = copy;
  for (const key of path.slice(0, -1)) place = place[key] as Record<string | number, unknown>;
  place[path.at(-1) ?? ''] = odd;
  return copy;
}
