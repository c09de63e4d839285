import { existsSync, readFileSync } from 'node:fs';
import { chmod } from 'node:fs/promises';
import { join } from 'node:path';
import type { Instrument } from '@winter-jar/core';
import { writeDurably } from '../files/write-durably.js';

/** An address that a person on this server said may be called. */
interface Door {
  readonly host: string;
  readonly port: number;
  readonly password: string | null;
}

const FILE = 'instrument-doors.json';

/**
 * Which instruments may be called, and where; with the passwords of their brokers. It lies beside the database and goes into no
 * backup and no export: a set-up that came from elsewhere calls nobody until somebody here says so, and a password goes to the address
 * that it was typed for alone.
 */
export class Doors {
  private readonly path: string;
  private doors: Readonly<Record<string, Door>>;
  private writing: Promise<void> = Promise.resolve();

  constructor(dataFolder: string) {
    this.path = join(dataFolder, FILE);
    this.doors = existsSync(this.path) ? doorsIn(readFileSync(this.path, 'utf8')) : {};
  }

  /** What may be called under this record's address; null where nobody has said so. */
  open(id: string, { host, port }: Pick<Instrument, 'host' | 'port'>): { readonly password: string | null } | null {
    const door = Object.hasOwn(this.doors, id) ? this.doors[id] : undefined;
    return door?.host === host && door.port === port ? { password: door.password } : null;
  }

  /** @param password null keeps the one of the same address */
  async allow(id: string, { host, port }: Pick<Instrument, 'host' | 'port'>, password: string | null): Promise<void> {
    const known = this.open(id, { host, port })?.password ?? null;
    await this.put({ ...this.doors, [id]: { host, port, password: password ?? known } });
  }

  async close(id: string): Promise<void> {
    const { [id]: _closed, ...others } = this.doors;
    await this.put(others);
  }

  /** One after another: what was said last stands. */
  private put(doors: Readonly<Record<string, Door>>): Promise<void> {
    this.doors = doors;
    const write = async () => {
      await writeDurably(this.path, Buffer.from(`${JSON.stringify(doors, null, 2)}\n`));
      await chmod(this.path, 0o600);
    };
    this.writing = this.writing.then(write, write);
    return this.writing;
  }
}

/** A file that cannot be read opens nothing: somebody says it anew. */
function doorsIn(text: string): Readonly<Record<string, Door>> {
  try {
    const read: unknown = JSON.parse(text);
    return typeof read === 'object' && read !== null ? (read as Record<string, Door>) : {};
  } catch {
    return {};
  }
}
