import { setImmediate as nextTurn } from 'node:timers/promises';
import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { Database } from '../database/open.js';
import { JournalWriter } from '../journal/journal-writer.js';

const TOLD_EVERY_MS = 10_000;

/** After an update, a crash in an import, or a change of the set-up that bears upon much: makes states anew in short turns, while others read and write. */
@Injectable()
export class CatchingUp implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly logger = new Logger('Made anew');
  private stopped = false;
  /** While other data are put in place. */
  private paused = false;
  private going: Promise<void> = Promise.resolve();

  constructor(
    @Inject(Database) private readonly database: Database,
    @Inject(JournalWriter) private readonly writer: JournalWriter,
  ) {}

  onApplicationBootstrap(): void {
    this.begin();
    this.writer.onLagging(() => this.begin());
    this.database.beforeReplacing(() => {
      this.paused = true;
      return this.going;
    });
    this.database.onReopened(() => {
      this.paused = false;
      this.begin();
    });
  }

  async onModuleDestroy(): Promise<void> {
    this.stopped = true;
    await this.going;
  }

  private begin(): void {
    this.going = this.going.then(() => this.catchUp()).catch((error: unknown) => this.logger.error(error));
  }

  private async catchUp(): Promise<void> {
    let told = Date.now();
    const before = this.writer.lagging;
    while (!this.stopped && !this.paused && this.writer.bulk.catchUp() !== null) {
      await nextTurn();
      if (Date.now() - told < TOLD_EVERY_MS) continue;
      told = Date.now();
      this.logger.log(`${this.writer.lagging} of ${before} records still to be made anew`);
    }
  }
}
