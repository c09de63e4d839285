// Longer than a file should be: one table of what each kind of entry tells a diagnosis.
import { at, bookOf, caseAt, changeAt, entryAt, foundAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import { rebuild } from '../fold/index.js';
import type { Entry } from '../journal/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { gatherEvidence } from './gather.js';
import { rank } from './rank.js';

const NOW = 300;
function evidence(entries: Entry[], now = NOW) {
  const book = bookOf({});
  const state = rebuild({ pumpId: 'p1', entries, book });
  return gatherEvidence({ pumpId: 'p1', entries, state, book, now: at(now) }).evidence;
}
const states = (entries: Entry[], now = NOW) => Object.fromEntries(evidence(entries, now).map((e) => [e.id, e.state]));
const run = (hours: number, body: object, materialId = 'fd-meat') => runAt(hours, 20, materialId, { body });

test('an empty journal says nothing: what nobody logged is unknown', () => {
  expect(evidence([])).toEqual([]);
});

test.each<[string, Entry, Record<string, string>]>([
  ['cream in a jar', lookAt(250, { source: 'sample', lookedAtMl: 200, creamMl: 6 }), { cream: 'yes', sludge: 'no' }],
  ['a sight glass that is white throughout', lookAt(250, { clarity: 'cream' }), { cream: 'yes', haze: 'hazy' }],
  ['a level above MAX', lookAt(250, { level: 'high' }), { level: 'high' }],
  [
    'red particles',
    lookAt(250, { particles: 'many', particleKinds: ['rustRed'] }),
    { rustParticles: 'yes', glitter: 'no', blackParticles: 'no' },
  ],
  ['no particles at all', lookAt(250, { particles: 'none' }), { fibres: 'no', growth: 'no' }],
  ['a fishy smell', lookAt(250, { smell: 'fishy' }), { smell: 'fishy' }],
  ['amine', lookAt(250, { smell: 'ammonia' }), { smell: 'fishy' }],
  ['oil thrown out', lookAt(250, { thrownFromExhaust: true }), { exhaustMist: 'thrown' }],
  ['foam that stays', lookAt(250, { foam: 'stays' }), { foam: 'yes' }],
])('%s', (_what, look, expected) => {
  expect(states([changeAt(1), look])).toMatchObject(expected);
});

test('a clear glass says nothing about cream, which sinks out of sight', () => {
  expect(states([lookAt(250, { clarity: 'bright' })])).toEqual({ haze: 'clear' });
});

test('two looks make a trend, unless something was added or taken in between', () => {
  const [low, high] = [lookAt(200, { level: 'right' }), lookAt(250, { level: 'high' })];
  expect(states([low, runAt(210, 10), high]).levelTrend).toBe('rising');
  expect(states([high, low].map((e, i) => ({ ...e, happenedAt: at(200 + 50 * i) }))).levelTrend).toBe('falling');
  const topUp = entryAt(230, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 40, levelAfter: 'right' });
  expect(states([low, topUp, high]).levelTrend).toBeUndefined();
});

test('two steps darker within one run is fast, over several it is not', () => {
  const [fresh, dark] = [lookAt(200, { colour: 1 }), lookAt(250, { colour: 3 })];
  expect(states([fresh, runAt(210, 10), dark]).darkening).toBe('inOneRun');
  expect(states([fresh, runAt(210, 5), runAt(220, 5), runAt(230, 5), dark]).darkening).toBe('slowly');
});

