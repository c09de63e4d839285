// npm test: format, lint, types, who knows whom, the generated API layer, unit and server tests, browser tests; ends with "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { installBrowser } from './browser.mjs';
import { install, root, stop } from './build.mjs';
import { check } from './check.mjs';

const CACHE = join(root, '.cache');

const counts = { passed: 0, failed: 0 };

function runStep(what, command, args, env = {}) {
  console.log(`\n${what}`);
  return spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
}

function count(passed, failed, ok) {
  counts.passed += passed;
  // A runner that fails without naming a test still failed.
  counts.failed += failed === 0 && !ok ? 1 : failed;
}

install();
if (!installBrowser())
  stop(
    'The browser tests need /usr/bin/chromium, the Debian package chromium; it could not be installed here. Install it and run npm test again.',
  );
rmSync(CACHE, { recursive: true, force: true });
mkdirSync(CACHE, { recursive: true });
await check();

const unitFile = join(CACHE, 'unit.json');
const unitOk = runStep(
  'Unit and server tests',
  'npx',
  ['jest', '--json', `--outputFile=${unitFile}`, '--maxWorkers=3'],
  { NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning' },
);
if (existsSync(unitFile)) {
  const unit = JSON.parse(readFileSync(unitFile, 'utf8'));
  count(unit.numPassedTests, unit.numFailedTests + unit.numRuntimeErrorTestSuites, unitOk);
} else count(0, 0, false);

const e2eOk = runStep('Browser tests', 'npx', ['playwright', 'test', '-c', 'e2e/playwright.config.mjs']);
const e2eFile = join(CACHE, 'e2e.json');
if (existsSync(e2eFile)) {
  const { stats } = JSON.parse(readFileSync(e2eFile, 'utf8'));
  count(stats.expected, stats.unexpected + stats.flaky, e2eOk);
} else count(0, 0, false);

console.log(`\n${counts.passed} passed, ${counts.failed} failed`);
process.exit(counts.failed > 0 ? 1 : 0);
