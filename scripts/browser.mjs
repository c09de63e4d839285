// Debian's Chromium. The headless shell starts and draws quicker; the whole browser does as well.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const PACKAGES = ['chromium-headless-shell', 'chromium'];
const pathOf = (name) => `/usr/bin/${name}`;

/** @returns the path of the best that is installed; null for none */
export const browserPath = () => PACKAGES.map(pathOf).find((path) => existsSync(path)) ?? null;

/** Installs what is missing by apt, where this user may. @returns the path of the best that is there then; null for none */
export function installBrowser() {
  if (browserPath() === pathOf(PACKAGES[0])) return browserPath();
  console.log('Installing Debian’s Chromium for the browser tests …');
  const apt = (...args) =>
    spawnSync('apt-get', args, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status === 0;
  if (apt('update')) PACKAGES.some((name) => apt('install', '-y', name) && existsSync(pathOf(name)));
  return browserPath();
}
