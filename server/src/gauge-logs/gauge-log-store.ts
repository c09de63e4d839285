import { readFile } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import type { FieldIssue, GaugeLogKept } from '@winter-jar/contracts';
import { FILE_KINDS, hasFile, keptFile, sha256Of } from '../files/kept-files.js';
import { dropWorkFolder, takeIn } from '../files/work-folder.js';
import { writeDurably } from '../files/write-durably.js';

export type KeptLog =
  { readonly ok: true; readonly log: GaugeLogKept } | { readonly ok: false; readonly issue: FieldIssue };

/** Gauge logs of one data folder, each as it came: what was read from it can always be read again. Its name is the SHA-256 of the file. */
export class GaugeLogStore {
  constructor(private readonly dataFolder: string) {}

  /** @throws PayloadTooLargeException, or what the disk throws; then nothing is kept */
  async keep(upload: Readable): Promise<KeptLog> {
    const { folder, file } = await takeIn(upload, this.dataFolder, FILE_KINDS.gaugeLog.maxBytes);
    try {
      const bytes = await readFile(file);
      if (bytes.length === 0)
        return {
          ok: false,
          issue: { field: 'log', value: 0, code: 'empty', right: 'a gauge log: this file is empty' },
        };
      const logId = await sha256Of(file);
      if (!hasFile(this.dataFolder, 'gaugeLog', logId))
        await writeDurably(keptFile(this.dataFolder, 'gaugeLog', logId), bytes);
      return { ok: true, log: { logId, bytes: bytes.length } };
    } finally {
      await dropWorkFolder(folder);
    }
  }

  /** Null when there is none. */
  pathOf(logId: string): string | null {
    return hasFile(this.dataFolder, 'gaugeLog', logId) ? keptFile(this.dataFolder, 'gaugeLog', logId) : null;
  }
}
