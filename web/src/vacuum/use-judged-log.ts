import type { LogSettings } from '@winter-jar/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { AskedOfLog, LogJudged } from './judge-log.js';
import type { ToJudge, WasJudged } from './judge-log.worker.js';

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

/** Judges logs that are kept, beside the page. @returns what was judged last, and a way to ask for the next */
export function useLogJudge(): { done: LogDone | null; ask: (of: LogAsked) => void } {
  const [done, setDone] = useState<LogDone | null>(null);
  const worker = useRef<Worker | null>(null);
  const bytes = useRef<{ readonly logId: string; readonly of: Promise<ArrayBuffer | null> } | null>(null);
  const turn = useRef(0);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  const ask = useCallback(({ key, logId, said, asked }: LogAsked) => {
    turn.current += 1;
    const mine = turn.current;
    worker.current ??= new Worker(new URL('./judge-log.worker.ts', import.meta.url), { type: 'module' });
    const judge = worker.current;
    if (bytes.current?.logId !== logId) bytes.current = { logId, of: fetched(logId) };
    void bytes.current.of.then((of) => {
      if (mine !== turn.current) return;
      if (!of) {
        bytes.current = null;
        return setDone({ key, judged: null });
      }
      judge.onmessage = ({ data }: MessageEvent<WasJudged>) => {
        if (data.turn === turn.current) setDone({ key, judged: data.judged });
      };
      const toJudge: ToJudge = { turn: mine, bytes: of, said, asked };
      judge.postMessage(toJudge);
    });
  }, []);
  return { done, ask };
}

async function fetched(logId: string): Promise<ArrayBuffer | null> {
  try {
    const response = await fetch(`/api/gauge-logs/${logId}`);
    return response.ok ? await response.arrayBuffer() : null;
  } catch {
    return null;
  }
}
