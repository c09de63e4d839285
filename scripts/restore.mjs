// npm run restore -- --from <file.tar.gz>: a backup takes the place of the data folder's data, which is kept beside it. Stop the server first.
import { createReadStream, existsSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root, stop } from './build.mjs';
import { lockOrStop } from './lock.mjs';

const { values } = parseArgs({
  options: { data: { type: 'string', default: join(root, 'data/own') }, from: { type: 'string' } },
});
if (!values.from || !existsSync(values.from)) stop('Say which backup: npm run restore -- --from <file.tar.gz>');
install();
build();
const server = await import(join(root, 'server/dist/index.js'));
const { openDatabase, BackupService, WorkQueue, systemClock } = server;
lockOrStop(server, values.data, 'restores');
const database = await openDatabase(values.data);
const queue = new WorkQueue(database);
const service = new BackupService(systemClock, database, queue);
const { issue, uploadId } = await service.check(createReadStream(values.from));
if (issue) {
  await queue.onModuleDestroy();
  await database.close();
  stop(`${values.from} cannot be restored: ${issue.field}: right would be ${issue.right}. Nothing was changed.`);
}
const { keptAs, now } = await service.restore(uploadId).catch(async (error) => {
  await database.close();
  return stop(`Not restored: right would be ${error.message}. Stop the server first. Nothing was changed.`);
});
await queue.onModuleDestroy();
await database.close();
console.log(
  `Restored ${now.entries} entries of ${now.pumps} pumps in ${values.data}. What stood there is kept as ${keptAs}.`,
);
