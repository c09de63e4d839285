import { containerMatches, paletteMatches } from './palette-matches.js';

const row = (name: string, siteName: string, kind: 'vane' | 'dry' = 'vane') => ({
  pumpId: name.toLowerCase(),
  name,
  siteName,
  equipmentName: 'Chamber A',
  kind,
});
const rows = [
  row('RL-01', 'Rudder Loft'),
  row('LF-01', 'Low Ferry'),
  row('LF-02', 'Low Ferry'),
  row('HS-03', 'Heath', 'dry'),
  ...Array.from({ length: 30 }, (_, i) => row(`M-${i}`, 'Mill')),
];
const found = (search: string) => {
  const { pumps, deeds } = paletteMatches(rows, search);
  return {
    pumps: pumps.map((p) => p.name),
    deeds: deeds.map(({ row, path }) => `${row.name} ${path.split('/').pop() ?? ''}`),
  };
};

test('nothing typed: the first pumps, no deeds', () => {
  const { pumps, deeds } = found('');
  expect(pumps.slice(0, 2)).toEqual(['RL-01', 'LF-01']);
  expect([pumps.length, deeds.length]).toEqual([20, 0]);
});

test('a name finds the pump, then what can be done on it', () => {
  expect(found('lf-02')).toEqual({
    pumps: ['LF-02'],
    deeds: [
      'LF-02 run',
      'LF-02 look',
      'LF-02 bleed',
      'LF-02 change',
      'LF-02 top-up',
      'LF-02 lab-sample',
      'LF-02 lab-report',
      'LF-02 what-is-wrong',
      'LF-02 leak-hunt',
      'LF-02 meter',
      'LF-02 done',
      'LF-02 label',
    ],
  });
});

test('a name and a deed find that deed, and no pump', () => {
  // A run is logged, and so is a gauge: what is done daily comes first.
  expect(found('LF-02  log')).toEqual({ pumps: [], deeds: ['LF-02 run', 'LF-02 gauge-log'] });
});

test('names that begin with it come before sites that hold it', () => {
  expect(found('l').pumps.slice(0, 2)).toEqual(['LF-01', 'LF-02']);
  expect(found('ferry').pumps).toEqual(['LF-01', 'LF-02']);
});

test('a dry pump has no oil to do anything with', () => {
  expect(found('hs-03').deeds).toEqual([
    'HS-03 run',
    'HS-03 meter',
    'HS-03 done',
    'HS-03 label',
    'HS-03 job-cards',
    'HS-03 switch-tag',
  ]);
});

test('what nobody bears finds nothing', () => {
  expect(found('zeppelin')).toEqual({ pumps: [], deeds: [] });
});

test.each([
  ['lf-02 milky', ['LF-02 what-is-wrong', 'LF-02 test?check=lookRunning']],
  ['lf-02 mayonnaise', ['LF-02 what-is-wrong']],
  ["lf-02 won't pull", ['LF-02 what-is-wrong']],
  ['lf-02 won’t pull', ['LF-02 what-is-wrong']],
  ['lf-02 leak rate', ['LF-02 what-is-wrong', 'LF-02 test?check=rateOfRise']],
  ['lf-02 hot plate', ['LF-02 what-is-wrong', 'LF-02 test?check=crackleTest']],
  ['lf-02 capacitor', ['LF-02 what-is-wrong']],
] as const)('what people say finds what to do: %s', (typed, deeds) => {
  expect(found(typed).deeds).toEqual(deeds);
});

test('a letter that is wrong is forgiven, in a name and in a deed', () => {
  expect(found('ruder loft').pumps).toEqual(['RL-01']);
  expect(found('exhuast filter').deeds[0]).toMatch(/^RL-01 /);
});

test('containers are found by name and place, those that are gone are not, and nothing typed finds none', () => {
  const containers = {
    a: { name: 'Can 4', place: 'cellar' },
    b: { name: 'Can 5', place: null },
    c: { name: 'Can 6', place: 'cellar', gone: true },
  };
  const ids = (search: string) => containerMatches(containers, search).map(([id]) => id);
  expect([ids('can'), ids('CELLAR can'), ids('can 5'), ids('drum'), ids(' ')]).toEqual([
    ['a', 'b'],
    ['a'],
    ['b'],
    [],
    [],
  ]);
});
