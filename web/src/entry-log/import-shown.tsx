import { number, oneOrMore } from '../ui/number.js';
import type { LogImportAnswer, RefusedRow } from '@winter-jar/contracts';
import { Download, Undo2 } from 'lucide-react';
import { useLogImportEffectQuery } from '../api/house-api.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { EffectList } from '../effect/effect-list.js';
import { issueWords } from '../words/issue-words.js';
import { Button, buttonClass, LinkButton } from '../ui/button.js';
import { UnderWay } from '../ui/under-way.js';
import type { LogWords } from './log-words.js';

const leftOut = (rows: number): string =>
  rows === 0 ? 'No row was left out.' : `${oneOrMore(rows, 'row')} ${rows === 1 ? 'was' : 'were'} left out.`;

interface Shown {
  readonly name: string;
  readonly words: LogWords;
  readonly answer: LogImportAnswer;
  readonly busy: boolean;
  readonly onTake: (goodRowsOnly: boolean) => void;
  readonly onStop: () => void;
  readonly onLeave: () => void;
  readonly onUndo: () => void;
}

/** An import where it stands: under way, waiting for a word, or at its end. */
export function ImportShown(shown: Shown) {
  const { name, words, answer, busy, onStop, onUndo } = shown;
  switch (answer.state) {
    case 'reading':
      return (
        <UnderWay
          title={`Checking ${name}`}
          progress={answer.progress}
          words={`${number(answer.rows)} rows so far, ${number(answer.refused)} not right. Nothing is written yet.`}
          stop="Stop and import nothing"
          busy={busy}
          onStop={onStop}
        />
      );
    case 'writing':
      return (
        <UnderWay
          title={`Importing ${name}`}
          progress={answer.progress}
          words={`${number(answer.written)} of ${number(answer.fresh)} ${words.many}. Others can go on working; if you stop, all of it is taken back.`}
          stop="Stop and import nothing"
          busy={busy}
          onStop={onStop}
        />
      );
    case 'takingBack':
      return <p role="status">Taking back what was written …</p>;
    case 'ready':
      return <Ready {...shown} />;
    case 'done':
      return (
        <div className="border-l-4 border-run-on pl-3">
          <h2 className="text-[20px]">
            {answer.written === 1 ? `One ${words.one}` : `${number(answer.written)} ${words.many}`} imported from {name}
          </h2>
          <p>
            {number(answer.unchanged)} were there already. {leftOut(answer.refused)}
          </p>
          {answer.canBeUndone && (
            <div className="mt-3 flex flex-wrap gap-3">
              <LinkButton look="solid" to="/">
                To the Round
              </LinkButton>
              <Button disabled={busy} onClick={onUndo}>
                <Undo2 size={18} aria-hidden="true" /> Undo the whole import
              </Button>
            </div>
          )}
          <ReportLink answer={answer} />
        </div>
      );
    case 'undone':
      return <p role="status">The import of {name} was undone. Nothing of it was left behind.</p>;
    case 'cancelled':
      return <p role="status">{name} was not imported. Nothing of it was left behind.</p>;
    case 'failed':
      return (
        <div role="alert" className="border-l-4 border-stop pl-3">
          <h2 className="text-[20px]">
            {name} cannot be read as a {words.title.toLowerCase()}
          </h2>
          <p>
            {answer.fileIssue ? issueWords(answer.fileIssue) : 'The server could not go on with it.'} Nothing was
            imported.
          </p>
        </div>
      );
  }
}

function importWords({ fresh, refused }: LogImportAnswer, { one, many }: LogWords): string {
  if (refused > 0) return fresh === 1 ? 'Import the one good row' : `Import the ${number(fresh)} good rows`;
  return fresh === 1 ? `Import the ${one}` : `Import ${number(fresh)} ${many}`;
}

function Ready({ name, words, answer, busy, onTake, onLeave }: Shown) {
  const { fresh, unchanged, refused, firstRefused } = answer;
  return (
    <section>
      <h2 className="text-[20px]">
        {name}: {number(fresh)} new, {number(unchanged)} there already, {number(refused)} not right
      </h2>
      <div className="mt-3 flex flex-wrap gap-3">
        {fresh > 0 && (
          <Button look="solid" disabled={busy} onClick={() => onTake(refused > 0)}>
            {importWords(answer, words)}
          </Button>
        )}
        <Button disabled={busy} onClick={onLeave}>
          Import nothing
        </Button>
      </div>
      {fresh > 0 && <WhatItChanges importId={answer.id} />}
      <ReportLink answer={answer} />
      {refused > 0 && <RefusedTable rows={firstRefused} when={words.when} />}
      {refused > firstRefused.length && (
        <p className="mt-3">
          The first {number(firstRefused.length)} are shown here; the report has all {number(refused)}.
        </p>
      )}
    </section>
  );
}

/** Pump by pump, tried beforehand; a long import is not. */
function WhatItChanges({ importId }: { importId: string }) {
  const print = usePrint();
  const now = useNow();
  const { data } = useLogImportEffectQuery(importId, { refetchOnMountOrArgChange: true });
  if (!data?.effects) return null;
  return (
    <div className="mt-4">
      <h3 className="text-[17px]">What it changes</h3>
      <EffectList effects={data.effects} wordsFor={(zone) => ({ print, zone, now })} />
    </div>
  );
}

/** The refused rows as a file: its columns are the log's own, so that it can be mended and chosen again. */
function ReportLink({ answer: { id, refused } }: { answer: LogImportAnswer }) {
  if (refused === 0) return null;
  return (
    <p className="mt-4">
      <a href={`/api/imports/${id}/refused`} download="refused-rows.csv" className={buttonClass('outline')}>
        <Download size={18} aria-hidden="true" />{' '}
        {refused === 1 ? 'The refused row' : `The ${number(refused)} refused rows`} as CSV
      </a>
      <span className="mt-1 block text-[15px] text-ink-2">
        With the reason behind each row. Mend it there and choose the file again.
      </span>
    </p>
  );
}

function RefusedTable({ rows, when }: { rows: readonly RefusedRow[]; when: string }) {
  return (
    <div className="mt-4 overflow-x-auto" tabIndex={0} role="region" aria-label="Rows that are not right">
      <table className="w-full text-left text-[15px]">
        <thead>
          <tr className="border-b border-ink">
            {['Line', 'Pump', when, 'Column', 'What is wrong'].map((head) => (
              <th key={head} scope="col" className="py-2 pr-3">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.flatMap((row) =>
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
  );
}
