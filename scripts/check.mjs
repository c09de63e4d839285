// npm run check: all that npm test asks before the first test - format, lint, types, the generated files as they should be - for before a commit.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { build, install, root, run } from './build.mjs';

/** Ends the process with what was wrong, if anything is; leaves everything built. */
export async function check() {
  // Beside the build, on the other core.
  const reading = spawn('npx prettier --check --log-level warn . && npx eslint .', {
    cwd: root,
    shell: true,
    stdio: 'inherit',
  });
  const isRead = once(reading, 'exit');
  build();
  run('npx', ['tsc', '-p', 'web']);
  run('npx', ['tsc', '-p', 'tsconfig.tests.json']);
  for (const generated of ['api', 'knowledge', 'graph']) run('node', [`scripts/${generated}.mjs`, '--check']);
  const [code] = await isRead;
  if (code !== 0) process.exit(1);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  install();
  await check();
}
