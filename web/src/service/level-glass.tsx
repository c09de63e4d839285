import { oilTint } from '../ui/oil-colour.js';
import { GLASS_MARKS, glassLevel, type GlassLevel, type LevelMark, type PumpModel } from '@winter-jar/core';

/** Of the drawing, whatever oil is in it. */
const OIL_COLOUR = 2;
const WIDTH = 112;
const HEIGHT = 168;
const INSET = 2;

/** Two lines stand in a long glass, the others in a round one. */
const isLong = (mark: LevelMark): boolean => mark === 'twoLines';

/** The glass as this model has it; a tap where the oil stands says the level, and about how much it is off. */
export function LevelGlass({ model, onTap }: { model: PumpModel; onTap: (read: GlassLevel) => void }) {
  const mark = model.levelMark ?? 'twoLines';
  const { low, high } = GLASS_MARKS[mark];
  const long = isLong(mark);
  const [top, tall] = long ? [INSET, HEIGHT - 2 * INSET] : [(HEIGHT - WIDTH) / 2 + INSET, WIDTH - 2 * INSET];
  const yOf = (share: number): number => top + tall * (1 - share);
  const round = long ? 16 : WIDTH / 2;
  const tap = (event: React.MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const y = ((event.clientY - box.top) / box.height) * HEIGHT;
    onTap(glassLevel(Math.min(1, Math.max(0, 1 - (y - top) / tall)), model));
  };
  return (
    <figure className="flex items-center gap-4">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="h-[252px] w-[168px] shrink-0 cursor-pointer touch-manipulation"
        role="img"
        aria-label="The glass: tap where the oil stands, or choose below"
        onClick={tap}
      >
        <clipPath id="glass">
          <rect x={INSET} y={top} width={WIDTH - 2 * INSET} height={tall} rx={round} />
        </clipPath>
        <g clipPath="url(#glass)">
          <rect x={0} y={0} width={WIDTH} height={HEIGHT} fill="var(--sheet)" />
          <rect x={0} y={yOf((low + high) / 2)} width={WIDTH} height={HEIGHT} fill={oilTint(OIL_COLOUR)} />
          <rect x={0} y={yOf(high)} width={WIDTH} height={yOf(low) - yOf(high)} fill="none" stroke="var(--ink)" />
        </g>
        <rect
          {...{ x: INSET, y: top, width: WIDTH - 2 * INSET, height: tall, rx: round }}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
        {long && (
          <g fill="var(--ink)" fontSize={13}>
            <text x={WIDTH / 2} y={yOf(high) - 5} textAnchor="middle">
              MAX
            </text>
            <text x={WIDTH / 2} y={yOf(low) + 14} textAnchor="middle">
              MIN
            </text>
          </g>
        )}
      </svg>
      <figcaption className="text-[15px] text-ink-2">
        Tap where the oil stands. Here it stands right, in the middle of the marks.
      </figcaption>
    </figure>
  );
}
