import { rebuild, step, initialState, type PumpState } from '../fold/index.js';
import { standingAt } from '../standing/index.js';
import type { Entry, EntryBodies } from '../journal/index.js';
import type { Finding, FindingCode } from '../oil/index.js';
import { setUpBook, type SetUpBook, type SetUpVersion } from '../set-up/index.js';
import { longYardEntries, longYardVersions } from '../testing/long-yard.js';
import {
  at,
  changeAt,
  entryAt,
  foundAt,
  lookAt,
  runAt,
  START,
  versionsOf,
  type YardOptions,
} from '../testing/small-yard.js';
import { gatherEvidence } from './gather.js';

type Bodies = Readonly<Record<string, object>>;

/** The test yard with other values in some of its records. */
function bookWith(changed: Bodies, options: YardOptions = {}): SetUpBook {
  const versions = versionsOf(options).map((v) => {
    const more = changed[v.subjectId];
    return more ? ({ ...v, body: { ...v.body, ...more } } as SetUpVersion) : v;
  });
  const rules = changed['house'];
  const house = { id: '00000000-0000-4000-8000-00000000ffff', kind: 'houseRules', subjectId: 'house' };
  const time = { validFrom: START, recordedAt: START };
  return setUpBook(
    rules ? [...versions, { ...house, ...time, body: { limits: {}, ...rules } } as SetUpVersion] : versions,
  );
}

function asked(entries: Entry[], book: SetUpBook, hours = 300) {
  const now = at(hours);
  const state = rebuild({ pumpId: 'p1', entries, book });
  const setUp = book.pumpAt({ pumpId: 'p1', instant: now });
  if (!setUp) throw new Error('the pump is missing');
  const { evidence } = gatherEvidence({ pumpId: 'p1', entries, state, book, now });
  const standing = standingAt({ state, setUp, now });
  return {
    said: Object.fromEntries(evidence.map((e) => [e.id, e.state])),
    verdict: standing.verdict,
    codes: standing.reasons.map((r) => r.code),
    act: standing.act,
  };
}

const sample = (hours: number) => entryAt(hours, 'labSample', { sump: 'oil', drawnMl: 100 });
const report = (hours: number, of: Entry, values: Partial<EntryBodies['labResult']>) =>
  entryAt(hours, 'labResult', { sampleId: of.id, ...values });

describe('a report says the same to the verdict and to the evidence', () => {
  const known = {
    'oil-a': { viscosity40Mm2s: 68, freshIronPpm: 0, freshAcidMgKohG: 0.1 },
    'oil-b': { viscosity40Mm2s: 100 },
  };
  const drawn = sample(100);

  // By hand: 61.2 / 68 = 0.9, which is 10 % thinner, and 10 % is the first limit; 61.3 is 9.85 %; 78.2 is 15 % thicker.
  test.each<[string, Partial<EntryBodies['labResult']>, FindingCode | null, Record<string, string>]>([
    ['10 % thinner', { viscosity40Mm2s: 61.2 }, 'viscosity', { thickness: 'thin' }],
    ['9.9 % thinner', { viscosity40Mm2s: 61.3 }, null, { thickness: 'asFresh' }],
    ['15 % thicker', { viscosity40Mm2s: 78.2 }, 'viscosity', { thickness: 'thick' }],
    ['iron at its limit', { ironPpm: 15 }, 'iron', { iron: 'raised' }],
    ['iron under it', { ironPpm: 14 }, null, { iron: 'normal' }],
    ['acid up by a half', { acidMgKohG: 0.6 }, 'acid', { acid: 'raised' }],
  ])('%s', (_what, values, code, said) => {
    const found = asked([changeAt(1), runAt(10, 20), drawn, report(150, drawn, values)], bookWith(known));
    expect(found.codes.filter((c) => c === code)).toEqual(code ? [code] : []);
    expect(found.said).toMatchObject(said);
  });

  test('it is held against the oil that the sample was drawn from, not against the one that is in by now', () => {
    // 68 of oil A as new; against oil B it would be 32 % thinner.
    const entries = [
      changeAt(1),
      runAt(10, 20),
      drawn,
      changeAt(120, 'oil-b'),
      report(150, drawn, { viscosity40Mm2s: 68 }),
    ];
    expect(asked(entries, bookWith(known)).said['thickness']).toBe('asFresh');
  });

  test('and by the limits that were in force when it came', () => {
    const iron = [changeAt(1), runAt(10, 20), drawn, report(150, drawn, { ironPpm: 20 })];
    const later = bookWith(known);
    const strict = bookWith({ ...known, house: { oilLimits: { 'ironPpm.lookSooner': 30 } } });
    expect(asked(iron, later).said['iron']).toBe('raised');
    expect(asked(iron, strict)).toMatchObject({ said: { iron: 'normal' } });
    expect(asked(iron, strict).codes).not.toContain('iron');
  });

  test('iron that rises faster than usual is raised iron, though no limit in ppm is passed', () => {
    const charge = (start: number, ppm: number) => {
      const bottle = sample(start + 110);
      return [changeAt(start), runAt(start + 2, 100), bottle, report(start + 120, bottle, { ironPpm: ppm })];
    };
    // 3 ppm in 100 h three times, then 12: four times the usual, where two are the limit.
    const entries = [...charge(1, 3), ...charge(201, 3), ...charge(401, 3), ...charge(601, 12)];
    const found = asked(entries, bookWith(known), 760);
    expect(found.codes).toContain('ironRate');
    expect(found.said['iron']).toBe('raised');
  });
});

