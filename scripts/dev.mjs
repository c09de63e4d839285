// npm run dev: compiles and restarts the server on every change, and serves the interface with hot reload.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { install, root, run } from './build.mjs';

install();
run('npx', ['tsc', '--build']);
const children = [
  spawn('npx', ['tsc', '--build', '--watch', '--preserveWatchOutput'], { cwd: root, stdio: 'inherit' }),
  spawn('node', ['--watch', 'server/dist/main.js', '--data', join(root, 'data/demo'), '--demo'], {
    cwd: root,
    stdio: 'inherit',
  }),
  spawn('npx', ['vite'], { cwd: join(root, 'web'), stdio: 'inherit' }),
];
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((c) => c.kill(signal)));
