import type { About, ApiProblem } from '@winter-jar/contracts';
import { at, changeAt, runAt } from '@winter-jar/core/testing';
import BetterSqlite3 from 'better-sqlite3';
import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { startServer, type RunningServer } from '../testing/running-server.js';
import { NOW_HOURS, openHouse } from '../testing/test-house.js';

let folder: string;
let server: RunningServer;
const data = () => join(folder, 'winter-jar.sqlite');
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-repair-'));
  const house = await openHouse({ folder });
  house.write(changeAt(1), runAt(10, 20));
  await house.close();
  mkdirSync(join(folder, 'kept'));
  copyFileSync(data(), join(folder, 'kept', 'winter-jar-good.sqlite'));
  writeFileSync(join(folder, 'kept', 'winter-jar-bad.sqlite'), 'no database');
});
afterEach(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const putBack = (name: string, headers: Record<string, string> = {}) =>
  fetch(`${server.address}/put-back`, {
    method: 'POST',
    body: new URLSearchParams({ name }),
    headers,
    redirect: 'manual',
  });

test.each<[string, () => void]>([
  ['is no database', () => writeFileSync(data(), 'x'.repeat(9000))],
  ['lacks what it is read by', () => spoil('DROP TABLE set_up_version')],
])(
  'data that %s are said to be so; what is kept is checked and put back, and the server goes on',
  async (_what, damage) => {
    damage();
    server = await startServer({ folder, flags: ['--now', at(NOW_HOURS)] });
    const about = await fetch(`${server.address}/api/about`);
    expect([about.status, ((await about.json()) as ApiProblem).code]).toEqual([503, 'unreadable']);
    const page = await (await fetch(server.address)).text();
    expect(page).toContain('cannot read its own data');
    expect(page).toContain('winter-jar-good.sqlite');

    expect((await putBack('winter-jar-good.sqlite', { origin: 'http://elsewhere.example' })).status).toBe(403);
    expect(await (await putBack('../winter-jar.sqlite')).text()).toContain('Nothing of the name');
    expect(await (await putBack('winter-jar-bad.sqlite')).text()).toContain('cannot be put back');
    expect((await putBack('winter-jar-good.sqlite')).status).toBe(303);

    let answer = null;
    for (let i = 0; i < 200 && !answer?.ok; i++) {
      await wait(50);
      answer = await fetch(`${server.address}/api/about`).catch(() => null);
    }
    expect(((await answer?.json()) as About).dataFolder).toBe(folder);
    const entry = await fetch(`${server.address}/api/pumps/p1`);
    expect(entry.status).toBe(200);
    expect(readdirSync(join(folder, 'kept')).some((name) => name.startsWith('unreadable-'))).toBe(true);
  },
);

function spoil(sql: string): void {
  const db = new BetterSqlite3(data());
  db.exec(sql);
  db.close();
}
