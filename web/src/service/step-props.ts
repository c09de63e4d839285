import type { PumpPage } from '@winter-jar/contracts';
import type { GuideStep, Step } from '@winter-jar/core';
import type { Words } from '../words/words.js';
import type { Answer } from './job-entries.js';

/** What answers a step is shown with. */
export interface StepProps<K extends Step['kind'] = Step['kind']> {
  readonly step: Extract<Step, { kind: K }>;
  readonly at: GuideStep;
  readonly done: readonly GuideStep[];
  readonly page: PumpPage;
  readonly words: Words;
  readonly busy: boolean;
  readonly onAnswer: (said: Answer) => void;
}
