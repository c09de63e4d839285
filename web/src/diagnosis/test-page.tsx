// One screen for every test, with and without a step of the hunt, and what each measures: longer than other files.
import type { DiagnosisAnswer } from '@winter-jar/contracts';
import {
  blankOffLimit,
  FINDINGS,
  type CheckId,
  type Entry,
  type FindingId,
  type FoundSaid,
  type Subject,
  cautionWords,
  type PressureLimit,
  smellHarms,
} from '@winter-jar/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useDiagnosisQuery } from '../api/house-api.js';
import type { EntryDraft } from '../entry/deed.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Remark } from '../forms/remark.js';
import { useUnits } from '../device/use-units.js';
import { useEntryForm, type EntryForm } from '../entry/use-entry-form.js';
import { boundTo } from '../forms/bound-to.js';
import { happenedAt, WhenField } from '../forms/when-field.js';
import { PhotoField } from '../forms/photo-field.js';
import { Button } from '../ui/button.js';
import { Caution } from '../ui/caution.js';
import { Chips } from '../ui/chips.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { Loading } from '../ui/page-state.js';
import { ValveWatch } from '../instruments/valve-watch.js';
import { complaintOf } from './case-form.js';
import {
  causeName,
  checkOf,
  findingName,
  foundWords,
  leakStepOf,
  shareWords,
  stateName,
  SURENESS,
} from '../words/diagnosis-words.js';
import {
  fieldsOf,
  findingsAskedFor,
  matchingFindings,
  measuresOf,
  NOT_LOOKED,
  nothingFound,
  readTest,
  topWith,
  type TestValues,
} from './test-form.js';

/** A test with its how-to and its outcome, a step of the leak hunt, or anything that was seen. */
export function TestPage() {
  const [search] = useSearchParams();
  return <WithPump needsOil>{(props) => <WithCase {...props} checkId={search.get('check') ?? ''} />}</WithPump>;
}

/** The one test that care by the gauge asks for. */
export function BlankOffPage() {
  return <WithPump needsOil>{(props) => <WithCase {...props} checkId="blankOffAsIs" />}</WithPump>;
}

type TestProps = EntryPageProps & { readonly checkId: string };

/** Tests whose result has a screen that measures more. */
const OWN_SCREENS: Readonly<Partial<Record<CheckId, { readonly path: string; readonly words: string }>>> = {
  standingSample: { path: 'look', words: 'Read the jar instead' },
  particleLook: { path: 'look', words: 'Read the jar instead' },
  labSample: { path: 'lab-sample', words: 'Log the sample instead, then its report' },
  rateOfRise: { path: 'gauge-log', words: 'Read it from a gauge’s log' },
};

/** What is found belongs to the open case; the first thing found opens one. */
function WithCase(props: TestProps) {
  const { data, isError } = useDiagnosisQuery({ pumpId: props.page.row.pumpId });
  if (!data && !isError) return <Loading what="the case" />;
  return <Test {...props} answer={data ?? null} />;
}

