import { createHash } from 'node:crypto';
import type { RequestHandler } from 'express';
import helmet from 'helmet';

const INLINE_SCRIPT = /<script>([\s\S]*?)<\/script>/g;

/** The scripts that stand in a page itself, as a policy names them. */
const hashesOf = (page: string): string[] =>
  [...page.matchAll(INLINE_SCRIPT)].map(([, script = '']) => {
    const sum = createHash('sha256').update(script).digest('base64');
    return `'sha256-${sum}'`;
  });

/**
 * What a browser is told to refuse: scripts and addresses that are not ours, frames around our pages, guesses at what a file is.
 * Not told: to ask for https where it came by http, and to insist on it from now on; both would lock phones out, of plain http and of
 * a certificate of our own.
 * @param page the page whose own scripts may run
 */
export const headers = (page: string, secure: boolean): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", ...hashesOf(page)],
        // Dialogs and lists hold the page still by a style that they make when they open.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'blob:', 'data:'],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    xFrameOptions: { action: 'deny' },
    strictTransportSecurity: false,
    // By plain http in a network a browser ignores these two, and complains of them.
    crossOriginOpenerPolicy: secure,
    originAgentCluster: secure,
    // Without an origin of its own a form of ours would look like a foreign one.
    referrerPolicy: { policy: 'same-origin' },
  });
