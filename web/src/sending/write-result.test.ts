import { writeResult } from './write-result.js';

const issue = { field: 'body.minutes', value: 0, code: 'notRight', right: 'at least 1 minute' };

test.each([
  [{ data: { answers: [{ id: 'a', status: 'written', seq: 1 }] } }, { kind: 'written' }],
  [{ data: { answers: [{ id: 'a', status: 'alreadyWritten', seq: 1 }] } }, { kind: 'written' }],
  [
    { error: { status: 400, data: { answers: [{ id: 'a', status: 'refused', issues: [issue] }] } } },
    { kind: 'refused', issues: [issue] },
  ],
  [
    {
      data: {
        answers: [
          { id: 'a', status: 'heldBack' },
          { id: 'b', status: 'refused', issues: [issue] },
        ],
      },
    },
    { kind: 'refused' },
  ],
  [
    { error: { status: 422, data: { answers: [{ id: 'a', status: 'asked', questions: [{ code: 'overlap' }] }] } } },
    { kind: 'asked', questions: [{ code: 'overlap' }] },
  ],
  [{ error: { status: 409, data: { answers: [{ id: 'a', status: 'conflict' }] } } }, { kind: 'conflict' }],
  [
    { error: { status: 413, data: { code: 'tooLarge', right: 'at most 1,000,000 bytes', issues: [] } } },
    { kind: 'failed', right: 'at most 1,000,000 bytes' },
  ],
  [{ error: { status: 'FETCH_ERROR', error: 'failed' } }, { kind: 'unreachable' }],
])('%j is understood', (outcome, expected) => {
  expect(writeResult(outcome)).toMatchObject(expected);
});
