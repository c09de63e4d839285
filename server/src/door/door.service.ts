import {
  ConflictException,
  ForbiddenException,
  Inject,
  Injectable,
  NotFoundException,
  UnauthorizedException,
} from '@nestjs/common';
import type {
  ClaimPost,
  CodeAnswer,
  CodePurpose,
  DoorAnswer,
  PairPost,
  PasswordPost,
  SessionsAnswer,
  SignedIn,
  SignInPost,
} from '@winter-jar/contracts';
import type { Request, Response } from 'express';
import { addressOf, Door } from '../house/door.js';
import { isThemselves, mayDo, rightsOf, sightOf, type Actor, type PersonActing } from '../journal/actor.js';
import type { Account } from '../people/accounts.js';
import { hashOfPassword, isPassword } from '../people/passwords.js';
import { shownSession, type Session, type Sessions } from '../people/sessions.js';
import { browserName } from './browser-name.js';
import { PersonRecords } from './person-records.js';
import { TabletsService } from './tablets.service.js';
import { Tries } from './tries.js';

const A_CODE = 'a code';
const YEAR_MS = 365 * 86_400_000;
const signedIn = ({ personId, name, role, siteIds }: Account): SignedIn => ({ personId, name, role, siteIds });

/** A request, and what it is answered with: cookies come by the one and go by the other. */
export interface Knock {
  readonly request: Request;
  readonly response: Response;
}

/** Coming in, and going out. */
@Injectable()
export class DoorService {
  private readonly tries = new Tries();

  constructor(
    @Inject(Door) private readonly door: Door,
    @Inject(PersonRecords) private readonly persons: PersonRecords,
    @Inject(TabletsService) private readonly tablets: TabletsService,
  ) {}

  private get people() {
    return this.door.people;
  }

  answer({ request }: Pick<Knock, 'request'>): DoorAnswer {
    return this.answerTo(this.door.actorOf(request), request);
  }

  private answerTo(actor: Actor | null, request: Request): DoorAnswer {
    const { accounts } = this.people;
    const account = actor?.kind === 'person' ? accounts.of(actor.personId) : null;
    const { state } = this.door;
    const isIn = actor?.kind === 'tablet' || account !== null;
    return {
      house: this.people.cookie,
      state: isIn && state !== 'open' ? 'in' : state,
      who: account && actor ? { ...signedIn(account), siteIds: sightOf(actor) } : null,
      rights: actor ? rightsOf(actor) : [],
      passwordsHere: this.door.mayCarryPasswords(request),
      stepInto: this.door.ways.isDemo ? accounts.all.map(signedIn) : [],
      tablet: this.tablets.at(actor),
    };
  }

  async signIn(knock: Knock, { name, password }: SignInPost): Promise<DoorAnswer> {
    this.mustBeSafe(knock);
    const address = addressOf(knock.request);
    await this.tries.take(name, address);
    const account = this.people.accounts.named(name);
    if (!(await isPassword(password, account?.passwordHash ?? null)) || !account) {
      await this.people.record.note({ what: 'signInRefused', by: account?.name ?? null, address });
      throw new UnauthorizedException('a name and its password, as they were set here');
    }
    await this.tries.wasRight(name, address);
    await this.people.record.note({ what: 'signedIn', by: account.name, address });
    return this.begin(knock, account, 'browser', browserName(knock.request));
  }

  async signOut(knock: Knock): Promise<DoorAnswer> {
    const session = this.door.sessionOf(knock.request);
    const actor = this.door.actorOf(knock.request);
    if (session && actor) await this.endOne(session, actor, 'signedOut');
    knock.response.clearCookie(this.people.cookie, { path: '/' });
    return this.answerTo(this.door.stranger(knock.request), knock.request);
  }

  /** What a code is for, without using it up. */
  async lookAtCode({ request }: Knock, typed: string): Promise<CodeAnswer> {
    await this.tries.take(A_CODE, addressOf(request));
    const row = await this.people.codes.look(typed);
    if (!row) return this.noSuchCode(request);
    await this.tries.wasRight(A_CODE, addressOf(request));
    if (row.siteId !== null) return { purpose: row.purpose, name: this.tablets.siteName(row.siteId) };
    return { purpose: row.purpose, name: row.personId && (this.people.accounts.of(row.personId)?.name ?? null) };
  }

