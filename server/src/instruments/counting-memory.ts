import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeDurably } from '../files/write-durably.js';
import type { CountedRun } from './counted-runs.js';

/** What an instrument has told the journal so far. */
export interface Told {
  readonly runs: readonly (CountedRun & { readonly takenOnAt: string })[];
  /** How long its pump has turned since it is listened to, up to a moment; null before it was first seen turning. */
  readonly turned: { readonly minutes: number; readonly untilMs: number; readonly toldMinutes: number } | null;
}

export const NOTHING_TOLD: Told = { runs: [], turned: null };
const FILE = 'instrument-runs.json';

/** Which entries stand for which runs, so that none is told twice, nor one again that somebody took out. Beside the database, in no backup. */
export class CountingMemory {
  private readonly path: string;
  private told: Readonly<Record<string, Told>>;

  constructor(dataFolder: string) {
    this.path = join(dataFolder, FILE);
    this.told = existsSync(this.path) ? toldIn(readFileSync(this.path, 'utf8')) : {};
  }

  of(instrumentId: string): Told {
    return Object.hasOwn(this.told, instrumentId) ? (this.told[instrumentId] ?? NOTHING_TOLD) : NOTHING_TOLD;
  }

  async put(instrumentId: string, told: Told): Promise<void> {
    this.told = { ...this.told, [instrumentId]: told };
    await writeDurably(this.path, Buffer.from(`${JSON.stringify(this.told)}\n`));
  }
}

/** Lost, it is made anew from what is in the journal: a run that stands there is taken on. */
function toldIn(text: string): Readonly<Record<string, Told>> {
  try {
    const read: unknown = JSON.parse(text);
    return typeof read === 'object' && read !== null ? (read as Record<string, Told>) : {};
  } catch {
    return {};
  }
}
