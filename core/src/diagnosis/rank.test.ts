import { CAUSES, type CauseId } from './all-causes.js';
import { diagnose } from './diagnose.js';
import { FINDINGS, type Found } from './all-findings.js';
import { rank } from './rank.js';

const found = (findings: Readonly<Record<string, string>>): Found[] =>
  Object.entries(findings).map(([id, state]) => ({ id, state }) as Found);
const shareOf = (id: CauseId, findings: readonly Found[], process = 'freezeDrying' as const): number =>
  rank({ process, findings }).causes.find((c) => c.id === id)?.probability ?? NaN;

/** By hand, over every set of up to three causes, from the lists alone. */
function shareByHand(wanted: CauseId, findings: Readonly<Record<string, string>>): number {
  const ids = Object.keys(CAUSES) as CauseId[];
  const oddsOf = (id: CauseId): number => {
    const prior = (CAUSES[id].prior as { freezeDrying: number }).freezeDrying;
    return Object.entries(findings).reduce(
      (odds, [finding, state]) => {
        const { kind, states, baseRate } = FINDINGS[finding as keyof typeof FINDINGS];
        if (kind !== 'condition') return odds;
        const times = (s: string) =>
          CAUSES[id].after.find((a) => a.finding === finding && a.state === s)?.oddsRatio ?? 1;
        const [usual, ...others] = Object.keys(states);
        const rates = baseRate as Readonly<Record<string, number>>;
        const ofOthers = others.reduce((sum, s) => sum + (rates[s] ?? 0), 0);
        const average = others.reduce((sum, s) => sum + (rates[s] ?? 0) * times(s), (1 - ofOthers) * times(usual!));
        return (odds * times(state)) / average;
      },
      prior / (1 - prior),
    );
  };
  const likelihood = (set: readonly CauseId[]): number =>
    Object.entries(findings).reduce((product, [id, state]) => {
      const finding = FINDINGS[id as keyof typeof FINDINGS];
      if (finding.kind !== 'sign') return product;
      const usual = finding.baseRate as Readonly<Record<string, number>>;
      const others = Object.keys(finding.states).slice(1);
      const strength = (cause: CauseId, s: string) =>
        CAUSES[cause].brings.find((b) => b.finding === id && b.state === s)?.sensitivity ?? 0;
      const moved = (cause: CauseId) => others.reduce((sum, s) => sum + strength(cause, s), 0);
      const background = others.reduce((sum, s) => sum + (usual[s] ?? 0), 0);
      const stays = set.reduce((p, cause) => p * (1 - moved(cause)), 1 - background);
      if (state === Object.keys(finding.states)[0]) return product * stays;
      const speaks = (s: string) => set.reduce((sum, cause) => sum + strength(cause, s), usual[s] ?? 0);
      return (product * (1 - stays) * speaks(state)) / others.reduce((sum, s) => sum + speaks(s), 0);
    }, 1);
  let [all, withIt] = [0, 0];
  const add = (set: readonly CauseId[]): void => {
    const nothing = set.length === 0 ? 0.1 : 1;
    const weight = set.reduce((w, id) => w * oddsOf(id), nothing) * likelihood(set);
    all += weight;
    if (set.includes(wanted)) withIt += weight;
  };
  add([]);
  ids.forEach((a, i) => {
    add([a]);
    ids.slice(i + 1).forEach((b, j) => {
      add([a, b]);
      for (const c of ids.slice(i + j + 2)) add([a, b, c]);
    });
  });
  return withIt / all;
}

test.each<[CauseId, Record<string, string>]>([
  ['condensation', { cream: 'yes', ballast: 'closed', chamberPressure: 'good' }],
  ['meltwater', { water: 'farMore', defrosted: 'yes', level: 'high' }],
  ['fatVapour', { darkening: 'inOneRun', smell: 'rancid' }],
])('the share of %s is what summing over all sets by hand gives', (cause, findings) => {
  expect(shareOf(cause, found(findings))).toBeCloseTo(shareByHand(cause, findings), 10);
});

test('with nothing found shares stand close to their priors, and nothing is decided', () => {
  const { causes, undecided } = rank({ process: 'freezeDrying', findings: [] });
  expect(undecided).toBe(true);
  for (const { probability, prior } of causes) {
    expect(probability / prior).toBeGreaterThan(0.9);
    expect(probability / prior).toBeLessThan(1.5);
  }
});

