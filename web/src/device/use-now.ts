import { useAboutQuery } from '../api/house-api.js';

/** The server's moment, so that words and standings agree; the device's own before it is known. */
export function useNow(): string {
  const { data } = useAboutQuery();
  return data?.now ?? new Date().toISOString();
}
