import type { PumpPage, StoreAnswer, StoreContainer } from '@winter-jar/contracts';
import { HOUSE_RULES_ID, notInto } from '@winter-jar/core';
import { useStoreQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { Button } from '../ui/button.js';
import { SelectField } from '../ui/select-field.js';
import { meanRoundsWords, ordinal } from '../words/store-words.js';

const NOT_SAID = 'not said';

/** Containers that may be filled from: new oil of this product, and used oil where house, pump and the oil itself allow it. */
function sources(
  store: StoreAnswer,
  page: PumpPage,
  productId: string | null,
  fits: (productId: string) => boolean,
): StoreContainer[] {
  const { pump, service, house } = page.setUp;
  const into = { pump, service, rules: house.houseRules[HOUSE_RULES_ID] };
  return store.containers.filter(({ container, shelf }) => {
    if (container.gone || shelf.heldMl === 0) return false;
    const [first, ...others] = shelf.blend.productIds;
    if (others.length > 0 || (productId && first !== productId) || !fits(first ?? '')) return false;
    if (shelf.group === 'new') return true;
    return (
      shelf.group === 'ready' &&
      notInto({ ...into, productId: first ?? null, worstRounds: shelf.blend.worstRounds }) === null
    );
  });
}

/** Containers that what comes out may go into: waste, empty ones, and those of the same oil that has not been cleaned yet. */
function sinks(store: StoreAnswer, page: PumpPage, productId: string | null): StoreContainer[] {
  const isPfpe = page.setUp.house.oilProduct[productId ?? '']?.base === 'pfpe';
  return store.containers.filter(({ container, shelf }) => {
    if (container.gone || container.vessel === 'filter') return false;
    if (container.wasteKind) return (container.wasteKind === 'pfpe') === isPfpe;
    if (shelf.group === 'empty') return true;
    return (
      store.reuses &&
      shelf.group !== 'new' &&
      shelf.group !== 'ready' &&
      shelf.blend.productIds.every((id) => id === productId)
    );
  });
}

/** The opened one that holds most, of those that stand at the pump's site. */
const usual = (all: readonly StoreContainer[], siteId: string): StoreContainer | undefined =>
  all
    .filter(({ container, shelf, state }) => container.siteId === siteId && shelf.group === 'new' && state.openedAt)
    .toSorted((a, b) => b.shelf.heldMl - a.shelf.heldMl)[0];

/** Which container of the oil store it came from or went into; nothing where the house keeps none. */
export function ContainerField({
  page,
  way,
  productId,
  fits = () => true,
  value,
  onChange,
}: {
  page: PumpPage;
  way: 'from' | 'into';
  /** Null where it may be another: then none is the usual one. */
  productId: string | null;
  /** Which oils may be filled, where it is not one alone. */
  fits?: (productId: string) => boolean;
  value: string;
  onChange: (containerId: string) => void;
}) {
  const { data: store } = useStoreQuery();
  const print = usePrint();
  if (!store || store.containers.length === 0) return null;
  const listed = way === 'from' ? sources(store, page, productId, fits) : sinks(store, page, productId);
  const chosen = store.containers.find((c) => c.id === value);
  const all = chosen && !listed.includes(chosen) ? [...listed, chosen] : listed;
  if (all.length === 0) return null;
  const words = ({ container, shelf }: StoreContainer): string => {
    const held = shelf.heldMl > 0 ? print.volume(shelf.heldMl) : 'empty';
    const round = shelf.group === 'ready' ? `, ${ordinal(shelf.reuse?.nextRound ?? 2)} round` : '';
    return `${container.name}, ${container.wasteKind ? 'waste, ' : ''}${held}${round}`;
  };
  const offered = way === 'from' && value === '' && productId !== null ? usual(all, page.setUp.pump.siteId) : undefined;
  const used = chosen && chosen.shelf.blend.worstRounds > 0 && way === 'from' ? chosen.shelf : null;
  return (
    <div className="flex flex-col gap-3">
      <SelectField
        label={way === 'from' ? 'Filled from' : 'Drained into'}
        value={value}
        onChange={onChange}
        empty={NOT_SAID}
        options={all.map((one) => ({ value: one.id, words: words(one) }))}
        {...(used
          ? {
              hint: `${meanRoundsWords(used.blend.meanRounds, used.blend.worstRounds)}: with at least ${used.reuse?.newPercent ?? 20} % new oil`,
            }
          : {})}
      />
      {offered && (
        <Button size="field" onClick={() => onChange(offered.id)}>
          As usual: {words(offered)}
        </Button>
      )}
    </div>
  );
}
