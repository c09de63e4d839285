import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { cruise, type ICruiseResult } from 'dependency-cruiser';
import fences from '../.dependency-cruiser.cjs';

/** What the fences say of a small house of these files. */
async function broken(files: Readonly<Record<string, string>>): Promise<string[]> {
  const baseDir = mkdtempSync(join(tmpdir(), 'fences-'));
  try {
    symlinkSync(join(process.cwd(), 'node_modules'), join(baseDir, 'node_modules'));
    for (const [name, text] of Object.entries(files)) {
      mkdirSync(dirname(join(baseDir, name)), { recursive: true });
      writeFileSync(join(baseDir, name), text);
    }
    const sources = [...new Set(Object.keys(files).map((f) => `${f.split('/')[0]}/src`))];
    const { output } = await cruise(sources, { ...fences.options, baseDir, validate: true, ruleSet: fences });
    return (output as ICruiseResult).summary.violations.map((v) => v.rule.name);
  } finally {
    rmSync(baseDir, { recursive: true });
  }
}

// In each room of core, those among them that had no fence for a time.
test.each(['units', 'journal', 'oil', 'set-up', 'diagnosis'])(
  'in core/%s no machine and no interface',
  async (room) => {
    const file = `core/src/${room}/one.ts`;
    expect(await broken({ [file]: "import 'node:fs';\nexport const a = 1;" })).toContain('core-is-pure');
    expect(await broken({ [file]: "import type { FC } from 'react';\nexport type A = FC;" })).toContain('core-is-pure');
    expect(await broken({ [file]: "import { addDays } from 'date-fns';\nexport const a = addDays;" })).toEqual([]);
  },
);

test('no arrow up, not even of a type, and no way into a room but by its index', async () => {
  const fold = {
    'core/src/fold/index.ts': "export type { A } from './a.js';",
    'core/src/fold/a.ts': 'export type A = 1;',
  };
  const up = { 'core/src/set-up/b.ts': "import type { A } from '../fold/index.js';\nexport type B = A;" };
  expect(await broken({ ...fold, ...up })).toContain('core-set-up-upwards');
  const past = { 'core/src/standing/b.ts': "import type { A } from '../fold/a.js';\nexport type B = A;" };
  expect(await broken({ ...fold, ...past })).toEqual(['core-through-doors']);
});

test('no circle, also of types, also within a room', async () => {
  expect(
    await broken({
      'core/src/oil/a.ts': "import type { B } from './b.js';\nexport type A = B | 1;",
      'core/src/oil/b.ts': "import type { A } from './a.js';\nexport type B = A | 2;",
    }),
  ).toContain('no-circle');
});

test('a room that has no place in the order is told so', async () => {
  const files = {
    'web/src/parlour/a.ts': "import { b } from './b.js';\nexport const a = b;",
    'web/src/parlour/b.ts': 'export const b = 1;',
  };
  expect(await broken(files)).toContain('room-has-a-place');
});
