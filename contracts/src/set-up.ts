// The rules of every kind of record in one view, as the set-up's schema is made from them: longer than other files.
import 'reflect-metadata';
import {
  CHANNEL_MEANINGS,
  CHANNEL_NEEDS,
  GAUGE_KINDS,
  INSTRUMENT_TALKS,
  LOG_UNIT_NAMES,
  PRESSURE_REFERENCES,
  REGISTER_FORMATS,
  REGISTER_TABLES,
  readPattern,
  INLET_PART_KINDS,
  INLET_PART_NEEDS,
  LEVEL_MARKS,
  OWN_STEP_WAYS,
  MEASURES,
  MEDIA_KINDS,
  OIL_LIMITS,
  PUMP_PLACES,
  REUSE_SCHOOLS,
  SCHOOLS,
  EXHAUST_ENDS,
  EXHAUST_PIPES,
  WETNESSES,
  SEASONS,
  SERVICE_CLASSES,
  SET_UP_KINDS,
  TASKS,
  VERDICT_LEVELS,
  VESSELS,
  WASTE_KINDS,
  type ChannelMeaning,
  type GaugeKind,
  type InletPart,
  type InstrumentChannel,
  type InstrumentTalk,
  type LogUnit,
  type PressureReference,
  type RegisterFormat,
  type RegisterTable,
  type InletPartKind,
  type Limits,
  type ModelFacts,
  type OwnStep,
  type OwnStepWay,
  type Season,
  type ServiceClass,
  type SetUpKind,
} from '@winter-jar/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  registerDecorator,
  ValidateNested,
} from 'class-validator';
import { Maybe, PhotoId, Uuid } from './body-rules.js';
import { IsInstant, IsZone } from './instant.js';
import { MAX_CHANNELS, MAX_INLET_PARTS, MAX_OIL_LIMIT, MAX_OWN_STEPS, MAX_OWN_WORDS } from './limits.js';

const PROCESSES = ['freezeDrying', 'packaging', 'composites', 'industrial'] as const;
const SCHOOL_IDS = Object.keys(SCHOOLS);
const name = { message: 'a name of 1 to 60 characters' };
const id = { message: 'an id of 1 to 64 characters' };
const rating = { message: 'a rating from 0 to 3' };
const oneOf = (values: readonly string[]) => ({ message: `one of ${values.join(', ')}` });

/** Sparse limits per task: numbers above 0, or null to take a limit away. */
function AreLimits(): PropertyDecorator {
  const isLimits = (limits: unknown): limits is Limits =>
    typeof limits === 'object' &&
    limits !== null &&
    Object.entries(limits).every(
      ([m, v]) =>
        (MEASURES as readonly string[]).includes(m) && (v === null || (typeof v === 'number' && v > 0 && v <= 100_000)),
    );
  return (target, propertyName) =>
    registerDecorator({
      name: 'areLimits',
      target: target.constructor,
      propertyName: String(propertyName),
      options: {
        message: `limits by task and measure (${MEASURES.join(', ')}): a number above 0, or null to take it away`,
      },
      validator: {
        validate: (v) =>
          typeof v === 'object' &&
          v !== null &&
          Object.entries(v as object).every(([task, limits]) => TASKS.some((t) => t.id === task) && isLimits(limits)),
      },
    });
}

/** Sparse limits on the oil: amounts of at least 0, or null to take one away, and verdict levels for what is a word. */
function AreOilLimits(): PropertyDecorator {
  const isLimit = (key: string, value: unknown): boolean => {
    if (!Object.hasOwn(OIL_LIMITS, key)) return false;
    if (typeof OIL_LIMITS[key as keyof typeof OIL_LIMITS] === 'string')
      return (VERDICT_LEVELS as readonly unknown[]).includes(value);
    return value === null || (typeof value === 'number' && value >= 0 && value <= MAX_OIL_LIMIT);
  };
  return (target, propertyName) =>
    registerDecorator({
      name: 'areOilLimits',
      target: target.constructor,
      propertyName: String(propertyName),
      options: {
        message: `limits on the oil by reading (such as waterPercent.stop): a number from 0 to ${MAX_OIL_LIMIT.toLocaleString('en')} or null, and for signs one of ${VERDICT_LEVELS.join(', ')}`,
      },
      validator: {
        validate: (v) =>
          typeof v === 'object' &&
          v !== null &&
          Object.entries(v as object).every(([key, limit]) => isLimit(key, limit)),
      },
    });
}

