// Every kind of entry with its body in one view: longer than other files.
import type { CaseCheckedBody, CaseClosedBody, CaseOpenedBody, TestBody } from './case-bodies.js';
import type { JobEndedBody, JobMovedBody, JobStartedBody, JobStepBody } from './job-bodies.js';
import type { Clarity, Foam, ParticleAmount, ParticleKind, Smell } from './oil-signs.js';
import type { MediaChangeBody, OpenedBody, StocktakeBody, TransferBody } from './store-bodies.js';

/** What happened, as it is written in the journal and sent over the wire. Instants are ISO 8601 UTC with milliseconds. */
export type SumpKey = 'oil' | 'gearA' | 'gearB' | 'sealCup';
export type BallastUse = 'closed' | 'open' | 'purge' | 'unknown';
export type YesNo = 'yes' | 'no' | 'unknown';
export type SessionKind = 'run' | 'sideJob' | 'aborted';
/** `hair`: a hair outside the marks. */
export const LEVELS = ['none', 'low', 'hair', 'right', 'high'] as const;
export type Level = (typeof LEVELS)[number];
/** Where oil went that is missing in the glass. */
export const OIL_WENT = ['leak', 'exhaust', 'suckedBack'] as const;
export type OilWent = (typeof OIL_WENT)[number];
/** `drained`: the oil of a full change. */
export const LOOK_SOURCES = ['sightGlass', 'sample', 'bleed', 'drained'] as const;
export type LookSource = (typeof LOOK_SOURCES)[number];
/** A sample from the bottom of a pump at rest holds what has settled there; from a running one all that is mixed through the oil. */
export const DRAWN_HOW = ['atRest', 'running'] as const;
export type DrawnHow = (typeof DRAWN_HOW)[number];
/** What a laboratory measures and a limit is held against. */
export const LAB_READINGS = [
  'waterPpm',
  'viscosity40Mm2s',
  'ironPpm',
  'acidMgKohG',
  'baseMgKohG',
  'siliconPpm',
  'count6PerMl',
] as const;
export type LabReading = (typeof LAB_READINGS)[number];
/** Particles per mL: counts of a report come together, and fall with the size. */
export const LAB_COUNTS = ['count4PerMl', 'count6PerMl', 'count14PerMl'] as const;
/** All that a report can give. */
export const LAB_FIGURES = [
  'waterPpm',
  'viscosity40Mm2s',
  'ironPpm',
  'acidMgKohG',
  'baseMgKohG',
  'siliconPpm',
  'aluminiumPpm',
  'count4PerMl',
  'count6PerMl',
  'count14PerMl',
] as const;
/** What the pump shows beside a high iron. */
export const WEAR_SIGNS = ['noise', 'glitter', 'poorBlankOff'] as const;
export type WearSign = (typeof WEAR_SIGNS)[number];
export type Precision = 'exact' | 'day' | 'unknown';

/** happenedAt of a run is its start; its end is start + minutes. */
export interface RunBody {
  /** Null while nobody has said it: the run counts on the cautious side until then. */
  readonly materialId?: string | null;
  /** Its end is not known yet; a correction with the whole run ends it. Without minutes and cycles, and it does not count yet. */
  readonly stillRunning?: boolean | null;
  readonly minutes?: number | null;
  readonly cycles?: number | null;
  readonly session: SessionKind;
  /** What was put in. */
  readonly loadKg?: number | null;
  readonly ballast: BallastUse;
  /** The trap’s coldest surface, as one value or read over the run; the profile wins. */
  readonly trapTempC?: number | null;
  readonly trapProfile?: readonly { readonly minutes: number; readonly tempC: number }[] | null;
  readonly oilTempC?: number | null;
  readonly defrostedBefore?: YesNo | null;
  readonly drainClosed?: YesNo | null;
  readonly inLineFilter?: YesNo | null;
  /** Reached within the first minutes that the equipment's target names. */
  readonly firstPressurePa?: number | null;
  readonly lowestPressurePa?: number | null;
  readonly ventedBeforeStop: YesNo;
  /** It began before the pump was taken over, and was not among the runs that were counted then. */
  readonly beyondTakeOver?: boolean | null;
  readonly remark?: string | null;
}

