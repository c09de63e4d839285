import type { PumpPage } from '@winter-jar/contracts';
import { ChevronLeft } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { Link, useParams, useSearchParams } from 'react-router';
import { useAppSelector } from '../device/store.js';
import { usePumpQuery } from '../api/house-api.js';
import { PageTitle } from '../ui/page-title.js';
import { useWriterId } from '../device/use-door.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { useWide } from '../device/use-wide.js';
import { barWords, flagWords, rulerWords } from '../words/bar-words.js';
import { reasonWords, standingChange, verdictWords } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { EffectList } from '../effect/effect-list.js';
import { Button } from '../ui/button.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { RunRuler } from '../ui/run-ruler.js';
import { useWidth } from '../ui/use-width.js';
import { Verdict } from '../ui/verdict.js';
import { questionWords } from '../words/issue-words.js';
import type { EntryForm } from './use-entry-form.js';
import { PlaceNote } from './place-note.js';
import { usePreview, type Preview } from './use-preview.js';

export interface EntryPageProps {
  readonly page: PumpPage;
  readonly words: Words;
  readonly correctId: string | null;
}

/** Fetches the pump of a field screen and hands it to the form. */
export function WithPump({
  needsOil,
  children,
}: {
  needsOil: boolean;
  children: (props: EntryPageProps) => ReactNode;
}) {
  const { pumpId = '' } = useParams();
  const [search] = useSearchParams();
  const { data: page, isError, error, refetch } = usePumpQuery(pumpId);
  const print = usePrint();
  const now = useNow();
  if (isError && !page) {
    const missing = 'status' in error && error.status === 404;
    return (
      <Trouble
        title={missing ? 'There is no such pump' : 'The pump could not be fetched'}
        onRetry={() => void refetch()}
      >
        {missing
          ? `No pump has the id “${pumpId}”. Choose one on the Round.`
          : 'The server does not answer. What you typed before is kept on this device.'}
      </Trouble>
    );
  }
  if (!page) return <Loading what="the pump" />;
  if (needsOil && page.setUp.model.sumps.length === 0) {
    return (
      <Trouble title={`${page.row.name} holds no oil`}>
        It is a dry pump: log its runs, and tick off its bearings and tip seals on its page.
      </Trouble>
    );
  }
  return children({ page, words: { print, zone: page.row.zone, now }, correctId: search.get('correct') });
}

/**
 * A field screen: one column, big targets, the live verdict at the foot beside the one large button.
 * Where there is room, `left` and `right` stand beside the column; else `left` is not shown and `right` stands beneath it.
 */
export function EntryScreen<V extends FieldValues>({
  title,
  props,
  form,
  saveWords,
  backTo,
  foot,
  left,
  right,
  children,
}: {
  title: string;
  props: EntryPageProps;
  form: EntryForm<V>;
  saveWords: string;
  /** The page that it was opened from; the pump's own when left out. */
  backTo?: { readonly path: string; readonly words: string };
  /** What the entry changes, for one that does not touch the verdict. */
  foot?: ReactNode;
  left?: ReactNode;
  right?: (preview: Preview) => ReactNode;
  children: ReactNode;
}) {
  const { page, words } = props;
  const preview = usePreview(page, form.pending, words.now);
  const wide = useWide();
  const beside = Boolean(wide && right && preview.kind !== 'effects');
  return (
    <form
      noValidate
      aria-label={title}
      className={`mx-auto flex w-full flex-1 flex-col ${right ? 'max-w-[640px] wide:max-w-none' : 'max-w-[640px]'}`}
      onSubmit={(event) => {
        event.preventDefault();
        void form.save();
      }}
    >
      <PageTitle title={`${title} · ${page.row.name}`} />
      <EntryHead title={title} page={page} form={form} backTo={backTo} />
      <div className="flex min-w-0 flex-1 flex-col wide:flex-row">
        <main className="flex min-w-0 flex-1 flex-col wide:flex-row">
          {form.ready && wide && left && (
            <div className="border-r border-rule p-4 pt-5">
              <div className="sticky top-5">{left}</div>
            </div>
          )}
          <div className="flex min-w-0 flex-1 flex-col">
            <div className="flex flex-1 flex-col gap-6 px-4 py-5">
              {form.ready ? children : <Loading what="what you typed last" />}
              {!wide && right?.(preview)}
            </div>
            <div className="sticky bottom-[var(--toasts,0px)] flex flex-col gap-3 border-t border-rule bg-sheet px-4 py-4">
              {!form.saving && <Overtaken page={page} />}
              <Outcome form={form} words={words} />
              <RootError form={form} />
              {foot ?? (!beside && <PreviewLine preview={preview} page={page} words={words} />)}
              <Button
                type="submit"
                look="solid"
                size="field"
                className="w-full justify-center"
                disabled={form.saving || !form.ready}
              >
                {form.saving ? 'Saving …' : form.correcting && !form.ending ? 'Save the correction' : saveWords}
              </Button>
              <Writer page={page} />
            </div>
          </div>
        </main>
        {wide && right && (
          <aside aria-label="The verdict" className="w-[372px] shrink-0 border-l border-rule bg-sheet">
            {/* Scrolled by keyboard too, though nothing in it may take the focus. */}
            <div tabIndex={0} role="group" aria-label="Why" className="sticky top-0 max-h-dvh overflow-auto p-5">
              {right(preview)}
            </div>
          </aside>
        )}
      </div>
    </form>
  );
}

