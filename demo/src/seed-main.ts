import { seedYard } from './seed.js';

// node seed-main.js http://127.0.0.1:4871: fills the empty house that is served there.
const address = process.argv[2];
if (!address) throw new Error('the address of an empty house');
// The server's certificate is its own; this is the same machine.
if (address.startsWith('https://127.0.0.1:')) process.env.NODE_TLS_REJECT_UNAUTHORIZED = '0';
await seedYard({ address, now: new Date().toISOString() });
