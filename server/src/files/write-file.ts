import { closeSync, fdatasyncSync, openSync, writeSync } from 'node:fs';

const TEXT_AT_ONCE = 1 << 20;
const FORCED_EVERY = 8 << 20;

/**
 * A new large file, for a thread that may wait for the disk. It goes down in small pieces as it comes: what piles up in memory goes
 * down at one go some time later, and whoever saves an entry then waits for all of it, up to half a second.
 */
function largeFile(path: string) {
  const file = openSync(path, 'wx');
  let waiting = 0;
  return {
    write(part: string | Uint8Array): void {
      waiting += typeof part === 'string' ? writeSync(file, part) : writeSync(file, part);
      if (waiting < FORCED_EVERY) return;
      fdatasyncSync(file);
      waiting = 0;
    },
    close: () => closeSync(file),
  };
}

/** Writes text to a new file as it comes, a megabyte at a time. */
export function writeText(path: string, parts: Iterable<string>): void {
  const file = largeFile(path);
  try {
    let held = '';
    for (const part of parts) {
      held += part;
      if (held.length < TEXT_AT_ONCE) continue;
      file.write(held);
      held = '';
    }
    file.write(held);
  } finally {
    file.close();
  }
}

/** Writes a stream to a new file; it comes only as fast as the disk takes it. */
export async function writeStream(path: string, parts: AsyncIterable<Uint8Array>): Promise<void> {
  const file = largeFile(path);
  try {
    for await (const part of parts) file.write(part);
  } finally {
    file.close();
  }
}
