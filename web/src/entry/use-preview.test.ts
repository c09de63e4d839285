import type { PumpPage } from '@winter-jar/contracts';
import { rebuild, standingAt, type Entry } from '@winter-jar/core';
import { at, bookOf, changeAt, runAt } from '@winter-jar/core/testing';
import { previewOfLast } from './use-preview.js';

const book = bookOf({ limits: { look: { runs: null, days: null } } });
const stored = [changeAt(1), ...Array.from({ length: 4 }, (_, i) => runAt(24 + i * 48, 20))];

test('shows what the server would say after the entry: the fifth of five runs flips the verdict', () => {
  const now = at(300);
  const setUp = book.pumpAt({ pumpId: 'p1', instant: now });
  if (!setUp) throw new Error('the pump is missing');
  const state = rebuild({ pumpId: 'p1', entries: stored, book });
  const page = { setUp, state, standing: standingAt({ state, setUp, now }) } as unknown as PumpPage;
  const entry: Entry = runAt(250, 20);
  const shown = previewOfLast(page, entry, now);
  expect(shown).toMatchObject({
    kind: 'shown',
    state: rebuild({ pumpId: 'p1', entries: [...stored, entry], book }),
    before: { verdict: 'runOn' },
    after: { verdict: 'beforeNextRun', act: 'change' },
  });
  expect(shown.kind === 'shown' && shown.ruler.bars).toHaveLength(5);
});