/** As a manual says it, in a few words. */
function IsFewWords(): PropertyDecorator {
  return (target, key) => {
    IsOptional()(target, key);
    IsString(text(160))(target, key);
    MaxLength(160, text(160))(target, key);
  };
}

/** A name that shows: not only blanks. */
function IsName(): PropertyDecorator {
  return (target, key) => {
    Length(1, 60, name)(target, key);
    Matches(/\S/, name)(target, key);
  };
}

/** A number between bounds, said in one sentence. */
function Between(min: number, max: number, what: string): PropertyDecorator {
  const right = { message: `${what} from ${min.toLocaleString('en-GB')} to ${max.toLocaleString('en-GB')}` };
  return (target, name) => {
    IsNumber({}, right)(target, name);
    Min(min, right)(target, name);
    Max(max, right)(target, name);
  };
}
const whole = { message: 'a whole number' };
const trueOrFalse = { message: 'true or false' };
const PRESSURE = 'a pressure in Pa';
const text = (length: number) => ({ message: `text of at most ${length} characters` });

export class SiteDto {
  @IsName() name!: string;
  @IsIn(PROCESSES, oneOf(PROCESSES)) process!: string;
  @IsOptional() @IsString(text(120)) @MaxLength(120, text(120)) note?: string | null;
  @IsZone() zone!: string;
  @Maybe(IsIn(SEASONS, oneOf(SEASONS))) dampSeason?: Season | null;
  @Maybe(IsIn(SEASONS, oneOf(SEASONS))) coldSeason?: Season | null;
}

/** Each class once. */
function AreServiceClasses(): PropertyDecorator {
  return (target, key) => {
    IsOptional()(target, key);
    IsArray({ message: 'a list of service classes' })(target, key);
    ArrayUnique({ message: 'each service class once' })(target, key);
    IsIn(SERVICE_CLASSES, { each: true, ...oneOf(SERVICE_CLASSES) })(target, key);
  };
}

/** Names of fields that hold a default of ours. */
function AreFieldNames(): PropertyDecorator {
  return (target, key) => {
    IsOptional()(target, key);
    IsArray({ message: 'a list of field names' })(target, key);
    ArrayMaxSize(30, { message: 'at most 30 field names' })(target, key);
    Matches(/^[a-zA-Z0-9.]{1,40}$/, { each: true, message: 'field names' })(target, key);
  };
}

/** The fields that its kind needs, above nothing. */
function HasWhatItNeeds(): PropertyDecorator {
  return (target, key) =>
    registerDecorator({
      name: 'hasWhatItNeeds',
      target: target.constructor,
      propertyName: key as string,
      options: {
        message:
          'a hose or a valve with diameter and length, bends with diameter and count, a filter with its conductance',
      },
      validator: {
        validate: (_, args) => {
          const part = args?.object as InletPart;
          return (INLET_PART_NEEDS[part.kind] ?? []).every((field) => (part[field] ?? 0) > 0);
        },
      },
    });
}

export class InletPartDto implements InletPart {
  @IsIn(INLET_PART_KINDS, oneOf(INLET_PART_KINDS)) @HasWhatItNeeds() kind!: InletPartKind;
  @Maybe(Between(1, 1000, 'mm')) diameterMm?: number | null;
  @Maybe(Between(1, 100_000, 'mm')) lengthMm?: number | null;
  @IsOptional() @IsInt(whole) @Between(1, 50, 'bends') count?: number | null;
  @Maybe(Between(0.001, 100_000, 'L/s')) conductanceLPerS?: number | null;
}

