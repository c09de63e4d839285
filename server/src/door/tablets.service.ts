import { ForbiddenException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { SharedTablet, WriteAsPost } from '@winter-jar/contracts';
import type { Request } from 'express';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { addressOf, Door } from '../house/door.js';
import { isThemselves, sightOf, type Actor } from '../journal/actor.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { Account } from '../people/accounts.js';
import { hashOfPassword, isPassword } from '../people/passwords.js';
import { Tries } from './tries.js';

/** Tablets that everybody of a site shares: who writes there. */
@Injectable()
export class TabletsService {
  private readonly tries = new Tries();

  constructor(
    @Inject(Door) private readonly door: Door,
    @Inject(SetUpStore) private readonly store: SetUpStore,
    @Inject(CLOCK) private readonly clock: Clock,
  ) {}

  /** Null at a device that is somebody's. */
  at(actor: Actor | null): SharedTablet | null {
    const isTablet = actor?.kind === 'tablet' || (actor?.kind === 'person' && actor.isShared);
    const [siteId] = isTablet ? (sightOf(actor) ?? []) : [];
    if (siteId === undefined) return null;
    return {
      siteName: this.siteName(siteId),
      people: this.door
        .whoWrites(siteId)
        .map(({ personId, name, pinHash }) => ({ personId, name, hasPin: pinHash !== null })),
    };
  }

  siteName(siteId: string): string {
    return this.store.book.at(isoNow(this.clock)).site[siteId]?.name ?? 'a site that is gone';
  }

  /** Who writes from now on, until they step away. */
  async writeAs(request: Request, { personId = null, pin = null }: WriteAsPost): Promise<void> {
    const session = this.door.sessionOf(request);
    if (!session?.siteId) throw new ForbiddenException('a tablet that everybody of a site shares');
    const { writers, record } = this.door.people;
    const account = this.door.whoWrites(session.siteId).find((a) => a.personId === personId);
    if (personId !== null && !account) throw new NotFoundException('one of those who write of this site');
    if (account?.pinHash) await this.mustBePin(account, pin, addressOf(request));
    writers.say(session.id, personId);
    if (account)
      await record.note({ what: 'wroteAs', by: account.name, address: addressOf(request), detail: session.name });
  }

  /** Of whoever is at a device of their own. @param pin null: a tap does */
  async setPin(actor: Actor, pin: string | null): Promise<void> {
    if (!isThemselves(actor)) throw new ForbiddenException('to sign in at a device of your own first');
    const pinHash = pin === null ? null : await hashOfPassword(pin);
    await this.door.people.accounts.change(actor.personId, { pinHash });
    await this.door.note(actor, 'pinSet', { detail: pin === null ? 'none' : null });
  }

  private async mustBePin(account: Account, pin: string | null, address: string): Promise<void> {
    await this.tries.take(account.name, address);
    if (!(await isPassword(pin ?? '', account.pinHash))) {
      await this.door.people.record.note({ what: 'pinRefused', by: account.name, address });
      const right = 'their PIN';
      const issues = [{ field: 'pin', value: null, code: 'notRight', right }];
      throw new ForbiddenException({ message: right, issues });
    }
    await this.tries.wasRight(account.name, address);
  }
}
