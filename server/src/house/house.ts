import type { OwnCertificate } from '../network/own-certificate.js';

/** Where the server runs and on whose data. */
export const HOUSE = Symbol('house');
export interface House {
  readonly dataFolder: string;
  readonly openToNetwork: boolean;
  /** Set when it speaks https. */
  readonly certificate: OwnCertificate | null;
  /** Port on which it listens, once it does. */
  port: number | null;
}

/** As in package.json and at the top of CHANGELOG.md; a test holds the three together. */
export const VERSION = '0.18.1';
export const DEMO_DAY = 'demoDay';
