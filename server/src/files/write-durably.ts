import { randomBytes } from 'node:crypto';
import { mkdir, open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';

/** Puts bytes on the disk under their name, all or nothing: what is there under that name is whole. */
export async function writeDurably(path: string, bytes: Buffer): Promise<void> {
  const folder = dirname(path);
  await mkdir(folder, { recursive: true });
  const half = `${path}.${randomBytes(4).toString('hex')}.half`;
  try {
    const file = await open(half, 'wx');
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(half, path);
    const place = await open(folder);
    await place.sync();
    await place.close();
  } catch (error) {
    await rm(half, { force: true });
    throw error;
  }
}
