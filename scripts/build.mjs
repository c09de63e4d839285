// What every command needs first: packages installed, everything built. Only Node's own modules here.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const STAMP = join(root, 'node_modules/.winter-jar-lock');

/** Runs a command and stops with its exit code when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) stop(`${command} cannot be started: ${done.error.message}`);
  if (done.status !== 0) process.exit(done.status ?? 1);
}

export function stop(sentence) {
  console.error(sentence);
  process.exit(1);
}

const has = (command) => spawnSync(command, ['--version'], { stdio: 'ignore' }).status === 0;

/** Installs the packages of the lockfile, once per lockfile. */
export function install() {
  const major = Number(process.versions.node.split('.')[0]);
  if (major < 20) stop(`Winter Jar needs Node 20 or newer; this is ${process.versions.node}.`);
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  const headers = existsSync('/usr/include/node/node.h') ? { npm_config_nodedir: '/usr' } : {};
  const missing = ['python3', 'make', 'g++'].filter((tool) => !has(tool));
  if (missing.length > 0)
    console.warn(
      `If no prebuilt database driver can be fetched, it is compiled; that needs ${missing.join(', ')} (Debian packages python3, make, g++).`,
    );
  console.log('Installing packages …');
  run('npm', ['ci', '--no-audit', '--no-fund'], { env: { ...process.env, ...headers } });
  mkdirSync(dirname(STAMP), { recursive: true });
  writeFileSync(STAMP, lock);
}

/** Compiles what runs in Node, and the interface. */
export function build() {
  run('npx', ['tsc', '--build']);
  run('npx', ['rolldown', '-c', 'server/rolldown.config.mjs'], { stdio: ['ignore', 'ignore', 'inherit'] });
  run('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: join(root, 'web') });
}
