import type { StoreContainer } from '@winter-jar/contracts';
import { FILTER_MEDIA, filterMediaOf, totalUL } from '@winter-jar/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useUnits } from '../device/use-units.js';
import { exactly } from '../entry/deed.js';
import { Caution } from '../ui/caution.js';
import { QuantityField } from '../ui/quantity-field.js';
import { SelectField } from '../ui/select-field.js';
import { typedQuantity } from '../ui/typed-number.js';
import { MEDIA_KIND_WORDS, mediaName } from '../words/store-words.js';
import { StoreScreen, WithContainer, type StoreProps } from './store-screen.js';
import { useStoreWrite } from './use-store-write.js';

/** The paper, cartridge or bed of a filter: put in, or renewed. */
export function MediaPage() {
  return <WithContainer>{(props) => <Media key={props.one.id} {...props} />}</WithContainer>;
}

function Media({ one, store, house, words }: StoreProps & { one: StoreContainer }) {
  const navigate = useNavigate();
  const unit = useUnits().volume;
  const { media } = one.state;
  const heldMl = totalUL(media?.held ?? []) / 1000;
  const [mediaId, setMediaId] = useState(media?.mediaId ?? '');
  const [caught, setCaught] = useState('');
  const [into, setInto] = useState('');
  const chosen = filterMediaOf({ id: mediaId, own: house.filterMedia });
  const typed = typedQuantity({ text: caught, dimension: 'volume', defaultUnit: unit, min: 0, max: heldMl });
  const recoveredMl = typed.ok ? typed.value : 0;
  const write = useStoreWrite({ zone: words.zone });
  const options = [
    ...Object.entries(house.filterMedia).map(([value, m]) => ({ value, words: m.name, group: 'Your own' })),
    ...Object.entries(FILTER_MEDIA).map(([value, m]) => ({
      value,
      words: m.name.toLowerCase() === MEDIA_KIND_WORDS[m.kind] ? m.name : `${m.name} (${MEDIA_KIND_WORDS[m.kind]})`,
      group: 'Common',
    })),
  ];

  async function save(acknowledged: readonly string[]): Promise<void> {
    const { deed } = exactly('mediaChange', new Date().toISOString(), {
      mediaId: chosen ? mediaId : null,
      holdUpMl: chosen?.holdUpMl ?? 0,
      ...(recoveredMl > 0 ? { recoveredMl } : {}),
      ...(recoveredMl > 0 && into ? { recoveredIntoId: into } : {}),
      ...(chosen?.price ? { price: chosen.price } : {}),
    });
    const saved = await write.save(deed, {
      subject: { type: 'container', id: one.id },
      words: `${one.container.name}: ${chosen ? chosen.name : 'media taken out'}`,
      acknowledged,
    });
    if (saved) void navigate(`/store?at=${one.id}`);
  }

  return (
    <StoreScreen
      title={media ? 'Renew the media' : 'Put media in'}
      above={one.container.name}
      back={`/store?at=${one.id}`}
      words={words}
      write={write}
      saveWords="Save it"
      onSave={(acknowledged) => void save(acknowledged)}
      disabled={!chosen && !media}
    >
      {media && (
        <>
          <p>
            {mediaName(media.mediaId, house)} holds {words.print.volume(heldMl)}, and{' '}
            {words.print.volume(media.passedUL / 1000)} went through. What is not caught goes with it.
          </p>
          <QuantityField
            label="Caught from it"
            dimension="volume"
            text={caught}
            onText={setCaught}
            min={0}
            max={heldMl}
            hint="empty: nothing"
          />
          {recoveredMl > 0 && (
            <SelectField
              label="Into"
              value={into}
              onChange={setInto}
              empty="not said"
              options={store.containers
                .filter((c) => c.id !== one.id && !c.container.gone)
                .map((c) => ({ value: c.id, words: c.container.name }))}
            />
          )}
          <Caution>Used media is oily solid waste: a lidded metal bin, apart from the oil.</Caution>
        </>
      )}
      <SelectField
        label="Media"
        value={mediaId}
        onChange={setMediaId}
        {...(media ? { empty: 'none: it stands without' } : {})}
        options={options}
        hint={
          chosen
            ? `soaks up ${words.print.volume(chosen.holdUpMl)} before anything comes through, lasts about ${chosen.lifeL} L`
            : undefined
        }
      />
    </StoreScreen>
  );
}
