import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';

/** Thrown where another program has the folder. Its message is for whoever started this one. */
export class FolderTaken extends Error {}

export interface FolderLock {
  release(): void;
}

const LOCK = 'owner.sqlite';
const OWNER = 'owner.json';

interface Owner {
  readonly process: number;
  readonly since: string;
  /** What it does there: serves, restores, rebuilds. */
  readonly does: string;
}

function ownerOf(folder: string): string {
  try {
    const { process, since, does } = JSON.parse(readFileSync(join(folder, OWNER), 'utf8')) as Owner;
    return `process ${process}, which ${does} it since ${since}`;
  } catch {
    // It has only just locked it.
    return 'another process';
  }
}

/**
 * Makes this process the one owner of a data folder, before anything in it is touched. The lock is the system's own, on a file beside
 * the data: it goes with the process, however that ends, so that none is ever left behind.
 * @throws FolderTaken saying who holds it, or what the disk throws
 */
export function lockFolder(folder: string, does: Owner['does']): FolderLock {
  mkdirSync(folder, { recursive: true });
  const lock = new BetterSqlite3(join(folder, LOCK), { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if ((error as { code?: unknown }).code !== 'SQLITE_BUSY') throw error;
    throw new FolderTaken(
      `The data folder ${folder} belongs to ${ownerOf(folder)}. End that one first, or take another folder: -- --data <folder>`,
    );
  }
  const owner: Owner = { process: process.pid, since: new Date().toISOString(), does };
  writeFileSync(join(folder, OWNER), JSON.stringify(owner));
  return { release: () => lock.close() };
}
