import { oneOrMore, uncapital } from '../ui/number.js';
import type { SetUpFilePreview, SetUpFileResult, SetUpFileRow } from '@winter-jar/contracts';
import { ChevronLeft, Download } from 'lucide-react';
import { Link } from 'react-router';
import type { SetUpFile } from '../api/generated.js';
import { useImportSetUpFileMutation, usePreviewSetUpFileMutation } from '../api/house-api.js';
import { PageTitle } from '../ui/page-title.js';
import { issueWords } from '../words/issue-words.js';
import { Button, buttonClass } from '../ui/button.js';
import { FileExchange } from '../ui/file-exchange.js';
import { useFileImport } from '../ui/use-file-import.js';
import { readJsonFile } from './read-json-file.js';

const MAX_BYTES = 5_000_000;
const STATUS_WORDS: Readonly<Record<SetUpFileRow['status'], string>> = {
  new: 'new',
  changed: 'changed',
  conflicting: 'conflicting',
  refused: 'refused',
  same: 'there already',
};
const ORDER: readonly SetUpFileRow['status'][] = ['refused', 'conflicting', 'changed', 'new', 'same'];

/** The whole set-up as one JSON file: out, and in with a preview. */
export function SetUpFilePage() {
  const [askPreview, previewing] = usePreviewSetUpFileMutation();
  const [askImport, importing] = useImportSetUpFileMutation();
  const file = useFileImport<SetUpFile, SetUpFilePreview, SetUpFileResult, 'keep' | 'take'>({
    read: async (chosen) => {
      const read = await readJsonFile(chosen, MAX_BYTES);
      return read.ok ? { ok: true, content: read.content as SetUpFile } : read;
    },
    ask: async (content) => (await askPreview(content)).data ?? null,
    put: async (content, conflicting) => {
      const done = (await askImport({ conflicting, setUpFile: content })).data;
      if (!done) return null;
      if (done.fileIssue) return { ok: false, words: `${issueWords(done.fileIssue)} Nothing was imported.` };
      return { ok: true, content: done };
    },
    failed: 'The server does not answer. Nothing was imported; try again.',
  });
  const { preview, result } = file;

  return (
    <main className="mx-auto w-full max-w-[960px] px-4 pb-10 pt-4">
      <PageTitle title="Set-up as a file" />
      <div className="flex items-center gap-3">
        <Link
          to="/set-up/pump"
          aria-label="Back to the set-up"
          className="flex size-11 items-center justify-center text-ink"
        >
          <ChevronLeft aria-hidden="true" />
        </Link>
        <h1 className="text-[28px]">Set-up as a file</h1>
      </div>
      <p className="mt-1 max-w-[68ch]">
        Sites, equipment, models, pumps, oils, materials, people and care rules as one JSON file, to be edited or
        written by hand. Its form is described by <a href="/api/set-up/schema.json">a JSON Schema</a>. Nothing is
        imported before you have seen what it does.
      </p>
      <FileExchange
        needs="house"
        wayOut={(wayIn) => (
          <div className="flex flex-wrap gap-3">
            <a href="/api/set-up/file" download="set-up.json" className={buttonClass('outline')}>
              <Download size={18} aria-hidden="true" /> Export the set-up
            </a>
            {wayIn}
          </div>
        )}
        accept=".json,application/json"
        onFile={(chosen) => void file.choose(chosen)}
        reading={previewing.isLoading ? file.name : null}
        trouble={file.trouble}
      >
        {preview && (
          <Preview
            name={file.name}
            preview={preview}
            busy={importing.isLoading}
            onTake={(c) => void file.take(c)}
            onLeave={file.leave}
          />
        )}
        {result && (
          <div className="border-l-4 border-run-on pl-3">
            <h2 className="text-[20px]">
              {oneOrMore(result.written, 'record')} imported from {file.name}
            </h2>
            <p>
              Pumps that are new wait on the <Link to="/">Round</Link> to be taken over: when was their oil changed?
            </p>
          </div>
        )}
      </FileExchange>
    </main>
  );
}

function Preview({
  name,
  preview,
  busy,
  onTake,
  onLeave,
}: {
  name: string;
  preview: SetUpFilePreview;
  busy: boolean;
  onTake: (conflicting: 'keep' | 'take') => void;
  onLeave: () => void;
}) {
  if (preview.fileIssue) {
    return (
      <div role="alert" className="border-l-4 border-stop pl-3">
        <h2 className="text-[20px]">{name} cannot be read as a set-up</h2>
        <p>
          {preview.fileIssue.field}: {issueWords(preview.fileIssue)} Nothing was imported.
        </p>
      </div>
    );
  }
  const count = (status: SetUpFileRow['status']) => preview.rows.filter((r) => r.status === status).length;
  const good = count('new') + count('changed');
  const counted = ORDER.filter((s) => count(s) > 0).map((s) => `${count(s)} ${STATUS_WORDS[s]}`);
  const sorted = [...preview.rows]
    .filter((r) => r.status !== 'same')
    .sort((a, b) => ORDER.indexOf(a.status) - ORDER.indexOf(b.status));
  return (
    <section>
      <h2 className="text-[20px]">
        {name}: {counted.join(', ') || 'no record in it'}
      </h2>
      <div className="mt-3 flex flex-wrap gap-3">
        {good > 0 && (
          <Button look="solid" disabled={busy} onClick={() => onTake('keep')}>
            {busy ? 'Importing …' : `Import ${uncapital(oneOrMore(good, 'record'))}`}
          </Button>
        )}
        {count('conflicting') > 0 && (
          <Button disabled={busy} onClick={() => onTake('take')}>
            Import {good + count('conflicting')}, the conflicting ones too
          </Button>
        )}
        <Button disabled={busy} onClick={onLeave}>
          Import nothing
        </Button>
      </div>
      <ul className="mt-4">
        {sorted.map((row) => (
          <li key={row.place} className="border-b border-rule-soft py-2 text-[15px]">
            <span
              className={`font-semibold ${row.status === 'refused' ? 'text-stop' : row.status === 'conflicting' ? 'text-before-next-run' : ''}`}
            >
              {STATUS_WORDS[row.status]}
            </span>{' '}
            <span className="figure text-ink-2">
              {row.place}. {row.kind} {row.id}
            </span>{' '}
            <span dir="auto" className="wrap-anywhere">
              {row.name}
            </span>
            {row.fields.length > 0 && <span className="text-ink-2"> · {row.fields.join(', ')}</span>}
            {row.issues.map((issue) => (
              <span key={issue.field} className="block text-[14px]">
                <span className="figure">{issue.field.replace(/^body\./, '')}</span>: {issueWords(issue)}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
