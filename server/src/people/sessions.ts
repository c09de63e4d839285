import { randomUUID } from 'node:crypto';
import type { OpenSession } from '@winter-jar/contracts';
import { filter, Subject, type Observable } from 'rxjs';
import type { Repository } from 'typeorm';
import { isoNow, type Clock } from '../clock/clock.js';
import { hashOf, newToken } from './secrets.js';
import { SessionRow } from './rows.js';

export type Session = Readonly<SessionRow>;
type Begun = Pick<Session, 'personId' | 'kind' | 'name' | 'address'> & Partial<Pick<Session, 'siteId'>>;

const DAY_MS = 86_400_000;
/** How long it lasts unused, and at all. A device that was paired is somebody's until it is taken off or lies in a drawer. */
const LASTS: Readonly<Record<Session['kind'], { idleMs: number; ageMs: number }>> = {
  browser: { idleMs: 7 * DAY_MS, ageMs: 30 * DAY_MS },
  device: { idleMs: 90 * DAY_MS, ageMs: Infinity },
  tablet: { idleMs: 90 * DAY_MS, ageMs: Infinity },
};
/** When it was last used is written down so often, not at every request. */
const WRITTEN_EVERY_MS = 300_000;

/** Who is signed in where. Kept in memory too, since every request asks. */
export class Sessions {
  private readonly byHash = new Map<string, SessionRow>();
  private readonly ends = new Subject<string>();
  /** Speaks when somebody has come in. */
  readonly begun = new Subject<void>();

  constructor(
    private readonly rows: Repository<SessionRow>,
    private readonly clock: Clock,
  ) {}

  async load(): Promise<void> {
    for (const row of await this.rows.find())
      if (this.isOver(row)) await this.rows.delete({ tokenHash: row.tokenHash });
      else this.byHash.set(row.tokenHash, row);
  }

  /** @returns what the browser is given, and nobody else */
  async begin(of: Begun): Promise<{ token: string; id: string }> {
    const token = newToken();
    const now = isoNow(this.clock);
    const row = {
      ...of,
      siteId: of.siteId ?? null,
      tokenHash: hashOf(token),
      id: randomUUID(),
      createdAt: now,
      lastUsedAt: now,
    };
    await this.rows.insert(row);
    this.byHash.set(row.tokenHash, row);
    this.begun.next();
    return { token, id: row.id };
  }

  /** The session of a token, used now; null where there is none, or it has run out. */
  use(token: string): Session | null {
    const row = this.byHash.get(hashOf(token));
    if (!row) return null;
    if (this.isOver(row)) {
      this.drop(row);
      void this.rows.delete({ tokenHash: row.tokenHash }).catch(() => undefined);
      return null;
    }
    const nowMs = this.clock.nowMs();
    if (nowMs - Date.parse(row.lastUsedAt) > WRITTEN_EVERY_MS) {
      row.lastUsedAt = new Date(nowMs).toISOString();
      void this.rows.update({ tokenHash: row.tokenHash }, { lastUsedAt: row.lastUsedAt }).catch(() => undefined);
    }
    return row;
  }

  ofPerson(personId: string): readonly Session[] {
    return [...this.byHash.values()].filter((s) => s.personId === personId);
  }

  /** Shared by everybody of their site. */
  get tablets(): readonly Session[] {
    return [...this.byHash.values()].filter((s) => s.kind === 'tablet');
  }

  byId(id: string): Session | null {
    return [...this.byHash.values()].find((s) => s.id === id) ?? null;
  }

  async end(ended: readonly Session[]): Promise<void> {
    // Out of memory first: from now on it opens nothing, whatever the disk says.
    for (const session of ended) this.drop(session);
    for (const { tokenHash } of ended) await this.rows.delete({ tokenHash });
  }

  /** Speaks when a session has ended, for what stays open longer than one answer. */
  endOf(id: string): Observable<string> {
    return this.ends.pipe(filter((ended) => ended === id));
  }

  private isOver({ kind, lastUsedAt, createdAt }: Session): boolean {
    const nowMs = this.clock.nowMs();
    const { idleMs, ageMs } = LASTS[kind];
    return nowMs - Date.parse(lastUsedAt) > idleMs || nowMs - Date.parse(createdAt) > ageMs;
  }

  private drop({ tokenHash, id }: Session): void {
    this.byHash.delete(tokenHash);
    this.ends.next(id);
  }
}

/** As a list shows it. @param present the id of the one that asks */
export const shownSession = (s: Session, present: string | null): OpenSession => ({
  id: s.id,
  kind: s.kind,
  name: s.name,
  address: s.address,
  since: s.createdAt,
  lastUsedAt: s.lastUsedAt,
  isThis: s.id === present,
});
