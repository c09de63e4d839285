// Every kind of record of the set-up in one view: longer than other files.
import type { SumpKey } from '../journal/index.js';
import type { InletPart } from './inlet.js';
import type { Instrument } from './instrument.js';
import type { PumpKind, SchoolId, SparseLimits, JarShape, SparseOilLimits } from '../limits/index.js';

/** The four kinds of customer of docs/trade.md 1, and what lies beside them. */
export type Process = 'freezeDrying' | 'packaging' | 'composites' | 'industrial';
export type OilBase = 'mineral' | 'synthetic' | 'ester' | 'pfpe';
export type WaterBehaviour = 'demulsifying' | 'detergent';

/** What a pump or an equipment meets that decides about its oils, about air in ballast and purge, and about care (docs/trade.md 4). */
export const SERVICE_CLASSES = ['oxygen', 'flammable', 'toxic', 'biological', 'corrosive', 'food'] as const;
export type ServiceClass = (typeof SERVICE_CLASSES)[number];

/** Quarters of a year, for what comes with the weather of a place. */
export const SEASONS = ['none', 'decToFeb', 'marToMay', 'junToAug', 'sepToNov'] as const;
export type Season = (typeof SEASONS)[number];

export interface Site {
  readonly name: string;
  readonly process: Process;
  /** What it does, in a few words. */
  readonly note?: string | null;
  /** IANA zone; days follow it. */
  readonly zone: string;
  /** When the air of its rooms is damp, and when they are cold. */
  readonly dampSeason?: Season | null;
  readonly coldSeason?: Season | null;
}

export const WETNESSES = ['wet', 'dry'] as const;
export type Wetness = (typeof WETNESSES)[number];

export interface Equipment {
  readonly name: string;
  readonly siteId: string;
  readonly process: Process;
  /** Missing means none. */
  readonly serviceClasses?: readonly ServiceClass[] | null;
  readonly chamberVolumeL?: number | null;
  /** What lies between it and its pump, from the chamber on. */
  readonly inlet?: readonly InletPart[] | null;
  /** Hours that count as one plain run. */
  readonly referenceHours: number;
  /** Cycles that count as one plain run; null where runs are counted by hours. */
  readonly cyclesPerRun?: number | null;
  readonly cycleTimeS?: number | null;
  readonly coldTrap: boolean;
  /** Wet: brine, juice, wash-down. Freeze drying is wet in any case. */
  readonly wetness?: Wetness | null;
  /** Ice that the trap takes before its surface grows warm, kg. */
  readonly trapHoldsKg?: number | null;
  /** 1 lets past what ice at its temperature gives off; half as good a trap lets twice as much past. Missing means 1. */
  readonly trapEfficiency?: number | null;
  /** Of the product in a packing chamber, and the humidity of the air above it (0-1). */
  readonly productTempC?: number | null;
  readonly productHumidity?: number | null;
  /** What a wet product gives off per cycle below its saturation pressure. */
  readonly flashGPerCycle?: number | null;
  /** Acceptance targets of this set: a pressure within the first minutes, an ultimate within hours. */
  readonly targetFirstPa?: number | null;
  readonly targetFirstMinutes?: number | null;
  readonly targetUltimatePa?: number | null;
  readonly targetUltimateHours?: number | null;
  /** Fields whose value is a default of ours, that nobody has said. */
  readonly assumed?: readonly string[] | null;
}

export interface Sump {
  readonly key: SumpKey;
  readonly chargeMl: number;
  /** What the housing holds at most. */
  readonly housingMl: number;
  /** Stays behind after a drain. */
  readonly holdUpMl: number;
  /** Between MIN and MAX in the sight glass. */
  readonly betweenMarksMl?: number | null;
}

/** How the glass of a model shows its level: two lines, a window to fill to a half or to three quarters, or the upper of two circles. */
export const LEVEL_MARKS = ['twoLines', 'windowHalf', 'windowThreeQuarters', 'upperCircle'] as const;
export type LevelMark = (typeof LEVEL_MARKS)[number];

/** What a service wants to know of a model, as its manual says it: each in a few words, asked once and kept. */
export const MODEL_FACTS = ['drain', 'tilt', 'keys', 'tightening', 'seals', 'oilFilter', 'exhaustFilter'] as const;
export type ModelFact = (typeof MODEL_FACTS)[number];
export type ModelFacts = { readonly [F in ModelFact]?: string | null };

/** What a house does otherwise in a service: a step of its own before or after another, one in its own words, one that is left out. */
export const OWN_STEP_WAYS = ['before', 'after', 'reword', 'leaveOut'] as const;
export type OwnStepWay = (typeof OWN_STEP_WAYS)[number];

