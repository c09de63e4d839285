import { bookOf, lookAt, START } from '@winter-jar/core/testing';
import { initialState, OIL_LIMITS, readOil, type Entry } from '@winter-jar/core';
import { unitsOf } from '../device/units-of.js';
import {
  initialValues,
  jarOnShelf,
  readJar,
  settlingOfFields,
  totalMlOf,
  valuesOfLook,
  type ReadJarValues,
} from './read-jar-form.js';
import { mainDraft } from '../testing/main-draft.js';

const UNITS = unitsOf({ pressure: 'hPa', volume: 'mL', temperature: '°C', flow: 'm³/h' });
const ZONE = 'Europe/Lisbon';
const NOW = Date.parse('2031-03-01T12:00:00.000Z');
const values = (more: Partial<ReadJarValues>): ReadJarValues => ({
  ...initialValues({ sump: 'oil', zone: ZONE, lookedAtMl: '' }),
  stood: '20',
  ...more,
});
const read = (more: Partial<ReadJarValues>) => mainDraft(readJar(values(more), UNITS, ZONE, NOW));
const issues = (more: Partial<ReadJarValues>) => {
  const said = read(more);
  return said.ok ? {} : said.issues;
};

test('a whole jar becomes one look', () => {
  expect(
    read({
      source: 'drained',
      stood: 'other',
      hoursStood: '30 h',
      jarTempC: '77 °F',
      lookedAtMl: '12 fl oz',
      jarShapeId: 'straight-500',
      layers: { sludgeMl: 2, waterMl: 31, creamMl: 4, hazyMl: 50 },
      level: 'high',
      clarity: 'hazy',
      colour: 3.5,
      particles: 'few',
      particleKinds: ['black', 'rustRed'],
      smell: 'sour',
      foam: 'settles',
      odd: ['thrownFromExhaust', 'waterAtPickUp'],
      photoId: 'a'.repeat(64),
      remark: ' as last time ',
    }),
  ).toEqual({
    ok: true,
    kind: 'look',
    alsoAbout: [],
    happenedAt: '2031-03-01T12:00:00.000Z',
    precision: 'exact',
    body: {
      sump: 'oil',
      source: 'drained',
      hoursStood: 30,
      jarTempC: expect.closeTo(25, 6) as number,
      lookedAtMl: expect.closeTo(354.88, 1) as number,
      jarShapeId: 'straight-500',
      sludgeMl: 2,
      freeWaterMl: 31,
      creamMl: 4,
      hazyMl: 50,
      level: 'high',
      clarity: 'hazy',
      colour: 3.5,
      particles: 'few',
      particleKinds: ['black', 'rustRed'],
      smell: 'sour',
      foam: 'settles',
      thrownFromExhaust: true,
      photoId: 'a'.repeat(64),
      remark: 'as last time',
    },
  });
});

test('a glass says what was seen and nothing of layers', () => {
  const said = read({ stood: 'running', freeWaterMl: '5', odd: ['waterAtPickUp'], lookedAtMl: '300 mL' });
  expect(said).toMatchObject({
    ok: true,
    body: { sump: 'oil', source: 'sightGlass', hoursStood: 0, freeWaterMl: 5, waterAtPickUp: true },
  });
  expect(said.ok && Object.keys(said.body)).not.toContain('lookedAtMl');
});

test.each<[Partial<ReadJarValues>, string, RegExp]>([
  [{ stood: '' }, 'stood', /how long the oil has stood/],
  [{ source: 'sample', stood: 'running', lookedAtMl: '100' }, 'stood', /how long/],
  [{}, 'clarity', /at least one thing/],
  [{ source: 'sample' }, 'lookedAtMl', /how much/],
  [{ source: 'sample', lookedAtMl: '300 kg' }, 'lookedAtMl', /measures something else\. Right would be/],
  [
    { source: 'sample', lookedAtMl: '100', layers: { sludgeMl: 0, waterMl: 80, creamMl: 30, hazyMl: 0 } },
    'lookedAtMl',
    /10 mL more/,
  ],
  [{ source: 'sample', lookedAtMl: '100', jarTempC: '300' }, 'jarTempC', /“300” is too much/],
  [{ particles: 'none', particleKinds: ['glitter'] }, 'particles', /few or many/],
])('%j is refused at its field', (more, field, words) => {
  expect(issues(more)[field]).toMatch(words);
});

