// npm run backup -- --to <file.tar.gz>: the data folder as one checked file, also while the server runs.
import { copyFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root, stop } from './build.mjs';

const { values } = parseArgs({
  options: { data: { type: 'string', default: join(root, 'data/own') }, to: { type: 'string' } },
});
if (!values.to) stop('Say where to: npm run backup -- --to <file.tar.gz>');
install();
build();
const { openDatabase, BackupService, WorkQueue, systemClock } = await import(join(root, 'server/dist/index.js'));
const database = await openDatabase(values.data);
const { archive, folder } = await new BackupService(systemClock, database, new WorkQueue(database)).make();
copyFileSync(archive, values.to);
rmSync(folder, { recursive: true });
await database.close();
console.log(`Backup of ${values.data} in ${values.to}, checked.`);
