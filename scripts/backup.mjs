// npm run backup -- --to <file.tar.gz> or --into <folder>: the data folder as one checked file, also while the server runs.
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root, stop } from './build.mjs';

const { values } = parseArgs({
  options: {
    data: { type: 'string', default: join(root, 'data/own') },
    to: { type: 'string' },
    /** Each bears its moment there; older ones are thinned out. */
    into: { type: 'string' },
  },
});
if (Boolean(values.to) === Boolean(values.into))
  stop('Say where to: npm run backup -- --to <file.tar.gz>, or for every night -- --into <folder>');
if (!existsSync(join(values.data, 'winter-jar.sqlite'))) stop(`There is no data in ${values.data}: -- --data <folder>`);
install();
build();
const server = await import(join(root, 'server/dist/index.js'));
const { openDatabase, makeBackup, newWorkFolder, dropWorkFolder, nightlyName, superseded } = server;
const now = new Date().toISOString();
const to = values.to ?? join(values.into, nightlyName(now));
if (values.into) mkdirSync(values.into, { recursive: true });
const database = await openDatabase(values.data);
const { id, path: work } = newWorkFolder(values.data);
await makeBackup(
  { db: database.reader, progress: () => undefined },
  { dataFolder: values.data, into: work, fileName: id, now },
);
// Under its name only once it is whole.
copyFileSync(join(work, id), `${to}.part`);
renameSync(`${to}.part`, to);
await dropWorkFolder(work);
await database.close();
const gone = values.into ? superseded(readdirSync(values.into), now) : [];
for (const name of gone) rmSync(join(values.into, name));
console.log(
  `Backup of ${values.data} in ${to}, checked.${gone.length > 0 ? ` ${gone.length} older ones removed.` : ''}`,
);
