import type { DiagnosisAnswer } from '@winter-jar/contracts';
import { CAUSES, type CauseId, type Entry } from '@winter-jar/core';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { useDiagnosisQuery } from '../api/yard-api.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../journal/entry-page.js';
import type { Said } from '../journal/entry-said.js';
import { remarkOf } from '../journal/remark-of.js';
import { Remark } from '../journal/remark.js';
import { useEntryForm } from '../journal/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../journal/when-field.js';
import { Caution } from '../ui/caution.js';
import { Chips } from '../ui/chips.js';
import { Field, inputClass, TextField } from '../ui/field.js';
import { Empty, Loading } from '../ui/page-state.js';
import { SelectField } from '../ui/select-field.js';
import { complaintOf } from './case-form.js';
import { causeOf, shareWords } from './diagnosis-words.js';

interface CaseProps extends EntryPageProps {
  readonly answer: DiagnosisAnswer;
}

const NO_CAUSE = 'none';
const CHECK_AFTER = ['1', '3', '5', '10'] as const;

/** Fetches the pump and its case for a screen about it. */
function WithCase({ children }: { children: (props: CaseProps) => ReactNode }) {
  return <WithPump needsOil>{(props) => <Fetched {...props}>{children}</Fetched>}</WithPump>;
}

function Fetched({ children, ...props }: EntryPageProps & { children: (props: CaseProps) => ReactNode }) {
  const { data } = useDiagnosisQuery({ pumpId: props.page.row.pumpId });
  if (!data) return <Loading what="the case" />;
  return children({ ...props, answer: data as DiagnosisAnswer });
}

const backTo = (pumpId: string) => ({ path: `/pumps/${pumpId}/what-is-wrong`, words: 'What is wrong?' });

function NoCase({ page, children }: Pick<EntryPageProps, 'page'> & { children: string }) {
  return (
    <main>
      <Empty title={`No such case on ${page.row.name}`}>{children}</Empty>
    </main>
  );
}

interface OpenValues extends When {
  complaint: string;
}

export function CaseOpenPage() {
  return (
    <WithCase>
      {(props) =>
        props.answer.case?.closedAt === null && !props.correctId ? (
          <NoCase page={props.page}>One case is open already: close it before another one is opened.</NoCase>
        ) : (
          <OpenCase {...props} />
        )
      }
    </WithCase>
  );
}

/** Opened by hand: what is wrong, in the person's words. */
function OpenCase({ answer: _answer, ...props }: CaseProps) {
  const { page, correctId, words } = props;
  const { zone, pumpId } = page.row;
  const form = useEntryForm<'caseOpened', OpenValues>({
    kind: 'caseOpened',
    page,
    defaults: {
      complaint: page.row.verdict === 'runOn' ? '' : complaintOf(page.row, words, null),
      ...happensNow(zone),
    },
    read(v): Said<'caseOpened'> {
      const at = whenOf(v, zone, Date.now());
      const complaint = v.complaint.trim();
      const issues = {
        ...(at ? {} : { at: WHEN_WRONG }),
        ...(complaint ? {} : { complaint: 'Say in a few words what seems wrong.' }),
      };
      if (!at || !complaint) return { ok: false, issues };
      return { ok: true, happenedAt: at, precision: 'exact', body: { complaint } };
    },
    fill: ({ body, happenedAt: at }: Extract<Entry, { kind: 'caseOpened' }>) => ({
      complaint: body.complaint,
      ...happenedAt(at, zone),
    }),
    savedWords: () => `Case opened on ${page.row.name}`,
    correctId,
    then: backTo(pumpId).path,
  });
  return (
    <EntryScreen
      title="Open a case"
      foot={false}
      props={props}
      form={form}
      backTo={backTo(pumpId)}
      saveWords="Open the case"
    >
      <TextField
        label="What seems wrong?"
        value={form.values.complaint}
        onText={form.set('complaint')}
        error={form.error('complaint')}
        hint="In a few words, such as “cream after every wet load”."
      />
      <WhenField form={form} />
    </EntryScreen>
  );
}

interface CloseValues extends When {
  causeId: string;
  remedy: string;
  checkAfterRuns: string;
  remark: string;
}

export function CaseClosePage() {
  return (
    <WithCase>
      {(props) =>
        props.answer.case?.closedAt === null || props.correctId ? (
          <CloseCase {...props} />
        ) : (
          <NoCase page={props.page}>No case is open. The first test, or the first thing seen, opens one.</NoCase>
        )
      }
    </WithCase>
  );
}

