import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { cruise, type ICruiseResult } from 'dependency-cruiser';
import fences from '../.dependency-cruiser.cjs';

// In each room of core, those among them that had no fence for a time.
const ROOMS = ['units', 'journal', 'oil', 'set-up', 'diagnosis'];
const ofRoom = (room: string) => ({
  [`core/src/${room}/machine.ts`]: "import 'node:fs';\nexport const a = 1;",
  [`core/src/${room}/interface.ts`]: "import type { FC } from 'react';\nexport type A = FC;",
  [`core/src/${room}/package.ts`]: "import { addDays } from 'date-fns';\nexport const a = addDays;",
});
/** A small house in which some files go where they may not. */
const HOUSE: Readonly<Record<string, string>> = {
  ...Object.assign({}, ...ROOMS.map(ofRoom)),
  'core/src/fold/index.ts': "export type { A } from './a.js';",
  'core/src/fold/a.ts': 'export type A = 1;',
  'core/src/set-up/up.ts': "import type { A } from '../fold/index.js';\nexport type B = A;",
  'core/src/standing/past.ts': "import type { A } from '../fold/a.js';\nexport type B = A;",
  'core/src/oil/round.ts': "import type { B } from './and-round.js';\nexport type A = B | 1;",
  'core/src/oil/and-round.ts': "import type { A } from './round.js';\nexport type B = A | 2;",
  'web/src/parlour/a.ts': "import { b } from './b.js';\nexport const a = b;",
  'web/src/parlour/b.ts': 'export const b = 1;',
};

let summary: ICruiseResult['summary'];
beforeAll(async () => {
  const baseDir = mkdtempSync(join(tmpdir(), 'fences-'));
  try {
    symlinkSync(join(process.cwd(), 'node_modules'), join(baseDir, 'node_modules'));
    for (const [name, text] of Object.entries(HOUSE)) {
      mkdirSync(dirname(join(baseDir, name)), { recursive: true });
      writeFileSync(join(baseDir, name), text);
    }
    const sources = ['core/src', 'web/src'];
    const { output } = await cruise(sources, { ...fences.options, baseDir, validate: true, ruleSet: fences });
    ({ summary } = output as ICruiseResult);
  } finally {
    rmSync(baseDir, { recursive: true });
  }
});

/** What the fences say of a file. */
const broken = (file: string): string[] => summary.violations.filter((v) => v.from === file).map((v) => v.rule.name);

test.each(ROOMS)('in core/%s no machine and no interface', (room) => {
  expect(broken(`core/src/${room}/machine.ts`)).toContain('core-is-pure');
  expect(broken(`core/src/${room}/interface.ts`)).toContain('core-is-pure');
  expect(broken(`core/src/${room}/package.ts`)).toEqual([]);
});

test('no arrow up, not even of a type, and no way into a room but by its index', () => {
  expect(broken('core/src/set-up/up.ts')).toContain('core-set-up-upwards');
  expect(broken('core/src/standing/past.ts')).toEqual(['core-through-doors']);
  expect(broken('core/src/fold/index.ts')).toEqual([]);
});

test('no circle, also of types, also within a room', () => {
  expect([...broken('core/src/oil/round.ts'), ...broken('core/src/oil/and-round.ts')]).toContain('no-circle');
});

test('a room that has no place in the order is told so', () => {
  expect(broken('web/src/parlour/a.ts')).toContain('room-has-a-place');
});
