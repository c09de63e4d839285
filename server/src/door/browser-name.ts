import type { Request } from 'express';

/** As it names itself, the first that fits: browsers bear the names of those that they are like. */
const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/Edg\//, 'Edge'],
  [/OPR\//, 'Opera'],
  [/SamsungBrowser\//, 'Samsung browser'],
  [/Firefox\/|FxiOS\//, 'Firefox'],
  [/Chrome\/|CriOS\//, 'Chrome'],
  [/Safari\//, 'Safari'],
];
const MACHINES: readonly (readonly [RegExp, string])[] = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/Linux|X11/, 'Linux'],
];

/** "Firefox on Windows": enough for somebody to know a browser again in a list. */
export function browserName(request: Request): string {
  const says = request.headers['user-agent'] ?? '';
  const known = (list: typeof BROWSERS) => list.find(([sign]) => sign.test(says))?.[1];
  const browser = known(BROWSERS) ?? 'A browser';
  const machine = known(MACHINES);
  return machine ? `${browser} on ${machine}` : browser;
}
