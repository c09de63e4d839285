import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createServer, type AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';

const MAIN = fileURLToPath(new URL('../server/dist/main.js', import.meta.url));
export const SEEDED = fileURLToPath(new URL('../.cache/e2e-yard', import.meta.url));

/** What a browser says of a server that was stopped on purpose: it asks for the stream of changes again and again. */
export const WHILE_STOPPED = /net::ERR_/;

/** The real server on a data folder. */
export interface RunningServer {
  readonly address: string;
  stop(): Promise<void>;
}

export async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  await once(probe, 'close');
  return port;
}

/** @param flags `--demo` unless told otherwise: the yard's data */
export async function startServer(
  folder: string,
  port: number,
  flags: readonly string[] = ['--demo'],
): Promise<RunningServer> {
  const child: ChildProcess = spawn('node', [MAIN, '--data', folder, '--port', String(port), ...flags], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const address = `http://127.0.0.1:${port}`;
  for (let i = 0; i < 600; i++) {
    const up = await fetch(`${address}/api/about`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) {
      return {
        address,
        async stop() {
          if (child.exitCode !== null) return;
          child.kill('SIGTERM');
          await once(child, 'exit');
        },
      };
    }
    await new Promise((wait) => setTimeout(wait, 50));
  }
  throw new Error(`the server did not answer at ${address}`);
}
