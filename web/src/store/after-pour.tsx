import type { StoreContainer } from '@winter-jar/contracts';
import { addHours } from 'date-fns';
import { wrongWaste, type Container, type HouseSetUp, type WrongWaste } from '@winter-jar/core';
import { momentWords } from '../words/dates.js';
import { capital, number, percent } from '../ui/number.js';
import { oilColourWord } from '../ui/oil-colour.js';
import { meanRoundsWords, refusalWords, WRONG_WASTE_WORDS } from '../words/store-words.js';
import type { Words } from '../words/words.js';
import { productName } from './container-facts.js';
import type { After } from './pour.js';
import { Vessel, vesselWords } from './vessel.js';

const NOT_TOGETHER = {
  immiscible: 'PFPE and other oils do not mix: the PFPE sinks. Keep them apart.',
  otherAdditives: 'Two products: their additives may not agree. Mixed oil goes back into no pump.',
} as const;

/** What both containers become, drawn before anything is saved. */
export function AfterPour({
  after,
  from,
  target,
  house,
  words,
  oilMl,
}: {
  after: { readonly from: After | null; readonly to: After | null };
  from: StoreContainer;
  target: StoreContainer | null;
  house: HouseSetUp;
  words: Words;
  oilMl: number;
}) {
  return (
    <section aria-label="After it" className="border-t border-rule pt-4 wide:border-0 wide:pt-0">
      <h2 className="mb-3 text-[18px]">After it</h2>
      <div className="grid grid-cols-1 gap-5 sm:grid-cols-2 wide:grid-cols-1">
        {after.from && <Becomes container={from.container} after={after.from} house={house} words={words} />}
        {after.to && target && (
          <Becomes
            container={target.container}
            after={after.to}
            house={house}
            words={words}
            oilMl={oilMl}
            wrong={wrongFor(from, target, house)}
          />
        )}
      </div>
    </section>
  );
}

/** Whether what is poured belongs into that waste. */
function wrongFor(from: StoreContainer, { container }: StoreContainer, house: HouseSetUp): WrongWaste | null {
  if (!container.wasteKind) return null;
  const { parts, marks } = from.state;
  const smelt = marks.smells.includes('solvent');
  return wrongWaste({ parts, products: house.oilProduct, facts: from.facts, smelt, wasteKind: container.wasteKind });
}

function Becomes({
  container,
  after,
  house,
  words,
  oilMl = 0,
  wrong = null,
}: {
  container: Container;
  after: After;
  house: HouseSetUp;
  words: Words;
  oilMl?: number;
  wrong?: WrongWaste | null;
}) {
  const { shelf, filter, colour } = after;
  const { blend, mixed, reuse } = shelf;
  const { print } = words;
  const product = house.oilProduct[blend.productIds[0] ?? ''] ?? null;
  const over = shelf.heldMl > container.holdsMl;
  const bars = (reuse?.refusals ?? []).filter((r) => r.code === 'rounds' || r.code === 'mixed');
  return (
    <div className="flex min-w-0 gap-3">
      <Vessel
        container={container}
        shelf={shelf}
        product={product}
        colour={colour}
        width={52}
        height={78}
        label={vesselWords(container.name, shelf, print)}
      />
      <div className="min-w-0 text-[15px] leading-6">
        <p className="font-semibold wrap-anywhere">{container.name}</p>
        <p className="figure">
          {print.volume(shelf.heldMl)} of {print.volume(container.holdsMl)}
        </p>
        {over && <p className="font-semibold text-stop">More than it holds.</p>}
        {shelf.heldMl > 0 && (
          <p className="wrap-anywhere">
            {productName({ shelf }, house)}, {meanRoundsWords(blend.meanRounds, blend.worstRounds)}
            {blend.worstRounds > 0 && blend.newShare > 0 && `, ${percent(blend.newShare)} new`}
          </p>
        )}
        {shelf.heldMl > 0 && blend.viscosity40Mm2s !== null && (
          <p className="text-ink-2">about {number(blend.viscosity40Mm2s)} mm²/s at 40 °C by its products</p>
        )}
        {colour !== null && shelf.heldMl > 0 && (
          <p className="text-ink-2">
            about {number(colour, 1)} of ASTM D1500, {oilColourWord(colour)}
          </p>
        )}
        {mixed && !container.wasteKind && <p className="font-semibold text-stop">{NOT_TOGETHER[mixed]}</p>}
        {bars.map((r) => (
          <p key={r.code} className="font-semibold text-before-next-run">
            {capital(refusalWords(r, house, words))}.
          </p>
        ))}
        {wrong && <p className="font-semibold text-stop">{WRONG_WASTE_WORDS[wrong]}</p>}
        {filter && (
          <p>
            {filter.drinksMl > 0 && `Its media still drinks ${print.volume(Math.min(filter.drinksMl, oilMl))}. `}
            {filter.throughMl > 0
              ? `About ${print.volume(filter.throughMl)} through by ${momentWords(addHours(new Date(words.now), filter.hours).toISOString(), words.zone, words.now)}.`
              : 'Nothing comes through yet.'}
            {filter.load >= 1 && ' The media is used up: renew it.'}
          </p>
        )}
      </div>
    </div>
  );
}
