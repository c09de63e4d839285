import { createHash, randomBytes, randomInt } from 'node:crypto';

/** 256 random bits. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token or a code: it is random by itself, so one plain hash is enough. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** Without those that are mistaken for one another on a screen or read aloud. */
const SIGNS = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';

/** Eight signs, 39 bits: for minutes, with few tries. As it is shown: "K7QP-3MX2". */
export function newCode(): string {
  const signs = Array.from({ length: 8 }, () => SIGNS[randomInt(SIGNS.length)]).join('');
  return `${signs.slice(0, 4)}-${signs.slice(4)}`;
}

/** However it was typed. */
export const codeAsKept = (typed: string): string => hashOf(typed.toUpperCase().replace(/[^A-Z0-9]/g, ''));
