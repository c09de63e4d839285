import { setTimeout } from 'node:timers/promises';
import { MAX_ENTRIES_PER_POST, type EntriesAnswer, type LogImportAnswer } from '@winter-jar/contracts';
import type { Entry } from '@winter-jar/core';
import { runLogText } from './run-log-text.js';
import { ROLES_OF_PEOPLE, SITES_OF_PEOPLE } from './records.js';
import { yardHistory } from './yard-history.js';

const LOOK_EVERY_MS = 50;

async function post<T>(address: string, type: string, body: string): Promise<T> {
  const response = await fetch(address, { method: 'POST', headers: { 'content-type': type }, body });
  const text = await response.text();
  if (response.status >= 400) throw new Error(`${address} answered ${response.status}: ${text.slice(0, 500)}`);
  return JSON.parse(text) as T;
}

const cutInto = <T>(items: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(items.length / size) }, (_, i) => items.slice(i * size, (i + 1) * size));

async function importRuns(address: string, runs: readonly Entry[]): Promise<void> {
  const begun = await post<LogImportAnswer>(`${address}/api/logs/runs/imports`, 'text/csv', runLogText(runs));
  const imports = `${address}/api/imports/${begun.id}`;
  const until = async (state: LogImportAnswer['state']): Promise<void> => {
    for (;;) {
      const now = (await (await fetch(imports)).json()) as LogImportAnswer;
      if (now.state === state) return;
      if (now.state !== 'reading' && now.state !== 'writing') throw new Error(`run log: ${JSON.stringify(now)}`);
      await setTimeout(LOOK_EVERY_MS);
    }
  };
  await until('ready');
  await post(`${imports}/write`, 'application/json', JSON.stringify({ goodRowsOnly: false }));
  await until('done');
}

/** Fills an empty data folder with the yard through the server's own API: set-up, run log as CSV, the other entries. */
export async function seedYard({ address, now }: { address: string; now: string }): Promise<{ entries: number }> {
  const yard = yardHistory(now);
  await post(`${address}/api/set-up`, 'application/json', JSON.stringify({ versions: yard.versions }));
  for (const [personId, role] of Object.entries(ROLES_OF_PEOPLE))
    await post(
      `${address}/api/people/${personId}/account`,
      'application/json',
      JSON.stringify({ role, siteIds: SITES_OF_PEOPLE[personId] ?? null }),
    );
  for (const log of yard.gaugeLogs) await post(`${address}/api/gauge-logs`, 'text/csv', log);
  const inRunLog = (e: Entry) => e.kind === 'run' && !e.body.stillRunning;
  const runs = yard.entries.filter(inRunLog);
  const others = yard.entries.filter((e) => !inRunLog(e));
  await importRuns(address, runs);
  for (const entries of cutInto(others, MAX_ENTRIES_PER_POST)) {
    const { answers } = await post<EntriesAnswer>(
      `${address}/api/entries`,
      'application/json',
      JSON.stringify({ entries }),
    );
    const wrong = answers.find((a) => a.status !== 'written');
    if (wrong) throw new Error(`entries: ${JSON.stringify(wrong)}`);
  }
  return { entries: yard.entries.length };
}
