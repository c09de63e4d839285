// Fifty people write at once on three hundred pumps: without accounts, and each signed in.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer, stopServer } from './serve.mjs';

const WRITERS = 50;
/** Together about half a minute. */
const TURNS = 60;
const PORT = 4895;
const PASSWORD = 'three small jars';

async function post({ address, cookie }, path, body) {
  const headers = { 'content-type': 'application/json', ...(cookie ? { cookie } : {}) };
  const answer = await fetch(`${address}${path}`, { method: 'POST', headers, body: JSON.stringify(body) });
  const text = await answer.text();
  return { status: answer.status, headers: answer.headers, text };
}

async function mustPost(house, path, body) {
  const answer = await post(house, path, body);
  if (answer.status >= 300) throw new Error(`${path} answered ${answer.status}: ${answer.text.slice(0, 300)}`);
  return answer;
}

/** A house of the pumps, served by a process of its own. @returns it, with what its writers sign in by */
async function houseOf({ versions, port, withPeople }) {
  const data = mkdtempSync(join(tmpdir(), 'winter-jar-bench-people-'));
  const server = await startServer({ data, port, quiet: true });
  const house = { ...server, data };
  for (let i = 0; i < versions.length; i += 100)
    await mustPost(house, '/api/set-up', { versions: versions.slice(i, i + 100) });
  if (!withPeople) return { ...house, cookies: Array.from({ length: WRITERS }, () => null) };
  const claimed = await mustPost(house, '/api/door/claim', { name: 'Ada', password: PASSWORD });
  const cookie = claimed.headers.get('set-cookie').split(';')[0];
  const { who } = JSON.parse(claimed.text);
  // Each at a device of their own.
  const cookies = [];
  for (let i = 0; i < WRITERS; i++) {
    const { text } = await mustPost({ ...house, cookie }, `/api/people/${who.personId}/code`, { purpose: 'pair' });
    const paired = await mustPost(house, '/api/door/pair', { code: JSON.parse(text).code, device: `phone ${i}` });
    cookies.push(paired.headers.get('set-cookie').split(';')[0]);
  }
  return { ...house, cookies };
}

/** Each writes one run at once. @returns how long all of them took, and how many were not written */
async function eachWritesOne(house, { pumpIds, runOf, turn }) {
  const start = process.hrtime.bigint();
  const statuses = await Promise.all(
    house.cookies.map(async (cookie, w) => {
      // Over all pumps in turn, each run a day after the one before on its pump.
      const pumpId = pumpIds[(w + turn * WRITERS) % pumpIds.length];
      return (await post({ ...house, cookie }, '/api/entries', { entries: [runOf(pumpId, turn)] })).status;
    }),
  );
  const ms = Number(process.hrtime.bigint() - start) / 1e6;
  return { ms, failed: statuses.filter((status) => status !== 201).length };
}

/**
 * @param versions the set-up, with the pumps
 * @param runOf a run of a pump, the how manieth: each a day after the one before
 * @returns ratio of the time with sessions to that without, writes that failed, and writes a second
 */
export async function benchPeople({ versions, pumpIds, runOf, median }) {
  const free = await houseOf({ versions, port: PORT, withPeople: false });
  const signedIn = await houseOf({ versions, port: PORT + 1, withPeople: true });
  const times = { free: [], signedIn: [] };
  let failed = 0;
  // In turn, so that what the machine does beside it meets both.
  for (let turn = 0; turn < TURNS; turn++) {
    const order = turn % 2 ? ['free', 'signedIn'] : ['signedIn', 'free'];
    for (const which of order) {
      const one = await eachWritesOne(which === 'free' ? free : signedIn, { pumpIds, runOf, turn });
      times[which].push(one.ms);
      failed += one.failed;
    }
  }
  for (const house of [free, signedIn]) {
    await stopServer(house);
    rmSync(house.data, { recursive: true, force: true });
  }
  const [without, ms] = [median(times.free), median(times.signedIn)];
  return { ratio: ms / without, failed, perS: (WRITERS / ms) * 1000 };
}
