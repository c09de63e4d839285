import { lightFormat } from 'date-fns';
import { NOTEBOOK_FIELDS, type HouseSetUp, type NotebookRow } from '@winter-jar/core';
import { detect } from 'chardet';
import Papa from 'papaparse';

/** How the letters of a file can be written; what it is read as is shown, and can be changed. */
export const ENCODINGS = [
  { value: 'utf-8', words: 'Unicode (UTF-8)' },
  { value: 'utf-16le', words: 'Unicode (UTF-16)' },
  { value: 'windows-1252', words: 'Western Europe (Windows)' },
  { value: 'windows-1250', words: 'Central Europe (Windows)' },
  { value: 'windows-1254', words: 'Turkish (Windows)' },
  { value: 'macintosh', words: 'Western Europe (old Mac)' },
] as const;
export type Encoding = (typeof ENCODINGS)[number]['value'];

const MARK = '\uFEFF';
const ZEROS = 0.2;

/** What a file's letters are written in: by its mark, as Unicode where that reads without a fault, else by what letters are likely. */
export function encodingOf(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  const head = bytes.subarray(0, 2000);
  if (head.length > 0 && head.filter((byte) => byte === 0).length / head.length > ZEROS) return 'utf-16le';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    const likely = detect(bytes)?.toLowerCase() ?? '';
    if (likely === 'iso-8859-2' || likely === 'windows-1250') return 'windows-1250';
    return ENCODINGS.find(({ value }) => value === likely)?.value ?? 'windows-1252';
  }
}

export const textOf = (bytes: Uint8Array, encoding: Encoding): string =>
  new TextDecoder(encoding).decode(bytes).replace(MARK, '');

/** Lines of cells, parted by whatever parts them: commas, semicolons, tabs. */
export const linesOf = (text: string): string[][] =>
  Papa.parse<string[]>(text, { skipEmptyLines: false, delimitersToGuess: ['\t', ';', ',', '|'] }).data;

/** What was understood, in the form that the server takes in: docs/formats.md. */
export function fileOfRows(rows: readonly NotebookRow[]): string {
  const lines = rows.map((row) => ({
    ...row.cells,
    line: row.line,
    what: row.kind,
    pump: row.pumpId,
    at: row.at,
    precision: row.dayOnly ? 'day' : 'exact',
    minutes: row.minutes ?? '',
    who: harmless(row.who),
    remark: harmless(row.remark),
  }));
  const columns = [...new Set(lines.flatMap((line) => Object.keys(line)))];
  return Papa.unparse(lines, { columns });
}

/** The escape of free text that every log has. */
const harmless = (text: string): string => (/^[=+\-@']/.test(text) ? `'${text}` : text);

/** An empty notebook with its columns and three rows that show how they are filled. */
export function templateFor(house: HouseSetUp, now: Date): string {
  const day = lightFormat(now, 'yyyy-MM-dd');
  const [pump] = Object.values(house.pump);
  const material = Object.values(house.material).find(
    ({ process }) => process === house.site[pump?.siteId ?? '']?.process,
  );
  const name = pump?.name ?? 'Pump 1';
  const header = [
    ...['Date', 'Start', 'Pump', 'What', 'Hours', 'Material', 'Trap °C', 'Lowest pressure', 'Ballast'],
    ...['Oil in', 'Oil level', 'Who', 'Remark'],
  ];
  const remark = 'example: rows that begin so are passed over';
  return Papa.unparse([
    header,
    [day, '14:05', name, 'run', '20 h', material?.name ?? '', '-41', '0.05 hPa', 'closed', '', '', '', remark],
    [day, '', name, 'oil change', '', '', '', '', '', '700 mL', 'ok', '', remark],
    [day, '', name, 'top up', '', '', '', '', '', '40 mL', 'ok', '', remark],
  ]);
}

/** The most rows that are read in the browser. */
export const MOST_ROWS = 20_000;
export const FIELD_ORDER = Object.keys(NOTEBOOK_FIELDS) as (keyof typeof NOTEBOOK_FIELDS)[];
