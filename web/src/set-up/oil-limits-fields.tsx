import { echoOf } from '../ui/typed-number.js';
import {
  LAB_SIGNS,
  LAB_STEPS,
  LIMIT_LEVELS,
  OIL_SIGNS,
  OIL_STEPS,
  resolveOilLimits,
  VERDICT_LEVELS,
  type HouseSetUp,
  type OilLimits,
  type SetUpKind,
  type SignId,
  type StepId,
  type VerdictLevel,
} from '@winter-jar/core';
import { verdictWords } from '../words/messages.js';
import { SIGN_WORDS, STEP_WORDS } from '../words/oil-limit-words.js';
import type { RecordValues } from './field-specs.js';
import { NO_LIMIT } from './limit-values.js';
import { OIL_LIMIT_BOUNDS, oilLimitName } from './oil-limit-values.js';
import { Unfolding } from '../ui/unfolding.js';
import type { RecordFormProps } from './record-fields.js';

/** What stands beneath this record: the house's, and of a pump its oil's too. */
function inheritedBy(kind: SetUpKind, values: RecordValues, house: HouseSetUp): OilLimits {
  const ofHouse = house.houseRules.house?.oilLimits;
  if (kind === 'houseRules') return resolveOilLimits();
  const product = kind === 'pump' ? house.oilProduct[values.oilProductId ?? ''] : undefined;
  return resolveOilLimits(ofHouse, product?.oilLimits);
}

const isLab = (list: readonly unknown[], item: unknown): boolean => list.includes(item);
/** What the eye sees, and what a laboratory says. */
const PARTS = [
  {
    title: 'By eye',
    steps: OIL_STEPS.filter((s) => !isLab(LAB_STEPS, s)),
    signs: OIL_SIGNS.filter((s) => !isLab(LAB_SIGNS, s)),
  },
  { title: 'By the lab', steps: LAB_STEPS, signs: LAB_SIGNS },
];

const words = (level: VerdictLevel): string =>
  level === 'beforeNextRun' ? 'Before next run' : verdictWords(level, null);

/** Where readings of the oil lead to which verdict: what is inherited, and what is said otherwise here. Each with its reason. */
export function OilLimitsFields({ kind, values, set, error, house }: RecordFormProps & { kind: SetUpKind }) {
  const beneath = inheritedBy(kind, values, house);
  const own = Object.keys(values).filter((name) => name.startsWith('oilLimits/') && values[name]).length;
  const wrong = OIL_STEPS.some(({ id }) => LIMIT_LEVELS.some((l) => error(oilLimitName(`${id}.${l}`))));
  return (
    <Unfolding
      className="border-b border-rule"
      needed={wrong}
      summary={
        <summary className="flex min-h-11 cursor-pointer flex-wrap items-baseline gap-x-3 py-2">
          <h2 className="inline text-[18px]">Reading the oil</h2>
          <span className="text-[14px] text-ink-2">
            {own > 0 ? `${own} said otherwise here` : kind === 'houseRules' ? 'our defaults' : 'as inherited'}
          </span>
        </summary>
      }
    >
      <p className="pb-3 text-[14px] text-ink-2">
        From when on a reading calls for a look, an act before the next run, or Stop. Leave a field empty to inherit,
        write “{NO_LIMIT}” to take a limit away.
      </p>
      {PARTS.map(({ title, steps, signs }) => (
        <section key={title} className="flex flex-col">
          <h3 className="border-t border-rule pt-4 pb-2 text-[16px] font-semibold">{title}</h3>
          {steps.map(({ id }) => (
            <StepRow key={id} id={id} beneath={beneath} values={values} set={set} error={error} />
          ))}
          {signs.map((sign) => (
            <SignRow key={sign} sign={sign} beneath={beneath} values={values} set={set} />
          ))}
        </section>
      ))}
    </Unfolding>
  );
}

type RowProps = Pick<RecordFormProps, 'values' | 'set' | 'error'> & { readonly beneath: OilLimits };

function StepRow({ id, beneath, values, set, error }: RowProps & { id: StepId }) {
  return (
    <div className="grid gap-x-4 gap-y-2 border-t border-rule-soft py-3 sm:grid-cols-[minmax(0,1fr)_300px]">
      <div>
        <p className="font-semibold">
          {STEP_WORDS[id].label} … {STEP_WORDS[id].unit}
        </p>
        <p className="text-[14px] text-ink-2">{STEP_WORDS[id].reason}</p>
      </div>
      <div className="grid grid-cols-3 gap-2">
        {LIMIT_LEVELS.map((level) => {
          const key = `${id}.${level}` as const;
          const name = oilLimitName(key);
          return (
            <label key={level} className="flex flex-col gap-1 text-[13px]">
              {words(level)}
              <input
                className={`figure min-h-11 rounded-[6px] border bg-sheet px-3 text-[15px] ${error(name) ? 'border-2 border-stop' : 'border-edge'}`}
                aria-label={`${STEP_WORDS[id].label} … ${STEP_WORDS[id].unit}: ${words(level)}`}
                aria-invalid={Boolean(error(name))}
                placeholder={beneath[key] === null ? '–' : String(beneath[key])}
                value={values[name] ?? ''}
                onChange={(e) => set(name)(e.target.value)}
              />
              {!error(name) && echoOf(values[name] ?? '', OIL_LIMIT_BOUNDS)}
              {error(name) && (
                <span role="alert" className="font-semibold text-stop">
                  {error(name)}
                </span>
              )}
            </label>
          );
        })}
      </div>
    </div>
  );
}

function SignRow({ sign, beneath, values, set }: Omit<RowProps, 'error'> & { sign: SignId }) {
  return (
    <label className="grid items-center gap-x-4 gap-y-2 border-t border-rule-soft py-2 sm:grid-cols-[minmax(0,1fr)_300px]">
      <span>
        <span className="font-semibold">{SIGN_WORDS[sign].label}</span>{' '}
        <span className="block text-[14px] text-ink-2">{SIGN_WORDS[sign].reason}</span>
      </span>
      <select
        className="min-h-11 rounded-[6px] border border-edge bg-sheet px-3 text-[15px]"
        value={values[oilLimitName(sign)] ?? ''}
        onChange={(e) => set(oilLimitName(sign))(e.target.value)}
      >
        <option value="">{words(beneath[sign])} (inherited)</option>
        {VERDICT_LEVELS.map((level) => (
          <option key={level} value={level}>
            {words(level)}
          </option>
        ))}
      </select>
    </label>
  );
}
