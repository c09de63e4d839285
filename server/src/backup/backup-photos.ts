import { createHash } from 'node:crypto';
import { existsSync, linkSync, mkdirSync, readdirSync, readFileSync, renameSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { PHOTOS } from '../files/photo-files.js';

/** Photographs in an archive, by their names; small pictures are made anew where they are wanted. */
export const PHOTO_PATH = /^photos\/([0-9a-f]{2})\/(\1[0-9a-f]{62})\.jpg$/;

const photosIn = (folder: string): string[] =>
  existsSync(join(folder, PHOTOS))
    ? readdirSync(join(folder, PHOTOS), { recursive: true, withFileTypes: true })
        .filter((f) => f.isFile())
        .map((f) => relative(folder, join(f.parentPath, f.name)))
        .filter((path) => PHOTO_PATH.test(path))
    : [];

/** Lays the photographs of a data folder beside the copy of its database, without copying a byte. @returns how many */
export function linkPhotos(dataFolder: string, into: string): number {
  const photos = photosIn(dataFolder);
  for (const path of photos) {
    mkdirSync(dirname(join(into, path)), { recursive: true });
    linkSync(join(dataFolder, path), join(into, path));
  }
  return photos.length;
}

/** A photograph whose bytes are not what its name says; null when all are sound. */
export function damagedPhoto(folder: string): string | null {
  return (
    photosIn(folder).find((path) => {
      const sum = createHash('sha256')
        .update(readFileSync(join(folder, path)))
        .digest('hex');
      return sum !== PHOTO_PATH.exec(path)?.[2];
    }) ?? null
  );
}

/** Puts photographs from an opened backup among those of the data folder. What is there stays: a name is its content. */
export function takeInPhotos(from: string, dataFolder: string): void {
  for (const path of photosIn(from)) {
    const place = join(dataFolder, path);
    if (existsSync(place)) continue;
    mkdirSync(dirname(place), { recursive: true });
    renameSync(join(from, path), place);
  }
}