  /** The first owner. On this machine alone no code is asked for: whoever sits at it can do everything anyway. */
  async claim(knock: Knock, { code = null, name: typed, password }: ClaimPost): Promise<DoorAnswer> {
    this.mustBeSafe(knock);
    this.mustBeWithoutOwner();
    if (this.door.state === 'unclaimed') await this.redeem(knock, code, ['claim']);
    const passwordHash = await hashOfPassword(password);
    // Of two who were asked for a password at once one was faster.
    this.mustBeWithoutOwner();
    const name = typed.trim();
    const { accounts, record } = this.people;
    const personId = accounts.named(name)?.personId ?? this.persons.named(name) ?? this.persons.add(name);
    const known = accounts.of(personId) ?? (await accounts.add({ personId, name, role: 'owner' }));
    if (!known) throw new ConflictException('a name that nobody else signs in with');
    await accounts.change(personId, { role: 'owner', passwordHash, siteIds: null });
    await record.note({ what: 'claimed', by: known.name, address: addressOf(knock.request) });
    return this.begin(knock, { ...known, role: 'owner', siteIds: null }, 'browser', browserName(knock.request));
  }

  private mustBeWithoutOwner(): void {
    const { state } = this.door;
    if (state !== 'free' && state !== 'unclaimed')
      throw new ConflictException('a house without an owner: this one has one, or its door is open');
  }

  /** A password, by a code that an owner or the terminal gave, or by the present one. Whoever was signed in with the old one no longer is. */
  async setPassword(knock: Knock, { code = null, present = null, password }: PasswordPost): Promise<DoorAnswer> {
    this.mustBeSafe(knock);
    const account = code === null ? await this.whoKnows(knock, present) : await this.whoseCode(knock, code);
    await this.people.accounts.change(account.personId, { passwordHash: await hashOfPassword(password) });
    await this.people.sessions.end(this.people.sessions.ofPerson(account.personId).filter((s) => s.kind === 'browser'));
    await this.people.record.note({ what: 'passwordSet', by: account.name, address: addressOf(knock.request) });
    return this.begin(knock, account, 'browser', browserName(knock.request));
  }

  async pair(knock: Knock, { code, device }: PairPost): Promise<DoorAnswer> {
    this.mustBeSafe(knock);
    const row = await this.redeem(knock, code, ['pair', 'tablet']);
    const address = addressOf(knock.request);
    const detail = device.trim();
    if (row.siteId !== null) {
      await this.people.record.note({
        what: 'tabletPaired',
        address,
        detail: `${detail}, ${this.tablets.siteName(row.siteId)}`,
      });
      return this.beginTablet(knock, row.siteId, detail);
    }
    const account = this.people.accounts.of(row.personId ?? '') ?? (await this.noSuchCode(knock.request));
    await this.people.record.note({ what: 'paired', by: account.name, address, detail });
    return this.begin(knock, account, 'device', detail);
  }

  /** In a demo yard alone. @param personId null: whoever is there */
  async stepInto(knock: Knock, personId: string | null): Promise<DoorAnswer> {
    if (!this.door.ways.isDemo) throw new ForbiddenException('a demo yard');
    if (personId === null) return this.signOut(knock);
    const account = this.people.accounts.of(personId);
    if (!account) throw new NotFoundException('one of the people of this yard');
    return this.begin(knock, account, 'browser', browserName(knock.request));
  }

  sessionsOf(actor: Actor): SessionsAnswer {
    if (!isThemselves(actor)) return { sessions: [], hasPin: false };
    const own = this.people.sessions.ofPerson(actor.personId);
    const hasPin = Boolean(this.people.accounts.of(actor.personId)?.pinHash);
    return { sessions: own.map((s) => shownSession(s, actor.sessionId)), hasPin };
  }

