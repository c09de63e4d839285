import type { Request } from 'express';
import type { DoorEvent, DoorEventKind, DoorState } from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { parse } from 'cookie';
import { filter, type Observable } from 'rxjs';
import { isThemselves, sightOf, type Actor } from '../journal/actor.js';
import type { Account } from '../people/accounts.js';
import type { People } from '../people/people.js';
import type { Session } from '../people/sessions.js';

/** How the server was started, as far as the door is concerned. It never follows from where a request seems to come. */
export interface DoorWays {
  readonly openToNetwork: boolean;
  /** Told to ask nobody who they are, or a demo yard. */
  readonly isOpen: boolean;
  /** In a demo yard one steps into its people. */
  readonly isDemo: boolean;
  /** Passwords may cross the network over plain http, as it was told. */
  readonly isPlain: boolean;
}

export const OWN_MACHINE: DoorWays = { openToNetwork: false, isOpen: false, isDemo: false, isPlain: false };

const LOOPBACK = /^(::ffff:)?127\.|^::1$/;
export const addressOf = (request: Request): string => request.socket.remoteAddress ?? '';

/** Who comes in, and as whom. */
export class Door {
  constructor(
    readonly people: People,
    readonly ways: DoorWays,
  ) {}

  /** For whoever is not signed in. */
  get state(): Exclude<DoorState, 'in'> {
    if (this.ways.isOpen) return 'open';
    // Whoever no owner could let in again is not shut out.
    if (this.people.accounts.hasOwner) return 'shut';
    return this.ways.openToNetwork ? 'unclaimed' : 'free';
  }

  sessionOf(request: Request): Session | null {
    const token = parse(request.headers.cookie ?? '')[this.people.cookie];
    return token ? this.people.sessions.use(token) : null;
  }

  /** @returns null for somebody who has to sign in first */
  actorOf(request: Request): Actor | null {
    const session = this.sessionOf(request);
    if (session?.siteId) return this.atTablet(session, session.siteId, request);
    const account = session && this.people.accounts.of(session.personId);
    if (!session || !account) return this.stranger(request);
    const { personId, role, siteIds: sight } = account;
    return { kind: 'person', personId, role, sight, sessionId: session.id, from: addressOf(request), isShared: false };
  }

  /** Whoever has said that they write there, or nobody yet. */
  private atTablet({ id: sessionId }: Session, siteId: string, request: Request): Actor {
    const { writers } = this.people;
    const from = addressOf(request);
    // Whoever only looks at it may be somebody else.
    if (request.method !== 'GET') writers.goesOn(sessionId);
    const writer = this.whoWrites(siteId).find((a) => a.personId === writers.at(sessionId));
    if (!writer) return { kind: 'tablet', siteId, sessionId, from };
    const { personId, role } = writer;
    return { kind: 'person', personId, role, sight: [siteId], sessionId, from, isShared: true };
  }

  /** Who may write of a site. */
  whoWrites(siteId: string): readonly Account[] {
    return this.people.accounts.all.filter(
      ({ role, siteIds }) => role !== 'reader' && (siteIds === null || siteIds.includes(siteId)),
    );
  }

  /** As it is now, for what stays open longer than one answer. */
  sightNow(actor: Actor): Sight {
    if (!isThemselves(actor)) return sightOf(actor);
    const account = this.people.accounts.of(actor.personId);
    return account ? account.siteIds : [];
  }

  /** Whoever is not signed in. @returns null where nobody may do anything without it */
  stranger(request: Request): Actor | null {
    return this.state === 'open' || this.state === 'free' ? { kind: 'device', from: addressOf(request) } : null;
  }

  /** Whether what is said here stays between the two: by https, on this machine, or because it was told so. */
  mayCarryPasswords(request: Request): boolean {
    return this.ways.isPlain || request.secure || LOOPBACK.test(addressOf(request));
  }

  /** Into the record of the doors. */
  async note(
    actor: Actor,
    what: DoorEventKind,
    more: Partial<Pick<DoorEvent, 'about' | 'detail'>> = {},
  ): Promise<void> {
    const { accounts, record } = this.people;
    const by = actor.kind === 'person' ? (accounts.of(actor.personId)?.name ?? null) : null;
    await record.note({ what, by, address: 'from' in actor ? actor.from : '', ...more });
  }

  /** Speaks when whoever acts may do so no longer, for what stays open longer than one answer. */
  endOf(actor: Actor): Observable<unknown> {
    if (actor.kind === 'person' || actor.kind === 'tablet') return this.people.sessions.endOf(actor.sessionId);
    // With the first owner who signs in nobody is let in unasked any more.
    return this.people.sessions.begun.pipe(filter(() => this.state === 'shut'));
  }
}
