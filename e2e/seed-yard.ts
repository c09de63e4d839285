import { rmSync } from 'node:fs';
import { seedYard } from '@winter-jar/demo';
import { startServer } from '@winter-jar/server/testing';
import { SEEDED } from './seeded.js';

/** Seeds the demo yard once; each test works on a copy of its own. */
export default async function seed(): Promise<void> {
  rmSync(SEEDED, { recursive: true, force: true });
  const server = await startServer({ folder: SEEDED, flags: ['--demo'] });
  await seedYard({ address: server.address, now: new Date().toISOString() });
  await server.stop();
}
