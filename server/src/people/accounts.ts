import type { Role } from '@winter-jar/core';
import type { Repository } from 'typeorm';
import type { Clock } from '../clock/clock.js';
import { isoNow } from '../clock/clock.js';
import { AccountRow } from './rows.js';

export type Account = Readonly<AccountRow>;

/** Two spellings of one name are one name. */
const folded = (name: string): string => name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');

/** Who may sign in. Kept in memory too, since every request asks. */
export class Accounts {
  private readonly byId = new Map<string, Account>();

  constructor(
    private readonly rows: Repository<AccountRow>,
    private readonly clock: Clock,
  ) {}

  async load(): Promise<void> {
    for (const row of await this.rows.find()) this.byId.set(row.personId, row);
  }

  get all(): readonly Account[] {
    return [...this.byId.values()];
  }

  of(personId: string): Account | null {
    return this.byId.get(personId) ?? null;
  }

  named(name: string): Account | null {
    return this.all.find((a) => a.foldedName === folded(name)) ?? null;
  }

  /** @returns null where somebody else has the name */
  async add({ personId, name, role }: { personId: string; name: string; role: Role }): Promise<Account | null> {
    if (this.named(name) !== null) return null;
    const { byId } = this;
    const row = { personId, name, foldedName: folded(name), role, passwordHash: null, createdAt: isoNow(this.clock) };
    await this.rows.insert(row);
    byId.set(personId, row);
    return row;
  }

  async change(personId: string, changed: Partial<Pick<AccountRow, 'role' | 'passwordHash'>>): Promise<void> {
    const known = this.byId.get(personId);
    if (!known) return;
    await this.rows.update({ personId }, changed);
    this.byId.set(personId, { ...known, ...changed });
  }

  async end(personId: string): Promise<void> {
    await this.rows.delete({ personId });
    this.byId.delete(personId);
  }

  /** Somebody besides who may say who may what: a house that nobody could open any more is not left behind. */
  hasOwnerBesides(personId: string): boolean {
    return this.all.some((a) => a.personId !== personId && a.role === 'owner' && a.passwordHash !== null);
  }
}