function Test({ answer, ...props }: TestProps & { answer: DiagnosisAnswer | null }) {
  const { page, correctId, checkId } = props;
  const units = useUnits();
  const { zone, pumpId } = page.row;
  const [search] = useSearchParams();
  const asked = search.get('finding');
  const hunting = search.get('step');
  const told = toldBefore(checkId, search);
  // The pump knows its case, also where the evidence could not be fetched.
  const open = page.state.case?.status === 'open' ? page.state.case.caseId : null;
  const from = hunting
    ? { path: `/pumps/${pumpId}/leak-hunt`, words: 'the leak hunt' }
    : { path: `/pumps/${pumpId}/what-is-wrong`, words: 'What is wrong?' };

  const form = useEntryForm<'test', TestValues>({
    kind: 'test',
    page,
    draft: told ? `${checkId}/${told.state}` : checkId || (hunting ?? asked ?? 'seen'),
    defaults: {
      ...nothingFound(zone),
      checkId,
      leakStep: hunting ?? '',
      found: told ? { [told.finding]: told.state } : asked ? { [asked]: '' } : {},
      remark: told?.remark ?? '',
    },
    read: (v, idFor) => {
      const read = readTest(v, units, zone, Date.now());
      if (!read.ok || correctId) return read;
      const { findings } = read.deed.main.body;
      // How its pressure rises belongs to the chamber's own record, whichever pump stands at it.
      const rise = findings.some((f) => f.id === 'rateOfRise');
      const alsoAbout: Subject[] = [
        ...(rise ? [{ type: 'equipment' as const, id: page.setUp.pump.equipmentId }] : []),
        { type: 'case', id: open ?? idFor('case') },
      ];
      const main = { ...read.deed.main, alsoAbout };
      if (open) return { ok: true, deed: { main } };
      const [first] = findings;
      const complaint = complaintOf(page.row, props.words, first ? foundWords(first.id, first.state) : null);
      const opening: EntryDraft = { ...main, kind: 'caseOpened', body: { complaint } };
      return { ok: true, deed: { before: [opening], main } };
    },
    fill: (entry: Extract<Entry, { kind: 'test' }>) => ({
      ...fieldsOf(entry, units),
      ...happenedAt(entry.happenedAt, zone),
    }),
    savedWords: () => `Saved on ${page.row.name}`,
    correctId,
    then: from.path,
  });
  const { values, set, error } = form;
  const check = checkOf(values.checkId);
  const step = leakStepOf(values.leakStep);
  const how = step ?? check;
  const elsewhere = OWN_SCREENS[values.checkId as CheckId] ?? null;
  // The gauge’s reading says by itself whether it is poor.
  const held = heldTo(props, values);
  const saidByGauge = held !== null && values.pressure.trim() !== '';
  const asksFor = findingsAskedFor(values, { smellHarms: smellHarms(page.setUp) }).filter(
    (id) => !(saidByGauge && (id === 'pumpPressure' || id === 'pumpPressureAsIs')),
  );
  const setState = (id: string) => (state: string) => set('found')({ ...values.found, [id]: state });

  return (
    <EntryScreen
      title={step?.name ?? check?.name ?? 'What you see'}
      props={props}
      form={form}
      backTo={from}
      foot={answer ? <OrderThen answer={answer} pending={form.pending?.entry ?? null} /> : null}
      saveWords={step ? 'Save the step' : check ? 'Save the result' : 'Save what you see'}
    >
      {how && (
        <ol className="list-decimal pl-6 text-[16px] leading-6">
          {how.how.map((line) => (
            <li key={line} className="mt-1">
              {line}
            </li>
          ))}
        </ol>
      )}
      {elsewhere && !correctId && (
        <p className="text-[15px]">
          <Link to={`/pumps/${pumpId}/${elsewhere.path}`} className="font-semibold text-ink">
            {elsewhere.words}
          </Link>
          : what is written there comes into the evidence by itself.
        </p>
      )}
      {how && how.cautions.length > 0 && (
        <Caution>{cautionWords(how.cautions).join(' ')} Site rules and the maker’s manual come first.</Caution>
      )}
      {(step ? step.checkId : values.checkId) === 'turnValves' && !correctId && (
        <ValveWatch
          equipmentId={page.setUp.pump.equipmentId}
          zone={zone}
          onTurned={(turned, words) => {
            const sure = turned.flatMap(({ found }) => (found.ok ? [found.moved] : []));
            set('remark')(words);
            if (sure.length === 0) return;
            if (step) set('passed')(sure.includes(true) ? 'no' : 'yes');
            else setState('flicker')(sure.includes(true) ? 'yes' : 'no');
          }}
        />
      )}
      {measuresOf(values) && <MeasuredFields props={props} form={form} />}
      {step ? (
        <Chips
          label="How did it come out?"
          value={values.passed || null}
          onChange={set('passed')}
          error={error('passed')}
          chips={[
            { value: 'yes', words: step.passed.words },
            { value: 'no', words: step.failed.words },
          ]}
        />
      ) : (
        asksFor.map((id) => (
          <Chips
            key={id}
            label={findingName(id)}
            value={values.found[id] || null}
            onChange={setState(id)}
            chips={[
              ...Object.keys(FINDINGS[id as FindingId]?.states ?? {}).map((state) => ({
                value: state,
                words: stateName(id, state),
              })),
              { value: NOT_LOOKED, words: 'not looked at' },
            ]}
          />
        ))
      )}
      {!check && !step && (
        <FindingPicker
          first={(answer?.checks ?? []).flatMap((c) => checkOf(c.id)?.settles ?? [])}
          chosen={Object.keys(values.found)}
          onPick={(id) => setState(id)('')}
        />
      )}
      {error('found') && (
        <p role="alert" className="text-[14px] font-semibold text-stop">
          {error('found')}
        </p>
      )}
      {!step && (
        <Chips
          label="How sure are you?"
          chips={SURENESS.map(({ value, words }) => ({ value, words }))}
          value={values.sureness}
          onChange={set('sureness')}
        />
      )}
      <PhotoField photoId={values.photoId} onPhoto={set('photoId')} what="of what was found" />
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}

/** What an instrument has found already: the state of the one finding that the test settles, and how it was. */
function toldBefore(
  checkId: string,
  search: URLSearchParams,
): { finding: FindingId; state: string; remark: string } | null {
  const [finding] = checkOf(checkId)?.settles ?? [];
  const state = search.get('state') ?? '';
  if (!finding || !Object.hasOwn(FINDINGS[finding].states, state)) return null;
  return { finding, state, remark: (search.get('remark') ?? '').slice(0, 500) };
}

/** What the gauge showed, and what it is held to. */
function MeasuredFields({ props, form }: { props: EntryPageProps; form: EntryForm<TestValues> }) {
  const { words } = props;
  const measures = measuresOf(form.values);
  const held = heldTo(props, form.values);
  const says =
    measures?.where === 'exhaust'
      ? 'Over ambient. Look at the filter from 0.3\u00a0bar, renew it from 0.6\u00a0bar on.'
      : held
        ? `Poor over ${words.print.pressure(held.limitPa)}, since ${LIMIT_WORDS[held.against]}.`
        : measures?.where === 'pump'
          ? 'Nothing is known that it could be held to: three tests on fresh oil make a good value of its own.'
          : null;
  return (
    <div className="flex flex-col gap-2">
      <div className="grid grid-cols-1 gap-4 sm:grid-cols-3">
        <QuantityField
          label="Pressure read"
          dimension="pressure"
          {...boundTo(form, 'pressure')}
          min={1e-6}
          max={1_000_000}
        />
        {measures?.where !== 'exhaust' && (
          <QuantityField
            label="Oil’s warmth"
            dimension="temperature"
            {...boundTo(form, 'oilTemp')}
            min={-40}
            max={200}
            hint="counts from 50 °C on"
          />
        )}
        <TextField
          label="Which gauge"
          value={form.values.gauge}
          onText={form.set('gauge')}
          hint="always the same one"
        />
      </div>
      {says && <p className="text-[14px] text-ink-2">{says}</p>}
    </div>
  );
}

/** What a pressure at the pump is held to; null for a test that reads none there. */
const heldTo = ({ page }: Pick<EntryPageProps, 'page'>, values: TestValues) =>
  measuresOf(values)?.where === 'pump' ? blankOffLimit(page.state.goodPa, page.setUp) : null;

const LIMIT_WORDS: Readonly<Record<PressureLimit, string>> = {
  target: 'its record asks for that',
  usual: 'that is usual here',
  own: 'that is three times its own ultimate',
  model: 'that is three times its model’s ultimate',
  good: 'that is three times its good value',
};

/** What would stand on top with what is said here, before it is saved. */
function OrderThen({ answer, pending }: { answer: DiagnosisAnswer; pending: Entry | null }) {
  const now = answer.causes[0];
  // Weighed anew when a finding changes, not with every letter of a remark.
  const said = pending?.kind === 'test' ? JSON.stringify(pending.body.findings) : null;
  const then = useMemo(() => (said === null ? null : topWith(answer, JSON.parse(said) as FoundSaid[])), [answer, said]);
  if (!now) return null;
  return (
    <p aria-live="polite" className="text-[15px]">
      {then ? 'With this' : 'Now'}: <strong>{causeName((then ?? now).id)}</strong>,{' '}
      {shareWords((then ?? now).probability)}
      {then && (then.id === now.id ? `; before ${shareWords(now.probability)}` : `; before ${causeName(now.id)}`)}
    </p>
  );
}

/** Shown before anything is typed: those whose answer would tell most now. */
const SHOWN = 8;

/** Everything that can be seen or found, by its words. */
function FindingPicker({
  first,
  chosen,
  onPick,
}: {
  first: readonly string[];
  chosen: readonly string[];
  onPick: (id: string) => void;
}) {
  const [search, setSearch] = useState('');
  const matches = matchingFindings(search, first).filter((id) => !chosen.includes(id));
  const shown = search.trim() ? matches : matches.slice(0, SHOWN);
  return (
    <div className="flex flex-col gap-3">
      <TextField
        label={chosen.length > 0 ? 'Anything else?' : 'What do you see?'}
        value={search}
        onText={setSearch}
        hint="Type a word, such as cream, noise, leak or filter; or take one of those that would tell most now."
      />
      <ul aria-label="Findings" className="flex flex-wrap gap-3">
        {shown.map((id) => (
          <li key={id}>
            <Button
              size="field"
              className="!text-[15px] !font-normal"
              onClick={() => {
                onPick(id);
                setSearch('');
              }}
            >
              {findingName(id)}
            </Button>
          </li>
        ))}
      </ul>
      {shown.length === 0 && (
        <p className="text-[15px] text-ink-2">Nothing bears that word. Write it under “Anything odd”.</p>
      )}
    </div>
  );
}
