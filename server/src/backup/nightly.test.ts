import { nightlyName, superseded } from './nightly.js';

const NOW = '2031-03-20T03:00:00.000Z';
const at = (day: string, time = '023000') => `winter-jar-${day}-${time}.tar.gz`;

test('a backup bears its moment', () => {
  expect(nightlyName('2031-03-20T02:30:00.000Z')).toBe(at('20310320'));
});

test.each<[string, string[], string[]]>([
  ['of the last week all stay', ['20310313', '20310314', '20310319', '20310320'].map((d) => at(d)), []],
  // Weeks begin on Thursdays here, as the count of days since 1970 does: 27 February, 6 March.
  [
    'then the first of each week',
    ['20310227', '20310228', '20310305', '20310306', '20310310', '20310320'].map((d) => at(d)),
    ['20310228', '20310305', '20310310'].map((d) => at(d)),
  ],
  [
    'after two months the first of each month',
    ['20301205', '20301212', '20301226', '20310102', '20310320'].map((d) => at(d)),
    ['20301212', '20301226'].map((d) => at(d)),
  ],
  ['after a year and a month none', [at('20300101'), at('20300301'), at('20310320')], [at('20300101')]],
  ['but the newest stays, however old', [at('20280101'), at('20290101')], [at('20280101')]],
  ['two of one night both stay', [at('20310320', '013000'), at('20310320')], []],
  [
    'what bears another name is not touched',
    ['notes.txt', 'winter-jar.tar.gz', at('20280101'), at('20310320')],
    [at('20280101')],
  ],
  ['nothing there', [], []],
])('%s', (_what, names, gone) => {
  expect(superseded(names, NOW)).toEqual(gone);
  // In whatever order a disk names them.
  expect(superseded([...names].reverse(), NOW)).toEqual(gone);
});

test('night by night for two years never more than these lie there, and each age has one', () => {
  let there: string[] = [];
  const from = Date.UTC(2031, 0, 1, 2, 30);
  for (let night = 0; night < 730; night++) {
    const now = new Date(from + night * 86_400_000).toISOString();
    there.push(nightlyName(now));
    const gone = superseded(there, now);
    there = there.filter((name) => !gone.includes(name));
    // 8 nights, 9 weeks, 12 months.
    expect(there.length).toBeLessThanOrEqual(8 + 9 + 12);
  }
  expect(there.length).toBeGreaterThan(24);
});
