import type { EntryHistory, PumpPage } from '@winter-jar/contracts';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { EffectList } from '../effect/effect-list.js';
import { useEntriesEffect } from '../effect/use-entries-effect.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { useUndo } from '../entry/use-undo.js';
import { useWriteEntries } from '../entry/use-write-entries.js';
import type { WriteResult } from '../sending/write-result.js';
import { draftIds } from '../forms/draft-ids.js';
import { Button } from '../ui/button.js';
import { SelectField } from '../ui/select-field.js';
import { issueWords, questionWords } from '../words/issue-words.js';
import type { Words } from '../words/words.js';
import { canMove, deedMoves, movedDeed, type Whereabouts } from './move-entry.js';

/** Brings an entry to the pump or equipment that it belongs to, after showing what that changes at both. */
export function MoveSection({ history, page, words }: { history: EntryHistory; page: PumpPage; words: Words }) {
  const { historiesOf } = useUndo();
  const [histories, setHistories] = useState<readonly EntryHistory[] | null>(null);
  if (!canMove(history.counts)) return null;
  if (!histories)
    return (
      <div>
        <Button needs="write" onClick={() => void historiesOf(history.original.id).then(setHistories)}>
          It belongs to another pump{history.original.kind === 'run' ? ' or chamber' : ''} …
        </Button>
      </div>
    );
  if (!deedMoves(histories))
    return (
      <p className="border-l-4 border-rule pl-4">
        It was written together with a test, a case or a laboratory’s sample, which stay with their pump. Take it back,
        and write it where it belongs.
      </p>
    );
  return <Where histories={histories} page={page} words={words} onLeave={() => setHistories(null)} />;
}

interface Shown {
  readonly histories: readonly EntryHistory[];
  readonly page: PumpPage;
  readonly words: Words;
  readonly onLeave: () => void;
}

function Where({ histories, page, words, onLeave }: Shown) {
  const { house } = page.setUp;
  const run = histories.find(({ counts }) => counts?.kind === 'run')?.counts;
  const hadEquipment = run?.subjects.find(({ type }) => type === 'equipment')?.id ?? '';
  const [to, setTo] = useState<Whereabouts>({ pumpId: page.row.pumpId, equipmentId: hadEquipment || null });
  const [ids] = useState(() => draftIds());
  const [result, setResult] = useState<WriteResult | null>(null);
  const shared = useEnvelope();
  const { write, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const isElsewhere = to.pumpId !== page.row.pumpId || (run !== undefined && to.equipmentId !== (hadEquipment || null));
  const name = (pumpId: string) => house.pump[pumpId]?.name ?? pumpId;
  const made = (acknowledged: readonly string[]) =>
    movedDeed(histories, to, {
      house,
      now: new Date().toISOString(),
      // Another place, other entries.
      idOf: (what) => ids.idFor(`${what}/${to.pumpId}/${to.equipmentId}`),
      shared: { ...shared, acknowledged },
    });
  const effects = useEntriesEffect(isElsewhere ? () => made([]).all : null, `${to.pumpId} ${to.equipmentId}`);

  async function move(acknowledged: readonly string[]) {
    const { voids, written, all } = made(acknowledged);
    const answer = await write(all);
    setResult(answer);
    if (answer.kind !== 'written') return;
    const words = to.pumpId === page.row.pumpId ? 'Moved' : `Moved to ${name(to.pumpId)}`;
    const undo = { moved: { from: voids.map((c) => c.body.targetId), to: written.map(({ id }) => id) } };
    dispatch(toastsSlice.actions.shown({ id: newId(), words, undo }));
    void navigate(`/pumps/${to.pumpId}`);
  }

  const pumps = Object.entries(house.pump).map(([value, { name, siteId }]) => ({
    value,
    words: name,
    group: house.site[siteId]?.name ?? siteId,
  }));
  const equipment = Object.entries(house.equipment).map(([value, { name, siteId }]) => ({
    value,
    words: name,
    group: house.site[siteId]?.name ?? siteId,
  }));
  return (
    <section className="flex flex-col gap-4 border-l-4 border-before-next-run pl-4">
      <h2 className="text-[20px]">Where it belongs</h2>
      {histories.length > 1 && (
        <p className="text-[15px]">The {histories.length} entries of this deed move together.</p>
      )}
      <SelectField
        label="Pump"
        value={to.pumpId}
        options={pumps}
        onChange={(pumpId) =>
          setTo({ pumpId, equipmentId: hadEquipment ? (house.pump[pumpId]?.equipmentId ?? null) : null })
        }
      />
      {run && (
        <SelectField
          label="Chamber, line or furnace"
          value={to.equipmentId ?? ''}
          options={equipment}
          onChange={(equipmentId) => setTo({ ...to, equipmentId })}
        />
      )}
      {isElsewhere && (
        <div aria-live="polite">
          <h3 className="text-[17px]">What this changes</h3>
          {effects ? (
            <EffectList effects={effects} wordsFor={(zone) => ({ ...words, zone })} />
          ) : (
            <p className="text-[15px] text-ink-2">Calculating …</p>
          )}
        </div>
      )}
      {result && result.kind !== 'written' && result.kind !== 'asked' && (
        <p role="alert" className="font-semibold text-stop">
          {result.kind === 'refused'
            ? result.issues.map(issueWords).join(' ')
            : 'Not moved: the server did not take it. Try again.'}
        </p>
      )}
      {result?.kind === 'asked' ? (
        <div role="alertdialog" aria-label="A question before moving" className="flex flex-col gap-3">
          {result.questions.map((question) => (
            <p key={question.code} className="font-semibold">
              {questionWords(question, words).question}
            </p>
          ))}
          <div className="flex gap-3">
            <Button look="solid" onClick={() => void move(result.questions.map(({ code }) => code))}>
              {result.questions[0] ? questionWords(result.questions[0], words).yes : 'Yes'}
            </Button>
            <Button onClick={onLeave}>Leave it</Button>
          </div>
        </div>
      ) : (
        <div className="flex gap-3">
          <Button look="solid" disabled={!isElsewhere || busy} onClick={() => void move([])}>
            Move it
          </Button>
          <Button onClick={onLeave}>Leave it</Button>
        </div>
      )}
    </section>
  );
}
