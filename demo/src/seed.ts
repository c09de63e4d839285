import { MAX_ENTRIES_PER_POST, type EntriesAnswer, type LogResult } from '@winter-jar/contracts';
import type { Entry } from '@winter-jar/core';
import { runLogText } from './run-log-text.js';
import { yardHistory } from './yard-history.js';

async function post<T>(address: string, type: string, body: string): Promise<T> {
  const response = await fetch(address, { method: 'POST', headers: { 'content-type': type }, body });
  const text = await response.text();
  if (response.status >= 400) throw new Error(`${address} answered ${response.status}: ${text.slice(0, 500)}`);
  return JSON.parse(text) as T;
}

const cutInto = <T>(items: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(items.length / size) }, (_, i) => items.slice(i * size, (i + 1) * size));

/** Fills an empty data folder with the yard through the server's own doors: set-up, run log as CSV, the other entries. */
export async function seedYard({ address, now }: { address: string; now: string }): Promise<{ entries: number }> {
  const yard = yardHistory(now);
  await post(`${address}/api/set-up`, 'application/json', JSON.stringify({ versions: yard.versions }));
  const inRunLog = (e: Entry) => e.kind === 'run' && !e.body.stillRunning;
  const runs = yard.entries.filter(inRunLog);
  const others = yard.entries.filter((e) => !inRunLog(e));
  const log = await post<LogResult>(`${address}/api/logs/runs?goodRowsOnly=no`, 'text/csv', runLogText(runs));
  if (log.written !== runs.length)
    throw new Error(`run log: ${log.written} of ${runs.length} runs written, ${JSON.stringify(log.shown[0])}`);
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
