import type { LogSettings } from '@winter-jar/core';
import { judgeLog, type AskedOfLog, type LogJudged } from './judge-log.js';

export interface ToJudge {
  readonly turn: number;
  readonly bytes: ArrayBuffer;
  readonly said: LogSettings;
  readonly asked: AskedOfLog;
}
/** A verdict, or which share of the log was read so far. */
export type FromJudge = { readonly turn: number } & ({ readonly judged: LogJudged } | { readonly readShare: number });

self.onmessage = ({ data }: MessageEvent<ToJudge>) => {
  const tell = (answer: FromJudge) => self.postMessage(answer);
  const { turn } = data;
  const judged = judgeLog(data.bytes, data.said, data.asked, (readShare) => tell({ turn, readShare }));
  tell({ turn, judged });
};
