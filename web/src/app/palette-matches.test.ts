import { paletteMatches } from './palette-matches.js';

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
  return { pumps: pumps.map((p) => p.name), deeds: deeds.map((d) => `${d.row.name} ${d.action}`) };
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
      'LF-02 topUp',
      'LF-02 labSample',
      'LF-02 labReport',
      'LF-02 findCause',
      'LF-02 leakHunt',
      'LF-02 meter',
      'LF-02 done',
      'LF-02 label',
    ],
  });
});

test('a name and a deed find that deed alone', () => {
  expect(found('LF-02  log')).toEqual({ pumps: [], deeds: ['LF-02 run'] });
});

test('names that begin with it come before sites that hold it', () => {
  expect(found('l').pumps.slice(0, 2)).toEqual(['LF-01', 'LF-02']);
  expect(found('ferry').pumps).toEqual(['LF-01', 'LF-02']);
});

test('a dry pump has no oil to do anything with', () => {
  expect(found('hs-03').deeds).toEqual(['HS-03 run', 'HS-03 meter', 'HS-03 done', 'HS-03 label']);
});

test('what nobody bears finds nothing', () => {
  expect(found('zeppelin')).toEqual({ pumps: [], deeds: [] });
});
