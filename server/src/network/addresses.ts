import { hostname, networkInterfaces } from 'node:os';

/** This machine's own addresses in its networks (IPv4). */
export const networkAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flat()
    .filter((a) => a !== undefined && a.family === 'IPv4' && !a.internal)
    .map((a) => a?.address ?? '');

/** Names under which a browser may ask for this machine. */
export const ownNames = (): string[] => ['localhost', hostname().toLowerCase(), `${hostname().toLowerCase()}.local`];
