// npm run golden: writes the standings of the golden yards anew and says what moved since they were kept.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, root, stop } from './build.mjs';

install();
build();
const { GOLDEN_YARDS } = await import(join(root, 'demo/dist/golden-yards.js'));
mkdirSync(join(root, 'demo/golden'), { recursive: true });
for (const [name, standings] of Object.entries(GOLDEN_YARDS)) {
  const file = join(root, `demo/golden/${name}.json`);
  const before = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
  const now = standings(1);
  const moved = (what) =>
    Object.keys(now.pumps).filter(
      (id) => before && JSON.stringify(before.pumps[id]?.[what]) !== JSON.stringify(now.pumps[id][what]),
    );
  if (moved('states').length > 0 && before.foldVersion === now.foldVersion)
    stop(
      `${name}: states of ${moved('states').length} pumps moved. Raise FOLD_VERSION, so that stored ones are rebuilt.`,
    );
  for (const what of ['states', 'verdict', 'reasons', 'tasks'])
    if (moved(what).length > 0)
      console.log(`${name}: ${what} of ${moved(what).length} pumps: ${moved(what).slice(0, 8).join(', ')}`);
  const lines = Object.entries(now.pumps).map(([id, pump]) => `    ${JSON.stringify(id)}: ${JSON.stringify(pump)}`);
  writeFileSync(file, `{\n  "foldVersion": ${now.foldVersion},\n  "pumps": {\n${lines.join(',\n')}\n  }\n}\n`);
}
