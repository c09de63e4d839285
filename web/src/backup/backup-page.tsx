import { countOf, megabytes } from '../ui/number.js';
import type { BackupContents, JournalFileResult, RestoreCheck, RestoreResult } from '@winter-jar/contracts';
import { FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import {
  useAboutQuery,
  useCheckBackupMutation,
  useCheckKeptMutation,
  useImportJournalMutation,
  useKeptDataQuery,
  useRestoreMutation,
  useRestoreProgressQuery,
  useStopCheckMutation,
} from '../api/house-api.js';
import { DownloadButton } from '../downloads/download-button.js';
import { hereZone, momentWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { issueWords } from '../words/issue-words.js';
import { Button } from '../ui/button.js';
import { FilePicker } from '../ui/file-picker.js';
import { UnderWay } from '../ui/under-way.js';

const UNREACHABLE = 'The server does not answer, or the file is too large. Nothing was changed; try again.';

function contentsWords({ pumps, entries, lastRecordedAt }: BackupContents, now: string): string {
  const last = lastRecordedAt ? `, the last written ${momentWords(lastRecordedAt, hereZone(), now)}` : '';
  return `${countOf(pumps, 'pump')} and ${countOf(entries, 'entry', 'entries')}${last}`;
}

/** Where the data lies, a copy of it as one file, and the way back. */
export function BackupPage() {
  const { data: about } = useAboutQuery();
  return (
    <main className="mx-auto flex w-full max-w-[760px] flex-col gap-9 px-4 pb-10 pt-5">
      <PageTitle title="Backup" />
      <div>
        <h1 className="text-[28px]">Backup</h1>
        <p className="mt-1 max-w-[68ch]">
          Everything is in one folder on the machine that runs Winter Jar:{' '}
          <span className="figure wrap-anywhere">{about?.dataFolder ?? '…'}</span>. A backup is that folder’s data as
          one file, checked before you get it. Keep it on another machine.
        </p>
        <div className="mt-4">
          <DownloadButton what="backup" making="Making the backup" look="solid">
            Make a backup
          </DownloadButton>
        </div>
        <p className="mt-2 text-[14px] text-ink-2">
          From a terminal, for a nightly job: <span className="figure">npm run backup -- --to file.tar.gz</span>
        </p>
      </div>
      <Restore now={about?.now ?? new Date().toISOString()} />
      <Everything />
    </main>
  );
}

/** A backup put back: checked first, and what stood here is kept. */
function Restore({ now }: { now: string }) {
  const [askCheck, checking] = useCheckBackupMutation();
  const [askKept, lookingAtKept] = useCheckKeptMutation();
  const { data: kept } = useKeptDataQuery();
  const [askRestore, restoring] = useRestoreMutation();
  const [name, setName] = useState('');
  const [check, setCheck] = useState<RestoreCheck | null>(null);
  const [result, setResult] = useState<RestoreResult | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  const stopped = useRef(false);

  async function look(what: string, asking: () => Promise<{ data?: RestoreCheck }>) {
    stopped.current = false;
    setName(what);
    setCheck(null);
    setResult(null);
    setTrouble(null);
    const { data: found } = await asking();
    if (!found) return stopped.current ? undefined : setTrouble(UNREACHABLE);
    const { issue } = found;
    if (issue) setTrouble(`${what} cannot be restored: ${issue.field}. ${issueWords(issue)} Nothing was changed.`);
    else setCheck(found);
  }
  async function restore() {
    if (!check?.uploadId) return;
    const answer = await askRestore({ uploadId: check.uploadId });
    setCheck(null);
    if (answer.data) setResult(answer.data);
    else setTrouble(UNREACHABLE);
  }
  return (
    <section>
      <h2 className="text-[20px]">Restore</h2>
      <p className="mt-1 max-w-[68ch]">
        A backup takes the place of all that is here. What is here now is not lost: it is kept beside, in the folder
        “kept”.
      </p>
      <div className="mt-3">
        <FilePicker
          look="outline"
          accept=".gz,application/gzip"
          onFile={(file) => void look(file.name, () => askCheck(file as never))}
        >
          <FileUp size={18} aria-hidden="true" /> Choose a backup
        </FilePicker>
      </div>
      <div aria-live="polite" className="mt-4">
        {(checking.isLoading || lookingAtKept.isLoading) && (
          <Checking name={name} onStop={() => (stopped.current = true)} />
        )}
        {trouble && <Alarm>{trouble}</Alarm>}
        {check?.inFile && (
          <div className="border-l-4 border-before-next-run pl-4">
            <h3 className="text-[18px]">{name} is whole</h3>
            <p>
              In it, of {momentWords(check.madeAt ?? now, hereZone(), now)}: {contentsWords(check.inFile, now)}.
            </p>
            <p>Here now: {contentsWords(check.present, now)}.</p>
            <div className="mt-3 flex flex-wrap gap-3">
              <Button look="solid" disabled={restoring.isLoading} onClick={() => void restore()}>
                {restoring.isLoading ? 'Restoring …' : 'Restore it'}
              </Button>
              <Button onClick={() => setCheck(null)}>Leave it</Button>
            </div>
          </div>
        )}
        {result && (
          <div className="border-l-4 border-run-on pl-4">
            <h3 className="text-[18px]">Restored</h3>
            <p>Here now: {contentsWords(result.now, now)}.</p>
            <p className="text-[14px] text-ink-2">
              What stood here before is kept as <span className="figure wrap-anywhere">{result.keptAs}</span>
            </p>
          </div>
        )}
      </div>
      {kept && kept.kept.length > 0 && (
        <details className="mt-4">
          <summary className="min-h-10 cursor-pointer py-2 font-semibold">
            Kept from before a restore ({kept.kept.length})
          </summary>
          <ul>
            {kept.kept.map((one) => (
              <li
                key={one.name}
                className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b border-rule-soft py-2"
              >
                <span className="min-w-0">
                  {momentWords(one.keptAt, hereZone(), now)} · {megabytes(one.bytes)}
                  <span className="figure block text-[13px] text-ink-2 wrap-anywhere">{one.name}</span>
                </span>
                <Button onClick={() => void look(one.name, () => askKept({ name: one.name }))}>Look at it</Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

const LOOK_EVERY_MS = 400;

function Checking({ name, onStop }: { name: string; onStop: () => void }) {
  const { data } = useRestoreProgressQuery(undefined, {
    pollingInterval: LOOK_EVERY_MS,
    refetchOnMountOrArgChange: true,
  });
  const [stop, stopping] = useStopCheckMutation();
  return (
    <UnderWay
      title={`Checking ${name}`}
      progress={data?.progress ?? 0}
      words="Every entry is read, and what follows from it is made anew. Nothing is changed meanwhile."
      stop="Stop checking"
      busy={stopping.isLoading || (data?.progress ?? null) === null}
      onStop={() => {
        onStop();
        void stop();
      }}
    />
  );
}

/** Everything ever written in an open form, for other programs and for a move. */
function Everything() {
  const [askImport, importing] = useImportJournalMutation();
  const [result, setResult] = useState<JournalFileResult | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  async function choose(file: File) {
    setResult(null);
    setTrouble(null);
    const answer = await askImport(file as never);
    if (!answer.data) return setTrouble(UNREACHABLE);
    const done = answer.data;
    if (!done.issue) return setResult(done);
    const where = done.line === null ? '' : `, line ${done.line}`;
    setTrouble(`${file.name}${where}: ${issueWords(done.issue)} Nothing was imported.`);
  }
  return (
    <section>
      <h2 className="text-[20px]">Everything as JSON lines</h2>
      <p className="mt-1 max-w-[68ch]">
        Set-up with all its versions and every entry with all its corrections, one JSON object per line. It can be read
        by other programs, and taken in again by an empty data folder.
      </p>
      <div className="mt-3">
        <DownloadButton
          what="everything"
          making="Writing everything as JSON lines"
          beside={
            <FilePicker look="outline" accept=".jsonl,.ndjson" onFile={(file) => void choose(file)}>
              <FileUp size={18} aria-hidden="true" /> Import into this empty folder
            </FilePicker>
          }
        >
          Export everything
        </DownloadButton>
      </div>
      <div aria-live="polite" className="mt-4">
        {importing.isLoading && <p>Importing …</p>}
        {trouble && <Alarm>{trouble}</Alarm>}
        {result && (
          <p className="border-l-4 border-run-on pl-4 font-semibold">
            {countOf(result.entries, 'entry', 'entries')} and {countOf(result.setUpVersions, 'version')} of the set-up
            imported.
          </p>
        )}
      </div>
    </section>
  );
}

function Alarm({ children }: { children: string }) {
  return (
    <p role="alert" className="border-l-4 border-stop pl-3 font-semibold text-stop">
      {children}
    </p>
  );
}
