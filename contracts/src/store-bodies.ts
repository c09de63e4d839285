import {
  CLARITIES,
  OUTSIDES,
  PARTICLE_KINDS,
  SMELLS,
  type Clarity,
  type MediaChangeBody,
  type OpenedBody,
  type Outside,
  type ParticleKind,
  type Smell,
  type StocktakeBody,
  type TransferBody,
} from '@winter-jar/core';
import { ArrayUnique, IsArray, IsBoolean, IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { IdOf, Maybe, OneOf, Remark, Within } from './body-rules.js';
import { MAX_STORE_ML } from './limits.js';

const StoreVolume = () => Within(0, MAX_STORE_ML, `a volume from 0 to ${MAX_STORE_ML.toLocaleString('en')} mL`);
const StoreTemp = () => Within(-30, 150, 'a temperature in °C from -30 to 150, such as 45');
const COLOURS = Array.from({ length: 16 }, (_, i) => (i + 1) / 2);

/** A few words. */
function FewWords(): PropertyDecorator {
  const right = { message: 'text of at most 80 characters' };
  return (target, name) => {
    IsOptional()(target, name);
    IsString(right)(target, name);
    MaxLength(80, right)(target, name);
  };
}

export class TransferBodyDto implements TransferBody {
  @Maybe(IdOf('a container')) fromId?: string | null;
  @Maybe(IdOf('a container')) toId?: string | null;
  @Maybe(OneOf(OUTSIDES)) outside?: Outside | null;
  @Maybe(IdOf('an oil product')) productId?: string | null;
  @FewWords() batch?: string | null;
  @StoreVolume() oilMl!: number;
  @Maybe(StoreVolume()) waterMl?: number | null;
  @Maybe(StoreVolume()) creamMl?: number | null;
  @Maybe(StoreVolume()) sludgeMl?: number | null;
  @Maybe(StoreTemp()) tempC?: number | null;
  @Maybe(IsBoolean({ message: 'true where nobody measured it' })) estimated?: boolean | null;
  @Maybe(Within(0.05, 1000, 'hours from 0.05 to 1,000')) throughHours?: number | null;
  @FewWords() carrier?: string | null;
  @FewWords() noteNumber?: string | null;
  @Remark() remark?: string | null;
}

export class StocktakeBodyDto implements StocktakeBody {
  @StoreVolume() oilMl!: number;
  @Maybe(StoreVolume()) hazyMl?: number | null;
  @Maybe(StoreVolume()) waterMl?: number | null;
  @Maybe(StoreVolume()) creamMl?: number | null;
  @Maybe(StoreVolume()) sludgeMl?: number | null;
  @Maybe(StoreTemp()) tempC?: number | null;
  @Maybe(OneOf(CLARITIES)) clarity?: Clarity | null;
  @Maybe(IsIn(COLOURS, { message: 'a half step of ASTM D1500 from 0.5 to 8' })) colour?: number | null;
  @Maybe(OneOf(SMELLS)) smell?: Smell | null;

  @IsOptional()
  @IsArray({ message: 'a list of kinds of particles' })
  @ArrayUnique({ message: 'each kind once' })
  @IsIn(PARTICLE_KINDS, { each: true, message: `one of ${PARTICLE_KINDS.join(', ')}` })
  particleKinds?: ParticleKind[] | null;

  @Remark() remark?: string | null;
}

export class OpenedBodyDto implements OpenedBody {
  @Remark() remark?: string | null;
}

export class MediaChangeBodyDto implements MediaChangeBody {
  @Maybe(IdOf('a filter media')) mediaId?: string | null;
  @Within(0, 50_000, 'a volume from 0 to 50,000 mL') holdUpMl!: number;
  @Maybe(Within(0, 50_000, 'a volume from 0 to 50,000 mL')) recoveredMl?: number | null;
  @Maybe(IdOf('a container')) recoveredIntoId?: string | null;
  @Maybe(Within(0, 1_000_000, 'money from 0 to 1,000,000')) price?: number | null;
  @Remark() remark?: string | null;
}
