import type { LogName } from '@winter-jar/contracts';
import { useState } from 'react';
import { NavLink, useParams } from 'react-router';
import { PageTitle } from '../ui/page-title.js';
import { Button } from '../ui/button.js';
import { Field, inputClass } from '../ui/field.js';
import { DownloadButton } from '../downloads/download-button.js';
import { FileExchange } from '../ui/file-exchange.js';
import { Trouble } from '../ui/page-state.js';
import { ImportShown } from './import-shown.js';
import { LOGS, type LogWords } from './log-words.js';
import { useLogImport } from './use-log-import.js';

const NAMES = Object.keys(LOGS) as LogName[];

/** All entries of one kind as a CSV file: out as a whole, in with a preview of every row that is not right. */
export function EntryLogPage() {
  const { log } = useParams();
  const name = NAMES.find((n) => n === log);
  if (!name) return <Trouble title="There is no such log">Runs and looks come and go as files.</Trouble>;
  return <EntryLog key={name} name={name} words={LOGS[name]} />;
}

function EntryLog({ name, words }: { name: LogName; words: LogWords }) {
  const file = useLogImport(name);
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
        wayOut={(wayIn) => (
          <DownloadButton what={name} making={`Making the ${words.title.toLowerCase()}`} beside={wayIn}>
            Export all {words.many}
          </DownloadButton>
        )}
        accept=".csv,text/csv"
        onFile={(chosen) => void file.choose(chosen)}
        reading={file.sending ? 'the file' : null}
        trouble={file.trouble}
        beside={<PasteRows words={words} onRows={(rows) => void file.choose(rows)} />}
      >
        {file.answer && (
          <ImportShown
            name={file.fileName}
            words={words}
            answer={file.answer}
            busy={file.busy}
            onTake={(goodRowsOnly) => void file.take(goodRowsOnly)}
            onStop={() => void file.stop()}
            onLeave={() => file.leave()}
          />
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
