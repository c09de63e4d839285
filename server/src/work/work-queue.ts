import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { ServiceUnavailableException, type OnModuleDestroy } from '@nestjs/common';
import { databaseFile, type Database } from '../database/open.js';
import type { Job, Lane } from './job.js';

/** The built entry of the worker thread, as seen from this room's sources and from what is compiled of them. */
export const WORK_FILE = fileURLToPath(new URL('../../run/work.js', import.meta.url));

/** Rows come and go by the hundred thousand: of a larger room for them the thread would keep all. */
const YOUNG_MB = 8;
/** Far more than any job has needed; the less there is to grow into, the sooner it is cleared. */
const OLD_MB = 512;

/** What a worker says of the job that it was given. */
export type WorkerSays =
  | { readonly progress: number; readonly part?: unknown }
  | { readonly answer: unknown }
  /** What it threw; a code where the disk or the system gave one. */
  | { readonly failed: string; readonly code?: string };

/** Whoever asked has gone, or the data lie elsewhere now. */
export class JobCancelled extends ServiceUnavailableException {
  constructor() {
    super('to ask again in a moment: the calculation was stopped');
  }
}

interface Asking<Part> {
  readonly onProgress?: (share: number, part?: Part) => void;
  /** Whoever asked has gone: the job is not begun, or stopped at once. */
  readonly signal?: AbortSignal;
}

/** A worker thread, which starts with its first job, the end of the last job that it was given, and of the threads let go. */
interface Line {
  worker: Worker | null;
  last: Promise<unknown>;
  gone: Promise<unknown>;
}

const emptyLine = (): Line => ({ worker: null, last: Promise.resolve(), gone: Promise.resolve() });

/** Beside the server's own thread one worker thread per lane, each one job after another. */
export class WorkQueue implements OnModuleDestroy {
  private readonly lines: Readonly<Record<Lane, Line>> = { screen: emptyLine(), file: emptyLine() };

  constructor(
    private readonly database: Database,
    private readonly file: string = WORK_FILE,
  ) {
    database.beforeReplacing(() => this.onModuleDestroy());
  }

  /** @throws JobCancelled when whoever asked has gone; Error with what the job threw, and its code */
  run<Input, Answer, Part = never>(
    job: Job<Input, Answer, Part>,
    input: Input,
    asking: Asking<Part> = {},
  ): Promise<Answer> {
    const line = this.lines[job.lane];
    let begun = false;
    const turn = line.last.then(() => {
      begun = true;
      return this.runNow(line, job, input, asking);
    });
    const end = turn.then(
      () => undefined,
      () => undefined,
    );
    line.last = end;
    // Files are seldom asked for: what their thread holds is given back.
    if (job.lane === 'file') void end.then(() => (line.last === end ? dismiss(line) : undefined));
    return new Promise((resolve, reject) => {
      // Whoever goes before its turn does not wait for it.
      asking.signal?.addEventListener('abort', () => void (begun || reject(new JobCancelled())));
      turn.then(resolve, reject);
    });
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all(Object.values(this.lines).map(dismiss));
  }

  private runNow<Input, Answer, Part>(
    line: Line,
    { name }: Job<Input, Answer, Part>,
    input: Input,
    asking: Asking<Part>,
  ): Promise<Answer> {
    const { signal, onProgress } = asking;
    if (signal?.aborted || this.database.busy) return Promise.reject(new JobCancelled());
    const worker = (line.worker ??= new Worker(this.file, {
      workerData: databaseFile(this.database.folder),
      resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB, maxOldGenerationSizeMb: OLD_MB },
    }));
    return new Promise<Answer>((resolve, reject) => {
      const leave = (settle: () => void) => {
        worker.off('message', hear).off('error', fail).off('exit', gone);
        signal?.removeEventListener('abort', cancel);
        settle();
      };
      const hear = (said: WorkerSays) => {
        if ('progress' in said) onProgress?.(said.progress, said.part as Part | undefined);
        else if ('answer' in said) leave(() => resolve(said.answer as Answer));
        else leave(() => reject(Object.assign(new Error(`${name}: ${said.failed}`), { code: said.code })));
      };
      const fail = (error: Error) => leave(() => reject(error));
      const gone = () => {
        if (line.worker === worker) line.worker = null;
        leave(() => reject(new JobCancelled()));
      };
      const cancel = () => void dismiss(line);
      worker.on('message', hear).on('error', fail).on('exit', gone);
      signal?.addEventListener('abort', cancel);
      worker.postMessage({ name, input });
    });
  }
}

/** Once it has ended no thread of the line holds the data open, one that was let go before included. */
async function dismiss(line: Line): Promise<void> {
  const { worker } = line;
  line.worker = null;
  if (worker) line.gone = Promise.all([line.gone, worker.terminate()]);
  await line.gone;
}
