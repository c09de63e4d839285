import type { Repository } from 'typeorm';
import type { Clock } from '../clock/clock.js';
import { isoNow } from '../clock/clock.js';
import { AccountRow } from './rows.js';

export type Account = Readonly<AccountRow>;
type AddedAccount = Pick<Account, 'personId' | 'name' | 'role'> & Partial<Pick<Account, 'siteIds'>>;

/** Two spellings of one name are one name. */
export const foldedName = (name: string): string =>
  name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');

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
    return this.all.find((a) => a.foldedName === foldedName(name)) ?? null;
  }

  /** @returns null where somebody else has the name */
  async add(who: AddedAccount): Promise<Account | null> {
    const { personId, name, role, siteIds = null } = who;
    if (this.named(name) !== null) return null;
    const row = {
      personId,
      name,
      foldedName: foldedName(name),
      role,
      passwordHash: null,
      createdAt: isoNow(this.clock),
      siteIds,
      pinHash: null,
    };
    await this.keep(personId, row, () => this.rows.insert(row));
    return row;
  }

  async change(
    personId: string,
    changed: Partial<Pick<AccountRow, 'role' | 'passwordHash' | 'siteIds' | 'pinHash'>>,
  ): Promise<void> {
    const known = this.byId.get(personId);
    if (known) await this.keep(personId, { ...known, ...changed }, () => this.rows.update({ personId }, changed));
  }

  async end(personId: string): Promise<void> {
    await this.keep(personId, null, () => this.rows.delete({ personId }));
  }

  /** It counts before it is on the disk: of two who take each other's rights at once the second finds it so already. */
  private async keep(personId: string, account: Account | null, write: () => Promise<unknown>): Promise<void> {
    const before = this.byId.get(personId) ?? null;
    this.put(personId, account);
    await write().catch((error: unknown) => {
      this.put(personId, before);
      throw error;
    });
  }

  private put(personId: string, account: Account | null): void {
    if (account) this.byId.set(personId, account);
    else this.byId.delete(personId);
  }

  /** Somebody who may say who may what, and can sign in. */
  get hasOwner(): boolean {
    return this.hasOwnerBesides(null);
  }

  /** Somebody besides who may say who may what: a house that nobody could open any more is not left behind. */
  hasOwnerBesides(personId: string | null): boolean {
    return this.all.some((a) => a.personId !== personId && a.role === 'owner' && a.passwordHash !== null);
  }
}
