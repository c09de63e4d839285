import { copyFileSync, existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { KeptData } from '@winter-jar/contracts';
import { databaseFile, keptFolder } from '../database/open.js';

const NAME = /^[\w-]+\.sqlite$/;
/** So many are kept whatever their age, and others for so many days. */
const ALWAYS_KEPT = 10;
const KEPT_DAYS = 90;
const DAY_MS = 86_400_000;

/** Data that something else has taken the place of, the newest first. */
export function keptDataIn(dataFolder: string): KeptData[] {
  const folder = keptFolder(dataFolder);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => NAME.test(name))
    .map((name) => {
      const { size, ctime } = statSync(join(folder, name));
      return { name, bytes: size, keptAt: ctime.toISOString() };
    })
    .sort((a, b) => (a.keptAt < b.keptAt ? 1 : -1));
}

/** A disk is not filled by what nobody has asked for in months. */
export function thinOutKept(dataFolder: string, nowMs: number): void {
  for (const { name, keptAt } of keptDataIn(dataFolder).slice(ALWAYS_KEPT))
    if (nowMs - Date.parse(keptAt) > KEPT_DAYS * DAY_MS) rmSync(join(keptFolder(dataFolder), name), { force: true });
}

/** Lays a copy of kept data as the database of a work folder. @returns null where there are none of this name */
export function copyKept(dataFolder: string, name: string, into: string): KeptData | null {
  const found = keptDataIn(dataFolder).find((kept) => kept.name === name) ?? null;
  if (found) copyFileSync(join(keptFolder(dataFolder), name), databaseFile(into));
  return found;
}
