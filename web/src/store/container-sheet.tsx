import type { StoreContainer } from '@winter-jar/contracts';
import { canMend } from '@winter-jar/core';
import { useWide } from '../device/use-wide.js';
import { Link } from 'react-router';
import { LinkIfMay } from '../ui/may.js';
import { Caution } from '../ui/caution.js';
import { Button, LinkButton } from '../ui/button.js';
import { capital, countOf, number } from '../ui/number.js';
import { dayWords } from '../words/dates.js';
import { LAYER_WORDS } from '../words/jar-words.js';
import { mediaName, meanRoundsWords, refusalWords, settleWords, WASTE_WORDS } from '../words/store-words.js';
import { headline, productName, refusalsOf, wordsAt } from './container-facts.js';
import { OpenIt } from './open-it.js';
import type { StoreProps } from './store-screen.js';
import { Vessel, vesselWords } from './vessel.js';

/** Everything about one container: what it is, what it may become, and what can be done with it now. */
export function ContainerSheet({ one, ...given }: StoreProps & { one: StoreContainer }) {
  const { house } = given;
  const words = wordsAt(one.container.siteId, house, given.words);
  const props = { ...given, words };
  const { container, shelf, state } = one;
  const { print } = words;
  const product = house.oilProduct[shelf.blend.productIds[0] ?? ''] ?? null;
  const lastStay = state.marks.stays.at(-1);
  const from = lastStay ? house.pump[lastStay.pumpId]?.name : null;
  return (
    <div className="flex flex-col gap-4">
      <div>
        <p className="text-[14px] text-ink-2 wrap-anywhere">
          <Link to={`/store/${one.id}`} className="font-semibold text-ink">
            {container.name}
          </Link>
          {from && lastStay && ` · from ${from}, ${dayWords(lastStay.until, words.zone, words.now)}`}
          {container.place && ` · ${container.place}`}
          {container.tempC !== null && container.tempC !== undefined && ` at ${print.temperature(container.tempC)}`}
        </p>
        <h2 className="text-[22px] leading-tight wrap-anywhere">{headline(one, words)}</h2>
      </div>
      {(shelf.heldMl > 0 || state.media) && (
        <div className="flex items-end gap-4">
          <Vessel
            container={container}
            shelf={shelf}
            product={product}
            colour={state.reading?.colour ?? null}
            width={108}
            height={168}
            label={vesselWords(container.name, shelf, print)}
          />
          <ul className="min-w-0 text-[15px] leading-7">
            {[...shelf.layers].reverse().map((l) => (
              <li key={l.phase}>
                {l.phase === 'oil' && (container.wasteKind || !state.reading) ? 'oil' : LAYER_WORDS[l.phase]}{' '}
                <span className="figure">{print.volume(l.ml)}</span>
              </li>
            ))}
            {state.media && (
              <li className="text-ink-2">
                {mediaName(state.media.mediaId, house)} holds{' '}
                {print.volume(state.media.held.reduce((s, p) => s + p.uL, 0) / 1000)}
              </li>
            )}
          </ul>
        </div>
      )}
      <Said one={one} {...props} />
      <Acts one={one} />
      <OpenIt one={one} zone={words.zone} />
      <p className="flex flex-wrap gap-x-4 gap-y-1 text-[14px]">
        <Link to={`/store/${one.id}`}>Its journal</Link>
        <LinkIfMay to={`/store/${one.id}/trace`}>Where it came from and went</LinkIfMay>
        <Link to={`/set-up/container/${one.id}`}>Set-up</Link>
      </p>
    </div>
  );
}

/** A rounding is no shortage. */
const SHORT_UL = 1000;

