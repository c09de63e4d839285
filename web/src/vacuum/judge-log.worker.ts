import type { LogSettings } from '@winter-jar/core';
import { judgeLog, type AskedOfLog, type LogJudged } from './judge-log.js';

export interface ToJudge {
  readonly turn: number;
  readonly bytes: ArrayBuffer;
  readonly said: LogSettings;
  readonly asked: AskedOfLog;
}
export interface WasJudged {
  readonly turn: number;
  readonly judged: LogJudged;
}

self.onmessage = ({ data }: MessageEvent<ToJudge>) => {
  const answer: WasJudged = { turn: data.turn, judged: judgeLog(data.bytes, data.said, data.asked) };
  self.postMessage(answer);
};
