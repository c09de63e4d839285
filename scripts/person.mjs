// npm run person: who can sign in here; with a name a one-time code for them, to choose a new password. The server may go on meanwhile.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root, stop } from './build.mjs';

const { values, positionals } = parseArgs({
  options: { data: { type: 'string', default: join(root, 'data/own') } },
  allowPositionals: true,
});
if (!existsSync(join(values.data, 'people.sqlite')))
  stop(`Nobody can sign in with the data of ${values.data}. Other data: npm run person -- --data <folder>`);
install();
build();
const { People } = await import(join(root, 'server/dist/index.js'));
const people = await People.open(values.data);
const name = positionals.join(' ');
if (name === '') {
  for (const { name, role, passwordHash } of people.accounts.all)
    console.log(`${name}: ${role}${passwordHash === null ? ', without a password yet' : ''}`);
  console.log(
    people.accounts.all.length > 0
      ? 'A new password for somebody: npm run person -- <name>'
      : 'Nobody can sign in here yet.',
  );
} else {
  const account = people.accounts.named(name);
  if (!account) {
    const known = people.accounts.all.map((a) => a.name).join(', ') || 'nobody';
    stop(`Nobody signs in as "${name}" here. Who can: ${known}.`);
  }
  const { code } = await people.codes.make('password', account.personId);
  await people.record.note({ what: 'codeMade', about: account.name, address: 'the terminal', detail: 'password' });
  console.log(`For ${account.name}, once, within a day: ${code}`);
  console.log(
    'Open the address of Winter Jar and take "I have a code" beneath the sign-in, or add /code to the address.',
  );
}
await people.onApplicationShutdown();
