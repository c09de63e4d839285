import type { StoreAnswer, StoreContainer } from '@winter-jar/contracts';
import {
  blendOf,
  bookEntry,
  filterAsItStands,
  firstAccount,
  NO_FACTS,
  onShelf,
  subjectKey,
  totalUL,
  wholeUL,
  type AccountState,
  type Entry,
  type FilterForecast,
  type HouseSetUp,
  type OnShelf,
  type ShelfGroup,
  type SetUpBook,
  type TransferBody,
} from '@winter-jar/core';

/** What of a container is poured: the clear oil above all else, all its oil, what lies beneath, or everything. */
export const POURED = ['clear', 'oil', 'rest', 'all'] as const;
export type Poured = (typeof POURED)[number];

/** Where it goes besides another container. */
export type LeavesBy = 'spill' | 'carrier';

const ml = (one: StoreContainer, phase: 'oil' | 'water' | 'cream' | 'sludge'): number =>
  totalUL(one.state.parts, phase) / 1000;
const hazyMl = ({ state }: StoreContainer): number => (state.reading?.hazyUL ?? 0) / 1000;

/** mL of each phase that one choice takes, at most. */
export function volumesOf(
  one: StoreContainer,
  what: Poured,
): Required<Pick<TransferBody, 'oilMl'>> & {
  waterMl: number;
  creamMl: number;
  sludgeMl: number;
} {
  const oil = ml(one, 'oil');
  const below = { waterMl: ml(one, 'water'), creamMl: ml(one, 'cream'), sludgeMl: ml(one, 'sludge') };
  const none = { waterMl: 0, creamMl: 0, sludgeMl: 0 };
  if (what === 'clear') return { oilMl: Math.round(Math.max(0, oil - hazyMl(one)) * 1000) / 1000, ...none };
  if (what === 'oil') return { oilMl: oil, ...none };
  return what === 'rest' ? { oilMl: 0, ...below } : { oilMl: oil, ...below };
}

/** What goes to waste goes whole. */
const GOES_WHOLE: readonly ShelfGroup[] = ['waste', 'refused', 'spent'];

/** Choices that take anything, the likeliest first. */
export function pouredFrom(one: StoreContainer): Poured[] {
  const sum = (what: Poured) => Object.values(volumesOf(one, what)).reduce((a, b) => a + b, 0);
  const beneath = sum('rest') > 0;
  const order = GOES_WHOLE.includes(one.shelf.group) ? POURED.toReversed() : POURED;
  return order.filter((what) => {
    if (sum(what) <= 0) return false;
    if (what === 'clear') return hazyMl(one) > 0 || beneath;
    return what === 'oil' ? !beneath || hazyMl(one) > 0 : beneath;
  });
}

/** Fields show tenths of a mL. */
const UNREAD_ML = 0.11;

/** So much of a choice, each layer in proportion. */
export function shareOf(one: StoreContainer, what: Poured, totalMl: number): ReturnType<typeof volumesOf> {
  const most = volumesOf(one, what);
  const all = most.oilMl + most.waterMl + most.creamMl + most.sludgeMl;
  // All of it, but for the digits that nobody reads: nothing is left behind.
  if (all > 0 && Math.abs(totalMl - all) < UNREAD_ML) return most;
  const share = all > 0 ? totalMl / all : 0;
  const part = (v: number) => Math.round(v * share * 1000) / 1000;
  return {
    oilMl: all > 0 ? part(most.oilMl) : totalMl,
    waterMl: part(most.waterMl),
    creamMl: part(most.creamMl),
    sludgeMl: part(most.sludgeMl),
  };
}

/** A container as it would stand. */
export interface After {
  readonly shelf: OnShelf;
  readonly state: AccountState;
  readonly filter: FilterForecast | null;
  /** ASTM D1500, of what is poured together; null where one of them was not read. */
  readonly colour: number | null;
}

/** As it was read, or as the unused oil is. */
function colourOf({ state, shelf }: StoreContainer, house: HouseSetUp): number | null {
  const { reading, parts } = state;
  if (reading?.colour != null || parts.some((p) => p.rounds > 0)) return reading?.colour ?? null;
  const product = house.oilProduct[shelf.blend.productIds[0] ?? ''];
  return product && !product.dyed ? product.freshColour : null;
}

/** What both containers become, before anything is saved: the same books as the server keeps. */
export function afterPour(input: { body: TransferBody; store: StoreAnswer; house: HouseSetUp; nowMs: number }): {
  readonly from: After | null;
  readonly to: After | null;
} {
  const { body, store, house, nowMs } = input;
  const at = new Date(nowMs).toISOString();
  const ids = [body.fromId, body.toId].filter((id) => typeof id === 'string');
  const states = new Map(
    ids.map((id): [string, AccountState] => {
      const subject = { type: 'container', id } as const;
      const known = store.containers.find((c) => c.id === id)?.state ?? firstAccount(subject);
      return [subjectKey(subject), known];
    }),
  );
  const entry = { ...DRAFT, body, happenedAt: at, recordedAt: at } as unknown as Entry;
  const booked = bookEntry(states, entry, NO_PUMPS);
  const meets = store.containers.filter((c) => ids.includes(c.id));
  const colours = meets.map((c) => ({
    uL: c.id === body.fromId ? wholeUL(body.oilMl) : totalUL(c.state.parts, 'oil'),
    colour: colourOf(c, house),
  }));
  const poured = blendOf({ parts: [], products: house.oilProduct, colours }).colour;
  const of = (id: string | null | undefined): After | null => {
    const container = id ? house.container[id] : undefined;
    const state = id ? booked.states.get(subjectKey({ type: 'container', id })) : undefined;
    if (!id || !container || !state) return null;
    // What ran comes with the oil: of both, where both are known.
    const facts = meets.map((c) => c.facts);
    const materials = facts.flatMap((f) => f.materials);
    const lab = facts.find((f) => f.lab)?.lab ?? null;
    const known = { ...NO_FACTS, materials, lab };
    const shelf = onShelf({ state, container, house, facts: known, nowMs, settlingFactor: store.settlingFactor });
    // What is poured in meets the filter as it stands now.
    const now = store.containers.find((c) => c.id === id)?.state ?? state;
    const productId = shelf.blend.productIds[0] ?? null;
    const isTo = id === body.toId;
    const filter = isTo ? filterAsItStands({ container, state: now, productId, house, ml: body.oilMl }) : null;
    return { shelf, state, filter, colour: isTo ? poured : (state.reading?.colour ?? null) };
  };
  return { from: of(body.fromId), to: of(body.toId) };
}

const DRAFT = { id: 'draft', kind: 'transfer', subjects: [] };
/** A pour between containers asks nothing of pumps. */
const NO_PUMPS = { pumpAt: () => null } as unknown as SetUpBook;
