import { rank, type Asked } from './rank.js';
import { sharesInSteps } from './share-steps.js';

const asked: Asked = {
  process: 'freezeDrying',
  findings: [
    { id: 'cream', state: 'yes' },
    { id: 'ballast', state: 'closed' },
    { id: 'chamberPressure', state: 'good', certainty: 0.7 },
  ],
};

test('the last step is the share that the ranking says, for every cause', () => {
  const last = sharesInSteps(asked).at(-1)!;
  for (const { id, probability: share } of rank(asked).causes) expect(last.shares[id]).toBeCloseTo(share, 12);
});

test('it begins from nothing, then what was there before, then the signs', () => {
  expect(sharesInSteps(asked).map((s) => s.finding)).toEqual([null, 'ballast', 'cream', 'chamberPressure']);
});

test('each step moves a cause the way its reason says', () => {
  const shares = sharesInSteps(asked).map((s) => s.shares.condensation);
  const [start, closed, cream] = shares as [number, number, number];
  expect(closed).toBeGreaterThan(start);
  expect(cream).toBeGreaterThan(closed);
});

test('priors of this pump are where the sum begins', () => {
  const own = sharesInSteps({ ...asked, priors: { condensation: 0.4 } });
  expect(own[0]!.shares.condensation).toBeGreaterThan(sharesInSteps(asked)[0]!.shares.condensation);
});
