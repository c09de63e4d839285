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
  /** A purge was done since cream or haze was last seen. */
  readonly purgedSinceSeen: boolean;
  /** Oil was added since the level was last read between the marks, or nobody knows. */
  readonly addedSinceLevel: boolean;
  /** Filled with another product than the charge before. */
  readonly productChanged: boolean;
  /** Hours since it was new or overhauled; null for one long in service. */
  readonly pumpHours: number | null;
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

/** Water found over the charge so far, this look included. */
export const foundUlOf = ({ look, charge }: Pick<Judged, 'look' | 'charge'>): number =>
  toUl(charge.waterTakenOutMl) + waterUlOf(look);

/** With solvent in the oil, ballast air would make a flammable mixture: never purge with air. */
export const purgeOr = ({ look }: Judged, otherwise: 'change'): 'purge' | 'change' =>
  look.smell === 'solvent' ? otherwise : 'purge';