export class EquipmentDto {
  @IsName() name!: string;
  @Length(1, 64, id) siteId!: string;
  @IsIn(PROCESSES, oneOf(PROCESSES)) process!: string;
  @AreServiceClasses() serviceClasses?: ServiceClass[] | null;
  @Maybe(Between(0.01, 1_000_000, 'litres')) chamberVolumeL?: number | null;
  @Between(0.1, 1000, 'hours') referenceHours!: number;
  @IsOptional() @IsInt(whole) @Between(1, 10_000_000, 'cycles') cyclesPerRun?: number | null;
  @Maybe(Between(1, 86_400, 'seconds')) cycleTimeS?: number | null;
  @IsBoolean(trueOrFalse) coldTrap!: boolean;
  @IsOptional() @IsIn(WETNESSES, oneOf(WETNESSES)) wetness?: string | null;
  @Maybe(Between(0.01, 100_000, 'kg')) trapHoldsKg?: number | null;
  @Maybe(Between(0.05, 5, 'trap’s factor')) trapEfficiency?: number | null;
  @Maybe(Between(-20, 90, '°C')) productTempC?: number | null;
  @Maybe(Between(0, 1, 'humidity')) productHumidity?: number | null;
  @Maybe(Between(0, 10_000, 'g per cycle')) flashGPerCycle?: number | null;
  @Maybe(Between(1e-6, 110_000, PRESSURE)) targetFirstPa?: number | null;
  @Maybe(Between(0.1, 1440, 'minutes')) targetFirstMinutes?: number | null;
  @Maybe(Between(1e-6, 110_000, PRESSURE)) targetUltimatePa?: number | null;
  @Maybe(Between(0.1, 1000, 'hours')) targetUltimateHours?: number | null;
  @IsOptional()
  @IsArray({ message: 'a list of what lies between chamber and pump' })
  @ArrayMaxSize(MAX_INLET_PARTS, { message: `at most ${MAX_INLET_PARTS} parts` })
  @ValidateNested({ each: true, message: 'a list of what lies between chamber and pump' })
  @Type(() => InletPartDto)
  inlet?: InletPartDto[] | null;
  @AreFieldNames() assumed?: string[] | null;
}

export class SumpDto {
  @IsIn(['oil', 'gearA', 'gearB', 'sealCup'], oneOf(['oil', 'gearA', 'gearB', 'sealCup'])) key!: string;
  @Between(1, 200_000, 'mL') chargeMl!: number;
  @Between(1, 200_000, 'mL') housingMl!: number;
  @Between(0, 200_000, 'mL') holdUpMl!: number;
  @Maybe(Between(0, 200_000, 'mL')) betweenMarksMl?: number | null;
}

/** Of a model, as its manual says it. */
export class ModelFactsDto implements ModelFacts {
  @IsFewWords() drain?: string | null;
  @IsFewWords() tilt?: string | null;
  @IsFewWords() keys?: string | null;
  @IsFewWords() tightening?: string | null;
  @IsFewWords() seals?: string | null;
  @IsFewWords() oilFilter?: string | null;
  @IsFewWords() exhaustFilter?: string | null;
}

/** What a house does otherwise in a service of a model. */
export class OwnStepDto implements OwnStep {
  @Matches(/^[A-Za-z0-9-]{1,40}$/, { message: 'letters, digits and dashes, at most 40' }) id!: string;
  @Length(1, 64, id) procedure!: string;
  @Length(1, 64, id) step!: string;
  @IsIn(OWN_STEP_WAYS, oneOf(OWN_STEP_WAYS)) way!: OwnStepWay;
  @IsOptional()
  @IsString(text(MAX_OWN_WORDS))
  @MaxLength(MAX_OWN_WORDS, text(MAX_OWN_WORDS))
  words?: string | null;
  @Maybe(Between(1, 600, 'minutes')) minutes?: number | null;
  @PhotoId() photoId?: string | null;
}

