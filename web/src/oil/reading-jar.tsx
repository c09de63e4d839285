import { typedQuantity } from '../ui/typed-number.js';
import { capital } from '../ui/number.js';
import type { Print } from '../device/use-print.js';
import { useUnits } from '../device/use-units.js';
import { LAYER_WORDS } from '../words/jar-words.js';
import { layerStack, shareOfHeight, volumeAtShare } from '../ui/jar-layout.js';
import { halfWidthAt } from '../ui/jar-outline.js';
import { insideOf, Jar, type Underlay } from '../ui/jar.js';
import { quantityText } from '../ui/quantity-text.js';
import {
  edgeMl,
  mlAtEdge,
  mlOf,
  readingStepMl,
  scaleStepMl,
  setLayer,
  spread,
  stackOf,
  withOil,
  type JarLayers,
  type SetLayer,
} from './jar-volumes.js';
import { type JarShape } from '@winter-jar/core';
import { MoveVertical } from 'lucide-react';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

export interface ReadingJarProps {
  readonly layers: JarLayers;
  readonly totalMl: number;
  readonly shape: JarShape;
  readonly denser: boolean;
  readonly colour: number | null;
  /** No layer of haze is drawn, and yet the oil is not bright. */
  readonly hazy: boolean;
  readonly underlay: Underlay | null;
  readonly onLayers: (layers: JarLayers) => void;
}

const WIDTH = 204;
const HEIGHT = 480;
const ROW_GAP = 60;

/** The jar as it is drawn while it is read. */
export function PaintedJar({
  layers,
  totalMl,
  shape,
  denser,
  colour,
  hazy,
  underlay,
  print,
  width = WIDTH,
  height = HEIGHT,
}: Omit<ReadingJarProps, 'onLayers'> & { print: Print; width?: number; height?: number }) {
  const volumes = withOil(layers, totalMl);
  const drawn = hazy ? { ...volumes, hazyMl: volumes.hazyMl + volumes.oilMl, oilMl: 0 } : volumes;
  const stack = layerStack(drawn, colour, denser);
  const label = stack
    .filter((l) => l.ml > 0)
    .map((l) => `${LAYER_WORDS[l.kind]} ${print.volume(l.ml)}`)
    .join(', ');
  return (
    <Jar
      layers={stack}
      width={width}
      height={height}
      shape={shape}
      scaleMl={scaleStepMl(shape.points.at(-1)?.ml ?? 1)}
      underlay={underlay}
      label={`The jar: ${label || 'nothing in it yet'}`}
    />
  );
}

