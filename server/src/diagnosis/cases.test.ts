import { at, caseAt } from '@winter-jar/core/testing';
import { caseLines, confirmedFor } from './cases.js';

const rows = (...entries: ReturnType<typeof caseAt.opened>[]) =>
  entries.map((entry) => ({ pumpId: entry.subjects.find((s) => s.type === 'pump')?.id ?? '', entry }));
const opened = [caseAt.opened(1), caseAt.closed(2)];

test('a case as its entries tell it, from its opening to the check', () => {
  expect(caseLines(rows(...opened, caseAt.checked(3, true)))).toEqual([
    {
      caseId: 'case-a',
      pumpId: 'p1',
      complaint: 'cream after every wet load',
      openedAt: at(1),
      closedAt: at(2),
      causeId: 'condensation',
      remedy: 'Purged warm',
      held: true,
    },
  ]);
});

test('what did not hold is open again without its cause; closed once more, it waits for its check', () => {
  const failed = [...opened, caseAt.checked(3, false)];
  expect(caseLines(rows(...failed))).toMatchObject([{ closedAt: null, causeId: null, held: false }]);
  const again = caseLines(rows(...failed, caseAt.closed(4, 'meltwater')));
  expect(again).toMatchObject([{ closedAt: at(4), causeId: 'meltwater', held: null }]);
});

test('a word on a case whose opening was taken back tells of no case', () => {
  expect(caseLines(rows(caseAt.closed(2)))).toEqual([]);
});

test('confirmed causes of this pump, of others in the same process, and of no other process', () => {
  const cases = caseLines(
    rows(
      ...opened,
      caseAt.opened(3, 'case-b', 'p2'),
      caseAt.closed(4, 'meltwater', 'case-b', 'p2'),
      caseAt.opened(5, 'case-c', 'p3'),
      caseAt.closed(6, 'growth', 'case-c', 'p3'),
      caseAt.opened(7, 'case-d', 'p1'),
      caseAt.closed(8, null, 'case-d', 'p1'),
    ),
  );
  const processOf = (pumpId: string) => (pumpId === 'p3' ? 'packaging' : 'freezeDrying');
  expect(confirmedFor({ pumpId: 'p1', process: 'freezeDrying', cases, processOf })).toEqual([
    { cause: 'condensation', on: 'thisPump' },
    { cause: 'meltwater', on: 'sameKind' },
  ]);
});
