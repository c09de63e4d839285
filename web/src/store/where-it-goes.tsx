import type { StockLasts, StoreCostAnswer } from '@winter-jar/contracts';
import type { CostOfSchools, OilCost } from '@winter-jar/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useStoreCostQuery } from '../api/house-api.js';
import { useDoor } from '../device/use-door.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { countOf, money, number } from '../ui/number.js';
import { useWidth } from '../ui/use-width.js';
import { dayFromNow } from '../words/dates.js';
import { LitreFlow } from './litre-flow.js';
import type { StoreProps } from './store-screen.js';

const SPANS = [
  { value: '90', words: '90 days' },
  { value: '365', words: 'a year' },
] as const;
type Span = (typeof SPANS)[number]['value'];
/** Less is a wet bottom. */
const LEAST_ML = 1;
/** Further than this nobody needs to order. */
const LONG_DAYS = 700;

/** Where the oil went, what it cost by either school, and how long the new oil lasts. */
export function WhereItGoes(props: StoreProps) {
  const [days, setDays] = useState<Span>('90');
  // It is for those who see every site: asked once it is known who asks.
  const isKnown = useDoor() !== undefined;
  const { data } = useStoreCostQuery(Number(days), { skip: !isKnown });
  return (
    <section className="mt-8">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-[20px]">Where the oil goes</h2>
        <Chips label="Over" hideLabel chips={SPANS} value={days} onChange={setDays} />
      </div>
      {data ? <Told cost={data} {...props} /> : <p className="text-[15px] text-ink-2">Adding up …</p>}
    </section>
  );
}

