import type { Entry } from '@winter-jar/core';
import { EntryScreen } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { caseSubjects } from './case-form.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';
import { Chips } from '../ui/chips.js';
import { causeOf } from '../words/diagnosis-words.js';
import { NoCase, WithCase, type CaseProps } from './with-case.js';

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
    read(v): FormAnswer<'caseChecked'> {
      const at = whenOf(v, zone, Date.now());
      const issues = {
        ...(at ? {} : { at: WHEN_WRONG }),
        ...(v.held ? {} : { held: 'Say whether it held.' }),
      };
      if (!at || !v.held) return { ok: false, issues };
      const body = { held: v.held === 'yes', ...remarkOf(v) };
      return exactly('caseChecked', at, body, caseSubjects(answer));
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
