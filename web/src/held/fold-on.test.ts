import type { PumpPage } from '@winter-jar/contracts';
import { initialState, roundRow, standingAt, step, type Entry, type PumpState } from '@winter-jar/core';
import { at, bookOf, changeAt, correctionAt, lookAt, runAt } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { foldOn } from './fold-on.js';

const NOW = at(2000);
const setUp = bookOf().pumpAt({ pumpId: 'p1', instant: NOW })!;
const after = (entries: readonly Entry[]): PumpState =>
  entries.reduce<PumpState>((state, entry) => step(state, entry, setUp), initialState('p1'));
/** As the server answers once these are written. */
function pageOf(entries: readonly Entry[]): PumpPage {
  const state = after(entries);
  const standing = standingAt({ state, setUp, now: NOW });
  return { row: roundRow({ setUp, state, standing }), setUp, state, standing, earlier: [] };
}
const runs = (page: PumpPage) => page.state.totals.runs;

test('what waits is folded on as the server would', () => {
  const [change, run] = [changeAt(10), runAt(20, 8, 'fd-meat')];
  const held = foldOn(pageOf([change]), [run], NOW);
  expect([runs(held), held.notComputed]).toEqual([1, 0]);
  expect(held.row).toEqual(pageOf([change, run]).row);
});

test('a word on what waits too is laid over it, and what was taken back is gone', () => {
  const page = pageOf([changeAt(10)]);
  const [run, other] = [runAt(20, 8, 'fd-meat'), runAt(40, 8, 'fd-meat')];
  const shorter = correctionAt(50, run, { action: 'replace', body: { ...run.body, minutes: 60 } });
  const gone = correctionAt(51, other, { action: 'void' });
  const held = foldOn(page, [run, other, shorter, gone], NOW);
  expect([runs(held), held.state.totals.minutes, held.notComputed]).toEqual([1, 60, 0]);
});

test('what lies before others, or corrects what the server has, is computed when connected: the standing stays', () => {
  const [first, last] = [changeAt(100), runAt(200, 8, 'fd-meat')];
  const page = pageOf([first, last]);
  const late = changeAt(150);
  const word = correctionAt(300, last, { action: 'void' });
  const held = foldOn(page, [late, word], NOW);
  expect([held.notComputed, held.state]).toEqual([2, page.state]);
  // A run of the charge that goes on counts wherever it lies.
  expect(foldOn(page, [runAt(120, 8, 'fd-meat')], NOW)).toMatchObject({
    notComputed: 0,
    state: { totals: { runs: 2 } },
  });
});

test('what names a material that is not here any more, and what is about another pump, changes nothing', () => {
  const page = pageOf([changeAt(10)]);
  expect(foldOn(page, [runAt(20, 8, 'moon-dust')], NOW)).toMatchObject({ notComputed: 1, state: page.state });
  expect(foldOn(page, [runAt(20, 8, 'fd-meat', { pumpId: 'p2' })], NOW)).toMatchObject({
    notComputed: 0,
    state: page.state,
  });
});

test('wherever the connection went, the pump stands as with all of it', () => {
  const kinds = fc.array(fc.constantFrom('run', 'change', 'look'), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(kinds, fc.nat(), (made, cut) => {
      const entries = made.map((kind, i): Entry => {
        const hour = 10 + i * 24;
        return kind === 'run'
          ? runAt(hour, 8, 'fd-meat')
          : kind === 'change'
            ? changeAt(hour)
            : lookAt(hour, { colour: 2 });
      });
      const at = cut % (entries.length + 1);
      const held = foldOn(pageOf(entries.slice(0, at)), entries.slice(at), NOW);
      expect(held.row).toEqual(pageOf(entries).row);
    }),
  );
});
