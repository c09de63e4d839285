import type { Separator } from '../journal/index.js';

const BLANKS = /\s+/;
/** Anything but what parts them, or a quoted cell with whatever is in it. */
const quotedCells = (separator: Separator): RegExp =>
  new RegExp(
    `("(?:[^"]|"")*"|[^"${separator === '\t' ? '\\t' : `\\${separator}`}]*)(?:\\${separator === '\t' ? 't' : separator}|$)`,
    'y',
  );
const QUOTED = new Map<Separator, RegExp>();

/** The cells of a row, without the blanks and quotes around them. */
export function cellsOf(line: string, separator: Separator): string[] {
  if (separator === ' ') return line.trim().split(BLANKS).map(unquoted);
  if (!line.includes('"')) return line.split(separator).map((c) => c.trim());
  const form = QUOTED.get(separator) ?? quotedCells(separator);
  QUOTED.set(separator, form);
  const cells: string[] = [];
  form.lastIndex = 0;
  for (let at = 0; at < line.length; at = form.lastIndex) {
    const found = form.exec(line);
    // An open quote: taken as it stands.
    if (!found || found[0] === '') return line.split(separator).map(unquoted);
    cells.push(unquoted(found[1] ?? ''));
  }
  if (line.endsWith(separator)) cells.push('');
  return cells;
}

const unquoted = (cell: string): string => {
  const text = cell.trim();
  return text.length > 1 && text.startsWith('"') && text.endsWith('"')
    ? text.slice(1, -1).replace(/""/g, '"').trim()
    : text.replace(/^"|"$/g, '');
};

const COMMENT = /^\s*(?:#|%|!|\*|\/\/|--|;\s*\p{L}|'(?!\d))/u;
export const isComment = (line: string): boolean => COMMENT.test(line);
