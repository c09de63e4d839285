import { once } from 'node:events';
import { createReadStream, existsSync, linkSync, mkdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createGunzip } from 'node:zlib';
import { MAX_BACKUP_BYTES } from '@winter-jar/contracts';
import sharp from 'sharp';
import * as tar from 'tar';
import { idInPath, keptFilesIn, sha256Of } from '../files/kept-files.js';
import { atMost } from '../files/work-folder.js';

/** Lays the kept files of a data folder beside the copy of its database, without copying a byte. @returns the folders they lie in */
export function linkFiles(dataFolder: string, into: string): string[] {
  const paths = keptFilesIn(dataFolder);
  for (const path of paths) {
    mkdirSync(dirname(join(into, path)), { recursive: true });
    linkSync(join(dataFolder, path), join(into, path));
  }
  return [...new Set(paths.flatMap((path) => path.split('/')[0] ?? []))];
}

/** A file whose bytes are not what its name says, or that is no picture; null when all are sound. */
export async function damagedFile(folder: string): Promise<string | null> {
  for (const path of keptFilesIn(folder)) {
    const file = join(folder, path);
    if ((await sha256Of(file)) !== idInPath(path) || !(await isPicture(file))) return path;
  }
  return null;
}

const isPicture = (file: string): Promise<boolean> =>
  sharp(file)
    .metadata()
    .then(
      ({ format }) => format === 'jpeg',
      () => false,
    );

/** So many times its compressed size a backup grows at most: a database does 5 to 20 times. */
const MOST_GROWTH = 100;
const SMALL_BYTES = 50_000_000;
const MANIFEST_BYTES = 100_000;

/**
 * Takes an archive apart, counting what comes out while it is read: it never takes more of the disk than it may.
 * @param wanted whether a path belongs to a backup
 * @throws PayloadTooLargeException, or what the archive is damaged by
 */
export async function unpack(archive: string, into: string, wanted: (path: string) => boolean): Promise<void> {
  const most = Math.min(MAX_BACKUP_BYTES, statSync(archive).size * MOST_GROWTH + SMALL_BYTES);
  const out = tar.extract({
    cwd: into,
    strict: true,
    filter: (path, entry) =>
      wanted(path) &&
      'type' in entry &&
      entry.type === 'File' &&
      entry.size <= (path.endsWith('.json') ? MANIFEST_BYTES : most),
  });
  // A stream of another make: pipeline would not see its end.
  const ended = new Promise<void>((resolve, reject) => void out.on('close', resolve).on('error', reject));
  const source = createReadStream(archive);
  const parts = createGunzip();
  source.on('error', (error) => parts.destroy(error)).pipe(parts);
  const feed = async () => {
    for await (const part of atMost(most)(parts as AsyncIterable<Buffer>))
      if (!out.write(part)) await Promise.race([once(out, 'drain'), ended]);
    out.end();
  };
  try {
    await Promise.all([feed(), ended]);
  } finally {
    source.destroy();
  }
}

/** Puts files from an opened backup among those of the data folder. What is there stays: a name is its content. */
export function takeInFiles(from: string, dataFolder: string): void {
  for (const path of keptFilesIn(from)) {
    const place = join(dataFolder, path);
    if (existsSync(place)) continue;
    mkdirSync(dirname(place), { recursive: true });
    renameSync(join(from, path), place);
  }
}
