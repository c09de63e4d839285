import {
  LIMIT_LEVELS,
  OIL_SIGNS,
  OIL_STEPS,
  resolveOilLimits,
  VERDICT_LEVELS,
  type HouseSetUp,
  type OilLimits,
  type SetUpKind,
  type VerdictLevel,
} from '@winter-jar/core';
import { verdictWords } from '../care/messages.js';
import { SIGN_WORDS, STEP_WORDS } from '../oil/oil-limit-words.js';
import type { RecordValues } from './field-specs.js';
import { NO_LIMIT } from './limit-values.js';
import { oilLimitName } from './oil-limit-values.js';
import { Unfolding } from '../ui/unfolding.js';
import type { RecordFormProps } from './record-fields.js';

/** What stands beneath this record: the house's, and of a pump its oil's too. */
function inheritedBy(kind: SetUpKind, values: RecordValues, house: HouseSetUp): OilLimits {
  const ofHouse = house.houseRules.house?.oilLimits;
  if (kind === 'houseRules') return resolveOilLimits();
  const product = kind === 'pump' ? house.oilProduct[values.oilProductId ?? ''] : undefined;
  return resolveOilLimits(ofHouse, product?.oilLimits);
}

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
      <div className="flex flex-col">
        {OIL_STEPS.map(({ id }) => (
          <div
            key={id}
            className="grid gap-x-4 gap-y-2 border-t border-rule-soft py-3 sm:grid-cols-[minmax(0,1fr)_300px]"
          >
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
        ))}
        {OIL_SIGNS.map((sign) => (
          <label
            key={sign}
            className="grid items-center gap-x-4 gap-y-2 border-t border-rule-soft py-2 sm:grid-cols-[minmax(0,1fr)_300px]"
          >
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
        ))}
      </div>
    </Unfolding>
  );
}
