import { IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Matches, Max, MaxLength, Min } from 'class-validator';

/** Rules that fields of several bodies share. Messages say what would be right; the field and the value are named beside them. */
export const together =
  (...rules: PropertyDecorator[]): PropertyDecorator =>
  (target, name) =>
    rules.forEach((rule) => rule(target, name));

/** The same rule, where the field may also be missing. */
export const Maybe = (rule: PropertyDecorator): PropertyDecorator => together(IsOptional(), rule);

export const OneOf = (values: readonly string[]): PropertyDecorator =>
  IsIn(values, { message: `one of ${values.join(', ')}` });

const MAX_ML = 200_000;
const volume = { message: 'a volume from 0 to 200,000 mL' };
export const Volume = (): PropertyDecorator => together(IsNumber({}, volume), Min(0, volume), Max(MAX_ML, volume));

/** A volume that was there: above nothing. */
export const SomeVolume = (leastMl: number, right: string): PropertyDecorator =>
  together(IsNumber({}, { message: right }), Min(leastMl, { message: right }), Max(MAX_ML, volume));

/** A number between bounds, said in one sentence. */
export const Within = (min: number, max: number, right: string): PropertyDecorator =>
  together(IsNumber({}, { message: right }), Min(min, { message: right }), Max(max, { message: right }));

/** A whole number between bounds, said in one sentence. */
export const WholeWithin = (min: number, max: number, right: string): PropertyDecorator =>
  together(IsInt({ message: right }), Min(min, { message: right }), Max(max, { message: right }));

export const IdOf = (what: string): PropertyDecorator =>
  together(IsString({ message: `the id of ${what}` }), Length(1, 64, { message: `the id of ${what}` }));

const oneLine = { message: 'text of at most 500 characters' };
export const Remark = (): PropertyDecorator => Maybe(together(IsString(oneLine), MaxLength(500, oneLine)));

/** In lower case: two spellings of one id would be two entries. */
export const Uuid = (what: string, { each = false } = {}): PropertyDecorator =>
  Matches(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/, {
    message: `${what}: a UUID in lower case`,
    each,
  });

/** A photograph is uploaded before the entry that cites it. */
export const PhotoId = (): PropertyDecorator =>
  Maybe(Matches(/^[0-9a-f]{64}$/, { message: 'the id of a photograph that was uploaded: 64 hexadecimal digits' }));