export interface OwnStep {
  /** Its own within the model. */
  readonly id: string;
  /** A procedure of core/service, and the step of it that this is about. */
  readonly procedure: string;
  readonly step: string;
  readonly way: OwnStepWay;
  /** Wanted unless it is left out. */
  readonly words?: string | null;
  /** Of a step that comes in addition. */
  readonly minutes?: number | null;
  /** SHA-256 of a photograph that was uploaded before. */
  readonly photoId?: string | null;
}

export interface PumpModel {
  readonly name: string;
  readonly kind: PumpKind;
  readonly pumpingSpeedM3h: number;
  readonly stages?: number | null;
  readonly ultimatePa?: number | null;
  /** Ultimate with the gas ballast open. */
  readonly ultimateBallastPa?: number | null;
  readonly ballastFlowM3h?: number | null;
  readonly operatingOilTempC: number;
  readonly ballastRule: 'open' | 'closed' | 'purge' | 'none';
  readonly hasOilFilter: boolean;
  readonly oilFilterHoldUpMl?: number | null;
  readonly hasHourMeter?: boolean | null;
  readonly levelMark?: LevelMark | null;
  readonly service?: ModelFacts | null;
  /** Over ambient, at the exhaust: from where its filter is looked at, and from where it is renewed. */
  readonly exhaustLookPa?: number | null;
  readonly exhaustRenewPa?: number | null;
  readonly ownSteps?: readonly OwnStep[] | null;
  /** The oil that its manual names. */
  readonly usualProductId?: string | null;
  readonly assumed?: readonly string[] | null;
  readonly sumps: readonly Sump[];
  readonly limits?: SparseLimits | null;
}

/** Where a pump is in its life. Only `inService` and `lent` stand on the Round. */
export const PUMP_PLACES = ['inService', 'lent', 'spare', 'retired'] as const;
export type PumpPlace = (typeof PUMP_PLACES)[number];

export const EXHAUST_ENDS = ['inside', 'outdoors'] as const;
export const EXHAUST_PIPES = ['down', 'rises'] as const;
export type ExhaustPipe = (typeof EXHAUST_PIPES)[number];
export type ExhaustEnd = (typeof EXHAUST_ENDS)[number];

export interface Pump {
  readonly name: string;
  readonly modelId: string;
  readonly siteId: string;
  readonly equipmentId: string;
  readonly preset: SchoolId;
  /** Null for a dry pump. */
  readonly oilProductId?: string | null;
  /** Start of the first charge after a new or overhauled pump (running-in); null when long in service. */
  readonly overhauledAt?: string | null;
  /** Missing means in service. */
  readonly place?: PumpPlace | null;
  /** Where it was lent to, why it was retired, what it was exchanged for. */
  readonly note?: string | null;
  /** Beside those of its equipment. */
  readonly serviceClasses?: readonly ServiceClass[] | null;
  /** Where its exhaust ends, and whether the pipe climbs on the way without a drip leg. */
  readonly exhaustEnds?: ExhaustEnd | null;
  readonly exhaustPipe?: ExhaustPipe | null;
  /** Its own ultimate, blanked off. */
  readonly blankOffPa?: number | null;
  /** Takes used oil, where the house chooses pump by pump; missing means it does not. */
  readonly takesReused?: boolean | null;
  /** Used oil goes into it at most so often, where that is less than the house allows. */
  readonly reuseMost?: number | null;
  readonly limits?: SparseLimits | null;
  readonly oilLimits?: SparseOilLimits | null;
}

export interface OilProduct {
  readonly name: string;
  readonly grade: string;
  readonly base: OilBase;
  readonly waterBehaviour: WaterBehaviour;
  /** Registered for incidental food contact: class H1 (ISO 21469). */
  readonly foodGrade?: boolean | null;
  /** Coloured by its maker: judged by colour with more patience. */
  readonly dyed?: boolean | null;
  /** ASTM D1500 of the unused oil. */
  readonly freshColour: number;
  readonly densityKgM3: number;
  /** Kinematic viscosity (ASTM D445) of the unused oil. */
  readonly viscosity40Mm2s?: number | null;
  readonly viscosity100Mm2s?: number | null;
  /** The fresh oil's own analysis: the baseline of every later one. */
  readonly freshWaterPpm?: number | null;
  readonly freshAcidMgKohG?: number | null;
  readonly freshBaseMgKohG?: number | null;
  readonly freshIronPpm?: number | null;
  /** In the house's money. */
  readonly pricePerL?: number | null;
  readonly assumed?: readonly string[] | null;
  readonly limits?: SparseLimits | null;
  readonly oilLimits?: SparseOilLimits | null;
}

