import { CAUSES, type CauseId, type Entry, cautionWords } from '@winter-jar/core';
import { useSearchParams } from 'react-router';
import { EntryScreen } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { caseSubjects } from './case-form.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';
import { Caution } from '../ui/caution.js';
import { Chips } from '../ui/chips.js';
import { Field, inputClass } from '../ui/field.js';
import { SelectField } from '../ui/select-field.js';
import { causeOf, shareWords } from '../words/diagnosis-words.js';
import { backTo, NoCase, WithCase, type CaseProps } from './with-case.js';

const NO_CAUSE = 'none';
const CHECK_AFTER = ['1', '3', '5', '10'] as const;

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
      remedy: '',
      checkAfterRuns: '3',
      remark: '',
      ...happensNow(zone),
    },
    read(v): FormAnswer<'caseClosed'> {
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
      return exactly('caseClosed', at, body, caseSubjects(answer));
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
    words: `${causeOf(c.id)?.name ?? c.id}, ${shareWords(c.probability)}`,
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
        onChange={set('causeId')}
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
      {cause && (
        <p className="text-[15px]">
          <span className="font-semibold">Usually:</span> {cause.remedy}
        </p>
      )}
      {cause && cause.cautions.length > 0 && <Caution>{cautionWords(cause.cautions).join(' ')}</Caution>}
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
