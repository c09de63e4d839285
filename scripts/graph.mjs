// npm run graph: holds the fences between the rooms and writes docs/rooms.md, who knows whom; with --check it only compares.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { cruise } from 'dependency-cruiser';
import { format } from 'prettier';
import { install, root, stop } from './build.mjs';

install();
const { default: fences } = await import(join(root, '.dependency-cruiser.cjs'));
const PACKAGES = ['core', 'contracts', 'server', 'web', 'demo'];
const sources = PACKAGES.map((p) => `${p}/src`);
const { output } = await cruise(sources, { ...fences.options, baseDir: root, validate: true, ruleSet: fences });

const broken = output.summary.violations.map(
  ({ from, to, rule, cycle }) => `${rule.name}: ${from} → ${cycle ? cycle.map((c) => c.name).join(' → ') : to}`,
);
if (broken.length > 0) stop(`The fences between the rooms are broken:\n${broken.join('\n')}`);

const roomOf = (file) =>
  file
    .match(/^(\w+)\/src\/([^/]+)\//)
    ?.slice(1, 3)
    .join('/') ?? null;
const known = new Map();
for (const { source, dependencies } of output.modules) {
  const from = roomOf(source);
  if (from && !known.has(from)) known.set(from, new Set());
  for (const { resolved } of dependencies) {
    const to = roomOf(resolved);
    if (from && to && from !== to && from.split('/')[0] === to.split('/')[0]) known.get(from).add(to.split('/')[1]);
  }
}
/** Rooms with what they know, the lowest first. */
function inOrder(name) {
  const rooms = [...known]
    .filter(([room]) => room.startsWith(`${name}/`))
    .map(([r, set]) => [r.split('/')[1], [...set]]);
  const placed = [];
  while (placed.length < rooms.length) {
    const next = rooms
      .filter(([r]) => !placed.some(([p]) => p === r))
      .filter(([, needs]) => needs.every((n) => placed.some(([p]) => p === n)));
    if (next.length === 0) stop(`${name}: rooms in a circle`);
    placed.push(...next.sort((a, b) => (a[0] < b[0] ? -1 : 1)));
  }
  return placed.map(
    ([r, needs]) =>
      `| \`${r}\` | ${
        placed
          .map(([p]) => p)
          .filter((p) => needs.includes(p))
          .join(', ') || '-'
      } |`,
  );
}
const page = [
  '# Rooms, and whom each knows',
  '',
  'Written by `npm run graph` from the imports themselves, types included; `npm test` fails when it is stale or a fence of `.dependency-cruiser.cjs` is broken. The lowest rooms stand first.',
  ...['core', 'server', 'web'].flatMap((name) => [
    '',
    `## ${name}`,
    '',
    '| room | knows |',
    '|---|---|',
    ...inOrder(name),
  ]),
  '',
].join('\n');
const text = await format(page, { parser: 'markdown' });
const file = join(root, 'docs/rooms.md');
if (!process.argv.includes('--check')) writeFileSync(file, text);
else if (readFileSync(file, 'utf8') !== text) stop('docs/rooms.md is stale: run `npm run graph`.');