/** Somebody else wrote about the pump since the form was opened: said before it is saved, not after. */
function Overtaken({ page }: { page: PumpPage }) {
  const [opened] = useState(page.state.entries);
  if (page.state.entries === opened) return null;
  return (
    <p role="status" className="border-l-4 border-before-next-run pl-3 text-[15px]">
      <span className="font-semibold">Meanwhile something else was logged on {page.row.name}.</span>{' '}
      <Link to={`/pumps/${page.row.pumpId}#journal`} className="font-semibold text-ink underline underline-offset-4">
        Look at it
      </Link>{' '}
      before you save; what you typed is kept.
    </p>
  );
}

function EntryHead<V extends FieldValues>({
  title,
  page,
  form,
  backTo = { path: `/pumps/${page.row.pumpId}`, words: page.row.name },
}: {
  title: string;
  page: PumpPage;
  form: EntryForm<V>;
  backTo: { readonly path: string; readonly words: string } | undefined;
}) {
  return (
    <div className="flex items-center gap-3 border-b border-rule bg-sheet px-4 py-3">
      <Link
        to={backTo.path}
        aria-label={`Back to ${backTo.words}`}
        className="flex size-11 items-center justify-center text-ink"
      >
        <ChevronLeft aria-hidden="true" />
      </Link>
      <div className="min-w-0">
        <p className="text-[14px] text-ink-2">
          <span className="figure">{page.row.name}</span> · {page.row.equipmentName}
        </p>
        <h1 className="text-[22px]">
          {form.ending ? 'End the run' : form.correcting ? `Correct: ${title.toLowerCase()}` : title}
        </h1>
        <PlaceNote pumpId={page.row.pumpId} place={page.row.place} />
      </div>
    </div>
  );
}

function RootError<V extends FieldValues>({ form }: { form: EntryForm<V> }) {
  const message = form.form.formState.errors.root?.message;
  if (!message) return null;
  return (
    <p role="alert" className="font-semibold text-stop">
      {message}
    </p>
  );
}

/** Whose name the entry will bear; nothing where the house has no names. */
function Writer({ page }: { page: PumpPage }) {
  const who = useWriterId();
  const people = page.setUp.house.person;
  if (Object.keys(people).length === 0) return null;
  const name = who === null ? null : people[who]?.name;
  return (
    <p className="-mt-1 text-[13px] text-ink-2 wrap-anywhere">
      {name ? `Written by ${name}` : 'Without a name: choose who writes on this device at the top right.'}
    </p>
  );
}

function Outcome<V extends FieldValues>({ form, words }: { form: EntryForm<V>; words: Words }) {
  const { outcome } = form;
  if (!outcome || outcome.kind === 'written' || outcome.kind === 'refused') return null;
  if (outcome.kind === 'asked') {
    return (
      <div
        role="alertdialog"
        aria-label="A question before saving"
        className="flex flex-col gap-3 border-l-4 border-before-next-run pl-3"
      >
        {form.questions.map((q) => (
          <p key={q.code} className="font-semibold">
            {questionWords(q, words).question}
          </p>
        ))}
        <Button size="field" onClick={() => void form.save(form.questions.map((q) => q.code))}>
          {form.questions[0] ? questionWords(form.questions[0], words).yes : 'Yes'}
        </Button>
        <p className="text-[14px] text-ink-2">If not, mend the fields above and save again.</p>
      </div>
    );
  }
  const sentences = {
    unreachable:
      'Not saved: the server does not answer, and this browser keeps nothing that could be sent later. Save again when it is back.',
    conflict:
      'This entry was saved before with other values: its answer was lost on the way. It stands in the journal on the pump’s page; correct it there.',
    failed: `Not saved. Right would be ${outcome.kind === 'failed' ? outcome.right : ''}.`,
  };
  return (
    <p role="alert" className="border-l-4 border-stop pl-3 font-semibold text-stop">
      {sentences[outcome.kind]}
    </p>
  );
}

function PreviewLine({ preview, page, words }: { preview: Preview; page: PumpPage; words: Words }) {
  const [ref, width] = useWidth<HTMLDivElement>(340);
  const isLost = useAppSelector((s) => s.connection.isLost);
  if (preview.kind === 'none')
    return <p className="text-[15px] text-ink-2">The verdict shows here once the fields above are right.</p>;
  if (preview.kind === 'effects')
    return (
      <div aria-live="polite" className="max-h-48 overflow-auto">
        <h2 className="text-[16px]">What this changes</h2>
        {preview.effects === null ? (
          <p className="text-[15px] text-ink-2">
            {isLost
              ? 'It lies before other entries: what it changes is computed when there is a connection.'
              : 'Calculating …'}
          </p>
        ) : (
          <EffectList effects={preview.effects} wordsFor={(zone) => ({ ...words, zone })} />
        )}
      </div>
    );
  const { after, before, ruler } = preview;
  const worst = after.reasons[0];
  const change = standingChange(before, after);
  return (
    <div ref={ref} aria-live="polite">
      {page.row.kind !== 'dry' && (
        <RunRuler
          ruler={ruler}
          width={width}
          label={rulerWords('With this entry', ruler)}
          wordsOf={(bar) => barWords(bar, page.row.materialNames, words)}
          flagText={flagWords(ruler)}
        />
      )}
      <p className="flex flex-wrap items-center gap-x-3">
        <Verdict level={after.verdict} words={verdictWords(after.verdict, after.act)} />
        <span className="text-[15px]">
          {after.verdict !== 'runOn' && worst ? reasonWords(worst, words).short : change}
        </span>
      </p>
    </div>
  );
}