describe('water against what was expected is judged once, by the limits of the house', () => {
  // By the trade's own figure 30 h at -40 °C and 6 m³/h leave 17 g.
  const entries = [
    changeAt(1),
    runAt(10, 30, 'any-empty', { body: { trapTempC: -40 } }),
    lookAt(100, { source: 'sample', lookedAtMl: 100, hoursStood: 30, freeWaterMl: 60 }),
  ];
  test('17 mL expected and 60 found are more than three times as much and 15 mL over', () => {
    expect(asked(entries, bookWith({}))).toMatchObject({ said: { water: 'farMore' } });
    expect(asked(entries, bookWith({})).codes).toContain('waterAboveExpected');
  });
  test('under limits of 5 and 10 times it is as expected, to both', () => {
    const patient = { 'waterTimesExpected.lookSooner': 5, 'waterTimesExpected.beforeNextRun': 10 };
    const found = asked(entries, bookWith({ house: { oilLimits: patient } }));
    expect(found.codes).not.toContain('waterAboveExpected');
    expect(found.said['water']).toBe('asExpected');
  });
});

test('the level as a service left it is known, and a bleed leaves it open', () => {
  const high = lookAt(100, { level: 'high' });
  const low = lookAt(100, { level: 'low' });
  const topUp = entryAt(110, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 50, levelAfter: 'right' });
  const bleed = entryAt(110, 'bleed', { sump: 'oil', drawnMl: 50, waterMl: 5 });
  expect(asked([changeAt(1), low, topUp], bookWith({})).said['level']).toBe('right');
  expect(asked([changeAt(1), high, bleed], bookWith({})).said['level']).toBeUndefined();
  expect(asked([changeAt(1), lookAt(100, { level: 'hair' })], bookWith({})).said['level']).toBeUndefined();
});

test('a jar that has not stood its time does not take back what a settled one has shown', () => {
  const settled = lookAt(100, { source: 'sample', lookedAtMl: 100, hoursStood: 30, sludgeMl: 5 });
  const tooSoon = lookAt(110, { source: 'sample', lookedAtMl: 100, hoursStood: 0.5, sludgeMl: 0 });
  const found = asked([changeAt(1), runAt(10, 20), settled, tooSoon], bookWith({}));
  expect(found.codes).toContain('sludge');
  expect(found.said['sludge']).toBe('yes');
});

test('who says of what stands in the verdict that it is not so has the last word among the evidence', () => {
  const entries = [changeAt(1), runAt(10, 20), lookAt(100, { clarity: 'hazy', hoursStood: 24 })];
  expect(asked(entries, bookWith({})).said['haze']).toBe('hazy');
  const found = asked([...entries, foundAt(120, { haze: 'clear' })], bookWith({}));
  expect(found.said['haze']).toBe('clear');
  // The verdict waits for a look at the oil.
  expect(found.codes).toContain('clarity');
});

