import type { Correction, Entry } from '@winter-jar/core';
import { SERVER } from './actor.js';
import { openHouse, type TestHouse } from '../testing/test-house.js';
import { at, entryAt, runAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());

const correction = (target: Entry, body: Partial<Correction['body']>, actId = newId()): Correction => ({
  ...target,
  id: newId(),
  actId,
  kind: 'correction',
  recordedAt: at(5000),
  body: { targetId: target.id, supersedes: null, action: 'void', ...body },
});

test('a lab report cites a sample of its pump that was drawn before; the sample may come in the same act', () => {
  const sample = entryAt(100, 'labSample', { sump: 'oil', drawnMl: 100 });
  const report = (hours: number, sampleId: string, more: { pumpId?: string } = {}) =>
    entryAt(hours, 'labResult', { sampleId, ironPpm: 60 }, more);
  const refused = (entry: Entry) => {
    const [answer] = house.writer.write(SERVER, [entry]);
    return answer?.status === 'refused' ? answer.issues.map((i) => `${i.field}: ${i.right}`) : answer?.status;
  };
  expect(refused(report(200, sample.id))).toEqual([
    'body.sampleId: the id of a lab sample of this pump that is logged before its report',
  ]);
  const run = runAt(10, 20);
  house.write(run);
  expect(refused(report(200, run.id))).toEqual([expect.stringContaining('body.sampleId')]);
  const good = { ...report(200, sample.id), actId: sample.actId };
  expect(house.write(sample, good)).toEqual(['written', 'written']);
  expect(house.states().p1?.sumps[0]?.findings).toMatchObject([{ code: 'iron', at: at(100) }]);
  expect(refused(report(90, sample.id))).toEqual([`happenedAt: a time after the sample was drawn, ${at(100)}`]);
  expect(refused(report(200, sample.id, { pumpId: 'b1' }))).toEqual([expect.stringContaining('body.sampleId')]);
  const moved = correction(good, { action: 'replace', body: { sampleId: run.id, ironPpm: 1 } });
  expect(house.writer.write(SERVER, [moved])[0]).toMatchObject({
    status: 'refused',
    issues: [{ field: 'body.body.sampleId' }],
  });
  // Taken back, the sample says nothing more, and nor does its report.
  const actId = newId();
  const undone = [correction(sample, {}, actId), correction(good, {}, actId)];
  expect(house.write(...undone)).toEqual(['written', 'written']);
  expect(house.states().p1?.sumps[0]?.findings).toEqual([]);
});
