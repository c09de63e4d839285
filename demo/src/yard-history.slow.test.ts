import { overlongRuns, rebuild, serviceOfJob, setUpBook, standingAt } from '@winter-jar/core';
import { ROLES_OF_PEOPLE } from './records.js';
import { runLogText } from './run-log-text.js';
import { yardHistory } from './yard-history.js';

// Two days of the year, one in winter and one in summer time.
describe.each(['2031-02-11T09:30:00.000Z', '2031-08-21T16:00:00.000Z'])('the yard of %s', (now) => {
  const yard = yardHistory(now);
  const book = setUpBook(yard.versions);
  const house = book.at(now);
  const pumps = Object.keys(house.pump).map((pumpId) => {
    const setUp = book.pumpAt({ pumpId, instant: now });
    if (!setUp) throw new Error(`${pumpId} is not whole`);
    const entries = yard.entries.filter((e) => e.subjects.some((s) => s.id === pumpId));
    const state = rebuild({ pumpId, entries, book });
    return { pumpId, setUp, state, standing: standingAt({ state, setUp, now }) };
  });
  const pump = (id: string) => pumps.find((p) => p.pumpId === id);

  test('has five customers over all four processes and at least twelve pumps', () => {
    expect(Object.keys(house.site)).toHaveLength(5);
    expect(new Set(Object.values(house.site).map((s) => s.process)).size).toBe(4);
    expect(pumps.length).toBeGreaterThanOrEqual(12);
    expect(new Set(pumps.map((p) => p.setUp.pump.preset)).size).toBe(5);
  });

  test('shows all four verdicts, oil carried over, a dry pump and a booster set', () => {
    expect(new Set(pumps.map((p) => p.standing.verdict)).size).toBe(4);
    expect(pump('lf-01')?.standing.carriedOverRuns).toBeGreaterThan(0);
    expect(pump('hs-03')?.setUp.model.kind).toBe('dry');
    expect(pump('cw-b1')?.setUp.model.kind).toBe('booster');
    expect(pump('cw-b1')?.state.totals.runs).toBe(pump('cw-01')?.state.totals.runs);
  });

  test('has one overdue by hours and one due next week', () => {
    expect(pump('qp-01')?.standing.reasons.find((r) => r.code === 'changeDue')).toMatchObject({
      decides: { measure: 'hours' },
    });
    const due = pump('qp-02')?.standing.tasks.find((t) => t.task === 'oilChange')?.forecast?.p50Days;
    expect(due).toBeGreaterThan(3);
    expect(due).toBeLessThan(11);
  });

  test('has a run that goes on, one whose end was forgotten, and people who write', () => {
    expect(pump('hs-02')?.state.running).toHaveLength(1);
    const forgotten = pump('rl-02');
    expect(forgotten && overlongRuns({ ...forgotten, now })).toHaveLength(1);
    expect(Object.keys(house.person).sort()).toEqual(Object.keys(ROLES_OF_PEOPLE).sort());
  });

  test('has a service under way in its wait, one that waits for a part, and one that was done, with its jar to read', () => {
    const jobOf = (id: string) => pump(id)?.standing.reasons.find((r) => r.code === 'jobOpen');
    expect(jobOf('rl-01')).toMatchObject({ procedure: 'oilChange', paused: false, overdue: false });
    expect(jobOf('qp-03')).toMatchObject({ procedure: 'inlet', paused: true });
    expect(jobOf('lf-03')).toBeUndefined();
    expect(pump('lf-03')?.standing.reasons.map((r) => r.code)).toContain('jarToRead');
    // Every step that was answered is one that its pump has.
    for (const { pumpId, state, setUp } of pumps.filter((p) => p.state.job)) {
      const known = serviceOfJob(state.job!, state, setUp).steps.map(({ step }) => step.id);
      for (const { step } of [...(state.job?.said ?? []), ...(state.job?.begun ?? [])])
        expect([pumpId, known]).toEqual([pumpId, expect.arrayContaining([step])]);
    }
    const changed = yard.entries.filter((e) => e.kind === 'jobEnded')[0];
    expect(yard.entries.filter((e) => e.actId === changed?.actId && e.kind === 'change')).toHaveLength(1);
  });

  test('no pump runs twice at once', () => {
    for (const { pumpId } of pumps) {
      const runs = yard.entries.filter((e) => e.kind === 'run' && e.subjects.some((s) => s.id === pumpId));
      const ends = runs.map((e) => Date.parse(e.happenedAt) + (e.kind === 'run' ? (e.body.minutes ?? 0) : 0) * 60_000);
      for (const [i, run] of runs.slice(1).entries())
        expect([pumpId, Date.parse(run.happenedAt) >= (ends[i] ?? 0)]).toEqual([pumpId, true]);
    }
  });

  test('covers six months, nothing lies in the future, and the run log holds every run', () => {
    const days = (Date.parse(now) - Date.parse(yard.entries[0]?.happenedAt ?? '')) / 86_400_000;
    expect(days).toBeGreaterThan(175);
    for (const e of yard.entries) expect(e.happenedAt <= now).toBe(true);
    const runs = yard.entries.filter((e) => e.kind === 'run' && !e.body.stillRunning);
    expect(runLogText(runs).split('\r\n')).toHaveLength(runs.length + 1);
  });
});

test('the same day gives the same yard', () => {
  const now = '2031-02-11T09:30:00.000Z';
  expect(yardHistory(now)).toEqual(yardHistory(now));
});
