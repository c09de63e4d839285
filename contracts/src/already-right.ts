import { plainToInstance } from 'class-transformer';
import { getMetadataStorage, ValidationTypes } from 'class-validator';

type Rule = (value: unknown, object: object) => boolean;
type Shape = new () => object;

/** The rules of a class as they stand in its decorators, gathered once: class-validator gathers them anew for every object. */
const gathered = new Map<Shape, ReadonlyMap<string, Rule>>();

/**
 * Whether a plain object keeps every rule of its DTO class. It says the same as class-validator and many times sooner, but not
 * what is wrong: whoever gets a no asks class-validator for the reasons.
 */
export function isAlreadyRight(type: Shape, raw: object): boolean {
  const rules = rulesOf(type);
  if (Object.getPrototypeOf(raw) !== Object.prototype) return false;
  for (const key of Object.keys(raw)) if (!rules.has(key)) return false;
  for (const [key, rule] of rules) if (!rule((raw as Record<string, unknown>)[key], raw)) return false;
  return true;
}

function rulesOf(type: Shape): ReadonlyMap<string, Rule> {
  let rules = gathered.get(type);
  if (!rules) {
    rules = gather(type);
    gathered.set(type, rules);
  }
  return rules;
}

function gather(type: Shape): ReadonlyMap<string, Rule> {
  const storage = getMetadataStorage();
  const byProperty = storage.groupByPropertyName(storage.getTargetValidationMetadatas(type, '', false, false));
  const rules = new Map<string, Rule>();
  for (const [property, metadatas] of Object.entries(byProperty)) {
    const conditions: Rule[] = [];
    const checks: Rule[] = [];
    for (const metadata of metadatas) {
      const { type: kind, each, constraints, constraintCls } = metadata;
      if (kind === ValidationTypes.CONDITIONAL_VALIDATION) {
        const [condition] = constraints as [(object: object, value: unknown) => boolean];
        conditions.push((value, object) => condition(object, value));
      } else if (kind === ValidationTypes.NESTED_VALIDATION) {
        checks.push(nestedRule(type, property));
      } else if (kind === ValidationTypes.CUSTOM_VALIDATION) {
        for (const { instance } of storage.getTargetValidatorConstraints(constraintCls)) {
          const one: Rule = (value, object) =>
            instance.validate(value, { value, object, property, constraints, targetName: type.name }) === true;
          checks.push(
            each
              ? (list, object) => (Array.isArray(list) ? list.every((v) => one(v, object)) : one(list, object))
              : one,
          );
        }
      }
    }
    rules.set(property, (v, object) => conditions.some((c) => !c(v, object)) || checks.every((c) => c(v, object)));
  }
  return rules;
}

/** The class of a nested list follows from what class-transformer makes of one. */
function nestedRule(type: Shape, property: string): Rule {
  const probe = plainToInstance(type, { [property]: [{}] }) as Record<string, object[]>;
  const inner = probe[property]?.[0]?.constructor as Shape;
  return (value) =>
    Array.isArray(value) &&
    value.every((one) => typeof one === 'object' && one !== null && isAlreadyRight(inner, one as object));
}
