import { uncapital } from '../ui/number.js';
import { SCHOOL_WORDS } from '../words/school-words.js';
import { SCHOOLS, type HouseSetUp, type SchoolId } from '@winter-jar/core';

/** The schools of oil care side by side: why people follow them, what each costs, and who follows it here. */
export function SchoolsTable({ house }: { house: HouseSetUp }) {
  const followers = (school: SchoolId) =>
    Object.values(house.pump).filter((p) => p.preset === school && p.place !== 'retired');
  return (
    <section>
      <h2 className="border-b border-rule pb-1 text-[18px]">Schools of oil care</h2>
      <p className="mt-2 text-[14px] text-ink-2">
        Each pump follows one; the limits below lie over it for the whole house. None is right for every pump.
      </p>
      <ul>
        {Object.values(SCHOOLS).map(({ id, why, cost }) => {
          const pumps = followers(id);
          return (
            <li key={id} className="border-b border-rule-soft py-3 text-[15px]">
              <span className="font-semibold">{SCHOOL_WORDS[id]}.</span> {why}{' '}
              <span className="text-ink-2">What it costs: {uncapital(cost)}</span>
              <span className="block text-[14px] text-ink-2">
                {pumps.length === 0 ? 'No pump follows it here.' : `Here: ${pumps.map((p) => p.name).join(', ')}`}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
