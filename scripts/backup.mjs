// npm run backup -- --to <file.tar.gz>: the data folder as one checked file, also while the server runs.
import { copyFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root, stop } from './build.mjs';

const { values } = parseArgs({
  options: { data: { type: 'string', default: join(root, 'data/own') }, to: { type: 'string' } },
});
if (!values.to) stop('Say where to: npm run backup -- --to <file.tar.gz>');
install();
build();
const { openDatabase, makeBackup, newWorkFolder, dropWorkFolder } = await import(join(root, 'server/dist/index.js'));
const database = await openDatabase(values.data);
const { id, path: into } = newWorkFolder(values.data);
await makeBackup(
  { db: database.reader, progress: () => undefined },
  { dataFolder: values.data, into, fileName: id, now: new Date().toISOString() },
);
copyFileSync(join(into, id), values.to);
await dropWorkFolder(into);
await database.close();
console.log(`Backup of ${values.data} in ${values.to}, checked.`);
