import { toString as drawn } from 'qrcode';
import type { Door } from '../house/door.js';
import { addressesOf } from '../house/house-addresses.js';
import type { House } from '../house/house.js';

/** At the terminal, of a server that is open to a network: who may come in, by what address, and how the first owner does. */
export async function sayWhoComesIn(door: Door, house: House, say: (line: string) => void): Promise<void> {
  const { state, ways } = door;
  const isSafe = house.certificate !== null || ways.isPlain;
  const addresses = addressesOf(house);
  if (state === 'open') say('Everyone on this network can reach it, read everything and write.');
  else {
    say('Who comes in from this network signs in first.');
    if (!isSafe)
      say(
        'Over plain http nobody can do so from another device: start it with --https, or with --plain in a network of your own.',
      );
  }
  for (const address of addresses) say(`From other devices: ${address}`);
  if (state !== 'unclaimed') return;
  const { code } = await door.people.codes.make('claim', null);
  const here = `${house.certificate ? 'https' : 'http'}://localhost:${house.port ?? 0}/code#${code}`;
  const [first] = isSafe ? addresses : [];
  say(`\nNobody has an account here yet. The first owner, once, within a day: ${here}`);
  if (first === undefined) return;
  say(`or from a phone: ${first}/code#${code}`);
  say(await drawn(`${first}/code#${code}`, { type: 'terminal', small: true }));
}
