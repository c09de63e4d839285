import type { HouseSetUp } from '@winter-jar/core';
import { Download } from 'lucide-react';
import { useSetUpQuery } from '../api/house-api.js';
import { ImportShown } from '../entry-log/import-shown.js';
import { LogsHead } from '../entry-log/logs-head.js';
import { NOTEBOOK } from '../entry-log/log-words.js';
import { useLogImport } from '../entry-log/use-log-import.js';
import { Button } from '../ui/button.js';
import { FileExchange } from '../ui/file-exchange.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { PasteText } from '../ui/paste-text.js';
import { SelectField } from '../ui/select-field.js';
import { Unfolding } from '../ui/unfolding.js';
import { ColumnTable } from './column-table.js';
import { ENCODINGS, fileOfRows, templateFor, type Encoding } from './notebook-text.js';
import { capital, oneOrMore } from '../ui/number.js';
import { rowsWords } from './notebook-words.js';
import { Questions } from './questions.js';
import { RowsRead } from './rows-read.js';
import { useNotebook, type NotebookInHand } from './use-notebook.js';
import { WrongCells } from './wrong-cells.js';

/** A notebook, as people keep them, on its way in: understood, asked about, mended, checked, imported. */
export function NotebookPage() {
  const { data, isError, refetch } = useSetUpQuery();
  if (isError && !data)
    return (
      <Trouble title="The set-up could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!data) return <Loading what="the set-up" />;
  if (Object.keys(data.house.pump).length === 0)
    return <Trouble title="There is no pump yet">Add your pumps first: the rows of a notebook name them.</Trouble>;
  return <Notebook house={data.house} now={data.at} />;
}

function Notebook({ house, now }: { house: HouseSetUp; now: string }) {
  const notebook = useNotebook(house, now);
  const file = useLogImport('notebook');
  const { read } = notebook;
  const isUnderWay = file.answer !== null;
  const open = read?.questions.length ?? 0;
  const send = () => {
    if (read) void file.choose(new File([fileOfRows(read.rows)], notebook.chosen?.name ?? 'notebook.csv'));
  };
  return (
    <main className="mx-auto w-full max-w-[960px] px-4 pb-10 pt-5">
      <LogsHead title="A notebook" />
      <p className="mt-1 max-w-[68ch]">
        Rows as you keep them, from a file or copied out of a spreadsheet: any columns, dates and units as you write
        them, runs and oil changes together. You see how each row is understood before anything is written, and can undo
        all of it.
      </p>
      <FileExchange
        needs={['write', 'everySite']}
        wayOut={(wayIn) => (
          <div className="flex flex-wrap gap-3">
            {wayIn}
            <Button onClick={() => saveTemplate(house)}>
              <Download size={18} aria-hidden="true" /> An empty one to fill in
            </Button>
          </div>
        )}
        accept=".csv,.txt,.tsv,text/csv,text/plain,text/tab-separated-values"
        onFile={(chosen) => {
          file.clear();
          void notebook.choose(chosen);
        }}
        reading={file.sending ? 'the rows' : null}
        trouble={notebook.trouble ?? file.trouble}
        beside={
          <PasteText
            label="Cells of a spreadsheet, or rows of text"
            hint="Copy them with the line that names the columns, where there is one."
            button="Read these rows"
            onText={(text) => {
              file.clear();
              notebook.paste(text);
            }}
          />
        }
      >
        {file.answer && (
          <ImportShown
            name={file.fileName}
            words={NOTEBOOK}
            answer={file.answer}
            busy={file.busy}
            onTake={(goodRowsOnly) => void file.take(goodRowsOnly).then(() => notebook.drop())}
            onStop={() => void file.stop()}
            onLeave={() => file.leave()}
            onUndo={() => void file.undo()}
          />
        )}
      </FileExchange>
      {!isUnderWay && notebook.chosen && read && (
        <>
          <h2 className="text-[20px] wrap-anywhere">
            {notebook.chosen.name}: {rowsWords(notebook.sheet?.rows.length ?? 0)}
          </h2>
          <Columns notebook={notebook} />
          <Questions notebook={notebook} house={house} />
          <WrongCells notebook={notebook} />
          <RowsRead read={read} house={house} now={now} />
          <div className="sticky bottom-[var(--toasts,0px)] mt-6 flex flex-wrap items-center gap-3 border-t-2 border-ink bg-ground py-3">
            <Button look="solid" size="field" disabled={read.rows.length === 0 || file.sending} onClick={send}>
              Check {rowsWords(read.rows.length)}
            </Button>
            <Button size="field" onClick={() => notebook.drop()}>
              Put it away
            </Button>
            <p className="text-[15px]">{leftWords(open, read.wrong.length)} Nothing is written yet.</p>
          </div>
        </>
      )}
    </main>
  );
}

function leftWords(questions: number, wrong: number): string {
  const asked = questions === 0 ? '' : `${oneOrMore(questions, 'question')} ${questions === 1 ? 'is' : 'are'} open. `;
  const unread = wrong === 0 ? '' : `${rowsWords(wrong)} would be left out.`;
  return `${asked}${capital(unread)}`;
}

/** Opened by itself where a column is not known, or something that every row needs has none. */
function isPlain({ sheet, columns }: NotebookInHand): boolean {
  const says = (field: string) => columns.some((column) => column.field === field);
  const isUsed = (i: number) => sheet?.rows.some(({ cells }) => cells[i]);
  // A pressure in the wrong unit is wrong a thousandfold.
  const isSure = columns.every(({ field, isGuess }) => field !== 'pressurePa' || !isGuess);
  return isSure && says('pump') && says('date') && columns.every(({ field }, i) => field !== null || !isUsed(i));
}

function Columns({ notebook }: { notebook: NotebookInHand }) {
  const { chosen } = notebook;
  if (!chosen) return null;
  return (
    <Unfolding
      className="mt-4 border-b border-rule-soft"
      needed={!isPlain(notebook)}
      summary={
        <summary className="flex min-h-11 cursor-pointer items-center underline">
          What the columns say, and how the file is read
        </summary>
      }
    >
      {chosen.encoding && notebook.readAs && (
        <div className="my-2 max-w-80">
          <SelectField
            label="Its letters are read as"
            value={chosen.encoding}
            onChange={(encoding) => notebook.readAs?.(encoding as Encoding)}
            options={[...ENCODINGS]}
          />
        </div>
      )}
      <ColumnTable notebook={notebook} />
    </Unfolding>
  );
}

function saveTemplate(house: HouseSetUp): void {
  const link = document.createElement('a');
  const url = URL.createObjectURL(new Blob([templateFor(house, new Date())], { type: 'text/csv' }));
  link.href = url;
  link.download = 'notebook.csv';
  link.click();
  URL.revokeObjectURL(url);
}
