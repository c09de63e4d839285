import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync } from 'node:fs';
import { join, relative } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { GAUGE_LOG_TYPES, MAX_GAUGE_LOG_BYTES, MAX_PHOTO_BYTES, PHOTO_TYPES } from '@winter-jar/contracts';

interface FileKind {
  /** In the data folder, and in a backup. */
  readonly folder: string;
  readonly extension: string;
  /** What it may come in as, and how large. */
  readonly types: readonly string[];
  readonly maxBytes: number;
}

/**
 * Files that entries cite. Each is kept by what is in it: named by the SHA-256 of its bytes, never by what a person's file was
 * called, and never changed. A backup takes all of them along. A new kind is one more line here.
 */
export const FILE_KINDS = {
  photo: { folder: 'photos', extension: 'jpg', types: PHOTO_TYPES, maxBytes: MAX_PHOTO_BYTES },
  gaugeLog: { folder: 'gauge-logs', extension: 'txt', types: GAUGE_LOG_TYPES, maxBytes: MAX_GAUGE_LOG_BYTES },
} as const satisfies Readonly<Record<string, FileKind>>;

export type FileKindName = keyof typeof FILE_KINDS;
const KINDS: readonly FileKind[] = Object.values(FILE_KINDS);

const FILE_ID = /^[0-9a-f]{64}$/;
export const isFileId = (text: string): boolean => FILE_ID.test(text);

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Where a file lies in the data folder. @throws RangeError on what is no SHA-256 */
export function keptFile(dataFolder: string, kind: FileKindName, id: string): string {
  if (!isFileId(id)) throw new RangeError(`id: "${id}" is not a SHA-256`);
  const { folder, extension } = FILE_KINDS[kind];
  return join(dataFolder, folder, id.slice(0, 2), `${id}.${extension}`);
}

/** False also for what is no id at all. */
export const hasFile = (dataFolder: string, kind: FileKindName, id: string): boolean =>
  isFileId(id) && existsSync(keptFile(dataFolder, kind, id));

/** The id that a path beneath a data folder or a backup says; null where it is the place of no kept file. */
export function idInPath(path: string): string | null {
  const [folder, two = '', name = '', ...more] = path.split('/');
  const kind = KINDS.find((k) => k.folder === folder);
  const id = name.slice(0, -`.${kind?.extension}`.length);
  return kind &&
    more.length === 0 &&
    name === `${id}.${kind.extension}` &&
    isFileId(id) &&
    id.startsWith(two) &&
    two.length === 2
    ? id
    : null;
}

/** Paths of all kept files, beneath the folder. What is made from them (small pictures) is not among them. */
export const keptFilesIn = (folder: string): string[] =>
  KINDS.filter((kind) => existsSync(join(folder, kind.folder))).flatMap((kind) =>
    readdirSync(join(folder, kind.folder), { recursive: true, withFileTypes: true })
      .filter((file) => file.isFile())
      .map((file) => relative(folder, join(file.parentPath, file.name)))
      .filter((path) => idInPath(path) !== null),
  );
