import { existsSync } from 'node:fs';
import { join } from 'node:path';

export const PHOTOS = 'photos';
export const PHOTO_ID = /^[0-9a-f]{64}$/;

/** Where a photograph lies in the data folder: named by the SHA-256 of its bytes, never by what a person's file was called. */
export function photoFile(dataFolder: string, photoId: string): string {
  if (!PHOTO_ID.test(photoId)) throw new RangeError(`photoId: "${photoId}" is not a SHA-256`);
  return join(dataFolder, PHOTOS, photoId.slice(0, 2), `${photoId}.jpg`);
}

/** Its small picture, beside it; made anew when it is missing. */
export const thumbFile = (dataFolder: string, photoId: string): string =>
  photoFile(dataFolder, photoId).replace(/jpg$/, 'thumb.jpg');

/** False also for what is no id at all. */
export const hasPhoto = (dataFolder: string, photoId: string): boolean =>
  PHOTO_ID.test(photoId) && existsSync(photoFile(dataFolder, photoId));
