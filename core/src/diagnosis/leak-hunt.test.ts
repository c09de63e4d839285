import { CHECKS } from './all-checks.js';
import { FINDINGS } from './all-findings.js';
import { huntStanding, LEAK_STEPS } from './leak-hunt.js';

const said = (steps: Record<string, boolean>) =>
  Object.entries(steps).map(([leakStep, passed]) => ({ leakStep, passed }));
const hunt = (steps: Record<string, boolean>, hasTrap = true) => huntStanding({ said: said(steps), hasTrap });

test('the order of procedure K: from the gasket over valves and pump to the sensor', () => {
  expect(LEAK_STEPS.map((s) => s.id)).toEqual([
    'gaskets',
    'drain',
    'hoses',
    'connections',
    'valves',
    'oil',
    'pumpBlanked',
    'portBlanked',
    'bubbles',
    'sensor',
  ]);
});

test('it begins with the gasket and proves part after part', () => {
  expect(hunt({})).toMatchObject({ next: { id: 'gaskets' }, failed: null, proven: [] });
  expect(hunt({ gaskets: true, drain: true })).toMatchObject({ next: { id: 'hoses' }, proven: ['door', 'drain'] });
});

test('the first step that fails is where the leak is: no further one is asked for', () => {
  const { next, failed, proven } = hunt({ gaskets: true, drain: true, hoses: false });
  expect(next).toBeNull();
  expect(failed?.id).toBe('hoses');
  expect(proven).not.toContain('hose');
});

test('mended and done again, the hunt goes on', () => {
  const steps = [...said({ gaskets: false }), ...said({ gaskets: true })];
  expect(huntStanding({ said: steps, hasTrap: true })).toMatchObject({ failed: null, next: { id: 'drain' } });
});

test('without a trap chamber there is no water-level check', () => {
  const all = Object.fromEntries(LEAK_STEPS.filter((s) => !s.needsTrap).map((s) => [s.id, true]));
  expect(hunt(all, false).next).toBeNull();
  expect(hunt(all, true).next?.id).toBe('bubbles');
});

test('each outcome speaks in findings that are known, and each step is a part of a test that settles them', () => {
  for (const step of LEAK_STEPS) {
    for (const { id, state } of [...step.passed.findings, ...step.failed.findings]) {
      expect(Object.keys(FINDINGS[id].states)).toContain(state);
      expect(CHECKS[step.checkId].settles).toContain(id);
    }
  }
});
