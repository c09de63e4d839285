import type { ApiProblem, FieldIssue, PumpEffect } from '@winter-jar/contracts';
import type { SetUpVersion } from '@winter-jar/core';
import type { SetUpPost } from '../api/generated.js';
import { useEffect, useRef } from 'react';
import { useLazyMoreOfSetUpEffectQuery, usePostSetUpMutation, usePreviewSetUpMutation } from '../api/house-api.js';

export type SetUpResult =
  | { readonly kind: 'written' }
  | { readonly kind: 'changedMeanwhile' }
  | { readonly kind: 'refused'; readonly issues: readonly FieldIssue[] }
  | { readonly kind: 'unreachable' };

const asPost = (versions: readonly SetUpVersion[]): SetUpPost => ({ versions });

function failure(error: unknown): Exclude<SetUpResult, { kind: 'written' }> {
  const { status, data } = error as { status?: unknown; data?: ApiProblem };
  if (status === 412) return { kind: 'changedMeanwhile' };
  return data?.issues && data.issues.length > 0 ? { kind: 'refused', issues: data.issues } : { kind: 'unreachable' };
}

/** What moves, as far as it is known. */
export interface EffectSoFar {
  readonly effects: readonly PumpEffect[];
  /** How much was looked at, from 0 to 1. */
  readonly progress: number;
}

const ASKED_AGAIN_MS = 400;

/** Writes versions of the set-up, or asks what they would change. */
export function useWriteSetUp() {
  const [post, posting] = usePostSetUpMutation();
  const [ask, asking] = usePreviewSetUpMutation();
  const [askMore] = useLazyMoreOfSetUpEffectQuery();
  /** Whoever asks anew, or has gone, does not hear of what was asked before. */
  const lastAsked = useRef(0);
  useEffect(
    () => () => {
      lastAsked.current += 1;
    },
    [],
  );

  async function write(versions: readonly SetUpVersion[], tag: string | null): Promise<SetUpResult> {
    const answer = await post({
      setUpPost: asPost(versions),
      ...(tag === null ? {} : { 'if-match': `"${tag}"` }),
    });
    return 'error' in answer ? failure(answer.error) : { kind: 'written' };
  }

  /** @param onMore hears of a large yard, again and again, what was found so far; null when the rest cannot be had */
  async function effectOf(
    versions: readonly SetUpVersion[],
    onMore: (soFar: EffectSoFar | null) => void,
  ): Promise<({ kind: 'effects' } & EffectSoFar) | Exclude<SetUpResult, { kind: 'written' }>> {
    lastAsked.current += 1;
    const turn = lastAsked.current;
    const answer = await ask(asPost(versions));
    if ('error' in answer) return failure(answer.error);
    const { issues, effects, progress, id } = answer.data;
    if (issues.length > 0) return { kind: 'refused', issues };
    if (id !== null) void follow(id, turn, onMore);
    return { kind: 'effects', effects, progress };
  }

  async function follow(id: string, turn: number, onMore: (soFar: EffectSoFar | null) => void): Promise<void> {
    for (;;) {
      await new Promise((wait) => setTimeout(wait, ASKED_AGAIN_MS));
      if (turn !== lastAsked.current) return;
      const { data, isError } = await askMore(id);
      if (turn !== lastAsked.current) return;
      // What came before an error is still at hand as its data.
      const more = isError ? null : (data ?? null);
      onMore(more);
      if (more === null || more.id === null) return;
    }
  }
  /** Nobody wants to hear more of what was asked. */
  const leave = () => void (lastAsked.current += 1);
  return { write, effectOf, leave, busy: posting.isLoading || asking.isLoading };
}
