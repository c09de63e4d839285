import {
  BadRequestException,
  ConflictException,
  ForbiddenException,
  Inject,
  Injectable,
  NotFoundException,
} from '@nestjs/common';
import type { CodePurpose, NewCode, PeopleAnswer } from '@winter-jar/contracts';
import type { Role } from '@winter-jar/core';
import { Door } from '../house/door.js';
import { HOUSE, type House } from '../house/house.js';
import { addressesOf } from '../house/house-addresses.js';
import { isThemselves, mayDo, type Actor } from '../journal/actor.js';
import { shownSession } from '../people/sessions.js';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { PersonRecords } from './person-records.js';

interface Given {
  readonly role: Role;
  readonly siteIds: readonly string[] | null;
}

/** Who may sign in, what they may and which sites they see: the owner's work. */
@Injectable()
export class PeopleService {
  constructor(
    @Inject(Door) private readonly door: Door,
    @Inject(HOUSE) private readonly house: House,
    @Inject(PersonRecords) private readonly persons: PersonRecords,
    @Inject(SetUpStore) private readonly store: SetUpStore,
    @Inject(CLOCK) private readonly clock: Clock,
  ) {}

  private get people() {
    return this.door.people;
  }

  all(actor: Actor): PeopleAnswer {
    const { accounts, sessions } = this.people;
    const present = actor.kind === 'person' ? actor.sessionId : null;
    const named = new Map([
      ...this.persons.all,
      ...accounts.all.map(({ personId, name }) => [personId, name] as const),
    ]);
    const people = [...named].map(([personId, name]) => {
      const account = accounts.of(personId);
      return {
        personId,
        name,
        role: account?.role ?? null,
        siteIds: account?.siteIds ?? null,
        hasPassword: Boolean(account?.passwordHash),
        sessions: sessions.ofPerson(personId).map((s) => shownSession(s, present)),
      };
    });
    const tablets = sessions.tablets.map((s) => ({ ...shownSession(s, present), siteId: s.siteId ?? '' }));
    return { people: people.sort((a, b) => a.name.localeCompare(b.name, 'en')), tablets };
  }

  /** Lets somebody of the set-up sign in, or changes what they may and see, from now on. */
  async give(actor: Actor, personId: string, { role, siteIds }: Given): Promise<PeopleAnswer> {
    this.mustAsk();
    this.mustBeSites(role, siteIds);
    const { accounts } = this.people;
    const known = accounts.of(personId);
    const name = known?.name ?? this.persons.all.get(personId);
    if (name === undefined) throw new NotFoundException('somebody of the set-up: add them there first');
    if (known) {
      this.mustLeaveAnOwner(personId, role);
      await accounts.change(personId, { role, siteIds: siteIds && [...siteIds] });
      if (known.role !== role)
        await this.door.note(actor, 'roleChanged', { about: name, detail: `${known.role} → ${role}` });
      const detail = this.namesOf(siteIds);
      if (this.namesOf(known.siteIds) !== detail) await this.door.note(actor, 'sitesChanged', { about: name, detail });
    } else {
      if ((await accounts.add({ personId, name, role, siteIds: siteIds && [...siteIds] })) === null)
        throw new ConflictException(`a name that nobody else signs in with: there is a ${name} already`);
      const detail = siteIds ? `${role}, ${this.namesOf(siteIds)}` : role;
      await this.door.note(actor, 'accountMade', { about: name, detail });
    }
    return this.all(actor);
  }

  /** They sign in no longer, here or anywhere, and what they wrote stays theirs. */
  async take(actor: Actor, personId: string): Promise<PeopleAnswer> {
    this.mustAsk();
    const { accounts, sessions } = this.people;
    const known = accounts.of(personId);
    if (!known) throw new NotFoundException('somebody who can sign in');
    this.mustLeaveAnOwner(personId, null);
    await accounts.end(personId);
    await sessions.end(sessions.ofPerson(personId));
    await this.door.note(actor, 'accountEnded', { about: known.name });
    return this.all(actor);
  }

  /** A code for somebody: to choose a password, or for a device of theirs. For one's own device one needs no owner. */
  async code(actor: Actor, personId: string, purpose: 'password' | 'pair'): Promise<NewCode> {
    this.mustAsk();
    const isOwn = isThemselves(actor) && actor.personId === personId && purpose === 'pair';
    if (!isOwn && !mayDo(actor, 'house')) throw new ForbiddenException('an owner: this code is for somebody else');
    const account = this.people.accounts.of(personId);
    if (!account) throw new NotFoundException('somebody who can sign in: say first what they may');
    const made = await this.people.codes.make(purpose, personId);
    await this.door.note(actor, 'codeMade', { about: account.name, detail: purpose });
    return this.handedOver(purpose, made);
  }

  /** A code for a tablet that everybody of a site shares. */
  async tabletCode(actor: Actor, siteId: string): Promise<NewCode> {
    this.mustAsk();
    const { site } = this.store.book.at(isoNow(this.clock));
    const known = Object.entries(site).find(([id]) => id === siteId)?.[1];
    if (!known) throw new NotFoundException('a site of the set-up');
    const made = await this.people.codes.make('tablet', null, siteId);
    await this.door.note(actor, 'codeMade', { about: known.name, detail: 'tablet' });
    return this.handedOver('tablet', made);
  }

  private handedOver(purpose: CodePurpose, made: Pick<NewCode, 'code' | 'expiresAt'>): NewCode {
    const addresses = addressesOf(this.house).map((address) => `${address}/code#${made.code}`);
    return { ...made, purpose, addresses };
  }

  /** What whoever happened to pass an open door gave themselves would count once it is shut. */
  private mustAsk(): void {
    const { isOpen, isDemo } = this.door.ways;
    if (isOpen && !isDemo)
      throw new ConflictException('a server that asks who comes in: start it without --open first');
  }

  private mustBeSites(role: Role, siteIds: Given['siteIds']): void {
    if (siteIds === null) return;
    const wrong = (right: string) =>
      new BadRequestException({
        message: right,
        issues: [{ field: 'siteIds', value: siteIds, code: 'notRight', right }],
      });
    if (role === 'owner') throw wrong('null: an owner sees every site');
    const { site } = this.store.book.at(isoNow(this.clock));
    if (siteIds.some((id) => !Object.hasOwn(site, id))) throw wrong('ids of sites of the set-up');
  }

  private namesOf(siteIds: Given['siteIds']): string {
    const { site } = this.store.book.at(isoNow(this.clock));
    return siteIds?.map((id) => site[id]?.name ?? id).join(', ') ?? 'every site';
  }

  private mustLeaveAnOwner(personId: string, role: Role | null): void {
    const { accounts } = this.people;
    const account = accounts.of(personId);
    if (role === 'owner' || account?.role !== 'owner' || account.passwordHash === null) return;
    if (!accounts.hasOwnerBesides(personId))
      throw new ConflictException('another owner with a password first: without one nobody could say who may what');
  }
}
