import {
  LEVELS,
  type Level,
  WEAR_SIGNS,
  type LabResultBody,
  type LabSampleBody,
  type SumpKey,
  type WearSign,
} from '@winter-jar/core';
import { ArrayUnique, IsArray, IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { Maybe, OneOf, Remark, SomeVolume, Uuid, Within } from './body-rules.js';
import { SUMPS } from './limits.js';

const label = { message: 'what is written on the bottle, at most 60 characters' };
const Ppm = (max: number): PropertyDecorator =>
  Maybe(Within(0, max, `ppm (mg/kg) from 0 to ${max.toLocaleString('en')}`));
const MgKohG = (): PropertyDecorator => Maybe(Within(0, 100, 'mg KOH/g from 0 to 100, such as 0.4'));
const Count = (): PropertyDecorator => Maybe(Within(0, 1e9, 'particles per mL, 0 or more'));

export class LabSampleBodyDto implements LabSampleBody {
  @OneOf(SUMPS) sump!: SumpKey;
  @SomeVolume(1, 'the mL in the bottle, at least 1') drawnMl!: number;

  @IsOptional()
  @IsString(label)
  @MaxLength(60, label)
  label?: string | null;

  @Maybe(OneOf(LEVELS)) levelAfter?: Level | null;
  @Remark() remark?: string | null;
}

/** Units as laboratories print them. */
export class LabResultBodyDto implements LabResultBody {
  @Uuid('the id of the sample that it reports on') sampleId!: string;
  @Ppm(1_000_000) waterPpm?: number | null;
  @Maybe(Within(0.5, 10_000, 'mm²/s (cSt) at 40 °C from 0.5 to 10,000')) viscosity40Mm2s?: number | null;
  @Ppm(100_000) ironPpm?: number | null;
  @MgKohG() acidMgKohG?: number | null;
  @MgKohG() baseMgKohG?: number | null;
  @Ppm(100_000) siliconPpm?: number | null;
  @Ppm(100_000) aluminiumPpm?: number | null;
  @Count() count4PerMl?: number | null;
  @Count() count6PerMl?: number | null;
  @Count() count14PerMl?: number | null;

  @IsOptional()
  @IsArray({ message: 'a list of what the pump shows beside the iron' })
  @ArrayUnique({ message: 'each sign once' })
  @IsIn(WEAR_SIGNS, { each: true, message: `one of ${WEAR_SIGNS.join(', ')}` })
  wearSigns?: WearSign[] | null;

  @Remark() remark?: string | null;
}
