import type {
  About,
  CaseAnswer,
  ContainerAnswer,
  ChangeKind,
  ChangesAnswer,
  DemoYardOpened,
  DownloadAnswer,
  CodeAnswer,
  DiagnosisAnswer,
  DoorAnswer,
  DoorRecordAnswer,
  EntriesEffect,
  EntryHistory,
  EquipmentPage,
  JournalFileResult,
  JournalPage,
  KeptAnswer,
  NewCode,
  PeopleAnswer,
  SessionsAnswer,
  LogContents,
  LogImportAnswer,
  LogImportEffect,
  OilStory,
  PumpPage,
  RecordHistory,
  RestoreCheck,
  RestoreProgress,
  RestoreResult,
  RoundAnswer,
  SetUpAnswer,
  SetUpEffect,
  SetUpFilePreview,
  SetUpFileResult,
  SuspectsAnswer,
  JobAnswer,
  ServiceTimes,
  StepTimes,
  StoreAnswer,
  StoreCostAnswer,
  TakenBack,
  TraceAnswer,
  UnsettledAnswer,
  UntoldAnswer,
  ReadingsRecorded,
  VacuumAnswer,
  WasteAnswer,
  WaterAnswer,
} from '@winter-jar/contracts';
import type { DefinitionsFromApi, OverrideResultType, TagTypesFromApi } from '@reduxjs/toolkit/query/react';
import { TAG_TYPES } from './base-api.js';
import { generatedApi, type EntriesPost } from './generated.js';
import { lastHeld } from './held-round.js';
import { ownChanges } from './own-changes.js';

export type Tag = (typeof TAG_TYPES)[number] | { readonly type: 'Pump'; readonly id: string };

const ofPump = (id: string): Tag[] => [{ type: 'Pump', id }];
/** Everything that was read: the data may be others. */
export const ALL_TAGS: readonly Tag[] = TAG_TYPES;

/** What goes stale by a change. @param pumpIds null for all pumps */
export function tagsOf(change: { kinds: readonly ChangeKind[]; pumpIds: readonly string[] | null }): readonly Tag[] {
  const { kinds, pumpIds } = change;
  if (kinds.length === 0 || kinds.every((k) => k === 'file')) return [];
  if (kinds.includes('setUp') || pumpIds === null) return ALL_TAGS;
  return ['Round', 'Equipment', 'Entry', 'Cases', 'Store', ...pumpIds.flatMap(ofPump)];
}

/** Pumps that entries are about: a correction bears its original's. */
function pumpsOf({ entries }: EntriesPost): string[] {
  const subjects = (entries as readonly { subjects?: readonly { type: string; id: string }[] }[]).flatMap(
    (e) => e.subjects ?? [],
  );
  return [...new Set(subjects.flatMap((s) => (s.type === 'pump' ? [s.id] : [])))];
}

