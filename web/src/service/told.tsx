import type { PumpPage } from '@winter-jar/contracts';
import { chosenAt, type GuideStep } from '@winter-jar/core';
import { usePrint } from '../device/use-print.js';
import { Button } from '../ui/button.js';
import { countOf } from '../ui/number.js';
import { momentWords } from '../words/dates.js';
import { questionWords } from '../words/issue-words.js';
import { personName } from '../words/person-words.js';
import type { Words } from '../words/words.js';
import { valueWords } from './so-far.js';
import type { JobResult } from './use-job.js';

/** What became of a deed of a job that was not simply taken. */
export function Told({
  result,
  done,
  page,
  words,
  onAgain,
}: {
  result: JobResult;
  /** The steps of the job until now. */
  done: readonly GuideStep[];
  page: PumpPage;
  words: Words;
  /** The same deed once more. @param codes of questions that are answered with yes */
  onAgain: (codes: readonly string[]) => void;
}) {
  const print = usePrint();
  switch (result.kind) {
    case 'written':
      return null;
    case 'answered': {
      const { at, by } = result;
      const { body, who, happenedAt } = by;
      const value = 'value' in body ? (body.value ?? null) : null;
      const chosen = 'choice' in body ? (body.choice ?? null) : null;
      const said = { entryId: '', step: '', visit: 1, at: happenedAt, who: null, value, choice: chosen, oil: null };
      const answered = at && (valueWords({ ...at, said }, print, done) ?? chosenAt({ ...at, said })?.words);
      return (
        <p role="alert" className="border-l-4 border-stop bg-sheet p-3">
          {personName(who, page.setUp.house) ?? 'Somebody'} answered this step{' '}
          {momentWords(happenedAt, words.zone, words.now)}
          {answered ? `: ${answered}` : ''}. The first answer stands; take the step back to answer it anew.
        </p>
      );
    }
    case 'asked':
      return (
        <div role="alert" className="flex flex-col gap-3 border-l-4 border-oil bg-sheet p-3">
          {result.questions.map((q) => (
            <p key={q.code}>{questionWords(q, words).question}</p>
          ))}
          <Button size="field" onClick={() => onAgain(result.questions.map((q) => q.code))}>
            {result.questions[0] ? questionWords(result.questions[0], words).yes : 'Yes'}
          </Button>
        </div>
      );
    case 'refused':
      return (
        <p role="alert" className="border-l-4 border-stop bg-sheet p-3">
          Not saved: {countOf(result.issues.length, 'thing')} would have to be otherwise:{' '}
          {result.issues.map(({ right }) => right).join('; ')}.
        </p>
      );
    case 'conflict':
    case 'failed':
    case 'unreachable':
      return (
        <div role="alert" className="flex flex-col gap-3 border-l-4 border-stop bg-sheet p-3">
          <p>
            {result.kind === 'unreachable'
              ? 'Not saved: the server does not answer. What you said stands here; try again.'
              : 'Not saved: the server did not take it.'}
          </p>
          <Button size="field" onClick={() => onAgain([])}>
            Try again
          </Button>
        </div>
      );
  }
}