/** The jar with an edge to drag, step or type for each layer; together they stay what was drained. */
export function ReadingJar({ print, ...jar }: ReadingJarProps & { print: Print }) {
  const { layers, totalMl, shape, denser, onLayers } = jar;
  const inside = insideOf(WIDTH, HEIGHT);
  const floor = inside.top + inside.height;
  const yOf = (ml: number) => floor - shareOfHeight(ml, totalMl, shape) * inside.height;
  /** A little inside the jar's right wall at this height. */
  const wallX = (y: number) => (WIDTH / 2) * (1 + halfWidthAt((floor - y) / inside.height, shape)) - 14;
  const set = (kind: SetLayer, by: 'edge' | 'amount') => (ml: number) =>
    onLayers(setLayer({ layers, kind, ml, totalMl, denser, by }));
  const topDown = [...stackOf(denser)].reverse();
  const edges = topDown.map((kind) =>
    kind === 'oil'
      ? yOf(denser ? edgeMl(layers, 'hazy', totalMl, true) : totalMl)
      : yOf(edgeMl(layers, kind, totalMl, denser)),
  );
  const rows = spread(edges, ROW_GAP, 24, HEIGHT - 24);
  const step = readingStepMl(totalMl);
  return (
    <div className="relative" style={{ width: WIDTH + 176, height: HEIGHT }}>
      <PaintedJar {...jar} print={print} />
      <svg className="pointer-events-none absolute inset-0" width={WIDTH + 40} height={HEIGHT} aria-hidden="true">
        {topDown.map((kind, i) => (
          <polyline
            key={kind}
            points={`${wallX(edges[i] ?? floor)},${edges[i]} ${WIDTH + 4},${edges[i]} ${WIDTH + 18},${rows[i]}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.25"
            strokeDasharray={kind === 'oil' || mlOf(layers, kind) > 0 ? undefined : '3 3'}
          />
        ))}
      </svg>
      {topDown.map((kind, i) => (
        <div
          key={kind}
          className="absolute flex -translate-y-1/2 items-center gap-2"
          style={{ left: WIDTH + 18, top: rows[i] }}
        >
          {kind === 'oil' ? (
            <>
              <span className="size-8" />
              <span className="text-[14px] leading-5">
                <span className="block font-semibold">Clear oil</span>
                <span className="figure">{print.volume(withOil(layers, totalMl).oilMl)}</span>
              </span>
            </>
          ) : (
            <>
              <EdgeHandle
                kind={kind}
                ml={mlOf(layers, kind)}
                totalMl={totalMl}
                step={step}
                print={print}
                onMl={set(kind, 'edge')}
                startDrag={() => {
                  const from = edgeMl(layers, kind, totalMl, denser);
                  const share = shareOfHeight(from, totalMl, shape);
                  return (upPx) => {
                    const edge = volumeAtShare(share + upPx / inside.height, shape);
                    return mlAtEdge(layers, kind, edge, totalMl, denser);
                  };
                }}
              />
              <LayerInput kind={kind} ml={mlOf(layers, kind)} onMl={set(kind, 'amount')} />
            </>
          )}
        </div>
      ))}
    </div>
  );
}

const rounded = (ml: number, step: number): number => Math.round(ml / step) * step;

/** Keys of a slider: arrows a step, page keys ten, home and end the ends. */
export function keyedMl(key: string, ml: number, step: number, totalMl: number): number | null {
  const by: Readonly<Record<string, number>> = {
    ArrowUp: step,
    ArrowRight: step,
    ArrowDown: -step,
    ArrowLeft: -step,
    PageUp: 10 * step,
    PageDown: -10 * step,
    Home: -totalMl,
    End: totalMl,
  };
  const change = by[key];
  return change === undefined ? null : Math.min(totalMl, Math.max(0, rounded(ml + change, step)));
}

function EdgeHandle({
  kind,
  ml,
  totalMl,
  step,
  print,
  onMl,
  startDrag,
}: {
  kind: SetLayer;
  ml: number;
  totalMl: number;
  step: number;
  print: Print;
  onMl: (ml: number) => void;
  /** @returns the layer's mL after the edge went up by so many px since then */
  startDrag: () => (upPx: number) => number;
}) {
  const drag = useRef<{ readonly fromY: number; readonly mlAt: (upPx: number) => number } | null>(null);
  const begin = (event: PointerEvent<HTMLDivElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
    drag.current = { fromY: event.clientY, mlAt: startDrag() };
    event.preventDefault();
  };
  const move = (event: PointerEvent<HTMLDivElement>) => {
    if (drag.current) onMl(rounded(drag.current.mlAt(drag.current.fromY - event.clientY), step));
  };
  const end = () => {
    drag.current = null;
  };
  const press = (event: KeyboardEvent) => {
    const next = keyedMl(event.key, ml, step, totalMl);
    if (next === null) return;
    event.preventDefault();
    onMl(next);
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${LAYER_WORDS[kind]}, edge`}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={totalMl}
      aria-valuenow={ml}
      aria-valuetext={print.volume(ml)}
      className="flex size-8 cursor-ns-resize touch-none items-center justify-center rounded-full border-2 border-ink bg-sheet"
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={press}
    >
      <MoveVertical size={16} aria-hidden="true" />
    </div>
  );
}

/** A layer's amount, typed in any unit; what cannot be understood is kept and marked, and moves nothing. */
function LayerInput({ kind, ml, onMl }: { kind: SetLayer; ml: number; onMl: (ml: number) => void }) {
  const unit = useUnits().volume;
  const [typed, setTyped] = useState<string | null>(null);
  const read = (text: string) => typedQuantity({ text, dimension: 'volume', defaultUnit: unit, min: 0 });
  const wrong = typed !== null && typed.trim() !== '' && !read(typed).ok;
  const words = LAYER_WORDS[kind];
  return (
    <label className="flex flex-col text-[14px] leading-5">
      <span className="font-semibold">{capital(words)}</span>
      <input
        className={`figure h-8 w-28 rounded-[6px] border bg-sheet px-2 text-[15px] ${wrong ? 'border-2 border-stop' : 'border-edge'}`}
        value={typed ?? quantityText(Math.round(ml * 100) / 100, unit)}
        aria-invalid={wrong}
        onFocus={(e) => e.target.select()}
        onChange={(e) => {
          setTyped(e.target.value);
          const parsed = read(e.target.value);
          if (parsed.ok) onMl(parsed.value);
        }}
        onBlur={() => {
          if (!wrong) setTyped(null);
        }}
      />
    </label>
  );
}
