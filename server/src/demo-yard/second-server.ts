import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { databaseFile } from '../database/open.js';
import type { OpenDemoYard } from './demo-yard.controller.js';

async function started(child: ChildProcess): Promise<number> {
  const [message] = (await Promise.race([once(child, 'message'), once(child, 'exit').then(() => [null])])) as [
    { port: number } | null,
  ];
  if (!message) throw new Error('the demo yard did not start');
  return message.port;
}

/** The demo yard in a process and a folder of its own, so that nothing of it comes near the own data. */
export function secondServer(input: {
  dataFolder: string;
  args: readonly string[];
  programs: { readonly server: string; readonly seed: string };
}): OpenDemoYard {
  const { programs } = input;
  let opened: Promise<{ port: number }> | null = null;
  async function open(): Promise<{ port: number }> {
    const folder = join(input.dataFolder, 'demo-yard');
    const fresh = !existsSync(databaseFile(folder));
    const child = fork(programs.server, ['--data', folder, '--demo', '--port', '0', ...input.args]);
    process.once('exit', () => child.kill());
    child.once('exit', () => (opened = null));
    const port = await started(child);
    if (fresh) {
      const [code] = (await once(
        fork(programs.seed, [`http${input.args.includes('--https') ? 's' : ''}://127.0.0.1:${port}`]),
        'exit',
      )) as [number];
      if (code !== 0) throw new Error('the demo yard could not be filled');
    }
    return { port };
  }
  return () => (opened ??= open());
}
