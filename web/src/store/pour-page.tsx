import type { StoreContainer } from '@winter-jar/contracts';
import type { TransferBody } from '@winter-jar/core';
import { Slider } from 'radix-ui';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useUnits } from '../device/use-units.js';
import { exactly } from '../entry/deed.js';
import { Caution } from '../ui/caution.js';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { SelectField, type Option } from '../ui/select-field.js';
import { typedQuantity } from '../ui/typed-number.js';
import { GROUP_WORDS } from '../words/store-words.js';
import { AfterPour } from './after-pour.js';
import { afterPour, pouredFrom, shareOf, volumesOf, type Poured } from './pour.js';
import { StoreScreen, WithContainer, type StoreProps } from './store-screen.js';
import { useStoreWrite } from './use-store-write.js';

const POURED_WORDS: Readonly<Record<Poured, string>> = {
  clear: 'the clear oil',
  oil: 'the oil',
  rest: 'what lies beneath',
  all: 'everything',
};
/** Three minutes to six weeks. */
const THROUGH_MINUTES = { min: 3, max: 60_000 };
const SPILL = 'out:spill';
const CARRIER = 'out:carrier';

export function PourPage() {
  return <WithContainer>{({ one, ...props }) => <Pour key={one.id} from={one} {...props} />}</WithContainer>;
}

/** Where it may go: containers by what they are, and out of the house. */
function targets(from: StoreContainer, { store }: StoreProps): Option[] {
  const others = store.containers
    .filter((c) => c.id !== from.id && !c.container.gone)
    .map((c) => ({ value: c.id, words: c.container.name, group: GROUP_WORDS[c.shelf.group] }));
  const out = [{ value: SPILL, words: 'it was spilled', group: 'Leaves the shelf' }];
  const carrier = { value: CARRIER, words: 'a licensed carrier took it', group: 'Leaves the shelf' };
  return [...others, ...(from.container.wasteKind ? [carrier] : []), ...out];
}

