import 'reflect-metadata';
import {
  BODY_VERSION,
  CORRECTION_ACTIONS,
  ENTRY_KINDS,
  SUBJECT_TYPES,
  type EntryBodies,
  type CorrectionBody,
  type EntryKind,
  type Precision,
  type Subject,
} from '@winter-jar/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { Uuid } from './body-rules.js';
import { IsInstant, IsZone } from './instant.js';
import { MAX_ACKNOWLEDGED } from './limits.js';

const BODY_VERSIONS = Array.from({ length: BODY_VERSION }, (_, i) => i + 1);
/** A battery that ran empty sets a clock back to its first day. */
const MAX_CLOCK_OFF_S = 30 * 366 * 86_400;
const PRECISIONS: readonly Precision[] = ['exact', 'day', 'unknown'];
const KINDS = [...ENTRY_KINDS, 'correction'] as const;
export class SubjectDto implements Subject {
  @IsIn(SUBJECT_TYPES, { message: `one of ${SUBJECT_TYPES.join(', ')}` })
  type!: Subject['type'];

  @IsString({ message: 'an id of 1 to 64 characters' })
  @Length(1, 64, { message: 'an id of 1 to 64 characters' })
  id!: string;
}

/** What every entry carries; the body's own class follows from the kind. */
export class EntryDto {
  @Uuid('an id made by the client')
  id!: string;

  @Uuid('an id that the entries of one deed share')
  actId!: string;

  @IsIn(KINDS, { message: `one of ${KINDS.join(', ')}` })
  kind!: EntryKind | 'correction';

  @IsArray({ message: 'a list of 1 to 10 subjects' })
  @ArrayMinSize(1, { message: 'at least one subject' })
  @ArrayMaxSize(10, { message: 'at most 10 subjects' })
  @ValidateNested({ each: true, message: 'a list of 1 to 10 subjects' })
  @Type(() => SubjectDto)
  subjects!: SubjectDto[];

  @IsInstant()
  happenedAt!: string;

  @IsZone()
  zone!: string;

  @IsIn(PRECISIONS, { message: 'one of exact, day, unknown' })
  precision!: Precision;

  @IsInstant()
  recordedAt!: string;

  @IsOptional()
  @IsString({ message: 'the id of a person' })
  @MaxLength(64, { message: 'at most 64 characters' })
  who?: string | null;

  @IsOptional()
  @IsString({ message: 'a device name of at most 64 characters' })
  @MaxLength(64, { message: 'a device name of at most 64 characters' })
  device?: string | null;

  @IsArray({ message: 'a list of question codes, possibly empty' })
  @ArrayMaxSize(MAX_ACKNOWLEDGED, { message: `at most ${MAX_ACKNOWLEDGED} codes` })
  @Matches(/^[a-zA-Z]{1,40}$/, { each: true, message: 'question codes' })
  acknowledged!: string[];

  @IsIn(BODY_VERSIONS, { message: `a body version from 1 to ${BODY_VERSION}: a later one needs a newer Winter Jar` })
  bodyVersion!: number;

  @IsOptional()
  @IsInt({ message: 'whole seconds' })
  @Min(-MAX_CLOCK_OFF_S, { message: 'seconds of at most thirty years' })
  @Max(MAX_CLOCK_OFF_S, { message: 'seconds of at most thirty years' })
  clockAheadS?: number | null;

  @IsObject({ message: 'an object with the fields of its kind' })
  body!: object;
}

export class CorrectionBodyDto {
  @Uuid('the id of the original entry')
  targetId!: string;

  @IsOptional()
  @Uuid('the id of the correction in force, or null')
  supersedes!: string | null;

  @IsOptional()
  @IsArray({ message: 'a list of the corrections that were seen' })
  @ArrayMaxSize(200, { message: 'at most 200 corrections' })
  @Uuid('ids of corrections', { each: true })
  saw?: string[] | null;

  @IsIn(CORRECTION_ACTIONS, { message: `one of ${CORRECTION_ACTIONS.join(', ')}` })
  action!: CorrectionBody['action'];

  @IsOptional()
  @IsObject({ message: 'the full new body' })
  body?: EntryBodies[EntryKind] | null;

  @IsOptional()
  @IsInstant()
  happenedAt?: string | null;
}
