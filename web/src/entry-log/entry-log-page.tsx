import type { LogName, LogPreview, LogResult } from '@winter-jar/contracts';
import { useState } from 'react';
import { NavLink, useParams } from 'react-router';
import { useImportLogMutation, usePreviewLogMutation } from '../api/yard-api.js';
import { PageTitle } from '../app/page-title.js';
import { issueWords } from '../journal/issue-words.js';
import { Button } from '../ui/button.js';
import { Field, inputClass } from '../ui/field.js';
import { FileExchange } from '../ui/file-exchange.js';
import { Trouble } from '../ui/page-state.js';
import { useFileImport } from '../ui/use-file-import.js';

const MAX_BYTES = 20_000_000;

interface LogWords {
  readonly title: string;
  readonly one: string;
  readonly many: string;
  readonly when: string;
  /** Columns that a short list needs. */
  readonly example: string;
}

/** Every log by its address. A new one is one more entry. */
const LOGS: Readonly<Record<LogName, LogWords>> = {
  runs: { title: 'Run log', one: 'run', many: 'runs', when: 'Started', example: 'pump, started, minutes, material' },
  looks: {
    title: 'Look log',
    one: 'look',
    many: 'looks',
    when: 'Looked at',
    example: 'pump, looked_at, hours_stood, colour',
  },
};
const NAMES = Object.keys(LOGS) as LogName[];

/** All entries of one kind as a CSV file: out as a whole, in with a preview of every row that is not right. */
export function EntryLogPage() {
  const { log } = useParams();
  const name = NAMES.find((n) => n === log);
  if (!name) return <Trouble title="There is no such log">Runs and looks come and go as files.</Trouble>;
  return <EntryLog key={name} name={name} words={LOGS[name]} />;
}

function EntryLog({ name, words }: { name: LogName; words: LogWords }) {
  const [askPreview, previewing] = usePreviewLogMutation();
  const [askImport, importing] = useImportLogMutation();
  const file = useFileImport<string, LogPreview, LogResult, 'yes' | 'no'>({
    read: async (chosen) =>
      chosen.size > MAX_BYTES
        ? { ok: false, words: `${chosen.name} is larger than 20 MB. Cut it into parts; each row stands for itself.` }
        : { ok: true, content: await chosen.text() },
    ask: async (text) => (await askPreview({ log: name, logText: text })).data ?? null,
    put: async (text, goodRowsOnly) => {
      const { data } = await askImport({ log: name, goodRowsOnly, logText: text });
      return data ? { ok: true, content: data } : null;
    },
    failed: 'The server does not answer, or the file is too large. Nothing was imported; try again.',
  });
  const { preview, result } = file;
  return (
    <main className="mx-auto w-full max-w-[960px] px-4 pb-10 pt-5">
      <PageTitle title={words.title} />
      <nav aria-label="Logs" className="flex gap-4 text-[15px]">
        {NAMES.map((n) => (
          <NavLink
            key={n}
            to={`/logs/${n}`}
            className={({ isActive }) =>
              `min-h-9 text-ink no-underline ${isActive ? 'border-b-2 border-oil font-semibold' : ''}`
            }
          >
            {LOGS[n].title}
          </NavLink>
        ))}
      </nav>
      <h1 className="mt-2 text-[28px]">{words.title}</h1>
      <p className="mt-1 max-w-[68ch]">
        All {words.many} as one CSV file, one row per {words.one}, readable by any spreadsheet. What you export here can
        be imported again; rows that are there already stay as they are.
      </p>
      <FileExchange
        exported={{ href: `/api/logs/${name}`, name: `${name}.csv`, words: `Export all ${words.many}` }}
        accept=".csv,text/csv"
        onFile={(chosen) => void file.choose(chosen)}
        reading={previewing.isLoading ? file.name : null}
        trouble={file.trouble}
        beside={<PasteRows words={words} onRows={(rows) => void file.choose(rows)} />}
      >
        {preview && (
          <Preview
            name={file.name}
            words={words}
            preview={preview}
            busy={importing.isLoading}
            onTake={(g) => void file.take(g)}
            onLeave={file.leave}
          />
        )}
        {result && (
          <div className="border-l-4 border-run-on pl-3">
            <h2 className="text-[20px]">
              {result.written === 1 ? `One ${words.one}` : `${result.written} ${words.many}`} imported from {file.name}
            </h2>
            <p>
              {result.unchanged} were there already.{' '}
              {result.bad > 0 ? `${result.bad} rows were left out.` : 'No row was left out.'}
            </p>
          </div>
        )}
      </FileExchange>
    </main>
  );
}

