import { seededRandom } from '../simulate/random.js';
import { stretchesOf, type Stretch, type SuspectEvent } from './stretches.js';
import { suspectMaterials } from './suspect-material.js';

const alone = (materialId: string, n: number, came: number): Stretch[] =>
  Array.from({ length: n }, (_, i) => ({ runs: { [materialId]: 1 }, came: i < came }));
const of = (stretches: Stretch[], id: string) =>
  suspectMaterials(stretches).materials.find((m) => m.materialId === id)!;

test('a single anecdote is not a suspect: one dark run of one stays near the yard’s usual rate', () => {
  const yard = [...alone('bread', 60, 6), ...alone('sausage', 1, 1)];
  const { usualRate } = suspectMaterials(yard);
  const sausage = of(yard, 'sausage');
  expect(usualRate).toBeCloseTo(0.12, 1);
  expect(sausage.p50).toBeLessThan(0.45);
  expect(sausage.standsOut).toBe(false);
});

test('where the sign is rare, two readings are anecdotes still and three are not', () => {
  const yard = (came: number) => [...alone('bread', 300, 0), ...alone('sausage', 20, came)];
  expect(of(yard(2), 'sausage').standsOut).toBe(false);
  expect(of(yard(3), 'sausage').standsOut).toBe(true);
});

test('what goes with it again and again stands out, and what does not is clear of it', () => {
  const yard = [...alone('bread', 60, 3), ...alone('sausage', 12, 9)];
  expect(of(yard, 'sausage')).toMatchObject({ standsOut: true, runs: 12, came: 9 });
  expect(of(yard, 'sausage').p50).toBeGreaterThan(0.5);
  expect(of(yard, 'bread').standsOut).toBe(false);
});

// Beta(4 · 0.256 + 2, 4 · 0.744 + 8); quantiles by an independent implementation of the Beta distribution: 0.089, 0.202, 0.362.
test('alone in every stretch its posterior is the conjugate one: Beta(3, 11)', () => {
  const yard = [...alone('x', 10, 2), ...alone('y', 30, 8)];
  const { usualRate } = suspectMaterials(yard);
  expect(usualRate).toBeCloseTo(0.256, 2);
  const { p10, p50, p90 } = of(yard, 'x');
  expect([p10, p50, p90].map((p) => Math.round(p * 100) / 100)).toEqual([0.09, 0.2, 0.36]);
});

test('in mixed stretches the one that is always there is blamed, not the ones that are there by chance', () => {
  const mixed: Stretch[] = ['a', 'b', 'c', 'd'].flatMap((id) => [
    { runs: { [id]: 2, sausage: 1 }, came: true },
    { runs: { [id]: 2, sausage: 1 }, came: true },
    { runs: { [id]: 3 }, came: false },
    { runs: { [id]: 3 }, came: false },
  ]);
  const { materials } = suspectMaterials(mixed);
  expect(materials[0]).toMatchObject({ materialId: 'sausage', standsOut: true });
  expect(materials.filter((m) => m.standsOut)).toHaveLength(1);
});

test('eight of ten 80 % intervals hold the true rate, over simulated yards', () => {
  const random = seededRandom(6);
  let [inside, all] = [0, 0];
  for (let yard = 0; yard < 60; yard++) {
    const truth = Object.fromEntries(['a', 'b', 'c', 'd', 'e'].map((id) => [id, random.next() * 0.4]));
    const ids = Object.keys(truth);
    const stretches = Array.from({ length: 80 }, (): Stretch => {
      const picked = Array.from(
        { length: 1 + Math.floor(random.next() * 3) },
        () => ids[Math.floor(random.next() * 5)]!,
      );
      const runs: Record<string, number> = {};
      for (const id of picked) runs[id] = (runs[id] ?? 0) + 1;
      return { runs, came: picked.some((id) => random.next() < truth[id]!) };
    });
    for (const { materialId, p10, p90 } of suspectMaterials(stretches).materials) {
      all += 1;
      if (p10 <= truth[materialId]! && truth[materialId]! <= p90) inside += 1;
    }
  }
  expect(all).toBe(300);
  expect(inside / all).toBeGreaterThan(0.7);
  expect(inside / all).toBeLessThan(0.9);
});

test('so many clean runs in a row clear it', () => {
  const { p50, runsToClear } = of([...alone('bread', 60, 3), ...alone('sausage', 12, 9)], 'sausage');
  expect((1 - p50) ** runsToClear).toBeLessThanOrEqual(0.2);
  expect((1 - p50) ** (runsToClear - 1)).toBeGreaterThan(0.2);
});

test('nothing read is nothing known', () => {
  expect(suspectMaterials([])).toMatchObject({ stretches: 0, materials: [] });
});

const run = (materialId: string): SuspectEvent => ({ kind: 'run', materialId });
const look = (colour: number | null, waterMl: number | null = null): SuspectEvent => ({
  kind: 'look',
  colour,
  waterMl,
});

test('a stretch of colour goes from reading to reading, and a change begins anew', () => {
  const events = [
    run('early'),
    look(1),
    run('a'),
    run('a'),
    look(2),
    run('b'),
    { kind: 'change', freshColour: 0.5 } as const,
    run('c'),
    look(1),
  ];
  expect(stretchesOf(events, 'dark')).toEqual([
    { runs: { a: 2 }, came: true },
    { runs: { c: 1 }, came: false },
  ]);
});

test('a look that does not name the colour ends no stretch', () => {
  expect(stretchesOf([look(1), run('a'), look(null), run('b'), look(3)], 'dark')).toEqual([
    { runs: { a: 1, b: 1 }, came: true },
  ]);
});

test('water counts once: what stood in the oil before is not found again', () => {
  const events = [
    look(null, 0),
    run('a'),
    look(null, 12),
    run('b'),
    look(null, 13),
    { kind: 'bleed', waterMl: 13 } as const,
    run('c'),
    look(null, 2),
  ];
  expect(stretchesOf(events, 'water')).toEqual([
    { runs: { a: 1 }, came: true },
    { runs: { b: 1 }, came: false },
    { runs: { c: 1 }, came: false },
  ]);
});