test('the last runs say how the pump was used', () => {
  const entries = [
    run(100, { ballast: 'open', trapTempC: -50 }),
    run(140, { ballast: 'open', trapTempC: -50 }),
    run(180, { ballast: 'open', trapTempC: -49 }),
    run(220, {
      ballast: 'closed',
      trapTempC: -41,
      defrostedBefore: 'yes',
      drainClosed: 'no',
      inLineFilter: 'yes',
      ventedBeforeStop: 'no',
    }),
  ];
  expect(states(entries)).toMatchObject({
    ballast: 'closed',
    trap: 'warm',
    defrosted: 'yes',
    drain: 'open',
    inLineFilter: 'fitted',
    stoppedUnderVacuum: 'yes',
    bled: 'no',
  });
  const steady = entries.map((e) => ({ ...e, body: { ...e.body, trapTempC: -47 } })) as Entry[];
  expect(states(steady).trap).toBe('cold');
  expect(states([run(220, { ballast: 'unknown', ventedBeforeStop: 'unknown' })])).not.toHaveProperty('ballast');
});

test('a pump that stands for days is idle; one that ran yesterday is not', () => {
  expect(states([runAt(200, 10)], 300).idle).toBe('days');
  expect(states([runAt(280, 10)], 300).idle).toBe('no');
});

test('another oil that went in is said, the same one too', () => {
  expect(states([changeAt(1), changeAt(100)]).productChanged).toBe('no');
  expect(states([changeAt(1), changeAt(100, 'oil-b')]).productChanged).toBe('yes');
});

test('far more water than the runs explain is said, with the entry that shows it', () => {
  const bleed = entryAt(150, 'bleed', { sump: 'oil', drawnMl: 90, waterMl: 80 });
  const look = lookAt(160, { source: 'sample', lookedAtMl: 100, freeWaterMl: 20 });
  const dry = run(100, { ballast: 'open', trapTempC: -60, oilTempC: 70 });
  const found = evidence([changeAt(1), dry, bleed, look]);
  expect(found.find((e) => e.id === 'water')).toMatchObject({
    state: 'farMore',
    entryId: look.id,
    at: look.happenedAt,
  });
});

test('old findings fade: after its half-life a finding says half of what it said', () => {
  const look = lookAt(10, { level: 'high' });
  const certainty = (days: number) => evidence([look], 10 + 24 * days).find((e) => e.id === 'level')?.certainty ?? 0;
  expect(certainty(7) / certainty(0)).toBeCloseTo(0.5, 10);
  // It stands in the verdict: nobody has drained to the mark, so it never counts as not known.
  expect(certainty(60)).toBe(0.1);
});

test('the newest word counts, and a ranking takes evidence as it is', () => {
  const said = evidence([changeAt(1), lookAt(200, { clarity: 'hazy' }), lookAt(250, { clarity: 'bright' })]);
  expect(said.filter((e) => e.id === 'haze')).toMatchObject([{ state: 'clear' }]);
  expect(rank({ process: 'freezeDrying', findings: said }).causes).toHaveLength(39);
});

test('what people found counts as sure as they were, and fades from there', () => {
  const [found] = evidence([foundAt(NOW, { noise: 'louder' }, 0.55)]);
  expect(found).toMatchObject({ id: 'noise', state: 'louder', kind: 'test', certainty: 0.55, before: null });
  const [later] = evidence([foundAt(NOW, { noise: 'louder' }, 0.8)], NOW + 14 * 24);
  expect(later!.certainty).toBeCloseTo(0.4, 6);
});

test('a person may contradict the log: the newer word stands and says what it overrules', () => {
  const entries = [run(100, { ballast: 'closed' }), foundAt(250, { ballast: 'open' })];
  const ballast = evidence(entries).find((e) => e.id === 'ballast');
  expect(ballast).toMatchObject({ state: 'open', kind: 'test', before: { state: 'closed', kind: 'run' } });
});

test('what is too old says nothing any more, and is told apart from what nobody asked', () => {
  const entries = [foundAt(0, { crackle: 'crackles' })];
  const book = bookOf({});
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { evidence: standing, faded } = gatherEvidence({ pumpId: 'p1', entries, state, book, now: at(60 * 24) });
  expect(standing).toEqual([]);
  expect(faded.map((f) => f.id)).toEqual(['crackle']);
});

