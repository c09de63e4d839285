import type { Entry } from '../journal/index.js';
import { standingAt } from '../standing/index.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import { rebuild } from './pump-projection.js';

const book = bookOf();
const setUp = book.pumpAt({ pumpId: 'p1', instant: at(900) })!;
const KEPT = { jarKept: true, outMl: 400 };

function after(nowHours: number, ...entries: Entry[]) {
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { reasons } = standingAt({ state, setUp, now: at(nowHours) });
  return { state, said: reasons.filter(({ code }) => code === 'jarToRead').map(({ level }) => level) };
}
const first = changeAt(1);
const change = entryAt(30, 'change', { sump: 'oil', productId: 'oil-a', inMl: 700, levelAfter: 'right', ...KEPT });
const ran = [first, runAt(2, 4), runAt(8, 4), runAt(14, 4), change];
const read = (hours: number, body: object = {}) =>
  lookAt(hours, { source: 'drained', drawnId: change.id, hoursStood: hours - 30, lookedAtMl: 400, ...body });
/** 400 mL on the shelf stand some 70 mm high; 50 µm fall 3.4 mm an hour in VG 68 at 20 °C: about 20 h. */
const READY = 30 + 30;

test.each<[string, Entry[], number, string[]]>([
  ['nobody kept one', [first, runAt(2, 20), changeAt(30)], READY, []],
  ['it stands still', ran, 32, ['runOn']],
  ['it has stood its time', ran, READY, ['lookSooner']],
  ['read after its time', [...ran, read(READY)], READY + 1, []],
  ['read too soon: once more', [...ran, read(31.5)], READY, ['lookSooner']],
  ['a look in the glass is not the jar', [...ran, lookAt(READY, {})], READY + 1, ['lookSooner']],
  ['a jar of another draining is not it', [...ran, read(READY, { drawnId: first.id })], READY + 1, ['lookSooner']],
  ['changed again: that jar is the one', [...ran, changeAt(40)], READY, []],
  ['nobody reads it in a week', ran, READY + 24 * 8, []],
])('%s', (_, entries, now, said) => expect(after(now, ...entries).said).toEqual(said));

test('read after the pump has run again it judges the charge that is gone, and is no look at the new one', () => {
  const dark = { colour: 6, sludgeMl: 2 };
  const ranOn = [...ran, runAt(40, 10)];
  const { state } = after(READY + 1, ...ranOn, read(READY, dark));
  expect(state.sumps[0]?.findings.map(({ code, level }) => `${code}: ${level}`)).toEqual(['goneCharge: lookSooner']);
  expect(state.tasks.look?.counts.runs).toBe(3);
  expect(state.sumps[0]?.charge.sampledWaterUl).toBe(0);
  // One that names no jar is taken for the oil that is in it, as ever.
  const unnamed = entryAt(READY, 'look', { ...read(READY, dark).body, drawnId: null } as never);
  expect(after(READY + 1, ...ranOn, unnamed).state.sumps[0]?.findings.map(({ code }) => code)).toContain('sludge');
});
