// npm run demo: installs and builds what is missing, seeds the demo yard when there is none, serves it.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root } from './build.mjs';
import { serveUntilStopped } from './serve.mjs';

const { values } = parseArgs({
  options: {
    fresh: { type: 'boolean', default: false },
    host: { type: 'string', default: '127.0.0.1' },
    https: { type: 'boolean', default: false },
    port: { type: 'string', default: '4870' },
    data: { type: 'string', default: join(root, 'data/demo') },
  },
});

install();
build();
if (values.fresh) rmSync(values.data, { recursive: true, force: true });
const address = await serveUntilStopped({ ...values, demo: true });
const { house } = await (await fetch(`${address}/api/set-up`)).json();
const { connectStandIns, seedYard, startStandIns } = await import(join(root, 'demo/dist/index.js'));
if (Object.keys(house.pump).length === 0) {
  const { entries } = await seedYard({ address, now: new Date().toISOString() });
  console.log(`Seeded the demo yard: ${entries} entries over six months.`);
}
try {
  await startStandIns();
  await connectStandIns({ address });
  console.log('Simulated instruments answer on this machine: two gauges at the map cabinet, a monitor of line 4.');
} catch (error) {
  console.warn(`The simulated instruments could not be started, the rest of the yard can be used: ${error.message}`);
}
console.log(`\nWinter Jar, demo yard: ${address}\nData in ${values.data}. Start over with: npm run demo -- --fresh`);