test('a closed case has dealt with the signs before it, not with how the pump is used', () => {
  const before = [run(100, { ballast: 'closed' }), caseAt.opened(110), foundAt(120, { noise: 'louder' })];
  expect(states([...before, caseAt.closed(130)])).toMatchObject({ ballast: 'closed' });
  expect(states([...before, caseAt.closed(130)]).noise).toBeUndefined();
  expect(states([...before, caseAt.closed(130, null)]).noise).toBe('louder');
  expect(states([...before, caseAt.closed(130), caseAt.checked(140, false)]).noise).toBe('louder');
  expect(states([...before, caseAt.closed(130), foundAt(150, { noise: 'usual' })]).noise).toBe('usual');
});

test('a finding that this version does not know is passed over', () => {
  expect(evidence([foundAt(200, { noise: 'deafening', nothing: 'yes' })])).toEqual([]);
});

test('how warm the oil ran, and what the meter of the house says about service', () => {
  expect(states([run(100, { oilTempC: 48 })])).toMatchObject({ pumpTemp: 'cold', ranHot: 'no' });
  expect(states([run(100, { oilTempC: 96 })])).toMatchObject({ pumpTemp: 'warm', ranHot: 'yes' });
  expect(states([run(100, {})]).exhaustFilter).toBe('inTime');
});

test('reports speak by the limits that judge the oil, for the day of their sample', () => {
  const sample = entryAt(200, 'labSample', { sump: 'oil', drawnMl: 100 });
  const report = (figures: object) => [sample, entryAt(280, 'labResult', { sampleId: sample.id, ...figures })];
  expect(states(report({ ironPpm: 4 }))).toEqual({ iron: 'normal' });
  expect(states(report({ ironPpm: 150 }))).toEqual({ iron: 'raised' });
  expect(evidence(report({ ironPpm: 150 }))[0]?.at).toBe(at(200));
});

test('where the set has no target a pressure is held against what the pump has reached on it before', () => {
  const reached = (...pa: number[]) =>
    pa.map((p, i) => run(20 + 24 * i, { lowestPressurePa: p, firstPressurePa: 10 * p }));
  const usual = [5, 8, 4, 12, 6, 9];
  expect(states(reached(...usual, 14))).toMatchObject({ chamberPressure: 'good', pumpDown: 'usual' });
  // Usually 7 Pa, and up to 28 as it scatters; five times usual is 35.
  expect(states(reached(...usual, 31))).toMatchObject({ chamberPressure: 'poor', pumpDown: 'slow' });
  expect(states(reached(...usual, 90))).toMatchObject({ chamberPressure: 'farAbove' });
  expect(states(reached(5, 8, 90)).chamberPressure).toBeUndefined();
});

test('vanes past their usual hours, and a room that is cold', () => {
  const long = Array.from({ length: 9 }, (_, i) => runAt(i * 1000, 950));
  expect(states(long, 9500).hours).toBe('many');
  expect(states(long.slice(0, 2), 2500).hours).toBe('few');
  const jar = (jarTempC: number) => lookAt(250, { source: 'sample', lookedAtMl: 100, jarTempC });
  expect([states([jar(8)]).room, states([jar(19)]).room]).toEqual(['cold', 'usual']);
});

test('the time of year speaks for damp air and cold rooms, until somebody has found how it is', () => {
  const seasons = { dampSeason: 'decToFeb', coldSeason: 'junToAug' };
  const book = setUpBook(
    versionsOf().map((v) => (v.kind === 'site' ? ({ ...v, body: { ...v.body, ...seasons } } as SetUpVersion) : v)),
  );
  const statesAt = (hours: number, ...entries: Entry[]) => {
    const state = rebuild({ pumpId: 'p1', entries, book });
    return gatherEvidence({ pumpId: 'p1', entries, state, book, now: at(hours) }).evidence;
  };
  const [january, july] = [300, 24 * 190];
  expect(statesAt(january)).toMatchObject([{ id: 'humidRoom', state: 'humid', kind: 'setUp', certainty: 0.6 }]);
  expect(statesAt(july)).toMatchObject([{ id: 'room', state: 'cold' }]);
  expect(statesAt(january, foundAt(290, { humidRoom: 'usual' }))).toMatchObject([{ state: 'usual', kind: 'test' }]);
});

