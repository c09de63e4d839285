// The published JSON Schema of a set-up file, from the rules by which the server checks each record.
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';

const INSTANT = { type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d\\.\\d{3}Z$' };
const LIMIT = { type: ['number', 'null'], exclusiveMinimum: 0, maximum: 100_000 };

/** @param contracts the built package */
export function setUpSchema(
  { SET_UP_CLASSES, SET_UP_FILE_FORMAT, SET_UP_FILE_VERSION },
  { MEASURES, OIL_LIMITS, TASKS, VERDICT_LEVELS },
) {
  const measures = Object.fromEntries(MEASURES.map((m) => [m, LIMIT]));
  const limits = {
    type: 'object',
    additionalProperties: false,
    properties: Object.fromEntries(
      TASKS.map((t) => [t.id, { type: 'object', additionalProperties: false, properties: measures }]),
    ),
  };
  const oilLimits = {
    type: 'object',
    additionalProperties: false,
    properties: Object.fromEntries(
      Object.entries(OIL_LIMITS).map(([key, value]) => [
        key,
        typeof value === 'string' ? { enum: VERDICT_LEVELS } : { type: ['number', 'null'], minimum: 0, maximum: 1000 },
      ]),
    ),
  };
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/$defs/',
    additionalConverters: {
      // What a schema cannot say of a list: it is told when the file is taken in.
      areChannels: () => ({}),
      areLimits: () => limits,
      areOilLimits: () => oilLimits,
      isInstant: () => INSTANT,
      isPattern: () => ({ type: 'string', maxLength: 200 }),
      isZone: () => ({ type: 'string', description: 'an IANA time zone' }),
    },
  });
  const nullable = (schema) => {
    const wanted = new Set(schema.required ?? []);
    const properties = Object.entries(schema.properties).map(([key, value]) => [
      key,
      wanted.has(key) ? value : { anyOf: [value, { type: 'null' }] },
    ]);
    return { ...schema, additionalProperties: false, properties: Object.fromEntries(properties) };
  };
  const names = [
    ...Object.values(SET_UP_CLASSES).map((c) => c.name),
    'SumpDto',
    'ModelFactsDto',
    'OwnStepDto',
    'InletPartDto',
    'InstrumentChannelDto',
    'JarPointDto',
  ];
  const record = ([kind, type]) => ({
    type: 'object',
    additionalProperties: false,
    required: ['kind', 'id', 'body'],
    properties: {
      kind: { const: kind },
      id: { type: 'string', pattern: '^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$' },
      seen: { type: ['string', 'null'], description: 'the version that an export saw' },
      body: { $ref: `#/$defs/${type.name}` },
    },
  });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Winter Jar set-up',
    type: 'object',
    additionalProperties: false,
    required: ['format', 'version', 'records'],
    properties: {
      format: { const: SET_UP_FILE_FORMAT },
      version: { const: SET_UP_FILE_VERSION },
      exportedAt: INSTANT,
      records: { type: 'array', items: { oneOf: Object.entries(SET_UP_CLASSES).map(record) } },
    },
    $defs: Object.fromEntries(names.map((name) => [name, nullable(schemas[name])])),
  };
}
