import { appendFileSync } from 'node:fs';
import { join } from 'node:path';
import type { FieldIssue, RefusedRow } from '@winter-jar/contracts';
import Papa from 'papaparse';
import { REPORT_COLUMNS } from './csv-rows.js';
import { escapeFormula, type Row } from './csv-table.js';

/** So many are shown at once; the report has them all. */
const SHOWN = 200;

function because({ value, code, right }: FieldIssue): string {
  const found = value === null || value === undefined || value === '' ? 'nothing' : JSON.stringify(value);
  return code === 'missing' ? `missing: right would be ${right}` : `${found} is not right: right would be ${right}`;
}

/** The refused rows of a file as a file of the same columns, with the reasons behind them: it can be mended and imported. */
export class RefusedRows {
  readonly path: string;
  readonly first: RefusedRow[] = [];
  count = 0;
  private pending: string[][] = [];
  private begun = false;

  constructor(folder: string) {
    this.path = join(folder, 'refused.csv');
  }

  add(row: Row, refused: RefusedRow, header: readonly string[]): void {
    if (!this.begun) this.pending.push([...header, ...REPORT_COLUMNS]);
    this.begun = true;
    this.count += 1;
    if (this.first.length < SHOWN) this.first.push(refused);
    const columns = refused.issues.map((issue) => issue.field).join(', ');
    const reasons = refused.issues.map(because).join('; ');
    this.pending.push(
      [...header.map((c) => row[c] ?? ''), String(refused.line), columns, reasons].map((cell) => escapeFormula(cell)),
    );
  }

  /** Puts on the disk what was added since. */
  save(): void {
    if (this.pending.length === 0) return;
    appendFileSync(this.path, Papa.unparse(this.pending, { newline: '\r\n' }) + '\r\n');
    this.pending = [];
  }
}
