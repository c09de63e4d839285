import { number } from '../ui/number.js';
import {
  guessColumns,
  knownNames,
  NO_ANSWERS,
  readNotebook,
  sheetOf,
  type HouseSetUp,
  type NotebookAnswers,
  type NotebookColumn,
  type NotebookRead,
  type NotebookSheet,
} from '@winter-jar/core';
import { useEffect, useMemo, useState } from 'react';
import { useUnits } from '../device/use-units.js';
import { dropDraft, loadDraft, saveDraft } from '../forms/drafts.js';
import { DECIMAL_COMMA } from '../ui/typed-number.js';
import { encodingOf, linesOf, MOST_ROWS, textOf, type Encoding } from './notebook-text.js';
import { remember, rememberedOf, shapeOf, stillKnown } from './remembered-shapes.js';

const DRAFT = 'notebook';
/** Longer ones are not kept over a reload. */
const MOST_KEPT = 2_000_000;

/** A notebook as it was chosen or pasted. */
interface Chosen {
  readonly name: string;
  readonly text: string;
  /** Null where the text was pasted. */
  readonly encoding: Encoding | null;
}

interface Said {
  readonly columns: readonly NotebookColumn[] | null;
  readonly answers: NotebookAnswers;
  /** Cells that were mended here, by line and column. */
  readonly mended: Readonly<Record<string, string>>;
}

const NOTHING_SAID: Said = { columns: null, answers: NO_ANSWERS, mended: {} };
export const cellKey = (line: number, column: number): string => `${line}/${column}`;

/** @param width how many columns there are: a row may end before the cell that was mended */
const withMended = (sheet: NotebookSheet, mended: Said['mended'], width: number): NotebookSheet => ({
  ...sheet,
  rows: sheet.rows.map(({ line, cells }) => ({
    line,
    cells: Array.from({ length: width }, (_, i) => mended[cellKey(line, i)] ?? cells[i] ?? ''),
  })),
});

/** What a notebook says, read anew with every answer; kept on this device until it was taken over or dropped. */
export function useNotebook(house: HouseSetUp, now: string) {
  const units = useUnits();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [bytes, setBytes] = useState<Uint8Array | null>(null);
  const [said, setSaid] = useState<Said>(NOTHING_SAID);
  const [trouble, setTrouble] = useState<string | null>(null);
  const nowMs = Date.parse(now);
  const today = now.slice(0, 10);

  useEffect(() => {
    void loadDraft(DRAFT).then((draft) => {
      if (!draft) return;
      const kept = draft.values as unknown as { chosen: Chosen; said: Said };
      setChosen((present) => present ?? kept.chosen);
      setSaid((present) => (present === NOTHING_SAID ? kept.said : present));
    });
  }, []);
  useEffect(() => {
    if (chosen && chosen.text.length <= MOST_KEPT) void saveDraft(DRAFT, { ids: {}, values: { chosen, said } });
  }, [chosen, said]);

  const sheet = useMemo(() => (chosen ? sheetOf(linesOf(chosen.text), today) : null), [chosen, today]);
  const guessed = useMemo(
    () => (sheet ? guessColumns(sheet, { known: knownNames(house), today, preferred: units }) : []),
    [sheet, house, today, units],
  );
  const columns = said.columns ?? guessed;
  const read = useMemo((): NotebookRead | null => {
    if (!sheet) return null;
    const answers = stillKnown(said.answers, house);
    return readNotebook({
      sheet: withMended(sheet, said.mended, columns.length),
      columns,
      answers,
      house,
      nowMs,
      decimalComma: DECIMAL_COMMA,
    });
  }, [sheet, said, columns, house, nowMs]);

  function take(next: Chosen): void {
    setTrouble(null);
    const found = sheetOf(linesOf(next.text), today);
    if (found.rows.length === 0) return setTrouble(`${next.name} has no rows.`);
    if (found.rows.length > MOST_ROWS)
      return setTrouble(
        `${next.name} has more than ${number(MOST_ROWS)} rows. Cut it into parts; each row stands for itself.`,
      );
    const known = rememberedOf(shapeOf(found));
    setSaid(known ? { columns: known.columns, answers: stillKnown(known.answers, house), mended: {} } : NOTHING_SAID);
    setChosen(next);
  }

  const say = (more: Partial<Said>) => {
    const next = { ...said, ...more };
    setSaid(next);
    if (sheet) remember({ shape: shapeOf(sheet), columns: next.columns ?? guessed, answers: next.answers });
  };

  return {
    chosen,
    sheet,
    columns,
    read,
    said,
    trouble,
    async choose(file: File) {
      const read = new Uint8Array(await file.arrayBuffer());
      const encoding = encodingOf(read);
      setBytes(read);
      take({ name: file.name, text: textOf(read, encoding), encoding });
    },
    paste(text: string) {
      setBytes(null);
      take({ name: 'what you pasted', text, encoding: null });
    },
    /** Reads the same file as written in other letters; null where the file is not here any more. */
    readAs:
      bytes && chosen ? (encoding: Encoding) => take({ ...chosen, text: textOf(bytes, encoding), encoding }) : null,
    setColumn(at: number, column: NotebookColumn) {
      const taken = (i: number) => i !== at && column.field !== 'remark' && columns[i]?.field === column.field;
      say({ columns: columns.map((one, i) => (i === at ? column : taken(i) ? { field: null, unit: null } : one)) });
    },
    answer: (answers: Partial<NotebookAnswers>) => say({ answers: { ...said.answers, ...answers } }),
    mend: (line: number, column: number, text: string) =>
      setSaid({ ...said, mended: { ...said.mended, [cellKey(line, column)]: text } }),
    drop() {
      setChosen(null);
      setSaid(NOTHING_SAID);
      void dropDraft(DRAFT);
    },
  };
}

export type NotebookInHand = ReturnType<typeof useNotebook>;
