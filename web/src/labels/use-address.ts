import { useAboutQuery } from '../api/house-api.js';

/** Addresses that only this machine knows are of no use on a cart. */
const LOCAL = ['localhost', '127.0.0.1', '[::1]'];

/** Where a phone reaches this server: the address that it prints for others, else the one in the bar. */
export function useAddress(): { origin: string; onlyHere: boolean } {
  const { data: about } = useAboutQuery();
  const here = window.location;
  if (!LOCAL.includes(here.hostname)) return { origin: here.origin, onlyHere: false };
  const [first] = about?.addresses ?? [];
  return first ? { origin: first, onlyHere: false } : { origin: here.origin, onlyHere: true };
}
