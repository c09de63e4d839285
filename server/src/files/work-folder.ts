import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { open, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { setTimeout } from 'node:timers/promises';
import { pipeline } from 'node:stream/promises';
import { PayloadTooLargeException } from '@nestjs/common';
import { v7 as newId } from 'uuid';

const INCOMING = 'incoming';

/** A place inside the data folder for a file that is being made or checked; on the same file system, so that one rename puts it in place. */
export function newWorkFolder(dataFolder: string): { id: string; path: string } {
  const id = newId();
  const path = join(dataFolder, INCOMING, id);
  mkdirSync(path, { recursive: true });
  return { id, path };
}

/** What a crash left half-made. Nothing in it was ever acknowledged. */
export function clearWorkFolders(dataFolder: string): void {
  rmSync(join(dataFolder, INCOMING), { recursive: true, force: true });
}

/** Freed at one go, a gigabyte keeps whoever saves an entry waiting for the disk, up to half a second. */
const FREED_AT_ONCE = 8 << 20;
const PAUSE_MS = 10;

/** Removes a file that nobody reads any more; a large one piece by piece. Kept files that are only linked to stay whole. */
async function removeFile(path: string): Promise<void> {
  const file = await open(path, 'r+');
  try {
    const { size, nlink } = await file.stat();
    for (let left = size - FREED_AT_ONCE; left > 0 && nlink === 1; left -= FREED_AT_ONCE) {
      await file.truncate(left);
      await setTimeout(PAUSE_MS);
    }
  } finally {
    await file.close();
  }
  await rm(path);
}

/** Removes a work folder, or all of it but one file. Nothing is left of it also where somebody else removes it meanwhile. */
export async function dropWorkFolder(path: string, butFor?: string): Promise<void> {
  for (const found of await readdir(path, { withFileTypes: true }).catch(() => [])) {
    if (found.name === butFor) continue;
    const at = join(path, found.name);
    if (found.isFile()) await removeFile(at).catch(() => rm(at, { force: true }));
    else await rm(at, { recursive: true, force: true });
  }
  if (butFor === undefined) await rm(path, { recursive: true, force: true });
}

/** A file that came in, on the disk and whole, in a work folder of its own. */
export interface TakenIn {
  readonly id: string;
  readonly folder: string;
  readonly file: string;
}

/**
 * Takes an upload in as a stream, up to so many bytes; more is an error, also where no length was announced.
 * @throws PayloadTooLargeException, or what the disk throws; then nothing is left
 */
export async function takeIn(upload: Readable, dataFolder: string, maxBytes: number): Promise<TakenIn> {
  const { id, path: folder } = newWorkFolder(dataFolder);
  const file = join(folder, 'upload');
  try {
    await pipeline(upload, atMost(maxBytes), createWriteStream(file));
    return { id, folder, file };
  } catch (error) {
    await dropWorkFolder(folder);
    throw error;
  }
}

/** Passes a stream on up to so many bytes. */
export const atMost = (bytes: number) =>
  async function* (parts: AsyncIterable<Buffer>): AsyncGenerator<Buffer> {
    let passed = 0;
    for await (const part of parts) {
      passed += part.length;
      if (passed > bytes) throw new PayloadTooLargeException(`at most ${bytes.toLocaleString('en-GB')} bytes`);
      yield part;
    }
  };