function Told({ cost: answer, house, words, store }: StoreProps & { cost: StoreCostAnswer }) {
  const { account, cost, runs, lasts, pumps, products } = answer;
  const { print } = words;
  const [ref, width] = useWidth<HTMLDivElement>(358);
  const reuses = cost.otherSchool === 'newOnly';
  // A house of new oil only is told of the other school when it asks.
  const [compared, setCompared] = useState(false);
  const beside = store.reuses || compared;
  const perRun = (p: StoreCostAnswer['pumps'][number]): string => {
    const ml = (p.account.newUL + p.account.usedUL) / 1000 / p.runs;
    return ml < 1 ? 'less than a mL' : print.volume(Math.round(ml));
  };
  return (
    <>
      <div ref={ref} className="mt-3 max-w-[720px]">
        <LitreFlow account={account} print={print} width={width} />
      </div>
      {account.fills === 0 && <p className="text-[15px] text-ink-2">No pump was filled in this time.</p>}
      {account.fills > 0 && (
        <div className="mt-3 grid gap-4 sm:grid-cols-2">
          <Cost
            name={beside ? (reuses ? 'As it was, with reuse' : 'As it was, new oil only') : 'What it cost'}
            cost={cost.actual}
            runs={runs}
          />
          {beside ? (
            <Cost
              name={reuses ? 'New oil only, on the same fills' : 'Filter and reuse, on the same fills'}
              cost={cost.other}
              runs={runs}
            />
          ) : (
            <Button look="plain" onClick={() => setCompared(true)} className="self-end">
              Compare with the other school
            </Button>
          )}
        </div>
      )}
      {account.fills > 0 && cost.actual.money === null && (
        <p className="mt-2 text-[14px] text-ink-2">
          Prices are missing: a litre of oil and an hour’s work stand in the <Link to="/set-up/oilProduct">oils</Link>{' '}
          and the <Link to="/set-up/houseRules/house">care rules</Link>.
        </p>
      )}
      <Lasts lasts={lasts} house={house} words={words} store={store} />
      {products.length > 1 && (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">Product by product</summary>
          <ul>
            {products.map((p) => (
              <li key={p.productId} className="border-b border-rule-soft py-2 text-[15px]">
                <span className="font-semibold">{house.oilProduct[p.productId]?.name ?? p.productId}</span>:{' '}
                {number(p.cost.actual.newL, 1)} L new · {number(p.cost.actual.wasteL, 1)} L to waste
                <Beside cost={p.cost} beside={beside} />
              </li>
            ))}
          </ul>
        </details>
      )}
      {pumps.length > 0 && (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">Pump by pump</summary>
          <ul>
            {pumps.map((p) => (
              <li key={p.pumpId} className="border-b border-rule-soft py-2 text-[15px]">
                <span className="figure font-semibold">{house.pump[p.pumpId]?.name ?? p.pumpId}</span>:{' '}
                {print.volume(p.account.newUL / 1000)} new
                {p.account.usedUL > 0 && `, ${print.volume(p.account.usedUL / 1000)} used before`}
                {p.runs > 0 && `; ${perRun(p)} for each of ${countOf(p.runs, 'run')}`}
                <Beside cost={p.cost} beside={beside} />
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** What a share of it cost, and what the other school would have. */
function Beside({ cost: { actual, other, otherSchool }, beside }: { cost: CostOfSchools; beside: boolean }) {
  if (actual.money === null) return null;
  const others = beside && other.money !== null;
  return (
    <span className="block text-ink-2">
      {money(actual.money)} in all{actual.perRun !== null && `, ${money(actual.perRun)} a run`}
      {others &&
        `; ${otherSchool === 'newOnly' ? 'new oil only' : 'filtered and reused'} it would be ${money(other.money ?? 0)}`}
    </span>
  );
}

function Cost({ name, cost, runs }: { name: string; cost: OilCost; runs: number }) {
  return (
    <div className="border-t-2 border-ink pt-2">
      <h3 className="text-[16px] font-semibold">{name}</h3>
      <p className="text-[15px] leading-6">
        {cost.perRun !== null && (
          <>
            <span className="figure text-[20px]">{money(cost.perRun)}</span> a run ·{' '}
          </>
        )}
        {number(cost.newL, 1)} L new · {number(cost.wasteL, 1)} L to waste
        {runs > 0 && ` · ${number(cost.minutes / runs, 1)} min of handling a run`}
        {cost.money !== null && ` · ${number(cost.money)} in all`}
      </p>
    </div>
  );
}

/** New oil by product: until when it lasts, and so when to order. */
function Lasts({ lasts, house, words }: StoreProps & { lasts: readonly StockLasts[] }) {
  const drawn = lasts.filter(({ days }) => days !== null);
  if (drawn.length === 0) return null;
  const bySite = (sites: StockLasts['sites']) =>
    sites
      .map(({ siteId, newMl }) => `${words.print.volume(newMl)} at ${house.site[siteId]?.name ?? siteId}`)
      .join(', ');
  const day = (days: number) => dayFromNow(words.now, days, words.zone);
  return (
    <ul aria-label="How long the new oil lasts" className="mt-4">
      {drawn.map(({ productId, newMl, sites, days, order }) => (
        <li key={productId} className="border-b border-rule-soft py-2 text-[15px]">
          <span className="font-semibold">{house.oilProduct[productId]?.name ?? productId}</span>:{' '}
          {newMl < LEAST_ML ? (
            days && `no new oil is left, and the next fill comes about ${day(days[1])}.`
          ) : (
            <>
              {words.print.volume(newMl)} new{sites.length > 1 && ` (${bySite(sites)})`}{' '}
              {days && days[0] >= LONG_DAYS
                ? 'last longer than anybody plans.'
                : days &&
                  `last until about ${day(days[1])}, 8 times in 10 between ${day(days[0])} and ${days[2] >= LONG_DAYS ? 'two years from now' : day(days[2])}. Order in time for ${day(days[0])}.`}
            </>
          )}
          {order.ml > 0 &&
            ` With ${words.print.volume(Math.ceil(order.ml / 1000) * 1000)} more it covers ${order.days} days, 9 times in 10.`}
        </li>
      ))}
    </ul>
  );
}
