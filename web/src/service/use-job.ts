import type { PumpPage } from '@winter-jar/contracts';
import {
  effectiveEntry,
  guideOf,
  serviceAt,
  serviceOfJob,
  type Entry,
  type GuideStep,
  type JobMovedBody,
  type JobState,
  type JobStepBody,
  type ProcedureId,
} from '@winter-jar/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { houseApi } from '../api/house-api.js';
import { useAppDispatch } from '../device/store.js';
import { productOf } from '../entry/product-field.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { correctionOf } from '../entry/use-undo.js';
import { useWriteEntries } from '../entry/use-write-entries.js';
import type { WriteResult } from '../sending/write-result.js';
import {
  answerOf,
  endOf,
  entriesOfJob,
  momentAfter,
  startOf,
  type AfterAnswer,
  type Answer,
  type JobDraft,
} from './job-entries.js';

/** What became of a deed of a job: also that the step was answered already, by somebody else or otherwise. */
export type JobResult = WriteResult | { readonly kind: 'answered'; readonly by: Entry; readonly at: GuideStep | null };

/** A step that was taken back so many times goes in circles. */
const MOST_ATTEMPTS = 20;

const isSame = (body: JobStepBody, { value = null, choice = null, photoId = null }: Answer): boolean =>
  (body.value ?? null) === value && (body.choice ?? null) === choice && (body.photoId ?? null) === photoId;

/** All that is written of the jobs of a pump. `told` is what became of the last deed where it was not simply taken. */
export function useJob(page: PumpPage) {
  const { row, state, setUp } = page;
  const { write, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const shared = useEnvelope();
  const [told, setTold] = useState<JobResult | null>(null);
  const own = (sump: string) => productOf(page, sump);

  const send = (jobId: string, drafts: readonly JobDraft[], acknowledged: readonly string[] = []) =>
    write(
      entriesOfJob(drafts, {
        ...{ jobId, pumpId: row.pumpId, zone: row.zone, now: new Date().toISOString() },
        shared: { ...shared, acknowledged },
      }),
    );
  const historyOf = async (id: string) => {
    const { data } = await dispatch(houseApi.endpoints.entry.initiate(id, { forceRefetch: true, subscribe: false }));
    return data ?? null;
  };
  const isWritten = (result: JobResult): boolean => {
    setTold(result.kind === 'written' ? null : result);
    return result.kind === 'written';
  };

  /** @returns the id of the job; null where it was not written */
  async function start(
    procedure: ProcedureId,
    others: readonly ProcedureId[] = [],
    acknowledged: readonly string[] = [],
  ): Promise<string | null> {
    const jobId = newId();
    const service = serviceAt(procedure, { ...state, job: null }, setUp, others);
    const happenedAt = new Date().toISOString();
    const drafts = startOf({ jobId, procedure, others, service, happenedAt });
    return isWritten(await send(jobId, drafts, acknowledged)) ? jobId : null;
  }

  /** @returns what comes then; null where it was not written */
  async function answer(
    job: JobState,
    said: Answer,
    acknowledged: readonly string[] = [],
  ): Promise<AfterAnswer | null> {
    const service = serviceOfJob(job, state, setUp);
    for (let attempt = 1; attempt <= MOST_ATTEMPTS; attempt += 1) {
      const { drafts, then } = answerOf(job, service, {
        answer: said,
        nowMs: Date.now(),
        attempt,
        model: setUp.model,
        productOf: own,
      });
      const result = await send(job.jobId, drafts, acknowledged);
      if (result.kind !== 'conflict') return isWritten(result) ? then : null;
      const history = await historyOf(drafts[0]?.id ?? '');
      const stands = history && effectiveEntry(history.original, history.corrections);
      // Where it was taken back this is an answer anew.
      if (!stands) continue;
      const same = stands.kind === 'jobStep' && isSame(stands.body, said);
      const { current } = guideOf(service, job);
      return isWritten(same ? { kind: 'written' } : { kind: 'answered', by: stands, at: current }) ? then : null;
    }
    return null;
  }

  async function move(job: JobState, body: JobMovedBody): Promise<boolean> {
    const happenedAt = momentAfter(job, Date.now());
    return isWritten(await send(job.jobId, [{ kind: 'jobMoved', id: newId(), happenedAt, body, ofJob: true }]));
  }

  /** What was done until then is kept. */
  async function giveUp(
    job: JobState,
    done: readonly GuideStep[],
    acknowledged: readonly string[] = [],
  ): Promise<boolean> {
    const happenedAt = momentAfter(job, Date.now());
    const drafts = endOf(job, done, { how: 'givenUp', happenedAt, model: setUp.model, productOf: own });
    return isWritten(await send(job.jobId, drafts, acknowledged));
  }

  /** The last answer is taken back, and the wait that began with it. */
  async function takeBack(entryIds: readonly string[]): Promise<boolean> {
    const histories = await Promise.all(entryIds.map(historyOf));
    const input = { actId: newId(), now: new Date().toISOString(), shared };
    const voids = histories.flatMap((h) => (h ? [correctionOf(h, { action: 'void' }, input)] : []));
    return isWritten(voids.length === entryIds.length ? await write(voids) : { kind: 'unreachable' });
  }

  return { start, answer, move, giveUp, takeBack, busy, told };
}
