import type { Server } from 'node:http';

/** Nothing has come or gone for so long: whoever was there is gone. A stream of changes says something every 25 s. */
const IDLE_MS = 5 * 60_000;

/** A slow upload may take as long as it needs; a silent one is cut. Node would cut every request after five minutes. */
export function limitByIdleness(server: Server, idleMs = IDLE_MS): void {
  server.requestTimeout = 0;
  server.timeout = idleMs;
  // Kept open as long: one that is cut after Node's five seconds can be cut in the moment in which it is asked something again.
  server.keepAliveTimeout = idleMs;
}
