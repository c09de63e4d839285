export {
  BleedBodyDto,
  BODY_CLASSES,
  ChangeBodyDto,
  DoneBodyDto,
  MeterBodyDto,
  NoteBodyDto,
  RunBodyDto,
  TakeOverBodyDto,
  TopUpBodyDto,
  TrapReadingDto,
} from './bodies.js';
export { CaseCheckedBodyDto, CaseClosedBodyDto, CaseOpenedBodyDto, FoundSaidDto, TestBodyDto } from './case-bodies.js';
export { LabResultBodyDto, LabSampleBodyDto } from './lab-bodies.js';
export { LookBodyDto } from './look-body.js';
export { MediaChangeBodyDto, OpenedBodyDto, StocktakeBodyDto, TransferBodyDto } from './store-bodies.js';
export { CorrectionBodyDto, EntryDto, SubjectDto } from './envelope.js';
export { bodyOfNoKind, checkEntry, checkShape, type Checked, type FieldIssue } from './check-entry.js';
export { asOfToday, checkStored, idsInOneSpelling } from './check-stored.js';
export { checkUnsettled } from './check-unsettled.js';
export { checkRecord, SUMPS_OF } from './check-record.js';
export {
  HTTP_STATUS,
  QUESTION_CODES,
  type ApiProblem,
  type EntryAnswer,
  type Question,
  type Unsettled,
  isDoubt,
} from './answers.js';
export {
  MAX_BACKUP_BYTES,
  MAX_BODY_BYTES,
  MAX_CHECK_RUNS,
  MAX_ENTRIES_PER_POST,
  MAX_METER_MINUTES,
  MAX_LOG_BYTES,
  MAX_OIL_LIMIT,
  MAX_OWN_WORDS,
  MAX_RUN_MINUTES,
  MAX_SET_UP_FILE_BYTES,
  MAX_STORE_ML,
  MAX_TRAP_READINGS,
  MAX_UNSETTLED,
  SERVICE_TASKS,
  SUMPS,
  GAUGE_LOG_TYPES,
  MAX_GAUGE_LOG_BYTES,
  MAX_PHOTO_BYTES,
  PHOTO_TYPES,
} from './limits.js';
export { SET_UP_CLASSES, SetUpVersionDto } from './set-up.js';
export {
  SET_UP_FILE_FORMAT,
  SET_UP_FILE_VERSION,
  type SetUpFile,
  type SetUpFilePreview,
  type SetUpFileRecord,
  type SetUpFileResult,
  type SetUpFileRow,
} from './set-up-file.js';
export {
  AccountPost,
  ClaimPost,
  CodePost,
  DOOR_EVENTS,
  NewCodePost,
  PairPost,
  PinPost,
  PasswordPost,
  SHORTEST_PASSWORD,
  SignInPost,
  StepIntoPost,
  TabletCodePost,
  WriteAsPost,
  type CodeAnswer,
  type CodePurpose,
  type DoorAnswer,
  type DoorEvent,
  type DoorEventKind,
  type DoorRecordAnswer,
  type DoorState,
  type NewCode,
  type OpenSession,
  type PeopleAnswer,
  type PersonAccount,
  type SessionsAnswer,
  type SharedTablet,
  type SignedIn,
} from './people.js';
export {
  DOWNLOAD_NAMES,
  type DownloadAnswer,
  type DownloadName,
  type DownloadPost,
  type DownloadState,
} from './downloads.js';
export type {
  BackupContents,
  Download,
  JournalFileResult,
  KeptAnswer,
  KeptData,
  KeptPost,
  RestoreCheck,
  RestoreProgress,
  RestorePost,
  RestoreResult,
} from './backup.js';
export type {
  CaseAnswer,
  CaseLine,
  DiagnosisAnswer,
  EvidenceLine,
  LikelyCause,
  ProposedCheck,
  SuspectsAnswer,
} from './diagnosis.js';
export type { OilStory } from './oil-story.js';
export type { WaterAnswer } from './water.js';
export type {
  CollectedLine,
  ContainerAnswer,
  StockLasts,
  StockLine,
  StoreAnswer,
  StoreContainer,
  StoreCostAnswer,
  StoreSump,
  TraceAnswer,
  TracedStay,
  WasteAnswer,
} from './store.js';
export type { GaugeLogBytes, GaugeLogKept } from './gauge-log-bodies.js';
export {
  INSTRUMENT_STATES,
  INSTRUMENT_TROUBLES,
  LOST_REASONS,
  type ChannelNow,
  type InstrumentConnect,
  type InstrumentNow,
  type InstrumentsAnswer,
  type InstrumentState,
  type InstrumentStatus,
  type InstrumentTrouble,
  type LostReason,
  type ReadingsAnswer,
  type ReadingsRecord,
  type ReadingsRecorded,
  type ReadingsSent,
  type UntoldAnswer,
  type UntoldRun,
} from './instruments.js';
export type { PhotoBytes, PhotoKept } from './photos.js';
export {
  IMPORT_NAMES,
  type ImportName,
  LOG_NAMES,
  type LogContents,
  type LogImportAnswer,
  type LogImportEffect,
  type LogImportState,
  type LogName,
  type LogText,
  type RefusedRow,
  type WriteLogImport,
} from './entry-log.js';
export type {
  About,
  DemoYardOpened,
  EarlierCharge,
  EntryHistory,
  EquipmentPage,
  VacuumAnswer,
  JournalLine,
  JournalPage,
  JobAnswer,
  ServiceTimes,
  StepTimes,
  TakenBack,
  TakenBackLine,
  NextTask,
  PumpEffect,
  PumpPage,
  RecordHistory,
  RoundAnswer,
  RoundParts,
  RoundRow,
  RunningRun,
  SetUpAnswer,
  SetUpEffect,
  AskedLine,
  UnsettledAnswer,
  UnsettledLine,
} from './pages.js';
export type {
  EntriesAnswer,
  EntriesEffect,
  EntriesPost,
  SetUpPost,
  SetUpPosted,
  SetUpRemove,
  SetUpRemoved,
} from './requests.js';
export type { Change, ChangeKind, ChangesAnswer } from './changes.js';
