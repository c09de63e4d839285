import type { UntoldRun } from '@winter-jar/contracts';
import type { HouseSetUp } from '@winter-jar/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { houseApi, useSetUpQuery, useUntoldQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { correctionOf } from '../entry/use-undo.js';
import { useWriteEntries } from '../entry/use-write-entries.js';
import { LinkIfMay } from '../ui/may.js';
import { Button } from '../ui/button.js';
import { oneOrMore } from '../ui/number.js';
import { PageHead } from '../ui/page-head.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { SelectField } from '../ui/select-field.js';
import { momentWords } from '../words/dates.js';
import { correctPath } from '../words/pump-actions.js';
import { materialOptions } from './material-options.js';
import { NOT_TOLD } from './run-form.js';

/** Runs that a pump has told by itself, or that somebody logged in a hurry: what went in is said here, one tap each. */
export function UntoldPage() {
  const { data, isError, refetch } = useUntoldQuery();
  const setUp = useSetUpQuery();
  if (isError && !data)
    return (
      <Trouble title="The runs could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!data || !setUp.data) return <Loading what="the runs" />;
  const { house } = setUp.data;
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title="What went in?" />
      <PageHead back="/" backWords="Back to the Round">
        What went in?
      </PageHead>
      {data.runs.length === 0 ? (
        <Empty inside title="Every run is told">
          Runs that a pump tells by itself stand here until somebody says what went in.
        </Empty>
      ) : (
        <p className="mt-1 text-[15px]">
          {oneOrMore(data.runs.length, 'run')} without what went in. Until it is said each counts as the heaviest
          material of its equipment.
        </p>
      )}
      <ul className="mt-3">
        {data.runs.map((run) => (
          <Untold key={run.entry.id} run={run} house={house} now={data.at} />
        ))}
      </ul>
    </main>
  );
}

function Untold({ run, house, now }: { run: UntoldRun; house: HouseSetUp; now: string }) {
  const { entry, pumpId, equipmentId, zone, usual } = run;
  const [materialId, setMaterialId] = useState(usual?.materialId ?? '');
  const [failed, setFailed] = useState(false);
  const print = usePrint();
  const dispatch = useAppDispatch();
  const { write, busy } = useWriteEntries();
  const shared = useEnvelope();
  const { body } = entry;
  const long = body.stillRunning ? 'runs still' : print.duration(body.minutes ?? 0);
  const title = `${house.pump[pumpId]?.name ?? pumpId}, ${momentWords(entry.happenedAt, zone, now)}`;
  async function tell() {
    setFailed(false);
    const asked = houseApi.endpoints.entry.initiate(entry.id, { forceRefetch: true, subscribe: false });
    const { data: history } = await dispatch(asked);
    const counts = history?.counts;
    if (!history || counts?.kind !== 'run') return setFailed(true);
    const said = { action: 'replace', body: { ...counts.body, materialId }, happenedAt: counts.happenedAt } as const;
    const input = { actId: newId(), now: new Date().toISOString(), shared: { ...shared, acknowledged: [] } };
    const correction = correctionOf(history, said, input);
    const result = await write([correction]);
    if (result.kind !== 'written') return setFailed(true);
    const undo = { correction, before: counts };
    dispatch(toastsSlice.actions.shown({ id: newId(), words: `${title}: told`, undo }));
  }
  const name = house.material[usual?.materialId ?? '']?.name;
  return (
    <li className="border-b border-rule py-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-[18px]">{title}</h2>
        <LinkIfMay
          to={correctPath(pumpId, entry)}
          className="inline-flex min-h-11 items-center text-[15px] text-ink underline underline-offset-4"
        >
          More of it
        </LinkIfMay>
      </div>
      <p className="text-[15px] text-ink-2">
        {[
          house.equipment[equipmentId]?.name,
          long,
          body.cycles ? oneOrMore(body.cycles, 'cycle') : null,
          entry.device ? `said by ${entry.device}` : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <div className="mt-3 grid items-end gap-3 sm:grid-cols-[1fr_auto]">
        <SelectField
          label="What went in"
          value={materialId}
          onChange={setMaterialId}
          options={materialOptions(house).filter((o) => o.value !== NOT_TOLD)}
          empty="choose …"
        />
        <Button look="solid" size="field" disabled={busy || materialId === ''} onClick={() => void tell()}>
          That went in
        </Button>
      </div>
      <p className="mt-2 text-[14px] text-ink-2">{usual && name && usualWords(usual, name)}</p>
      {failed && (
        <p role="alert" className="mt-2 font-semibold text-stop">
          Nothing was told: somebody changed the run meanwhile, or the server does not answer. Try again.
        </p>
      )}
    </li>
  );
}

/** "Brined on 4 of the last 5 runs of such a weekday." */
function usualWords({ times, ofTimes }: NonNullable<UntoldRun['usual']>, name: string): string {
  if (times === null || ofTimes === null) return `${name} ran here last.`;
  return `${name} on ${times} of the last ${oneOrMore(ofTimes, 'run')} of such a weekday.`;
}
