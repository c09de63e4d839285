import type { PumpPage } from '@winter-jar/contracts';
import type { PumpModel } from '@winter-jar/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { useSetUpQuery } from '../api/house-api.js';
import { firstVersion } from '../set-up/new-version.js';
import { useWriteSetUp } from '../set-up/use-write-set-up.js';

/** The model of a pump with something more that is known of it, from now on. */
export function useKeepModel({ setUp: { pump, model } }: PumpPage) {
  const { write, busy } = useWriteSetUp();
  // As it stands at the server: what somebody else has said of it meanwhile stays.
  const { data, refetch } = useSetUpQuery(undefined);
  const [failed, setFailed] = useState(false);
  async function keep(more: (model: PumpModel) => Partial<PumpModel>): Promise<boolean> {
    const at = new Date().toISOString();
    const known = data?.house.pumpModel[pump.modelId] ?? model;
    const body = { ...known, ...more(known) };
    const version = firstVersion('pumpModel', { id: newId(), subjectId: pump.modelId, at, body });
    const result = await write([version], data?.tag ?? null);
    if (result.kind === 'changedMeanwhile') void refetch();
    setFailed(result.kind !== 'written');
    return result.kind === 'written';
  }
  return { keep, busy, failed };
}