export class PumpModelDto {
  @IsName() name!: string;
  @IsIn(['vane', 'booster', 'dry'], oneOf(['vane', 'booster', 'dry'])) kind!: string;
  @Between(0.1, 100_000, 'm³/h') pumpingSpeedM3h!: number;
  @IsOptional() @IsInt(whole) @Between(1, 8, 'stages') stages?: number | null;
  @Maybe(Between(1e-6, 110_000, PRESSURE)) ultimatePa?: number | null;
  @Maybe(Between(1e-6, 110_000, PRESSURE)) ultimateBallastPa?: number | null;
  @Maybe(Between(0, 10_000, 'm³/h')) ballastFlowM3h?: number | null;
  @Between(0, 150, '°C') operatingOilTempC!: number;
  @IsIn(['open', 'closed', 'purge', 'none'], oneOf(['open', 'closed', 'purge', 'none'])) ballastRule!: string;
  @IsBoolean(trueOrFalse) hasOilFilter!: boolean;
  @Maybe(Between(0, 50_000, 'mL')) oilFilterHoldUpMl?: number | null;
  @IsOptional() @IsBoolean(trueOrFalse) hasHourMeter?: boolean | null;
  @IsOptional() @IsIn(LEVEL_MARKS, oneOf(LEVEL_MARKS)) levelMark?: string | null;
  @IsOptional()
  @ValidateNested({ message: 'what a service wants to know' })
  @Type(() => ModelFactsDto)
  service?: ModelFactsDto | null;
  @Maybe(Between(1, 200_000, 'Pa over ambient')) exhaustLookPa?: number | null;
  @Maybe(Between(1, 200_000, 'Pa over ambient')) exhaustRenewPa?: number | null;
  @IsOptional()
  @IsArray({ message: 'a list of own steps' })
  @ArrayMaxSize(MAX_OWN_STEPS, { message: `at most ${MAX_OWN_STEPS} own steps` })
  @ArrayUnique((own: OwnStep) => own?.id, { message: 'each own step once' })
  @ValidateNested({ each: true, message: 'a list of own steps' })
  @Type(() => OwnStepDto)
  ownSteps?: OwnStepDto[] | null;
  @IsOptional() @Length(1, 64, id) usualProductId?: string | null;
  @IsArray({ message: 'a list of sumps' })
  @ArrayMaxSize(4, { message: 'at most 4 sumps' })
  @ValidateNested({ each: true, message: 'a list of sumps' })
  @Type(() => SumpDto)
  sumps!: SumpDto[];
  @AreFieldNames() assumed?: string[] | null;
  @IsOptional() @AreLimits() limits?: object | null;
}

export class PumpDto {
  @IsName() name!: string;
  @Length(1, 64, id) modelId!: string;
  @Length(1, 64, id) siteId!: string;
  @Length(1, 64, id) equipmentId!: string;
  @IsIn(SCHOOL_IDS, oneOf(SCHOOL_IDS)) preset!: string;
  @IsOptional() @Length(1, 64, id) oilProductId?: string | null;
  @IsOptional() @IsInstant() overhauledAt?: string | null;
  @IsOptional() @IsIn(PUMP_PLACES, oneOf(PUMP_PLACES)) place?: string | null;
  @IsOptional() @IsString(text(200)) @MaxLength(200, text(200)) note?: string | null;
  @AreServiceClasses() serviceClasses?: ServiceClass[] | null;
  @IsOptional() @IsIn(EXHAUST_ENDS, oneOf(EXHAUST_ENDS)) exhaustEnds?: string | null;
  @IsOptional() @IsIn(EXHAUST_PIPES, oneOf(EXHAUST_PIPES)) exhaustPipe?: string | null;
  @Maybe(Between(1e-6, 110_000, PRESSURE)) blankOffPa?: number | null;
  @IsOptional() @IsBoolean(trueOrFalse) takesReused?: boolean | null;
  @IsOptional() @IsInt(whole) @Between(1, 20, 'rounds') reuseMost?: number | null;
  @IsOptional() @AreLimits() limits?: object | null;
  @IsOptional() @AreOilLimits() oilLimits?: object | null;
}

