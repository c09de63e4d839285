import { once } from 'node:events';
import { createServer, request as ask, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

/** The house behind a door that can serve the next version of the app, and hold back what is written meanwhile. */
export interface NextVersion {
  readonly address: string;
  isNext: boolean;
  /** The app is served; what the house is asked is answered, refused, or hangs. */
  api: 'answers' | 'refuses' | 'hangs';
  /** What hung is lost. */
  breakOff(): void;
  close(): void;
}

const NEXT_PAGE = '<head><meta name="next-version" content="yes">';

/** @param house its address */
export async function behindADoor(house: string): Promise<NextVersion> {
  const { host } = new URL(house);
  const hanging: ServerResponse[] = [];
  const door = createServer((asked, answer) => {
    const path = (asked.url ?? '/').split('?')[0] ?? '/';
    if (state.api !== 'answers' && path.startsWith('/api/')) {
      if (state.api === 'refuses') answer.writeHead(503).end();
      else hanging.push(answer);
      return;
    }
    const changed = state.isNext && (path === '/sw.js' || path === '/index.html');
    const headers = { ...asked.headers, host, ...(asked.headers.origin ? { origin: house } : {}) };
    // What is changed on the way is changed as text.
    const plain = changed
      ? { ...headers, 'accept-encoding': 'identity', 'if-none-match': undefined, 'if-modified-since': undefined }
      : headers;
    const given = Object.fromEntries(Object.entries(plain).filter(([, value]) => value !== undefined));
    const passed = ask(house + (asked.url ?? '/'), { method: asked.method, headers: given }, (told) => {
      if (!changed) {
        answer.writeHead(told.statusCode ?? 502, told.headers);
        told.pipe(answer);
        return;
      }
      const parts: Buffer[] = [];
      told.on('data', (part: Buffer) => parts.push(part));
      told.on('end', () => {
        const text = Buffer.concat(parts).toString();
        const next =
          path === '/sw.js'
            ? text.replace(
                /("?url"?:"index\.html","?revision"?:")[0-9a-f]+|("?revision"?:")[0-9a-f]+(",\s*"?url"?:"index\.html")/,
                '$1$2next$3',
              )
            : text.replace('<head>', NEXT_PAGE);
        if (next === text) throw new Error(`nothing to change in ${path}`);
        const { 'content-length': _length, etag: _etag, ...rest } = told.headers;
        answer.writeHead(200, rest).end(next);
      });
    });
    passed.on('error', () => answer.destroy());
    answer.on('close', () => passed.destroy());
    asked.pipe(passed);
  });
  door.listen(0, '127.0.0.1');
  await once(door, 'listening');
  const state: NextVersion = {
    address: `http://127.0.0.1:${(door.address() as AddressInfo).port}`,
    isNext: false,
    api: 'answers',
    breakOff: () => hanging.splice(0).forEach((answer) => answer.destroy()),
    close: () => {
      door.close();
      door.closeAllConnections();
    },
  };
  return state;
}
