import type { LogName } from '@winter-jar/contracts';
import { useParams } from 'react-router';
import { DownloadButton } from '../downloads/download-button.js';
import { FileExchange } from '../ui/file-exchange.js';
import { Trouble } from '../ui/page-state.js';
import { PasteText } from '../ui/paste-text.js';
import { ImportShown } from './import-shown.js';
import { LOGS, type LogWords } from './log-words.js';
import { LogContents } from './log-contents.js';
import { LogsHead } from './logs-head.js';
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
      <LogsHead title={words.title} />
      <LogContents name={name} words={words} />
      <p className="mt-5 max-w-[68ch]">
        All {words.many} as one CSV file, one row per {words.one}, readable by any spreadsheet. What you export here can
        be imported again; rows that are there already stay as they are.
      </p>
      <FileExchange
        needs={['write', 'everySite']}
        wayOut={(wayIn) => (
          <DownloadButton what={name} making={`Making the ${words.title.toLowerCase()}`} beside={wayIn}>
            Export all {words.many}
          </DownloadButton>
        )}
        accept=".csv,text/csv"
        onFile={(chosen) => void file.choose(chosen)}
        reading={file.sending ? 'the file' : null}
        trouble={file.trouble}
        beside={
          <PasteText
            label={`${words.title}, one row per ${words.one}`}
            hint={`The first line names the columns, such as ${words.example}. Rows in other words go in as a notebook.`}
            button="Check these rows"
            onText={(text) => void file.choose(new File([text], 'what you pasted'))}
          />
        }
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
            onUndo={() => void file.undo()}
          />
        )}
      </FileExchange>
    </main>
  );
}