describe('lab water is dissolved: purged, never bled, whatever the oil', () => {
  const drawn = sample(100);
  const wet = [changeAt(1), runAt(10, 20), drawn, report(150, drawn, { waterPpm: 400 })];
  const limits = { 'labWaterPpm.lookSooner': 300 };
  test.each([
    ['a heavy ester', { base: 'ester', densityKgM3: 1010, oilLimits: limits }, 'purge'],
    ['PFPE', { base: 'pfpe', densityKgM3: 1890, oilLimits: limits }, 'purge'],
    ['an ester that water sinks in', { base: 'ester', densityKgM3: 960, oilLimits: limits }, 'purge'],
  ])('%s', (_what, body, act) => {
    const found = asked(wet, bookWith({ 'oil-a': body }));
    expect(found.codes).toContain('labWater');
    expect(found.act).toBe(act);
  });
});

/** What the verdict's findings mean among the signs; the others have no sign of their own. */
const SIGNS_OF: { readonly [C in FindingCode]?: (f: Extract<Finding, { code: C }>) => [string, string][] } = {
  waterAboveExpected: (f) => [['water', f.level === 'lookSooner' ? 'more' : 'farMore']],
  levelFromWater: () => [['level', 'high']],
  cream: () => [['cream', 'yes']],
  creamThroughout: () => [['cream', 'yes']],
  clarity: () => [['haze', 'hazy']],
  darkAgain: () => [['darkAfterChange', 'yes']],
  sludge: () => [['sludge', 'yes']],
  smell: (f) => [['smell', f.smell]],
  foam: () => [['foam', 'yes']],
  level: (f) => (f.found === 'hair' || f.found === 'notTold' ? [] : [['level', f.found === 'none' ? 'low' : f.found]]),
  thrownOil: () => [['exhaustMist', 'thrown']],
  viscosity: (f) => [['thickness', f.thinner ? 'thin' : 'thick']],
  iron: () => [['iron', 'raised']],
  ironRate: () => [['iron', 'raised']],
  wear: () => [['iron', 'raised']],
  acid: () => [['acid', 'raised']],
  base: () => [['acid', 'raised']],
  otherProduct: () => [['productChanged', 'yes']],
};
const signsOf = (f: Finding): [string, string][] =>
  (SIGNS_OF[f.code] as ((f: Finding) => [string, string][]) | undefined)?.(f) ?? [];
/** Signs that a judge makes: they may be said only where the verdict says them. */
const JUDGED = { water: 'asExpected', darkAfterChange: 'no' } as const;

const PUMPS = 12;
const RUNS = 50;
/** Other journals: SEED=7 npx jest evidence-and-verdict */
const seed = Number(process.env['SEED'] ?? 0);

test.each(Array.from({ length: PUMPS }, (_, i) => i + seed * PUMPS))(
  'at no moment of random journal %i do evidence and verdict contradict each other',
  (pump) => {
    const book = setUpBook(longYardVersions(pump + 1));
    const pumpId = `long-${pump}`;
    let state: PumpState = initialState(pumpId);
    let entries: Entry[] = [];
    for (const entry of longYardEntries(pump, RUNS)) {
      // As much as the diagnosis looks back: two ended charges.
      const changes = entries.filter((e) => e.kind === 'change');
      const from = changes.at(-3)?.happenedAt ?? '';
      entries = [...entries.filter((e) => e.happenedAt >= from), entry];
      const setUp = book.pumpAt({ pumpId, instant: entry.happenedAt });
      if (!setUp) throw new Error('the pump is missing');
      state = step(state, entry, setUp);
      const { evidence } = gatherEvidence({ pumpId, entries, state, book, now: entry.happenedAt });
      const said = Object.fromEntries(evidence.map((e) => [e.id, e.state]));
      const findings = state.sumps[0]?.findings ?? [];
      const wanted = findings.flatMap(signsOf);
      for (const [id, expected] of wanted) {
        const also = wanted.filter(([other]) => other === id).map(([, s]) => s);
        if (!also.includes(said[id] ?? ''))
          throw new Error(
            `${entry.happenedAt} ${entry.kind}: the verdict says ${id} ${expected}, the evidence ${said[id]}`,
          );
      }
      for (const [id, usual] of Object.entries(JUDGED))
        if (said[id] && said[id] !== usual && !wanted.some(([w]) => w === id))
          throw new Error(
            `${entry.happenedAt} ${entry.kind}: the evidence says ${id} ${said[id]}, the verdict nothing`,
          );
    }
    expect(state.totals.runs).toBe(RUNS);
  },
);