export class OilProductDto {
  @IsName() name!: string;
  @Length(1, 20, { message: 'a grade such as VG 68' }) grade!: string;
  @IsIn(['mineral', 'synthetic', 'ester', 'pfpe'], oneOf(['mineral', 'synthetic', 'ester', 'pfpe'])) base!: string;
  @IsIn(['demulsifying', 'detergent'], oneOf(['demulsifying', 'detergent'])) waterBehaviour!: string;
  @IsOptional() @IsBoolean(trueOrFalse) foodGrade?: boolean | null;
  @IsOptional() @IsBoolean(trueOrFalse) dyed?: boolean | null;
  @Between(0.5, 8, 'ASTM D1500') freshColour!: number;
  @Between(700, 2100, 'kg/m³') densityKgM3!: number;
  @Maybe(Between(1, 5000, 'mm²/s')) viscosity40Mm2s?: number | null;
  @Maybe(Between(1, 500, 'mm²/s')) viscosity100Mm2s?: number | null;
  @Maybe(Between(0, 10_000, 'ppm')) freshWaterPpm?: number | null;
  @Maybe(Between(0, 50, 'mg KOH/g')) freshAcidMgKohG?: number | null;
  @Maybe(Between(0, 100, 'mg KOH/g')) freshBaseMgKohG?: number | null;
  @Maybe(Between(0, 1000, 'ppm')) freshIronPpm?: number | null;
  @Maybe(Between(0, 1_000_000, 'money per litre')) pricePerL?: number | null;
  @AreFieldNames() assumed?: string[] | null;
  @IsOptional() @AreLimits() limits?: object | null;
  @IsOptional() @AreOilLimits() oilLimits?: object | null;
}

export class MaterialDto {
  @IsName() name!: string;
  @IsIn(PROCESSES, oneOf(PROCESSES)) process!: string;
  @IsInt(rating) @Min(0, rating) @Max(3, rating) moisture!: number;
  @IsInt(rating) @Min(0, rating) @Max(3, rating) fat!: number;
  @IsInt(rating) @Min(0, rating) @Max(3, rating) fines!: number;
  @IsInt(rating) @Min(0, rating) @Max(3, rating) solvent!: number;
  @IsInt(rating) @Min(0, rating) @Max(3, rating) acid!: number;
  @Maybe(Between(0, 100, 'percent of oxygen')) oxygenPercent?: number | null;
  @IsOptional() @IsString(text(200)) @MaxLength(200, text(200)) note?: string | null;
  @AreFieldNames() assumed?: string[] | null;
}

export class PersonDto {
  @IsName() name!: string;
  @IsOptional() @IsBoolean(trueOrFalse) maySpecialist?: boolean | null;
}

export class JarPointDto {
  @Between(0, 2000, 'mm') heightMm!: number;
  @Between(0, 200_000, 'mL') ml!: number;
}

export class JarShapeDto {
  @IsName() name!: string;
  @IsArray({ message: 'a list of heights and volumes' })
  @ArrayMaxSize(40, { message: 'at most 40 heights' })
  @ValidateNested({ each: true, message: 'a list of heights and volumes' })
  @Type(() => JarPointDto)
  points!: JarPointDto[];
}

/** Something that holds oil on the shelf. */
export class ContainerDto {
  @IsName() name!: string;
  @IsIn(VESSELS, oneOf(VESSELS)) vessel!: string;
  @Between(10, 30_000_000, 'mL') holdsMl!: number;
  @Length(1, 64, id) siteId!: string;
  @IsFewWords() place?: string | null;
  @Maybe(Between(-30, 90, '°C')) tempC?: number | null;
  @IsOptional() @Length(1, 64, id) jarShapeId?: string | null;
  @IsOptional() @IsIn(WASTE_KINDS, oneOf(WASTE_KINDS)) wasteKind?: string | null;
  @Maybe(Between(10, 100, 'percent')) fullPercent?: number | null;
  @IsOptional() @IsBoolean(trueOrFalse) gone?: boolean | null;
}

