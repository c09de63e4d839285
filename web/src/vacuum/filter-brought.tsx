import type { PumpPage } from '@winter-jar/contracts';
import { filterBrought, type Equipment } from '@winter-jar/core';
import { useState } from 'react';
import { useOilStoryQuery, useRecordQuery } from '../api/house-api.js';
import { TextField } from '../ui/field.js';
import { number } from '../ui/number.js';
import { BROUGHT_WORDS, broughtWords } from '../words/inlet-words.js';

const hasFilter = (equipment: object): boolean =>
  ((equipment as Equipment).inlet ?? []).some((part) => part.kind === 'filter');

/** Where a filter sits in the chain: what has changed in the oil since, out of what was logged before and after. */
export function FilterBrought({ page }: { page: PumpPage }) {
  const { pump, equipment } = page.setUp;
  const fitted = hasFilter(equipment);
  const { data: record } = useRecordQuery({ kind: 'equipment', id: pump.equipmentId }, { skip: !fitted });
  const { data: story } = useOilStoryQuery(page.row.pumpId, { skip: !fitted });
  const [typed, setTyped] = useState<string | null>(null);
  if (!fitted || !record || !story) return null;
  // Since the chain was said with it; whoever knows better says the day.
  const versions = [...record.versions].sort((a, b) => (a.validFrom < b.validFrom ? -1 : 1));
  const since = versions.findLastIndex((v) => !hasFilter(v.body)) + 1;
  const day = typed ?? versions[since]?.validFrom.slice(0, 10) ?? '';
  const isDay = /^\d{4}-\d\d-\d\d$/.test(day) && !Number.isNaN(Date.parse(day));
  const lines = isDay ? filterBrought({ ...story, fittedAt: new Date(day).toISOString() }) : [];
  return (
    <section aria-label="What it has brought" className="mt-8 max-w-[760px]">
      <h3 className="text-[18px]">What the filter has brought</h3>
      <div className="mt-2 max-w-[280px]">
        <TextField label="Fitted on" type="date" value={day} onText={setTyped} />
      </div>
      {lines.length === 0 ? (
        <p className="mt-2 text-[15px] text-ink-2">
          Told once three charges ended before that day and three that began after it have ended too.
        </p>
      ) : (
        <table className="mt-3 w-full text-[15px]">
          <thead>
            <tr className="border-b border-rule text-left text-[14px] text-ink-2">
              <th className="py-1 font-normal">Of a charge</th>
              <th className="py-1 text-right font-normal">Before</th>
              <th className="py-1 text-right font-normal">Since</th>
              <th className="py-1 pl-3 text-right font-normal">Changed by</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.measure} className="border-b border-rule-soft">
                <td className="py-1">{BROUGHT_WORDS[line.measure].name}</td>
                <td className="figure py-1 text-right">{number(line.before, BROUGHT_WORDS[line.measure].digits)}</td>
                <td className="figure py-1 text-right">{number(line.after, BROUGHT_WORDS[line.measure].digits)}</td>
                <td className="py-1 pl-3 text-right">{broughtWords(line)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="mt-2 text-[14px] text-ink-2">
        Medians of ended charges, and how far apart the two groups lie, eight in ten. What else changed at that time is
        in it as well.
      </p>
    </section>
  );
}
