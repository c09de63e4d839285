import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { ServiceUnavailableException, type OnModuleDestroy } from '@nestjs/common';
import { databaseFile, type Database } from '../database/open.js';
import type { Job } from './job.js';

/** The built entry of the worker thread, as seen from this room's sources and from what is compiled of them. */
export const WORK_FILE = fileURLToPath(new URL('../../run/work.js', import.meta.url));

/** What a worker says of the job that it was given. */
export type WorkerSays =
  | { readonly progress: number }
  | { readonly answer: unknown }
  /** What it threw. */
  | { readonly failed: string };

/** Whoever asked has gone, or the data lie elsewhere now. */
export class JobCancelled extends ServiceUnavailableException {
  constructor() {
    super('to ask again in a moment: the calculation was stopped');
  }
}

interface Asking {
  readonly onProgress?: (share: number) => void;
  /** Whoever asked has gone: the job is not begun, or stopped at once. */
  readonly signal?: AbortSignal;
}

/** One worker thread, one job after another, beside the server's own thread. It starts with the first job. */
export class WorkQueue implements OnModuleDestroy {
  private worker: Worker | null = null;
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly database: Database,
    private readonly file: string = WORK_FILE,
  ) {
    database.beforeReplacing(() => this.dismiss());
  }

  /** @throws JobCancelled when whoever asked has gone; Error with what the job threw */
  run<Input, Answer>(job: Job<Input, Answer>, input: Input, asking: Asking = {}): Promise<Answer> {
    const turn = this.last.then(() => this.runNow(job, input, asking));
    this.last = turn.catch(() => undefined);
    return turn;
  }

  async onModuleDestroy(): Promise<void> {
    await this.dismiss();
  }

  private runNow<Input, Answer>({ name }: Job<Input, Answer>, input: Input, asking: Asking): Promise<Answer> {
    const { signal, onProgress } = asking;
    if (signal?.aborted || this.database.busy) return Promise.reject(new JobCancelled());
    const worker = (this.worker ??= new Worker(this.file, { workerData: databaseFile(this.database.folder) }));
    return new Promise<Answer>((resolve, reject) => {
      const leave = (settle: () => void) => {
        worker.off('message', hear).off('error', fail).off('exit', gone);
        signal?.removeEventListener('abort', cancel);
        settle();
      };
      const hear = (said: WorkerSays) => {
        if ('progress' in said) onProgress?.(said.progress);
        else if ('answer' in said) leave(() => resolve(said.answer as Answer));
        else leave(() => reject(new Error(`${name}: ${said.failed}`)));
      };
      const fail = (error: Error) => leave(() => reject(error));
      const gone = () => {
        if (this.worker === worker) this.worker = null;
        leave(() => reject(new JobCancelled()));
      };
      const cancel = () => void this.dismiss();
      worker.on('message', hear).on('error', fail).on('exit', gone);
      signal?.addEventListener('abort', cancel);
      worker.postMessage({ name, input });
    });
  }

  private async dismiss(): Promise<void> {
    const { worker } = this;
    this.worker = null;
    await worker?.terminate();
  }
}