/** What it was, what was done, and when somebody looks whether it held. */
function CloseCase({ answer, ...props }: CaseProps) {
  const { page, correctId } = props;
  const { zone, pumpId } = page.row;
  const [search] = useSearchParams();
  const asked = search.get('cause') ?? '';
  const form = useEntryForm<'caseClosed', CloseValues>({
    kind: 'caseClosed',
    page,
    draft: `${answer.case?.caseId ?? ''} ${asked}`,
    defaults: {
      causeId: asked,
      remedy: causeOf(asked)?.remedy ?? '',
      checkAfterRuns: '3',
      remark: '',
      ...happensNow(zone),
    },
    read(v): Said<'caseClosed'> {
      const at = whenOf(v, zone, Date.now());
      const remedy = v.remedy.trim();
      const issues = {
        ...(at ? {} : { at: WHEN_WRONG }),
        ...(v.causeId ? {} : { causeId: 'Say what it was, or that no cause was found.' }),
        ...(remedy ? {} : { remedy: 'Say what was done about it.' }),
      };
      if (!at || !v.causeId || !remedy) return { ok: false, issues };
      const causeId = v.causeId === NO_CAUSE ? null : v.causeId;
      const body = { causeId, remedy, checkAfterRuns: Number(v.checkAfterRuns), ...remarkOf(v) };
      return { ok: true, happenedAt: at, precision: 'exact', body, caseId: answer.case?.caseId ?? null };
    },
    fill: ({ body, happenedAt: at }: Extract<Entry, { kind: 'caseClosed' }>) => ({
      causeId: body.causeId ?? NO_CAUSE,
      remedy: body.remedy,
      checkAfterRuns: String(body.checkAfterRuns),
      remark: body.remark ?? '',
      ...happenedAt(at, zone),
    }),
    savedWords: () => `Case closed on ${page.row.name}`,
    correctId,
    then: backTo(pumpId).path,
  });
  const { values, set, error } = form;
  const likely = answer.causes.map((c) => ({
    id: c.id,
    words: `${causeOf(c.id)?.name ?? c.id}, ${shareWords(c.share)}`,
  }));
  const others = (Object.keys(CAUSES) as CauseId[]).filter((id) => !likely.some((l) => l.id === id));
  const cause = causeOf(values.causeId);
  return (
    <EntryScreen
      title="Close the case"
      foot={false}
      props={props}
      form={form}
      backTo={backTo(pumpId)}
      saveWords="Close the case"
    >
      <SelectField
        label="What was it?"
        value={values.causeId}
        error={error('causeId')}
        onChange={(id) => {
          set('causeId')(id);
          // What the remedy usually is, until somebody writes what was really done.
          if (!values.remedy || values.remedy === cause?.remedy) set('remedy')(causeOf(id)?.remedy ?? '');
        }}
        options={[
          ...likely.map((l) => ({ value: l.id, words: l.words, group: 'Likely' })),
          ...others.map((id) => ({ value: id, words: CAUSES[id].name, group: 'Others' })),
          { value: NO_CAUSE, words: 'No cause was found', group: 'Others' },
        ]}
      />
      <Field label="What was done about it?" error={error('remedy')}>
        {({ id, describedBy, invalid }) => (
          <textarea
            id={id}
            rows={4}
            maxLength={500}
            className={`${inputClass(invalid)} py-3`}
            value={values.remedy}
            onChange={(e) => set('remedy')(e.target.value)}
            aria-describedby={describedBy}
            aria-invalid={invalid}
          />
        )}
      </Field>
      {cause && cause.cautions.length > 0 && <Caution>{cause.cautions.join(' ')}</Caution>}
      {cause && (
        <p className="text-[15px]">
          <span className="font-semibold">So that it does not come again:</span> {cause.prevention}
        </p>
      )}
      <Chips
        label="Look again whether it held after"
        value={values.checkAfterRuns}
        onChange={set('checkAfterRuns')}
        chips={CHECK_AFTER.map((n) => ({ value: n, words: n === '1' ? '1 run' : `${n} runs` }))}
      />
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}

interface CheckValues extends When {
  held: '' | 'yes' | 'no';
  remark: string;
}

export function CaseCheckPage() {
  return (
    <WithCase>
      {(props) =>
        props.answer.case?.closedAt || props.correctId ? (
          <CheckRemedy {...props} />
        ) : (
          <NoCase page={props.page}>No closed case waits to be checked.</NoCase>
        )
      }
    </WithCase>
  );
}

function CheckRemedy({ answer, ...props }: CaseProps) {
  const { page, correctId } = props;
  const { zone } = page.row;
  const form = useEntryForm<'caseChecked', CheckValues>({
    kind: 'caseChecked',
    page,
    draft: answer.case?.caseId ?? '',
    defaults: { held: '', remark: '', ...happensNow(zone) },
    read(v): Said<'caseChecked'> {
      const at = whenOf(v, zone, Date.now());
      const issues = {
        ...(at ? {} : { at: WHEN_WRONG }),
        ...(v.held ? {} : { held: 'Say whether it held.' }),
      };
      if (!at || !v.held) return { ok: false, issues };
      const body = { held: v.held === 'yes', ...remarkOf(v) };
      return { ok: true, happenedAt: at, precision: 'exact', body, caseId: answer.case?.caseId ?? null };
    },
    fill: ({ body, happenedAt: at }: Extract<Entry, { kind: 'caseChecked' }>) => ({
      held: body.held ? 'yes' : 'no',
      remark: body.remark ?? '',
      ...happenedAt(at, zone),
    }),
    savedWords: (v) => (v.held === 'yes' ? 'The remedy held' : 'The case is open again'),
    correctId,
  });
  const cause = answer.case?.causeId ? causeOf(answer.case.causeId) : null;
  return (
    <EntryScreen title="Did the remedy hold?" foot={false} props={props} form={form} saveWords="Save">
      {answer.case && (
        <p className="text-[16px]">
          “{answer.case.complaint}”: {cause?.name ?? 'no cause was found'}. {answer.case.remedy}
        </p>
      )}
      <Chips
        label="Since then"
        value={form.values.held || null}
        onChange={form.set('held')}
        error={form.error('held')}
        chips={[
          { value: 'yes', words: 'it held' },
          { value: 'no', words: 'it came again' },
        ]}
      />
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