const PASTED_LINES = 6;

/** Rows straight from a spreadsheet or a note, with the names of their columns in the first line. */
function PasteRows({ words, onRows }: { words: LogWords; onRows: (rows: File) => void }) {
  const [text, setText] = useState('');
  return (
    <details className="mt-4">
      <summary className="flex min-h-11 cursor-pointer items-center underline">Or paste rows</summary>
      <div className="flex flex-col gap-3">
        <Field
          label={`${words.title}, one row per ${words.one}`}
          hint={`The first line names the columns, such as ${words.example}. Tabs, commas and semicolons are understood.`}
        >
          {({ id, describedBy }) => (
            <textarea
              id={id}
              rows={PASTED_LINES}
              className={`${inputClass(false)} figure py-3 text-[15px]`}
              value={text}
              onChange={(e) => setText(e.target.value)}
              aria-describedby={describedBy}
            />
          )}
        </Field>
        <div>
          <Button disabled={text.trim() === ''} onClick={() => onRows(new File([text], 'what you pasted'))}>
            Check these rows
          </Button>
        </div>
      </div>
    </details>
  );
}

function importWords({ fresh, bad }: LogPreview, { one, many }: LogWords): string {
  if (bad > 0) return fresh === 1 ? 'Import the one good row' : `Import the ${fresh} good rows`;
  return fresh === 1 ? `Import the ${one}` : `Import ${fresh} ${many}`;
}

function Preview({
  name,
  words,
  preview,
  busy,
  onTake,
  onLeave,
}: {
  name: string;
  words: LogWords;
  preview: LogPreview;
  busy: boolean;
  onTake: (goodRowsOnly: 'yes' | 'no') => void;
  onLeave: () => void;
}) {
  if (preview.fileIssue) {
    return (
      <div role="alert" className="border-l-4 border-stop pl-3">
        <h2 className="text-[20px]">
          {name} cannot be read as a {words.title.toLowerCase()}
        </h2>
        <p>{issueWords(preview.fileIssue)} Nothing was imported.</p>
      </div>
    );
  }
  const bad = preview.shown.filter((r) => r.status === 'bad');
  return (
    <section>
      <h2 className="text-[20px]">
        {name}: {preview.fresh} new, {preview.unchanged} there already, {preview.bad} not right
      </h2>
      <div className="mt-3 flex flex-wrap gap-3">
        {preview.fresh > 0 && (
          <Button look="solid" disabled={busy} onClick={() => onTake(preview.bad > 0 ? 'yes' : 'no')}>
            {busy ? 'Importing …' : importWords(preview, words)}
          </Button>
        )}
        <Button disabled={busy} onClick={onLeave}>
          Import nothing
        </Button>
      </div>
      {bad.length > 0 && (
        <div className="mt-4 overflow-x-auto" tabIndex={0} role="region" aria-label="Rows that are not right">
          <table className="w-full text-left text-[15px]">
            <thead>
              <tr className="border-b border-ink">
                {['Line', 'Pump', words.when, 'Column', 'What is wrong'].map((head) => (
                  <th key={head} scope="col" className="py-2 pr-3">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {bad.flatMap((row) =>
                row.issues.map((issue, i) => (
                  <tr key={`${row.line}/${issue.field}/${i}`} className="border-b border-rule-soft align-top">
                    <td className="figure py-2 pr-3">{row.line}</td>
                    <td className="py-2 pr-3 whitespace-nowrap">{row.pump}</td>
                    <td className="figure py-2 pr-3 whitespace-nowrap">{row.when}</td>
                    <td className="figure py-2 pr-3">{issue.field}</td>
                    <td className="py-2">{issueWords(issue)}</td>
                  </tr>
                )),
              )}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