/** The same with records that say more. */
function withRecords(more: { pump?: object; equipment?: object; product?: object; site?: object }, entries: Entry[]) {
  const kinds: Readonly<Record<string, object | undefined>> = {
    pump: more.pump,
    equipment: more.equipment,
    oilProduct: more.product,
    site: more.site,
  };
  const versions = versionsOf().map((v) => ({ ...v, body: { ...v.body, ...kinds[v.kind] } }) as SetUpVersion);
  const book = setUpBook(versions);
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { evidence: said } = gatherEvidence({ pumpId: 'p1', entries, state, book, now: at(NOW) });
  return Object.fromEntries(said.map((e) => [e.id, e.state]));
}
const usualRun = { session: 'run', ballast: 'purge', ventedBeforeStop: 'yes' };

test.each<[string, Parameters<typeof withRecords>[0], Entry[], Record<string, string | null>]>([
  [
    'an exhaust that climbs to the roof',
    { pump: { exhaustEnds: 'outdoors', exhaustPipe: 'rises' } },
    [],
    { exhaustOutlet: 'outdoors', exhaustPipe: 'rises' },
  ],
  ['nothing said of the exhaust', {}, [], { exhaustOutlet: null, exhaustPipe: null }],
  // The year begins on 1 January.
  [
    'VG 100 in a cold season',
    { product: { viscosity40Mm2s: 100 }, site: { coldSeason: 'decToFeb' } },
    [changeAt(1)],
    { oilGrade: 'tooThick', room: 'cold' },
  ],
  [
    'VG 32 in a cold season',
    { product: { viscosity40Mm2s: 32 }, site: { coldSeason: 'decToFeb' } },
    [changeAt(1)],
    { oilGrade: 'fits' },
  ],
  [
    'VG 68 in a cold season: neither',
    { product: { viscosity40Mm2s: 68 }, site: { coldSeason: 'decToFeb' } },
    [changeAt(1)],
    { oilGrade: null },
  ],
  [
    'VG 100 in summer',
    { product: { viscosity40Mm2s: 100 }, site: { coldSeason: 'junToAug' } },
    [changeAt(1)],
    { oilGrade: null },
  ],
  // 10 kg of wet paper hold 8.5 kg of water.
  [
    '10 kg of wet paper on a trap for 6 kg',
    { equipment: { trapHoldsKg: 6 } },
    [changeAt(1), run(200, { ...usualRun, loadKg: 10 }, 'fd-paper-wet')],
    { trapLoad: 'over' },
  ],
  [
    '5 kg of it',
    { equipment: { trapHoldsKg: 6 } },
    [changeAt(1), run(200, { ...usualRun, loadKg: 5 }, 'fd-paper-wet')],
    { trapLoad: 'within' },
  ],
  [
    'nobody weighed it',
    { equipment: { trapHoldsKg: 6 } },
    [changeAt(1), run(200, usualRun, 'fd-paper-wet')],
    { trapLoad: null },
  ],
])('%s', (_what, records, entries, expected) => {
  const found = withRecords(records, entries);
  expect(Object.fromEntries(Object.keys(expected).map((id) => [id, found[id] ?? null]))).toEqual(expected);
});

test('colour against the start of the charge; of PFPE none', () => {
  const [light, dark] = [lookAt(50, { colour: 1 }), lookAt(250, { colour: 4.5 })];
  expect(states([changeAt(1), light])).toMatchObject({ colour: 'asStart' });
  expect(states([changeAt(1), light, run(120, usualRun), run(160, usualRun), dark])).toMatchObject({
    colour: 'farDarker',
  });
  expect(withRecords({ product: { base: 'pfpe', densityKgM3: 1890 } }, [changeAt(1), light])).not.toHaveProperty(
    'colour',
  );
});

