import { readFileSync } from 'node:fs';
import { FOLD_VERSION } from '@winter-jar/core';
import type { GoldenYard } from './golden-standings.js';
import { GOLDEN_YARDS } from './golden-yards.js';

const kept = (name: string) =>
  JSON.parse(readFileSync(new URL(`../golden/${name}.json`, import.meta.url), 'utf8')) as GoldenYard;

/*
 * A difference here is a change of what people see or of what is stored. Where it is meant: raise FOLD_VERSION if states moved,
 * then `npm run golden`, which says what moved.
 */
test('the demo yard stands as it is kept, and its states mean the same under their fold version', () => {
  expect(GOLDEN_YARDS['demo-yard']()).toEqual(kept('demo-yard'));
});

const SAMPLE = 10;

test('of a yard of 300 pumps with 200 runs each every tenth stands as it is kept; npm run golden holds them all', () => {
  const { pumps } = GOLDEN_YARDS['long-yard'](SAMPLE);
  const { pumps: all, foldVersion } = kept('long-yard');
  expect(foldVersion).toBe(FOLD_VERSION);
  expect(Object.keys(pumps)).toHaveLength(30);
  for (const [id, pump] of Object.entries(pumps)) expect({ [id]: pump }).toEqual({ [id]: all[id] });
});
