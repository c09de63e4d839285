import { SERVICE_TASKS } from '@winter-jar/contracts';
import type { Level, TaskId } from '@winter-jar/core';
import { useUnits } from '../device/use-units.js';
import { TASK_WORDS } from '../words/messages.js';
import { Chips } from '../ui/chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { quantityText } from '../ui/quantity-text.js';
import { SelectField } from '../ui/select-field.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { DeedCautions } from '../entry/deed-cautions.js';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { ProductField, productOf } from '../entry/product-field.js';
import { chargeMlOf } from '../entry/sump-field.js';
import { LEVEL_AFTER_CHIPS, LEVEL_NOT_SAID } from '../forms/level-chips.js';
import { fieldReader } from '../forms/read-quantity.js';
import { boundTo } from '../forms/bound-to.js';
import { remarkOf } from '../forms/remark-of.js';
import { Remark } from '../forms/remark.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { happenedAt, happensNow, WHEN_WRONG, WhenField, whenOf, type When } from '../forms/when-field.js';
import { useSearchParams } from 'react-router';

interface DoneValues extends When {
  task: string;
  filled: 'yes' | 'no';
  productId: string;
  inMl: string;
  levelAfter: Level | 'notRead' | '';
  remark: string;
}

export function DonePage() {
  return <WithPump needsOil={false}>{(props) => <Done {...props} />}</WithPump>;
}

/** The housing is empty after them: a wash ends with a new charge, and both are one deed. */
const DRAINED_FOR: readonly string[] = ['flush', 'housingClean', 'stripClean'] satisfies TaskId[];
const FILLED = [
  { value: 'yes', words: 'filled anew' },
  { value: 'no', words: 'not filled yet' },
] as const;
const HOW: { readonly [T in TaskId]?: string } = {
  purge: 'Inlet closed, ballast open, running warm for about an hour; then look again, and put the ballast back.',
  flush:
    'Fill, run half an hour warm, drain, look; again until it comes out as it should. The last fill is the new charge.',
  housingClean: 'Wash, rinse, dry it completely, fit a new gasket, then two short flushes.',
  stripClean: 'By a specialist: the whole pump apart, solvent clean, new seals; nothing of the old oil stays.',
  vaneCheck: 'Opening the mechanism only where your house rule allows it.',
};

const SUMP = 'oil';

/** A service task, done now or earlier. */
function Done(props: EntryPageProps) {
  const { page, correctId } = props;
  const { zone } = page.row;
  const units = useUnits();
  const tasks = page.setUp.rules.tasks.map((t) => t.task).filter((t) => SERVICE_TASKS.includes(t));

  function read(v: DoneValues): FormAnswer<'done'> {
    const at = whenOf(v, zone, Date.now());
    const issues = {
      ...(v.task ? {} : { task: 'Say which task was done.' }),
      ...(at ? {} : { at: WHEN_WRONG }),
    };
    if (!at || !v.task) return { ok: false, issues };
    const answer = exactly('done', at, { task: v.task, ...remarkOf(v) });
    if (!fills(v)) return answer;
    const fields = fieldReader(units);
    const inMl = fields.wanted('inMl', v.inMl, 'volume', { min: 1 });
    if (!v.productId) fields.refuse('productId', 'Say which oil was filled.');
    if (fields.hasIssues() || inMl === null) return { ok: false, issues: fields.issues };
    if (v.levelAfter === '') return { ok: false, issues: { levelAfter: LEVEL_NOT_SAID } };
    const levelAfter = v.levelAfter === 'notRead' ? null : v.levelAfter;
    const body = { sump: SUMP, productId: v.productId, inMl, levelAfter } as const;
    return {
      ok: true,
      deed: { ...answer.deed, after: [{ kind: 'change', body, happenedAt: at, precision: 'exact' }] },
    };
  }
  const fills = (v: DoneValues) => DRAINED_FOR.includes(v.task) && v.filled === 'yes' && !correctId;
  /** A new charge is of the same oil, up to the mark. */
  const filled = (said: When & Pick<DoneValues, 'task' | 'remark'>): DoneValues => ({
    ...said,
    filled: 'yes',
    productId: productOf(page, SUMP) ?? '',
    inMl: quantityText(chargeMlOf(page, SUMP), units.volume),
    levelAfter: '',
  });
  const [search] = useSearchParams();
  const asked = tasks.find((t) => t === search.get('task')) ?? '';
  const form = useEntryForm<'done', DoneValues>({
    kind: 'done',
    page,
    defaults: filled({ task: asked, remark: '', ...happensNow(zone) }),
    read,
    fill: (entry) =>
      filled({ task: entry.body.task, remark: entry.body.remark ?? '', ...happenedAt(entry.happenedAt, zone) }),
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
      {values.task && <DeedCautions page={page} deed={values.task as TaskId} how={HOW[values.task as TaskId]} />}
      {DRAINED_FOR.includes(values.task) && !correctId && (
        <Chips label="The oil" chips={FILLED} value={values.filled} onChange={set('filled')} />
      )}
      {fills(values) && (
        <>
          <ProductField
            page={page}
            value={values.productId}
            before={productOf(page, SUMP)}
            onChange={set('productId')}
            error={error('productId')}
          />
          <QuantityField label="Filled in" dimension="volume" {...boundTo(form, 'inMl')} min={1} />
          <Chips
            label="Level after a minute’s run and a wait"
            chips={LEVEL_AFTER_CHIPS}
            value={values.levelAfter || null}
            onChange={set('levelAfter')}
            error={error('levelAfter')}
          />
        </>
      )}
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}
