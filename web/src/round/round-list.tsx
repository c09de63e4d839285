import type { RoundRow as Row } from '@winter-jar/contracts';
import { memo, startTransition, useEffect, useState } from 'react';
import type { Words } from '../words/words.js';
import type { RoundGroup } from './round-order.js';
import { useWaitingByPump } from '../sending/use-waiting.js';
import { RoundRow, ROW_PX } from './round-row.js';

type Line = { readonly kind: 'title'; readonly group: RoundGroup } | { readonly kind: 'row'; readonly row: Row };

export const linesOf = (groups: readonly RoundGroup[]): Line[] =>
  groups.flatMap((group): Line[] => [
    { kind: 'title', group },
    ...group.rows.map((row): Line => ({ kind: 'row', row })),
  ]);

/** Drawn at once: a screenful. The rest comes in turns that give way to whoever types or scrolls. */
const AT_FIRST = 16;
const AT_ONCE = 8;
/** Until the first row was measured: all are as wide. */
const FIRST_RULER_PX = 320;

/** The pumps under their headings. The browser passes over what is out of view, and finds in the page what it holds. */
export const RoundList = memo(function RoundList({
  lines,
  selected,
  wide,
  wordsFor,
  onSelect,
}: {
  lines: readonly Line[];
  selected: Row | null;
  wide: boolean;
  wordsFor: (zone: string) => Words;
  onSelect: (pumpId: string) => void;
}) {
  const waiting = useWaitingByPump();
  const [grown, setGrown] = useState(AT_FIRST);
  const [rulerPx, setRulerPx] = useState(FIRST_RULER_PX);
  useEffect(() => {
    if (grown >= lines.length) return;
    const next = setTimeout(() => startTransition(() => setGrown((n) => n + AT_ONCE)));
    return () => clearTimeout(next);
  }, [grown, lines.length]);
  const isRow = (line: Line, row: Row | null) => line.kind === 'row' && line.row === row;
  // Whoever walks down with the keys is not waited for.
  const drawn = Math.max(grown, lines.findIndex((line) => isRow(line, selected)) + 1);
  const first = lines.findIndex((line) => line.kind === 'row');
  const notDrawn = Math.max(0, lines.length - drawn);
  return (
    <>
      {lines.slice(0, drawn).map((line, i) =>
        line.kind === 'title' ? (
          <h2 key={`title ${line.group.key}`} className="border-b hairline px-2 pb-1 pt-3 text-[18px]">
            {line.group.title}{' '}
            {line.group.note && <span className="font-sans text-[14px] font-normal text-ink-2">{line.group.note}</span>}
          </h2>
        ) : (
          <RoundRow
            key={line.row.pumpId}
            row={line.row}
            words={wordsFor(line.row.zone)}
            selected={isRow(line, selected)}
            wide={wide}
            rulerPx={rulerPx}
            waiting={waiting.get(line.row.pumpId) ?? 0}
            onRulerPx={i === first ? setRulerPx : undefined}
            onSelect={onSelect}
          />
        ),
      )}
      {/* What is not drawn yet has its place, so that the page is as long from the start. */}
      <div style={{ height: notDrawn * (wide ? ROW_PX.wide : ROW_PX.narrow) }} />
    </>
  );
});