function Pour({ from, ...props }: StoreProps & { from: StoreContainer }) {
  const { store, house, words } = props;
  const { print } = words;
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const unit = useUnits().volume;
  const choices = pouredFrom(from);
  const [what, setWhat] = useState<Poured>((search.get('what') as Poured | null) ?? choices[0] ?? 'oil');
  const [to, setTo] = useState(search.get('to') ?? (from.container.wasteKind ? CARRIER : ''));
  const target = store.containers.find((c) => c.id === to) ?? null;
  const sum = (w: Poured) => Object.values(volumesOf(from, w)).reduce((a, b) => a + b, 0);
  const thereMl = sum(what);
  const roomMl = target ? Math.max(0, target.container.holdsMl - target.shelf.heldMl) : Infinity;
  const mostMl = Math.max(0, Math.min(thereMl, roomMl));
  /** Null: as much as goes. */
  const [text, setText] = useState<string | null>(null);
  const shown = text ?? quantityText(Math.floor(mostMl * 10) / 10, unit);
  const typed = typedQuantity({ text: shown, dimension: 'volume', defaultUnit: unit, min: 0 });
  const totalMl = typed.ok ? typed.value : 0;
  const [carrier, setCarrier] = useState('');
  const [noteNumber, setNoteNumber] = useState('');
  const [unmeasured, setUnmeasured] = useState<'yes' | 'no'>('no');
  const [took, setTook] = useState('');
  const ran = typedQuantity({ text: took, dimension: 'duration', defaultUnit: 'h', ...THROUGH_MINUTES });
  const outOfFilter = from.state.media?.pass != null;
  const write = useStoreWrite({ zone: words.zone });

  const volumes = shareOf(from, what, totalMl);
  const outside = to === SPILL ? 'spill' : to === CARRIER ? 'carrier' : null;
  const body: TransferBody = {
    fromId: from.id,
    ...(target ? { toId: target.id } : {}),
    ...(outside ? { outside } : {}),
    ...volumes,
    ...(unmeasured === 'yes' ? { estimated: true } : {}),
    ...(outOfFilter && ran.ok ? { throughHours: ran.value / 60 } : {}),
    ...(outside === 'carrier' && carrier.trim() ? { carrier: carrier.trim() } : {}),
    ...(outside === 'carrier' && noteNumber.trim() ? { noteNumber: noteNumber.trim() } : {}),
  };
  const ready = to !== '' && totalMl > 0 && (took.trim() === '' || ran.ok);
  const after = ready ? afterPour({ body, store, house, nowMs: Date.parse(words.now) }) : null;
  const intoFilter = target?.shelf.group === 'filter';

  async function save(acknowledged: readonly string[]): Promise<void> {
    const { deed } = exactly('transfer', new Date().toISOString(), body);
    const subject = { type: 'container', id: from.id } as const;
    const saved = await write.save(deed, {
      subject,
      words: `${print.volume(totalMl)} out of ${from.container.name}`,
      acknowledged,
    });
    if (saved) void navigate(`/store?at=${target?.id ?? from.id}`);
  }

  return (
    <StoreScreen
      title={`Pour from ${from.container.name}`}
      back={`/store?at=${from.id}`}
      words={words}
      write={write}
      saveWords={
        outside === 'carrier' ? 'Collected: save it' : outside === 'spill' ? 'Save the spill' : 'Poured: save it'
      }
      onSave={(acknowledged) => void save(acknowledged)}
      disabled={!ready}
      aside={
        after ? (
          <AfterPour after={after} from={from} target={target} house={house} words={words} oilMl={volumes.oilMl} />
        ) : null
      }
    >
      {choices.length > 1 && (
        <Chips
          label="What"
          chips={choices.map((value) => ({ value, words: `${POURED_WORDS[value]}, ${print.volume(sum(value))}` }))}
          value={what}
          onChange={(value) => {
            setWhat(value);
            setText(null);
          }}
        />
      )}
      <SelectField
        label="Into"
        value={to}
        onChange={(value) => {
          setTo(value);
          setText(null);
        }}
        options={targets(from, { store, house, words })}
      />
      <div className="flex flex-col gap-3">
        <QuantityField label="How much" dimension="volume" text={shown} onText={setText} min={0} />
        <Slider.Root
          className="relative flex h-14 touch-none items-center"
          value={[Math.min(totalMl, mostMl)]}
          min={0}
          max={Math.max(1, Math.floor(mostMl))}
          step={Math.max(1, Math.round(mostMl / 100))}
          onValueChange={([ml = 0]) => setText(quantityText(ml, unit))}
        >
          <Slider.Track className="relative h-2 flex-1 rounded-full bg-rule">
            <Slider.Range className="absolute h-full rounded-full bg-ink" />
          </Slider.Track>
          <Slider.Thumb
            aria-label={`How much, up to ${print.volume(mostMl)}`}
            className="block size-11 rounded-full border-2 border-ink bg-sheet"
          />
        </Slider.Root>
        {roomMl < thereMl && (
          <p className="text-[14px] text-ink-2">
            {target?.container.name} takes {print.volume(roomMl)} more.
          </p>
        )}
      </div>
      <Chips
        label="How it was measured"
        chips={[
          { value: 'no', words: 'read off a scale' },
          { value: 'yes', words: 'by eye' },
        ]}
        value={unmeasured}
        onChange={setUnmeasured}
      />
      {outOfFilter && (
        <QuantityField
          label="How long it took to run through"
          dimension="duration"
          text={took}
          onText={setTook}
          {...THROUGH_MINUTES}
          hint="where somebody timed it: later times are told by it"
        />
      )}
      {outside === 'carrier' && (
        <>
          <TextField label="Who took it" value={carrier} onText={setCarrier} hint="a licensed carrier" />
          <TextField label="Number of the note" value={noteNumber} onText={setNoteNumber} />
          <Caution>
            Waste oil goes to a licensed carrier, with the note that your rules ask for. What is printed here does not
            replace it. Nothing goes into drains or soil.
          </Caution>
        </>
      )}
      {outside === 'spill' && (
        <Caution>Bind it and clean it up at once: oil is slippery. Oily rags go into a lidded metal bin.</Caution>
      )}
      {intoFilter && volumes.waterMl + volumes.sludgeMl > 0 && (
        <Caution>Water swells paper and sludge clogs it: pour the clear oil off first, and nothing beneath it.</Caution>
      )}
    </StoreScreen>
  );
}
