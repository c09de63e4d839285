// Made from openapi.json by `npm run api`; do not edit.
import { baseApi as api } from './base-api.js';
const injectedRtkApi = api.injectEndpoints({
  endpoints: (build) => ({
    about: build.query<AboutApiResponse, AboutApiArg>({
      query: () => ({ url: `/api/about` }),
    }),
    certificate: build.query<CertificateApiResponse, CertificateApiArg>({
      query: () => ({ url: `/api/certificate` }),
    }),
    door: build.query<DoorApiResponse, DoorApiArg>({
      query: () => ({ url: `/api/door` }),
    }),
    signIn: build.mutation<SignInApiResponse, SignInApiArg>({
      query: (queryArg) => ({
        url: `/api/door/sign-in`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    signOut: build.mutation<SignOutApiResponse, SignOutApiArg>({
      query: () => ({ url: `/api/door/sign-out`, method: 'POST' }),
    }),
    lookAtCode: build.mutation<LookAtCodeApiResponse, LookAtCodeApiArg>({
      query: (queryArg) => ({
        url: `/api/door/look-at-code`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    claim: build.mutation<ClaimApiResponse, ClaimApiArg>({
      query: (queryArg) => ({
        url: `/api/door/claim`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    setPassword: build.mutation<SetPasswordApiResponse, SetPasswordApiArg>({
      query: (queryArg) => ({
        url: `/api/door/set-password`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    pairDevice: build.mutation<PairDeviceApiResponse, PairDeviceApiArg>({
      query: (queryArg) => ({
        url: `/api/door/pair`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    stepInto: build.mutation<StepIntoApiResponse, StepIntoApiArg>({
      query: (queryArg) => ({
        url: `/api/door/step-into`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    writeAs: build.mutation<WriteAsApiResponse, WriteAsApiArg>({
      query: (queryArg) => ({
        url: `/api/door/write-as`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    setPin: build.mutation<SetPinApiResponse, SetPinApiArg>({
      query: (queryArg) => ({
        url: `/api/door/pin`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    ownSessions: build.query<OwnSessionsApiResponse, OwnSessionsApiArg>({
      query: () => ({ url: `/api/door/sessions` }),
    }),
    endSession: build.mutation<EndSessionApiResponse, EndSessionApiArg>({
      query: (queryArg) => ({
        url: `/api/door/sessions/${queryArg}/end`,
        method: 'POST',
      }),
    }),
    endOtherSessions: build.mutation<EndOtherSessionsApiResponse, EndOtherSessionsApiArg>({
      query: () => ({ url: `/api/door/sessions/end-others`, method: 'POST' }),
    }),
    people: build.query<PeopleApiResponse, PeopleApiArg>({
      query: () => ({ url: `/api/people` }),
    }),
    doorRecord: build.query<DoorRecordApiResponse, DoorRecordApiArg>({
      query: () => ({ url: `/api/people/record` }),
    }),
    giveAccount: build.mutation<GiveAccountApiResponse, GiveAccountApiArg>({
      query: (queryArg) => ({
        url: `/api/people/${queryArg.personId}/account`,
        method: 'POST',
        body: queryArg.accountPost,
      }),
    }),
    takeAccount: build.mutation<TakeAccountApiResponse, TakeAccountApiArg>({
      query: (queryArg) => ({
        url: `/api/people/${queryArg}/account/end`,
        method: 'POST',
      }),
    }),
    tabletCode: build.mutation<TabletCodeApiResponse, TabletCodeApiArg>({
      query: (queryArg) => ({
        url: `/api/people/tablet-code`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    newCode: build.mutation<NewCodeApiResponse, NewCodeApiArg>({
      query: (queryArg) => ({
        url: `/api/people/${queryArg.personId}/code`,
        method: 'POST',
        body: queryArg.newCodePost,
      }),
    }),
    changes: build.query<ChangesApiResponse, ChangesApiArg>({
      query: (queryArg) => ({
        url: `/api/changes`,
        params: {
          since: queryArg.since,
          epoch: queryArg.epoch,
        },
      }),
    }),
    round: build.query<RoundApiResponse, RoundApiArg>({
      query: (queryArg) => ({
        url: `/api/round`,
        params: {
          held: queryArg,
        },
      }),
    }),
    pump: build.query<PumpApiResponse, PumpApiArg>({
      query: (queryArg) => ({ url: `/api/pumps/${queryArg}` }),
    }),
    oilStory: build.query<OilStoryApiResponse, OilStoryApiArg>({
      query: (queryArg) => ({ url: `/api/pumps/${queryArg}/oil-story` }),
    }),
    water: build.query<WaterApiResponse, WaterApiArg>({
      query: (queryArg) => ({ url: `/api/pumps/${queryArg}/water` }),
    }),
    journal: build.query<JournalApiResponse, JournalApiArg>({
      query: (queryArg) => ({
        url: `/api/pumps/${queryArg.pumpId}/journal`,
        params: {
          before: queryArg.before,
          kinds: queryArg.kinds,
        },
      }),
    }),
    takenBack: build.query<TakenBackApiResponse, TakenBackApiArg>({
      query: (queryArg) => ({ url: `/api/pumps/${queryArg}/taken-back` }),
    }),
    job: build.query<JobApiResponse, JobApiArg>({
      query: (queryArg) => ({
        url: `/api/pumps/${queryArg.pumpId}/jobs/${queryArg.jobId}`,
      }),
    }),
    serviceTimes: build.query<ServiceTimesApiResponse, ServiceTimesApiArg>({
      query: () => ({ url: `/api/service-times` }),
    }),
    stepTimes: build.query<StepTimesApiResponse, StepTimesApiArg>({
      query: (queryArg) => ({
        url: `/api/service-times/${queryArg.procedure}/${queryArg.modelId}`,
      }),
    }),
    entry: build.query<EntryApiResponse, EntryApiArg>({
      query: (queryArg) => ({ url: `/api/entries/${queryArg}` }),
    }),
    equipment: build.query<EquipmentApiResponse, EquipmentApiArg>({
      query: (queryArg) => ({
        url: `/api/equipment/${queryArg.equipmentId}`,
        params: {
          before: queryArg.before,
        },
      }),
    }),
    vacuumRecord: build.query<VacuumRecordApiResponse, VacuumRecordApiArg>({
      query: (queryArg) => ({ url: `/api/equipment/${queryArg}/vacuum` }),
    }),
    diagnosis: build.query<DiagnosisApiResponse, DiagnosisApiArg>({
      query: (queryArg) => ({
        url: `/api/pumps/${queryArg.pumpId}/diagnosis`,
        params: {
          stopWeight: queryArg.stopWeight,
        },
      }),
    }),
    suspects: build.query<SuspectsApiResponse, SuspectsApiArg>({
      query: () => ({ url: `/api/suspects` }),
    }),
    caseInFull: build.query<CaseInFullApiResponse, CaseInFullApiArg>({
      query: (queryArg) => ({ url: `/api/cases/${queryArg}` }),
    }),
    postEntries: build.mutation<PostEntriesApiResponse, PostEntriesApiArg>({
      query: (queryArg) => ({
        url: `/api/entries`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    previewEntries: build.mutation<PreviewEntriesApiResponse, PreviewEntriesApiArg>({
      query: (queryArg) => ({
        url: `/api/entries/preview`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    unsettled: build.query<UnsettledApiResponse, UnsettledApiArg>({
      query: () => ({ url: `/api/unsettled` }),
    }),
    untold: build.query<UntoldApiResponse, UntoldApiArg>({
      query: () => ({ url: `/api/untold` }),
    }),
    setUp: build.query<SetUpApiResponse, SetUpApiArg>({
      query: () => ({ url: `/api/set-up` }),
    }),
    postSetUp: build.mutation<PostSetUpApiResponse, PostSetUpApiArg>({
      query: (queryArg) => ({
        url: `/api/set-up`,
        method: 'POST',
        body: queryArg.setUpPost,
        headers: {
          'if-match': queryArg['if-match'],
        },
      }),
    }),
    record: build.query<RecordApiResponse, RecordApiArg>({
      query: (queryArg) => ({
        url: `/api/set-up/records/${queryArg.kind}/${queryArg.id}`,
      }),
    }),
    previewSetUp: build.mutation<PreviewSetUpApiResponse, PreviewSetUpApiArg>({
      query: (queryArg) => ({
        url: `/api/set-up/preview`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    removeSetUp: build.mutation<RemoveSetUpApiResponse, RemoveSetUpApiArg>({
      query: (queryArg) => ({
        url: `/api/set-up/remove`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    moreOfSetUpEffect: build.query<MoreOfSetUpEffectApiResponse, MoreOfSetUpEffectApiArg>({
      query: (queryArg) => ({ url: `/api/set-up/preview/${queryArg}` }),
    }),
    setUpSchema: build.query<SetUpSchemaApiResponse, SetUpSchemaApiArg>({
      query: () => ({ url: `/api/set-up/schema.json` }),
    }),
    exportSetUp: build.query<ExportSetUpApiResponse, ExportSetUpApiArg>({
      query: () => ({ url: `/api/set-up/file` }),
    }),
    importSetUpFile: build.mutation<ImportSetUpFileApiResponse, ImportSetUpFileApiArg>({
      query: (queryArg) => ({
        url: `/api/set-up/file`,
        method: 'POST',
        body: queryArg.setUpFile,
        params: {
          conflicting: queryArg.conflicting,
        },
      }),
    }),
    previewSetUpFile: build.mutation<PreviewSetUpFileApiResponse, PreviewSetUpFileApiArg>({
      query: (queryArg) => ({
        url: `/api/set-up/file/preview`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    beginLogImport: build.mutation<BeginLogImportApiResponse, BeginLogImportApiArg>({
      query: (queryArg) => ({
        url: `/api/logs/${queryArg.log}/imports`,
        method: 'POST',
        body: queryArg.logText,
      }),
    }),
    logContents: build.query<LogContentsApiResponse, LogContentsApiArg>({
      query: (queryArg) => ({ url: `/api/logs/${queryArg}/contents` }),
    }),
    logImport: build.query<LogImportApiResponse, LogImportApiArg>({
      query: (queryArg) => ({ url: `/api/imports/${queryArg}` }),
    }),
    writeLogImport: build.mutation<WriteLogImportApiResponse, WriteLogImportApiArg>({
      query: (queryArg) => ({
        url: `/api/imports/${queryArg.id}/write`,
        method: 'POST',
        body: queryArg.writeLogImport,
      }),
    }),
    cancelLogImport: build.mutation<CancelLogImportApiResponse, CancelLogImportApiArg>({
      query: (queryArg) => ({
        url: `/api/imports/${queryArg}/cancel`,
        method: 'POST',
      }),
    }),
    undoLogImport: build.mutation<UndoLogImportApiResponse, UndoLogImportApiArg>({
      query: (queryArg) => ({
        url: `/api/imports/${queryArg}/undo`,
        method: 'POST',
      }),
    }),
    logImportEffect: build.query<LogImportEffectApiResponse, LogImportEffectApiArg>({
      query: (queryArg) => ({ url: `/api/imports/${queryArg}/effect` }),
    }),
    refusedRows: build.query<RefusedRowsApiResponse, RefusedRowsApiArg>({
      query: (queryArg) => ({ url: `/api/imports/${queryArg}/refused` }),
    }),
    checkBackup: build.mutation<CheckBackupApiResponse, CheckBackupApiArg>({
      query: (queryArg) => ({
        url: `/api/restore/check`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    restoreProgress: build.query<RestoreProgressApiResponse, RestoreProgressApiArg>({
      query: () => ({ url: `/api/restore/check` }),
    }),
    stopCheck: build.mutation<StopCheckApiResponse, StopCheckApiArg>({
      query: () => ({ url: `/api/restore/check/stop`, method: 'POST' }),
    }),
    restore: build.mutation<RestoreApiResponse, RestoreApiArg>({
      query: (queryArg) => ({
        url: `/api/restore`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    keptData: build.query<KeptDataApiResponse, KeptDataApiArg>({
      query: () => ({ url: `/api/kept` }),
    }),
    checkKept: build.mutation<CheckKeptApiResponse, CheckKeptApiArg>({
      query: (queryArg) => ({
        url: `/api/kept/check`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    importJournal: build.mutation<ImportJournalApiResponse, ImportJournalApiArg>({
      query: (queryArg) => ({
        url: `/api/journal`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    beginDownload: build.mutation<BeginDownloadApiResponse, BeginDownloadApiArg>({
      query: (queryArg) => ({
        url: `/api/downloads`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    download: build.query<DownloadApiResponse, DownloadApiArg>({
      query: (queryArg) => ({ url: `/api/downloads/${queryArg}` }),
    }),
    stopDownload: build.mutation<StopDownloadApiResponse, StopDownloadApiArg>({
      query: (queryArg) => ({
        url: `/api/downloads/${queryArg}/stop`,
        method: 'POST',
      }),
    }),
    downloadedFile: build.query<DownloadedFileApiResponse, DownloadedFileApiArg>({
      query: (queryArg) => ({ url: `/api/downloads/${queryArg}/file` }),
    }),
    keepPhoto: build.mutation<KeepPhotoApiResponse, KeepPhotoApiArg>({
      query: (queryArg) => ({
        url: `/api/photos`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    photo: build.query<PhotoApiResponse, PhotoApiArg>({
      query: (queryArg) => ({ url: `/api/photos/${queryArg}` }),
    }),
    photoThumb: build.query<PhotoThumbApiResponse, PhotoThumbApiArg>({
      query: (queryArg) => ({ url: `/api/photos/${queryArg}/thumb` }),
    }),
    keepGaugeLog: build.mutation<KeepGaugeLogApiResponse, KeepGaugeLogApiArg>({
      query: (queryArg) => ({
        url: `/api/gauge-logs`,
        method: 'POST',
        body: queryArg,
      }),
    }),
    gaugeLog: build.query<GaugeLogApiResponse, GaugeLogApiArg>({
      query: (queryArg) => ({ url: `/api/gauge-logs/${queryArg}` }),
    }),
    instruments: build.query<InstrumentsApiResponse, InstrumentsApiArg>({
      query: () => ({ url: `/api/instruments` }),
    }),
    connectInstrument: build.mutation<ConnectInstrumentApiResponse, ConnectInstrumentApiArg>({
      query: (queryArg) => ({
        url: `/api/instruments/${queryArg.id}/connect`,
        method: 'POST',
        body: queryArg.instrumentConnect,
      }),
    }),
    disconnectInstrument: build.mutation<DisconnectInstrumentApiResponse, DisconnectInstrumentApiArg>({
      query: (queryArg) => ({
        url: `/api/instruments/${queryArg}/disconnect`,
        method: 'POST',
      }),
    }),
    readings: build.query<ReadingsApiResponse, ReadingsApiArg>({
      query: (queryArg) => ({
        url: `/api/instruments/${queryArg.id}/readings/${queryArg.key}`,
        params: {
          fromMs: queryArg.fromMs,
          toMs: queryArg.toMs,
        },
      }),
    }),
    recordReadings: build.mutation<RecordReadingsApiResponse, RecordReadingsApiArg>({
      query: (queryArg) => ({
        url: `/api/instruments/${queryArg.id}/record`,
        method: 'POST',
        body: queryArg.readingsRecord,
      }),
    }),
    store: build.query<StoreApiResponse, StoreApiArg>({
      query: () => ({ url: `/api/store` }),
    }),
    waste: build.query<WasteApiResponse, WasteApiArg>({
      query: () => ({ url: `/api/store/waste` }),
    }),
    storeCost: build.query<StoreCostApiResponse, StoreCostApiArg>({
      query: (queryArg) => ({
        url: `/api/store/cost`,
        params: {
          days: queryArg,
        },
      }),
    }),
    container: build.query<ContainerApiResponse, ContainerApiArg>({
      query: (queryArg) => ({
        url: `/api/store/containers/${queryArg.containerId}`,
        params: {
          before: queryArg.before,
        },
      }),
    }),
    traceOil: build.query<TraceOilApiResponse, TraceOilApiArg>({
      query: (queryArg) => ({ url: `/api/store/containers/${queryArg}/trace` }),
    }),
    openDemoYard: build.mutation<OpenDemoYardApiResponse, OpenDemoYardApiArg>({
      query: () => ({ url: `/api/demo-yard`, method: 'POST' }),
    }),
  }),
  overrideExisting: false,
});
export { injectedRtkApi as generatedApi };
export type AboutApiResponse = /** status 200 Version, data folder and whether this is the demo */ About;
export type AboutApiArg = void;
export type CertificateApiResponse =
  /** status 200 The root of the server’s own certificate, to be trusted by a device */ Download;
export type CertificateApiArg = void;
export type DoorApiResponse =
  /** status 200 How the door stands, who is signed in here, and what they may */ DoorAnswer;
export type DoorApiArg = void;
export type SignInApiResponse = /** status 200 Sign in with a name and its password */ DoorAnswer;
export type SignInApiArg = SignInPost;
export type SignOutApiResponse = DoorAnswer;
export type SignOutApiArg = void;
export type LookAtCodeApiResponse = /** status 200 What a one-time code is for */ CodeAnswer;
export type LookAtCodeApiArg = CodePost;
export type ClaimApiResponse = /** status 200 Become the first owner */ DoorAnswer;
export type ClaimApiArg = ClaimPost;
export type SetPasswordApiResponse =
  /** status 200 Choose a password, with a code or with the present one */ DoorAnswer;
export type SetPasswordApiArg = PasswordPost;
export type PairDeviceApiResponse = /** status 200 Make this device somebody’s */ DoorAnswer;
export type PairDeviceApiArg = PairPost;
export type StepIntoApiResponse = /** status 200 In a demo yard: be one of its people */ DoorAnswer;
export type StepIntoApiArg = StepIntoPost;
export type WriteAsApiResponse = /** status 200 At a shared tablet: say who writes */ DoorAnswer;
export type WriteAsApiArg = WriteAsPost;
export type SetPinApiResponse = /** status 200 A PIN for shared tablets, or none */ SessionsAnswer;
export type SetPinApiArg = PinPost;
export type OwnSessionsApiResponse = /** status 200 Where you are signed in */ SessionsAnswer;
export type OwnSessionsApiArg = void;
export type EndSessionApiResponse = /** status 200 Take a device off: yours, or as an owner anybody’s */ SessionsAnswer;
export type EndSessionApiArg = string;
export type EndOtherSessionsApiResponse = /** status 200 Sign out everywhere but here */ SessionsAnswer;
export type EndOtherSessionsApiArg = void;
export type PeopleApiResponse =
  /** status 200 Everybody of the set-up, what they may and where they are signed in */ PeopleAnswer;
export type PeopleApiArg = void;
export type DoorRecordApiResponse = /** status 200 What happened at the doors, the latest first */ DoorRecordAnswer;
export type DoorRecordApiArg = void;
export type GiveAccountApiResponse = /** status 200 Let somebody sign in, or change what they may */ PeopleAnswer;
export type GiveAccountApiArg = {
  personId: string;
  accountPost: AccountPost;
};
export type TakeAccountApiResponse = /** status 200 Somebody signs in no longer */ PeopleAnswer;
export type TakeAccountApiArg = string;
export type TabletCodeApiResponse =
  /** status 200 A one-time code for a tablet that everybody of a site shares */ NewCode;
export type TabletCodeApiArg = TabletCodePost;
export type NewCodeApiResponse = /** status 200 A one-time code: to choose a password, or for a device */ NewCode;
export type NewCodeApiArg = {
  personId: string;
  newCodePost: NewCodePost;
};
export type ChangesApiResponse = /** status 200 What changed since a number of the sequence */ ChangesAnswer;
export type ChangesApiArg = {
  /** The last number that was seen */
  since?: number;
  /** The epoch that it was of */
  epoch?: string;
};
export type RoundApiResponse = /** status 200 All pumps as they stand now, what needs hands first */ RoundParts;
export type RoundApiArg = /** Tag of the last answer: only other rows are sent */ any | undefined;
export type PumpApiResponse = /** status 200 A pump with its state, limits, tasks and earlier charges */ PumpPage;
export type PumpApiArg = string;
export type OilStoryApiResponse =
  /** status 200 The pump’s charges as its looks tell them, and their trends */ OilStory;
export type OilStoryApiArg = string;
export type WaterApiResponse =
  /** status 200 The water of the present charge: expected by its runs, found, unexplained, and the trap’s factor */ WaterAnswer;
export type WaterApiArg = string;
export type JournalApiResponse = /** status 200 A page of the pump’s entries, newest first */ JournalPage;
export type JournalApiArg = {
  pumpId: string;
  before?: string;
  /** parted by commas; all when left out */
  kinds?: string;
};
export type TakenBackApiResponse = /** status 200 Entries of the pump that were taken back last */ TakenBack;
export type TakenBackApiArg = string;
export type JobApiResponse =
  /** status 200 A service of the pump, under way or ended, with all its entries */ JobAnswer;
export type JobApiArg = {
  pumpId: string;
  jobId: string;
};
export type ServiceTimesApiResponse =
  /** status 200 How long services took here, by procedure, model and kind of people */ ServiceTimes;
export type ServiceTimesApiArg = void;
export type StepTimesApiResponse = /** status 200 How long each step of a service took here at a model */ StepTimes;
export type StepTimesApiArg = {
  procedure: string;
  modelId: string;
};
export type EntryApiResponse = /** status 200 An entry with all its corrections */ EntryHistory;
export type EntryApiArg = string;
export type EquipmentApiResponse =
  /** status 200 An equipment with its own record: what ran on it by whatever pump, and a page of its entries */ EquipmentPage;
export type EquipmentApiArg = {
  equipmentId: string;
  before?: string;
};
export type VacuumRecordApiResponse =
  /** status 200 What the tests of a set show over the years: leak, moisture, pressures and speed, against their limits */ VacuumAnswer;
export type VacuumRecordApiArg = string;
export type DiagnosisApiResponse =
  /** status 200 What may be wrong with a pump: evidence, causes with the sums behind them, the tests that tell most */ DiagnosisAnswer;
export type DiagnosisApiArg = {
  pumpId: string;
  stopWeight?: number;
};
export type SuspectsApiResponse =
  /** status 200 Which materials go with dark oil and with water in this house, over the last year */ SuspectsAnswer;
export type SuspectsApiArg = void;
export type CaseInFullApiResponse = /** status 200 A case with all that was written while it was open */ CaseAnswer;
export type CaseInFullApiArg = string;
export type PostEntriesApiResponse = /** status 201 Write entries, each answered by itself */ EntriesAnswer;
export type PostEntriesApiArg = EntriesPost;
export type PreviewEntriesApiResponse = /** status 200 What entries would change, without writing them */ EntriesEffect;
export type PreviewEntriesApiArg = EntriesPost;
export type UnsettledApiResponse =
  /** status 200 Corrections that were kept and do not count: what they wait for, or what has to be settled */ UnsettledAnswer;
export type UnsettledApiArg = void;
export type UntoldApiResponse =
  /** status 200 Runs of which nobody has said what went in, with what usually does */ UntoldAnswer;
export type UntoldApiArg = void;
export type SetUpApiResponse = /** status 200 All records of the set-up in force now */ SetUpAnswer;
export type SetUpApiArg = void;
export type PostSetUpApiResponse = /** status 201 Add versions to the set-up, all or none */ SetUpPosted;
export type PostSetUpApiArg = {
  /** The tag of the set-up that the editor saw */
  'if-match'?: string;
  setUpPost: SetUpPost;
};
export type RecordApiResponse = /** status 200 A record with all its versions */ RecordHistory;
export type RecordApiArg = {
  kind: string;
  id: string;
};
export type PreviewSetUpApiResponse =
  /** status 200 What versions would change, without writing them: the whole, or what was found so far */ SetUpEffect;
export type PreviewSetUpApiArg = SetUpPost;
export type RemoveSetUpApiResponse =
  /** status 200 Take records out that nothing names, all or none; a pump with its take-over */ SetUpRemoved;
export type RemoveSetUpApiArg = SetUpRemove;
export type MoreOfSetUpEffectApiResponse = /** status 200 What more was found of an effect */ SetUpEffect;
export type MoreOfSetUpEffectApiArg = string;
export type SetUpSchemaApiResponse = /** status 200 JSON Schema of a set-up file */ Download;
export type SetUpSchemaApiArg = void;
export type ExportSetUpApiResponse = /** status 200 The whole set-up in force, as one file */ SetUpFile;
export type ExportSetUpApiArg = void;
export type ImportSetUpFileApiResponse =
  /** status 200 Import a set-up file: its new and changed records, and where asked the conflicting ones */ SetUpFileResult;
export type ImportSetUpFileApiArg = {
  conflicting: 'keep' | 'take';
  setUpFile: SetUpFile;
};
export type PreviewSetUpFileApiResponse =
  /** status 200 What an import of a set-up file would do, record by record */ SetUpFilePreview;
export type PreviewSetUpFileApiArg = SetUpFile;
export type BeginLogImportApiResponse =
  /** status 201 Take a log file in and begin to read it: nothing is written before it is told to */ LogImportAnswer;
export type BeginLogImportApiArg = {
  log: 'runs' | 'looks' | 'changes' | 'pours' | 'stocktakes' | 'notebook';
  logText: LogText;
};
export type LogContentsApiResponse = /** status 200 What a log holds, by pump and month */ LogContents;
export type LogContentsApiArg = 'runs' | 'looks' | 'changes' | 'pours' | 'stocktakes' | 'notebook';
export type LogImportApiResponse = /** status 200 Where an import stands */ LogImportAnswer;
export type LogImportApiArg = string;
export type WriteLogImportApiResponse =
  /** status 202 Begin to write the rows of an import that was read */ LogImportAnswer;
export type WriteLogImportApiArg = {
  id: string;
  writeLogImport: WriteLogImport;
};
export type CancelLogImportApiResponse =
  /** status 200 Stop an import and take back what it wrote; what is done stays */ LogImportAnswer;
export type CancelLogImportApiArg = string;
export type UndoLogImportApiResponse =
  /** status 202 Begin to take back all that an import wrote, where none of it was corrected since */ LogImportAnswer;
export type UndoLogImportApiArg = string;
export type LogImportEffectApiResponse =
  /** status 200 What an import that is ready would change, pump by pump, without writing it */ LogImportEffect;
export type LogImportEffectApiArg = string;
export type RefusedRowsApiResponse = /** status 200 The refused rows of an import with the reasons, as CSV */ LogText;
export type RefusedRowsApiArg = string;
export type CheckBackupApiResponse = /** status 200 Upload a backup and see what is in it */ RestoreCheck;
export type CheckBackupApiArg = Download;
export type RestoreProgressApiResponse = /** status 200 How far the check of a backup is */ RestoreProgress;
export type RestoreProgressApiArg = void;
export type StopCheckApiResponse = /** status 200 Stop the check of a backup */ RestoreProgress;
export type StopCheckApiArg = void;
export type RestoreApiResponse =
  /** status 200 Put a checked backup in place; what stood there is kept */ RestoreResult;
export type RestoreApiArg = RestorePost;
export type KeptDataApiResponse = /** status 200 Data that a restore has taken the place of */ KeptAnswer;
export type KeptDataApiArg = void;
export type CheckKeptApiResponse = /** status 200 Look at data that are kept here, to put them back */ RestoreCheck;
export type CheckKeptApiArg = KeptPost;
export type ImportJournalApiResponse =
  /** status 200 Take in everything from JSON lines, into an empty data folder */ JournalFileResult;
export type ImportJournalApiArg = Download;
export type BeginDownloadApiResponse =
  /** status 202 Begin to make a file: a backup, everything as JSON lines, or a log as CSV */ DownloadAnswer;
export type BeginDownloadApiArg = DownloadPost;
export type DownloadApiResponse = /** status 200 How far a file is */ DownloadAnswer;
export type DownloadApiArg = string;
export type StopDownloadApiResponse = /** status 200 Stop making a file, or drop it */ DownloadAnswer;
export type StopDownloadApiArg = string;
export type DownloadedFileApiResponse = /** status 200 The file, once */ Download;
export type DownloadedFileApiArg = string;
export type KeepPhotoApiResponse =
  /** status 200 Keep a photograph, before the look that cites it; what its camera wrote beside the picture is removed */ PhotoKept;
export type KeepPhotoApiArg = PhotoBytes;
export type PhotoApiResponse = PhotoBytes;
export type PhotoApiArg = string;
export type PhotoThumbApiResponse = /** status 200 A photograph, small */ PhotoBytes;
export type PhotoThumbApiArg = string;
export type KeepGaugeLogApiResponse =
  /** status 200 Keep a gauge log as it came, before the test that cites it */ GaugeLogKept;
export type KeepGaugeLogApiArg = GaugeLogBytes;
export type GaugeLogApiResponse = /** status 200 A gauge log, as it came */ GaugeLogBytes;
export type GaugeLogApiArg = string;
export type InstrumentsApiResponse = /** status 200 All instruments, and how each stands */ InstrumentsAnswer;
export type InstrumentsApiArg = void;
export type ConnectInstrumentApiResponse =
  /** status 200 Listen to an instrument at the address that its record says */ InstrumentsAnswer;
export type ConnectInstrumentApiArg = {
  id: string;
  instrumentConnect: InstrumentConnect;
};
export type DisconnectInstrumentApiResponse =
  /** status 200 Listen to an instrument no longer, and forget its password */ InstrumentsAnswer;
export type DisconnectInstrumentApiArg = string;
export type ReadingsApiResponse = /** status 200 What a channel sent between two moments */ ReadingsAnswer;
export type ReadingsApiArg = {
  id: string;
  key: string;
  fromMs: number;
  toMs: number;
};
export type RecordReadingsApiResponse =
  /** status 201 Keep readings as a gauge log, before the test that cites it */ ReadingsRecorded;
export type RecordReadingsApiArg = {
  id: string;
  readingsRecord: ReadingsRecord;
};
export type StoreApiResponse = /** status 200 The oil store: every container as it stands */ StoreAnswer;
export type StoreApiArg = void;
export type WasteApiResponse = /** status 200 What carriers took, the last first */ WasteAnswer;
export type WasteApiArg = void;
export type StoreCostApiResponse =
  /** status 200 Where the oil of some days went, what it cost by either school, and how long the stock lasts */ StoreCostAnswer;
export type StoreCostApiArg = number | undefined;
export type ContainerApiResponse = /** status 200 A container with a page of its entries */ ContainerAnswer;
export type ContainerApiArg = {
  containerId: string;
  before?: string;
};
export type TraceOilApiResponse =
  /** status 200 Where the oil in a container came from, what ran while it was in pumps, and where else its lots are */ TraceAnswer;
export type TraceOilApiArg = string;
export type OpenDemoYardApiResponse = /** status 200 Serve the demo yard on a port of its own */ DemoYardOpened;
export type OpenDemoYardApiArg = void;
export type About = {
  version: string;
  dataFolder: string;
  /** Local day on which the demo yard was seeded; null for an own folder. */
  demoDay: string | null;
  /** Everyone on the network can reach the server, and write. */
  openToNetwork: boolean;
  /** Addresses under which other devices reach it; empty while it is open to this machine alone. */
  addresses: readonly string[];
  /** SHA-256 fingerprint of its own certificate; null over plain http. */
  certificate: string | null;
  now: string;
};
export type Download = string;
export type DoorState = 'free' | 'open' | 'unclaimed' | 'shut' | 'in';
export type Role = 'owner' | 'technician' | 'operator' | 'reader';
export type SignedIn = {
  personId: string;
  name: string;
  role: Role;
  /** Sites that they are bound to; null: all. */
  siteIds: readonly string[] | null;
};
export type Right = 'read' | 'everySite' | 'log' | 'write' | 'setUp' | 'house' | 'keep';
export type SharedTablet = {
  siteName: string;
  /** Who may write here. */
  people: readonly {
    personId: string;
    name: string;
    hasPin: boolean;
  }[];
};
export type DoorAnswer = {
  /** Name of the house: what a device keeps for one house is not given to another that answers at the same address. */
  house: string;
  state: DoorState;
  /** In a demo yard also where the door is open: whoever one has stepped into. */
  who: SignedIn | null;
  /** What may be asked for here. */
  rights: readonly Right[];
  /** False over plain http from another machine: a password would cross the network for all to read. */
  passwordsHere: boolean;
  /** People of a demo yard, to step into. */
  stepInto: readonly SignedIn[];
  /** Where this is a tablet that everybody of a site shares; then `who` is whoever has said so and writes. */
  tablet: SharedTablet | null;
};
export type SignInPost = {
  name: string;
  password: string;
};
export type CodePurpose = 'claim' | 'password' | 'pair' | 'tablet';
export type CodeAnswer = {
  purpose: CodePurpose;
  /** Whose it is, or of which site; null for the first owner. */
  name: string | null;
};
export type CodePost = {
  code: string;
};
export type ClaimPost = {
  code?: string | null;
  name: string;
  password: string;
};
export type PasswordPost = {
  code?: string | null;
  present?: string | null;
  password: string;
};
export type PairPost = {
  code: string;
  device: string;
};
export type StepIntoPost = {
  personId?: string | null;
};
export type WriteAsPost = {
  personId?: string | null;
  pin?: string | null;
};
export type OpenSession = {
  id: string;
  kind: 'browser' | 'device' | 'tablet';
  name: string;
  address: string;
  since: string;
  lastUsedAt: string;
  /** The one that asks. */
  isThis: boolean;
};
export type SessionsAnswer = {
  sessions: readonly OpenSession[];
  /** For shared tablets. */
  hasPin: boolean;
};
export type PinPost = {
  pin?: string | null;
};
export type PersonAccount = {
  personId: string;
  name: string;
  /** Null for somebody of the set-up who cannot sign in. */
  role: Role | null;
  /** Sites that they are bound to; null: all. */
  siteIds: readonly string[] | null;
  hasPassword: boolean;
  sessions: readonly OpenSession[];
};
export type PeopleAnswer = {
  people: readonly PersonAccount[];
  /** Shared by everybody of a site. */
  tablets: readonly {
    siteId: string;
    id: string;
    kind: 'browser' | 'device' | 'tablet';
    name: string;
    address: string;
    since: string;
    lastUsedAt: string;
    /** The one that asks. */
    isThis: boolean;
  }[];
};
export type DoorEventKind =
  | 'claimed'
  | 'signedIn'
  | 'signInRefused'
  | 'signedOut'
  | 'sessionEnded'
  | 'codeMade'
  | 'codeRefused'
  | 'paired'
  | 'tabletPaired'
  | 'wroteAs'
  | 'pinRefused'
  | 'pinSet'
  | 'passwordSet'
  | 'accountMade'
  | 'roleChanged'
  | 'sitesChanged'
  | 'accountEnded'
  | 'refused'
  | 'fileMade'
  | 'restored';
export type DoorEvent = {
  at: string;
  what: DoorEventKind;
  /** Who did it, or tried to, by name; null where nobody is known. */
  by: string | null;
  /** Whom it is about, by name. */
  about: string | null;
  address: string;
  detail: string | null;
};
export type DoorRecordAnswer = {
  events: readonly DoorEvent[];
};
export type AccountPost = {
  role: Role;
  /** Sites that they are bound to; null: all, as for every owner. */
  siteIds?: readonly string[] | null;
};
export type NewCode = {
  code: string;
  purpose: CodePurpose;
  expiresAt: string;
  /** Addresses at which it is used; the code stands behind the `#`, which no server is sent. */
  addresses: readonly string[];
};
export type TabletCodePost = {
  siteId: string;
};
export type NewCodePost = {
  purpose: 'password' | 'pair';
};
export type ChangeKind = 'entries' | 'setUp' | 'file' | 'takenBack';
export type ChangesAnswer = {
  /** Another one than before: the data were replaced, and everything that was read is to be read anew. */
  epoch: string;
  /** The last number there is. */
  seq: number;
  /** The numbers between are not known here any more, or are of another epoch. */
  startOver: boolean;
  kinds: readonly ChangeKind[];
  /** Null: all of them. */
  pumpIds: readonly string[] | null;
};
export type PumpKind = 'vane' | 'booster' | 'dry';
export type Process = 'freezeDrying' | 'packaging' | 'composites' | 'industrial';
export type VerdictLevel = 'runOn' | 'lookSooner' | 'beforeNextRun' | 'stop';
export type Act =
  | 'change'
  | 'purge'
  | 'flush'
  | 'washHousing'
  | 'stripClean'
  | 'inspect'
  | 'topUp'
  | 'drainToMark'
  | 'look'
  | 'bleed'
  | 'sample'
  | 'report'
  | 'findCause'
  | 'exhaustFilter'
  | 'sealCheck'
  | 'blankOff'
  | 'checkRemedy'
  | 'goOn'
  | 'closeUp';
export type SumpKey = 'oil' | 'gearA' | 'gearB' | 'sealCup';
export type AnsweredBy =
  | 'closing'
  | 'change'
  | 'changeOrSample'
  | 'bleedOrPurgeThenLook'
  | 'changeOrClearLook'
  | 'changeThenViscosity'
  | 'topUp'
  | 'drainToMark'
  | 'flush'
  | 'inspect'
  | 'inspectAndChange'
  | 'flushAndChange'
  | 'washAndChange'
  | 'stripAndChange'
  | 'whereItWent'
  | 'look'
  | 'case'
  | 'job';
export type ParticleKind = 'black' | 'brown' | 'rustRed' | 'fibres' | 'glitter' | 'growth';
export type LevelFound = 'none' | 'low' | 'hair' | 'high' | 'notTold';
export type OilWent = 'leak' | 'exhaust' | 'suckedBack';
export type WearSign = 'noise' | 'glitter' | 'poorBlankOff';
export type FindingCode =
  | 'water'
  | 'waterAboveExpected'
  | 'waterAtPickUp'
  | 'levelFromWater'
  | 'cream'
  | 'creamThroughout'
  | 'clarity'
  | 'colour'
  | 'darkAgain'
  | 'sludge'
  | 'particles'
  | 'smell'
  | 'foam'
  | 'level'
  | 'oilLost'
  | 'thrownOil'
  | 'viscosity'
  | 'labWater'
  | 'iron'
  | 'silicon'
  | 'particleCode'
  | 'ironRate'
  | 'wear'
  | 'acid'
  | 'base'
  | 'otherProduct'
  | 'unknownAge'
  | 'goneCharge';
export type StandingFinding =
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'water';
      foundUl: number;
      chargeUl: number;
      limitShare: number;
      /** What decided where it was not the share that is in the oil: so much that stands, any of it under an oil that holds water up, so much drawn at once, or cream. */
      by?: 'amount' | 'heldUp' | 'drawn' | 'cream';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'waterAboveExpected';
      foundUl: number;
      expectedUl: number;
      /** Since a clear look had answered what was found before. */
      sinceAnswer?: boolean;
      limitTimes: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'waterAtPickUp';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'levelFromWater';
      foundUl: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'cream';
      creamUl: number;
      chargeUl: number;
      limitShare: number;
      afterPurge: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'creamThroughout';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'clarity';
      clarity: 'hazy' | 'cloudy' | 'opaque' | 'cream';
      hoursStood: number;
      running: boolean;
      afterPurge: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'colour';
      colour: number;
      startColour: number;
      limitRise: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'darkAgain';
      colour: number;
      startColour: number;
      runs: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'sludge';
      sludgeUl: number;
      chargeUl: number;
      limitShare: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'particles';
      amount: 'few' | 'many';
      kinds: readonly ParticleKind[];
      /** Metal in a new or overhauled pump's first hours. */
      runningIn: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'smell';
      smell: 'sour' | 'burnt' | 'solvent' | 'rancid' | 'fishy' | 'ammonia';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'foam';
      withHaze: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'level';
      found: LevelFound;
      nothingAdded: boolean;
      filled?: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'oilLost';
      where: OilWent;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'thrownOil';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'viscosity';
      foundMm2s: number;
      freshMm2s: number;
      thinner: boolean;
      limitPercent: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'labWater';
      foundPpm: number;
      limitPpm: number;
      /** The oil's temperature at which so much stays dissolved; null for a plain number. */
      saturatedAtC: number | null;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'iron';
      abovePpm: number;
      limitPpm: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'ironRate';
      per100h: number;
      usualPer100h: number;
      limitTimes: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'silicon';
      foundPpm: number;
      usualPpm: number;
      withAluminium: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'particleCode';
      found: string;
      classesUp: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'wear';
      abovePpm: number;
      signs: readonly WearSign[];
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'acid';
      foundMgKohG: number;
      freshMgKohG: number;
      limitRise: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'base';
      foundMgKohG: number;
      freshMgKohG: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'otherProduct';
      beforeId: string;
      afterId: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'unknownAge';
      changedKnown: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      sump: SumpKey;
      /** It could be answered by a purge, and with air that could burn. */
      airBarred?: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'goneCharge';
      cause: FindingCode;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    };
export type PressureLimit = 'target' | 'usual' | 'own' | 'model' | 'good';
export type MachineAnswer =
  | 'causeOrGood'
  | 'cause'
  | 'usualOrCause'
  | 'leakOrUsual'
  | 'exhaustFilter'
  | 'sealCheck'
  | 'lookForWater'
  | 'inspect'
  | 'flushAndFill'
  | 'purgeThenMeasure';
export type StandingMachineFinding =
  | {
      airBarred?: boolean;
      code: 'poorVacuum';
      where: 'pump' | 'hoseEnd' | 'chamber';
      /** The set that was pumped down; null where the pump itself was blanked off. */
      equipmentId: string | null;
      foundPa: number;
      limitPa: number;
      against: PressureLimit;
      /** Five times its target or usual, or more. */
      isFar: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      code: 'overGood';
      foundPa: number;
      limitPa: number;
      against: PressureLimit;
      phase: 'purge' | 'measure' | 'change' | 'measureNewOil';
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      code: 'toppedUpOften' | 'sealCupLeak';
      times: number;
      days: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      code: 'oilUse';
      ulPer100h: number;
      usualUlPer100h: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      code: 'levelHolds';
      goneUl: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      lookPa: number;
      renewPa: number;
      code: 'backPressure';
      overPa: number | null;
      blocked: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      code: 'runsHot';
      oilTempC: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      code: 'resinInOil' | 'swallowed';
      flushedAt: string | null;
      filledAt: string | null;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      airBarred?: boolean;
      code: 'grinding' | 'stiff' | 'trips' | 'louder' | 'slowStart' | 'moreCurrent' | 'hotterCase';
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    };
export type TaskId =
  | 'look'
  | 'bleed'
  | 'oilChange'
  | 'oilFilter'
  | 'exhaustFilter'
  | 'inletScreen'
  | 'flush'
  | 'boosterOil'
  | 'sealCup'
  | 'sealCheck'
  | 'antiSuckback'
  | 'vaneCheck'
  | 'gaugeCheck'
  | 'blankOff'
  | 'labSample'
  | 'bearings'
  | 'tipSeals'
  | 'purge'
  | 'housingClean'
  | 'stripClean';
export type Measure = 'runs' | 'weight' | 'hours' | 'days' | 'changes';
export type LimitSource = 'preset' | 'house' | 'model' | 'product' | 'pump' | 'calendar' | 'runningIn';
export type DueForecast = {
  measure: Measure;
  p10Days: number;
  p50Days: number;
  p90Days: number;
  /** `date`: a calendar limit; `use`: this pump's own use; `fewRuns`: own use, with too few runs to know their scatter; `meter`: hours by its meter alone. */
  basis: 'date' | 'use' | 'fewRuns' | 'meter';
  /** Runs until the limit; null for a date on a pump without a known rate. */
  runsLeft: number | null;
};
export type LimitStanding = {
  measure: Measure;
  /** runs, weighted runs, hours, days or changes, as `used` and `left` */
  limit: number;
  used: number;
  /** Never below 0. */
  left: number;
  from: LimitSource;
  reached: boolean;
  /** Not reached yet, but at the end of the next planned run it will be. */
  withinNextRun: boolean;
  /** By the use of its runs, or of its set’s plain ones; null where runs do not use it up. */
  runsLeft: number | null;
  forecast: DueForecast | null;
};
export type Unfit = 'oxygen' | 'pfpe' | 'food';
export type NotTold = {
  entryId: string;
  at: string;
  kind: 'run' | 'bleed';
};
export type Reason =
  | StandingFinding
  | StandingMachineFinding
  | {
      code: 'changeDue';
      task: TaskId;
      decides: LimitStanding;
      sinceAt: string;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'lookDue';
      decides: LimitStanding;
      sinceAt: string;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'blankOffDue';
      answeredBy: 'measuring';
      decides: LimitStanding;
      sinceAt: string;
      level: VerdictLevel;
      act: Act;
    }
  | {
      code: 'lastRunBeforeChange';
      decides: LimitStanding;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'carriedOver';
      runs: number;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'caseOpen';
      sinceAt: string;
      complaint: string;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'caseToCheck';
      closedAt: string;
      complaint: string;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'drained';
      sinceAt: string;
      who: string | null;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'notWhole';
      how: 'open' | 'capped';
      sinceAt: string;
      who: string | null;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'jobOpen';
      procedure: string;
      sinceAt: string;
      who: string | null;
      paused: boolean;
      waitUntil: string | null;
      overdue: boolean;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'jarToRead';
      entryId: string;
      fromAt: string;
      ready: boolean;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'notTakenOver';
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'readLevel';
      takenUl: number;
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      unfit: Unfit;
      /** Null where nobody has said what is in it. */
      productId: string | null;
      /** Of an earlier charge: the oil itself was changed. */
      trace: boolean;
      /** It was stripped and cleaned: a new charge is left to do. */
      stripped: boolean;
      code: 'unfitOil';
      level: VerdictLevel;
      act: Act;
      answeredBy: AnsweredBy;
    }
  | {
      code: 'unsettled';
      level: 'lookSooner';
      act: null;
      answeredBy: 'settling';
      corrections: number;
    }
  | {
      code: 'madeAnew';
      level: 'beforeNextRun';
      act: null;
      answeredBy: 'waiting';
    }
  | {
      code: 'notTold';
      level: 'runOn';
      /** Nothing is to be done at the pump: whoever knows corrects the entry. */
      act: null;
      answeredBy: 'correction';
      entries: readonly NotTold[];
    };
export type NextTask = {
  task: TaskId;
  /** The limit that decides: the first one reached, else the one expected first. */
  decides: LimitStanding | null;
  /** `now`: a reason of the verdict calls for it, before any limit. */
  status: 'now' | 'reached' | 'withinNextRun' | 'ok' | 'noLimit';
  sinceAt: string | null;
  /** Null: never done since the count began. */
  doneEntryId: string | null;
  forecast: DueForecast | null;
};
export type Load = 'wet' | 'fatty' | 'dusty' | 'fumes' | 'clean' | 'unlogged' | 'notTold';
export type RunRuler = {
  collapsed: {
    runs: number;
    weight: number;
  } | null;
  bars: readonly {
    weight: number;
    entryId: string;
    at: string;
    load: Load;
    /** Null where nobody has said it yet, and for what only the meter knows. */
    materialId: string | null;
    carriedOver: boolean;
    bled: boolean;
    looked: boolean;
    minutes: number;
  }[];
  /** Runs expected until the flag, with their likely day from now; null where the pump's rate is not known. */
  expected: readonly {
    weight: number;
    inDays: number | null;
  }[];
  flag: {
    atWeight: number;
    measure: Measure;
    limit: number;
    reached: boolean;
  } | null;
  usedWeight: number;
};
export type LookSource = 'sightGlass' | 'sample' | 'bleed' | 'drained';
export type Clarity = 'bright' | 'hazy' | 'cloudy' | 'opaque' | 'cream';
export type Level = 'none' | 'low' | 'hair' | 'right' | 'high';
export type JarSeen = {
  entryId: string;
  at: string;
  source: LookSource | 'change';
  /** All the oil, hazy or clear. */
  oilUl: number;
  sludgeUl: number;
  waterUl: number;
  /** Somebody looked for water in it; without that none is not no water. */
  waterRead: boolean;
  creamUl: number;
  hazyUl: number;
  photoId: string | null;
  colour: number | null;
  clarity: Clarity | null;
  level: Level | null;
  hoursStood: number | null;
  /** Of an oil that is denser than water. */
  waterFloats: boolean;
};
export type CautionId =
  | 'stop'
  | 'lockOut'
  | 'standing'
  | 'vent'
  | 'boosterVent'
  | 'hotOil'
  | 'hotFilter'
  | 'drainWarm'
  | 'drainCold'
  | 'noAir'
  | 'nitrogen'
  | 'capacitor'
  | 'supplyOff'
  | 'exhaust'
  | 'exhaustOpen'
  | 'oxygen'
  | 'pfpeHeat'
  | 'residues'
  | 'biological'
  | 'corrosive'
  | 'food'
  | 'growth'
  | 'solventWork'
  | 'suspect'
  | 'splashes'
  | 'neverSolvent'
  | 'furnace'
  | 'boiling'
  | 'heavy'
  | 'tilt'
  | 'thickOil'
  | 'lever'
  | 'coldMetal'
  | 'rags'
  | 'waste';
export type RunningRun = {
  entryId: string;
  at: string;
  equipmentName: string;
  /** It has gone on so long that its end was probably forgotten. */
  overlong: boolean;
};
export type PumpPlace = 'inService' | 'lent' | 'spare' | 'retired';
export type RoundRow = {
  pumpId: string;
  name: string;
  kind: PumpKind;
  /** Settled water can be drawn from its bottom. */
  bleeds: boolean;
  modelName: string;
  siteId: string;
  siteName: string;
  siteNote: string | null;
  process: Process;
  zone: string;
  equipmentName: string;
  verdict: VerdictLevel;
  act: Act | null;
  reasons: readonly Reason[];
  nextTask: NextTask | null;
  /** Service that is due by its own limits, the oil's apart. */
  overdue: readonly TaskId[];
  /** Runs until the oil change; null without an oil or a limit that runs use up. */
  runsLeft: number | null;
  ruler: RunRuler;
  jars: readonly JarSeen[];
  chargeMl: number | null;
  /** The oil that is in it, or the one that its set-up names where nobody has said. */
  oilName: string | null;
  /** When its oil was changed, as far as anybody knows. */
  oilChangedAt: string | null;
  carriedOverRuns: number;
  /** Of the pump itself, whatever is done at it. */
  dangers: readonly CautionId[];
  /** Runs that go on, the oldest first. */
  running: readonly RunningRun[];
  /** Where it is in its life. */
  place: PumpPlace;
  /** Nothing was ever written about it: it waits to be taken over. */
  untouched: boolean;
  lastMaterialId: string | null;
  /** Materials that the bars name. */
  materialNames: {
    [key: string]: string;
  };
};
export type RoundParts = {
  at: string;
  /** In the order in which they need hands: Stop, before next run, due looks, then the rest by site. */
  rows: readonly RoundRow[];
  /** All pumps of the house, also spare and retired ones. */
  pumps: number;
  needHands: number;
  /** Pumps besides, of which service is overdue: that is no verdict on their oil. */
  overdue: number;
  /** Entries that were kept and do not count yet. */
  unsettled: number;
  /** Names this answer: sent as `held` with the next question, only what is otherwise comes back. */
  tag: string;
  /** The answer that these rows are laid over; null when all rows are here. */
  over: string | null;
  /** Pumps of all rows, in their order. */
  order: readonly string[];
};
export type SchoolId = 'freshEveryRun' | 'bleedAndCount' | 'byTheHour' | 'byTheLook' | 'byTheLab' | 'byTheGauge';
export type ServiceClass = 'oxygen' | 'flammable' | 'toxic' | 'biological' | 'corrosive' | 'food';
export type ExhaustEnd = 'inside' | 'outdoors';
export type ExhaustPipe = 'down' | 'rises';
export type Limits = {
  runs?: number | null;
  weight?: number | null;
  hours?: number | null;
  days?: number | null;
  changes?: number | null;
};
export type SparseLimits = {
  look?: Limits;
  bleed?: Limits;
  oilChange?: Limits;
  oilFilter?: Limits;
  exhaustFilter?: Limits;
  inletScreen?: Limits;
  flush?: Limits;
  boosterOil?: Limits;
  sealCup?: Limits;
  sealCheck?: Limits;
  antiSuckback?: Limits;
  vaneCheck?: Limits;
  gaugeCheck?: Limits;
  blankOff?: Limits;
  labSample?: Limits;
  bearings?: Limits;
  tipSeals?: Limits;
  purge?: Limits;
  housingClean?: Limits;
  stripClean?: Limits;
};
export type SparseOilLimits = {
  'clarity.hazy'?: VerdictLevel;
  'clarity.cloudy'?: VerdictLevel;
  'clarity.opaque'?: VerdictLevel;
  'running.opaque'?: VerdictLevel;
  'running.cream'?: VerdictLevel;
  'detergent.cloudy'?: VerdictLevel;
  'detergent.opaque'?: VerdictLevel;
  'detergent.freeWater'?: VerdictLevel;
  'purge.didNotClear'?: VerdictLevel;
  darkAgain?: VerdictLevel;
  'water.atPickUp'?: VerdictLevel;
  'water.aboveMax'?: VerdictLevel;
  'particles.few'?: VerdictLevel;
  'particles.many'?: VerdictLevel;
  'particles.rustRed'?: VerdictLevel;
  'particles.growth'?: VerdictLevel;
  'particles.glitter'?: VerdictLevel;
  'particles.glitterRunningIn'?: VerdictLevel;
  'smell.rancid'?: VerdictLevel;
  'smell.sour'?: VerdictLevel;
  'smell.burnt'?: VerdictLevel;
  'smell.fishy'?: VerdictLevel;
  'smell.ammonia'?: VerdictLevel;
  'smell.solvent'?: VerdictLevel;
  'foam.stays'?: VerdictLevel;
  'foam.withHaze'?: VerdictLevel;
  'labWater.overSaturation20'?: VerdictLevel;
  'labWater.overSaturationRunning'?: VerdictLevel;
  'wear.confirmed'?: VerdictLevel;
  'waterPercent.lookSooner'?: number | null;
  'waterPercent.beforeNextRun'?: number | null;
  'waterPercent.stop'?: number | null;
  'freeWaterMl.lookSooner'?: number | null;
  'freeWaterMl.beforeNextRun'?: number | null;
  'freeWaterMl.stop'?: number | null;
  'waterTimesExpected.lookSooner'?: number | null;
  'waterTimesExpected.beforeNextRun'?: number | null;
  'waterTimesExpected.stop'?: number | null;
  'waterMlOverExpected.lookSooner'?: number | null;
  'waterMlOverExpected.beforeNextRun'?: number | null;
  'waterMlOverExpected.stop'?: number | null;
  'creamPercent.lookSooner'?: number | null;
  'creamPercent.beforeNextRun'?: number | null;
  'creamPercent.stop'?: number | null;
  'colourRise.lookSooner'?: number | null;
  'colourRise.beforeNextRun'?: number | null;
  'colourRise.stop'?: number | null;
  'colourRiseDark.lookSooner'?: number | null;
  'colourRiseDark.beforeNextRun'?: number | null;
  'colourRiseDark.stop'?: number | null;
  'sludgePercent.lookSooner'?: number | null;
  'sludgePercent.beforeNextRun'?: number | null;
  'sludgePercent.stop'?: number | null;
  'thinnerPercent.lookSooner'?: number | null;
  'thinnerPercent.beforeNextRun'?: number | null;
  'thinnerPercent.stop'?: number | null;
  'thickerPercent.lookSooner'?: number | null;
  'thickerPercent.beforeNextRun'?: number | null;
  'thickerPercent.stop'?: number | null;
  'labWaterPpm.lookSooner'?: number | null;
  'labWaterPpm.beforeNextRun'?: number | null;
  'labWaterPpm.stop'?: number | null;
  'labWaterPpmDetergent.lookSooner'?: number | null;
  'labWaterPpmDetergent.beforeNextRun'?: number | null;
  'labWaterPpmDetergent.stop'?: number | null;
  'ironPpm.lookSooner'?: number | null;
  'ironPpm.beforeNextRun'?: number | null;
  'ironPpm.stop'?: number | null;
  'ironTimesUsual.lookSooner'?: number | null;
  'ironTimesUsual.beforeNextRun'?: number | null;
  'ironTimesUsual.stop'?: number | null;
  'wearIronPpm.lookSooner'?: number | null;
  'wearIronPpm.beforeNextRun'?: number | null;
  'wearIronPpm.stop'?: number | null;
  'acidRise.lookSooner'?: number | null;
  'acidRise.beforeNextRun'?: number | null;
  'acidRise.stop'?: number | null;
  'baseLostPercent.lookSooner'?: number | null;
  'baseLostPercent.beforeNextRun'?: number | null;
  'baseLostPercent.stop'?: number | null;
};
export type Pump = {
  name: string;
  modelId: string;
  siteId: string;
  equipmentId: string;
  preset: SchoolId;
  /** Null for a dry pump. */
  oilProductId?: string | null;
  /** Start of the first charge after a new or overhauled pump (running-in); null when long in service. */
  overhauledAt?: string | null;
  /** Missing means in service. */
  place?: PumpPlace | null;
  /** Where it was lent to, why it was retired, what it was exchanged for. */
  note?: string | null;
  /** Beside those of its equipment. */
  serviceClasses?: readonly ServiceClass[] | null;
  /** Where its exhaust ends, and whether the pipe climbs on the way without a drip leg. */
  exhaustEnds?: ExhaustEnd | null;
  exhaustPipe?: ExhaustPipe | null;
  /** Its own ultimate, blanked off. */
  blankOffPa?: number | null;
  /** Takes used oil, where the house chooses pump by pump; missing means it does not. */
  takesReused?: boolean | null;
  /** Used oil goes into it at most so often, where that is less than the house allows. */
  reuseMost?: number | null;
  limits?: SparseLimits | null;
  oilLimits?: SparseOilLimits | null;
};
export type LevelMark = 'twoLines' | 'windowHalf' | 'windowThreeQuarters' | 'upperCircle';
export type ModelFacts = {
  drain?: string | null;
  tilt?: string | null;
  keys?: string | null;
  tightening?: string | null;
  seals?: string | null;
  oilFilter?: string | null;
  exhaustFilter?: string | null;
};
export type OwnStepWay = 'before' | 'after' | 'reword' | 'leaveOut';
export type OwnStep = {
  /** Its own within the model. */
  id: string;
  /** A procedure of core/service, and the step of it that this is about. */
  procedure: string;
  step: string;
  way: OwnStepWay;
  /** Wanted unless it is left out. */
  words?: string | null;
  /** Of a step that comes in addition. */
  minutes?: number | null;
  /** SHA-256 of a photograph that was uploaded before. */
  photoId?: string | null;
};
export type Sump = {
  key: SumpKey;
  chargeMl: number;
  /** What the housing holds at most. */
  housingMl: number;
  /** Stays behind after a drain. */
  holdUpMl: number;
  /** Between MIN and MAX in the sight glass. */
  betweenMarksMl?: number | null;
};
export type PumpModel = {
  name: string;
  kind: PumpKind;
  pumpingSpeedM3h: number;
  stages?: number | null;
  ultimatePa?: number | null;
  /** Ultimate with the gas ballast open. */
  ultimateBallastPa?: number | null;
  ballastFlowM3h?: number | null;
  operatingOilTempC: number;
  ballastRule: 'open' | 'closed' | 'purge' | 'none';
  hasOilFilter: boolean;
  oilFilterHoldUpMl?: number | null;
  hasHourMeter?: boolean | null;
  levelMark?: LevelMark | null;
  service?: ModelFacts | null;
  /** Over ambient, at the exhaust: from where its filter is looked at, and from where it is renewed. */
  exhaustLookPa?: number | null;
  exhaustRenewPa?: number | null;
  ownSteps?: readonly OwnStep[] | null;
  /** The oil that its manual names. */
  usualProductId?: string | null;
  assumed?: readonly string[] | null;
  sumps: readonly Sump[];
  limits?: SparseLimits | null;
};
export type Season = 'none' | 'decToFeb' | 'marToMay' | 'junToAug' | 'sepToNov';
export type Site = {
  name: string;
  process: Process;
  /** What it does, in a few words. */
  note?: string | null;
  /** IANA zone; days follow it. */
  zone: string;
  /** When the air of its rooms is damp, and when they are cold. */
  dampSeason?: Season | null;
  coldSeason?: Season | null;
};
export type InletPartKind = 'hose' | 'bends' | 'valve' | 'filter';
export type InletPart = {
  kind: InletPartKind;
  /** Inside; of a valve its bore. Not of a filter. */
  diameterMm?: number | null;
  /** Of a hose, and of a valve from flange to flange. */
  lengthMm?: number | null;
  /** Of bends: how many of 90°. */
  count?: number | null;
  /** Of a filter: what its maker says for air at low pressure. */
  conductanceLPerS?: number | null;
};
export type Wetness = 'wet' | 'dry';
export type Equipment = {
  name: string;
  siteId: string;
  process: Process;
  /** Missing means none. */
  serviceClasses?: readonly ServiceClass[] | null;
  chamberVolumeL?: number | null;
  /** What lies between it and its pump, from the chamber on. */
  inlet?: readonly InletPart[] | null;
  /** Hours that count as one plain run. */
  referenceHours: number;
  /** Cycles that count as one plain run; null where runs are counted by hours. */
  cyclesPerRun?: number | null;
  cycleTimeS?: number | null;
  coldTrap: boolean;
  /** Wet: brine, juice, wash-down. Freeze drying is wet in any case. */
  wetness?: Wetness | null;
  /** Ice that the trap takes before its surface grows warm, kg. */
  trapHoldsKg?: number | null;
  /** 1 lets past what ice at its temperature gives off; half as good a trap lets twice as much past. Missing means 1. */
  trapEfficiency?: number | null;
  /** Of the product in a packing chamber, and the humidity of the air above it (0-1). */
  productTempC?: number | null;
  productHumidity?: number | null;
  /** What a wet product gives off per cycle below its saturation pressure. */
  flashGPerCycle?: number | null;
  /** Acceptance targets of this set: a pressure within the first minutes, an ultimate within hours. */
  targetFirstPa?: number | null;
  targetFirstMinutes?: number | null;
  targetUltimatePa?: number | null;
  targetUltimateHours?: number | null;
  /** Fields whose value is a default of ours, that nobody has said. */
  assumed?: readonly string[] | null;
};
export type OilBase = 'mineral' | 'synthetic' | 'ester' | 'pfpe';
export type WaterBehaviour = 'demulsifying' | 'detergent';
export type OilProduct = {
  name: string;
  grade: string;
  base: OilBase;
  waterBehaviour: WaterBehaviour;
  /** Registered for incidental food contact: class H1 (ISO 21469). */
  foodGrade?: boolean | null;
  /** Coloured by its maker: judged by colour with more patience. */
  dyed?: boolean | null;
  /** ASTM D1500 of the unused oil. */
  freshColour: number;
  densityKgM3: number;
  /** Kinematic viscosity (ASTM D445) of the unused oil. */
  viscosity40Mm2s?: number | null;
  viscosity100Mm2s?: number | null;
  /** The fresh oil's own analysis: the baseline of every later one. */
  freshWaterPpm?: number | null;
  freshAcidMgKohG?: number | null;
  freshBaseMgKohG?: number | null;
  freshIronPpm?: number | null;
  /** In the house's money. */
  pricePerL?: number | null;
  assumed?: readonly string[] | null;
  limits?: SparseLimits | null;
  oilLimits?: SparseOilLimits | null;
};
export type ResolvedLimit = {
  measure: Measure;
  /** runs, weighted runs, hours, days or changes */
  value: number;
  from: LimitSource;
};
export type CareRules = {
  preset: SchoolId;
  tasks: readonly {
    task: TaskId;
    limits: readonly ResolvedLimit[];
  }[];
  /** Hours limit of the first charge of a new or overhauled pump. */
  runningInHours: number;
};
export type OilLimits = {
  'clarity.hazy': VerdictLevel;
  'clarity.cloudy': VerdictLevel;
  'clarity.opaque': VerdictLevel;
  'running.opaque': VerdictLevel;
  'running.cream': VerdictLevel;
  'detergent.cloudy': VerdictLevel;
  'detergent.opaque': VerdictLevel;
  'detergent.freeWater': VerdictLevel;
  'purge.didNotClear': VerdictLevel;
  darkAgain: VerdictLevel;
  'water.atPickUp': VerdictLevel;
  'water.aboveMax': VerdictLevel;
  'particles.few': VerdictLevel;
  'particles.many': VerdictLevel;
  'particles.rustRed': VerdictLevel;
  'particles.growth': VerdictLevel;
  'particles.glitter': VerdictLevel;
  'particles.glitterRunningIn': VerdictLevel;
  'smell.rancid': VerdictLevel;
  'smell.sour': VerdictLevel;
  'smell.burnt': VerdictLevel;
  'smell.fishy': VerdictLevel;
  'smell.ammonia': VerdictLevel;
  'smell.solvent': VerdictLevel;
  'foam.stays': VerdictLevel;
  'foam.withHaze': VerdictLevel;
  'labWater.overSaturation20': VerdictLevel;
  'labWater.overSaturationRunning': VerdictLevel;
  'wear.confirmed': VerdictLevel;
  'waterPercent.lookSooner': number | null;
  'waterPercent.beforeNextRun': number | null;
  'waterPercent.stop': number | null;
  'freeWaterMl.lookSooner': number | null;
  'freeWaterMl.beforeNextRun': number | null;
  'freeWaterMl.stop': number | null;
  'waterTimesExpected.lookSooner': number | null;
  'waterTimesExpected.beforeNextRun': number | null;
  'waterTimesExpected.stop': number | null;
  'waterMlOverExpected.lookSooner': number | null;
  'waterMlOverExpected.beforeNextRun': number | null;
  'waterMlOverExpected.stop': number | null;
  'creamPercent.lookSooner': number | null;
  'creamPercent.beforeNextRun': number | null;
  'creamPercent.stop': number | null;
  'colourRise.lookSooner': number | null;
  'colourRise.beforeNextRun': number | null;
  'colourRise.stop': number | null;
  'colourRiseDark.lookSooner': number | null;
  'colourRiseDark.beforeNextRun': number | null;
  'colourRiseDark.stop': number | null;
  'sludgePercent.lookSooner': number | null;
  'sludgePercent.beforeNextRun': number | null;
  'sludgePercent.stop': number | null;
  'thinnerPercent.lookSooner': number | null;
  'thinnerPercent.beforeNextRun': number | null;
  'thinnerPercent.stop': number | null;
  'thickerPercent.lookSooner': number | null;
  'thickerPercent.beforeNextRun': number | null;
  'thickerPercent.stop': number | null;
  'labWaterPpm.lookSooner': number | null;
  'labWaterPpm.beforeNextRun': number | null;
  'labWaterPpm.stop': number | null;
  'labWaterPpmDetergent.lookSooner': number | null;
  'labWaterPpmDetergent.beforeNextRun': number | null;
  'labWaterPpmDetergent.stop': number | null;
  'ironPpm.lookSooner': number | null;
  'ironPpm.beforeNextRun': number | null;
  'ironPpm.stop': number | null;
  'ironTimesUsual.lookSooner': number | null;
  'ironTimesUsual.beforeNextRun': number | null;
  'ironTimesUsual.stop': number | null;
  'wearIronPpm.lookSooner': number | null;
  'wearIronPpm.beforeNextRun': number | null;
  'wearIronPpm.stop': number | null;
  'acidRise.lookSooner': number | null;
  'acidRise.beforeNextRun': number | null;
  'acidRise.stop': number | null;
  'baseLostPercent.lookSooner': number | null;
  'baseLostPercent.beforeNextRun': number | null;
  'baseLostPercent.stop': number | null;
};
export type Material = {
  name: string;
  process: Process;
  /** Ratings 0-3. */
  moisture: number;
  fat: number;
  fines: number;
  solvent: number;
  acid: number;
  /** Oxygen in the gas that is pumped, percent; missing means air. */
  oxygenPercent?: number | null;
  note?: string | null;
  assumed?: readonly string[] | null;
};
export type Person = {
  name: string;
  /** Work for a specialist, such as opening the pump module. */
  maySpecialist?: boolean | null;
};
export type JarShape = {
  name: string;
  points: readonly {
    heightMm: number;
    ml: number;
  }[];
};
export type Vessel = 'can' | 'bottle' | 'jar' | 'drum' | 'filter';
export type WasteKind = 'oil' | 'oilWithSolvent' | 'pfpe' | 'chlorinated' | 'oilySolids' | 'waterWithOil';
export type Container = {
  name: string;
  vessel: Vessel;
  holdsMl: number;
  siteId: string;
  /** Where it stands, in a few words. */
  place?: string | null;
  /** Of that place; null counts as a room of 20 °C. */
  tempC?: number | null;
  jarShapeId?: string | null;
  /** Null for one that holds no waste. */
  wasteKind?: WasteKind | null;
  /** Full at so many percent of what it holds, for waste that is collected. */
  fullPercent?: number | null;
  /** Not in use any more: it leaves the shelf. */
  gone?: boolean | null;
};
export type MediaKind = 'paper' | 'spinOn' | 'depth' | 'adsorber' | 'desiccant';
export type FilterMedia = {
  name: string;
  kind: MediaKind;
  /** Soaked up by the first oil. */
  holdUpMl: number;
  /** Through clean wet media, of oil of 100 mm²/s. */
  rateMlPerH: number;
  /** Oil until it is renewed, and solids that clog it. */
  lifeL: number;
  lifeSludgeMl?: number | null;
  price?: number | null;
};
export type InstrumentTalk = 'lines' | 'modbus' | 'mqtt';
export type ChannelMeaning = 'pressure' | 'running' | 'valveOpen' | 'cycles';
export type RegisterTable = 'holding' | 'input' | 'coil' | 'discrete';
export type RegisterFormat =
  'float32' | 'float32Swapped' | 'uint16' | 'int16' | 'uint32' | 'uint32Swapped' | 'int32' | 'int32Swapped' | 'bit';
export type LogUnit =
  'hPa' | 'mbar' | 'Pa' | 'kPa' | 'Torr' | 'mTorr' | 'bar' | '\u00B5bar' | 'mPa' | 'psi' | 'inHg' | 'cmHg' | '%';
export type PressureReference = 'absolute' | 'gauge' | 'belowAmbient' | 'percentVacuum';
export type GaugeKind = 'capacitance' | 'thermal';
export type InstrumentChannel = {
  /** Its own within the instrument: its readings are kept by it. */
  key: string;
  means: ChannelMeaning;
  /** Of lines: what a line looks like, with {value}, and {unit} or {time} where it says them, and {*} for what differs. */
  pattern?: string | null;
  /** Of registers. */
  table?: RegisterTable | null;
  register?: number | null;
  format?: RegisterFormat | null;
  /** Of messages: the topic, and where in the message the value and its time stand; no path is the message itself. */
  topic?: string | null;
  path?: string | null;
  timePath?: string | null;
  /** value = sent × scale + offset, before its unit. Missing means 1 and 0. */
  scale?: number | null;
  offset?: number | null;
  /** Of a pressure that says no unit itself, and what it counts from. */
  unit?: LogUnit | null;
  reference?: PressureReference | null;
  gauge?: GaugeKind | null;
  /** A pressure outside is not believed: the gauge shows its end, or nonsense. */
  believedFromPa?: number | null;
  believedToPa?: number | null;
  /** Of what is on or off and sent as a number, a current say: on above it. Missing means 0.5. */
  onAbove?: number | null;
};
export type Instrument = {
  name: string;
  equipmentId: string;
  /** The pump that it stands at; runs are counted where it tells whether that one turns. */
  pumpId?: string | null;
  talks: InstrumentTalk;
  host: string;
  port: number;
  /** Of Modbus: 1 to 247. */
  unitId?: number | null;
  /** Of Modbus: how often it is asked. Missing means once a second. */
  everyMs?: number | null;
  /** Of a broker that asks for it. */
  user?: string | null;
  /** Of relative gauges: the height of the place. */
  altitudeM?: number | null;
  /** Of an inlet pressure that tells when a run is on: above it gas flows. Missing follows from the pump’s model. */
  loadAbovePa?: number | null;
  /** A stand-in, no real instrument: the interface says so wherever its readings stand. */
  simulated?: boolean | null;
  channels?: readonly InstrumentChannel[] | null;
};
export type ReuseSchool = 'newOnly' | 'reuse' | 'chosenPumps';
export type HouseRules = {
  limits: SparseLimits;
  oilLimits?: SparseOilLimits | null;
  /** Pump modules are opened in this house; missing means they are exchanged. */
  opensModules?: boolean | null;
  /** What an hour's work and a laboratory's report cost, in the house's money. */
  hourPrice?: number | null;
  labPrice?: number | null;
  /** Missing means new oil only. */
  reuseSchool?: ReuseSchool | null;
  /** How often an oil goes back at most, and how much new oil goes with it, percent. */
  reuseMost?: number | null;
  reuseNewPercent?: number | null;
  /** What a litre of waste costs, in the house's money. */
  wastePricePerL?: number | null;
};
export type HouseSetUp = {
  site: {
    [key: string]: Site;
  };
  equipment: {
    [key: string]: Equipment;
  };
  pumpModel: {
    [key: string]: PumpModel;
  };
  pump: {
    [key: string]: Pump;
  };
  oilProduct: {
    [key: string]: OilProduct;
  };
  material: {
    [key: string]: Material;
  };
  person: {
    [key: string]: Person;
  };
  jarShape: {
    [key: string]: JarShape;
  };
  container: {
    [key: string]: Container;
  };
  filterMedia: {
    [key: string]: FilterMedia;
  };
  instrument: {
    [key: string]: Instrument;
  };
  houseRules: {
    [key: string]: HouseRules;
  };
  [key: string]: object;
};
export type PumpSetUp = {
  pumpId: string;
  pump: Pump;
  model: PumpModel;
  site: Site;
  equipment: Equipment;
  /** The oil that it is judged by: the one that the set-up names, or the one in the sump, see  {@link  withOilIn } . */
  product: OilProduct | null;
  /** Of the pump and of its equipment. */
  service: readonly ServiceClass[];
  rules: CareRules;
  oilLimits: OilLimits;
  /** The whole house, for what an entry names (another equipment, a material, an oil product). */
  house: HouseSetUp;
};
export type OrderKey = {
  happenedAt: string;
  recordedAt: string;
  id: string;
};
export type Counts = {
  runs: number;
  /** thousandths of a weighted run */
  weightMilli: number;
  /** Running time: logged runs, and what the hour meter counted beside them. */
  minutes: number;
  /** The part of `minutes` that no run was logged for. */
  unloggedMinutes: number;
  changes: number;
};
export type Since = {
  at: string;
  /** local calendar day of the site */
  day: number;
  entryId: string | null;
  counts: Counts;
};
export type WaterSeen = {
  runs: number;
  /** Null where one of its runs could not be estimated, or nobody knows what was in the oil before. */
  expectedUl: number | null;
};
export type OpenStretch = {
  equipmentId: string | null;
  foundUl: number;
  leftUl: readonly number[];
} | null;
export type GoneStretch = {
  stretch: OpenStretch;
  /** Out of the oil before the change. */
  foundUl: number;
};
export type Draw = {
  /** Of the bleed, or of the first look at a sample. */
  id: string;
  source: 'bleed' | 'sample';
  waterUl: number;
  /** When it was drawn, as far as its reading tells. */
  filledAt: string;
  /** Hours that it had stood when its jar was read last; null where nobody has read it. */
  stood: number | null;
  /** The oil was bled or purged since: it says nothing of what is in it now. */
  stale: boolean;
};
export type GoneCharge = {
  /** What was seen in it, and what was done at the pump for it before the change. */
  answered: readonly FindingCode[];
  number: number;
  runs: number;
  startColour: number | null;
  chargeMl: number;
  waterTakenOutMl: number;
  expectedWaterMl: number | null;
  waterAnswered?: boolean;
};
export type Charge = {
  /** 0 until the first change that was logged. */
  number: number;
  since: Since;
  productId: string | null;
  filledUl: number | null;
  /** ASTM D1500 at the start: the first look at this charge, at most the fresh oil's own colour. */
  startColour: number | null;
  bledWaterUl: number;
  toppedUpUl: number;
  carriedOverRuns: number;
  /** Water of this charge that a bleed or purge and a clear look after it have answered. */
  answeredWaterUl: number;
  /** Taken out with samples since the change. */
  sampledWaterUl: number;
  /** What its runs should have left in it, and how much of that had been answered with the water found. */
  expectedWaterUl: number;
  answeredExpectedUl: number;
  /** Runs whose water could not be estimated. */
  unestimatedRuns: number;
  /** Free water and half the cream that its last look for them showed in it. */
  standingWaterUl: number;
  /** When it was last bled or looked into for water: its runs until then, and what they should have left. */
  waterSeen: WaterSeen | null;
  /** What has run since the oil was looked into, to learn about the trap from. */
  stretch: OpenStretch;
  /** Of the charge that went out, until its jar is read. */
  goneStretch: GoneStretch | null;
  bledSinceWaterSeen: boolean;
  /** A purge was done since cream or haze was seen. */
  purgedSinceSeen: boolean;
  /** The level was read between the marks, and nothing was added since. */
  levelKnown: boolean;
  /** Jars of its oil that may be read again, the last of them. */
  draws: readonly Draw[];
  /** Products that came to it by top-ups, beside its own. */
  others: readonly string[];
  /** The highest solvent rating that went through it, 0-3. */
  solvent: number;
  /** The charge before it; null for the first on record. */
  gone: GoneCharge | null;
};
export type Finding =
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'water';
      foundUl: number;
      chargeUl: number;
      limitShare: number;
      /** What decided where it was not the share that is in the oil: so much that stands, any of it under an oil that holds water up, so much drawn at once, or cream. */
      by?: 'amount' | 'heldUp' | 'drawn' | 'cream';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'waterAboveExpected';
      foundUl: number;
      expectedUl: number;
      /** Since a clear look had answered what was found before. */
      sinceAnswer?: boolean;
      limitTimes: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'waterAtPickUp';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'levelFromWater';
      foundUl: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'cream';
      creamUl: number;
      chargeUl: number;
      limitShare: number;
      afterPurge: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'creamThroughout';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'clarity';
      clarity: 'hazy' | 'cloudy' | 'opaque' | 'cream';
      hoursStood: number;
      running: boolean;
      afterPurge: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'colour';
      colour: number;
      startColour: number;
      limitRise: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'darkAgain';
      colour: number;
      startColour: number;
      runs: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'sludge';
      sludgeUl: number;
      chargeUl: number;
      limitShare: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'particles';
      amount: 'few' | 'many';
      kinds: readonly ParticleKind[];
      /** Metal in a new or overhauled pump's first hours. */
      runningIn: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'smell';
      smell: 'sour' | 'burnt' | 'solvent' | 'rancid' | 'fishy' | 'ammonia';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'foam';
      withHaze: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'level';
      found: LevelFound;
      nothingAdded: boolean;
      filled?: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'oilLost';
      where: OilWent;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'thrownOil';
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'viscosity';
      foundMm2s: number;
      freshMm2s: number;
      thinner: boolean;
      limitPercent: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'labWater';
      foundPpm: number;
      limitPpm: number;
      /** The oil's temperature at which so much stays dissolved; null for a plain number. */
      saturatedAtC: number | null;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'iron';
      abovePpm: number;
      limitPpm: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'ironRate';
      per100h: number;
      usualPer100h: number;
      limitTimes: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'silicon';
      foundPpm: number;
      usualPpm: number;
      withAluminium: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'particleCode';
      found: string;
      classesUp: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'wear';
      abovePpm: number;
      signs: readonly WearSign[];
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'acid';
      foundMgKohG: number;
      freshMgKohG: number;
      limitRise: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'base';
      foundMgKohG: number;
      freshMgKohG: number;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'otherProduct';
      beforeId: string;
      afterId: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'unknownAge';
      changedKnown: boolean;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    }
  | {
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      code: 'goneCharge';
      cause: FindingCode;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: AnsweredBy;
      /** Of two deeds that answer it, the one that was done. */
      half?: {
        done: 'oil' | 'pump';
        at: string;
      };
      /** Bled or purged since: only the look is left. */
      drainedAt?: string;
    };
export type SumpState = {
  key: SumpKey;
  charge: Charge;
  findings: readonly Finding[];
  /** Products of earlier charges, of which the pump was not stripped clean since. */
  traces: readonly string[];
  /** It was cleaned, and not filled since. */
  cleaned: {
    by: 'housingClean' | 'stripClean';
    at: string;
  } | null;
  /** Gas with more oxygen than air was pumped through it, and it was not stripped clean since. */
  oxygenAt: string | null;
};
export type RulerBar = {
  entryId: string;
  at: string;
  weightMilli: number;
  minutes: number;
  load: Load;
  /** Null where nobody has said it yet, and for what only the meter knows. */
  materialId: string | null;
  carriedOver: boolean;
  bled: boolean;
  looked: boolean;
};
export type RecentRun = {
  at: string;
  weightMilli: number;
  minutes: number;
  /** On which set, and the lowest pressure that it reached there; null where nobody noted it, or it was not let to. */
  equipmentId: string;
  lowestPa: number | null;
  /** It began before the take-over, and was not counted then. */
  beyondTakeOver?: true;
};
export type BallastUse = 'closed' | 'open' | 'purge' | 'unknown';
export type YesNo = 'yes' | 'no' | 'unknown';
export type LastRun = {
  entryId: string;
  happenedAt: string;
  equipmentId: string;
  materialId: string | null;
  minutes: number;
  cycles: number | null;
  ballast: BallastUse;
  trapTempC: number | null;
  lowestPressurePa: number | null;
  ventedBeforeStop: YesNo;
};
export type BestPressures = {
  equipmentId: string;
  firstPa: number | null;
  lowestPa: number | null;
};
export type OpenRun = {
  entryId: string;
  at: string;
  equipmentId: string;
  materialId: string | null;
};
export type MeterSegment = {
  entryId: string;
  at: string;
  /** On the meter. */
  minutes: number;
  /** Minutes of logged runs at that reading. */
  loggedMinutes: number;
  /** Logged beyond what the meter had counted by then: a run that was still going, or one logged too long. */
  aheadMinutes: number;
  /** The first reading of this meter, or since it was set back. */
  first: {
    at: string;
    minutes: number;
  };
};
export type LabReading =
  'waterPpm' | 'viscosity40Mm2s' | 'ironPpm' | 'acidMgKohG' | 'baseMgKohG' | 'siliconPpm' | 'count6PerMl';
export type SampleDrawn = {
  entryId: string;
  at: string;
  sump: SumpKey;
  label: string | null;
  chargeNumber: number;
  productId: string | null;
  /** Running time on this oil by then. */
  minutes: number;
  measured: readonly LabReading[];
};
export type IronRate = {
  chargeNumber: number;
  milliPpmPer100h: number;
};
export type LabCharge = {
  chargeNumber: number;
  siliconPpm: number | null;
  /** Of ISO 4406, at 6 and at 14 µm; null where they were not counted, or droplets were. */
  classes: readonly number[] | null;
};
export type MachineFinding =
  | {
      code: 'poorVacuum';
      where: 'pump' | 'hoseEnd' | 'chamber';
      /** The set that was pumped down; null where the pump itself was blanked off. */
      equipmentId: string | null;
      foundPa: number;
      limitPa: number;
      against: PressureLimit;
      /** Five times its target or usual, or more. */
      isFar: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      code: 'overGood';
      foundPa: number;
      limitPa: number;
      against: PressureLimit;
      phase: 'purge' | 'measure' | 'change' | 'measureNewOil';
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      code: 'toppedUpOften' | 'sealCupLeak';
      times: number;
      days: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      code: 'oilUse';
      ulPer100h: number;
      usualUlPer100h: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      code: 'levelHolds';
      goneUl: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      lookPa: number;
      renewPa: number;
      code: 'backPressure';
      overPa: number | null;
      blocked: boolean;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      code: 'runsHot';
      oilTempC: number;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      code: 'resinInOil' | 'swallowed';
      flushedAt: string | null;
      filledAt: string | null;
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    }
  | {
      code: 'grinding' | 'stiff' | 'trips' | 'louder' | 'slowStart' | 'moreCurrent' | 'hotterCase';
      entryId: string;
      at: string;
      /** The entry that drew the oil in which it was seen: a later reading of the same jar takes its place. */
      drawnId?: string;
      level: 'lookSooner' | 'beforeNextRun' | 'stop';
      act: Act;
      answeredBy: MachineAnswer;
    };
export type OilUse = {
  /** Running time when its level stood right at a filling; null where nobody has said it since. */
  markMinutes: number | null;
  addedUl: number;
  takenUl: number;
  /** Taken out since somebody read the level. */
  takenSinceLevelUl: number;
  /** Stretches that ran long enough, the newest last. */
  stretches: readonly {
    ballast: BallastUse;
    ulPer100h: number;
  }[];
  /** The last top-ups, and those of a seal cup. */
  topUps: readonly string[];
  cups: readonly string[];
};
export type TakenOver = {
  entryId: string;
  at: string;
  /** Told of the charge that it found; null where nobody counted, or what was told is of the oil before. */
  runs: number | null;
  /** No change of the oil that it found is logged. */
  onlyTold: boolean;
};
export type TrapStretch = {
  foundUl: number;
  leftUl: readonly number[];
};
export type TrapFit =
  | {
      ok: true;
      /** Median of the posterior and its 90 % interval. */
      efficiency: number;
      low: number;
      high: number;
      /** Median relative scatter of a segment about its expectation. */
      scatter: number;
      segments: number;
      /** The interval, as a ratio, is narrower than half of what was known without any data. */
      knowsEnough: boolean;
    }
  | {
      ok: boolean;
      why: 'tooFewSegments';
      segments: number;
    };
export type TrapKnown = {
  equipmentId: string;
  /** The last of them. */
  stretches: readonly TrapStretch[];
  /** Of the stretches before the charge that goes on: its own water does not explain itself. */
  fit: TrapFit | null;
};
export type OilLeft = 'out' | 'in';
export type StepSaid = {
  entryId: string;
  step: string;
  visit: number;
  at: string;
  who: string | null;
  value: number | null;
  choice: string | null;
  /** Where one was taken. */
  photoId?: string;
  /** Of the oil store, where one was said. */
  containerId?: string;
  oil: OilLeft | null;
};
export type WaitBegun = {
  entryId: string;
  step: string;
  visit: number;
  at: string;
  who: string | null;
  until: string | null;
};
export type JobState = {
  jobId: string;
  procedure: string;
  /** What else is done in the same visit. */
  with: readonly string[];
  startedAt: string;
  /** Who is at it; null where nobody said. */
  who: string | null;
  since: string;
  /** Its oil was out already. */
  foundDrained: boolean;
  /** It was opened or capped already. */
  foundNotWhole: ('open' | 'capped' | null) | ('open' | 'capped' | null);
  paused: {
    at: string;
    who: string | null;
  } | null;
  said: readonly StepSaid[];
  begun: readonly WaitBegun[];
};
export type CaseState =
  | {
      status: 'open';
      caseId: string;
      at: string;
      complaint: string;
    }
  | {
      status: 'closed';
      caseId: string;
      at: string;
      complaint: string;
      causeId: string | null;
      /** Of `totals.runs`. */
      checkAtRuns: number;
      /** What it ended: it stands again where the remedy did not hold. */
      ended: readonly MachineFinding[];
    };
export type PumpState = {
  foldVersion: number;
  pumpId: string;
  entries: number;
  last: OrderKey | null;
  totals: Counts;
  tasks: {
    look?: Since;
    bleed?: Since;
    oilChange?: Since;
    oilFilter?: Since;
    exhaustFilter?: Since;
    inletScreen?: Since;
    flush?: Since;
    boosterOil?: Since;
    sealCup?: Since;
    sealCheck?: Since;
    antiSuckback?: Since;
    vaneCheck?: Since;
    gaugeCheck?: Since;
    blankOff?: Since;
    labSample?: Since;
    bearings?: Since;
    tipSeals?: Since;
    purge?: Since;
    housingClean?: Since;
    stripClean?: Since;
  };
  /** Start of the count of tasks never done. */
  start: Since | null;
  sumps: readonly SumpState[];
  bars: readonly RulerBar[];
  collapsed: {
    runs: number;
    weightMilli: number;
    minutes: number;
  };
  recentRuns: readonly RecentRun[];
  jars: readonly JarSeen[];
  lastRun: LastRun | null;
  /** Of its last equipments, the newest last. */
  best: readonly BestPressures[];
  running: readonly OpenRun[];
  /** On the charge that goes on, oldest first. */
  notTold: readonly NotTold[];
  meter: MeterSegment | null;
  samples: readonly SampleDrawn[];
  /** Of the main oil's charges, oldest first. */
  ironRates: readonly IronRate[];
  /** Silicon and particle classes of its charges, oldest first. */
  labCharges: readonly LabCharge[];
  /** When it was new or overhauled, and the running time until then. */
  overhaul: {
    at: string;
    minutes: number;
  } | null;
  /** What the pump itself says: pressures, noise, heat, exhaust. */
  machine: readonly MachineFinding[];
  /** Blanked off, on fresh oil, Pa: the first tests, of which its good value is the median. */
  goodPa: readonly number[];
  use: OilUse;
  /** When its record began with what was told of it; null where it began with its entries. */
  takenOver: TakenOver | null;
  /** Of the equipments with a cold trap that it ran on, the newest last. */
  traps: readonly TrapKnown[];
  /** A service under way. */
  job: JobState | null;
  /** A jar of the last change that nobody has read since it can be: of that change, filled at, and readable from. */
  toRead: {
    entryId: string;
    at: string;
    fromAt: string;
  } | null;
  /** A service opened it, or capped it, and nobody has closed or freed it since. */
  notWhole: {
    how: 'open' | 'capped';
    at: string;
    who: string | null;
    jobId: string;
    /** Of the job that did. */
    procedure: string;
  } | null;
  /** Its oil was let out in a service and none filled in since. */
  drained: {
    at: string;
    who: string | null;
    jobId: string;
  } | null;
  /** Null: no case, or the last one held. */
  case: CaseState | null;
};
export type TaskStanding = {
  task: TaskId;
  limits: readonly LimitStanding[];
  /** The limit that decides: the first one reached, else the one expected first. */
  decides: LimitStanding | null;
  /** `now`: a reason of the verdict calls for it, before any limit. */
  status: 'now' | 'reached' | 'withinNextRun' | 'ok' | 'noLimit';
  sinceAt: string | null;
  /** Null: never done since the count began. */
  doneEntryId: string | null;
  forecast: DueForecast | null;
};
export type RunStream = {
  /** Days between one run's start and the next, oldest first. */
  gaps: readonly number[];
  /** How much each gap tells of the next one; together 1. */
  weights: readonly number[];
  /** Weighted mean of the gaps, and their variance. */
  mean: number;
  variance: number;
  /** As many independent gaps as the weighted ones are worth. */
  worth: number;
  /** Variance of a sum of several gaps in a row over that of as many unrelated ones: below 1 where a run that came late is followed soon. */
  ratio: number;
  /** Since the last run began. */
  sinceDays: number;
};
export type Usage = {
  /** Null with fewer than two runs, and for an idle pump. */
  runsPerDay: number | null;
  /** When its runs began; null with too few to see a pattern in. */
  stream: RunStream | null;
  /** Days since the last run began, where that is so long that nobody knows when the next one will be; null for a pump in use. */
  idleDays: number | null;
  /** Runs that are going on now. */
  running: number;
  meanWeight: number;
  weightCv: number;
  meanHours: number;
  hoursCv: number;
  /** By its hour meter; null where it was not read twice some days apart. */
  meterHoursPerDay: number | null;
};
export type LayUp = {
  why: 'idle' | 'wetOil' | 'acidOil';
  days: number;
};
export type Standing = {
  at: string;
  todayDay: number;
  verdict: VerdictLevel;
  /** Act of the worst reason; null when nothing is wanted. */
  act: Act | null;
  /** Worst first. */
  reasons: readonly Reason[];
  /** In the order in which they will be wanted. */
  tasks: readonly TaskStanding[];
  nextTask: TaskStanding | null;
  usage: Usage;
  layUp: LayUp | null;
  /** Runs of this charge that went out on oil that was due. */
  carriedOverRuns: number;
  /** On the hour meter, but not logged as runs, since the oil change. */
  unloggedMinutes: number;
};
export type EarlierCharge = {
  number: number;
  since: string;
  until: string;
  runs: number;
  hours: number;
  carriedOverRuns: number;
  bledWaterMl: number;
  lastJar: JarSeen | null;
  ruler: RunRuler;
};
export type PumpPage = {
  row: RoundRow;
  setUp: PumpSetUp;
  state: PumpState;
  standing: Standing;
  earlier: readonly EarlierCharge[];
};
export type StoryPoint = {
  entryId: string;
  at: string;
  runs: number;
  weightMilli: number;
  colour: number | null;
  /** Water found on this charge so far; null when the look said nothing about water. */
  waterUl: number | null;
  /** The verdict right after it. */
  verdict: VerdictLevel;
  jar: JarSeen;
};
export type ChargeStory = {
  number: number;
  since: string;
  /** Null for the charge that goes on. */
  until: string | null;
  productId: string | null;
  runs: number;
  weightMilli: number;
  startColour: number | null;
  points: readonly StoryPoint[];
  /** Of its last report that has them. */
  lab: {
    ironPpmPer100h?: number;
    acidRise?: number;
    baseLostPercent?: number;
    thickerPercent?: number;
    siliconPpm?: number;
    particleClass?: number;
  };
};
export type StoryMeasure =
  | 'waterMl'
  | 'colourRise'
  | 'ironPpmPer100h'
  | 'acidRise'
  | 'baseLostPercent'
  | 'thickerPercent'
  | 'siliconPpm'
  | 'particleClass';
export type Trend = {
  n: number;
  /** Mann-Kendall's S: rising pairs less falling ones. */
  s: number;
  /** Two-sided: how often chance alone would make at least so strong a row. */
  p: number;
  /** Sen's slope: per step from one value to the next. */
  slope: number;
  method: 'exact' | 'normal';
  verdict: 'rising' | 'falling' | 'none' | 'tooFew';
};
export type ChargeTrend = {
  measure: StoryMeasure;
  /** One value per ended charge that has one, oldest first. */
  values: readonly {
    number: number;
    value: number;
  }[];
  trend: Trend;
  /** From this pump's own ended charges; null while there are too few. */
  own: {
    usual: number;
    limit: number;
  } | null;
};
export type OilStory = {
  /** Oldest first; the last one goes on. */
  charges: readonly ChargeStory[];
  trends: readonly ChargeTrend[];
  /** The unused oil of what is in it now, to hold a jar against. */
  product: OilProduct | null;
};
export type Assumed = 'oilTemp' | 'ballast' | 'ballastFlow' | 'trapEfficiency' | 'productAir';
export type NotEstimated = 'trapTempMissing' | 'chamberVolumeMissing' | 'noSource';
export type RunWater =
  | {
      ok: true;
      /** Taken in, by where it comes from, g. */
      takenIn: {
        trapG: number;
        chamberG: number;
        flashG: number;
        ballastG: number;
      };
      takenInG: number;
      dryAirMol: number;
      oilTempC: number;
      /** What the air that passes could carry out, g. */
      canCarryG: number;
      /** Expected to stay in the oil, g. */
      leftG: number;
      assumed: readonly Assumed[];
    }
  | {
      ok: boolean;
      why: NotEstimated;
    };
export type WaterRun = {
  entryId: string;
  at: string;
  minutes: number;
  /** Null while nobody has said it. */
  materialId: string | null;
  water: RunWater;
};
export type WaterFound = {
  bledUl: number;
  /** Drawn with samples. */
  sampledUl: number;
  /** Seen standing in the glass since: free water and half the cream. */
  standingUl: number;
};
export type WaterBudget = {
  /** Null where a run of the charge could not be estimated. */
  expectedMl: number | null;
  expectedLowMl: number | null;
  expectedHighMl: number | null;
  foundMl: number;
  /** Found less expected, with its 90 % interval. */
  unexplainedMl: number | null;
  unexplainedLowMl: number | null;
  unexplainedHighMl: number | null;
  says: 'notEstimated' | 'asExpected' | 'more' | 'less';
  /** Where the trap's efficiency comes from. */
  basis: 'fit' | 'setUp' | 'assumed';
};
export type ExcessHint =
  | {
      code: 'meltwater';
      runs: number;
    }
  | {
      code: 'coldBallast';
      runs: number;
    }
  | {
      code: 'warmTrap';
      warmerK: number;
    }
  | {
      code: 'leak';
      leakHpaLPerS: number;
      chamberHpa: number;
      /** The best pressure logged; null where none was. */
      reachedHpa: number | null;
      excluded: boolean;
    }
  | {
      code: 'liquid';
    };
export type WaterStory = {
  since: string;
  equipmentId: string;
  hasTrap: boolean;
  runs: readonly WaterRun[];
  /** So many of them were over when the oil was last bled or looked at; the budget is of these. */
  runsSeen: number;
  found: WaterFound;
  budget: WaterBudget;
  /** Of the equipment's trap, from this pump's charges on it before this one; null where it has none. */
  fit: TrapFit | null;
  /** What an excess may be; empty without one. */
  hints: readonly ExcessHint[];
  /** A purge was done on this charge: what it took cannot be found. */
  purged: boolean;
};
export type WaterAnswer = {
  /** Null for a pump without oil. */
  story: WaterStory | null;
};
export type SessionKind = 'run' | 'sideJob' | 'aborted';
export type RunBody = {
  /** Null while nobody has said it: the run counts on the cautious side until then. */
  materialId?: string | null;
  /** Its end is not known yet; a correction with the whole run ends it. Without minutes and cycles, and it does not count yet. */
  stillRunning?: boolean | null;
  minutes?: number | null;
  cycles?: number | null;
  session: SessionKind;
  /** What was put in. */
  loadKg?: number | null;
  ballast: BallastUse;
  /** The trap’s coldest surface, as one value or read over the run; the profile wins. */
  trapTempC?: number | null;
  trapProfile?:
    | readonly {
        minutes: number;
        tempC: number;
      }[]
    | null;
  oilTempC?: number | null;
  defrostedBefore?: YesNo | null;
  drainClosed?: YesNo | null;
  inLineFilter?: YesNo | null;
  /** Reached within the first minutes that the equipment's target names. */
  firstPressurePa?: number | null;
  lowestPressurePa?: number | null;
  ventedBeforeStop: YesNo;
  /** It began before the pump was taken over, and was not among the runs that were counted then. */
  beyondTakeOver?: boolean | null;
  remark?: string | null;
};
export type Subject = {
  type: 'pump' | 'equipment' | 'case' | 'job' | 'container';
  id: string;
};
export type Precision = 'exact' | 'day' | 'unknown';
export type DrawnHow = 'atRest' | 'running';
export type ParticleAmount = 'none' | 'few' | 'many';
export type Smell = 'none' | 'sour' | 'burnt' | 'solvent' | 'rancid' | 'fishy' | 'ammonia';
export type Foam = 'none' | 'settles' | 'stays';
export type LookBody = {
  sump: SumpKey;
  source: LookSource;
  /** The entry that drew this oil: a bleed, a change, the first look at the same sample, or this look itself. */
  drawnId?: string | null;
  /** How a sample was drawn; null counts as at rest. */
  drawn?: DrawnHow | null;
  /** mL in the jar, all layers together; null for the sight glass. */
  lookedAtMl?: number | null;
  /** Hours the oil had stood; 0 in the sight glass means the pump was running. */
  hoursStood: number;
  jarTempC?: number | null;
  /** A jar of the library or of the set-up; null for any straight one. */
  jarShapeId?: string | null;
  /** Before draining, for a jar. */
  level?: Level | null;
  /** ASTM D1500, 0.5-8.0 in half steps. */
  colour?: number | null;
  clarity?: Clarity | null;
  /** Layers from the bottom; what is left of the jar is clear oil. Oil denser than water has them turned round. */
  sludgeMl?: number | null;
  freeWaterMl?: number | null;
  creamMl?: number | null;
  hazyMl?: number | null;
  particles?: ParticleAmount | null;
  particleKinds?: readonly ParticleKind[] | null;
  smell?: Smell | null;
  foam?: Foam | null;
  /** Water stands as high as the oil pick-up. */
  waterAtPickUp?: boolean | null;
  /** Oil came out of the exhaust after the first five minutes of pump-down. */
  thrownFromExhaust?: boolean | null;
  /** No oil stood in the glass before: where it had gone. */
  oilWent?: OilWent | null;
  /** SHA-256 of a photograph that was uploaded before. */
  photoId?: string | null;
  /** The container of the oil store that was read, all that is in it. */
  containerId?: string | null;
  remark?: string | null;
};
export type BleedBody = {
  sump: SumpKey;
  /** Null where nobody measured it. */
  drawnMl?: number | null;
  /** Null while nobody has read it: no water counts as taken out until then. */
  waterMl?: number | null;
  /** Of the oil store; null where nobody said. */
  intoContainerId?: string | null;
  /** As it stood afterwards; null where nobody read it. */
  levelAfter?: Level | null;
  remark?: string | null;
};
export type TopUpBody = {
  sump: SumpKey;
  productId: string;
  addedMl: number;
  /** Of the oil store; null where nobody said. */
  fromContainerId?: string | null;
  /** No oil stood in the glass before: where it had gone. */
  oilWent?: OilWent | null;
  /** Null where nobody read it: somebody is asked to look. */
  levelAfter?: Level | null;
  remark?: string | null;
};
export type OilFlushed = {
  inMl: number;
  fromContainerId?: string | null;
  /** Null where nobody measured it: all but what a drain leaves. */
  outMl?: number | null;
  intoContainerId?: string | null;
};
export type ChangeBody = {
  sump: SumpKey;
  productId: string;
  /** Null where nobody measured it. */
  outMl?: number | null;
  inMl: number;
  /** Of the oil store: what it was filled from and drained into; null where nobody said. */
  fromContainerId?: string | null;
  intoContainerId?: string | null;
  /** At which what came out was measured; null counts as 20 °C. */
  outTempC?: number | null;
  /** Fills between what came out and what went in, in their order. */
  flushed?: readonly OilFlushed[] | null;
  /** No oil stood in the glass before: where it had gone. */
  oilWent?: OilWent | null;
  /** Null where nobody read it: somebody is asked to look. */
  levelAfter?: Level | null;
  /** A jar of what came out stands to be read. */
  jarKept?: boolean | null;
  remark?: string | null;
};
export type DoneBody = {
  task: string;
  remark?: string | null;
};
export type LabSampleBody = {
  sump: SumpKey;
  drawnMl: number;
  /** What is written on the bottle. */
  label?: string | null;
  levelAfter?: Level | null;
  remark?: string | null;
};
export type LabResultBody = {
  /** Karl Fischer, ASTM D6304 */
  waterPpm?: number | null;
  /** at 40 °C, ASTM D445 */
  viscosity40Mm2s?: number | null;
  ironPpm?: number | null;
  acidMgKohG?: number | null;
  baseMgKohG?: number | null;
  siliconPpm?: number | null;
  aluminiumPpm?: number | null;
  /** Particles per mL at or above 4, 6 and 14 µm(c). */
  count4PerMl?: number | null;
  count6PerMl?: number | null;
  count14PerMl?: number | null;
  /** Entry of the sample that it reports on. */
  sampleId: string;
  wearSigns?: readonly WearSign[] | null;
  remark?: string | null;
};
export type MeterBody = {
  action: 'read' | 'replaced';
  /** On the meter; for a replacement the last reading of the old one. */
  minutes: number;
  newMinutes?: number | null;
  remark?: string | null;
};
export type TakeOverBody = {
  meterMinutes?: number | null;
  /** When the oil in it was changed; null when nobody knows. */
  oilChangedAt?: string | null;
  /** Since that change; null when nobody knows. */
  runsSince?: number | null;
  minutesSince?: number | null;
  remark?: string | null;
};
export type FoundSaid = {
  id: string;
  state: string;
  certainty: number;
};
export type MeasuredWhere = 'pump' | 'hoseEnd' | 'chamber' | 'exhaust';
export type MeasuredPressure = {
  pa: number;
  where: MeasuredWhere;
  ballast?: ('open' | 'closed' | null) | ('open' | 'closed' | null);
  /** Fresh oil was filled for it, or the oil was as it is. */
  oil?: ('fresh' | 'asIs' | null) | ('fresh' | 'asIs' | null);
  oilTempC?: number | null;
  /** By the words on it. */
  gauge?: string | null;
};
export type LogOf = 'rise' | 'pumpDown' | 'ultimate' | 'bagDrop' | 'cycles';
export type Separator = '\t' | ';' | '|' | ',' | ' ';
export type DecimalMark = '.' | ',';
export type ElapsedUnit = 'ms' | 's' | 'min' | 'h' | 'd';
export type LogSettings = {
  separator?: Separator;
  decimal?: DecimalMark;
  /** Columns are counted from 0. */
  timeColumn?: number;
  pressureColumn?: number;
  unit?: LogUnit;
  reference?: PressureReference;
  dayOrder?: 'dayFirst' | 'monthFirst';
  elapsedUnit?: ElapsedUnit;
  /** A clock of two parts is minutes and seconds. */
  minutesFirst?: boolean;
  /** IANA zone of the clock on the wall. */
  zone?: string;
  /** When the first reading was taken, where the log does not say; ISO 8601 UTC. */
  startedAt?: string;
  /** Between two rows, where they have no time. */
  stepS?: number;
  /** Of the air around the gauge, for relative readings: its pressure, or where it stands. */
  ambientPa?: number;
  altitudeM?: number;
};
export type LogVerdict =
  | 'tight'
  | 'leak'
  | 'moisture'
  | 'leakAndMoisture'
  | 'undecided'
  | 'asGood'
  | 'wornOrDirty'
  | 'restriction'
  | 'holds'
  | 'drops'
  | 'slow';
export type FigureRead = {
  p10: number;
  p50: number;
  p90: number;
};
export type JudgedLog = {
  /** SHA-256 of the file as it came. */
  logId: string;
  name?: string | null;
  of: LogOf;
  said?: LogSettings | null;
  /** Of a rise and of a pump-down always. */
  volumeL?: number | null;
  gauge: GaugeKind;
  verdict: LogVerdict;
  leakPaM3PerS?: FigureRead | null;
  moisturePa?: FigureRead | null;
  speedM3h?: FigureRead | null;
  ultimatePa?: FigureRead | null;
  /** Of a bag: what its pressure rises by in ten minutes, Pa. */
  rise10MinPa?: FigureRead | null;
  /** Of cycles: from the start of the fall to `toPa`, s. */
  pullDownS?: FigureRead | null;
  toPa?: number | null;
  /** What a bag or a pump blanked off was held to, Pa. */
  limitPa?: number | null;
};
export type TestBody = {
  /** A test of core/diagnosis; null for what was seen without one. */
  checkId?: string | null;
  /** A step of the leak hunt, and whether it passed. */
  leakStep?: string | null;
  passed?: boolean | null;
  findings: readonly FoundSaid[];
  measured?: readonly MeasuredPressure[] | null;
  log?: JudgedLog | null;
  /** SHA-256 of a photograph that was uploaded before. */
  photoId?: string | null;
  remark?: string | null;
};
export type CaseOpenedBody = {
  complaint: string;
};
export type CaseClosedBody = {
  causeId: string | null;
  remedy: string;
  /** Runs after which somebody looks whether it held. */
  checkAfterRuns: number;
  remark?: string | null;
};
export type CaseCheckedBody = {
  /** Where it did not, the case is open again. */
  held: boolean;
  remark?: string | null;
};
export type JobStartedBody = {
  /** A procedure of core/service. */
  procedure: string;
  /** Others that are done in the same visit. */
  with?: readonly string[] | null;
  remark?: string | null;
};
export type StepPhase = 'begun' | 'done';
export type PumpLeft = 'open' | 'capped' | 'closed';
export type JobStepBody = {
  step: string;
  /** The how manieth time the guide came to it, from 1. */
  visit: number;
  phase: StepPhase;
  /** Of a wait that was begun: when it ends. */
  until?: string | null;
  /** mL, °C or Pa, as the step asks for; null where it was not measured. */
  value?: number | null;
  /** The id of what was chosen; of a fill with another oil than before, that oil's. */
  choice?: string | null;
  /** Of the oil store: what was filled from, or drained into. */
  containerId?: string | null;
  /** SHA-256 of a photograph that was uploaded before. */
  photoId?: string | null;
  oil?: OilLeft | null;
  pump?: PumpLeft | null;
};
export type JobMove = 'paused' | 'resumed' | 'handedOver';
export type JobMovedBody = {
  how: JobMove;
  /** Handed over: the person who goes on. */
  to?: string | null;
  /** Handed over: the next one hung their own lock before the first took theirs off. */
  locksChanged?: boolean | null;
  remark?: string | null;
};
export type JobEnd = 'done' | 'givenUp';
export type PartUsed = {
  place: string;
  part: string | null;
};
export type JobEndedBody = {
  how: JobEnd;
  parts?: readonly PartUsed[] | null;
  /** How long hands were at it. */
  workedMinutes?: number | null;
  remark?: string | null;
};
export type Outside = 'bought' | 'notSaid' | 'spill' | 'carrier';
export type TransferBody = {
  /** Clear and hazy oil together. */
  oilMl: number;
  waterMl?: number | null;
  creamMl?: number | null;
  sludgeMl?: number | null;
  /** A container; null where it comes from outside. */
  fromId?: string | null;
  toId?: string | null;
  /** The end that is no container; null between two containers. */
  outside?: Outside | null;
  /** Of oil that comes from outside. */
  productId?: string | null;
  /** As it stands on the can. */
  batch?: string | null;
  /** At which it was measured; null counts as 20 °C. */
  tempC?: number | null;
  /** Nobody measured it. */
  estimated?: boolean | null;
  /** Out of a filter: how long it took from the pour until it had run through, where somebody timed it. */
  throughHours?: number | null;
  /** Of a collection: who took it, and the number of its note. */
  carrier?: string | null;
  noteNumber?: string | null;
  remark?: string | null;
};
export type StocktakeBody = {
  /** Clear and hazy oil together. */
  oilMl: number;
  waterMl?: number | null;
  creamMl?: number | null;
  sludgeMl?: number | null;
  /** Of the oil, what is not clear. */
  hazyMl?: number | null;
  tempC?: number | null;
  clarity?: Clarity | null;
  /** ASTM D1500, 0.5-8.0 in half steps. */
  colour?: number | null;
  smell?: Smell | null;
  particleKinds?: readonly ParticleKind[] | null;
  remark?: string | null;
};
export type OpenedBody = {
  remark?: string | null;
};
export type MediaChangeBody = {
  /** Of the library or of the house; null where the filter stands without from now on. */
  mediaId?: string | null;
  /** What the new media soaks up, as its record says it. */
  holdUpMl: number;
  /** Caught from the old one, and the container that it went into. */
  recoveredMl?: number | null;
  recoveredIntoId?: string | null;
  price?: number | null;
  remark?: string | null;
};
export type NoteBody = {
  text: string;
};
export type Entry =
  | {
      kind: 'run';
      body: RunBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'look';
      body: LookBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'bleed';
      body: BleedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'topUp';
      body: TopUpBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'change';
      body: ChangeBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'done';
      body: DoneBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'labSample';
      body: LabSampleBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'labResult';
      body: LabResultBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'meter';
      body: MeterBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'takeOver';
      body: TakeOverBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'test';
      body: TestBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'caseOpened';
      body: CaseOpenedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'caseClosed';
      body: CaseClosedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'caseChecked';
      body: CaseCheckedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'jobStarted';
      body: JobStartedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'jobStep';
      body: JobStepBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'jobMoved';
      body: JobMovedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'jobEnded';
      body: JobEndedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'transfer';
      body: TransferBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'stocktake';
      body: StocktakeBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'opened';
      body: OpenedBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'mediaChange';
      body: MediaChangeBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: 'note';
      body: NoteBody;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    }
  | {
      kind: string;
      body: any;
      /** UUID made by the client. */
      id: string;
      /** Entries of one deed share it; they are written and undone together. */
      actId: string;
      subjects: readonly Subject[];
      happenedAt: string;
      /** IANA zone of the site. */
      zone: string;
      precision: Precision;
      recordedAt: string;
      who?: string | null;
      device?: string | null;
      /** Codes of the soft questions the person has answered with yes. */
      acknowledged: readonly string[];
      /** At which its body was written, see body-version.ts. */
      bodyVersion: number;
      /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
      clockAheadS?: number | null;
    };
export type JournalLine = {
  entry: Entry;
  correctionId: string | null;
  /** Two corrections saw the same predecessor: someone should look. */
  contradicted: boolean;
};
export type JournalPage = {
  lines: readonly JournalLine[];
  /** Entry id to ask from for older lines; null at the end. */
  before: string | null;
};
export type TakenBackLine = {
  entry: Entry;
  takenBackAt: string;
  takenBackBy: string | null;
};
export type TakenBack = {
  lines: readonly TakenBackLine[];
};
export type JobAnswer = {
  entries: readonly Entry[];
};
export type PersonKind = 'specialist' | 'technician';
export type ServiceTime = {
  procedure: string;
  modelId: string;
  kind: PersonKind;
  minutes: readonly number[];
};
export type ServiceTimes = {
  times: readonly ServiceTime[];
};
export type StepTimes = {
  steps: readonly {
    step: string;
    minutes: readonly number[];
  }[];
};
export type CorrectionBody = {
  targetId: string;
  /** The correction that its writer saw in force, null for the original. Two that name the same are flagged. */
  supersedes: string | null;
  /** All corrections of the entry that its writer saw; with `setAside` those that it leaves out. */
  saw?: readonly string[] | null;
  /** `setAside`: corrections that do not count are left out for good, and the entry stays as it is. */
  action: 'void' | 'replace' | 'setAside';
  /** With `replace`: the full new body, of the original's kind. */
  body?:
    | RunBody
    | LookBody
    | BleedBody
    | TopUpBody
    | ChangeBody
    | DoneBody
    | LabSampleBody
    | LabResultBody
    | MeterBody
    | TakeOverBody
    | TestBody
    | CaseOpenedBody
    | CaseClosedBody
    | CaseCheckedBody
    | JobStartedBody
    | JobStepBody
    | JobMovedBody
    | JobEndedBody
    | TransferBody
    | StocktakeBody
    | OpenedBody
    | MediaChangeBody
    | NoteBody
    | any
    | null;
  /** With `replace`: when it really happened; null keeps the original's. */
  happenedAt?: string | null;
};
export type Correction = {
  kind: 'correction';
  body: CorrectionBody;
  /** UUID made by the client. */
  id: string;
  /** Entries of one deed share it; they are written and undone together. */
  actId: string;
  subjects: readonly Subject[];
  happenedAt: string;
  /** IANA zone of the site. */
  zone: string;
  precision: Precision;
  recordedAt: string;
  who?: string | null;
  device?: string | null;
  /** Codes of the soft questions the person has answered with yes. */
  acknowledged: readonly string[];
  /** At which its body was written, see body-version.ts. */
  bodyVersion: number;
  /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
  clockAheadS?: number | null;
};
export type FieldIssue = {
  field: string;
  value: any;
  code: string;
  right: string;
};
export type UnsettledLine = {
  correction: Correction;
  /** Why an entry that was kept does not count. One without a word of this counts. */
  unsettled:
    | {
        state: 'waits';
      }
    | {
        state: 'toSettle';
        issues: readonly FieldIssue[];
      };
  /** As it was first written; null while it is not here. */
  original: Entry | null;
  /** The original counts; it does not where it was taken back. */
  counts: boolean;
};
export type NotInto = 'newOnly' | 'notChosen' | 'service' | 'rounds' | 'otherProduct';
export type UnusualReading = {
  least: number;
  most: number;
  /** Those whose unit a person picks, and units that stand as they are. */
  quantity:
    | 'temperature'
    | 'pressure'
    | 'volume'
    | 'duration'
    | 'cycles'
    | 'kg'
    | 'h'
    | 'runs'
    | 'ppm'
    | 'mm\u00B2/s'
    | 'mg KOH/g'
    | 'per mL';
  field: string;
  value: number;
};
export type Question =
  | {
      code: 'changedAlready';
      otherEntryId: string;
      otherAt: string;
    }
  | {
      code: 'overlap';
      otherEntryId: string;
      otherFrom: string;
      otherUntil: string;
    }
  | {
      code: 'drained';
      drainedAt: string;
    }
  | {
      code: 'notWhole';
      how: 'open' | 'capped';
      sinceAt: string;
    }
  | {
      code: 'startedDrained';
      drainedAt: string;
    }
  | {
      code: 'startedNotWhole';
      how: 'open' | 'capped';
      sinceAt: string;
    }
  | {
      code: 'jobUnderWay';
      procedure: string;
      startedAt: string;
    }
  | {
      code: 'takenOver';
      takenOverAt: string;
      runs: number;
    }
  | {
      code: 'unfitOil';
      unfit: Unfit;
      productId: string | null;
    }
  | {
      code: 'retired';
    }
  | {
      code: 'airOnSolvent';
    }
  | {
      code: 'drainAboveCharge';
      outMl: number;
      chargeMl: number;
    }
  | {
      code: 'aboveAssumedHousing';
      ml: number;
      holdsMl: number;
    }
  | {
      code: 'meterBackwards';
      beforeMinutes: number;
      beforeAt: string;
    }
  | {
      code: 'meterTooFast';
      beforeMinutes: number;
      beforeAt: string;
    }
  | {
      code: 'moreThanThere';
      containerId: string;
      bookMl: number;
      missingMl: number;
    }
  | {
      code: 'overfull';
      containerId: string;
      ml: number;
      holdsMl: number;
    }
  | {
      code: 'mixesProducts';
      containerId: string;
      productIds: readonly string[];
    }
  | {
      code: 'otherOil';
      containerId: string;
      productIds: readonly string[];
      unfit: Unfit | null;
    }
  | {
      code: 'usedOil';
      containerId: string;
      why: NotInto | 'refused';
    }
  | {
      code: 'unusual';
      readings: readonly UnusualReading[];
    };
export type EntryHistory = {
  original: Entry;
  /** What has a say: not what does not count, nor the words by which it was set aside. */
  corrections: readonly Correction[];
  /** Corrections that do not count yet. */
  unsettled: readonly UnsettledLine[];
  counts: Entry | null;
  /** Why it does not count yet, though nobody took it back; empty where that is not so. */
  asks: readonly Question[];
  /** All entries of the same deed that still count; they are taken back together. */
  actEntryIds: readonly string[];
  contradicted: boolean;
};
export type PumpOnEquipment = {
  pumpId: string;
  runs: number;
  minutes: number;
  lastAt: string;
};
export type EquipmentState = {
  foldVersion: number;
  equipmentId: string;
  entries: number;
  last: OrderKey | null;
  /** Runs on it by whatever pump, and their hours; a run of two pumps is one. */
  runs: number;
  minutes: number;
  /** All that an entry named beside it, the newest last. */
  pumps: readonly PumpOnEquipment[];
  lastRun: {
    entryId: string;
    at: string;
    pumpIds: readonly string[];
    /** Null while nobody has said it. */
    materialId: string | null;
    minutes: number;
  } | null;
  /** Its own hour meter, as last read. */
  meter: {
    entryId: string;
    at: string;
    minutes: number;
  } | null;
  /** How the pressure rose when it was last tested closed: a state of the finding `rateOfRise`. */
  lastRise: {
    entryId: string;
    at: string;
    state: string;
  } | null;
};
export type EquipmentPage = {
  equipmentId: string;
  equipment: Equipment;
  site: Site;
  state: EquipmentState;
  /** Pumps that stand at it by the set-up. */
  standsHere: readonly string[];
  journal: JournalPage;
  /** For the names of what entries are about. */
  house: HouseSetUp;
};
export type VacuumSeriesOf = 'leak' | 'moisture' | 'chamber' | 'blankOff' | 'speed' | 'bagRise' | 'pullDown';
export type VacuumPoint = {
  entryId: string;
  at: string;
  pumpId: string | null;
  value: number;
  /** Null of a reading that nobody fitted. */
  range: FigureRead | null;
  /** None was found: it is not more than this. */
  atMost: boolean;
};
export type VacuumTrend = {
  goes: 'worse' | 'better' | 'none' | 'tooFew';
  /** From one test to the next: 0.08 is 8 % more. */
  perTestShare: number;
  /** The first test since the set was last mended. */
  sinceAt: string | null;
  tests: number;
};
export type VacuumSeries = {
  of: VacuumSeriesOf;
  /** The oldest first; one at least. */
  points: readonly VacuumPoint[];
  limit: number | null;
  /** The last one against the limit; null where none is known. */
  stands: ('within' | 'outside' | null) | ('within' | 'outside' | null);
  /** Of the last one among all: 1 is the best. */
  standing: {
    place: number;
    of: number;
  };
  best: number;
  trend: VacuumTrend;
};
export type VacuumMended = {
  entryId: string;
  at: string;
  remedy: string;
};
export type VacuumRecord = {
  series: readonly VacuumSeries[];
  mended: readonly VacuumMended[];
};
export type VacuumAnswer = {
  equipmentId: string;
  equipment: Equipment;
  site: Site;
  /** That stands at it now, in service before others; its limits are the set's. */
  pumpId: string | null;
  record: VacuumRecord;
  /** For the names of what tests are about. */
  house: HouseSetUp;
};
export type EntryKind = string;
export type SaidLine = {
  id: string;
  state: string;
  at: string;
  entryId: string;
  /** `setUp`: a record of it, whose kind and id stand for the entry's, `site/…`. */
  kind: EntryKind | 'setUp';
  /** How sure it was then, from 0 to 1. */
  sure: number;
};
export type EvidenceLine = {
  id: string;
  state: string;
  at: string;
  entryId: string;
  /** `setUp`: a record of it, whose kind and id stand for the entry's, `site/…`. */
  kind: EntryKind | 'setUp';
  /** How sure it was then, from 0 to 1. */
  sure: number;
  /** How much it still says, from 0 to 1. */
  certainty: number;
  /** What had been said before and is overruled. */
  before: SaidLine | null;
};
export type LikelyCause = {
  id: string;
  probability: number;
  prior: number;
  contributions: readonly {
    finding: string;
    state: string;
    weight: number;
    because: string | null;
  }[];
  /** What held before anything was found, then finding by finding. */
  steps: readonly {
    finding: string | null;
    state: string | null;
    probability: number;
  }[];
};
export type ProposedCheck = {
  id: string;
  /** What of it is not known yet and may be asked for here. */
  settles: readonly string[];
  bits: number;
  effort: number;
  outcomes: readonly {
    finding: string;
    state: string;
    probability: number;
    top: {
      cause: string;
      probability: number;
    };
  }[];
};
export type CaseLine = {
  caseId: string;
  pumpId: string;
  complaint: string;
  openedAt: string;
  /** Null while it is open. */
  closedAt: string | null;
  causeId: string | null;
  remedy: string | null;
  /** Whether the remedy held; null while nobody has checked. */
  held: boolean | null;
};
export type DiagnosisAnswer = {
  process: Process;
  /** Of each cause, before anything is found. */
  priors: {
    [key: string]: number;
  };
  /** The surest first. */
  evidence: readonly EvidenceLine[];
  /** Known once, too long ago to say anything. */
  faded: readonly EvidenceLine[];
  /** The likeliest first. */
  causes: readonly LikelyCause[];
  /** Probability that none of the causes is at work. */
  nothing: number;
  undecided: boolean;
  /** Those that tell most for what they take first. */
  checks: readonly ProposedCheck[];
  /** The open case, or a closed one that is to be checked. */
  case: CaseLine | null;
  /** Tests and things seen since the case was opened, the oldest first; without a case those of two weeks. */
  tried: readonly {
    kind: 'test';
    body: TestBody;
    /** UUID made by the client. */
    id: string;
    /** Entries of one deed share it; they are written and undone together. */
    actId: string;
    subjects: readonly Subject[];
    happenedAt: string;
    /** IANA zone of the site. */
    zone: string;
    precision: Precision;
    recordedAt: string;
    who?: string | null;
    device?: string | null;
    /** Codes of the soft questions the person has answered with yes. */
    acknowledged: readonly string[];
    /** At which its body was written, see body-version.ts. */
    bodyVersion: number;
    /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
    clockAheadS?: number | null;
  }[];
  /** Closed cases of this pump, the newest first. */
  past: readonly CaseLine[];
  /** Confirmed causes that have shifted the shares before anything is found. */
  counted: {
    thisPump: number;
    sameKind: number;
  };
};
export type MaterialRate = {
  materialId: string;
  runs: number;
  /** Stretches with it in which the sign came about. */
  came: number;
  /** Per run, drawn towards the house's usual rate where there are few runs; 10, 50 and 90 %. */
  p10: number;
  p50: number;
  p90: number;
  /** Its rate is above the house's usual one, nine times in ten, and by more than an anecdote or two. */
  standsOut: boolean;
  /** Clean runs in a row of it alone that would clear it, four times in five. */
  runsToClear: number;
};
export type Suspects = {
  /** Per run, over all materials. */
  usualRate: number;
  stretches: number;
  /** The most suspect first. */
  materials: readonly MaterialRate[];
};
export type SuspectsAnswer = {
  /** Readings from then on are counted. */
  since: string;
  dark: Suspects;
  water: Suspects;
  /** Names of the materials; one that was deleted has none. */
  names: {
    [key: string]: string;
  };
};
export type CaseAnswer = {
  case: CaseLine;
  setUp: PumpSetUp;
  entries: readonly Entry[];
};
export type Unsettled =
  | {
      state: 'waits';
    }
  | {
      state: 'toSettle';
      issues: readonly FieldIssue[];
    }
  | {
      state: 'aside';
    }
  | {
      state: 'asks';
      questions: readonly Question[];
    };
export type EntryAnswer =
  | {
      id: string;
      status: 'written' | 'alreadyWritten';
      seq: number;
    }
  | {
      id: string;
      status: 'kept';
      seq: number;
      unsettled: Unsettled;
    }
  | {
      id: string;
      status: 'conflict';
      stored: any;
      sent: any;
    }
  | {
      id: string;
      status: 'asked';
      questions: readonly Question[];
    }
  | {
      id: string | null;
      status: 'refused';
      issues: readonly FieldIssue[];
    }
  | {
      id: string;
      status: 'heldBack';
    }
  | {
      id: string;
      status: 'failed';
      right: string;
    };
export type EntriesAnswer = {
  answers: readonly EntryAnswer[];
  /** Numbers of the changes that this made, see `Change`: whoever wrote knows them already. */
  changes: readonly number[];
};
export type JournalEntry = Entry | Correction;
export type EntriesPost = {
  entries: readonly JournalEntry[];
  /** They waited on a device for a connection: nobody is there to be asked, so what is in doubt is kept and settled later. */
  waited?: boolean;
};
export type PumpEffect = {
  pumpId: string;
  name: string;
  before: RoundRow | null;
  after: RoundRow | null;
  runsBefore: number;
  runsAfter: number;
  hoursBefore: number;
  hoursAfter: number;
  weightBefore: number;
  weightAfter: number;
};
export type EntriesEffect = {
  answers: readonly EntryAnswer[];
  effects: readonly PumpEffect[];
};
export type AskedLine = {
  /** As they would count. */
  entries: readonly Entry[];
  questions: readonly Question[];
  /** What counts meanwhile and says otherwise. */
  others: readonly Entry[];
};
export type UnsettledAnswer = {
  at: string;
  /** The oldest first. */
  asked: readonly AskedLine[];
  /** Corrections, the oldest first. */
  lines: readonly UnsettledLine[];
  /** All there are, where the lines are not all of them. */
  total: number;
};
export type UsualMaterial = {
  materialId: string;
  /** It went in on so many of the last such weekdays; both null where only the last run speaks for it. */
  times: number | null;
  ofTimes: number | null;
};
export type UntoldRun = {
  pumpId: string;
  equipmentId: string;
  zone: string;
  entry: {
    kind: 'run';
    body: RunBody;
    /** UUID made by the client. */
    id: string;
    /** Entries of one deed share it; they are written and undone together. */
    actId: string;
    subjects: readonly Subject[];
    happenedAt: string;
    /** IANA zone of the site. */
    zone: string;
    precision: Precision;
    recordedAt: string;
    who?: string | null;
    device?: string | null;
    /** Codes of the soft questions the person has answered with yes. */
    acknowledged: readonly string[];
    /** At which its body was written, see body-version.ts. */
    bodyVersion: number;
    /** By how many seconds the device's clock was ahead of the server's, where that was found out later: its times stand here put right, and were written as so much later. */
    clockAheadS?: number | null;
  };
  /** By the habit of its equipment; null where nothing is known of it. */
  usual: UsualMaterial | null;
};
export type UntoldAnswer = {
  at: string;
  /** The newest first. */
  runs: readonly UntoldRun[];
};
export type SetUpAnswer = {
  at: string;
  /** What an edit sends back as If-Match. */
  tag: string;
  house: HouseSetUp;
};
export type SetUpPosted = {
  written: number;
  issues: readonly FieldIssue[];
};
export type SetUpVersion =
  | {
      id: string;
      kind: 'site';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: Site;
    }
  | {
      id: string;
      kind: 'equipment';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: Equipment;
    }
  | {
      id: string;
      kind: 'pumpModel';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: PumpModel;
    }
  | {
      id: string;
      kind: 'pump';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: Pump;
    }
  | {
      id: string;
      kind: 'oilProduct';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: OilProduct;
    }
  | {
      id: string;
      kind: 'material';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: Material;
    }
  | {
      id: string;
      kind: 'person';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: Person;
    }
  | {
      id: string;
      kind: 'jarShape';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: JarShape;
    }
  | {
      id: string;
      kind: 'container';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: Container;
    }
  | {
      id: string;
      kind: 'filterMedia';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: FilterMedia;
    }
  | {
      id: string;
      kind: 'instrument';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: Instrument;
    }
  | {
      id: string;
      kind: 'houseRules';
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: HouseRules;
    }
  | {
      id: string;
      kind: string;
      subjectId: string;
      validFrom: string;
      recordedAt: string;
      body: any;
    };
export type SetUpPost = {
  versions: readonly SetUpVersion[];
};
export type SetUpKind = string;
export type RecordHistory = {
  kind: SetUpKind;
  subjectId: string;
  versions: readonly SetUpVersion[];
  inForceId: string;
  /** Pumps with entries that the record bears upon. */
  usedByPumps: readonly string[];
};
export type SetUpEffect = {
  issues: readonly FieldIssue[];
  /** Of the pumps looked at so far. */
  effects: readonly PumpEffect[];
  /** How much was looked at, from 0 to 1. */
  progress: number;
  /** Where the rest is asked for; null when all is here. */
  id: string | null;
};
export type SetUpRemoved = {
  removed: number;
};
export type SetUpRemove = {
  records: readonly {
    kind: SetUpKind;
    id: string;
  }[];
};
export type SetUpFileRecord =
  | {
      kind: 'site';
      id: string;
      seen?: string | null;
      body: Site;
    }
  | {
      kind: 'equipment';
      id: string;
      seen?: string | null;
      body: Equipment;
    }
  | {
      kind: 'pumpModel';
      id: string;
      seen?: string | null;
      body: PumpModel;
    }
  | {
      kind: 'pump';
      id: string;
      seen?: string | null;
      body: Pump;
    }
  | {
      kind: 'oilProduct';
      id: string;
      seen?: string | null;
      body: OilProduct;
    }
  | {
      kind: 'material';
      id: string;
      seen?: string | null;
      body: Material;
    }
  | {
      kind: 'person';
      id: string;
      seen?: string | null;
      body: Person;
    }
  | {
      kind: 'jarShape';
      id: string;
      seen?: string | null;
      body: JarShape;
    }
  | {
      kind: 'container';
      id: string;
      seen?: string | null;
      body: Container;
    }
  | {
      kind: 'filterMedia';
      id: string;
      seen?: string | null;
      body: FilterMedia;
    }
  | {
      kind: 'instrument';
      id: string;
      seen?: string | null;
      body: Instrument;
    }
  | {
      kind: 'houseRules';
      id: string;
      seen?: string | null;
      body: HouseRules;
    }
  | {
      kind: string;
      id: string;
      seen?: string | null;
      body: any;
    };
export type SetUpFile = {
  format: 'winter-jar-set-up';
  version: 1;
  exportedAt?: string;
  records: readonly SetUpFileRecord[];
};
export type SetUpFileRow = {
  place: number;
  kind: string;
  id: string;
  name: string;
  status: 'new' | 'changed' | 'same' | 'conflicting' | 'refused';
  /** Fields that differ from the record in force. */
  fields: readonly string[];
  issues: readonly FieldIssue[];
};
export type SetUpFileResult = {
  rows: readonly SetUpFileRow[];
  /** Set when the file as a whole cannot be read. */
  fileIssue: FieldIssue | null;
  written: number;
};
export type SetUpFilePreview = {
  rows: readonly SetUpFileRow[];
  /** Set when the file as a whole cannot be read. */
  fileIssue: FieldIssue | null;
};
export type ImportName = 'runs' | 'looks' | 'changes' | 'pours' | 'stocktakes' | 'notebook';
export type LogImportState =
  'reading' | 'ready' | 'writing' | 'done' | 'takingBack' | 'cancelled' | 'undone' | 'failed';
export type RefusedRow = {
  line: number;
  pump: string;
  /** When it happened, as the row says. */
  when: string;
  issues: readonly FieldIssue[];
};
export type LogImportAnswer = {
  id: string;
  log: ImportName;
  state: LogImportState;
  /** What is done of its present state, from 0 to 1. */
  progress: number;
  rows: number;
  fresh: number;
  unchanged: number;
  refused: number;
  written: number;
  /** Entries that were written and can still be taken back together. */
  canBeUndone: boolean;
  /** The first of the refused rows; the report of refused rows has them all. */
  firstRefused: readonly RefusedRow[];
  /** Set when the file as a whole cannot be read. */
  fileIssue: FieldIssue | null;
};
export type LogText = string;
export type LogContents = {
  entries: number;
  /** The last months that have any, "2031-03", the newest first. */
  months: readonly string[];
  pumps: readonly {
    pumpId: string;
    entries: number;
    /** In the order of `months`. */
    byMonth: readonly number[];
  }[];
};
export type WriteLogImport = {
  goodRowsOnly: boolean;
};
export type LogImportEffect = {
  effects: readonly PumpEffect[] | null;
};
export type BackupContents = {
  pumps: number;
  entries: number;
  lastRecordedAt: string | null;
};
export type RestoreCheck = {
  issue: FieldIssue | null;
  uploadId: string | null;
  madeAt: string | null;
  inFile: BackupContents | null;
  present: BackupContents;
};
export type RestoreProgress = {
  /** From 0 to 1; null where none is going on. */
  progress: number | null;
};
export type RestoreResult = {
  /** Where the data that stood here before is kept. */
  keptAs: string;
  now: BackupContents;
};
export type RestorePost = {
  uploadId: string;
};
export type KeptData = {
  name: string;
  bytes: number;
  keptAt: string;
};
export type KeptAnswer = {
  /** The newest first. */
  kept: readonly KeptData[];
};
export type KeptPost = {
  name: string;
};
export type JournalFileResult = {
  issue: FieldIssue | null;
  /** Line of the issue, counted from 1. */
  line: number | null;
  setUpVersions: number;
  entries: number;
};
export type DownloadName = 'backup' | 'everything' | 'runs' | 'looks' | 'changes' | 'pours' | 'stocktakes';
export type DownloadState = 'preparing' | 'ready' | 'gone' | 'failed';
export type DownloadAnswer = {
  id: string;
  what: DownloadName;
  state: DownloadState;
  /** What is done of it, from 0 to 1. */
  progress: number;
  fileName: string;
  /** Null until it is ready. */
  bytes: number | null;
  /** Why it could not be made. */
  problem: ('diskFull' | 'dataReplaced' | 'internal' | null) | ('diskFull' | 'dataReplaced' | 'internal' | null);
};
export type DownloadPost = {
  what: DownloadName;
};
export type PhotoKept = {
  /** SHA-256 of what is kept. */
  photoId: string;
  width: number;
  height: number;
};
export type PhotoBytes = string;
export type GaugeLogKept = {
  /** SHA-256 of the file. */
  logId: string;
  bytes: number;
};
export type GaugeLogBytes = string;
export type InstrumentState = 'notConnected' | 'connecting' | 'live' | 'silent' | 'lost';
export type LostReason =
  'refused' | 'unknownName' | 'noAnswer' | 'unreachable' | 'closed' | 'notLetIn' | 'flood' | 'failed';
export type InstrumentTrouble = 'tooMany' | 'lineTooLong' | 'messageTooLong' | 'registerRefused' | 'clockWrong';
export type RawReading =
  | {
      kind: 'line';
      line: string;
    }
  | {
      kind: 'registers';
      table: RegisterTable;
      register: number;
      words: readonly number[];
    }
  | {
      kind: 'message';
      topic: string;
      payload: string;
    };
export type ReadingIssueCode =
  | 'notThisLine'
  | 'badPattern'
  | 'notANumber'
  | 'overflow'
  | 'noUnit'
  | 'unknownUnit'
  | 'notBelieved'
  | 'belowNothing'
  | 'tooFewWords'
  | 'notJson'
  | 'noSuchPath';
export type ChannelNow = {
  key: string;
  /** The last that was believed; null while there is none. */
  atMs: number | null;
  value: number | null;
  /** What was wrong with the last that came, where it was not believed. */
  issue: {
    code: ReadingIssueCode;
    found: string;
    atMs: number;
  } | null;
};
export type InstrumentStatus = {
  state: InstrumentState;
  /** Of this state; of a silent or lost one when it was last heard. Null where it never was. */
  sinceMs: number | null;
  reason: LostReason | null;
  trouble: {
    code: InstrumentTrouble;
    found: string;
    atMs: number;
  } | null;
  perSecond: number;
  /** The last things that came, the newest first. */
  raw: readonly {
    atMs: number;
    raw: RawReading;
  }[];
  channels: readonly ChannelNow[];
};
export type InstrumentNow = {
  id: string;
  instrument: Instrument;
  hasPassword: boolean;
  status: InstrumentStatus;
};
export type InstrumentsAnswer = {
  nowMs: number;
  instruments: readonly InstrumentNow[];
};
export type InstrumentConnect = {
  /** Of its broker; null keeps the one that is known. It stays with the server and leaves in no file. */
  password?: string | null;
};
export type ReadingsAnswer = {
  key: string;
  fromMs: number;
  toMs: number;
  /** Of all, before they were thinned. */
  count: number;
  atMs: readonly number[];
  value: readonly number[];
};
export type ReadingsRecorded = {
  logId: string;
  bytes: number;
  name: string;
  readings: number;
};
export type ReadingsRecord = {
  key: string;
  fromMs: number;
  toMs: number;
};
export type SubjectRef = {
  type: string;
  id: string;
};
export type Phase = 'sludge' | 'water' | 'cream' | 'oil';
export type Part = {
  phase: Phase;
  /** The entry that brought it into the house; null: nobody said where it came from. */
  lot: string | null;
  productId: string | null;
  /** How often it has come out of a pump: 0 for new oil. */
  rounds: number;
  /** How often it went through a filter since. */
  passes: number;
  uL: number;
};
export type Stay = {
  pumpId: string;
  /** Null where nobody has said when it was filled. */
  from: string | null;
  until: string;
  /** The bleed or change that let it out. */
  outId: string;
  by: 'bleed' | 'change' | 'labSample';
};
export type Marks = {
  /** Services that it did. */
  services: readonly ServiceClass[];
  smells: readonly Smell[];
  particleKinds: readonly ParticleKind[];
  /** The latest stays in pumps, oldest first. */
  stays: readonly Stay[];
  /** Lots that are in it as traces without a name. */
  older: readonly string[];
};
export type StoodReading = {
  entryId: string;
  at: string;
  hazyUL: number;
  clarity: Clarity | null;
  colour: number | null;
};
export type FilterPass = {
  pouredUL: number;
  heldUL: number;
  sludgeUL: number;
};
export type TimedPass = {
  pouredUL: number;
  heldUL: number;
  sludgeUL: number;
  hours: number;
  productId: string | null;
};
export type MediaState = {
  mediaId: string;
  since: string;
  holdUpUL: number;
  /** Soaked up; it comes back only in part when the media is changed. */
  held: readonly Part[];
  /** Oil that went through. */
  passedUL: number;
  sludgeUL: number;
  waterUL: number;
  /** What runs through now. */
  pass: FilterPass | null;
  /** The latest that were timed, with this media or one like it before. */
  timed: readonly TimedPass[];
};
export type AccountState = {
  /** Of its projection, when it was folded. */
  foldVersion: number;
  entries: number;
  /** Key of the last entry folded in. */
  last: OrderKey | null;
  subject: SubjectRef;
  parts: readonly Part[];
  marks: Marks;
  reading: StoodReading | null;
  /** When something was poured in last, and when oil was first in it since it was empty. */
  filledAt: string | null;
  heldSince: string | null;
  openedAt: string | null;
  /** Something in it was not measured. */
  estimated: boolean;
  /** Taken out beyond what was in the book: the book is short of so much that nobody said. */
  shortUL: number;
  media: MediaState | null;
};
export type ShelfGroup =
  'new' | 'settling' | 'toRead' | 'toPour' | 'toFilter' | 'filter' | 'ready' | 'refused' | 'spent' | 'waste' | 'empty';
export type Layer = {
  phase: Phase | 'hazy';
  ml: number;
};
export type Blend = {
  oilMl: number;
  /** Products in it, the most first; a trace under a thousandth is none. */
  productIds: readonly string[];
  /** Of the main product, 0-1. */
  purity: number;
  meanRounds: number;
  worstRounds: number;
  /** New oil in it, 0-1. */
  newShare: number;
  /** mm²/s at 40 °C; null where a product's is not known. */
  viscosity40Mm2s: number | null;
  /** ASTM D1500 to the nearest half step; null where nobody read it. */
  colour: number | null;
};
export type Settle =
  | {
      how: 'settles' | 'freezes';
      hours: number;
      from: string;
      ready: boolean;
    }
  | {
      how: 'detergent';
    }
  | {
      how: 'denser';
    }
  | {
      how: 'unknownOil';
    };
export type LabFigure = 'acidMgKohG' | 'viscosity40Mm2s';
export type Refusal =
  | {
      code: 'newOnly';
    }
  | {
      code: 'service';
      service: ServiceClass;
    }
  | {
      code: 'smell';
      smell: 'burnt' | 'solvent' | 'ammonia' | 'sour';
    }
  | {
      code: 'particles';
      kind: 'glitter' | 'growth';
    }
  | {
      code: 'material';
      materialId: string;
      stays: 'solvent' | 'acid';
    }
  | {
      code: 'lab';
      figure: LabFigure;
      value: number;
      limit: number;
    }
  | {
      code: 'colour';
      colour: number;
      fresh: number;
      most: number;
    }
  | {
      code: 'mixed';
      productIds: readonly string[];
    }
  | {
      code: 'unknownOil';
    }
  | {
      code: 'rounds';
      rounds: number;
      most: number;
    }
  | {
      code: 'pfpe';
    }
  | {
      code: 'waste';
    }
  | {
      code: 'notRead';
    }
  | {
      code: 'pourOff';
      waterMl: number;
      creamMl: number;
      sludgeMl: number;
    }
  | {
      code: 'notClear';
    };
export type ReuseVerdict = {
  fit: boolean;
  /** New oil, and no question of reuse. */
  isNew: boolean;
  refusals: readonly Refusal[];
  /** The round it would begin in a pump: 1 for new oil. */
  nextRound: number;
  newPercent: number;
};
export type OnShelf = {
  group: ShelfGroup;
  /** From the bottom; oil denser than water has them turned round. */
  layers: readonly Layer[];
  heldMl: number;
  blend: Blend;
  mixed: ('immiscible' | 'otherAdditives' | null) | ('immiscible' | 'otherAdditives' | null);
  settle: Settle | null;
  reuse: ReuseVerdict | null;
  /** Of waste: the mark at which it is collected is reached. */
  full: boolean;
};
export type ReuseFacts = {
  materials: readonly {
    solvent: number;
    acid: number;
    materialId: string;
  }[];
  lab: {
    acidMgKohG?: number | null;
    viscosity40Mm2s?: number | null;
  } | null;
};
export type FilterForecast = {
  wet: boolean;
  /** What the media still drinks before any comes through. */
  drinksMl: number;
  /** Of what is poured in now. */
  throughMl: number;
  hours: number;
  /** Of its life that is used, by litres or solids, whichever is more: 1 and more means renew. */
  load: number;
  /** Litres until it is renewed, by litres and by the solids that came with each so far. */
  litresLeft: number;
};
export type StoreContainer = {
  id: string;
  container: Container;
  state: AccountState;
  shelf: OnShelf;
  facts: ReuseFacts;
  /** Of a filter with media: what pouring its usual volume does. */
  filter: FilterForecast | null;
};
export type StoreSump = {
  pumpId: string;
  sump: string;
  oilMl: number;
  meanRounds: number;
  worstRounds: number;
  newShare: number;
  /** Of it, so much was drawn from containers of the house; the rest nobody said. */
  namedMl: number;
};
export type StockLine = {
  productId: string;
  newMl: number;
  readyMl: number;
  /** Settles, waits to be read, poured or filtered. */
  waitingMl: number;
  refusedMl: number;
  inFiltersMl: number;
};
export type StoreAnswer = {
  now: string;
  /** Used oil goes back here, or may. */
  reuses: boolean;
  containers: readonly StoreContainer[];
  sumps: readonly StoreSump[];
  stock: readonly StockLine[];
  /** How much longer jars of this yard take than Stokes says. */
  settlingFactor: number;
};
export type CollectedLine = {
  entryId: string;
  at: string;
  zone: string;
  containerId: string;
  oilMl: number;
  waterMl: number;
  creamMl: number;
  sludgeMl: number;
  carrier: string | null;
  noteNumber: string | null;
};
export type WasteAnswer = {
  lines: readonly CollectedLine[];
};
export type OilAccount = {
  /** Into pumps: new, and used before. */
  newUL: number;
  usedUL: number;
  /** Out of pumps, into containers that are no waste, into waste, and where nobody said. */
  keptUL: number;
  wastedUL: number;
  unsaidUL: number;
  /** Gone with the exhaust while running. */
  exhaustUL: number;
  /** From the shelf to waste, spilled, and gone with a filter's media. */
  toWasteUL: number;
  spiltUL: number;
  mediaUL: number;
  /** Bought in the span. */
  boughtUL: number;
  /** Pours between containers, and fills of pumps. */
  pours: number;
  fills: number;
};
export type OilCost = {
  newL: number;
  wasteL: number;
  minutes: number;
  /** Null where the set-up does not say what oil or an hour's work costs. */
  money: number | null;
  perRun: number | null;
};
export type CostOfSchools = {
  /** As it was. */
  actual: OilCost;
  /** The same drains and fills by the other school: new oil only for a house that reuses, reuse for one that does not. */
  other: OilCost;
  otherSchool: 'newOnly' | 'reuse';
};
export type StockLasts = {
  productId: string;
  newMl: number;
  /** Days at 10, 50 and 90 %; null where nothing draws on it. */
  days: readonly number[] | null;
  /** Of it, what stands at each site, the most first. */
  sites: readonly {
    siteId: string;
    newMl: number;
  }[];
  /** To order, so that what there is then covers  {@link  days }  in 9 of 10 cases; 0 where nothing is. */
  order: {
    ml: number;
    days: number;
  };
};
export type StoreCostAnswer = {
  from: string;
  until: string;
  runs: number;
  account: OilAccount;
  cost: CostOfSchools;
  pumps: readonly {
    pumpId: string;
    account: OilAccount;
    runs: number;
    cost: CostOfSchools;
  }[];
  products: readonly {
    productId: string;
    account: OilAccount;
    cost: CostOfSchools;
  }[];
  lasts: readonly StockLasts[];
};
export type ContainerAnswer = {
  now: string;
  container: StoreContainer;
  journal: JournalPage;
};
export type TracedMove = {
  entryId: string;
  at: string;
  from: string;
  to: string;
  /** Of the traced oil. */
  uL: number;
};
export type TracedPlace = {
  /** `container:id`, `sump:pump/oil`, `media:id`, or an end outside. */
  place: string;
  uL: number;
};
export type TracedStay = {
  pumpId: string;
  /** Null where nobody has said when it was filled. */
  from: string | null;
  until: string;
  /** The bleed or change that let it out. */
  outId: string;
  by: 'bleed' | 'change' | 'labSample';
  uL: number;
  runs: number;
  materialIds: readonly string[];
};
export type TraceAnswer = {
  place: string;
  back: {
    moves: readonly TracedMove[];
    ends: readonly TracedPlace[];
  };
  stays: readonly TracedStay[];
  /** Where lots that are in it went besides. */
  on: {
    moves: readonly TracedMove[];
    ends: readonly TracedPlace[];
  };
};
export type DemoYardOpened = {
  port: number;
};
