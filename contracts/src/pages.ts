import type { Question, Unsettled } from './answers.js';
import type { FieldIssue } from './check-entry.js';
import type {
  Correction,
  Entry,
  Equipment,
  EquipmentState,
  HouseSetUp,
  JarSeen,
  PumpSetUp,
  PumpState,
  NextTask,
  RoundRow,
  RunningRun,
  RunRuler,
  SetUpKind,
  SetUpVersion,
  Site,
  Standing,
  ServiceTime,
  VacuumRecord,
} from '@winter-jar/core';

export type { NextTask, RoundRow, RunningRun };

/** The data folder and whose it is. */
export interface About {
  readonly version: string;
  readonly dataFolder: string;
  /** Local day on which the demo yard was seeded; null for an own folder. */
  readonly demoDay: string | null;
  /** Everyone on the network can reach the server, and write. */
  readonly openToNetwork: boolean;
  /** Addresses under which other devices reach it; empty while it is open to this machine alone. */
  readonly addresses: readonly string[];
  /** SHA-256 fingerprint of its own certificate; null over plain http. */
  readonly certificate: string | null;
  readonly now: string;
}

/** Where the demo yard is served now: the same host, another port. */
export interface DemoYardOpened {
  readonly port: number;
}

export interface RoundAnswer {
  readonly at: string;
  /** In the order in which they need hands: Stop, before next run, due looks, then the rest by site. */
  readonly rows: readonly RoundRow[];
  /** All pumps of the house, also spare and retired ones. */
  readonly pumps: number;
  readonly needHands: number;
  /** Pumps besides, of which service is overdue: that is no verdict on their oil. */
  readonly overdue: number;
  /** Entries that were kept and do not count yet. */
  readonly unsettled: number;
}

/** The Round for whom some of it is known: with {@link order} and the rows of before it is whole again. */
export interface RoundParts extends RoundAnswer {
  /** Names this answer: sent as `held` with the next question, only what is otherwise comes back. */
  readonly tag: string;
  /** The answer that these rows are laid over; null when all rows are here. */
  readonly over: string | null;
  /** Pumps of all rows, in their order. */
  readonly order: readonly string[];
}

/** A correction that was kept and does not count yet. Its body is as it came: unchecked where it is to be settled. */
export interface UnsettledLine {
  readonly correction: Correction;
  readonly unsettled: Exclude<Unsettled, { state: 'aside' | 'asks' }>;
  /** As it was first written; null while it is not here. */
  readonly original: Entry | null;
  /** The original counts; it does not where it was taken back. */
  readonly counts: boolean;
}

/** A deed that waited on a device and is in doubt: it does not count until somebody says how it was. */
export interface AskedLine {
  /** As they would count. */
  readonly entries: readonly Entry[];
  readonly questions: readonly Question[];
  /** What counts meanwhile and says otherwise. */
  readonly others: readonly Entry[];
}

export interface UnsettledAnswer {
  readonly at: string;
  /** The oldest first. */
  readonly asked: readonly AskedLine[];
  /** Corrections, the oldest first. */
  readonly lines: readonly UnsettledLine[];
  /** All there are, where the lines are not all of them. */
  readonly total: number;
}

/** An entry in a pump's journal, as it counts. */
export interface JournalLine {
  readonly entry: Entry;
  readonly correctionId: string | null;
  /** Two corrections saw the same predecessor: someone should look. */
  readonly contradicted: boolean;
}

export interface EarlierCharge {
  readonly number: number;
  readonly since: string;
  readonly until: string;
  readonly runs: number;
  readonly hours: number;
  readonly carriedOverRuns: number;
  readonly bledWaterMl: number;
  readonly lastJar: JarSeen | null;
  readonly ruler: RunRuler;
}

export interface PumpPage {
  readonly row: RoundRow;
  readonly setUp: PumpSetUp;
  readonly state: PumpState;
  readonly standing: Standing;
  readonly earlier: readonly EarlierCharge[];
}

/** What a write that is only rehearsed would change on a pump. */
export interface PumpEffect {
  readonly pumpId: string;
  readonly name: string;
  readonly before: RoundRow | null;
  readonly after: RoundRow | null;
  readonly runsBefore: number;
  readonly runsAfter: number;
  readonly hoursBefore: number;
  readonly hoursAfter: number;
  readonly weightBefore: number;
  readonly weightAfter: number;
}

/** What a set-up would change; with issues it would be refused. */
export interface SetUpEffect {
  readonly issues: readonly FieldIssue[];
  /** Of the pumps looked at so far. */
  readonly effects: readonly PumpEffect[];
  /** How much was looked at, from 0 to 1. */
  readonly progress: number;
  /** Where the rest is asked for; null when all is here. */
  readonly id: string | null;
}

/** An entry that does not count any more, as it was first written. */
export interface TakenBackLine {
  readonly entry: Entry;
  readonly takenBackAt: string;
  readonly takenBackBy: string | null;
}

/** The entries of a pump that were taken back last. */
export interface TakenBack {
  readonly lines: readonly TakenBackLine[];
}

/** A service in full: its steps, and what it left in the record. */
/** Services of a kind at a model that were done to their end, the newest first: minutes of hands. */
export interface ServiceTimes {
  readonly times: readonly ServiceTime[];
}

/** How long each step of a service took here at a model: minutes, the newest first; waits are left out. */
export interface StepTimes {
  readonly steps: readonly { readonly step: string; readonly minutes: readonly number[] }[];
}

export interface JobAnswer {
  readonly entries: readonly Entry[];
}

export interface JournalPage {
  readonly lines: readonly JournalLine[];
  /** Entry id to ask from for older lines; null at the end. */
  readonly before: string | null;
}

/** An equipment with its own record. */
export interface EquipmentPage {
  readonly equipmentId: string;
  readonly equipment: Equipment;
  readonly site: Site;
  readonly state: EquipmentState;
  /** Pumps that stand at it by the set-up. */
  readonly standsHere: readonly string[];
  readonly journal: JournalPage;
  /** For the names of what entries are about. */
  readonly house: HouseSetUp;
}

/** What the tests of a set show over the years. */
export interface VacuumAnswer {
  readonly equipmentId: string;
  readonly equipment: Equipment;
  readonly site: Site;
  /** That stands at it now, in service before others; its limits are the set's. */
  readonly pumpId: string | null;
  readonly record: VacuumRecord;
  /** For the names of what tests are about. */
  readonly house: HouseSetUp;
}

/** An entry with everything ever said about it. */
export interface EntryHistory {
  readonly original: Entry;
  /** What has a say: not what does not count, nor the words by which it was set aside. */
  readonly corrections: readonly Correction[];
  /** Corrections that do not count yet. */
  readonly unsettled: readonly UnsettledLine[];
  readonly counts: Entry | null;
  /** Why it does not count yet, though nobody took it back; empty where that is not so. */
  readonly asks: readonly Question[];
  /** All entries of the same deed that still count; they are taken back together. */
  readonly actEntryIds: readonly string[];
  readonly contradicted: boolean;
}

export interface SetUpAnswer {
  readonly at: string;
  /** What an edit sends back as If-Match. */
  readonly tag: string;
  readonly house: HouseSetUp;
}

/** A record of the set-up with all its versions, in the order in which they count. */
export interface RecordHistory {
  readonly kind: SetUpKind;
  readonly subjectId: string;
  readonly versions: readonly SetUpVersion[];
  readonly inForceId: string;
  /** Pumps with entries that the record bears upon. */
  readonly usedByPumps: readonly string[];
}
