import { oneOrMore } from '../ui/number.js';
import type { RoundRow } from '@winter-jar/contracts';
import type { Entry, HouseSetUp, RunBody, Subject } from '@winter-jar/core';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useRoundQuery, useSetUpQuery } from '../api/house-api.js';
import { fromLocalField, toLocalField } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { verdictWords } from '../words/messages.js';
import { Button, LinkButton } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { SelectField } from '../ui/select-field.js';
import { Verdict } from '../ui/verdict.js';
import { materialOptions } from './material-options.js';
import { runsWith, toldMaterial } from './run-form.js';
import { draftIds } from '../forms/draft-ids.js';
import { entriesOf, type Deed } from '../entry/deed.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { useWriteEntries } from '../entry/use-write-entries.js';

/** Several runs started at once: tick the pumps, say what goes in, one tap. */
export function StartPage() {
  const { data: round, isError, refetch } = useRoundQuery(undefined);
  const { data: setUp } = useSetUpQuery();
  if (isError && !round)
    return (
      <Trouble title="The pumps could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!round || !setUp) return <Loading what="the pumps" />;
  if (round.rows.length === 0)
    return <Empty title="No pump yet">Add the first pump, then its runs can be started here.</Empty>;
  return <Start rows={round.rows} house={setUp.house} />;
}

function Start({ rows, house }: { rows: readonly RoundRow[]; house: HouseSetUp }) {
  const free = rows.filter((r) => r.running.length === 0);
  const zone = rows[0]?.zone ?? 'UTC';
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [materials, setMaterials] = useState<Readonly<Record<string, string>>>({});
  const [at, setAt] = useState(() => toLocalField(new Date().toISOString(), zone));
  const [trouble, setTrouble] = useState<string | null>(null);
  const shared = useEnvelope();
  const [ids] = useState(() => draftIds());
  const { write, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const options = materialOptions(house);
  const starting = free.filter((r) => chosen.includes(r.pumpId));
  const materialOf = (row: RoundRow) => materials[row.pumpId] ?? row.lastMaterialId ?? '';

  /** A set is one run: its other pumps are subjects of the same entry. */
  function entriesFor(happenedAt: string): Entry[] {
    const taken = new Set<string>();
    return free.flatMap((row): Entry[] => {
      if (!chosen.includes(row.pumpId) || taken.has(row.pumpId)) return [];
      const equipmentId = house.pump[row.pumpId]?.equipmentId ?? '';
      const pumps = [row.pumpId, ...runsWith(row.pumpId, equipmentId, house)];
      pumps.forEach((id) => taken.add(id));
      const body: RunBody = {
        materialId: toldMaterial(materialOf(row)),
        stillRunning: true,
        session: 'run',
        ballast: 'unknown',
        ventedBeforeStop: 'unknown',
      };
      const alsoAbout: Subject[] = [
        ...pumps.slice(1).map((id) => ({ type: 'pump' as const, id })),
        { type: 'equipment', id: equipmentId },
      ];
      const deed: Deed = { main: { kind: 'run', happenedAt, precision: 'exact', alsoAbout, body } };
      return entriesOf(deed, {
        subject: { type: 'pump', id: row.pumpId },
        zone: row.zone,
        now: new Date().toISOString(),
        idFor: (name) => ids.idFor(`${row.pumpId}/${name}`),
        shared,
      }).all;
    });
  }

  async function start() {
    setTrouble(null);
    const happenedAt = fromLocalField(at, zone);
    if (!happenedAt || Date.parse(happenedAt) > Date.now() + 600_000)
      return setTrouble('Say when they started: now or earlier.');
    const missing = starting.find((r) => !materialOf(r));
    if (missing) return setTrouble(`Say what went in on ${missing.name}.`);
    const entries = entriesFor(happenedAt);
    const result = await write(entries);
    if (result.kind !== 'written') {
      const words = {
        asked:
          'What is still in this list has another run at that time: log or start it from its own page. The others have started.',
        unreachable: 'Not saved: the server does not answer. Your choice is still here.',
      };
      return setTrouble(words[result.kind as keyof typeof words] ?? 'Not saved: the server did not take it.');
    }
    const words = `${oneOrMore(entries.length, 'run')} started`;
    dispatch(toastsSlice.actions.shown({ id: newId(), words, undo: { entryIds: entries.map((e) => e.id) } }));
    void navigate('/', { replace: true });
  }

  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-5">
      <PageTitle title="Start runs" />
      <h1 className="text-[28px]">Start runs</h1>
      <p className="mt-1 mb-4">Tick what starts now. Each shows as running until you end it.</p>
      <TextField label="Started" type="datetime-local" value={at} onText={setAt} />
      <ul className="mt-4">
        {free.map((row) => {
          const on = chosen.includes(row.pumpId);
          return (
            <li key={row.pumpId} className="border-b border-rule-soft py-3">
              <button
                role="checkbox"
                aria-checked={on}
                aria-label={`${row.name}, ${row.equipmentName}`}
                onClick={() => setChosen(on ? chosen.filter((c) => c !== row.pumpId) : [...chosen, row.pumpId])}
                className="flex min-h-14 w-full min-w-0 items-center gap-4 text-left"
              >
                <span
                  className={`flex size-8 shrink-0 items-center justify-center rounded-[6px] border ${on ? 'border-2 border-ink' : 'border-edge'}`}
                >
                  {on && <Check size={20} aria-hidden="true" />}
                </span>
                <span className="min-w-0 flex-1">
                  <span className="figure block font-bold wrap-anywhere">{row.name}</span>
                  <span className="block text-[14px] text-ink-2 wrap-anywhere">
                    {row.siteName} · {row.equipmentName}
                  </span>
                  <span className="block sm:hidden">
                    <Verdict level={row.verdict} words={verdictWords(row.verdict, row.act)} />
                  </span>
                </span>
                <span className="hidden sm:block">
                  <Verdict level={row.verdict} words={verdictWords(row.verdict, row.act)} />
                </span>
              </button>
              {on && row.verdict === 'stop' && (
                <p className="mt-2 border-l-4 border-stop pl-3 font-semibold">
                  The oil says Stop: do not start this pump. See its page first.
                </p>
              )}
              {on && (
                <div className="mt-2 pl-12">
                  <SelectField
                    label={`What goes in on ${row.name}`}
                    value={materialOf(row)}
                    onChange={(id) => setMaterials({ ...materials, [row.pumpId]: id })}
                    options={options}
                  />
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {free.length < rows.length && (
        <p className="mt-3 text-[14px] text-ink-2">
          {rows.length - free.length} of {rows.length} pumps are running already.
        </p>
      )}
      <div className="sticky bottom-[var(--toasts,0px)] mt-4 flex flex-col gap-4 border-t border-rule bg-ground py-4">
        {trouble && (
          <p role="alert" className="font-semibold text-stop">
            {trouble}
          </p>
        )}
        <div className="flex gap-3">
          <Button
            look="solid"
            size="field"
            className="flex-1 justify-center"
            disabled={busy || starting.length === 0}
            onClick={() => void start()}
          >
            {busy ? 'Saving …' : starting.length < 2 ? 'Start the run' : `Start ${starting.length} pumps`}
          </Button>
          <LinkButton to="/" size="field">
            Leave
          </LinkButton>
        </div>
      </div>
    </main>
  );
}
