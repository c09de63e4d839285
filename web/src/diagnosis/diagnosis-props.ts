import type { DiagnosisAnswer } from '@winter-jar/contracts';
import type { EntryPageProps } from '../entry/entry-page.js';

/** What a page of the diagnosis needs. */
export interface DiagnosisProps extends EntryPageProps {
  readonly answer: DiagnosisAnswer;
}
