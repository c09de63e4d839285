// Starts the built server and waits until it answers.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { root, stop } from './build.mjs';

/** @param quiet keeps the server's own lines back */
export async function startServer({ data, port, host = '127.0.0.1', quiet = false, ...told }) {
  const args = [
    join(root, 'server/run/main.js'),
    '--data',
    data,
    '--port',
    String(port),
    '--host',
    host,
    ...['demo', 'https', 'open', 'plain'].filter((flag) => told[flag]).map((flag) => `--${flag}`),
  ];
  const child = spawn('node', args, { cwd: root, stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'] });
  // The server's certificate is its own; this is the same machine.
  if (told.https) process.env.NODE_TLS_REJECT_UNAUTHORIZED = '0';
  const address = `http${told.https ? 's' : ''}://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`;
  // As long as it lives: a large folder that an update has to go through may take its time.
  for (let i = 1; ; i++) {
    if (child.exitCode !== null)
      stop(
        `The server stopped at its start, see above. Where port ${port} is taken, try -- --port ${Number(port) + 1}.`,
      );
    try {
      const answer = await fetch(`${address}/api/door`);
      if (answer.ok) return { child, address };
      // Its page says what can be put back; it goes on by itself when that was done.
      if (answer.status === 503) await wait(1000);
    } catch {
      // not listening yet
    }
    await wait(100);
    if (i % 300 === 0) console.log(`Opening ${data} still, after ${i / 10} s …`);
  }
}

export async function stopServer({ child }) {
  if (child.exitCode !== null) return;
  child.kill('SIGTERM');
  await once(child, 'exit');
}

/** Serves for a person at a terminal: this process lives and dies with the server. @returns its address */
export async function serveUntilStopped(options) {
  const { child, address } = await startServer(options);
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'));
  child.on('exit', (code) => process.exit(code ?? 0));
  return address;
}
