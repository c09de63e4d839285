import type { StockLasts, StoreCostAnswer } from '@winter-jar/contracts';
import {
  costOfSchools,
  costOfShare,
  coversDays,
  FILTER_MEDIA,
  HOUSE_RULES_ID,
  oilAccount,
  REUSE_DEFAULTS,
  seededRandom,
  stockLasts,
  totalUL,
  type AccountState,
  type FillMade,
  type HouseSetUp,
  type Move,
} from '@winter-jar/core';
import { SetUpStore } from '../journal/set-up-store.js';
import type { Job, JobTools } from '../work/job.js';
import { allMoves } from './trace-oil.js';

const DAY_MS = 86_400_000;
/** What a forecast looks back on. */
const LOOKED_BACK_DAYS = 180;
/** What is ordered is to last so long. */
const COVERED_DAYS = 90;
/** The same stock is forecast the same way each time it is looked at. */
const SEED = 68;

/** Where the oil of a span went, what that cost by either school, and how long the new oil lasts. */
export const STORE_COST_JOB: Job<{ readonly now: string; readonly days: number }, StoreCostAnswer> = {
  name: 'storeCost',
  lane: 'screen',
  run: costOf,
};

function costOf({ sql }: JobTools, { now, days }: { readonly now: string; readonly days: number }): StoreCostAnswer {
  const store = new SetUpStore();
  store.reload(sql);
  const house = store.book.at(now);
  const { moves, states, entries } = allMoves(sql, store.book);
  const from = new Date(Date.parse(now) - days * DAY_MS).toISOString();
  const isWaste = (id: string) => Boolean(house.container[id]?.wasteKind);
  const span = { moves, from, until: now, isWaste };
  const account = oilAccount(span);
  const ran = sql.runsBetween.all({ from, until: now });
  const runs = ran.reduce((sum, r) => sum + r.runs, 0);
  const within = entries.filter((e) => e.happenedAt >= from && e.happenedAt < now);
  const rules = house.houseRules[HOUSE_RULES_ID];
  const paper = FILTER_MEDIA['paper-gravity'];
  const shelf = {
    reads: within.filter((e) => e.kind === 'stocktake' || e.kind === 'look').length,
    mediaMoney: within.reduce((sum, e) => sum + (e.kind === 'mediaChange' ? (e.body.price ?? 0) : 0), 0),
    mediaPerL: mediaPrice(house) / paper.lifeL,
    newPercent: rules?.reuseNewPercent ?? REUSE_DEFAULTS.newPercent,
  };
  const pricesOf = (filled: readonly Move[]) => ({
    oilPerL: pricePerL(filled, house, from),
    hour: rules?.hourPrice ?? null,
    wastePerL: rules?.wastePricePerL ?? null,
  });
  const cost = costOfSchools({ ...shelf, account, runs, prices: pricesOf(moves) });
  const pumps = Object.keys(house.pump).flatMap((pumpId) => {
    const of = oilAccount({ ...span, pumpId });
    if (of.fills === 0) return [];
    const own = ran.find((r) => r.pumpId === pumpId)?.runs ?? 0;
    const prices = pricesOf(moves.filter(({ to }) => to.startsWith(`sump:${pumpId}/`)));
    return [{ pumpId, account: of, runs: own, cost: costOfShare({ ...shelf, of, whole: account, runs: own, prices }) }];
  });
  const products = Object.keys(house.oilProduct).flatMap((productId) => {
    const of = oilAccount({ ...span, productId });
    if (of.fills === 0) return [];
    const prices = { ...pricesOf([]), oilPerL: house.oilProduct[productId]?.pricePerL ?? null };
    return [{ productId, account: of, cost: costOfShare({ ...shelf, of, whole: account, runs: 0, prices }) }];
  });
  return { from, until: now, runs, account, cost, pumps, products, lasts: lastsOf(moves, states, house, now) };
}

/** Of the house's own media the cheapest; nothing where no price is known. */
function mediaPrice(house: HouseSetUp): number {
  const prices = Object.values(house.filterMedia).flatMap(({ price }) => price ?? []);
  return prices.length > 0 ? Math.min(...prices) : 0;
}

