import { existsSync, linkSync, mkdirSync, renameSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { idInPath, keptFilesIn, sha256Of } from '../files/kept-files.js';

/** Lays the kept files of a data folder beside the copy of its database, without copying a byte. @returns the folders they lie in */
export function linkFiles(dataFolder: string, into: string): string[] {
  const paths = keptFilesIn(dataFolder);
  for (const path of paths) {
    mkdirSync(dirname(join(into, path)), { recursive: true });
    linkSync(join(dataFolder, path), join(into, path));
  }
  return [...new Set(paths.flatMap((path) => path.split('/')[0] ?? []))];
}

/** A file whose bytes are not what its name says; null when all are sound. */
export async function damagedFile(folder: string): Promise<string | null> {
  for (const path of keptFilesIn(folder)) if ((await sha256Of(join(folder, path))) !== idInPath(path)) return path;
  return null;
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
