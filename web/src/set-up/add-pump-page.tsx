import { uncapital } from '../ui/number.js';
import { useSetUpQuery } from '../api/house-api.js';
import { hereZone } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { useUnits } from '../device/use-units.js';
import { PROCESS_WORDS } from '../words/process-words.js';
import { SCHOOL_WORDS } from '../words/school-words.js';
import { useDraftedForm } from '../forms/use-drafted-form.js';
import { issueWords } from '../words/issue-words.js';
import { TakeOverFields } from '../take-over/take-over-fields.js';
import type { TakeOverValues } from '../take-over/take-over-form.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { useWriteEntries } from '../entry/use-write-entries.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { PageHead } from '../ui/page-head.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { QuantityField } from '../ui/quantity-field.js';
import { SelectField } from '../ui/select-field.js';
import { addPumpDefaults, BY_PROCESS, NEW, readAddPump, usualAt, type AddPumpValues } from './add-pump-form.js';
import { recordName } from './record-words.js';
import { sameNamed } from './asked-before.js';
import { QuestionBefore } from './question-before.js';
import { useWriteSetUp } from './use-write-set-up.js';
import { SCHOOLS, type HouseSetUp, type SchoolId, type SetUpKind, type SetUpVersion } from '@winter-jar/core';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { boundTo } from '../forms/bound-to.js';

const PROCESSES = Object.entries(PROCESS_WORDS).map(([value, words]) => ({
  value: value as AddPumpValues['process'],
  words,
}));
const SCHOOL_CHIPS = Object.entries(SCHOOL_WORDS).map(([value, words]) => ({ value, words }));

export function AddPumpPage() {
  const { data, isError, refetch } = useSetUpQuery();
  if (isError && !data)
    return (
      <Trouble title="The set-up could not be fetched" onRetry={() => void refetch()}>
        The server does not answer. What you typed before is kept on this device.
      </Trouble>
    );
  if (!data) return <Loading what="the set-up" />;
  return <AddPump house={data.house} />;
}