export class FilterMediaDto {
  @IsName() name!: string;
  @IsIn(MEDIA_KINDS, oneOf(MEDIA_KINDS)) kind!: string;
  @Between(0, 50_000, 'mL') holdUpMl!: number;
  @Between(0.1, 1_000_000, 'mL per hour') rateMlPerH!: number;
  @Between(0.01, 100_000, 'litres') lifeL!: number;
  @Maybe(Between(0.1, 100_000, 'mL of solids')) lifeSludgeMl?: number | null;
  @Maybe(Between(0, 1_000_000, 'money')) price?: number | null;
}

/** A pattern of lines that can be read. */
function IsPattern(): PropertyDecorator {
  return (target, key) =>
    registerDecorator({
      name: 'isPattern',
      target: target.constructor,
      propertyName: key as string,
      options: { message: 'a pattern with {value} once, such as P1 {value} {unit}' },
      validator: { validate: (text) => typeof text === 'string' && text.length <= 200 && readPattern(text).ok },
    });
}

/** Each found in the way its instrument speaks, each with a key of its own. */
function AreChannels(): PropertyDecorator {
  const isFound = (channel: InstrumentChannel, talks: InstrumentTalk): boolean =>
    (CHANNEL_NEEDS[talks] ?? []).every((field) => channel[field] !== null && channel[field] !== undefined);
  const isInOrder = ({ believedFromPa, believedToPa }: InstrumentChannel): boolean =>
    (believedFromPa ?? 0) < (believedToPa ?? Infinity);
  return (target, key) =>
    registerDecorator({
      name: 'areChannels',
      target: target.constructor,
      propertyName: key as string,
      options: {
        message:
          'channels with keys of their own and the lower limit first; for lines with a pattern, for Modbus with table, register and format, for MQTT with a topic',
      },
      validator: {
        validate: (channels: unknown, args) => {
          if (!Array.isArray(channels)) return true;
          const known = channels.filter((c): c is InstrumentChannel => typeof c === 'object' && c !== null);
          const { talks } = args?.object as InstrumentDto;
          return (
            known.length === channels.length &&
            known.every((c) => isFound(c, talks) && isInOrder(c)) &&
            new Set(known.map((c) => c.key)).size === known.length
          );
        },
      },
    });
}

export class InstrumentChannelDto implements InstrumentChannel {
  @Matches(/^[A-Za-z0-9-]{1,40}$/, { message: 'letters, digits and dashes, at most 40' }) key!: string;
  @IsIn(CHANNEL_MEANINGS, oneOf(CHANNEL_MEANINGS)) means!: ChannelMeaning;
  @Maybe(IsPattern()) pattern?: string | null;
  @Maybe(IsIn(REGISTER_TABLES, oneOf(REGISTER_TABLES))) table?: RegisterTable | null;
  @IsOptional() @IsInt(whole) @Between(0, 65_534, 'register') register?: number | null;
  @Maybe(IsIn(REGISTER_FORMATS, oneOf(REGISTER_FORMATS))) format?: RegisterFormat | null;
  @IsOptional() @IsString(text(200)) @Length(1, 200, text(200)) topic?: string | null;
  @IsOptional() @IsString(text(120)) @MaxLength(120, text(120)) path?: string | null;
  @IsOptional() @IsString(text(120)) @MaxLength(120, text(120)) timePath?: string | null;
  @Maybe(Between(-1e9, 1e9, 'factor')) scale?: number | null;
  @Maybe(Between(-1e9, 1e9, 'number')) offset?: number | null;
  @Maybe(IsIn(LOG_UNIT_NAMES, oneOf(LOG_UNIT_NAMES))) unit?: LogUnit | null;
  @Maybe(IsIn(PRESSURE_REFERENCES, oneOf(PRESSURE_REFERENCES))) reference?: PressureReference | null;
  @Maybe(IsIn(GAUGE_KINDS, oneOf(GAUGE_KINDS))) gauge?: GaugeKind | null;
  @Maybe(Between(1e-8, 200_000, PRESSURE)) believedFromPa?: number | null;
  @Maybe(Between(1e-8, 200_000, PRESSURE)) believedToPa?: number | null;
  @Maybe(Between(-1e9, 1e9, 'number')) onAbove?: number | null;
}

