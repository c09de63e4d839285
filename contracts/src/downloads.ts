/** What is made as a file, beside everything else, and fetched when it is ready: see docs/formats.md. */
export const DOWNLOAD_NAMES = ['backup', 'everything', 'runs', 'looks', 'changes', 'pours', 'stocktakes'] as const;
export type DownloadName = (typeof DOWNLOAD_NAMES)[number];

/** Body of `POST /api/downloads`. */
export interface DownloadPost {
  readonly what: DownloadName;
}

/**
 * `ready` until it was fetched once, or for a quarter of an hour; `gone` afterwards, and when it was stopped. `failed`: it could not
 * be made, and nothing was changed.
 */
export type DownloadState = 'preparing' | 'ready' | 'gone' | 'failed';

/** A file that is being made, or waits to be fetched from `/api/downloads/<id>/file`. */
export interface DownloadAnswer {
  readonly id: string;
  readonly what: DownloadName;
  readonly state: DownloadState;
  /** What is done of it, from 0 to 1. */
  readonly progress: number;
  readonly fileName: string;
  /** Null until it is ready. */
  readonly bytes: number | null;
  /** Why it could not be made. */
  readonly problem: 'diskFull' | 'dataReplaced' | 'internal' | null;
}