export interface Material {
  readonly name: string;
  readonly process: Process;
  /** Ratings 0-3. */
  readonly moisture: number;
  readonly fat: number;
  readonly fines: number;
  readonly solvent: number;
  readonly acid: number;
  /** Oxygen in the gas that is pumped, percent; missing means air. */
  readonly oxygenPercent?: number | null;
  readonly note?: string | null;
  readonly assumed?: readonly string[] | null;
}

/** Someone who writes in the journal. */
export interface Person {
  readonly name: string;
  /** Work for a specialist, such as opening the pump module. */
  readonly maySpecialist?: boolean | null;
}

export const VESSELS = ['can', 'bottle', 'jar', 'drum', 'filter'] as const;
export type Vessel = (typeof VESSELS)[number];

/** What waste is kept apart (docs/trade.md 9 and 11). */
export const WASTE_KINDS = ['oil', 'oilWithSolvent', 'pfpe', 'chlorinated', 'oilySolids', 'waterWithOil'] as const;
export type WasteKind = (typeof WASTE_KINDS)[number];

/** Something that holds oil on the shelf. */
export interface Container {
  readonly name: string;
  readonly vessel: Vessel;
  readonly holdsMl: number;
  readonly siteId: string;
  /** Where it stands, in a few words. */
  readonly place?: string | null;
  /** Of that place; null counts as a room of 20 °C. */
  readonly tempC?: number | null;
  readonly jarShapeId?: string | null;
  /** Null for one that holds no waste. */
  readonly wasteKind?: WasteKind | null;
  /** Full at so many percent of what it holds, for waste that is collected. */
  readonly fullPercent?: number | null;
  /** Not in use any more: it leaves the shelf. */
  readonly gone?: boolean | null;
}

export const MEDIA_KINDS = ['paper', 'spinOn', 'depth', 'adsorber', 'desiccant'] as const;
export type MediaKind = (typeof MEDIA_KINDS)[number];

/** What strains the oil in a filter. */
export interface FilterMedia {
  readonly name: string;
  readonly kind: MediaKind;
  /** Soaked up by the first oil. */
  readonly holdUpMl: number;
  /** Through clean wet media, of oil of 100 mm²/s. */
  readonly rateMlPerH: number;
  /** Oil until it is renewed, and solids that clog it. */
  readonly lifeL: number;
  readonly lifeSludgeMl?: number | null;
  readonly price?: number | null;
}

/** The schools of used oil: none goes back, all may, or to the pumps that say so (docs/trade.md 4 and 9). */
export const REUSE_SCHOOLS = ['newOnly', 'reuse', 'chosenPumps'] as const;
export type ReuseSchool = (typeof REUSE_SCHOOLS)[number];

export interface HouseRules {
  readonly limits: SparseLimits;
  readonly oilLimits?: SparseOilLimits | null;
  /** Pump modules are opened in this house; missing means they are exchanged. */
  readonly opensModules?: boolean | null;
  /** What an hour's work and a laboratory's report cost, in the house's money. */
  readonly hourPrice?: number | null;
  readonly labPrice?: number | null;
  /** Missing means new oil only. */
  readonly reuseSchool?: ReuseSchool | null;
  /** How often an oil goes back at most, and how much new oil goes with it, percent. */
  readonly reuseMost?: number | null;
  readonly reuseNewPercent?: number | null;
  /** What a litre of waste costs, in the house's money. */
  readonly wastePricePerL?: number | null;
}

export interface SetUpBodies {
  site: Site;
  equipment: Equipment;
  pumpModel: PumpModel;
  pump: Pump;
  oilProduct: OilProduct;
  material: Material;
  person: Person;
  jarShape: JarShape;
  container: Container;
  filterMedia: FilterMedia;
  instrument: Instrument;
  houseRules: HouseRules;
}

export type SetUpKind = keyof SetUpBodies;
const KINDS: Readonly<Record<SetUpKind, true>> = {
  site: true,
  equipment: true,
  pumpModel: true,
  pump: true,
  oilProduct: true,
  material: true,
  person: true,
  jarShape: true,
  container: true,
  filterMedia: true,
  instrument: true,
  houseRules: true,
};
/** Every kind of record there is: the compiler asks for one that is missing. */
export const SET_UP_KINDS = Object.keys(KINDS) as readonly SetUpKind[];

/** One version of one record. A later record with the same validFrom corrects a wrong value; another validFrom is a change. */
export type SetUpVersion = {
  [K in SetUpKind]: {
    readonly id: string;
    readonly kind: K;
    readonly subjectId: string;
    readonly validFrom: string;
    readonly recordedAt: string;
    readonly body: SetUpBodies[K];
  };
}[SetUpKind];
