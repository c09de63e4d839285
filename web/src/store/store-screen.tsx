import type { StoreAnswer, StoreContainer } from '@winter-jar/contracts';
import type { HouseSetUp } from '@winter-jar/core';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { useSetUpQuery, useStoreQuery } from '../api/house-api.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { Button } from '../ui/button.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { hereZone } from '../words/dates.js';
import { issueWords, questionWords } from '../words/issue-words.js';
import type { Words } from '../words/words.js';
import { wordsAt } from './container-facts.js';
import type { useStoreWrite } from './use-store-write.js';

export interface StoreProps {
  readonly store: StoreAnswer;
  readonly house: HouseSetUp;
  readonly words: Words;
}

/** Fetches the shelf and the set-up, and hands them on. */
export function WithStore({ children }: { children: (props: StoreProps) => ReactNode }) {
  const store = useStoreQuery();
  const setUp = useSetUpQuery();
  const print = usePrint();
  const now = useNow();
  if ((store.isError && !store.data) || (setUp.isError && !setUp.data))
    return (
      <Trouble
        title="The oil store could not be fetched"
        onRetry={() => {
          void store.refetch();
          void setUp.refetch();
        }}
      >
        The server does not answer.
      </Trouble>
    );
  if (!store.data || !setUp.data) return <Loading what="the oil store" />;
  return children({ store: store.data, house: setUp.data.house, words: { print, zone: hereZone(), now } });
}

/** The same for the screen of one container, by its address. */
export function WithContainer({ children }: { children: (props: StoreProps & { one: StoreContainer }) => ReactNode }) {
  const { containerId = '' } = useParams();
  return (
    <WithStore>
      {(props) => {
        const one = props.store.containers.find((c) => c.id === containerId);
        return one ? (
          children({ ...props, one, words: wordsAt(one.container.siteId, props.house, props.words) })
        ) : (
          <Trouble title="There is no such container">No container has the id “{containerId}”. Choose one.</Trouble>
        );
      }}
    </WithStore>
  );
}

/** A field screen of the store: one column, the large button at the foot. */
export function StoreScreen({
  title,
  back,
  above,
  words,
  write,
  saveWords,
  onSave,
  disabled = false,
  aside,
  children,
}: {
  title: string;
  back: string;
  above?: ReactNode;
  words: Words;
  write: Pick<ReturnType<typeof useStoreWrite>, 'busy' | 'outcome' | 'issues' | 'questions'>;
  saveWords: string;
  onSave: (acknowledged: readonly string[]) => void;
  disabled?: boolean;
  /** What it leads to: beside the fields where there is room, else beneath them. */
  aside?: ReactNode;
  children: ReactNode;
}) {
  const { busy, outcome, issues, questions } = write;
  return (
    <form
      noValidate
      aria-label={title}
      className={`mx-auto flex w-full max-w-[640px] flex-1 flex-col ${aside === undefined ? '' : 'wide:max-w-[1080px]'}`}
      onSubmit={(event) => {
        event.preventDefault();
        onSave([]);
      }}
    >
      <PageTitle title={title} />
      <div className="border-b border-rule bg-sheet px-4 py-3">
        <PageHead back={back} above={above}>
          {title}
        </PageHead>
      </div>
      <main className={`flex flex-1 flex-col gap-6 px-4 py-5 ${aside ? 'wide:flex-row wide:gap-10' : ''}`}>
        <div className="flex min-w-0 flex-1 flex-col gap-6">{children}</div>
        {aside && <div className="wide:w-[372px] wide:shrink-0">{aside}</div>}
      </main>
      <div className="sticky bottom-[var(--toasts,0px)] flex flex-col gap-3 border-t border-rule bg-sheet px-4 py-4">
        {issues.length > 0 && (
          <ul role="alert" className="border-l-4 border-stop pl-3 font-semibold text-stop">
            {issues.map((issue) => (
              <li key={`${issue.field}/${issue.code}`}>{issueWords(issue)}</li>
            ))}
          </ul>
        )}
        {questions.length > 0 && (
          <div
            role="alertdialog"
            aria-label="A question before saving"
            className="flex flex-col gap-3 border-l-4 border-before-next-run pl-3"
          >
            {questions.map((q) => (
              <p key={q.code} className="font-semibold">
                {questionWords(q, words).question}
              </p>
            ))}
            <Button size="field" onClick={() => onSave(questions.map((q) => q.code))}>
              {questions[0] ? questionWords(questions[0], words).yes : 'Yes'}
            </Button>
          </div>
        )}
        {outcome && (outcome.kind === 'unreachable' || outcome.kind === 'failed' || outcome.kind === 'conflict') && (
          <p role="alert" className="border-l-4 border-stop pl-3 font-semibold text-stop">
            {outcome.kind === 'failed'
              ? `Not saved. Right would be ${outcome.right}.`
              : 'Not saved: the server does not answer. Save again when it is back.'}
          </p>
        )}
        <Button type="submit" look="solid" size="field" className="w-full justify-center" disabled={busy || disabled}>
          {busy ? 'Saving …' : saveWords}
        </Button>
      </div>
    </form>
  );
}