function Said({ one, house, words, store }: StoreProps & { one: StoreContainer }) {
  const { shelf, state, container, filter } = one;
  const { blend, settle } = shelf;
  const { print } = words;
  // Waste goes nowhere.
  const refusals = container.wasteKind ? [] : refusalsOf(one);
  // Where used oil never goes back there is nothing to say of reuse.
  // What settles is read when it has stood.
  const now = refusals.filter((r) => !(shelf.group === 'settling' && r.code === 'notRead'));
  const reasons = store.reuses ? now : refusals.filter((r) => r.code === 'mixed' || r.code === 'unknownOil');
  if (shelf.heldMl === 0 && !filter && state.shortUL < SHORT_UL) return null;
  return (
    <div className="flex flex-col gap-2 text-[15px] leading-6">
      {container.wasteKind && <p>For {WASTE_WORDS[container.wasteKind]}.</p>}
      {shelf.heldMl > 0 && (
        <p className="wrap-anywhere">
          {productName(one, house)}
          {blend.productIds.length > 0 && `, ${meanRoundsWords(blend.meanRounds, blend.worstRounds)}`}
          {state.estimated && ', not measured'}
          {state.reading && `, read ${dayWords(state.reading.at, words.zone, words.now)}`}.
        </p>
      )}
      {settle && settle.how !== 'unknownOil' && shelf.group !== 'settling' && store.reuses && (
        <p>{capital(settleWords(settle, words))}.</p>
      )}
      {settle && (settle.how === 'settles' || settle.how === 'freezes') && shelf.group === 'settling' && (
        <p>
          {settle.how === 'settles'
            ? `50 µm droplets fall its height in ${Math.round(settle.hours)} h${store.settlingFactor === 1 ? '' : ', as jars here have shown'}. A warm shelf is faster.`
            : 'In plastic, a tenth of its room left free, never in a food freezer. The water locks up: pour the oil off cold, and keep it closed until it is warm again. What is dissolved stays.'}
        </p>
      )}
      {filter && (state.media?.timed.length ?? 0) > 0 && (
        <p className="text-ink-2">
          How long it takes is told by {countOf(state.media?.timed.length ?? 0, 'pass', 'passes')} timed here.
        </p>
      )}
      {filter && filter.load >= 0.8 && (
        <p className="font-semibold text-before-next-run">
          {filter.load >= 1
            ? 'Its media is used up: renew it.'
            : `About ${number(filter.litresLeft, 1)} L until its media is renewed.`}
        </p>
      )}
      {state.shortUL >= SHORT_UL && (
        <p className="font-semibold text-before-next-run">
          The book is short of {print.volume(Math.round(state.shortUL / 1000))}: more was taken out than was ever
          written in. A stocktake ends it.
        </p>
      )}
      {reasons.length > 0 && (
        <ul aria-label="Why not" className="flex flex-col gap-1">
          {reasons.map((refusal, i) => (
            <li key={`${refusal.code}-${i}`} className={canMend(refusal) ? '' : 'font-semibold text-before-next-run'}>
              {refusalWords(refusal, house, words)}.
            </li>
          ))}
        </ul>
      )}
      {shelf.reuse?.fit && !shelf.reuse.isNew && store.reuses && (
        <Caution>
          Fill it only into a pump that takes used oil of this product, with at least {shelf.reuse.newPercent}&nbsp;%
          new oil. Filtering takes out no water that is dissolved, no acid, no solvent.
        </Caution>
      )}
    </div>
  );
}

/** The one right act large, the others beneath; what has to wait is off, with its reason beside it above. */
function Acts({ one }: { one: StoreContainer }) {
  const { id, shelf, state, container } = one;
  const stay = state.marks.stays.at(-1);
  const jarOfPump = stay && state.filledAt === stay.until && state.reading === null;
  const read = jarOfPump ? `/pumps/${stay.pumpId}/look?container=${id}` : `/store/${id}/stocktake`;
  const pour = `/store/${id}/pour`;
  const wide = useWide();
  const large = { look: 'solid', size: wide ? 'desk' : 'field' } as const;
  const used = shelf.blend.worstRounds > 0;
  const acts: readonly (readonly [string, string])[] =
    shelf.group === 'empty'
      ? [['Bring oil in', `/store/bring-in?to=${id}`]]
      : shelf.group === 'spent' || shelf.group === 'refused'
        ? [['To waste', pour], ...(jarOfPump ? ([['Read it', read]] as const) : [])]
        : shelf.group === 'settling'
          ? [
              ['Read it already', read],
              ['To waste', `${pour}?what=all`],
            ]
          : shelf.group === 'toRead'
            ? [
                ['Read it', read],
                ['Pour', pour],
              ]
            : shelf.group === 'toPour'
              ? [
                  ['Pour the clear oil off', `${pour}?what=clear`],
                  ['Read it again', `/store/${id}/stocktake`],
                ]
              : shelf.group === 'waste'
                ? [[shelf.full ? 'Have it collected' : 'A carrier took it', pour]]
                : [['Pour', pour], ...(used ? ([['Read it again', `/store/${id}/stocktake`]] as const) : [])];
  return (
    <div className="flex flex-col gap-3">
      {shelf.group === 'settling' && (
        <Button look="solid" size={wide ? 'desk' : 'field'} disabled className="w-full justify-center">
          Pour the clear oil off
        </Button>
      )}
      {acts.map(([words, to], i) => (
        <LinkButton
          key={words}
          to={to}
          {...(i === 0 && shelf.group !== 'settling' ? large : {})}
          className="w-full justify-center"
        >
          {words}
        </LinkButton>
      ))}
      {(shelf.group !== 'empty' || state.shortUL >= SHORT_UL) &&
        !(used && acts.some(([, to]) => to.endsWith('/stocktake'))) && (
          <LinkButton to={`/store/${id}/stocktake`} className="w-full justify-center">
            Stocktake
          </LinkButton>
        )}
      {container.vessel === 'filter' && (
        <LinkButton to={`/store/${id}/media`} className="w-full justify-center">
          {state.media ? 'Renew its media' : 'Put media in'}
        </LinkButton>
      )}
    </div>
  );
}
