import { at, bookOf, caseAt, changeAt, runAt } from '../testing/small-yard.js';
import { rebuild } from './pump-projection.js';
import { standingAt } from '../standing/index.js';
import type { Entry } from '../journal/index.js';

const book = bookOf();
const setUp = book.pumpAt({ pumpId: 'p1', instant: at(900) })!;
function after(...entries: Entry[]) {
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { reasons, verdict } = standingAt({ state, setUp, now: at(40) });
  return { known: state.case, said: reasons.find((r) => r.answeredBy === 'case') ?? null, verdict };
}

test('an open case is said on the Round, but keeps no pump from running', () => {
  const { known, said, verdict } = after(changeAt(0), runAt(1, 2), caseAt.opened(5));
  expect(known).toMatchObject({ status: 'open', caseId: 'case-a', at: at(5) });
  expect(said).toMatchObject({ code: 'caseOpen', level: 'runOn', complaint: 'cream after every wet load' });
  expect(verdict).toBe('runOn');
});

test('a remedy is asked after once the pump has run often enough since', () => {
  const closed = [changeAt(0), caseAt.opened(5), caseAt.closed(6), runAt(10, 1)];
  expect(after(...closed)).toMatchObject({ said: null, verdict: 'runOn' });
  expect(after(...closed, runAt(20, 1))).toMatchObject({
    said: { code: 'caseToCheck', act: 'checkRemedy', closedAt: at(6) },
    verdict: 'lookSooner',
  });
});

test('what held is over, what did not is open again', () => {
  const closed = [caseAt.opened(5), caseAt.closed(6), runAt(10, 1), runAt(20, 1)];
  expect(after(...closed, caseAt.checked(30, true))).toMatchObject({ known: null, said: null });
  expect(after(...closed, caseAt.checked(30, false)).known).toMatchObject({ status: 'open', at: at(30) });
});

test('a word on an older case changes nothing', () => {
  const { known } = after(caseAt.opened(5), caseAt.opened(8, 'case-b'), caseAt.closed(9, 'meltwater', 'case-a'));
  expect(known).toMatchObject({ status: 'open', caseId: 'case-b' });
});
