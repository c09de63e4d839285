import { randomBytes } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { PumpEffect, SetUpEffect } from '@winter-jar/contracts';
import type { SetUpVersion } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { WorkQueue } from '../work/work-queue.js';
import { SET_UP_EFFECT_JOB } from './set-up-effect.js';

/** So long a first answer waits for the whole; most are whole by then. */
const FIRST_ANSWER_MS = 700;
/** Whoever does not ask for the rest has gone; a page in the background asks once a minute. */
const FORGOTTEN_MS = 70_000;

interface Going {
  answer: SetUpEffect;
  failed: unknown;
  readonly whole: Promise<void>;
  readonly stop: AbortController;
  forgotten: NodeJS.Timeout;
}

/** What versions of the set-up would change: reckoned beside all other work, with a first answer early. */
@Injectable()
export class SetUpEffectsService {
  private readonly going = new Map<string, Going>();

  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly work: WorkQueue,
  ) {}

  /** The whole, or what was found so far. */
  begin(versions: readonly SetUpVersion[]): Promise<SetUpEffect> {
    const id = randomBytes(12).toString('base64url');
    const stop = new AbortController();
    const found: PumpEffect[] = [];
    const asked = { versions, now: isoNow(this.clock) };
    const onProgress = (progress: number, effect: PumpEffect | undefined) => {
      if (effect) found.push(effect);
      one.answer = { issues: [], effects: [...found], progress: Math.min(progress, 0.99), id };
    };
    const whole = this.work.run(SET_UP_EFFECT_JOB, asked, { signal: stop.signal, onProgress }).then(
      (answer) => void (one.answer = { ...answer, progress: 1, id: null }),
      (error: unknown) => void (one.failed = error),
    );
    const answer: SetUpEffect = { issues: [], effects: [], progress: 0, id };
    const one: Going = { answer, failed: null, whole, stop, forgotten: setTimeout(() => undefined) };
    this.going.set(id, one);
    return this.answerOf(id, FIRST_ANSWER_MS);
  }

  /** @throws NotFoundException; what the job threw */
  async answerOf(id: string, patienceMs = 0): Promise<SetUpEffect> {
    const one = this.going.get(id);
    if (!one) throw new NotFoundException('an effect that is being reckoned: ask for it anew');
    clearTimeout(one.forgotten);
    await Promise.race([one.whole, wait(patienceMs)]);
    if (one.failed === null && one.answer.id !== null) {
      one.forgotten = setTimeout(() => this.forget(id), FORGOTTEN_MS).unref();
      return one.answer;
    }
    this.going.delete(id);
    if (one.failed !== null) throw one.failed as Error;
    return one.answer;
  }

  private forget(id: string): void {
    this.going.get(id)?.stop.abort();
    this.going.delete(id);
  }
}
