import type { LookBody } from '../journal/index.js';
import type { OilProduct } from '../set-up/index.js';
import type { FindingCode, OilFinding } from './finding.js';
import type { OilLimits } from '../limits/index.js';

export type JudgedProduct = Pick<OilProduct, 'base' | 'waterBehaviour' | 'freshColour' | 'densityKgM3'> &
  Partial<Pick<OilProduct, 'dyed' | 'viscosity40Mm2s' | 'viscosity100Mm2s'>>;

/** What a charge has shown before this look. */
export interface ChargeSeen {
  /** 0: never changed on record. */
  readonly number: number;
  readonly chargeMl: number;
  readonly runs: number;
  /** ASTM D1500 at its start; null when no look has said it. */
  readonly startColour: number | null;
  /** Bled and sampled since the change and not yet answered. */
  readonly waterTakenOutMl: number;
  /** What the process explains; null when nobody knows. */
  readonly expectedWaterMl: number | null;
  /** Found water of this charge was answered before: both figures are of what came since. */
  readonly waterAnswered?: boolean;
  /** A purge was done since cream or haze was last seen. */
  readonly purgedSinceSeen: boolean;
  /** Oil was added since the level was last read between the marks, or nobody knows. */
  readonly addedSinceLevel: boolean;
  /** Filled with another product than the charge before. */
  readonly productChanged: boolean;
  /** Hours since it was new or overhauled; null for one long in service. */
  readonly pumpHours: number | null;
  /** The entry that filled it. */
  readonly openedBy?: string | null;
  /** The charge that went out with the last change. */
  readonly gone: GoneCharge | null;
}

export interface GoneCharge {
  /** What was seen in it, and what was done at the pump for it before the change. */
  readonly answered: readonly FindingCode[];
  readonly number: number;
  readonly runs: number;
  readonly startColour: number | null;
  readonly chargeMl: number;
  readonly waterTakenOutMl: number;
  readonly expectedWaterMl: number | null;
  readonly waterAnswered?: boolean;
}

/** Everything one judge may look at. */
export interface Judged {
  readonly look: LookBody;
  readonly product: JudgedProduct;
  readonly charge: ChargeSeen;
  readonly limits: OilLimits;
  readonly settled: boolean;
  /** Seen in the glass while the pump ran. */
  readonly running: boolean;
}

/** One reading of the table: a finding, or nothing to say. */
export type Judge = (judged: Judged) => OilFinding | null;

export const toUl = (ml: number | null | undefined): number => Math.round((ml ?? 0) * 1000);

/** Water that a look shows: what lies free, and half of the cream. */
export const waterUlOf = ({ freeWaterMl, creamMl }: Pick<LookBody, 'freeWaterMl' | 'creamMl'>): number =>
  toUl(freeWaterMl) + Math.round(toUl(creamMl) / 2);

/** A look, and the charge that it is held against. */
interface LookAtCharge {
  readonly look: LookBody;
  readonly charge: Pick<ChargeSeen, 'chargeMl'>;
}

/** How many times a sample is in the charge: what is mixed through it stands for all of the oil. */
const timesInCharge = ({ look, charge }: LookAtCharge): number =>
  look.source === 'sample' && look.lookedAtMl ? Math.max(1, charge.chargeMl / look.lookedAtMl) : 1;

/** Cream as the whole charge holds it, µL; that of a bleed is its own alone. */
export const creamUlOf = (judged: LookAtCharge): number =>
  Math.round(toUl(judged.look.creamMl) * timesInCharge(judged));

/** Drawn at the bottom at rest: what lies free in it was taken out of the oil. Where nobody said how, it counts as still in it. */
const isTakenOut = ({ source, drawn }: LookBody): boolean =>
  source === 'bleed' || (source === 'sample' && drawn === 'atRest');

const isOfRunningOil = ({ source, drawn }: LookBody): boolean => source === 'sample' && drawn === 'running';

/** Free water that stands in the oil by this look, µL. */
export const standingUlOf = (judged: LookAtCharge): number =>
  isTakenOut(judged.look)
    ? 0
    : Math.round(toUl(judged.look.freeWaterMl) * (isOfRunningOil(judged.look) ? timesInCharge(judged) : 1));

/** White that stands for so long in a jar so warm is no air; in a colder one the bubbles take as long as the water (docs/trade.md 6). */
const AIR = { goneAfterHours: 0.5, fromC: 40 } as const;

/** White in a jar that has not stood long enough to tell air from cream. */
export const mayBeAir = ({ source, hoursStood, jarTempC }: LookBody, settled: boolean): boolean =>
  source !== 'sightGlass' && !settled && !(hoursStood >= AIR.goneAfterHours && (jarTempC ?? 0) >= AIR.fromC);

/** Water in the oil by this look: what stands, and half of what is cream for certain, µL. */
export const inOilUlOf = (judged: LookAtCharge & { readonly settled: boolean }): number =>
  standingUlOf(judged) +
  (judged.look.source === 'bleed' || mayBeAir(judged.look, judged.settled) ? 0 : Math.round(creamUlOf(judged) / 2));

/** Water that a jar is known to have taken out of the oil, µL. */
export const takenOutUlOf = (look: LookBody): number =>
  look.source === 'bleed' ? waterUlOf(look) : isTakenOut(look) ? toUl(look.freeWaterMl) : 0;

/** Water in a jar that counts as drawn; a sample of the running oil shows what is in the charge instead, µL. */
export const drawnUlOf = ({ look, settled }: { readonly look: LookBody; readonly settled: boolean }): number => {
  if (isOfRunningOil(look)) return 0;
  return look.source === 'sample' && mayBeAir(look, settled) ? toUl(look.freeWaterMl) : waterUlOf(look);
};

/** Water that a jar shows to be in the oil still, beside what it took out, µL: cream goes through all of it. */
export const leftInOilUlOf = (judged: LookAtCharge & { readonly settled: boolean }): number =>
  isOfRunningOil(judged.look)
    ? inOilUlOf(judged)
    : mayBeAir(judged.look, judged.settled)
      ? 0
      : Math.round((creamUlOf(judged) - toUl(judged.look.creamMl)) / 2);

/** Water found over the charge so far, this look included: out of the oil, and in it. */
export const foundUlOf = (judged: Pick<Judged, 'look' | 'charge' | 'settled'>): number =>
  toUl(judged.charge.waterTakenOutMl) + takenOutUlOf(judged.look) + inOilUlOf(judged);

/** With solvent in the oil, ballast air would make a flammable mixture: never purge with air. */
export const purgeOr = ({ look }: Judged, otherwise: 'change'): 'purge' | 'change' =>
  look.smell === 'solvent' ? otherwise : 'purge';
