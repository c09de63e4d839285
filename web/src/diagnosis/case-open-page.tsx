import type { Entry } from '@winter-jar/core';
import { EntryScreen } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';
import { TextField } from '../ui/field.js';
import { complaintOf } from './case-form.js';
import { backTo, NoCase, WithCase, type CaseProps } from './with-case.js';

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
    read(v, idFor): FormAnswer<'caseOpened'> {
      const at = whenOf(v, zone, Date.now());
      const complaint = v.complaint.trim();
      const issues = {
        ...(at ? {} : { at: WHEN_WRONG }),
        ...(complaint ? {} : { complaint: 'Say in a few words what seems wrong.' }),
      };
      if (!at || !complaint) return { ok: false, issues };
      return exactly('caseOpened', at, { complaint }, [{ type: 'case', id: idFor('case') }]);
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
