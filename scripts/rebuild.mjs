// npm run rebuild: counted entries, states and checkpoints anew from the journal. Stop the server first.
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root } from './build.mjs';
import { lockOrStop } from './lock.mjs';

const { values } = parseArgs({ options: { data: { type: 'string', default: join(root, 'data/demo') } } });
install();
build();
const server = await import(join(root, 'server/dist/index.js'));
const { openDatabase, JournalWriter, Reading, SetUpStore, systemClock } = server;
lockOrStop(server, values.data, 'rebuilds');
const database = await openDatabase(values.data);
const store = new SetUpStore();
store.reload(new Reading(database).sql);
const pumps = new JournalWriter(database, store, systemClock).rebuildAll();
await database.close();
console.log(`Rebuilt the states of ${pumps} pumps from the journal in ${values.data}.`);