test.each([
  [
    'freezeDrying',
    { ballast: 'closed', pumpTemp: 'cold', wetLoads: 'yes', bled: 'no', trap: 'warm', defrosted: 'yes' },
  ],
  ['packaging', { liquids: 'yes', wetLoads: 'yes', ballast: 'closed', pumpTemp: 'cold', room: 'cold' }],
  ['composites', { resinLoads: 'yes', solventLoads: 'yes', catchPot: 'failed', carriedOver: 'yes' }],
  ['industrial', { ranHot: 'yes', hours: 'many', dustyRoom: 'yes', throughput: 'high', stoppedUnderVacuum: 'yes' }],
] as const)('circumstances alone decide nothing: %s', (process, conditions) => {
  const findings = Object.entries(conditions).map(([id, state]) => ({ id, state }));
  expect(diagnose({ process, findings }).undecided).toBe(true);
});

test.each([
  ['haze', 'hazy'],
  ['blackParticles', 'yes'],
  ['pumpDown', 'slow'],
  ['sludge', 'yes'],
])('one weak sign, %s %s, is not enough to tell', (id, state) => {
  for (const process of ['freezeDrying', 'packaging', 'composites', 'industrial'] as const)
    expect(diagnose({ process, findings: [{ id, state }] }).undecided).toBe(true);
});

test('what was never asked plays no part; what was looked for and is as usual speaks against', () => {
  const creamy = found({ cream: 'yes', water: 'more' });
  const asked = shareOf('meltwater', [...creamy, ...found({ levelTrend: 'steady', defrosted: 'no' })]);
  expect(asked).toBeLessThan(shareOf('meltwater', creamy) / 3);
});

test('causes that explain the same signs compete, and a second sign of another kind brings a second cause', () => {
  const wet = found({ water: 'farMore', defrosted: 'yes' });
  const alone = shareOf('humidLeak', found({ water: 'farMore' }));
  expect(shareOf('humidLeak', wet)).toBeLessThan(alone);
  const both = [...wet, ...found({ darkAfterChange: 'yes', emptyRun: 'same' })];
  expect(shareOf('meltwater', both)).toBeGreaterThan(0.5);
  expect(shareOf('oldDeposits', both)).toBeGreaterThan(0.5);
});

test('a finding counts less the less sure it is, and not at all when it says nothing', () => {
  const at = (certainty: number) => shareOf('condensation', [{ id: 'cream', state: 'yes', certainty }]);
  expect(at(0)).toBeCloseTo(shareOf('condensation', []), 10);
  expect(at(0.5)).toBeGreaterThan(at(0));
  expect(at(1)).toBeGreaterThan(at(0.5));
});

test('findings that contradict each other weigh half each', () => {
  const both: Found[] = [
    { id: 'cream', state: 'yes' },
    { id: 'cream', state: 'no' },
  ];
  const between = shareOf('condensation', both);
  expect(between).toBeLessThan(shareOf('condensation', found({ cream: 'yes' })));
  expect(between).toBeGreaterThan(shareOf('condensation', found({ cream: 'no' })));
});

test('priors of a pump shift its shares', () => {
  const findings = found({ chamberPressure: 'poor' });
  const { causes } = rank({ process: 'packaging', findings, priors: { restriction: 0.4 } });
  expect(causes[0]).toMatchObject({ id: 'restriction', prior: 0.4 });
});

test('every number can be opened: a sign weighs what leaving it out changes, a condition its factor', () => {
  const findings = found({ cream: 'yes', ballast: 'closed', trap: 'cold' });
  const { causes } = rank({ process: 'freezeDrying', findings });
  const condensation = causes.find((c) => c.id === 'condensation');
  const logOdds = (p: number) => Math.log(p / (1 - p));
  const without = logOdds(shareOf('condensation', found({ ballast: 'closed', trap: 'cold' })));
  expect(condensation?.contributions.find((s) => s.finding === 'cream')?.weight).toBeCloseTo(
    logOdds(condensation?.probability ?? 0) - without,
    10,
  );
  expect(condensation?.contributions.find((s) => s.finding === 'ballast')).toMatchObject({
    // 35 % run closed (4 times as often), 35 % open (0.12 times), 30 % open to purge.
    weight: expect.closeTo(Math.log(4 / (0.35 * 4 + 0.35 * 0.12 + 0.3)), 10) as number,
    because: 'nothing carries the vapour out',
  });
  const warmTrap = causes.find((c) => c.id === 'warmTrap');
  expect(warmTrap?.contributions.find((s) => s.finding === 'trap')?.weight).toBeLessThan(0);
});

test.each([
  [{ id: 'weather', state: 'bad' }, /findings: weather is not known/],
  [{ id: 'cream', state: 'much' }, /findings\.cream: much is none of no, yes/],
])('%j is refused by name', (finding, message) => {
  expect(() => diagnose({ process: 'packaging', findings: [finding] })).toThrow(message);
});