  /** One's own, or as an owner anybody's. */
  async endSession(actor: Actor, id: string): Promise<SessionsAnswer> {
    const session = this.people.sessions.byId(id);
    const isOwn = isThemselves(actor) && session?.personId === actor.personId;
    if (!session || !(isOwn || mayDo(actor, 'house'))) throw new NotFoundException('a device that is signed in as you');
    await this.endOne(session, actor, 'sessionEnded');
    return this.sessionsOf(actor);
  }

  /** Everywhere but here. */
  async endOthers(actor: Actor): Promise<SessionsAnswer> {
    if (isThemselves(actor))
      for (const session of this.people.sessions.ofPerson(actor.personId))
        if (session.id !== actor.sessionId) await this.endOne(session, actor, 'sessionEnded');
    return this.sessionsOf(actor);
  }

  private async endOne(session: Session, by: Actor, what: 'signedOut' | 'sessionEnded'): Promise<void> {
    const { accounts, sessions } = this.people;
    await sessions.end([session]);
    const about = accounts.of(session.personId)?.name ?? null;
    await this.door.note(by, what, { about, detail: session.name });
  }

  private async begin(knock: Knock, account: Account, kind: Session['kind'], name: string): Promise<DoorAnswer> {
    const { request } = knock;
    const from = addressOf(request);
    const { personId, role, siteIds: sight } = account;
    if (!this.persons.all.has(personId)) this.persons.add(account.name, personId);
    const sessionId = await this.open(knock, { personId, kind, name, address: from });
    const acting: PersonActing = { kind: 'person', personId, role, sight, sessionId, from, isShared: false };
    return this.answerTo(acting, request);
  }

  private async beginTablet(knock: Knock, siteId: string, name: string): Promise<DoorAnswer> {
    const from = addressOf(knock.request);
    const sessionId = await this.open(knock, { personId: '', siteId, kind: 'tablet', name, address: from });
    return this.answerTo({ kind: 'tablet', siteId, sessionId, from }, knock.request);
  }

  /** @returns the id of the session whose cookie goes along with the answer */
  private async open({ request, response }: Knock, of: Parameters<Sessions['begin']>[0]): Promise<string> {
    // Whatever was there before is not gone on with: a session that somebody else put there, say.
    const before = this.door.sessionOf(request);
    if (before) await this.people.sessions.end([before]);
    const { token, id } = await this.people.sessions.begin(of);
    response.cookie(this.people.cookie, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/',
      maxAge: YEAR_MS,
    });
    return id;
  }

  private mustBeSafe({ request }: Knock): void {
    if (this.door.mayCarryPasswords(request)) return;
    const right =
      'https: over plain http everyone in the network could read it. Start the server with --https, or with --plain';
    throw new ForbiddenException(right);
  }

  private async whoKnows({ request }: Knock, present: string | null): Promise<Account> {
    const actor = this.door.actorOf(request);
    const account = isThemselves(actor) ? this.people.accounts.of(actor.personId) : null;
    if (!account) throw new UnauthorizedException('to sign in first');
    const address = addressOf(request);
    await this.tries.take(account.name, address);
    if (!(await isPassword(present ?? '', account.passwordHash))) {
      const right = 'your present password';
      throw new ForbiddenException({
        message: right,
        issues: [{ field: 'present', value: null, code: 'notRight', right }],
      });
    }
    await this.tries.wasRight(account.name, address);
    return account;
  }

  private async whoseCode(knock: Knock, code: string): Promise<Account> {
    const { personId } = await this.redeem(knock, code, ['password']);
    return this.people.accounts.of(personId ?? '') ?? this.noSuchCode(knock.request);
  }

  private async redeem({ request }: Knock, code: string | null, purposes: readonly CodePurpose[]) {
    await this.tries.take(A_CODE, addressOf(request));
    const row = await this.people.codes.redeem(code ?? '', purposes);
    if (!row) return this.noSuchCode(request);
    await this.tries.wasRight(A_CODE, addressOf(request));
    return row;
  }

  private async noSuchCode(request: Request): Promise<never> {
    await this.people.record.note({ what: 'codeRefused', address: addressOf(request) });
    const right = 'a code that was not used yet and has not run out; ask for a new one';
    throw new NotFoundException({ message: right, issues: [{ field: 'code', value: null, code: 'notRight', right }] });
  }
}
