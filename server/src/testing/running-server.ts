import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import type { DownloadAnswer, DownloadName } from '@winter-jar/contracts';

const MAIN = fileURLToPath(new URL('../../run/main.js', import.meta.url));

/** The real server, as it is started by `npm start`, in a process of its own. */
export interface RunningServer {
  readonly child: ChildProcess;
  readonly port: number;
  readonly address: string;
  /** What it has printed so far. */
  printed(): string;
  /** In order, as Ctrl-C does. @returns its exit code */
  stop(): Promise<number | null>;
  /** At once, as a power cut does. */
  kill(): Promise<void>;
}

/** A file as a page gets it: begun, waited for, fetched. */
export async function download(address: string, what: DownloadName): Promise<Buffer> {
  const json = async (asked: Promise<Response>) => (await (await asked).json()) as DownloadAnswer;
  const headers = { 'content-type': 'application/json' };
  const url = `${address}/api/downloads`;
  let answer = await json(fetch(url, { method: 'POST', headers, body: JSON.stringify({ what }) }));
  while (answer.state === 'preparing') answer = await json(fetch(`${url}/${answer.id}`));
  if (answer.state !== 'ready') throw new Error(`${what}: ${JSON.stringify(answer)}`);
  return Buffer.from(await (await fetch(`${url}/${answer.id}/file`)).arrayBuffer());
}

/**
 * Starts the built server on a data folder and waits until it listens.
 * @param port 0, any free one, unless a restart has to keep the address
 * @throws Error with what it said, when it ends instead
 */
export async function startServer(input: {
  folder: string;
  port?: number;
  flags?: readonly string[];
}): Promise<RunningServer> {
  const { folder, port = 0, flags = [] } = input;
  const child = fork(MAIN, ['--data', folder, '--port', String(port), ...flags], { stdio: 'pipe' });
  let printed = '';
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part: Buffer) => (printed += part.toString()));
  const [message] = (await Promise.race([once(child, 'message'), once(child, 'exit').then(() => [null])])) as [
    { port: number } | null,
  ];
  if (!message) throw new Error(`the server did not start; is it built? It printed: ${printed}`);
  const gone = async (signal: 'SIGTERM' | 'SIGKILL') => {
    if (child.exitCode === null && child.signalCode === null) {
      const exit = once(child, 'exit');
      child.kill(signal);
      await exit;
    }
    return child.exitCode;
  };
  const scheme = flags.includes('--https') ? 'https' : 'http';
  return {
    child,
    port: message.port,
    address: `${scheme}://127.0.0.1:${message.port}`,
    printed: () => printed,
    stop: () => gone('SIGTERM'),
    kill: async () => void (await gone('SIGKILL')),
  };
}
