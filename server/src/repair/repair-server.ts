import { once } from 'node:events';
import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { join } from 'node:path';
import type { Request, Response } from 'express';
import { checkWhole } from '../backup/whole-check.js';
import { copyKept, keptDataIn } from '../backup/kept-data.js';
import { databaseFile, forceToDisk, keptFolder } from '../database/open.js';
import { dropWorkFolder, newWorkFolder } from '../files/work-folder.js';
import { headers } from '../network/headers.js';
import type { OwnCertificate } from '../network/own-certificate.js';
import { isOwnAddress } from '../problems/origin-guard.js';
import { repairPage } from './repair-page.js';

interface Unreadable {
  readonly folder: string;
  readonly reason: string;
  readonly host: string;
  readonly port: number;
  /** Speak https with this certificate. */
  readonly certificate: OwnCertificate | null;
  readonly nowMs: () => number;
  readonly listening: (port: number) => void;
}

const MOST_FORM_BYTES = 1000;

async function formOf(request: IncomingMessage): Promise<URLSearchParams> {
  let text = '';
  for await (const part of request) {
    text += String(part);
    if (text.length > MOST_FORM_BYTES) break;
  }
  return new URLSearchParams(text);
}

/** Kept data that are right take the place of what cannot be read, which is kept too. @returns why they cannot; null when they did */
async function putBack(folder: string, name: string, nowMs: number): Promise<string | null> {
  const { path } = newWorkFolder(folder);
  try {
    if (!copyKept(folder, name, path)) return `Nothing of the name “${name}” is kept here.`;
    const checked = await checkWhole({ folder: path, nowMs }, () => undefined);
    if ('issue' in checked)
      return `${name} cannot be put back: ${checked.issue.field}: right would be ${checked.issue.right}.`;
    await forceToDisk(databaseFile(path));
    mkdirSync(keptFolder(folder), { recursive: true });
    const unreadable = join(keptFolder(folder), `unreadable-${nowMs}.sqlite`);
    for (const end of ['', '-wal', '-shm'])
      if (existsSync(databaseFile(folder) + end)) renameSync(databaseFile(folder) + end, unreadable + end);
    renameSync(databaseFile(path), databaseFile(folder));
    await forceToDisk(folder);
    return null;
  } finally {
    await dropWorkFolder(path);
  }
}

/** Serves the one page that says why the data cannot be opened. Resolves when others were put in their place. */
export async function repair({ folder, reason, host, port, certificate, nowMs, listening }: Unreadable): Promise<void> {
  let said: string | null = null;
  let mended: () => void = () => undefined;
  const done = new Promise<void>((resolve) => (mended = resolve));
  const page = (response: ServerResponse, status: number) =>
    response
      .writeHead(status, { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' })
      .end(repairPage({ folder, reason, kept: keptDataIn(folder), said }));

  async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    if (!isOwnAddress(request.headers.host, request.headers.origin)) return void response.writeHead(403).end();
    if (request.url?.startsWith('/api/')) {
      const problem = { code: 'unreadable', right: `data that can be read: ${reason}`, issues: [] };
      return void response.writeHead(503, { 'content-type': 'application/json' }).end(JSON.stringify(problem));
    }
    if (request.method !== 'POST' || request.url !== '/put-back') return void page(response, 503);
    said = await putBack(folder, (await formOf(request)).get('name') ?? '', nowMs());
    if (said !== null) return void page(response, 409);
    // The page comes again when the server does.
    response.writeHead(303, { location: '/', connection: 'close' }).end(mended);
  }
  const guard = headers('', certificate !== null);
  const serve = (request: IncomingMessage, response: ServerResponse) => {
    guard(request as Request, response as Response, () => undefined);
    answer(request, response).catch((error: unknown) => {
      said = error instanceof Error ? error.message : String(error);
      page(response, 500);
    });
  };
  const server = certificate ? createSecureServer(certificate, serve) : createServer(serve);
  server.listen(port, host);
  await once(server, 'listening');
  const address = server.address();
  listening(typeof address === 'object' && address ? address.port : port);
  await done;
  server.closeAllConnections();
  server.close();
  await once(server, 'close');
}
