import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { VERSION } from '../server/src/house/house.js';

const read = (file: string): string => readFileSync(join(process.cwd(), file), 'utf8');

test('one version: of the packages, of what the server says, and at the top of the changelog', () => {
  for (const folder of ['', 'core/', 'contracts/', 'server/', 'web/', 'demo/'])
    expect([folder, (JSON.parse(read(`${folder}package.json`)) as { version: string }).version]).toEqual([
      folder,
      VERSION,
    ]);
  expect(/^## (\S+)/m.exec(read('CHANGELOG.md'))?.[1]).toBe(VERSION);
});
