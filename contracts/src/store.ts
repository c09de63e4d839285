import type {
  CostOfSchools,
  OilAccount,
  AccountState,
  Container,
  FilterForecast,
  OnShelf,
  ReuseFacts,
  Stay,
  TracedMove,
  TracedPlace,
} from '@winter-jar/core';
import type { JournalPage } from './pages.js';

/** A container with what it holds and what that may become. */
export interface StoreContainer {
  readonly id: string;
  readonly container: Container;
  readonly state: AccountState;
  readonly shelf: OnShelf;
  readonly facts: ReuseFacts;
  /** Of a filter with media: what pouring its usual volume does. */
  readonly filter: FilterForecast | null;
}

/** What is in a pump, by where it came from. */
export interface StoreSump {
  readonly pumpId: string;
  readonly sump: string;
  readonly oilMl: number;
  readonly meanRounds: number;
  readonly worstRounds: number;
  readonly newShare: number;
  /** Of it, so much was drawn from containers of the house; the rest nobody said. */
  readonly namedMl: number;
}

/** Of one product, over all containers. */
export interface StockLine {
  readonly productId: string;
  readonly newMl: number;
  readonly readyMl: number;
  /** Settles, waits to be read, poured or filtered. */
  readonly waitingMl: number;
  readonly refusedMl: number;
  readonly inFiltersMl: number;
}

export interface StoreAnswer {
  readonly now: string;
  /** Used oil goes back here, or may. */
  readonly reuses: boolean;
  readonly containers: readonly StoreContainer[];
  readonly sumps: readonly StoreSump[];
  readonly stock: readonly StockLine[];
  /** How much longer jars of this yard take than Stokes says. */
  readonly settlingFactor: number;
}

export interface ContainerAnswer {
  readonly now: string;
  readonly container: StoreContainer;
  readonly journal: JournalPage;
}

/** A pump that a traced oil was in, and what ran there meanwhile. */
export interface TracedStay extends Stay {
  readonly uL: number;
  readonly runs: number;
  readonly materialIds: readonly string[];
}

export interface TraceAnswer {
  readonly place: string;
  readonly back: { readonly moves: readonly TracedMove[]; readonly ends: readonly TracedPlace[] };
  readonly stays: readonly TracedStay[];
  /** Where lots that are in it went besides. */
  readonly on: { readonly moves: readonly TracedMove[]; readonly ends: readonly TracedPlace[] };
}

/** What a licensed carrier took. */
export interface CollectedLine {
  readonly entryId: string;
  readonly at: string;
  readonly zone: string;
  readonly containerId: string;
  readonly oilMl: number;
  readonly waterMl: number;
  readonly creamMl: number;
  readonly sludgeMl: number;
  readonly carrier: string | null;
  readonly noteNumber: string | null;
}

export interface WasteAnswer {
  readonly lines: readonly CollectedLine[];
}

/** A product's new oil: what there is, and how long it lasts at what all pumps use. */
export interface StockLasts {
  readonly productId: string;
  readonly newMl: number;
  /** Days at 10, 50 and 90 %; null where nothing draws on it. */
  readonly days: readonly [number, number, number] | null;
  /** Of it, what stands at each site, the most first. */
  readonly sites: readonly { readonly siteId: string; readonly newMl: number }[];
  /** To order, so that what there is then covers {@link days} in 9 of 10 cases; 0 where nothing is. */
  readonly order: { readonly ml: number; readonly days: number };
}

export interface StoreCostAnswer {
  readonly from: string;
  readonly until: string;
  readonly runs: number;
  readonly account: OilAccount;
  readonly cost: CostOfSchools;
  readonly pumps: readonly {
    readonly pumpId: string;
    readonly account: OilAccount;
    readonly runs: number;
    readonly cost: CostOfSchools;
  }[];
  readonly products: readonly {
    readonly productId: string;
    readonly account: OilAccount;
    readonly cost: CostOfSchools;
  }[];
  readonly lasts: readonly StockLasts[];
}
