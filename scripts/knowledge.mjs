// Writes docs/diagnosis.md, all that is known about causes, findings and tests, docs/trade.md, what is assumed of the trade, and
// docs/service.md, the procedures.
// `--check` writes nothing and fails when what is committed is stale.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { root } from './build.mjs';
import { servicePage } from './service-doc.mjs';
import { tradePage } from './trade.mjs';

const core = await import(join(root, 'core/dist/index.js'));
const { CAUSES, cautionWords, CHECKS, FINDINGS } = core;

const table = (head, rows) =>
  [head, head.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n');
const percent = (p) => `${Math.round(p * 1000) / 10} %`;
const states = (finding) =>
  Object.entries(finding.states)
    .map(([id, name]) => `\`${id}\` ${name}`)
    .join(' · ');
const baseRates = ({ baseRate: often }) =>
  Object.entries(often)
    .map(([state, p]) => `\`${state}\` ${percent(p)}`)
    .join(' · ');

const byKind = (kind) =>
  Object.entries(FINDINGS)
    .filter(([, f]) => f.kind === kind)
    .map(([id, f]) => ({ id, ...f }));

const cause = ([id, c]) => `### ${c.name}

\`${id}\` · ${c.family} · before anything is found: ${Object.entries(c.prior)
  .map(([process, p]) => `${process} ${percent(p)}`)
  .join(', ')}

${c.looksLike}

${table(
  ['Found', 'State', 'Weighs', 'Because'],
  [
    ...c.brings.map((b) => [`\`${b.finding}\``, `\`${b.state}\``, `seen in ${percent(b.sensitivity)}`, b.because]),
    ...c.after.map((a) => [`\`${a.finding}\``, `\`${a.state}\``, `odds × ${a.oddsRatio}`, a.because]),
  ],
)}

**Remedy.** ${c.remedy} **Prevention.** ${c.prevention}${c.cautions.length > 0 ? ` **Caution.** ${cautionWords(c.cautions).join(' ')}` : ''}
`;

const diagnosisPage = `<!-- Made by \`npm run knowledge\` from core/src/diagnosis; the text stands in scripts/knowledge.md, the tables in the code. -->

${readFileSync(join(root, 'scripts/knowledge.md'), 'utf8').trim()}

## Signs

What causes bring about. _Usual_: how often a state is seen with none of the causes at work.

${table(
  ['Id', 'Name', 'States, the usual one first', 'Usual', 'By', 'Says half after'],
  byKind('sign').map((f) => [`\`${f.id}\``, f.name, states(f), baseRates(f), f.observedBy, `${f.halfLifeDays} d`]),
)}

## Conditions

What was there before, and makes causes more or less likely.

${table(
  ['Id', 'Name', 'States, the usual one first', 'Met at', 'By', 'Says half after'],
  byKind('condition').map((f) => [`\`${f.id}\``, f.name, states(f), baseRates(f), f.observedBy, `${f.halfLifeDays} d`]),
)}

## Tests

${table(
  ['Id', 'Name', 'Settles', 'Minutes', 'Cost', 'Skill', 'Pump stops'],
  Object.entries(CHECKS).map(([id, c]) => [
    `\`${id}\``,
    c.name,
    c.settles.map((f) => `\`${f}\``).join(' '),
    c.minutes,
    c.cost,
    c.skill,
    c.stopsPump ? 'yes' : 'no',
  ]),
)}

## Causes

${Object.entries(CAUSES).map(cause).join('\n')}`;

const stale = [];
for (const [path, text] of [
  ['docs/diagnosis.md', diagnosisPage],
  ['docs/service.md', servicePage(core)],
  ['docs/trade.md', tradePage(core, readFileSync(join(root, 'scripts/trade.md'), 'utf8'))],
]) {
  const pretty = await format(text, { ...(await resolveConfig(join(root, path))), filepath: path });
  if (!process.argv.includes('--check')) writeFileSync(join(root, path), pretty);
  else if (!existsSync(join(root, path)) || readFileSync(join(root, path), 'utf8') !== pretty) stale.push(path);
}
if (stale.length > 0) {
  console.error(`Stale: ${stale.join(', ')}. Run \`npm run knowledge\` and commit what it writes.`);
  process.exit(1);
}
