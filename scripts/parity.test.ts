import { getMetadataStorage } from 'class-validator';
import { BODY_CLASSES, SET_UP_CLASSES } from '@winter-jar/contracts';
import { ENTRY_KINDS, SET_UP_KINDS, type SetUpKind } from '@winter-jar/core';
import setUpSchema from '../server/src/set-up/set-up.schema.json' with { type: 'json' };
import { FIELD_SPECS } from '../web/src/set-up/field-specs.js';

const fieldsOf = (type: new () => object): string[] => {
  const rules = getMetadataStorage().getTargetValidationMetadatas(type, type.name, false, false);
  return [...new Set(rules.map((r) => r.propertyName))].sort();
};

test('every kind of entry and of record has its rules', () => {
  expect(Object.keys(BODY_CLASSES).sort()).toEqual([...ENTRY_KINDS].sort());
  expect(Object.keys(SET_UP_CLASSES).sort()).toEqual([...SET_UP_KINDS].sort());
});

test.each(SET_UP_KINDS)('the published JSON Schema of a %s has the fields of its rules', (kind) => {
  const defs = setUpSchema.$defs as Record<string, { properties: object }>;
  const { name } = SET_UP_CLASSES[kind];
  expect(Object.keys(defs[name]?.properties ?? {}).sort()).toEqual(fieldsOf(SET_UP_CLASSES[kind]));
});

/** What no person types into a record's form: it has a place of its own, see set-up/record-page.tsx. */
const ELSEWHERE: Readonly<Partial<Record<SetUpKind, readonly string[]>>> = {
  equipment: ['assumed', 'inlet'],
  material: ['assumed'],
  pumpModel: ['assumed', 'limits', 'ownSteps', 'sumps'],
  pump: ['limits', 'oilLimits'],
  oilProduct: ['assumed', 'limits', 'oilLimits'],
  instrument: ['channels'],
  houseRules: ['limits', 'oilLimits'],
};

test.each(SET_UP_KINDS)('the form of a %s asks for every field of its rules, and for nothing else', (kind) => {
  const asked = new Set((FIELD_SPECS[kind] ?? []).map((spec) => spec.path.split('.')[0] ?? ''));
  const elsewhere = ELSEWHERE[kind] ?? [];
  const wanted = fieldsOf(SET_UP_CLASSES[kind]).filter((f) => !elsewhere.includes(f));
  expect([...asked].filter((f) => !elsewhere.includes(f)).sort()).toEqual(wanted);
});
