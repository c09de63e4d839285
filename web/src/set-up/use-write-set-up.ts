import type { ApiProblem, FieldIssue, PumpEffect } from '@winter-jar/contracts';
import type { SetUpVersion } from '@winter-jar/core';
import type { SetUpPost } from '../api/generated.js';
import { usePostSetUpMutation, usePreviewSetUpMutation } from '../api/house-api.js';

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

/** Writes versions of the set-up, or asks what they would change. */
export function useWriteSetUp() {
  const [post, posting] = usePostSetUpMutation();
  const [ask, asking] = usePreviewSetUpMutation();

  async function write(versions: readonly SetUpVersion[], tag: string | null): Promise<SetUpResult> {
    const answer = await post({
      setUpPost: asPost(versions),
      ...(tag === null ? {} : { 'if-match': `"${tag}"` }),
    });
    return 'error' in answer ? failure(answer.error) : { kind: 'written' };
  }

  async function effectOf(
    versions: readonly SetUpVersion[],
  ): Promise<{ kind: 'effects'; effects: readonly PumpEffect[] } | Exclude<SetUpResult, { kind: 'written' }>> {
    const answer = await ask(asPost(versions));
    if ('error' in answer) return failure(answer.error);
    const effect = answer.data;
    return effect.issues.length > 0
      ? { kind: 'refused', issues: effect.issues }
      : { kind: 'effects', effects: effect.effects };
  }
  return { write, effectOf, busy: posting.isLoading || asking.isLoading };
}
