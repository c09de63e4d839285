import { CAUSES, type CauseId } from './all-causes.js';
import { priorsAfter } from './priors-after.js';
import { rank } from './rank.js';

const tradesPrior = (id: CauseId) => (CAUSES[id].prior as { freezeDrying: number }).freezeDrying;
const after = (...cases: Parameters<typeof priorsAfter>[0]['cases'][number][]) =>
  priorsAfter({ process: 'freezeDrying', cases });

test('without cases the trade’s own priors stand', () => {
  const priors = after();
  for (const id of Object.keys(CAUSES) as CauseId[]) expect(priors[id]).toBeCloseTo(tradesPrior(id), 12);
});

test('one confirmed case moves a prior a little, several move it much; all others give way', () => {
  const meltwater = { cause: 'meltwater', on: 'thisPump' } as const;
  // By hand: the trade's 0.06 as 12 cases of which 0.72 were meltwater; then 1.72 of 13, and 4.72 of 16.
  expect(after(meltwater).meltwater).toBeCloseTo(1.72 / 13, 12);
  expect(after(meltwater, meltwater, meltwater, meltwater).meltwater).toBeCloseTo(4.72 / 16, 12);
  expect(after(meltwater).condensation).toBeLessThan(tradesPrior('condensation'));
});

test('a case on another pump of the kind counts a third', () => {
  expect(after({ cause: 'meltwater', on: 'sameKind' }).meltwater).toBeCloseTo((0.72 + 1 / 3) / (12 + 1 / 3), 12);
});

test('a ranking that is given them follows', () => {
  const findings = [{ id: 'water', state: 'farMore' }] as const;
  const shareOf = (cases: Parameters<typeof after>) =>
    rank({ process: 'freezeDrying', findings, priors: after(...cases) }).causes.find((c) => c.id === 'humidLeak')
      ?.probability ?? 0;
  const leak = { cause: 'humidLeak', on: 'thisPump' } as const;
  expect(shareOf([leak, leak])).toBeGreaterThan(2 * shareOf([]));
});