const HOST = { message: 'a name or an address on the network, such as 192.168.1.20 or gauge-3.local' };

export class InstrumentDto {
  @IsName() name!: string;
  @Length(1, 64, id) equipmentId!: string;
  @IsOptional() @Length(1, 64, id) pumpId?: string | null;
  @IsIn(INSTRUMENT_TALKS, oneOf(INSTRUMENT_TALKS)) talks!: InstrumentTalk;
  @Matches(/^[A-Za-z0-9][A-Za-z0-9.:-]{0,252}$/, HOST) host!: string;
  @IsInt(whole) @Between(1, 65_535, 'port') port!: number;
  @IsOptional() @IsInt(whole) @Between(1, 247, 'unit') unitId?: number | null;
  @IsOptional() @IsInt(whole) @Between(50, 60_000, 'milliseconds') everyMs?: number | null;
  @IsOptional() @IsString(text(120)) @MaxLength(120, text(120)) user?: string | null;
  @Maybe(Between(-500, 9000, 'metres')) altitudeM?: number | null;
  @Maybe(Between(1e-6, 110_000, PRESSURE)) loadAbovePa?: number | null;
  @IsOptional() @IsBoolean(trueOrFalse) simulated?: boolean | null;
  @IsOptional()
  @IsArray({ message: 'a list of channels' })
  @ArrayMaxSize(MAX_CHANNELS, { message: `at most ${MAX_CHANNELS} channels` })
  @AreChannels()
  @ValidateNested({ each: true, message: 'a list of channels' })
  @Type(() => InstrumentChannelDto)
  channels?: InstrumentChannelDto[] | null;
}

export class HouseRulesDto {
  @AreLimits() limits!: object;
  @IsOptional() @AreOilLimits() oilLimits?: object | null;
  @IsOptional() @IsBoolean(trueOrFalse) opensModules?: boolean | null;
  @Maybe(Between(0, 1_000_000, 'money per hour')) hourPrice?: number | null;
  @Maybe(Between(0, 1_000_000, 'money per report')) labPrice?: number | null;
  @IsOptional() @IsIn(REUSE_SCHOOLS, oneOf(REUSE_SCHOOLS)) reuseSchool?: string | null;
  @IsOptional() @IsInt(whole) @Between(1, 20, 'rounds') reuseMost?: number | null;
  @Maybe(Between(0, 100, 'percent of new oil')) reuseNewPercent?: number | null;
  @Maybe(Between(0, 1_000_000, 'money per litre of waste')) wastePricePerL?: number | null;
}

export const SET_UP_CLASSES = {
  site: SiteDto,
  equipment: EquipmentDto,
  pumpModel: PumpModelDto,
  pump: PumpDto,
  oilProduct: OilProductDto,
  material: MaterialDto,
  person: PersonDto,
  jarShape: JarShapeDto,
  container: ContainerDto,
  filterMedia: FilterMediaDto,
  instrument: InstrumentDto,
  houseRules: HouseRulesDto,
} as const;

/** One version of one record of the set-up. */
export class SetUpVersionDto {
  @Uuid('an id made by the client') id!: string;
  @IsIn(SET_UP_KINDS, oneOf(SET_UP_KINDS)) kind!: SetUpKind;
  @Length(1, 64, id) subjectId!: string;
  @IsInstant() validFrom!: string;
  @IsInstant() recordedAt!: string;
  @IsObject({ message: 'an object with the fields of its kind' }) body!: object;
}
