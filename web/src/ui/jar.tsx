import { capacityMl, type JarShape } from '@winter-jar/core';
import { useId } from 'react';
import { halfWidthAt, jarOutline } from './jar-outline.js';
import { placeLayers, shareOfHeight, type JarLayer } from './jar-layout.js';

const ASPECT = 1.6;

/** A photograph that lies under the layers, moved and sized until jar and jar agree. */
export interface Underlay {
  readonly url: string;
  /** Of the jar's height. */
  readonly size: number;
  /** Upwards, of the jar's height. */
  readonly shift: number;
}

/** Where the inside of a jar of this size lies in its picture, in px from the top. */
export function insideOf(width: number, height: number): { readonly top: number; readonly height: number } {
  const line = lineOf(width);
  const neck = neckOf(width, height);
  return { top: line / 2 + neck, height: height - neck - line };
}
const neckOf = (width: number, height: number): number => Math.min(height * 0.15, width * 0.24);
const lineOf = (width: number): number => (width < 60 ? 1.5 : 2);

/** A jar drawn to scale from real mL, at any size from 22 px wide. */
export function Jar({
  layers,
  width,
  height = Math.round(width * ASPECT),
  label,
  shape = null,
  scaleMl,
  underlay,
}: {
  layers: readonly JarLayer[];
  width: number;
  height?: number;
  label: string;
  shape?: JarShape | null;
  /** A scale on the wall, a tick at each so many mL. */
  scaleMl?: number;
  underlay?: Underlay | null;
}) {
  const clip = useId();
  const line = lineOf(width);
  const inside = insideOf(width, height);
  const neck = { x: width * 0.2, y: line / 2, width: width * 0.6, height: neckOf(width, height) };
  const body = { x: line / 2, y: inside.top, width: width - line, height: inside.height };
  const outline = jarOutline(body, width * 0.14, shape);
  const floor = body.y + body.height;
  const fill = underlay ? 0.45 : 1;
  return (
    <svg width={width} height={height} role="img" aria-label={label} className="shrink-0">
      <clipPath id={clip}>
        <path d={outline} />
      </clipPath>
      <path d={outline} fill="var(--sheet)" />
      <g clipPath={`url(#${clip})`}>
        {underlay && (
          <image
            href={underlay.url}
            x={(width - width * underlay.size) / 2}
            y={body.y + (body.height * (1 - underlay.size)) / 2 - underlay.shift * body.height}
            width={width * underlay.size}
            height={body.height * underlay.size}
            preserveAspectRatio="xMidYMid slice"
          />
        )}
        {placeLayers(layers, body.height, shape).map((layer) => {
          const y = floor - layer.bottom - layer.height;
          return (
            <g key={layer.kind}>
              <rect x={0} width={width} y={y} height={layer.height} fill={layer.tint} opacity={fill} />
              {layer.kind === 'hazy' && <rect x={0} width={width} y={y} height={layer.height} fill="url(#haze)" />}
              {layer.kind === 'cream' && <rect x={0} width={width} y={y} height={layer.height} fill="url(#cream)" />}
              <line x1={0} x2={width} y1={y} y2={y} stroke="var(--ink)" strokeWidth={width < 60 ? 1 : 1.25} />
            </g>
          );
        })}
      </g>
      <rect {...neck} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={line} />
      <path d={outline} fill="none" stroke="var(--ink)" strokeWidth={line} />
      {scaleMl && shape && <Scale shape={shape} stepMl={scaleMl} inside={body} />}
    </svg>
  );
}

function Scale({
  shape,
  stepMl,
  inside,
}: {
  shape: JarShape;
  stepMl: number;
  inside: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}) {
  const brim = capacityMl(shape);
  const marks = Array.from({ length: Math.floor(brim / stepMl) }, (_, i) => (i + 1) * stepMl);
  return marks.map((ml, i) => {
    const share = shareOfHeight(ml, brim, shape);
    const y = inside.y + inside.height - share * inside.height;
    const x = inside.x + ((1 - halfWidthAt(share, shape)) * inside.width) / 2;
    const long = i % 2 === 1;
    return <line key={ml} x1={x} x2={x + (long ? 18 : 10)} y1={y} y2={y} stroke="var(--ink)" strokeWidth="1.25" />;
  });
}
