import type { PumpPage } from '@winter-jar/contracts';
import type { Equipment, Pump, PumpModel, SetUpBodies } from '@winter-jar/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { useSetUpQuery } from '../api/house-api.js';
import { firstVersion } from '../set-up/new-version.js';
import { useWriteSetUp } from '../set-up/use-write-set-up.js';

/** A record of the set-up with something more that is known of it, from now on. @param shown as the page has it */
function useKeepRecord<K extends 'pump' | 'pumpModel' | 'equipment'>(
  kind: K,
  subjectId: string,
  shown: SetUpBodies[K],
) {
  const { write } = useWriteSetUp();
  const { refetch } = useSetUpQuery(undefined);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  async function keep(more: (known: SetUpBodies[K]) => Partial<SetUpBodies[K]>): Promise<boolean> {
    setBusy(true);
    // As it stands at the server now: what was said of it a moment ago, here or by somebody else, stays.
    const { data } = await refetch();
    const at = new Date().toISOString();
    const records: Readonly<Record<string, SetUpBodies[K]>> | undefined = data?.house[kind];
    const known = records?.[subjectId] ?? shown;
    const version = firstVersion(kind, { id: newId(), subjectId, at, body: { ...known, ...more(known) } });
    const result = await write([version], data?.tag ?? null);
    setBusy(false);
    setFailed(result.kind !== 'written');
    return result.kind === 'written';
  }
  return { keep, busy, failed };
}

/** The model of a pump. */
export const useKeepModel = ({ setUp: { pump, model } }: PumpPage) =>
  useKeepRecord<'pumpModel'>('pumpModel', pump.modelId, model satisfies PumpModel);
/** The set that it stands at. */
export const useKeepEquipment = ({ setUp: { pump, equipment } }: PumpPage) =>
  useKeepRecord<'equipment'>('equipment', pump.equipmentId, equipment satisfies Equipment);
/** The pump itself. */
export const useKeepPump = ({ row, setUp: { pump } }: PumpPage) =>
  useKeepRecord<'pump'>('pump', row.pumpId, pump satisfies Pump);
