import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { EntriesAnswer } from '@winter-jar/contracts';
import type { Entry } from '@winter-jar/core';
import { changeAt, lookAt, runAt, versionsOf } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { startServer } from '../testing/running-server.js';
import { openHouse, rebuiltStates } from '../testing/test-house.js';

const YEARS_BACK_MS = 8 * 365 * 86_400_000;

/** Entries of the small yard lie in its own year; here they are moved into the past of the real clock. */
const inThePast = <T extends { happenedAt: string; recordedAt: string }>(e: T): T => ({
  ...e,
  happenedAt: new Date(Date.parse(e.happenedAt) - YEARS_BACK_MS).toISOString(),
  recordedAt: new Date(Date.parse(e.recordedAt) - YEARS_BACK_MS).toISOString(),
});

test('kill -9 in a stream of writes, 8 times: every acknowledged entry is there once, none half-written', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'winter-jar-crash-'));
  let address = '';
  const post = (path: string, body: unknown) =>
    fetch(address + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  const acknowledged = new Set<string>();
  const sent: string[][] = [];
  let hour = 1;
  function nextAct(): Entry[] {
    hour += 3;
    const actId = newId();
    const members =
      hour % 5 === 0 ? [changeAt(hour), lookAt(hour, { clarity: 'bright' })] : [runAt(hour, 2, 'fd-meat')];
    return members.map((e) => inThePast({ ...e, id: newId(), actId }) as Entry);
  }

  for (let round = 0; round < 8; round++) {
    const server = await startServer({ folder });
    address = server.address;
    if (round === 0) {
      const versions = versionsOf().map((v) => ({
        ...v,
        validFrom: new Date(Date.parse(v.validFrom) - YEARS_BACK_MS).toISOString(),
        recordedAt: new Date(Date.parse(v.recordedAt) - YEARS_BACK_MS).toISOString(),
      }));
      expect((await post('/api/set-up', { versions })).status).toBe(201);
    }
    let dies = Promise.resolve();
    // Killed somewhere in the stream, after some acts were acknowledged, however slow the machine is.
    const killAfterActs = 6 + (round % 5);
    for (let acts = 0; ; acts++) {
      if (acts === killAfterActs)
        setTimeout(
          () => {
            dies = server.kill();
          },
          (round * 7) % 40,
        );
      const entries = nextAct();
      sent.push(entries.map((e) => e.id));
      const answer = await post('/api/entries', { entries })
        .then((r) => r.json() as Promise<EntriesAnswer>)
        .catch(() => null);
      if (!answer) break; // killed before it could answer
      expect(answer.answers.map((a) => a.status)).toEqual(entries.map(() => 'written'));
      for (const { id } of answer.answers) if (id) acknowledged.add(id);
    }
    await dies;
  }

  const house = await openHouse({ folder });
  const stored = house.journal().map((e) => e.id);
  expect(acknowledged.size).toBeGreaterThan(50);
  expect(new Set(stored).size).toBe(stored.length);
  expect([...acknowledged].filter((id) => !stored.includes(id))).toEqual([]);
  for (const act of sent) expect([0, act.length]).toContain(act.filter((id) => stored.includes(id)).length);
  expect(house.everyState()).toEqual(rebuiltStates(house));
  expect(house.database.reader.pragma('integrity_check', { simple: true })).toBe('ok');
  await house.close();
  rmSync(folder, { recursive: true, force: true });
}, 600_000);
