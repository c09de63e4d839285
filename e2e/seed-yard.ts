import { rmSync } from 'node:fs';
import { seedYard } from '@winter-jar/demo';
import { freePort, SEEDED, startServer } from './server.js';

/** Seeds the demo yard once; each test works on a copy of its own. */
export default async function seed(): Promise<void> {
  rmSync(SEEDED, { recursive: true, force: true });
  const server = await startServer(SEEDED, await freePort());
  await seedYard({ address: server.address, now: new Date().toISOString() });
  await server.stop();
}