/** A pump in under two minutes: one page, and nothing asked that can wait. */
function AddPump({ house }: { house: HouseSetUp }) {
  const units = useUnits();
  const shared = useEnvelope();
  const [start] = useState(() => addPumpDefaults(house));
  const drafted = useDraftedForm<AddPumpValues>('set-up/add-pump', start);
  const { values, set, error, show, ids, form, ready } = drafted;
  const { write, busy } = useWriteSetUp();
  const { write: writeEntries, busy: writing } = useWriteEntries();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [same, setSame] = useState<readonly string[]>([]);
  const lastRead = useRef<{ key: string; answer: ReturnType<typeof readAddPump> } | null>(null);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();

  /** The same fields sent again (a lost answer) are the same versions and the same entry. */
  function read(): ReturnType<typeof readAddPump> {
    const key = JSON.stringify(values);
    if (lastRead.current?.key !== key) {
      const zone = hereZone();
      const now = new Date().toISOString();
      lastRead.current = {
        key,
        answer: readAddPump(values, { house, units, zone, now, idFor: ids.idFor, newId, shared }),
      };
    }
    return lastRead.current.answer;
  }

  async function save(isAnother = false) {
    form.clearErrors();
    setTrouble(null);
    setSame([]);
    const answer = read();
    if (!answer.ok) {
      setTrouble('Not saved yet: see the fields above.');
      return show(answer.issues);
    }
    const known = isAnother ? [] : sameNamed(house, answer.versions.filter(isMadeHere).map(namedIn));
    if (known.length > 0) return setSame(known);
    const setUp = await write(answer.versions, null);
    if (setUp.kind === 'refused') return setTrouble(setUp.issues.map(issueWords).join(' '));
    const entry = setUp.kind === 'written' ? await writeEntries([answer.entry]) : setUp;
    // A conflict says that its take-over is stored: the answer was lost on the way.
    if (entry.kind !== 'written' && entry.kind !== 'conflict')
      return setTrouble(
        'Not saved: the server does not answer. What you typed is kept on this device; save again when it is back.',
      );
    await drafted.drop();
    const made = answer.versions.filter(isMadeHere);
    const undo = { added: made.map(({ kind, subjectId }) => ({ kind, id: subjectId })) };
    dispatch(toastsSlice.actions.shown({ id: newId(), words: `${values.name.trim()} added`, undo }));
    void navigate(`/pumps/${answer.pumpId}`, { replace: true });
  }

  function chooseSite(site: string) {
    set('site')(site);
    const known = house.site[site]?.process;
    if (known) chooseProcess(known);
    const usual = usualAt(house, site);
    set('equipment')(usual.equipment);
    set('model')(usual.model);
    set('oil')(usual.oil);
  }
  function chooseProcess(process: AddPumpValues['process']) {
    set('process')(process);
    set('preset')(BY_PROCESS[process].preset);
  }
  function chooseModel(model: string) {
    set('model')(model);
    const usual = house.pumpModel[model]?.usualProductId;
    if (usual) set('oil')(usual);
  }

  if (!ready) return <Loading what="what you typed last" />;
  const isDry = house.pumpModel[values.model]?.kind === 'dry';
  const school = SCHOOLS[values.preset as SchoolId];
  const chosenAmong = (kind: SetUpKind, words: string, keep: (id: string) => boolean = () => true) => [
    ...Object.keys(house[kind])
      .filter(keep)
      .map((id) => ({ value: id, words: recordName(house, kind, id) })),
    { value: NEW, words },
  ];
  return (
    <main className="mx-auto w-full max-w-[640px] px-4 pb-10 pt-4">
      <PageTitle title="Add a pump" />
      <PageHead back="/set-up/pump">Add a pump</PageHead>
      <form
        noValidate
        className="desk mt-4 flex flex-col gap-6"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <TextField
          label="Name"
          value={values.name}
          onText={set('name')}
          error={error('name')}
          hint="as on its cart, at most 60 characters"
        />
        <Heading>Where it stands</Heading>
        {Object.keys(house.site).length > 0 && (
          <SelectField
            label="Site"
            value={values.site}
            onChange={chooseSite}
            options={chosenAmong('site', 'a new site …')}
          />
        )}
        {values.site === NEW && (
          <>
            <TextField
              label="Name of the site"
              value={values.siteName}
              onText={set('siteName')}
              error={error('siteName')}
            />
            <Chips label="Process" chips={PROCESSES} value={values.process} onChange={chooseProcess} />
          </>
        )}
        <div className="grid items-start gap-4 sm:grid-cols-2">
          {values.site !== NEW && (
            <SelectField
              label="Equipment"
              value={values.equipment}
              onChange={set('equipment')}
              options={chosenAmong('equipment', 'new equipment …', (id) => house.equipment[id]?.siteId === values.site)}
            />
          )}
          {values.equipment === NEW && (
            <TextField
              label="Name of the equipment"
              value={values.equipmentName}
              onText={set('equipmentName')}
              error={error('equipmentName')}
              hint={`A plain run there: ${BY_PROCESS[values.process].hours} h, until you say otherwise`}
            />
          )}
        </div>
        <Heading>The pump</Heading>
        {Object.keys(house.pumpModel).length > 0 && (
          <SelectField
            label="Model"
            value={values.model}
            onChange={chooseModel}
            options={chosenAmong('pumpModel', 'another model …')}
          />
        )}
        {values.model === NEW && (
          <>
            <TextField
              label="Name of the model"
              value={values.modelName}
              onText={set('modelName')}
              error={error('modelName')}
            />
            <div className="grid items-start gap-4 sm:grid-cols-2">
              <QuantityField label="Pumping speed" dimension="flow" {...boundTo(drafted, 'speed')} />
              <QuantityField label="Oil charge" dimension="volume" {...boundTo(drafted, 'charge')} />
              <QuantityField
                label="Between MIN and MAX"
                dimension="volume"
                {...boundTo(drafted, 'marks')}
                hint="empty: a default, not from the manual"
              />
              <QuantityField
                label="Hold-up"
                dimension="volume"
                {...boundTo(drafted, 'holdUp')}
                hint="what stays behind after a drain; empty: a default"
              />
            </div>
          </>
        )}
        {!isDry && (
          <div className="grid items-start gap-4 sm:grid-cols-2">
            {Object.keys(house.oilProduct).length > 0 && (
              <SelectField
                label="Oil"
                value={values.oil}
                onChange={set('oil')}
                options={chosenAmong('oilProduct', 'another oil …')}
              />
            )}
            {values.oil === NEW && (
              <TextField
                label="Name of the oil"
                value={values.oilName}
                onText={set('oilName')}
                error={error('oilName')}
                hint="taken as mineral, letting water drop out, until you say otherwise"
              />
            )}
          </div>
        )}
        <Chips label="School of oil care" chips={SCHOOL_CHIPS} value={values.preset} onChange={set('preset')} />
        <p className="-mt-3 text-[14px] text-ink-2">
          {school.why} What it costs: {uncapital(school.cost)}
        </p>
        <Heading>As it is now</Heading>
        <TakeOverFields
          values={values}
          set={set as <K extends keyof TakeOverValues>(name: K) => (value: TakeOverValues[K]) => void}
          error={error}
          hasOil={!isDry}
        />
        {trouble && (
          <p role="alert" className="border-l-4 border-stop pl-3 font-semibold text-stop">
            {trouble}
          </p>
        )}
        {same.length > 0 && <QuestionBefore said={same} onYes={() => void save(true)} />}
        <Button type="submit" look="solid" size="field" className="justify-center" disabled={busy || writing}>
          {busy || writing ? 'Saving …' : 'Add the pump'}
        </Button>
      </form>
    </main>
  );
}

/** The materials of the library come with the first pump, and stay. */
const isMadeHere = ({ kind }: SetUpVersion): boolean => kind !== 'material';
const namedIn = ({ kind, body }: SetUpVersion) => ({ kind, name: 'name' in body ? body.name : '' });

function Heading({ children }: { children: string }) {
  return <h2 className="border-b border-rule pb-1 text-[18px]">{children}</h2>;
}
