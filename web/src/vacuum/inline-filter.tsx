import type { PumpPage } from '@winter-jar/contracts';
import { HOUSE_RULES_ID, schoolCosts, withOilIn, type InlineFilterLine } from '@winter-jar/core';
import { useState } from 'react';
import { TextField } from '../ui/field.js';
import { number, percent } from '../ui/number.js';
import { ASSUMPTION_WORDS, INLINE_LINE_WORDS, lostWords } from '../words/inlet-words.js';
import type { InletCosts } from './inlet-form.js';
import {
  INLINE_FILTER_ASKED,
  INLINE_FILTER_GROUPS,
  inlineFilterBegins,
  inlineFilterIssue,
  inlineFilterOf,
} from './inline-filter-form.js';

const DAYS = 365;
const CHANGE_MINUTES = 30;

/** What is known of this pump already. */
function ownOf({ setUp: shown, state, standing }: PumpPage) {
  const setUp = withOilIn(shown, state.sumps[0]?.charge.productId ?? null);
  const hourPrice = setUp.house.houseRules[HOUSE_RULES_ID]?.hourPrice ?? null;
  const perL = setUp.product?.pricePerL ?? null;
  const chargeL = (setUp.model.sumps.find((s) => s.key === 'oil')?.chargeMl ?? 0) / 1000;
  const { runsPerDay } = standing.usage;
  const school = schoolCosts({ setUp, use: standing.usage }).find((s) => s.school === setUp.pump.preset);
  return {
    ...(runsPerDay === null ? {} : { runsPerYear: runsPerDay * DAYS }),
    ...(school ? { oilChangesPerYear: school.changes } : {}),
    ...(setUp.pump.preset === 'freshEveryRun' ? { particleShare: 0 } : {}),
    ...(hourPrice === null ? {} : { hourPrice }),
    ...(perL === null ? {} : { oilChangePrice: perL * chargeL + ((hourPrice ?? 0) * CHANGE_MINUTES) / 60 }),
  };
}

/** Whether a filter between chamber and pump pays: both sides in money, from this pump's own figures and what is assumed. */
export function InlineFilter({ page, costs }: { page: PumpPage; costs: InletCosts | null }) {
  const [own] = useState(() => ownOf(page));
  const [typed, setTyped] = useState(() => inlineFilterBegins(own));
  const filter = (page.setUp.equipment.inlet ?? []).some((p) => p.kind === 'filter');
  // What a filter costs in time is known where the chain with it is.
  const minutesLost = filter ? (costs?.lostMinutes ?? 0) : 0;
  const everyRun = page.setUp.pump.preset === 'freshEveryRun';
  const worth = inlineFilterOf(typed, minutesLost);
  return (
    <section aria-label="In-line filter" className="mt-10 border-t border-rule pt-6">
      <h2 className="text-[20px]">A particle filter between chamber and pump: worth it?</h2>
      <p className="mt-1 max-w-[72ch] text-[15px] text-ink-2">
        One side: it keeps dust, crumbs and fibres out of the oil, ten to a hundred times fewer. The other: every joint
        is a possible leak, plastic housings crack under vacuum cycling, and elements made for pressure starve the pump
        or shed fibres themselves.
      </p>
      <div className="mt-4 grid gap-x-10 gap-y-6 wide:grid-cols-2">
        <div className="flex flex-col gap-5">
          {INLINE_FILTER_GROUPS.map(({ title, keys }) => (
            <fieldset key={title} className="min-w-0">
              <legend className="text-[16px] font-semibold">{title}</legend>
              <div className="mt-2 grid grid-cols-2 items-end gap-3">
                {keys.map((key) => (
                  <TextField
                    key={key}
                    label={INLINE_FILTER_ASKED[key].label}
                    value={typed[key]}
                    onText={(text) => setTyped({ ...typed, [key]: text })}
                    inputMode="decimal"
                    error={inlineFilterIssue(key, typed[key])}
                    hint={
                      key in own ? 'this pump’s own' : INLINE_FILTER_ASKED[key].assumed ? 'assumed' : 'ours, say yours'
                    }
                  />
                ))}
              </div>
            </fieldset>
          ))}
        </div>
        <div className="min-w-0" aria-live="polite">
          {worth ? (
            <>
              <p className="text-[20px] font-semibold">
                {worth.net >= 0
                  ? `It keeps ${number(worth.net)} a year`
                  : `It costs ${number(-worth.net)} a year more than it keeps`}
              </p>
              <dl className="mt-3 border-y border-rule text-[15px]">
                {(Object.entries(worth.yearly) as [InlineFilterLine, number][]).map(([line, value]) => (
                  <div key={line} className="flex justify-between gap-4 border-b border-rule-soft py-1 last:border-0">
                    <dt>{INLINE_LINE_WORDS[line]}</dt>
                    <dd className="figure text-right">
                      {value === 0 ? '–' : `${value < 0 ? '−' : '+'} ${number(Math.abs(value))}`}
                    </dd>
                  </div>
                ))}
              </dl>
              <ul className="mt-3 flex flex-col gap-2 text-[15px] leading-6">
                {!everyRun && (
                  <li>
                    {worth.breakEvenShare === null
                      ? 'It would not pay even if particles made every oil change.'
                      : worth.breakEvenShare === 0
                        ? 'It pays by the wear alone.'
                        : `It pays where particles make ${percent(worth.breakEvenShare)} of the oil changes or more.`}
                  </li>
                )}
                <li>
                  {everyRun
                    ? 'This pump’s oil is changed after every run whatever is in it: a filter keeps none of that until it stays in longer.'
                    : 'Of the oil only that is kept which then stays in longer: a limit by runs or hours does not move by itself.'}
                </li>
                <li>It hangs most on {ASSUMPTION_WORDS[worth.hangsOn]}.</li>
                <li>
                  {`Filtering the oil after every run instead ${worth.otherWay >= 0 ? 'keeps' : 'costs'} ${number(Math.abs(worth.otherWay))} a year; it keeps the oil, not the vanes.`}
                </li>
                <li>
                  {minutesLost > 0
                    ? `With the filter in the chain above a pump-down loses ${lostWords(minutesLost)}.`
                    : 'Add the filter to the chain above and keep it, and its time counts as well.'}
                </li>
              </ul>
              <p className="mt-4 text-[15px] text-ink-2">
                {page.setUp.service.length > 0 &&
                  'Solvent, oxygen, toxic or biological work: only an element and a housing that their maker allows for it. '}
                Vent before it is opened; site rules and the maker’s manual come first. In the money of the house.
              </p>
            </>
          ) : (
            <p className="font-semibold">A figure is not right: it is told beneath its field.</p>
          )}
        </div>
      </div>
    </section>
  );
}
