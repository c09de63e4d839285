// Longer than other files: one form for every kind of record, from what is typed to what it would change.
import type { RecordHistory, SetUpAnswer } from '@winter-jar/contracts';
import { rightsOfRecord, SET_UP_KINDS, type HouseSetUp, type SetUpKind, type SetUpVersion } from '@winter-jar/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useRecordQuery, useSetUpQuery } from '../api/house-api.js';
import { hereZone, momentWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { useUnits } from '../device/use-units.js';
import { EffectList } from '../effect/effect-list.js';
import { useDraftedForm } from '../forms/use-drafted-form.js';
import { issueWords } from '../words/issue-words.js';
import { Button, LinkButton } from '../ui/button.js';
import { useMayDo } from '../ui/may.js';
import { PageHead } from '../ui/page-head.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { ExchangePump } from './exchange-pump.js';
import { nameOf, type RecordValues } from './field-specs.js';
import { LimitsFields } from './limits-fields.js';
import { OilLimitsFields } from './oil-limits-fields.js';
import { recordId } from './new-version.js';
import { TroubleLine, Versions } from './record-beside.js';
import { RecordFields } from './record-fields.js';
import { hasLimits, hasOilLimits, initialValues, readRecord, valuesOf, type Origin } from './record-form.js';
import { RECORD_KIND_WORDS, recordName, weightOf } from './record-words.js';
import { RemoveRecord } from './remove-record.js';
import { misplaced, sameNamed } from './asked-before.js';
import { QuestionBefore } from './question-before.js';
import { SchoolsTable } from './schools-table.js';
import { useWriteSetUp, type EffectSoFar, type SetUpResult } from './use-write-set-up.js';

export function RecordPage() {
  const { kind = '', recordId = '' } = useParams();
  const known = SET_UP_KINDS.find((k) => k === kind);
  const isNew = recordId === 'new';
  const setUp = useSetUpQuery(undefined, { refetchOnMountOrArgChange: true });
  const record = useRecordQuery({ kind, id: recordId }, { skip: isNew || !known });
  if (!known || (record.isError && 'status' in record.error && record.error.status === 404))
    return <Trouble title="There is no such record">Choose one in the set-up.</Trouble>;
  if ((setUp.isError && !setUp.data) || (record.isError && !record.data))
    return (
      <Trouble title="The set-up could not be fetched" onRetry={() => void setUp.refetch()}>
        The server does not answer. What you typed before is kept on this device.
      </Trouble>
    );
  if (!setUp.data || (!isNew && !record.data)) return <Loading what="the set-up" />;
  const answer = setUp.data;
  return (
    <RecordEditor
      key={`${kind}/${recordId}`}
      kind={known}
      setUp={answer}
      onConflict={() => void setUp.refetch()}
      history={isNew ? null : (record.data ?? null)}
    />
  );
}

type Mode = 'new' | 'change' | 'correct';

/** One record: its fields, and for one that is there the two ways to save, which mean different things. */
function RecordEditor({
  kind,
  setUp,
  history,
  onConflict,
}: {
  kind: SetUpKind;
  setUp: SetUpAnswer;
  history: RecordHistory | null;
  onConflict: () => void;
}) {
  const units = useUnits();
  const print = usePrint();
  const now = useNow();
  const [search] = useSearchParams();
  const { house } = setUp;
  const inForce = history?.versions.find((v) => v.id === history.inForceId) ?? null;
  const [origin] = useState<Origin | null>(() =>
    inForce ? { body: inForce.body as never, values: valuesOf(kind, inForce.body as never, units) } : null,
  );
  // What the editor saw when it was opened: a later change by someone else is a conflict.
  const [tag, setTag] = useState(setUp.tag);
  const [start] = useState<RecordValues>(() => origin?.values ?? initialValues(kind, zoneOf(kind, house)));
  const drafted = useDraftedForm<Record<string, string>>(`set-up/${kind}/${history?.subjectId ?? 'new'}`, start);
  const { values, ids, show, form, ready } = drafted;
  const { write, effectOf, leave, busy } = useWriteSetUp();
  const mayDo = useMayDo();
  const [shown, setShown] = useState<({ mode: Mode; key: string } & EffectSoFar) | null>(null);
  const [trouble, setTrouble] = useState<Exclude<SetUpResult, { kind: 'written' }> | null>(null);
  const [same, setSame] = useState<readonly string[]>([]);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  // What moves was calculated for what stood in the fields then.
  const key = JSON.stringify(values);
  const asked = shown?.key === key ? shown : null;
  const lastKey = useRef(key);
  useEffect(() => {
    lastKey.current = key;
  }, [key]);
  // The house has one set of rules, and no list of them.
  const back = search.get('back') ?? (kind === 'houseRules' ? '/set-up' : `/set-up/${kind}`);
  const words = RECORD_KIND_WORDS[kind];
  // Our defaults stood before the first rules of the house: they change them, from now on.
  const isNew = history === null && kind !== 'houseRules';
  const read = useMemo(() => readRecord(kind, values, units, origin), [kind, values, units, origin]);
  const title = history ? recordName(house, kind, history.subjectId) : `New ${words.one.toLowerCase()}`;

  /** The same content sent again (a lost answer) is the same version. */
  const lastMade = useRef<{ key: string; version: SetUpVersion } | null>(null);
  function versionFor(mode: Mode, body: object): SetUpVersion {
    const content = JSON.stringify([mode, body]);
    if (lastMade.current?.key !== content) lastMade.current = { key: content, version: newVersion(mode, body) };
    return lastMade.current.version;
  }

  function newVersion(mode: Mode, body: object): SetUpVersion {
    const at = new Date().toISOString();
    return {
      id: newId(),
      kind,
      subjectId:
        history?.subjectId ?? (kind === 'houseRules' ? 'house' : recordId(values.name ?? '', ids.idFor('record'))),
      validFrom: mode === 'correct' && inForce ? inForce.validFrom : at,
      recordedAt: at,
      body,
    } as SetUpVersion;
  }

  function refuse(result: Exclude<SetUpResult, { kind: 'written' }>) {
    setTrouble(result);
    if (result.kind === 'changedMeanwhile') onConflict();
    if (result.kind === 'refused')
      show(
        Object.fromEntries(
          result.issues.map((i) => [nameOf(i.field.replace(/^versions\.0\.body\./, '')), issueWords(i)]),
        ),
      );
  }

  /** Only of what was typed otherwise than it is. */
  function askedBefore(): string[] {
    const { name = '', siteId = '', equipmentId = '' } = values;
    const named = [{ kind, name, id: history?.subjectId ?? null }];
    return [
      ...(name === start.name ? [] : sameNamed(house, named)),
      ...(kind !== 'pump' || (siteId === start.siteId && equipmentId === start.equipmentId)
        ? []
        : misplaced(house, siteId, equipmentId)),
    ];
  }

  /** What moves is shown first; a change that moves nothing is saved at once. */
  async function ask(mode: Mode, isMeantSo = false) {
    form.clearErrors();
    setTrouble(null);
    setShown(null);
    if (!read.ok) return show(read.issues);
    const known = isMeantSo ? [] : askedBefore();
    setSame(known);
    if (known.length > 0) return;
    if (mode === 'new') return save(mode);
    const found = (soFar: EffectSoFar | null) => {
      if (lastKey.current !== key) return;
      if (soFar === null) {
        setShown(null);
        return refuse({ kind: 'unreachable' });
      }
      const { effects, progress } = soFar;
      if (mode === 'change' && progress === 1 && effects.length === 0) void save(mode);
      else setShown({ mode, key, effects, progress });
    };
    const answer = await effectOf([versionFor(mode, read.body)], found);
    if (answer.kind === 'effects') found(answer);
    else refuse(answer);
  }

  async function save(mode: Mode) {
    if (!read.ok) return;
    const version = versionFor(mode, read.body);
    const result = await write([version], history ? tag : null);
    if (result.kind !== 'written') return refuse(result);
    await drafted.drop();
    const undo = inForce
      ? { setUp: { ...version, body: inForce.body } as SetUpVersion }
      : kind === 'houseRules'
        ? null
        : { added: [{ kind, id: version.subjectId }] };
    const name = kind === 'houseRules' ? 'Care rules' : (values.name ?? words.one);
    dispatch(toastsSlice.actions.shown({ id: newId(), words: `${name} saved`, undo }));
    void navigate(back, { replace: true });
  }

  if (!ready) return <Loading what="what you typed last" />;
  const rootError = form.formState.errors.root?.message;
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title={title} />
      <PageHead back={back} above={words.many}>
        {title}
      </PageHead>
      <form
        noValidate
        className="desk mt-4 flex flex-col gap-7"
        onSubmit={(event) => {
          event.preventDefault();
          void ask(isNew ? 'new' : 'change');
        }}
      >
        {kind === 'houseRules' && <SchoolsTable house={house} />}
        <RecordFields kind={kind} values={values} set={drafted.set} error={drafted.error} house={house} />
        {kind === 'material' && read.ok && (
          <p className="border-l-4 border-oil pl-3">
            A plain run with it weighs <span className="figure font-semibold">{weightOf(read.body as never)}</span>.
          </p>
        )}
        {hasLimits(kind) && (
          <LimitsFields kind={kind} values={values} set={drafted.set} error={drafted.error} house={house} />
        )}
        {hasOilLimits(kind) && (
          <OilLimitsFields kind={kind} values={values} set={drafted.set} error={drafted.error} house={house} />
        )}
        {history && mayDo(rightsOfRecord(kind)) && (
          <p className="text-[14px] text-ink-2">
            A change counts from now and rewrites nothing that has run. A correction says it was wrong since{' '}
            {inForce ? momentWords(inForce.validFrom, hereZone(), now) : 'the beginning'}, and shows what moves.
          </p>
        )}
        <div className="sticky bottom-[var(--toasts,0px)] flex flex-col gap-3 border-t border-rule bg-ground py-3">
          {rootError && (
            <p role="alert" className="font-semibold text-stop">
              {rootError}
            </p>
          )}
          {trouble && <TroubleLine trouble={trouble} />}
          {same.length > 0 && <QuestionBefore said={same} onYes={() => void ask(isNew ? 'new' : 'change', true)} />}
          {trouble?.kind === 'changedMeanwhile' && setUp.tag !== tag && (
            <Button
              className="self-start"
              onClick={() => {
                setTag(setUp.tag);
                setTrouble(null);
              }}
            >
              I have seen it: mine shall count
            </Button>
          )}
          {asked && (
            <section className="border-l-4 border-ink bg-sheet p-3">
              <h2 className="text-[18px]">
                {asked.mode === 'correct' ? 'What the correction moves' : 'On the Round from now on'}
              </h2>
              <div className="max-h-[34vh] overflow-auto">
                <EffectList
                  effects={asked.effects}
                  progress={asked.progress}
                  wordsFor={(zone) => ({ print, zone, now })}
                />
              </div>
              <div className="mt-3 flex flex-wrap gap-3">
                <Button look="solid" disabled={busy} onClick={() => void save(asked.mode)}>
                  {asked.mode === 'correct' ? 'Save the correction' : 'Save the change'}
                </Button>
                <Button
                  onClick={() => {
                    leave();
                    setShown(null);
                  }}
                >
                  Look again
                </Button>
              </div>
            </section>
          )}
          {!mayDo(rightsOfRecord(kind)) && (
            <p className="text-[14px] text-ink-2">You see this record and do not change it.</p>
          )}
          {!asked && (
            <div className="flex gap-3">
              <Button
                type="submit"
                needs={rightsOfRecord(kind)}
                look="solid"
                disabled={busy}
                className="min-h-12 !px-3"
              >
                {busy ? 'One moment …' : isNew ? 'Add' : 'Change from now'}
              </Button>
              {history && (
                <Button
                  needs={rightsOfRecord(kind)}
                  className="min-h-12 !px-3"
                  disabled={busy}
                  onClick={() => void ask('correct')}
                >
                  Correct a wrong value …
                </Button>
              )}
            </div>
          )}
        </div>
      </form>
      {kind === 'equipment' && history && (
        <p className="mt-6">
          <LinkButton to={`/equipment/${history.subjectId}`}>What ran on it, and notes about it</LinkButton>
        </p>
      )}
      {kind === 'instrument' && history && (
        <p className="mt-6">
          <LinkButton to={`/instruments/${history.subjectId}`}>What it shows now, and what it sends</LinkButton>
        </p>
      )}
      {kind === 'pump' && history && mayDo('setUp') && <ExchangePump house={house} pumpId={history.subjectId} />}
      {history && kind !== 'houseRules' && <RemoveRecord kind={kind} id={history.subjectId} name={title} back={back} />}
      {history && history.versions.length > 1 && <Versions history={history} now={now} />}
    </main>
  );
}

/** A first site takes the zone of this device. */
const zoneOf = (kind: SetUpKind, house: HouseSetUp): RecordValues =>
  kind === 'site' ? { zone: Object.values(house.site)[0]?.zone ?? hereZone() } : {};