/** What a litre of what was filled costs, by its products; null where a price is missing. */
function pricePerL(moves: readonly Move[], house: HouseSetUp, from: string): number | null {
  const byProduct = new Map<string, number>();
  for (const { at, from: out, to, parts } of moves)
    if (at >= from && to.startsWith('sump:') && out !== 'shortage')
      for (const { productId, uL } of parts)
        if (productId !== null) byProduct.set(productId, (byProduct.get(productId) ?? 0) + uL);
  const all = [...byProduct.values()].reduce((sum, uL) => sum + uL, 0);
  let money = 0;
  for (const [productId, uL] of byProduct) {
    const price = house.oilProduct[productId]?.pricePerL;
    if (typeof price !== 'number') return null;
    money += (price * uL) / all;
  }
  return all > 0 ? money : null;
}

function lastsOf(
  moves: readonly Move[],
  states: ReadonlyMap<string, AccountState>,
  house: HouseSetUp,
  now: string,
): StockLasts[] {
  const nowMs = Date.parse(now);
  const since = new Date(nowMs - LOOKED_BACK_DAYS * DAY_MS).toISOString();
  const fills = new Map<string, FillMade[]>();
  for (const { at, from, to, parts } of moves) {
    if (!to.startsWith('sump:') || from === 'shortage') continue;
    if (at < since) continue;
    const fresh = parts.filter((p) => p.rounds === 0 && p.phase === 'oil' && p.productId !== null);
    const productId = fresh[0]?.productId ?? null;
    if (productId === null) continue;
    const made = {
      pumpId: to.slice('sump:'.length),
      atDays: Date.parse(at) / DAY_MS,
      ml: totalUL(fresh) / 1000,
    };
    fills.set(productId, [...(fills.get(productId) ?? []), made]);
  }
  // A record that is younger than that is looked back on as far as it goes.
  const oldest = moves[0] ? (nowMs - Date.parse(moves[0].at)) / DAY_MS : LOOKED_BACK_DAYS;
  const lookedBackDays = Math.max(1, Math.min(LOOKED_BACK_DAYS, oldest));
  const stock = new Map<string, Map<string, number>>();
  // What was drawn from the shelf and is not there any more is ordered too.
  for (const { from, to, parts } of moves)
    if (from.startsWith('container:') && to.startsWith('sump:'))
      for (const { rounds, productId } of parts)
        if (rounds === 0 && productId !== null && fills.has(productId)) stock.set(productId, new Map());
  for (const [key, { parts }] of states) {
    const id = key.slice('container:'.length);
    const container = key.startsWith('container:') ? house.container[id] : undefined;
    if (!container || container.wasteKind) continue;
    for (const p of parts)
      if (p.rounds === 0 && p.phase === 'oil' && p.productId !== null)
        stock.set(p.productId, plus(stock.get(p.productId), container.siteId, p.uL / 1000));
  }
  return [...stock]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([productId, bySite]): StockLasts => {
      const sites = [...bySite].sort(([, a], [, b]) => b - a).map(([siteId, ml]) => ({ siteId, newMl: ml }));
      const newMl = sites.reduce((sum, s) => sum + s.newMl, 0);
      const drawn = fills.get(productId) ?? [];
      const use = () => {
        const random = seededRandom(SEED);
        return { fills: drawn, nowDays: nowMs / DAY_MS, lookedBackDays, uniform: () => random.next() };
      };
      const days = stockLasts({ stockMl: newMl, ...use() });
      const needed = coversDays({ days: COVERED_DAYS, ...use() }) ?? 0;
      return { productId, newMl, sites, days, order: { ml: Math.max(0, needed - newMl), days: COVERED_DAYS } };
    });
}

const plus = (sites: ReadonlyMap<string, number> | undefined, siteId: string, ml: number): Map<string, number> =>
  new Map(sites).set(siteId, (sites?.get(siteId) ?? 0) + ml);