/** What endpoints answer, by the types of contracts: those that are generated say the same, less exactly. */
interface Answers {
  about: About;
  changes: ChangesAnswer;
  round: RoundAnswer;
  pump: PumpPage;
  journal: JournalPage;
  oilStory: OilStory;
  equipment: EquipmentPage;
  vacuumRecord: VacuumAnswer;
  recordReadings: ReadingsRecorded;
  water: WaterAnswer;
  diagnosis: DiagnosisAnswer;
  caseInFull: CaseAnswer;
  suspects: SuspectsAnswer;
  entry: EntryHistory;
  setUp: SetUpAnswer;
  record: RecordHistory;
  previewEntries: EntriesEffect;
  previewSetUp: SetUpEffect;
  moreOfSetUpEffect: SetUpEffect;
  previewSetUpFile: SetUpFilePreview;
  importSetUpFile: SetUpFileResult;
  checkBackup: RestoreCheck;
  keptData: KeptAnswer;
  restoreProgress: RestoreProgress;
  stopCheck: RestoreProgress;
  checkKept: RestoreCheck;
  restore: RestoreResult;
  importJournal: JournalFileResult;
  openDemoYard: DemoYardOpened;
  logImport: LogImportAnswer;
  logImportEffect: LogImportEffect;
  logContents: LogContents;
  beginDownload: DownloadAnswer;
  download: DownloadAnswer;
  stopDownload: DownloadAnswer;
  unsettled: UnsettledAnswer;
  untold: UntoldAnswer;
  takenBack: TakenBack;
  job: JobAnswer;
  serviceTimes: ServiceTimes;
  stepTimes: StepTimes;
  store: StoreAnswer;
  container: ContainerAnswer;
  traceOil: TraceAnswer;
  waste: WasteAnswer;
  door: DoorAnswer;
  signIn: DoorAnswer;
  signOut: DoorAnswer;
  lookAtCode: CodeAnswer;
  claim: DoorAnswer;
  setPassword: DoorAnswer;
  pairDevice: DoorAnswer;
  stepInto: DoorAnswer;
  ownSessions: SessionsAnswer;
  endSession: SessionsAnswer;
  endOtherSessions: SessionsAnswer;
  people: PeopleAnswer;
  giveAccount: PeopleAnswer;
  takeAccount: PeopleAnswer;
  newCode: NewCode;
  tabletCode: NewCode;
  writeAs: DoorAnswer;
  setPin: SessionsAnswer;
  doorRecord: DoorRecordAnswer;
  storeCost: StoreCostAnswer;
}
type Generated = DefinitionsFromApi<typeof generatedApi>;
type Definitions = {
  [E in keyof Generated]: E extends keyof Answers ? OverrideResultType<Generated[E], Answers[E]> : Generated[E];
};

/** The generated endpoints with what each was read of, and what goes stale after a write. */
export const houseApi = generatedApi.enhanceEndpoints<TagTypesFromApi<typeof generatedApi>, Definitions>({
  endpoints: {
    about: { providesTags: ['About'] },
    round: {
      providesTags: ['Round'],
      // Only what is otherwise than at the last answer comes over the wire.
      query: () => ({ url: '/api/round', params: { held: lastHeld() } }),
    },
    pump: { providesTags: (_answer, _error, id) => ofPump(id) },
    journal: { providesTags: (_answer, _error, { pumpId }) => ofPump(pumpId) },
    takenBack: { providesTags: (_answer, _error, id) => ofPump(id) },
    job: { providesTags: (_answer, _error, { pumpId }) => ofPump(pumpId) },
    serviceTimes: { providesTags: ['Round'] },
    stepTimes: { providesTags: ['Round'] },
    store: { providesTags: ['Store'] },
    container: { providesTags: ['Store'] },
    traceOil: { providesTags: ['Store'] },
    waste: { providesTags: ['Store'] },
    storeCost: { providesTags: ['Store'] },
    oilStory: { providesTags: (_answer, _error, id) => ofPump(id) },
    water: { providesTags: (_answer, _error, id) => ofPump(id) },
    equipment: { providesTags: ['Equipment'] },
    vacuumRecord: { providesTags: ['Equipment'] },
    diagnosis: { providesTags: (_answer, _error, { pumpId }) => [...ofPump(pumpId), 'Cases'] },
    entry: { providesTags: ['Entry'] },
    unsettled: { providesTags: ['Entry'] },
    untold: { providesTags: ['Entry'] },
    caseInFull: { providesTags: ['Cases'] },
    suspects: { providesTags: ['Cases'] },
    setUp: { providesTags: ['SetUp'] },
    record: { providesTags: ['SetUp'] },
    logImport: { providesTags: ['Import'] },
    logImportEffect: { providesTags: ['Import'] },
    logContents: { providesTags: ['Round'] },
    postEntries: {
      invalidatesTags: (_answer, _error, post) => tagsOf({ kinds: ['entries'], pumpIds: pumpsOf(post) }),
      // What the stream will say of it is known here already.
      onQueryStarted: (_post, { queryFulfilled }) =>
        void queryFulfilled.then(
          ({ data }) => ownChanges.add(data.changes),
          () => undefined,
        ),
    },
    postSetUp: { invalidatesTags: ALL_TAGS },
    removeSetUp: { invalidatesTags: (_answer, error) => (error ? [] : ALL_TAGS) },
    importSetUpFile: { invalidatesTags: ALL_TAGS },
    keptData: { providesTags: ['About'] },
    restore: { invalidatesTags: ALL_TAGS },
    importJournal: { invalidatesTags: ALL_TAGS },
    door: { providesTags: ['People'] },
    people: { providesTags: ['People'] },
    ownSessions: { providesTags: ['People'] },
    doorRecord: { providesTags: ['People'] },
    giveAccount: { invalidatesTags: ['People'] },
    takeAccount: { invalidatesTags: ['People'] },
    endSession: { invalidatesTags: ['People'] },
    endOtherSessions: { invalidatesTags: ['People'] },
    newCode: { invalidatesTags: ['People'] },
    tabletCode: { invalidatesTags: ['People'] },
    writeAs: { invalidatesTags: (_answer, error) => (error ? [] : ['People']) },
    setPin: { invalidatesTags: ['People'] },
    writeLogImport: { invalidatesTags: ['Import'] },
    cancelLogImport: { invalidatesTags: ALL_TAGS },
    undoLogImport: { invalidatesTags: ['Import'] },
  },
});

