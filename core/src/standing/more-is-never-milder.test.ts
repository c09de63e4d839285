import fc from 'fast-check';
import { isHarder, type VerdictLevel } from '../limits/index.js';
import type { Entry, EntryBodies } from '../journal/index.js';
import { judged } from '../testing/judged-pump.js';
import { changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';

type Look = Partial<EntryBodies['look']>;

/** What may be seen in one jar, each as bad as it is. */
const SEEN: readonly Look[] = [
  ...([{ freeWaterMl: 20 }, { freeWaterMl: 60 }, { creamMl: 12 }, { sludgeMl: 10 }, { clarity: 'cloudy' }] as const),
  ...([{ colour: 5 }, { smell: 'sour' }, { smell: 'solvent' }, { foam: 'stays' }, { level: 'low' }] as const),
  ...([{ particles: 'few' }, { particles: 'many', particleKinds: ['rustRed'] }] as const),
  { particles: 'few', particleKinds: ['glitter'] },
];
/** What may be found at the pump, each unusual. */
const FOUND: readonly (readonly [id: string, state: string])[] = [
  ...([
    ['noise', 'louder'],
    ['noise', 'grinding'],
    ['starts', 'slow'],
    ['starts', 'trips'],
    ['current', 'higher'],
  ] as const),
  ...([
    ['backPressure', 'raised'],
    ['backPressure', 'blocked'],
    ['thickness', 'gels'],
    ['swallowed', 'yes'],
  ] as const),
  ...([
    ['exhaustMist', 'thrown'],
    ['caseTemp', 'hotter'],
    ['fines', 'yes'],
  ] as const),
];
const BEFORE: readonly (readonly Entry[])[] = [
  [changeAt(1), runAt(5, 20)],
  [changeAt(1), runAt(5, 20), lookAt(40, { clarity: 'hazy', hoursStood: 12, level: 'low' })],
  [changeAt(1), runAt(5, 20), entryAt(40, 'bleed', { sump: 'oil', drawnMl: 60, waterMl: 40 })],
  [runAt(5, 20), entryAt(40, 'test', { findings: [{ id: 'noise', state: 'louder', certainty: 1 }] })],
];
const jar: Look = { source: 'sample', drawn: 'atRest', lookedAtMl: 200, hoursStood: 60, jarTempC: 25 };
const levelOf = (before: readonly Entry[], now: Entry): VerdictLevel => judged([...before, now]).verdict;

/** Only unusual things are added: what is usual may answer what stood before. */
const someOf = <T>(items: readonly T[]) => fc.shuffledSubarray([...items], { maxLength: 4 });
const settings = { numRuns: 200, seed: Number(process.env.SEED ?? 11) };

test('one more thing seen in the same jar makes no verdict milder', () => {
  fc.assert(
    fc.property(fc.constantFrom(...BEFORE), someOf(SEEN), fc.constantFrom(...SEEN), (before, seen, more) => {
      // Of one field the jar has one reading: what is added is another field.
      const base: Look = Object.assign({}, jar, ...seen);
      fc.pre(Object.keys(more).every((key) => !(key in base)));
      const [less, all] = [levelOf(before, lookAt(60, base)), levelOf(before, lookAt(60, { ...base, ...more }))];
      expect(isHarder(less, all)).toBe(false);
    }),
    settings,
  );
});

test('one more thing found at the pump in the same test makes no verdict milder', () => {
  const testOf = (found: readonly (readonly [string, string])[]): Entry =>
    entryAt(60, 'test', { findings: found.map(([id, state]) => ({ id, state, certainty: 1 })) });
  fc.assert(
    fc.property(fc.constantFrom(...BEFORE), someOf(FOUND), fc.constantFrom(...FOUND), (before, found, more) => {
      expect(isHarder(levelOf(before, testOf(found)), levelOf(before, testOf([...found, more])))).toBe(false);
    }),
    settings,
  );
});
