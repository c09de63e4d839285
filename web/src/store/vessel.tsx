import type { Container, OilProduct, OnShelf } from '@winter-jar/core';
import { useId } from 'react';
import type { Print } from '../device/use-print.js';
import { oilTint } from '../ui/oil-colour.js';
import { LAYER_WORDS } from '../words/jar-words.js';

/** Of the inside, when it is full. */
const FULL = 0.94;
const LEAST_PX = 2;

interface Outline {
  /** What stands above the body: a neck or a lid. */
  readonly top: { readonly x: number; readonly width: number; readonly height: number };
  readonly body: string;
  readonly floor: number;
  readonly ceiling: number;
}

/** Each kind of vessel has an outline of its own, in a box of the given size. */
function outlineOf(vessel: Container['vessel'], w: number, h: number): Outline {
  const [l, r, b] = [1, w - 1, h - 1];
  const neck = h * 0.12;
  const ceiling = neck + 1;
  const round = Math.min(6, w * 0.12);
  const straight = `M${l} ${ceiling + round}Q${l} ${ceiling} ${l + round} ${ceiling}H${r - round}Q${r} ${ceiling} ${r} ${ceiling + round}V${b - round}Q${r} ${b} ${r - round} ${b}H${l + round}Q${l} ${b} ${l} ${b - round}Z`;
  switch (vessel) {
    case 'can': {
      const cut = w * 0.22;
      const body = `M${l} ${ceiling + 2}Q${l} ${ceiling} ${l + 2} ${ceiling}H${r - cut}L${r} ${ceiling + cut}V${b - 4}Q${r} ${b} ${r - 4} ${b}H${l + 4}Q${l} ${b} ${l} ${b - 4}Z`;
      return { top: { x: w * 0.2, width: w * 0.34, height: neck }, body, floor: b, ceiling };
    }
    case 'bottle': {
      const shoulder = ceiling + h * 0.14;
      const body = `M${w * 0.34} ${ceiling}H${w * 0.66}C${w * 0.66} ${shoulder} ${r} ${ceiling + h * 0.06} ${r} ${shoulder + 4}V${b - 6}Q${r} ${b} ${r - 6} ${b}H${l + 6}Q${l} ${b} ${l} ${b - 6}V${shoulder + 4}C${l} ${ceiling + h * 0.06} ${w * 0.34} ${shoulder} ${w * 0.34} ${ceiling}Z`;
      return { top: { x: w * 0.34, width: w * 0.32, height: neck }, body, floor: b, ceiling };
    }
    case 'filter': {
      const waist = ceiling + (b - ceiling) * 0.42;
      const body = `M${l} ${ceiling}H${r}L${w * 0.62} ${waist}H${r}V${b - 4}Q${r} ${b} ${r - 4} ${b}H${l + 4}Q${l} ${b} ${l} ${b - 4}V${waist}H${w * 0.38}Z`;
      return { top: { x: 0, width: 0, height: 0 }, body, floor: b, ceiling };
    }
    case 'drum':
      return { top: { x: w * 0.62, width: w * 0.16, height: neck * 0.6 }, body: straight, floor: b, ceiling };
    case 'jar':
      return { top: { x: w * 0.14, width: w * 0.72, height: neck }, body: straight, floor: b, ceiling };
  }
}

/** A container to scale with what stands in it. */
export function Vessel({
  container,
  shelf,
  product,
  colour,
  width,
  height,
  label,
}: {
  container: Pick<Container, 'vessel' | 'holdsMl' | 'wasteKind'>;
  shelf: Pick<OnShelf, 'layers' | 'heldMl'>;
  product: OilProduct | null;
  /** As it was read last; null: nobody has. */
  colour: number | null;
  width: number;
  height: number;
  /** Null where a name stands beside it that says the same. */
  label: string | null;
}) {
  const clip = useId();
  const { top, body, floor, ceiling } = outlineOf(container.vessel, width, height);
  const inside = floor - ceiling;
  const perMl = (inside * FULL) / Math.max(container.holdsMl, shelf.heldMl);
  const tint = oilTint(colour ?? product?.freshColour ?? null);
  const fills = { sludge: 'var(--solids)', water: 'var(--water-fill)', cream: 'var(--cream-fill)' } as const;
  let below = 0;
  const placed = shelf.layers.map((layer) => {
    const high = Math.max(LEAST_PX, layer.ml * perMl);
    const at = { ...layer, y: floor - below - high, high };
    below += high;
    return at;
  });
  const line = width < 60 ? 1.5 : 2;
  return (
    <svg
      width={width}
      height={height}
      className="shrink-0"
      {...(label === null ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      <clipPath id={clip}>
        <path d={body} />
      </clipPath>
      <path d={body} fill="var(--sheet)" />
      <g clipPath={`url(#${clip})`}>
        {placed.map(({ phase, y, high }) => (
          <g key={phase}>
            <rect
              x={0}
              width={width}
              y={y}
              height={high}
              fill={
                container.wasteKind && phase === 'oil'
                  ? 'var(--solids)'
                  : phase === 'oil' || phase === 'hazy'
                    ? tint
                    : fills[phase]
              }
            />
            {phase === 'hazy' && <rect x={0} width={width} y={y} height={high} fill="url(#haze)" />}
            {phase === 'cream' && <rect x={0} width={width} y={y} height={high} fill="url(#cream)" />}
            <line x1={0} x2={width} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1} />
          </g>
        ))}
      </g>
      {top.width > 0 && (
        <rect
          x={top.x}
          y={line / 2 + (ceiling - 1 - top.height)}
          width={top.width}
          height={top.height}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={line}
        />
      )}
      <path d={body} fill="none" stroke="var(--ink)" strokeWidth={line} />
    </svg>
  );
}

/** "Jar 17: sludge 8 mL, free water 31 mL, clear oil 210 mL", as a screen reader says it. */
export function vesselWords(name: string, { layers }: Pick<OnShelf, 'layers'>, print: Print): string {
  if (layers.length === 0) return `${name}: empty`;
  return `${name}: ${layers.map((l) => `${LAYER_WORDS[l.phase]} ${print.volume(l.ml)}`).join(', ')}`;
}

/** Width and height by what it holds: a vessel of eight times the volume is twice as wide. */
export function vesselSize(holdsMl: number, largestMl: number, most: number): { width: number; height: number } {
  const share = Math.cbrt(holdsMl / Math.max(largestMl, 1));
  const width = Math.round(Math.max(36, most * share));
  return { width, height: Math.round(width * 1.5) };
}
