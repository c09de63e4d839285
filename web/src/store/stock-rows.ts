import type { StoreContainer } from '@winter-jar/contracts';
import { totalUL, type HouseSetUp, type Phase } from '@winter-jar/core';
import { GROUP_WORDS } from '../words/store-words.js';
import { productName } from './container-facts.js';

/** What stands in each container now, as the rows of a table: mL at 20 °C. */
export const stockRows = (containers: readonly StoreContainer[], house: HouseSetUp): object[] =>
  containers.map(({ container, shelf, state }) => {
    const ml = (phase: Phase) => totalUL(state.parts, phase) / 1000;
    const { meanRounds, worstRounds, newShare } = shelf.blend;
    return {
      container: container.name,
      site: house.site[container.siteId]?.name ?? container.siteId,
      place: container.place ?? '',
      stands: GROUP_WORDS[shelf.group],
      oil: shelf.blend.oilMl > 0 ? productName({ shelf }, house) : '',
      oil_ml: ml('oil'),
      water_ml: ml('water'),
      cream_ml: ml('cream'),
      sludge_ml: ml('sludge'),
      in_media_ml: totalUL(state.media?.held ?? []) / 1000,
      holds_ml: container.holdsMl,
      rounds_mean: Math.round(meanRounds * 100) / 100,
      rounds_most: worstRounds,
      new_percent: Math.round(newShare * 100),
      estimated: state.estimated ? 'yes' : '',
    };
  });
