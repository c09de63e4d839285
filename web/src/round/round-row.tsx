import type { RoundRow as Row } from '@winter-jar/contracts';
import { memo, useLayoutEffect } from 'react';
import { Link } from 'react-router';
import { barWords, flagWords, rulerWords } from '../words/bar-words.js';
import { jarNow, jarWords } from '../words/jar-words.js';
import { verdictWords } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { layersOf } from '../ui/jar-layout.js';
import { Jar } from '../ui/jar.js';
import { RunRuler } from '../ui/run-ruler.js';
import { rowLine } from './running.js';
import { useWidth } from '../ui/use-width.js';
import { Verdict } from '../ui/verdict.js';

interface RoundRowProps {
  readonly row: Row;
  readonly words: Words;
  readonly selected: boolean;
  readonly wide: boolean;
  readonly rulerPx: number;
  /** Deeds about it that have not reached the server. */
  readonly waiting: number;
  /** Asked of one row for all: each that measures itself would have the whole page laid out. */
  readonly onRulerPx?: ((px: number) => void) | undefined;
  readonly onSelect: (pumpId: string) => void;
}

/** Where it stands; under its site's heading the site is not said again. */
function placeWords(row: Row, wide: boolean): string {
  const place = row.verdict === 'runOn' && wide ? row.equipmentName : `${row.siteName} · ${row.equipmentName}`;
  if (row.place === 'lent') return `Lent · ${place}`;
  return row.kind === 'vane' ? place : `${row.kind === 'dry' ? 'Dry' : 'Booster'} · ${place}`;
}

/** About as high as a row is, until it comes into view. */
export const ROW_PX = { wide: 69, narrow: 132 } as const;

/** Nothing to see: says how wide the rulers are. */
function Measured({ onPx }: { onPx: (px: number) => void }) {
  const [ref, px] = useWidth<HTMLDivElement>(0);
  useLayoutEffect(() => {
    if (px > 0) onPx(px);
  }, [px, onPx]);
  return <div ref={ref} />;
}

/** A pump in the Round: name, jar, ruler, verdict and what comes next. A tap shows it, Enter opens it. */
export const RoundRow = memo(function RoundRow({
  row,
  words,
  selected,
  wide,
  rulerPx,
  waiting,
  onRulerPx,
  onSelect,
}: RoundRowProps) {
  const jar = jarNow(row);
  const select = (event: React.MouseEvent) => {
    if (!wide || event.detail === 0 || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    onSelect(row.pumpId);
  };
  return (
    <Link
      to={`/pumps/${row.pumpId}`}
      id={`row-${row.pumpId}`}
      onClick={select}
      onFocus={() => wide && onSelect(row.pumpId)}
      aria-current={selected ? 'true' : undefined}
      style={{ contentVisibility: 'auto', containIntrinsicBlockSize: `auto ${wide ? ROW_PX.wide : ROW_PX.narrow}px` }}
      className={`grid grid-cols-[36px_1fr] items-center gap-x-3 gap-y-1 px-2 py-2 text-ink no-underline wide:grid-cols-[184px_32px_minmax(0,1fr)_minmax(0,248px)] wide:gap-x-5 wide:py-1 ${
        selected && wide
          ? 'rounded-[6px] bg-sheet outline-2 -outline-offset-2 outline-ink'
          : 'border-b border-rule-soft hover:bg-sheet'
      }`}
    >
      <div className="col-start-2 row-start-1 flex min-w-0 flex-wrap items-baseline justify-between gap-x-3 wide:col-start-1 wide:block">
        <span dir="auto" className="figure block min-w-0 text-[16px] font-bold wrap-anywhere">
          {row.name}
        </span>
        <span className="block truncate text-[14px] text-ink-2">
          {waiting > 0 && <span className="font-semibold text-ink">{waiting} waiting · </span>}
          {placeWords(row, wide)}
        </span>
      </div>
      <div className="row-span-3 row-start-1 self-start pt-1 wide:row-span-1 wide:self-center wide:pt-0">
        {row.kind === 'vane' && (
          <Jar layers={layersOf(jar, row.chargeMl)} width={24} label={jarWords(jar, row.chargeMl, words.print)} />
        )}
      </div>
      <div className="col-start-2 row-start-2 wide:col-start-4 wide:row-start-1">
        <Verdict level={row.verdict} words={verdictWords(row.verdict, row.act)} />
        <span className="block text-[15px] wide:pl-6 wide:text-[14.5px]">{rowLine(row, words)}</span>
      </div>
      <div className="col-start-2 row-start-3 min-w-0 overflow-hidden wide:col-start-3 wide:row-start-1">
        {onRulerPx && <Measured onPx={onRulerPx} />}
        <RunRuler
          ruler={row.ruler}
          width={rulerPx}
          label={rulerWords(row.name, row.ruler)}
          wordsOf={(bar) => barWords(bar, row.materialNames, words)}
          flagText={flagWords(row.ruler)}
        />
      </div>
    </Link>
  );
});
