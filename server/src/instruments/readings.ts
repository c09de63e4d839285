import { appendFile, mkdir, readdir, readFile, rm, stat, truncate } from 'node:fs/promises';
import { join } from 'node:path';
import { thinned } from '@winter-jar/core';

const HOUR_MS = 3_600_000;
export const KEPT_MS = 7 * 24 * HOUR_MS;
/** All readings together; what is oldest goes first. */
const KEPT_BYTES = 2_000_000_000;
/** Milliseconds within the hour as an unsigned 32-bit number, the value as a 64-bit float; both little-endian. */
const RECORD_BYTES = 12;
const FOLDER = 'readings';

export interface Readings {
  readonly atMs: Float64Array;
  readonly value: Float64Array;
  /** Before they were thinned. */
  readonly count: number;
}

/**
 * What instruments sent, in files of an hour each, outside journal and backup: they roll on and are gone after seven days. A crash
 * loses at most what came since they were last written, a second or so.
 */
export class ReadingFiles {
  private readonly folder: string;
  /** Not on the disk yet, by file. */
  private waiting = new Map<string, { readonly ms: number; readonly value: number }[]>();
  private writing: Promise<void> = Promise.resolve();
  /** Files whose end is known to be whole. */
  private readonly whole = new Set<string>();

  constructor(dataFolder: string) {
    this.folder = join(dataFolder, FOLDER);
  }

  add(instrumentId: string, key: string, atMs: number, value: number): void {
    const hour = Math.floor(atMs / HOUR_MS) * HOUR_MS;
    const file = join(this.folder, instrumentId, key, `${hour}.bin`);
    const list = this.waiting.get(file);
    const reading = { ms: Math.round(atMs - hour), value };
    if (list) list.push(reading);
    else this.waiting.set(file, [reading]);
  }

  /** Writes what waits. What cannot be written (a full disk) is dropped: nothing else waits for readings. */
  flush(): Promise<void> {
    const files = this.waiting;
    this.waiting = new Map();
    if (files.size === 0) return this.writing;
    this.writing = this.writing.then(async () => {
      for (const [file, readings] of files) {
        // A crash may have cut the last record: what is written behind it has to begin where a record does.
        if (!this.whole.has(file)) await cutHalf(file);
        this.whole.add(file);
        await append(file, readings).catch(() => this.whole.delete(file));
      }
    });
    return this.writing;
  }

  /**
   * Readings between two moments, in their order.
   * @param most for a screen: of each stretch its lowest and its highest; left out for all
   */
  async between(of: {
    readonly instrumentId: string;
    readonly key: string;
    readonly fromMs: number;
    readonly toMs: number;
    readonly most?: number;
  }): Promise<Readings> {
    await this.flush();
    const { fromMs, toMs, most } = of;
    const folder = join(this.folder, of.instrumentId, of.key);
    const hours = (await hoursIn(folder)).filter((hour) => hour + HOUR_MS > fromMs && hour <= toMs);
    const parts: Readings[] = [];
    for (const hour of hours) {
      // File by file: others come in between.
      const part = readingsOf(await readFile(join(folder, `${hour}.bin`)), hour, fromMs, toMs);
      const few = most === undefined ? part : thin(part, most / Math.max(1, hours.length));
      parts.push({ ...few, count: part.count });
    }
    return together(parts);
  }

  /** Removes what is older than it is kept, and the oldest of all where there is too much. */
  async purge(nowMs: number, keptBytes = KEPT_BYTES): Promise<void> {
    const files = await this.all();
    let bytes = files.reduce((sum, f) => sum + f.bytes, 0);
    for (const { path, hour, bytes: own } of files.sort((a, b) => a.hour - b.hour)) {
      if (hour + HOUR_MS >= nowMs - KEPT_MS && bytes <= keptBytes) continue;
      await rm(path, { force: true });
      this.whole.delete(path);
      bytes -= own;
    }
  }

  private async all(): Promise<{ readonly path: string; readonly hour: number; readonly bytes: number }[]> {
    const found = [];
    for (const instrument of await foldersIn(this.folder))
      for (const key of await foldersIn(join(this.folder, instrument))) {
        const folder = join(this.folder, instrument, key);
        for (const hour of await hoursIn(folder)) {
          const path = join(folder, `${hour}.bin`);
          found.push({ path, hour, bytes: (await stat(path)).size });
        }
      }
    return found;
  }
}

async function cutHalf(file: string): Promise<void> {
  const size = await stat(file).then(
    (found) => found.size,
    () => 0,
  );
  if (size % RECORD_BYTES !== 0) await truncate(file, size - (size % RECORD_BYTES));
}

async function append(file: string, readings: readonly { ms: number; value: number }[]): Promise<void> {
  const bytes = Buffer.alloc(readings.length * RECORD_BYTES);
  readings.forEach(({ ms, value }, i) => {
    bytes.writeUInt32LE(ms, i * RECORD_BYTES);
    bytes.writeDoubleLE(value, i * RECORD_BYTES + 4);
  });
  try {
    await appendFile(file, bytes);
  } catch {
    await mkdir(join(file, '..'), { recursive: true });
    await appendFile(file, bytes);
  }
}

function readingsOf(bytes: Buffer, hour: number, fromMs: number, toMs: number): Readings {
  const atMs: number[] = [];
  const value: number[] = [];
  let inOrder = true;
  for (let at = 0; at + RECORD_BYTES <= bytes.length; at += RECORD_BYTES) {
    const ms = hour + bytes.readUInt32LE(at);
    if (ms < fromMs || ms > toMs) continue;
    if (ms < (atMs.at(-1) ?? -Infinity)) inOrder = false;
    atMs.push(ms);
    value.push(bytes.readDoubleLE(at + 4));
  }
  // What was sent late stands behind what was sent in time.
  const order = inOrder ? null : [...atMs.keys()].sort((a, b) => (atMs[a] ?? 0) - (atMs[b] ?? 0) || a - b);
  const column = (list: number[]) => (order ? Float64Array.from(order, (i) => list[i] ?? 0) : Float64Array.from(list));
  return { atMs: column(atMs), value: column(value), count: atMs.length };
}

function thin({ atMs, value, count }: Readings, most: number): Readings {
  const few = thinned({ s: atMs, pa: value }, Math.max(4, Math.ceil(most)));
  return { atMs: few.s, value: few.pa, count };
}

function together(parts: readonly Readings[]): Readings {
  const length = parts.reduce((sum, p) => sum + p.atMs.length, 0);
  const whole = { atMs: new Float64Array(length), value: new Float64Array(length) };
  let at = 0;
  for (const part of parts) {
    whole.atMs.set(part.atMs, at);
    whole.value.set(part.value, at);
    at += part.atMs.length;
  }
  return { ...whole, count: parts.reduce((sum, p) => sum + p.count, 0) };
}

const foldersIn = async (folder: string): Promise<string[]> =>
  (await readdir(folder, { withFileTypes: true }).catch(() => [])).filter((f) => f.isDirectory()).map((f) => f.name);

const hoursIn = async (folder: string): Promise<number[]> =>
  (await readdir(folder).catch(() => []))
    .flatMap((name) => (/^\d+\.bin$/.test(name) ? [Number(name.slice(0, -4))] : []))
    .sort((a, b) => a - b);
