import type { Readable } from 'node:stream';
import type { FieldIssue } from '@winter-jar/contracts';
import Papa from 'papaparse';
import { bad, type Columns, type Row } from './csv-table.js';

/** Columns of a report of refused rows: passed over where the mended file comes back. */
export const REPORT_COLUMNS = ['refused_line', 'refused_column', 'refused_because'];

/** A row longer than this is a quote that was never closed. */
const LONGEST_ROW = 1_000_000;

/** Thrown when the file as a whole cannot be read: its header or its quotes are not right. */
export class FileRefused extends Error {
  constructor(readonly issue: FieldIssue) {
    super(issue.right);
  }
}

/** A piece of a file. */
export interface Piece {
  /** The header's columns that a log has. */
  readonly header: readonly string[];
  readonly rows: readonly Row[];
  /** Line of the first row; the header is line 1. */
  readonly line: number;
}

/**
 * Reads a CSV file with a header line piece by piece: never more than one piece is held.
 * @param text the file, as UTF-8 text
 * @throws FileRefused
 */
export async function* csvRows(text: Readable, columns: Columns): AsyncGenerator<Piece> {
  let line = 2;
  let sinceRow = 0;
  let header: readonly string[] | null = null;
  text.on('data', (part: string) => (sinceRow += part.length));
  for await (const { data, errors, meta } of parsed(text)) {
    header ??= checkedHeader(meta.fields ?? [], columns);
    const broken = errors.find((e) => e.type === 'Quotes');
    if (broken) throw brokenQuotes(line + (broken.row ?? 0));
    if (data.length > 0) {
      yield { header, rows: data, line };
      sinceRow = 0;
    }
    line += data.length;
    if (sinceRow > LONGEST_ROW) throw brokenQuotes(line);
  }
  if (!header) checkedHeader([], columns);
}

type Parsed = Papa.ParseResult<Row>;

/** What the parser finds, one piece at a time: it waits until the last one was taken. */
async function* parsed(text: Readable): AsyncGenerator<Parsed> {
  let tell: (next: Parsed | Error | null) => void = () => undefined;
  let goOn = () => {
    Papa.parse<Row, Readable>(text, {
      header: true,
      skipEmptyLines: 'greedy',
      beforeFirstChunk: (chunk) => chunk.replace(/^\uFEFF/, ''),
      chunk: (results, parser) => {
        // The parser's pause leaves the file flowing into its queue: both must wait.
        parser.pause();
        text.pause();
        goOn = () => {
          text.resume();
          parser.resume();
        };
        tell(results);
      },
      complete: () => tell(null),
      error: (error: Error) => tell(error),
    });
  };
  try {
    for (;;) {
      const next = await new Promise<Parsed | Error | null>((resolve) => {
        tell = resolve;
        goOn();
      });
      if (next === null) return;
      if (next instanceof Error) throw next;
      yield next;
    }
  } finally {
    text.destroy();
  }
}

const refuse = (value: string, code: string, right: string) => new FileRefused(bad('file', value, code, right));
const brokenQuotes = (line: number) =>
  refuse(`line ${line}`, 'brokenQuotes', 'quotes that are closed: the file may be cut off');

function checkedHeader(found: readonly string[], columns: Columns): readonly string[] {
  const header = found.filter((c) => !REPORT_COLUMNS.includes(c));
  const missing = columns.required.filter((c) => !header.includes(c));
  if (missing.length > 0) {
    const right = `a header line with the columns ${columns.required.join(', ')}; missing: ${missing.join(', ')}`;
    throw refuse(header.join(', ').slice(0, 200), 'missingColumns', right);
  }
  const unknown = header.filter((c) => !columns.all.includes(c));
  if (unknown.length > 0)
    throw refuse(unknown.join(', '), 'unknownColumns', `only the columns ${columns.all.join(', ')}`);
  return header;
}