export interface LookBody {
  readonly sump: SumpKey;
  readonly source: LookSource;
  /** The entry that drew this oil: a bleed, a change, the first look at the same sample, or this look itself. */
  readonly drawnId?: string | null;
  /** How a sample was drawn; null counts as at rest. */
  readonly drawn?: DrawnHow | null;
  /** mL in the jar, all layers together; null for the sight glass. */
  readonly lookedAtMl?: number | null;
  /** Hours the oil had stood; 0 in the sight glass means the pump was running. */
  readonly hoursStood: number;
  readonly jarTempC?: number | null;
  /** A jar of the library or of the set-up; null for any straight one. */
  readonly jarShapeId?: string | null;
  /** Before draining, for a jar. */
  readonly level?: Level | null;
  /** ASTM D1500, 0.5-8.0 in half steps. */
  readonly colour?: number | null;
  readonly clarity?: Clarity | null;
  /** Layers from the bottom; what is left of the jar is clear oil. Oil denser than water has them turned round. */
  readonly sludgeMl?: number | null;
  readonly freeWaterMl?: number | null;
  readonly creamMl?: number | null;
  readonly hazyMl?: number | null;
  readonly particles?: ParticleAmount | null;
  readonly particleKinds?: readonly ParticleKind[] | null;
  readonly smell?: Smell | null;
  readonly foam?: Foam | null;
  /** Water stands as high as the oil pick-up. */
  readonly waterAtPickUp?: boolean | null;
  /** Oil came out of the exhaust after the first five minutes of pump-down. */
  readonly thrownFromExhaust?: boolean | null;
  /** No oil stood in the glass before: where it had gone. */
  readonly oilWent?: OilWent | null;
  /** SHA-256 of a photograph that was uploaded before. */
  readonly photoId?: string | null;
  /** The container of the oil store that was read, all that is in it. */
  readonly containerId?: string | null;
  readonly remark?: string | null;
}

export interface BleedBody {
  readonly sump: SumpKey;
  /** Null where nobody measured it. */
  readonly drawnMl?: number | null;
  /** Null while nobody has read it: no water counts as taken out until then. */
  readonly waterMl?: number | null;
  /** Of the oil store; null where nobody said. */
  readonly intoContainerId?: string | null;
  /** As it stood afterwards; null where nobody read it. */
  readonly levelAfter?: Level | null;
  readonly remark?: string | null;
}

export interface TopUpBody {
  readonly sump: SumpKey;
  readonly productId: string;
  readonly addedMl: number;
  /** Of the oil store; null where nobody said. */
  readonly fromContainerId?: string | null;
  /** No oil stood in the glass before: where it had gone. */
  readonly oilWent?: OilWent | null;
  /** Null where nobody read it: somebody is asked to look. */
  readonly levelAfter?: Level | null;
  readonly remark?: string | null;
}

/** Oil that a pump was flushed with: filled, run and let out again before the charge that stays. */
export interface OilFlushed {
  readonly inMl: number;
  readonly fromContainerId?: string | null;
  /** Null where nobody measured it: all but what a drain leaves. */
  readonly outMl?: number | null;
  readonly intoContainerId?: string | null;
}

export interface ChangeBody {
  readonly sump: SumpKey;
  readonly productId: string;
  /** Null where nobody measured it. */
  readonly outMl?: number | null;
  readonly inMl: number;
  /** Of the oil store: what it was filled from and drained into; null where nobody said. */
  readonly fromContainerId?: string | null;
  readonly intoContainerId?: string | null;
  /** At which what came out was measured; null counts as 20 °C. */
  readonly outTempC?: number | null;
  /** Fills between what came out and what went in, in their order. */
  readonly flushed?: readonly OilFlushed[] | null;
  /** No oil stood in the glass before: where it had gone. */
  readonly oilWent?: OilWent | null;
  /** Null where nobody read it: somebody is asked to look. */
  readonly levelAfter?: Level | null;
  /** A jar of what came out stands to be read. */
  readonly jarKept?: boolean | null;
  readonly remark?: string | null;
}

/** The hour meter: read, or replaced by another one that starts at `newMinutes`. */
export interface MeterBody {
  readonly action: 'read' | 'replaced';
  /** On the meter; for a replacement the last reading of the old one. */
  readonly minutes: number;
  readonly newMinutes?: number | null;
  readonly remark?: string | null;
}

/** What is known of a pump when its record begins here. */
export interface TakeOverBody {
  readonly meterMinutes?: number | null;
  /** When the oil in it was changed; null when nobody knows. */
  readonly oilChangedAt?: string | null;
  /** Since that change; null when nobody knows. */
  readonly runsSince?: number | null;
  readonly minutesSince?: number | null;
  readonly remark?: string | null;
}

/** A bottle for the laboratory. It is drawn from oil that runs or has just run, so it holds no layers. */
export interface LabSampleBody {
  readonly sump: SumpKey;
  readonly drawnMl: number;
  /** What is written on the bottle. */
  readonly label?: string | null;
  readonly levelAfter?: Level | null;
  readonly remark?: string | null;
}

/** A laboratory's figures; each may be missing. */
export interface LabValues {
  /** Karl Fischer, ASTM D6304 */
  readonly waterPpm?: number | null;
  /** at 40 °C, ASTM D445 */
  readonly viscosity40Mm2s?: number | null;
  readonly ironPpm?: number | null;
  readonly acidMgKohG?: number | null;
  readonly baseMgKohG?: number | null;
  readonly siliconPpm?: number | null;
  readonly aluminiumPpm?: number | null;
  /** Particles per mL at or above 4, 6 and 14 µm(c). */
  readonly count4PerMl?: number | null;
  readonly count6PerMl?: number | null;
  readonly count14PerMl?: number | null;
}

