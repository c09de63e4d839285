import { networkAddresses } from '../network/addresses.js';
import type { House } from './house.js';

/** Where the interface is reached: from other devices where it is open to a network, else on this machine. */
export function addressesOf({ openToNetwork, certificate, port }: House): string[] {
  const hosts = openToNetwork ? networkAddresses() : ['localhost'];
  return hosts.map((host) => `${certificate ? 'https' : 'http'}://${host}:${port ?? 0}`);
}
