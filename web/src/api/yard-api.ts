import { generatedApi } from './generated.js';

/** The generated endpoints with what goes stale after a write: everything that was read. */
const READ = [
  'about',
  'round',
  'pump',
  'journal',
  'entry',
  'setUp',
  'record',
  'oilStory',
  'water',
  'diagnosis',
  'caseInFull',
  'suspects',
  'logImport',
] as const;
const WRITTEN = [
  'postEntries',
  'postSetUp',
  'importSetUpFile',
  'restore',
  'importJournal',
  'writeLogImport',
  'cancelLogImport',
] as const;

const tagged = (names: readonly string[], tags: object) => Object.fromEntries(names.map((name) => [name, tags]));

export const yardApi = generatedApi.enhanceEndpoints({
  endpoints: { ...tagged(READ, { providesTags: ['Yard'] }), ...tagged(WRITTEN, { invalidatesTags: ['Yard'] }) },
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
  useWriteLogImportMutation,
  useCancelLogImportMutation,
  useSetUpQuery,
  useRecordQuery,
  usePostSetUpMutation,
  usePreviewSetUpMutation,
  usePreviewSetUpFileMutation,
  useImportSetUpFileMutation,
  useCheckBackupMutation,
  useRestoreMutation,
  useImportJournalMutation,
  useOpenDemoYardMutation,
  useOilStoryQuery,
  useWaterQuery,
  useDiagnosisQuery,
  useCaseInFullQuery,
  useSuspectsQuery,
} = yardApi;
