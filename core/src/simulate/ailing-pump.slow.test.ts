import { FINDINGS, rank, type FindingId } from '../diagnosis/index.js';
import { ailingPump } from './ailing-pump.js';
import { FAULTS } from './faults.js';

const pumps = Array.from({ length: 400 }, (_, i) => ailingPump(i + 1));

test('the same seed is the same pump', () => {
  const [a, b] = [ailingPump(7), ailingPump(7)];
  expect([a.process, a.fault, a.log, a.observe('water')]).toEqual([b.process, b.fault, b.log, b.observe('water')]);
});

test('every fault is drawn, in its own processes, the commoner the oftener', () => {
  expect(new Set(pumps.map((p) => p.fault))).toEqual(new Set(Object.keys(FAULTS)));
  for (const { fault, process } of pumps) expect(FAULTS[fault]?.processes).toContain(process);
  const count = (fault: string) => pumps.filter((p) => p.fault === fault).length;
  expect(count('leakAtChamber')).toBeGreaterThan(count('humidLeak'));
});

test('all that is observed or logged is a state of its finding', () => {
  for (const { log, observe } of pumps.slice(0, 60)) {
    for (const { id, state } of log) expect(Object.keys(FINDINGS[id].states)).toContain(state);
    for (const id of Object.keys(FINDINGS) as FindingId[])
      expect(Object.keys(FINDINGS[id].states)).toContain(observe(id));
  }
});

test.each<[string, FindingId, string[]]>([
  ['leakAtChamber', 'rateOfRise', ['straight', 'flattens']],
  ['leakAtChamber', 'chamberPressure', ['poor', 'farAbove']],
  ['wornVanes', 'pumpPressure', ['poor']],
  ['meltwater', 'water', ['more', 'farMore']],
  ['restriction', 'withoutFilter', ['better']],
  ['boosterBypass', 'boosterEffect', ['none']],
  ['oldDeposits', 'darkAfterChange', ['yes']],
  ['gaugeFault', 'gauges', ['gapStays']],
])('%s shows in %s', (fault, finding, states) => {
  const struck = pumps.filter((p) => p.fault === fault);
  expect(struck.length).toBeGreaterThan(1);
  for (const { observe } of struck) expect(states).toContain(observe(finding));
});

test('a pump whose line is narrow is good at the pump and tight', () => {
  for (const { observe } of pumps.filter((p) => p.fault === 'restriction'))
    expect([observe('pumpPressure'), observe('rateOfRise')]).toEqual(['good', 'small']);
});

test('with all of it observed, diagnosis names most of the faults', () => {
  const right = pumps.slice(0, 100).filter(({ process, fault, log, observe }) => {
    const seen = (Object.keys(FINDINGS) as FindingId[]).filter((id) => !log.some((l) => l.id === id));
    const findings = [...log, ...seen.map((id) => ({ id, state: observe(id) }))];
    return rank({ process, findings }).causes[0]?.id === fault;
  });
  expect(right.length).toBeGreaterThanOrEqual(85);
});
