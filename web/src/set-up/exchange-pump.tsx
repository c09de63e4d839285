import type { HouseSetUp, SetUpVersion } from '@winter-jar/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { EffectList } from '../effect/effect-list.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { SelectField } from '../ui/select-field.js';
import { exchangeVersions } from './exchange-versions.js';
import { PLACE_WORDS } from '../words/place-words.js';
import { useWriteSetUp, type EffectSoFar } from './use-write-set-up.js';

const BECOMES = [
  { value: 'spare', words: 'a spare' },
  { value: 'retired', words: 'retired' },
] as const;

const NOT_POSSIBLE = 'Not possible now: the server does not answer, or did not take it.';

/** Puts another pump in this one's place, after showing what that does to the Round. */
export function ExchangePump({ house, pumpId }: { house: HouseSetUp; pumpId: string }) {
  const [comes, setComes] = useState('');
  const [becomes, setBecomes] = useState<'spare' | 'retired'>('spare');
  const [asked, setAsked] = useState<({ versions: SetUpVersion[] } & EffectSoFar) | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { write, effectOf, leave, busy } = useWriteSetUp();
  const print = usePrint();
  const now = useNow();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const kind = house.pumpModel[house.pump[pumpId]?.modelId ?? '']?.kind;
  const others = Object.entries(house.pump)
    .filter(([id, p]) => id !== pumpId && house.pumpModel[p.modelId]?.kind === kind)
    .sort(([, a], [, b]) => Number(a.place !== 'spare') - Number(b.place !== 'spare'));
  if (others.length === 0) return null;

  async function ask() {
    setTrouble(null);
    if (!comes) return setTrouble('Say which pump comes in its place.');
    const at = new Date().toISOString();
    const versions = exchangeVersions({ house, goes: pumpId, comes, becomes, at, newId });
    const answer = await effectOf(versions, (more) => {
      setAsked((now) => now && more && { ...now, effects: more.effects, progress: more.progress });
      if (!more) setTrouble(NOT_POSSIBLE);
    });
    if (answer.kind === 'effects') setAsked({ versions, effects: answer.effects, progress: answer.progress });
    else setTrouble(NOT_POSSIBLE);
  }
  async function save() {
    if (!asked) return;
    const result = await write(asked.versions, null);
    if (result.kind !== 'written') return setTrouble('Not saved: the server does not answer. Try again.');
    const words = `${house.pump[comes]?.name ?? comes} is in the place of ${house.pump[pumpId]?.name ?? pumpId}`;
    dispatch(toastsSlice.actions.shown({ id: newId(), words, undo: null }));
    void navigate('/set-up/pump');
  }
  return (
    <section className="desk mt-9 flex flex-col gap-4">
      <h2 className="border-b border-rule pb-1 text-[18px]">Exchange it</h2>
      <p className="text-[15px] text-ink-2">
        Another pump takes its place. Each keeps its own oil, counts and history.
      </p>
      <SelectField
        label="Which pump comes in its place"
        value={comes}
        onChange={setComes}
        options={others.map(([id, p]) => ({ value: id, words: `${p.name} (${PLACE_WORDS[p.place ?? 'inService']})` }))}
      />
      <Chips label="This one becomes" chips={BECOMES} value={becomes} onChange={setBecomes} />
      {trouble && (
        <p role="alert" className="font-semibold text-stop">
          {trouble}
        </p>
      )}
      {asked ? (
        <div className="border-l-4 border-ink bg-sheet p-3">
          <EffectList effects={asked.effects} progress={asked.progress} wordsFor={(zone) => ({ print, zone, now })} />
          <div className="mt-3 flex flex-wrap gap-3">
            <Button look="solid" disabled={busy} onClick={() => void save()}>
              Exchange
            </Button>
            <Button
              onClick={() => {
                leave();
                setAsked(null);
              }}
            >
              Leave it
            </Button>
          </div>
        </div>
      ) : (
        <Button className="self-start" disabled={busy} onClick={() => void ask()}>
          Show what that does …
        </Button>
      )}
    </section>
  );
}
