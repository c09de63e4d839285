import { Slider } from 'radix-ui';
import { useState } from 'react';
import type { Print } from '../device/use-print.js';
import { LAYER_WORDS } from '../words/jar-words.js';
import { useUnits } from '../device/use-units.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { typedQuantity } from '../ui/typed-number.js';
import { mlOf, setLayer, stackOf, withOil, type SetLayer } from './jar-volumes.js';
import { keyedMl, PaintedJar, type ReadingJarProps } from './reading-jar.js';

const STEPS = [-5, -1, 1, 5] as const;

/** The chosen layer as it was measured. */
function TypedLayer({ kind, totalMl, onMl }: { kind: SetLayer; totalMl: number; onMl: (ml: number) => void }) {
  const unit = useUnits().volume;
  const [text, setText] = useState('');
  return (
    <QuantityField
      label={`or type it: ${LAYER_WORDS[kind]}`}
      dimension="volume"
      text={text}
      onText={(typed) => {
        setText(typed);
        const read = typedQuantity({ text: typed, dimension: 'volume', defaultUnit: unit, min: 0, max: totalMl });
        if (read.ok) onMl(read.value);
      }}
      min={0}
      max={totalMl}
      hint="the others make room"
    />
  );
}

/** Layers with a gloved thumb: choose one, then one large slider and four steps. */
export function LayerSlider({ print, ...jar }: ReadingJarProps & { print: Print }) {
  const { layers, totalMl, denser, onLayers } = jar;
  const [kind, setKind] = useState<SetLayer>('water');
  const ml = mlOf(layers, kind);
  const set = (to: number) => onLayers(setLayer({ layers, kind, ml: to, totalMl, denser, by: 'amount' }));
  const kinds = stackOf(denser).filter((k) => k !== 'oil');
  return (
    <div className="flex flex-col gap-4">
      <div className="flex items-end gap-4">
        <PaintedJar {...jar} print={print} width={116} height={210} />
        <ul className="min-w-0 text-[15px] leading-7">
          {[...stackOf(denser)].reverse().map((k) => (
            <li key={k} className={k === kind ? 'font-semibold' : ''}>
              {LAYER_WORDS[k]}{' '}
              <span className="figure">
                {print.volume(k === 'oil' ? withOil(layers, totalMl).oilMl : mlOf(layers, k))}
              </span>
            </li>
          ))}
        </ul>
      </div>
      <Chips
        label="Layer"
        chips={kinds.map((value) => ({ value, words: LAYER_WORDS[value] }))}
        value={kind}
        onChange={setKind}
      />
      <Slider.Root
        min={0}
        max={Math.max(totalMl, 1)}
        step={1}
        value={[ml]}
        onValueChange={([to]) => to !== undefined && set(to)}
        onKeyDown={(event) => {
          const next = keyedMl(event.key, ml, 1, totalMl);
          if (next === null) return;
          event.preventDefault();
          set(next);
        }}
        className="relative flex h-14 touch-none items-center"
      >
        <Slider.Track className="relative h-4 flex-1 rounded-[6px] border border-edge bg-sheet">
          <Slider.Range className="absolute h-full rounded-[6px] bg-ink" />
        </Slider.Track>
        <Slider.Thumb
          aria-label={LAYER_WORDS[kind]}
          aria-valuetext={print.volume(ml)}
          className="block size-10 rounded-full border-[3px] border-ink bg-sheet"
        />
      </Slider.Root>
      <div className="grid grid-cols-4 gap-3">
        {STEPS.map((by) => (
          <Button
            key={by}
            size="field"
            className="figure justify-center !px-0"
            aria-label={`${LAYER_WORDS[kind]} ${by > 0 ? 'plus' : 'minus'} ${Math.abs(by)} mL`}
            onClick={() => set(ml + by)}
          >
            {by > 0 ? `+${by}` : `−${-by}`}
          </Button>
        ))}
      </div>
      <TypedLayer key={kind} kind={kind} totalMl={totalMl} onMl={set} />
    </div>
  );
}
