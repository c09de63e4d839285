import {
  HOUSE_LIMITS,
  MEASURES,
  resolveRules,
  TASKS,
  tasksOf,
  type HouseSetUp,
  type Limits,
  type PumpModel,
  type ResolvedLimit,
  type SetUpKind,
  type TaskId,
} from '@winter-jar/core';
import { limitWords, measureWords, sourceWords, TASK_WORDS } from '../words/messages.js';
import { echoOf, typedNumber } from '../ui/typed-number.js';
import { inputClass } from '../ui/field.js';
import { Unfolding } from '../ui/unfolding.js';
import type { RecordValues } from './field-specs.js';
import { LIMIT_BOUNDS, limitName, NO_LIMIT } from './limit-values.js';
import type { RecordFormProps } from './record-fields.js';

type Inherited = {
  readonly task: TaskId;
  readonly limits: readonly Pick<ResolvedLimit, 'measure' | 'value' | 'from'>[];
};

const listed = (limits: Limits | undefined): Inherited['limits'] =>
  MEASURES.flatMap((measure) => {
    const value = limits?.[measure];
    return value === null || value === undefined ? [] : [{ measure, value, from: 'house' as const }];
  });

/** What stands beneath this record, task by task: of a pump all that it inherits, of others the house's own. */
function inheritedBy(kind: SetUpKind, values: RecordValues, house: HouseSetUp): Inherited[] {
  const model = house.pumpModel[values.modelId ?? ''];
  const equipment = house.equipment[values.equipmentId ?? ''];
  if (kind === 'pump' && model && equipment) {
    const product = house.oilProduct[values.oilProductId ?? ''] ?? null;
    const pump = { preset: values.preset as never, limits: null };
    return [...resolveRules({ pump, model, product, equipment, house: house.houseRules.house }).tasks];
  }
  const tasks =
    kind === 'pumpModel'
      ? tasksOf({ kind: values.kind, hasOilFilter: values.hasOilFilter === 'yes' } as Pick<
          PumpModel,
          'kind' | 'hasOilFilter'
        >)
      : TASKS;
  const beneath = kind === 'houseRules' ? {} : house.houseRules.house?.limits;
  return tasks.map(({ id }) => ({ task: id, limits: listed({ ...HOUSE_LIMITS[id], ...beneath?.[id] }) }));
}

const ownLimits = (values: RecordValues, task: TaskId): string[] =>
  MEASURES.flatMap((measure) => {
    const text = (values[limitName(task, measure)] ?? '').trim();
    if (text === '') return [];
    if (text.toLowerCase() === NO_LIMIT) return [`no limit in ${measureWords(measure).toLowerCase()}`];
    const read = typedNumber(text, LIMIT_BOUNDS);
    return read.ok ? [limitWords(measure, read.value)] : [];
  });

/** Limits task by task: what is inherited, from where, and what is said otherwise here. Empty inherits. */
export function LimitsFields({ kind, values, set, error, house }: RecordFormProps & { kind: SetUpKind }) {
  return (
    <section className="flex flex-col gap-1">
      <h2 className="border-b border-rule pb-1 text-[18px]">Limits</h2>
      <p className="text-[14px] text-ink-2">
        Leave a field empty to inherit, write “{NO_LIMIT}” to take a limit away. The first limit reached decides.
      </p>
      {inheritedBy(kind, values, house).map(({ task, limits }) => {
        const own = ownLimits(values, task);
        const wrong = MEASURES.some((m) => error(limitName(task, m)));
        return (
          <Unfolding
            key={task}
            className="border-b border-rule-soft"
            needed={wrong}
            summary={
              <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3 py-2">
                <span className="min-w-40 font-semibold">{TASK_WORDS[task]}</span>
                <span className="text-[14px] text-ink-2">
                  {own.length > 0 && <span className="font-semibold text-ink">{own.join(', ')} (here)</span>}
                  {own.length > 0 && limits.length > 0 && ' · '}
                  {limits.map((l) => `${limitWords(l.measure, l.value)} (${sourceWords(l.from)})`).join(' · ')}
                  {own.length === 0 &&
                    limits.length === 0 &&
                    (kind === 'pump' ? 'no limit' : 'as each pump’s school says')}
                </span>
              </summary>
            }
          >
            <div className="grid grid-cols-2 gap-3 pb-4 sm:grid-cols-5">
              {MEASURES.map((measure) => {
                const name = limitName(task, measure);
                const beneath = limits.find((l) => l.measure === measure);
                const message = error(name);
                const echo = echoOf(values[name] ?? '', LIMIT_BOUNDS);
                return (
                  <label key={measure} className="flex min-w-0 flex-col gap-1 text-[14px]">
                    {measureWords(measure)}
                    <input
                      className={`${inputClass(Boolean(message))} figure !min-h-11 !px-3 !text-[15px]`}
                      aria-label={`${TASK_WORDS[task]}: ${measureWords(measure)}`}
                      aria-invalid={Boolean(message)}
                      placeholder={beneath ? String(beneath.value) : '–'}
                      value={values[name] ?? ''}
                      onChange={(e) => set(name)(e.target.value)}
                    />
                    {!message && echo && <span className="text-ink-2">{echo}</span>}
                    {message && (
                      <span role="alert" className="font-semibold text-stop">
                        {message}
                      </span>
                    )}
                  </label>
                );
              })}
            </div>
          </Unfolding>
        );
      })}
    </section>
  );
}
