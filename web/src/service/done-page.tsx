import { SERVICE_TASKS } from '@winter-jar/contracts';
import type { TaskId } from '@winter-jar/core';
import { TASK_WORDS } from '../words/messages.js';
import { Caution } from '../ui/caution.js';
import { SelectField } from '../ui/select-field.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';
import { useSearchParams } from 'react-router';

interface DoneValues extends When {
  task: string;
  remark: string;
}

export function DonePage() {
  return <WithPump needsOil={false}>{(props) => <Done {...props} />}</WithPump>;
}

/** What can hurt, said where the task is chosen; site rules and the maker's manual come first. */
const TASK_CAUTIONS: { readonly [T in TaskId]?: string } = {
  purge:
    'Inlet closed, ballast open, running warm for about an hour; then look again, and put the ballast back. Never with air when there is solvent or styrene in the oil.',
  flush: 'Off, isolated and locked out before covers come off. Hot oil burns: drain at 40 to 60 °C.',
  housingClean:
    'Off, isolated and locked out before the case comes off; vent first. Dry it completely, fit a new gasket, then two short flushes.',
  vaneCheck:
    'Off, isolated and locked out; the capacitor holds charge. Opening the mechanism only where your house rule allows it.',
};

/** A service task, done now or earlier. */
function Done(props: EntryPageProps) {
  const { page, correctId } = props;
  const { zone } = page.row;
  const tasks = page.setUp.rules.tasks.map((t) => t.task).filter((t) => SERVICE_TASKS.includes(t));

  function read(v: DoneValues): FormAnswer<'done'> {
    const at = whenOf(v, zone, Date.now());
    const issues = {
      ...(v.task ? {} : { task: 'Say which task was done.' }),
      ...(at ? {} : { at: WHEN_WRONG }),
    };
    if (!at || !v.task) return { ok: false, issues };
    return exactly('done', at, { task: v.task, ...remarkOf(v) });
  }
  const [search] = useSearchParams();
  const asked = tasks.find((t) => t === search.get('task')) ?? '';
  const form = useEntryForm<'done', DoneValues>({
    kind: 'done',
    page,
    defaults: { task: asked, remark: '', ...happensNow(zone) },
    read,
    fill: (entry) => ({
      task: entry.body.task,
      remark: entry.body.remark ?? '',
      ...happenedAt(entry.happenedAt, zone),
    }),
    savedWords: (v) => `${TASK_WORDS[v.task as TaskId]} done on ${page.row.name}`,
    correctId,
  });
  const { values, set, error } = form;

  return (
    <EntryScreen title="Task done" props={props} form={form} saveWords="Save the task">
      <SelectField
        label="Which task"
        value={values.task}
        onChange={set('task')}
        error={error('task')}
        options={tasks.map((task) => ({ value: task, words: TASK_WORDS[task] }))}
      />
      {TASK_CAUTIONS[values.task as TaskId] && <Caution>{TASK_CAUTIONS[values.task as TaskId]}</Caution>}
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
