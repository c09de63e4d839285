import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useUnits } from '../device/use-units.js';
import { exactly } from '../entry/deed.js';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { SelectField } from '../ui/select-field.js';
import { typedQuantity } from '../ui/typed-number.js';
import { StoreScreen, WithStore, type StoreProps } from './store-screen.js';
import { wordsAt } from './container-facts.js';
import { useStoreWrite } from './use-store-write.js';

/** Bought oil, or what already stood on the shelf when the record began. */
export function BringInPage() {
  return <WithStore>{(props) => <BringIn {...props} />}</WithStore>;
}

function BringIn({ store, house, words }: StoreProps) {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const unit = useUnits().volume;
  const [to, setTo] = useState(search.get('to') ?? '');
  const target = store.containers.find((c) => c.id === to) ?? null;
  const [outside, setOutside] = useState<'bought' | 'notSaid'>('bought');
  const [productId, setProductId] = useState('');
  const [batch, setBatch] = useState('');
  const [text, setText] = useState<string | null>(null);
  const room = target ? target.container.holdsMl - target.shelf.heldMl : 0;
  const shown = text ?? (target ? quantityText(Math.max(0, room), unit) : '');
  const typed = typedQuantity({ text: shown, dimension: 'volume', defaultUnit: unit, min: 0 });
  const write = useStoreWrite(target ? wordsAt(target.container.siteId, house, words) : words);
  const product = productId || target?.shelf.blend.productIds[0] || '';
  const ready = target !== null && product !== '' && typed.ok && typed.value > 0;

  async function save(acknowledged: readonly string[]): Promise<void> {
    if (!target || !typed.ok) return;
    const { deed } = exactly('transfer', new Date().toISOString(), {
      toId: target.id,
      outside,
      productId: product,
      oilMl: typed.value,
      ...(batch.trim() ? { batch: batch.trim() } : {}),
    });
    const saved = await write.save(deed, {
      subject: { type: 'container', id: target.id },
      words: `${words.print.volume(typed.value)} into ${target.container.name}`,
      acknowledged,
    });
    if (saved) void navigate(`/store?at=${target.id}`);
  }

  return (
    <StoreScreen
      title="Bring oil in"
      back="/store"
      words={words}
      write={write}
      saveWords="Save it"
      onSave={(acknowledged) => void save(acknowledged)}
      disabled={!ready}
    >
      <Chips
        label="It was"
        chips={[
          { value: 'bought', words: 'bought new' },
          { value: 'notSaid', words: 'on the shelf already' },
        ]}
        value={outside}
        onChange={setOutside}
      />
      <div>
        <SelectField
          label="Into"
          value={to}
          onChange={(value) => {
            setTo(value);
            setText(null);
          }}
          options={store.containers
            .filter((c) => !c.container.gone && !c.container.wasteKind && c.container.vessel !== 'filter')
            .map((c) => ({
              value: c.id,
              words: `${c.container.name}, ${c.shelf.heldMl > 0 ? words.print.volume(c.shelf.heldMl) : 'empty'}`,
            }))}
        />
        <p className="mt-2 text-[14px]">
          <Link to="/set-up/container/new">Another can or bottle: add it first</Link>
        </p>
      </div>
      <SelectField
        label="Oil"
        value={product}
        onChange={setProductId}
        options={Object.entries(house.oilProduct).map(([value, o]) => ({ value, words: `${o.name}, ${o.grade}` }))}
      />
      <QuantityField label="How much" dimension="volume" text={shown} onText={setText} min={0} />
      <TextField
        label="Batch"
        value={batch}
        onText={setBatch}
        hint="as it stands on the can; for the day when one is bad"
      />
    </StoreScreen>
  );
}
