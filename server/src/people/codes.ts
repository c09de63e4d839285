import type { CodePurpose } from '@winter-jar/contracts';
import { LessThan, type Repository } from 'typeorm';
import { isoNow, type Clock } from '../clock/clock.js';
import { codeAsKept, newCode } from './secrets.js';
import { CodeRow } from './rows.js';

const MINUTE_MS = 60_000;
/** How long a code can be used: one that is scanned at once, one that is carried to somebody, one that stands in the terminal. */
const LASTS_MS: Readonly<Record<CodePurpose, number>> = {
  pair: 10 * MINUTE_MS,
  tablet: 10 * MINUTE_MS,
  password: 24 * 60 * MINUTE_MS,
  claim: 24 * 60 * MINUTE_MS,
};

/** Codes that let one do one thing, once. Asked of the file each time: a terminal makes some beside the server. */
export class Codes {
  constructor(
    private readonly rows: Repository<CodeRow>,
    private readonly clock: Clock,
  ) {}

  /** The one before it for the same thing is worth nothing any more. */
  async make(
    purpose: CodePurpose,
    personId: string | null,
    siteId: string | null = null,
  ): Promise<{ code: string; expiresAt: string }> {
    const code = newCode();
    const expiresAt = new Date(this.clock.nowMs() + LASTS_MS[purpose]).toISOString();
    await this.rows.delete({ expiresAt: LessThan(isoNow(this.clock)) });
    await this.rows
      .createQueryBuilder()
      .delete()
      .where('"purpose" = :purpose AND "personId" IS :personId AND "siteId" IS :siteId', { purpose, personId, siteId })
      .execute();
    await this.rows.insert({ codeHash: codeAsKept(code), purpose, personId, siteId, expiresAt });
    return { code, expiresAt };
  }

  async look(typed: string): Promise<CodeRow | null> {
    const row = await this.rows.findOneBy({ codeHash: codeAsKept(typed) });
    return row && row.expiresAt > isoNow(this.clock) ? row : null;
  }

  /** Uses it up. @returns null where it is not there, has run out, or was used a moment ago */
  async redeem(typed: string, purposes: readonly CodePurpose[]): Promise<CodeRow | null> {
    const row = await this.look(typed);
    if (!row || !purposes.includes(row.purpose)) return null;
    const { affected } = await this.rows.delete({ codeHash: row.codeHash });
    return affected === 1 ? row : null;
  }
}
