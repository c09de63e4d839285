import Papa from 'papaparse';

/** Hands a table to the browser as a file. */
export function saveCsv(rows: readonly object[], fileName: string): void {
  const url = URL.createObjectURL(new Blob([Papa.unparse([...rows], { escapeFormulae: true })], { type: 'text/csv' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(url);
}
