import { createHash } from 'node:crypto';
import { existsSync, statfsSync, statSync } from 'node:fs';
import type { Readable } from 'node:stream';
import type { FieldIssue, PhotoKept } from '@winter-jar/contracts';
import sharp from 'sharp';
import { FILE_KINDS, hasFile, keptFile } from '../files/kept-files.js';
import { dropWorkFolder, takeIn } from '../files/work-folder.js';
import { writeDurably } from '../files/write-durably.js';

/** Larger pictures are made smaller: a jar's layers read well at this size. */
const LONGEST_PX = 2000;
const THUMB_PX = 320;
/** A picture that would need gigabytes to open is refused unopened. */
const MOST_PIXELS = 100_000_000;
/** So much of the disk stays free of pictures: entries go on being written there. */
const LEFT_FREE_BYTES = 500_000_000;
const freeBytes = (folder: string): number => {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize;
};
const READ: readonly string[] = ['jpeg', 'png', 'webp'];

export type Kept =
  { readonly ok: true; readonly photo: PhotoKept } | { readonly ok: false; readonly issue: FieldIssue };

const issue = (value: unknown, code: string, right: string): Kept => ({
  ok: false,
  issue: { field: 'photo', value, code, right },
});

/** The small picture beside a photograph; made anew when it is missing. */
const thumbOf = (photo: string): string => photo.replace(/jpg$/, 'thumb.jpg');

/**
 * Photographs of one data folder. Each is opened and written anew, turned upright and without anything that its camera wrote
 * beside the picture (place, time, make); its name is the SHA-256 of what is kept.
 */
export class PhotoStore {
  constructor(
    private readonly dataFolder: string,
    private readonly write: typeof writeDurably = writeDurably,
    private readonly free: typeof freeBytes = freeBytes,
  ) {}

  /** @throws PayloadTooLargeException, or what the disk throws; then nothing is kept */
  async keep(upload: Readable): Promise<Kept> {
    if (this.free(this.dataFolder) < LEFT_FREE_BYTES)
      throw Object.assign(new Error('too little room for photographs'), { code: 'ENOSPC' });
    const { folder, file } = await takeIn(upload, this.dataFolder, FILE_KINDS.photo.maxBytes);
    try {
      return await this.keepPicture(file);
    } finally {
      await dropWorkFolder(folder);
    }
  }

  private async keepPicture(file: string): Promise<Kept> {
    if (statSync(file).size === 0) return issue(0, 'empty', 'a picture: this file is empty');
    const opened = sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const read = await opened.metadata().catch(() => null);
    if (!read || !READ.includes(read.format))
      return issue(read?.format ?? null, 'notAPicture', 'a photograph as JPEG, PNG or WebP');
    if (read.width * read.height > MOST_PIXELS)
      return issue(`${read.width} x ${read.height}`, 'tooManyPixels', 'at most 100 megapixels');
    const made = await opened
      .autoOrient()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 84 })
      .toBuffer({ resolveWithObject: true })
      .catch(() => null);
    if (!made) return issue(null, 'damaged', 'a whole picture: this one breaks off or is damaged');
    const photoId = createHash('sha256').update(made.data).digest('hex');
    if (!hasFile(this.dataFolder, 'photo', photoId))
      await this.write(keptFile(this.dataFolder, 'photo', photoId), made.data);
    return { ok: true, photo: { photoId, width: made.info.width, height: made.info.height } };
  }

  /** Path of a photograph, or of its small picture; null when there is none. */
  async pathOf(photoId: string, size: 'whole' | 'thumb'): Promise<string | null> {
    if (!hasFile(this.dataFolder, 'photo', photoId)) return null;
    const whole = keptFile(this.dataFolder, 'photo', photoId);
    if (size === 'whole') return whole;
    const thumb = thumbOf(whole);
    if (!existsSync(thumb)) {
      const small = await sharp(whole)
        .resize({ width: THUMB_PX, height: THUMB_PX, fit: 'inside' })
        .jpeg({ quality: 76 })
        .toBuffer();
      await this.write(thumb, small);
    }
    return thumb;
  }
}
