import type { LogSettings } from '@winter-jar/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { AskedOfLog, LogJudged } from './judge-log.js';
import type { FromJudge, ToJudge } from './judge-log.worker.js';

export interface LogAsked {
  /** Other words, other key. */
  readonly key: string;
  readonly logId: string;
  readonly said: LogSettings;
  readonly asked: AskedOfLog;
}
export interface LogDone {
  readonly key: string;
  /** Null where the file could not be fetched. */
  readonly judged: LogJudged | null;
}

export interface LogJudge {
  /** What was judged last; null before. */
  readonly done: LogDone | null;
  /** Which share of a log that is being judged was read, 0-1: then it is fitted. */
  readonly readShare: number;
  /** What was stopped before it was judged. */
  readonly stopped: string | null;
  readonly ask: (of: LogAsked) => void;
  readonly stop: (key: string) => void;
}

/** Judges logs that are kept, beside the page. */
export function useLogJudge(): LogJudge {
  const [done, setDone] = useState<LogDone | null>(null);
  const [readShare, setReadShare] = useState(0);
  const [stopped, setStopped] = useState<string | null>(null);
  const worker = useRef<Worker | null>(null);
  const bytes = useRef<{ readonly logId: string; readonly of: Promise<ArrayBuffer | null> } | null>(null);
  const turn = useRef(0);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const ask = useCallback(({ key, logId, said, asked }: LogAsked) => {
    turn.current += 1;
    const mine = turn.current;
    setStopped(null);
    setReadShare(0);
    worker.current ??= new Worker(new URL('./judge-log.worker.ts', import.meta.url), { type: 'module' });
    const judge = worker.current;
    if (bytes.current?.logId !== logId) bytes.current = { logId, of: fetched(logId) };
    void bytes.current.of.then((of) => {
      if (mine !== turn.current) return;
      if (!of) {
        bytes.current = null;
        return setDone({ key, judged: null });
      }
      judge.onmessage = ({ data }: MessageEvent<FromJudge>) => {
        if (data.turn !== turn.current) return;
        if ('judged' in data) setDone({ key, judged: data.judged });
        else setReadShare(data.readShare);
      };
      const toJudge: ToJudge = { turn: mine, bytes: of, said, asked };
      judge.postMessage(toJudge);
    });
  }, []);
  const stop = useCallback(
    (key: string) => {
      turn.current += 1;
      end();
      setStopped(key);
    },
    [end],
  );
  return { done, readShare, stopped, ask, stop };
}

async function fetched(logId: string): Promise<ArrayBuffer | null> {
  try {
    const response = await fetch(`/api/gauge-logs/${logId}`);
    return response.ok ? await response.arrayBuffer() : null;
  } catch {
    return null;
  }
}