/** happenedAt is when the report came; it speaks for the time and the charge of its sample. */
export interface LabResultBody extends LabValues {
  /** Entry of the sample that it reports on. */
  readonly sampleId: string;
  readonly wearSigns?: readonly WearSign[] | null;
  readonly remark?: string | null;
}

export interface DoneBody {
  readonly task: string;
  readonly remark?: string | null;
}

export interface NoteBody {
  readonly text: string;
}

export interface EntryBodies {
  run: RunBody;
  look: LookBody;
  bleed: BleedBody;
  topUp: TopUpBody;
  change: ChangeBody;
  done: DoneBody;
  labSample: LabSampleBody;
  labResult: LabResultBody;
  meter: MeterBody;
  takeOver: TakeOverBody;
  test: TestBody;
  caseOpened: CaseOpenedBody;
  caseClosed: CaseClosedBody;
  caseChecked: CaseCheckedBody;
  jobStarted: JobStartedBody;
  jobStep: JobStepBody;
  jobMoved: JobMovedBody;
  jobEnded: JobEndedBody;
  transfer: TransferBody;
  stocktake: StocktakeBody;
  opened: OpenedBody;
  mediaChange: MediaChangeBody;
  note: NoteBody;
}

export type EntryKind = keyof EntryBodies;
const KINDS: Readonly<Record<EntryKind, true>> = {
  run: true,
  look: true,
  bleed: true,
  topUp: true,
  change: true,
  done: true,
  labSample: true,
  labResult: true,
  meter: true,
  takeOver: true,
  test: true,
  caseOpened: true,
  caseClosed: true,
  caseChecked: true,
  jobStarted: true,
  jobStep: true,
  jobMoved: true,
  jobEnded: true,
  transfer: true,
  stocktake: true,
  opened: true,
  mediaChange: true,
  note: true,
};
/** Every kind there is: the compiler asks for one that is missing. */
export const ENTRY_KINDS = Object.keys(KINDS) as readonly EntryKind[];

export const SUBJECT_TYPES = ['pump', 'equipment', 'case', 'job', 'container'] as const;
export interface Subject {
  readonly type: (typeof SUBJECT_TYPES)[number];
  readonly id: string;
}

export interface Envelope {
  /** UUID made by the client. */
  readonly id: string;
  /** Entries of one deed share it; they are written and undone together. */
  readonly actId: string;
  readonly subjects: readonly Subject[];
  readonly happenedAt: string;
  /** IANA zone of the site. */
  readonly zone: string;
  readonly precision: Precision;
  readonly recordedAt: string;
  readonly who?: string | null;
  readonly device?: string | null;
  /** Codes of the soft questions the person has answered with yes. */
  readonly acknowledged: readonly string[];
  /** At which its body was written, see body-version.ts. */
  readonly bodyVersion: number;
  /**
   * By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right,
   * and were written as so much later.
   */
  readonly clockAheadS?: number | null;
}

/** An entry whose body follows from its kind. */
export type Entry = { [K in EntryKind]: Envelope & { readonly kind: K; readonly body: EntryBodies[K] } }[EntryKind];

export const CORRECTION_ACTIONS = ['void', 'replace', 'setAside'] as const;

/** Names the original entry, never another correction; the latest (recordedAt, id) wins. */
export interface CorrectionBody {
  readonly targetId: string;
  /** The correction that its writer saw in force, null for the original. Two that name the same are flagged. */
  readonly supersedes: string | null;
  /** All corrections of the entry that its writer saw; with `setAside` those that it leaves out. */
  readonly saw?: readonly string[] | null;
  /** `setAside`: corrections that do not count are left out for good, and the entry stays as it is. */
  readonly action: (typeof CORRECTION_ACTIONS)[number];
  /** With `replace`: the full new body, of the original's kind. */
  readonly body?: EntryBodies[EntryKind] | null;
  /** With `replace`: when it really happened; null keeps the original's. */
  readonly happenedAt?: string | null;
}

export type Correction = Envelope & { readonly kind: 'correction'; readonly body: CorrectionBody };
export type JournalEntry = Entry | Correction;

/** The case that an entry is about; null for none. */
export const caseIdOf = (entry: { subjects: readonly Subject[] }): string | null =>
  entry.subjects.find((s) => s.type === 'case')?.id ?? null;

/** The job that an entry is about; null for none. */
export const jobIdOf = (entry: { subjects: readonly Subject[] }): string | null =>
  entry.subjects.find((s) => s.type === 'job')?.id ?? null;

/** The equipment that an entry names; null for none. */
export const equipmentIdOf = (entry: { subjects: readonly Subject[] }): string | null =>
  entry.subjects.find((s) => s.type === 'equipment')?.id ?? null;

/** The pumps that an entry counts on. */
export const pumpIdsOf = (entry: { subjects: readonly Subject[] }): string[] =>
  entry.subjects.filter((s) => s.type === 'pump').map((s) => s.id);
