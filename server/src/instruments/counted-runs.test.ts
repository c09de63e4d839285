import type { RunBody, SeenRun } from '@winter-jar/core';
import { runAt } from '@winter-jar/core/testing';
import { actOn, type CountedRun, isSameRun, type RunEntry } from './counted-runs.js';

const MINUTE = 60_000;
const BEGIN = Date.parse('2031-03-03T08:00:00.000Z');
/** So many minutes after eight. */
const at = (minutes: number) => BEGIN + minutes * MINUTE;
const NOW = at(300);

const seen = (from: number, to: number | null, more: Partial<SeenRun> = {}): SeenRun => ({
  ...{ startMs: at(from), endMs: to === null ? null : at(to), startSeen: true, endSeen: to !== null, cycles: null },
  ...more,
});
/** A run in the journal; without its end it still runs. */
const logged = (id: string, from: number, to: number | null, body: Partial<RunBody> = {}): RunEntry => {
  const run = { ...runAt(1, 1), id, happenedAt: new Date(at(from)).toISOString() } as RunEntry;
  const { minutes: _, ...told } = run.body;
  return { ...run, body: { ...told, ...(to === null ? { stillRunning: true } : { minutes: to - from }), ...body } };
};
const known = (from: number, to: number | null): CountedRun => ({
  ...{ entryId: 'own', startMs: at(from), endMs: to === null ? null : at(to) },
});
const own = (from: number, to: number | null, body?: Partial<RunBody>) => logged('own', from, to, body);

// Minutes after eight: the run that was seen, what this instrument said of it before, what stands in the journal; and what follows.
test.each<[string, SeenRun, CountedRun | null, RunEntry[], boolean, object]>([
  ['it goes on', seen(0, null), null, [], false, { do: 'begin', startMs: at(0), body: { stillRunning: true } }],
  ['it is over', seen(0, 90), null, [], false, { do: 'begin', body: { minutes: 90, remark: null } }],
  ['of seconds', seen(0, 0.2), null, [], false, { do: 'begin', body: { minutes: 1 } }],
  ['with cycles', seen(0, 30, { cycles: 41 }), null, [], false, { do: 'begin', body: { cycles: 41 } }],
  [
    'nobody heard its end',
    seen(0, 90, { endSeen: false }),
    null,
    [],
    false,
    { do: 'begin', body: { minutes: 90, remark: expect.stringContaining('Nobody listened') as string } },
  ],
  ['logged by hand', seen(0, 90), null, [logged('hand', 5, 80)], false, { do: 'adopt', entry: { id: 'hand' } }],
  ['begun by hand', seen(0, null), null, [logged('hand', 10, null)], false, { do: 'adopt', entry: { id: 'hand' } }],
  ['another before it', seen(100, 190), null, [logged('hand', 0, 95)], false, { do: 'begin', startMs: at(100) }],
  ['told twice', seen(0, 90), known(0, null), [own(0, null), logged('hand', 5, 80)], false, { do: 'giveWay' }],
  ['it ended', seen(0, 90), known(0, null), [own(0, null)], false, { do: 'correct', body: { minutes: 90 } }],
  ['as it was told', seen(0, 90), known(0, 90), [own(0, 90)], false, { do: 'nothing' }],
  ['but for seconds', seen(0.4, 90.9), known(0, 90), [own(0, 90)], false, { do: 'nothing' }],
  [
    'longer, by what came late',
    seen(0, 120),
    known(0, 90),
    [own(0, 90)],
    false,
    { do: 'correct', body: { minutes: 120 } },
  ],
  ['a person has set its times', seen(0, 120), known(0, 90), [own(0, 90)], true, { do: 'nothing' }],
  ['a person has told what went in, it runs on', seen(0, 90), known(0, null), [own(0, null)], true, { do: 'correct' }],
  ['taken out by a person', seen(0, 90), known(0, 90), [], false, { do: 'nothing' }],
  [
    'what is told of it stays',
    seen(0, 90),
    known(0, null),
    [own(0, null, { materialId: 'fd-meat', remark: 'two trays' })],
    false,
    { do: 'correct', body: { materialId: 'fd-meat', remark: 'two trays', minutes: 90 } },
  ],
  [
    'its beginning was not heard: the earlier one that was logged stays',
    seen(30, 90, { startSeen: false }),
    known(0, null),
    [own(0, null)],
    false,
    { do: 'correct', startMs: at(0), body: { minutes: 90 } },
  ],
])('%s', (_, run, before, entries, saidByPerson, expected) => {
  const act = actOn({ run, known: before, logged: entries, counted: new Set(['own']), saidByPerson, nowMs: NOW });
  expect(act).toMatchObject(expected);
});

test('an end that was told is no longer going on', () => {
  const act = actOn({
    ...{ run: seen(0, 90), known: known(0, null), logged: [own(0, null)], counted: new Set(['own']) },
    ...{ saidByPerson: false, nowMs: NOW },
  });
  expect(act.do === 'correct' && 'stillRunning' in act.body).toBe(false);
});

// Half of the shorter and five minutes have to be shared.
test.each([
  [0, 90, 0, 90, true],
  [0, 90, 45, 200, true],
  [0, 90, 46, 200, false],
  [0, 90, 80, 100, true],
  [0, 8, 4, 12, false],
  [0, 10, 5, 15, true],
  [0, 90, 90, 180, false],
])('%d to %d and %d to %d minutes: the same run %s', (a, b, c, d, same) => {
  const [one, other] = [
    { fromMs: at(a), toMs: at(b) },
    { fromMs: at(c), toMs: at(d) },
  ];
  expect([isSameRun(one, other), isSameRun(other, one)]).toEqual([same, same]);
});