export const {
  useAboutQuery,
  useRoundQuery,
  usePumpQuery,
  useJournalQuery,
  useLazyJournalQuery,
  useEntryQuery,
  usePostEntriesMutation,
  usePreviewEntriesMutation,
  useBeginLogImportMutation,
  useLogImportQuery,
  useLogImportEffectQuery,
  useLogContentsQuery,
  useUndoLogImportMutation,
  useWriteLogImportMutation,
  useCancelLogImportMutation,
  useBeginDownloadMutation,
  useDownloadQuery,
  useStopDownloadMutation,
  useSetUpQuery,
  useConnectInstrumentMutation,
  useUntoldQuery,
  useDisconnectInstrumentMutation,
  useRecordReadingsMutation,
  useRecordQuery,
  usePostSetUpMutation,
  usePreviewSetUpMutation,
  useRemoveSetUpMutation,
  useLazyMoreOfSetUpEffectQuery,
  usePreviewSetUpFileMutation,
  useImportSetUpFileMutation,
  useCheckBackupMutation,
  useRestoreProgressQuery,
  useStopCheckMutation,
  useKeptDataQuery,
  useCheckKeptMutation,
  useRestoreMutation,
  useImportJournalMutation,
  useOpenDemoYardMutation,
  useOilStoryQuery,
  useWaterQuery,
  useDiagnosisQuery,
  useEquipmentQuery,
  useVacuumRecordQuery,
  useCaseInFullQuery,
  useSuspectsQuery,
  useUnsettledQuery,
  useTakenBackQuery,
  useJobQuery,
  useServiceTimesQuery,
  useStepTimesQuery,
  useStoreQuery,
  useContainerQuery,
  useTraceOilQuery,
  useWasteQuery,
  useStoreCostQuery,
  useDoorQuery,
  useSignInMutation,
  useSignOutMutation,
  useLookAtCodeMutation,
  useClaimMutation,
  useSetPasswordMutation,
  usePairDeviceMutation,
  useStepIntoMutation,
  useOwnSessionsQuery,
  useEndSessionMutation,
  useEndOtherSessionsMutation,
  usePeopleQuery,
  useGiveAccountMutation,
  useTakeAccountMutation,
  useNewCodeMutation,
  useSetPinMutation,
  useTabletCodeMutation,
  useWriteAsMutation,
  useDoorRecordQuery,
} = houseApi;
