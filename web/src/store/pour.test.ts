import type { StoreAnswer, StoreContainer } from '@winter-jar/contracts';
import { firstAccount, NO_FACTS, onShelf, type Container, type HouseSetUp, type Part } from '@winter-jar/core';
import { stockRows } from './stock-rows.js';
import { afterPour, pouredFrom, shareOf, volumesOf } from './pour.js';

const NOW = Date.parse('2031-02-01T12:00:00.000Z');
const house = {
  ...{ oilProduct: {}, container: {}, filterMedia: {}, jarShape: {} },
  houseRules: { house: { limits: {}, reuseSchool: 'reuse' } },
} as unknown as HouseSetUp;
const part = (phase: Part['phase'], ml: number, rounds = 1): Part => ({
  ...{ phase, lot: 'l', productId: 'a', rounds, passes: 0, uL: Math.round(ml * 1000) },
});
function made(id: string, parts: readonly Part[], container: Partial<Container> = {}, hazyMl = 0): StoreContainer {
  const whole: Container = { name: id, vessel: 'jar', holdsMl: 1000, siteId: 's', ...container };
  (house.container as Record<string, Container>)[id] = whole;
  const reading = { entryId: 'r', at: '2031-01-31T12:00:00.000Z', hazyUL: hazyMl * 1000, clarity: null, colour: null };
  const filledAt = '2031-01-20T12:00:00.000Z';
  const state = {
    ...firstAccount({ type: 'container', id }),
    parts,
    filledAt,
    reading: parts.length > 0 ? reading : null,
  };
  const shelf = onShelf({ state, container: whole, house, facts: NO_FACTS, nowMs: NOW });
  return { id, container: whole, state, shelf, facts: NO_FACTS, filter: null };
}
const JAR = made('jar', [part('sludge', 8), part('water', 31), part('cream', 18), part('oil', 292.04)], {}, 82);
const CAN = made('can', [part('oil', 9000, 0)], { vessel: 'can', holdsMl: 20_000 });
const DRUM = made('drum', [part('oil', 500), part('water', 40)], { vessel: 'drum', wasteKind: 'oil', holdsMl: 60_000 });

test('what a jar gives: the clear oil first, and nothing that is not there', () => {
  expect(pouredFrom(JAR)).toEqual(['clear', 'oil', 'rest', 'all']);
  expect(volumesOf(JAR, 'clear')).toMatchObject({ oilMl: 210.04, waterMl: 0 });
  expect(volumesOf(JAR, 'rest')).toEqual({ oilMl: 0, waterMl: 31, creamMl: 18, sludgeMl: 8 });
  // New oil has no layers to choose from; waste goes whole.
  expect(pouredFrom(CAN)).toEqual(['oil']);
  expect(pouredFrom(DRUM)[0]).toBe('all');
  expect(pouredFrom(made('none', []))).toEqual([]);
});

test('a part of everything takes each layer in proportion, all of it leaves nothing behind', () => {
  expect(shareOf(JAR, 'rest', 28.5)).toEqual({ oilMl: 0, waterMl: 15.5, creamMl: 9, sludgeMl: 4 });
  expect(shareOf(JAR, 'all', 349)).toEqual(volumesOf(JAR, 'all'));
});

test('both containers as they will stand, before anything is saved', () => {
  const store: StoreAnswer = {
    ...{ now: new Date(NOW).toISOString(), reuses: true, sumps: [], stock: [], settlingFactor: 1 },
    containers: [JAR, CAN, DRUM],
  };
  const body = { fromId: 'jar', toId: 'can', ...volumesOf(JAR, 'clear') };
  const after = afterPour({ body, store, house, nowMs: NOW });
  expect(after.from?.shelf.heldMl).toBeCloseTo(139, 6);
  expect(after.to?.shelf).toMatchObject({ heldMl: 9210.04, blend: { worstRounds: 1 } });
  expect(after.to?.shelf.blend.meanRounds).toBeCloseTo(210.04 / 9210.04, 9);
  const spilt = afterPour({ body: { fromId: 'jar', outside: 'spill', oilMl: 10 }, store, house, nowMs: NOW });
  expect([spilt.from?.shelf.heldMl, spilt.to]).toEqual([339.04, null]);
});

test('the colour of what meets: by volume, known where both are; a spill has none', () => {
  const oil = {
    name: 'A',
    grade: 'VG 68',
    base: 'mineral',
    waterBehaviour: 'demulsifying',
    freshColour: 1,
    densityKgM3: 870,
  };
  const known = { ...house, oilProduct: { a: oil } } as unknown as HouseSetUp;
  const read = (id: string, colour: number | null, ml: number): StoreContainer => {
    const one = made(id, [part('oil', ml)]);
    const { reading } = one.state;
    return { ...one, state: { ...one.state, reading: reading && { ...reading, colour } } };
  };
  const containers = [read('dark', 4, 500), read('pale', 4, 500), read('unread', null, 500), made('empty', []), CAN];
  const store = { now: new Date(NOW).toISOString(), reuses: true, sumps: [], stock: [], settlingFactor: 1, containers };
  const colour = (fromId: string, toId: string) =>
    afterPour({ body: { fromId, toId, oilMl: 500 }, store, house: known, nowMs: NOW }).to?.colour;
  expect([colour('dark', 'pale'), colour('dark', 'empty'), colour('dark', 'unread')]).toEqual([4, 4, null]);
  // Half a litre in nine of new oil tints it a little.
  expect(colour('dark', 'can')).toBeGreaterThanOrEqual(1);
  expect(colour('dark', 'can')).toBeLessThanOrEqual(1.5);
  expect(
    afterPour({ body: { fromId: 'dark', outside: 'spill', oilMl: 9 }, store, house: known, nowMs: NOW }).to,
  ).toBeNull();
});

test('the stock as rows: what stands in each, and an empty one says nothing of rounds', () => {
  const places = { ...house, site: { s: { name: 'Low Ferry', zone: 'UTC' } } } as unknown as HouseSetUp;
  const [jar, none] = stockRows([JAR, made('none', [])], places);
  expect(jar).toMatchObject({
    ...{ container: 'jar', site: 'Low Ferry', oil_ml: 292.04, water_ml: 31, cream_ml: 18, sludge_ml: 8 },
    ...{ rounds_mean: 1, rounds_most: 1, new_percent: 0, holds_ml: 1000 },
  });
  expect(none).toMatchObject({ oil: '', oil_ml: 0, rounds_most: 0 });
});