test('a look that is corrected fills the fields it came from', () => {
  const entry = lookAt(20, {
    source: 'sample',
    lookedAtMl: 200,
    hoursStood: 48,
    freeWaterMl: 12,
    creamMl: 3,
    smell: 'burnt',
    colour: 4,
  }) as Extract<Entry, { kind: 'look' }>;
  const filled = valuesOfLook(entry, ZONE, UNITS);
  const said = mainDraft(readJar(filled, UNITS, ZONE, NOW));
  expect(said).toMatchObject({ ok: true, happenedAt: entry.happenedAt, body: entry.body });
});

test('the same jar in other units gives the same verdict, with the same numbers', () => {
  const context = {
    product: { base: 'mineral', waterBehaviour: 'demulsifying', freshColour: 1, densityKgM3: 870 },
    charge: {
      number: 2,
      chargeMl: 700,
      runs: 4,
      startColour: 1,
      waterTakenOutMl: 12,
      expectedWaterMl: null,
      purgedSinceSeen: false,
      addedSinceLevel: true,
      productChanged: false,
      pumpHours: null,
      gone: null,
    },
    limits: OIL_LIMITS,
  } as const;
  const layers = { sludgeMl: 2, waterMl: 31, creamMl: 4, hazyMl: 50 };
  const reading = (lookedAtMl: string, jarTempC: string) => {
    const said = read({ source: 'sample', lookedAtMl, jarTempC, layers, clarity: 'cloudy' });
    if (!said.ok) throw new Error(JSON.stringify(said.issues));
    const { settling, ...rest } = readOil({ ...context, look: said.body });
    return { ...rest, neededHours: Math.round(settling.neededHours * 100) / 100 };
  };
  expect(reading('0.3 L', '25')).toEqual(reading('300 mL', '25 °C'));
  expect(reading('300 mL', '77 °F')).toEqual(reading('300', '25'));
  expect(reading('10 fl oz', '25')).toEqual(reading('295.735296 mL', '25'));
});

test('how long this oil needs is said before how long it has stood', () => {
  const book = bookOf();
  const setUp = book.pumpAt({ pumpId: 'p1', instant: START })!;
  const state = initialState('p1');
  const of = (more: Partial<ReadJarValues>) => settlingOfFields(values({ stood: '', ...more }), UNITS, state, setUp);
  // 300 mL stand 66.1 mm high in the 76 mm jar; a VG 68 oil at 20 °C lets 50 µm fall 3.36 mm/h.
  expect(of({ source: 'sample', lookedAtMl: '300 mL' })?.neededHours).toBeCloseTo(19.69, 1);
  expect(of({ source: 'sample', lookedAtMl: '300 mL', jarTempC: '25' })?.neededHours).toBeCloseTo(14.29, 1);
  expect(of({ source: 'sample', lookedAtMl: '300 mL', stood: '48' })?.settled).toBe(true);
  expect(of({ source: 'sample', lookedAtMl: 'some' })).toBeNull();
  expect(of({})).toMatchObject({ basis: 'sightGlass', neededHours: 8, settled: false });
});

test('while the amount cannot be understood the jar is empty', () => {
  expect(totalMlOf({ lookedAtMl: '2 tbsp' }, UNITS)).toBeCloseTo(29.57, 1);
  expect(totalMlOf({ lookedAtMl: 'some' }, UNITS)).toBe(0);
});

// Of the drain `d`: the jar that is to be read stands where its oil went last, and nobody has read it there.
test.each<[string, { outIds: string[]; read?: boolean; wasteKind?: string }, boolean]>([
  ['its jar', { outIds: ['d'] }, true],
  ['its jar, of oil that was round before', { outIds: ['c', 'd'] }, true],
  ['another one’s', { outIds: ['c'] }, false],
  ['poured together with a later one', { outIds: ['d', 'e'] }, false],
  ['read already', { outIds: ['d'], read: true }, false],
  ['all of it went to the waste drum, a jar was kept apart', { outIds: ['d'], wasteKind: 'oil' }, false],
  ['empty', { outIds: [] }, false],
])('where the jar of a change stands: %s', (_, { outIds, read, wasteKind }, stands) => {
  const one = {
    container: { wasteKind: wasteKind ?? null },
    state: { reading: read ? {} : null, marks: { stays: outIds.map((outId) => ({ outId })) } },
  } as unknown as Parameters<typeof jarOnShelf>[0][number];
  const toRead = { entryId: 'd', at: START, fromAt: START };
  expect([jarOnShelf([one], toRead), jarOnShelf([one], null)]).toEqual([stands ? one : null, null]);
});
