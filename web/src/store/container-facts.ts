import type { StoreContainer } from '@winter-jar/contracts';
import { canMend, type HouseSetUp } from '@winter-jar/core';
import { momentWords } from '../words/dates.js';
import { GROUP_WORDS, ordinal, roundsWords, settleWords } from '../words/store-words.js';
import type { Words } from '../words/words.js';
import { capital } from '../ui/number.js';

/** Words at a container: times are those of the site where it stands, wherever the device is. */
export const wordsAt = (siteId: string, house: HouseSetUp, words: Words): Words => ({
  ...words,
  zone: house.site[siteId]?.zone ?? words.zone,
});

/** What a container is and waits for, in one sentence. */
export function headline({ shelf, state, container }: StoreContainer, words: Words): string {
  const { group, settle, reuse, blend } = shelf;
  switch (group) {
    case 'new':
      return state.openedAt || blend.oilMl < container.holdsMl * 0.98 ? 'New oil, opened' : 'New oil, sealed';
    case 'settling':
      return settle ? capital(settleWords(settle, words)) : GROUP_WORDS.settling;
    case 'toRead':
      return settle?.how === 'settles' || settle?.how === 'freezes'
        ? 'Read it: it has stood its time'
        : 'Read it: is it clear against a line of print?';
    case 'toPour':
      return 'Pour the clear oil off';
    case 'toFilter':
      return 'Let it stand, or filter it';
    case 'filter':
      return shelf.heldMl > 0 ? 'Oil goes through' : 'Filter, empty';
    case 'ready':
      return reuse
        ? `Fit for reuse, ${ordinal(reuse.nextRound)} round, with at least ${reuse.newPercent} % new`
        : GROUP_WORDS.ready;
    case 'refused':
      return 'Not to go back into a pump';
    case 'spent':
      return 'Used oil';
    case 'waste':
      return shelf.full ? 'Full: have it collected' : 'Waste';
    case 'empty':
      return 'Empty';
  }
}

/** What stands beneath its name on the shelf. */
export function shelfLine(one: StoreContainer, words: Words): string {
  const { shelf, container, state } = one;
  const { group, settle, blend } = shelf;
  if (group === 'empty') return `holds ${words.print.volume(container.holdsMl)}`;
  if (group === 'settling' && settle) return settleWords(settle, words);
  if (group === 'waste') return shelf.full ? 'full' : `of ${words.print.volume(container.holdsMl)}`;
  if (group === 'refused' || group === 'spent') return 'to waste';
  if (group === 'new') return state.openedAt ? 'opened' : 'new';
  if (group === 'filter') return filterLine(one, words);
  return blend.meanRounds < blend.worstRounds - 0.5
    ? `up to ${roundsWords(blend.worstRounds)}`
    : roundsWords(blend.worstRounds);
}

/** A filter by what drips through it, or by what it still drinks. */
function filterLine({ shelf, state, filter }: StoreContainer, { zone, now }: Words): string {
  if (!state.media) return 'no media in it';
  if (shelf.heldMl > 0 && filter && state.filledAt) {
    const by = new Date(Date.parse(state.filledAt) + filter.hours * 3_600_000).toISOString();
    return by > now ? `dripping until ${momentWords(by, zone, now)}` : 'has run through';
  }
  return filter && filter.load >= 1 ? 'media used up' : filter && filter.drinksMl > 0 ? 'dry media' : 'wet media';
}

/** The first thing that bars it for good, else what would mend it. */
export const refusalsOf = ({ shelf }: StoreContainer) =>
  [...(shelf.reuse?.refusals ?? [])].sort((a, b) => Number(canMend(a)) - Number(canMend(b)));

export const productName = ({ shelf }: Pick<StoreContainer, 'shelf'>, house: HouseSetUp): string =>
  shelf.blend.productIds.map((id) => house.oilProduct[id]?.name ?? id).join(' + ') || 'no oil said';