test('a level while it runs is not held against one at rest', () => {
  const [rest, running] = [
    lookAt(100, { level: 'right', hoursStood: 12 }),
    lookAt(150, { level: 'low', hoursStood: 0 }),
  ];
  expect(states([changeAt(1), rest, running])).not.toHaveProperty('levelTrend');
  expect(states([changeAt(1), rest, lookAt(150, { level: 'low', hoursStood: 12 })])).toMatchObject({
    levelTrend: 'falling',
  });
});

test('varnish and casting resin are resin loads as styrene is; solvent of a dryer is none', () => {
  expect(states([changeAt(1), run(200, usualRun, 'in-varnish')])).toMatchObject({
    resinLoads: 'yes',
    solventLoads: 'yes',
  });
  expect(states([changeAt(1), run(200, usualRun, 'fd-meat')])).not.toHaveProperty('resinLoads');
});

test('what was called otherwise once still says what it said', () => {
  const old = entryAt(280, 'test', {
    findings: [
      { id: 'chamberPressure', state: 'severalHpa', certainty: 1 },
      { id: 'afterPurge', state: 'waterAgain', certainty: 1 },
    ],
  });
  expect(states([changeAt(1), old])).toMatchObject({ chamberPressure: 'farAbove', waterAgain: 'yes' });
});

test('a gauge’s reading is evidence without a word: at the exhaust, and blanked off against the pump’s own', () => {
  const measured = (pa: number, where: 'exhaust' | 'pump', more: object = {}) =>
    entryAt(280, 'test', { findings: [], measured: [{ pa, where, ...more }] });
  expect(states([changeAt(1), measured(72_000, 'exhaust')])).toMatchObject({ backPressure: 'raised' });
  expect(states([changeAt(1), measured(12_000, 'exhaust')])).toMatchObject({ backPressure: 'low' });
  const own = { pump: { blankOffPa: 1 } };
  const warm = { ballast: 'closed', oilTempC: 65 };
  expect(withRecords(own, [changeAt(1), measured(4, 'pump', warm)])).toMatchObject({ pumpPressureAsIs: 'poor' });
  expect(withRecords(own, [changeAt(1), measured(2, 'pump', { ...warm, oil: 'fresh' })])).toMatchObject({
    pumpPressure: 'good',
  });
  // With the ballast open, cold, or with nothing to hold it to it says nothing.
  for (const more of [{ ballast: 'open' }, { oilTempC: 20 }])
    expect(withRecords(own, [changeAt(1), measured(4, 'pump', more)])).not.toHaveProperty('pumpPressureAsIs');
  expect(states([changeAt(1), measured(4, 'pump', warm)])).not.toHaveProperty('pumpPressureAsIs');
});

test('what the verdict says of the pump itself is evidence, also where the runs behind it are long gone', () => {
  const usual = [5, 6, 5.5, 5, 6, 5.2, 5.8, 5.4].map((pa, i) => [
    changeAt(1 + i * 30),
    run(5 + i * 30, { ...usualRun, lowestPressurePa: pa }),
  ]);
  const last = [changeAt(250), run(260, { ...usualRun, lowestPressurePa: 40 })];
  const entries = [...usual.flat(), ...last];
  const book = bookOf({});
  const state = rebuild({ pumpId: 'p1', entries, book });
  expect(state.machine.map((f) => f.code)).toEqual(['poorVacuum']);
  // As the page asks: only the entries of the last charges are at hand.
  const { evidence: said } = gatherEvidence({ pumpId: 'p1', entries: last, state, book, now: at(NOW) });
  expect(Object.fromEntries(said.map((e) => [e.id, e.state]))).toMatchObject({ chamberPressure: 'farAbove' });
});
