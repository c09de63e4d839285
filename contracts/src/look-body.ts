import {
  CLARITIES,
  DRAWN_HOW,
  FOAMS,
  LEVELS,
  LOOK_SOURCES,
  OIL_WENT,
  PARTICLE_AMOUNTS,
  PARTICLE_KINDS,
  SMELLS,
  type Clarity,
  type DrawnHow,
  type Foam,
  type Level,
  type LookBody,
  type LookSource,
  type OilWent,
  type ParticleAmount,
  type ParticleKind,
  type Smell,
  type SumpKey,
} from '@winter-jar/core';
import { ArrayUnique, IsArray, IsBoolean, IsIn, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IdOf, Maybe, OneOf, Remark, Uuid, Volume, Within, PhotoId } from './body-rules.js';
import { SUMPS } from './limits.js';

const yesOrNo = { message: 'true or false' };
const COLOURS = Array.from({ length: 16 }, (_, i) => (i + 1) / 2);
const hours = { message: 'hours from 0 to 1,000; 0 while the pump is running' };

/** What a look can say: from a glance through the glass to a jar read layer by layer. */
export class LookBodyDto implements LookBody {
  @OneOf(SUMPS) sump!: SumpKey;
  @OneOf(LOOK_SOURCES) source!: LookSource;
  @Maybe(Uuid('the id of the entry that drew this oil')) drawnId?: string | null;
  @Maybe(OneOf(DRAWN_HOW)) drawn?: DrawnHow | null;
  @Maybe(Volume()) lookedAtMl?: number | null;

  @IsNumber({}, hours)
  @Min(0, hours)
  @Max(1000, { message: 'at most 1,000 hours' })
  hoursStood!: number;

  @Maybe(Within(-20, 90, 'a temperature in °C from -20 to 90, such as 20')) jarTempC?: number | null;
  @Maybe(IdOf('a jar')) jarShapeId?: string | null;
  @Maybe(OneOf(LEVELS)) level?: Level | null;
  @Maybe(IsIn(COLOURS, { message: 'a half step of ASTM D1500 from 0.5 to 8' })) colour?: number | null;
  @Maybe(OneOf(CLARITIES)) clarity?: Clarity | null;
  @Maybe(Volume()) sludgeMl?: number | null;
  @Maybe(Volume()) freeWaterMl?: number | null;
  @Maybe(Volume()) creamMl?: number | null;
  @Maybe(Volume()) hazyMl?: number | null;
  @Maybe(OneOf(PARTICLE_AMOUNTS)) particles?: ParticleAmount | null;

  @IsOptional()
  @IsArray({ message: 'a list of kinds of particles' })
  @ArrayUnique({ message: 'each kind once' })
  @IsIn(PARTICLE_KINDS, { each: true, message: `one of ${PARTICLE_KINDS.join(', ')}` })
  particleKinds?: ParticleKind[] | null;

  @Maybe(OneOf(SMELLS)) smell?: Smell | null;
  @Maybe(OneOf(FOAMS)) foam?: Foam | null;
  @Maybe(IsBoolean(yesOrNo)) waterAtPickUp?: boolean | null;
  @Maybe(IsBoolean(yesOrNo)) thrownFromExhaust?: boolean | null;

  @Maybe(OneOf(OIL_WENT)) oilWent?: OilWent | null;

  @PhotoId() photoId?: string | null;
  @Maybe(IdOf('a container')) containerId?: string | null;

  @Remark() remark?: string | null;
}
