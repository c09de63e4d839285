import { INLET_PART_KINDS, INLET_PART_NEEDS, pumpUltimatePa, setTargetPa, type InletPart } from '@winter-jar/core';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { useKeepEquipment } from '../service/use-keep-record.js';
import { Button } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { number, uncapital } from '../ui/number.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { INLET_FIELD_WORDS, INLET_PART_WORDS, lostWords, partWords } from '../words/inlet-words.js';
import type { Words } from '../words/words.js';
import {
  figureIssue,
  inletCosts,
  partsOf,
  typedPart,
  WORTH_MINUTES,
  type InletCosts,
  type TypedPart,
} from './inlet-form.js';
import { FilterBrought } from './filter-brought.js';
import { InlineFilter } from './inline-filter.js';

/** What lies between chamber and pump, what it costs, and whether a filter in it pays. */
export function InletPage() {
  return <WithPump needsOil={false}>{(props) => <Inlet {...props} />}</WithPump>;
}

function Inlet({ page, words }: EntryPageProps) {
  const { row, setUp, state } = page;
  const { equipment, model } = setUp;
  const { keep, busy, failed } = useKeepEquipment(page);
  const [typed, setTyped] = useState<readonly TypedPart[]>(() => (equipment.inlet ?? []).map(typedPart));
  const [tried, setTried] = useState(false);
  const [kept, setKept] = useState(false);
  const change = (next: readonly TypedPart[]) => {
    setKept(false);
    setTyped(next);
  };
  const parts = partsOf(typed);
  const { pumpingSpeedM3h } = model;
  const costs =
    parts && parts.length > 0
      ? inletCosts({
          ...{ parts, pumpingSpeedM3h, volumeL: equipment.chamberVolumeL ?? null },
          ...{ targetPa: setTargetPa(state.goodPa, setUp), ultimatePa: pumpUltimatePa(state.goodPa, setUp) },
        })
      : null;
  async function save() {
    setTried(true);
    if (parts && (await keep(() => ({ inlet: parts })))) setKept(true);
  }
  return (
    <main className="mx-auto w-full max-w-[1120px] px-4 pb-10 pt-4 wide:px-6">
      <PageTitle title={`Hose and in-line filter: ${row.name}`} />
      <PageHead
        back={`/pumps/${row.pumpId}`}
        backWords={`Back to ${row.name}`}
        above={`${row.name} · ${row.equipmentName}`}
      >
        Hose and in-line filter
      </PageHead>
      <p className="mt-3 text-[20px] font-semibold" aria-live="polite">
        {costs && parts ? costsWords(costs, parts) : 'What lies between the chamber and the pump?'}
      </p>
      <div className="mt-4 grid gap-x-10 gap-y-8 wide:grid-cols-2">
        <section aria-label="What lies between">
          <h2 className="text-[18px]">From the chamber to the pump</h2>
          <ol className="mt-2">
            {typed.map((part, i) => (
              <li key={i} className="border-b border-rule-soft py-3">
                <div className="flex items-center justify-between gap-3">
                  <h3 className="text-[16px]">{INLET_PART_WORDS[part.kind].one}</h3>
                  <Button
                    look="plain"
                    aria-label={`Take off: ${INLET_PART_WORDS[part.kind].one}, number ${i + 1}`}
                    onClick={() => change(typed.filter((_, k) => k !== i))}
                  >
                    <Trash2 aria-hidden="true" size={20} />
                  </Button>
                </div>
                <div className="grid grid-cols-2 gap-3">
                  {INLET_PART_NEEDS[part.kind].map((field) => {
                    const text = part[field] ?? '';
                    const issue = figureIssue(field, text);
                    return (
                      <TextField
                        key={field}
                        label={INLET_FIELD_WORDS[field].label}
                        value={text}
                        onText={(said) => change(typed.map((p, k) => (k === i ? { ...p, [field]: said } : p)))}
                        inputMode="decimal"
                        error={text !== '' || tried ? issue : undefined}
                        hint={`such as ${INLET_FIELD_WORDS[field].example}`}
                      />
                    );
                  })}
                </div>
              </li>
            ))}
          </ol>
          <div className="mt-3 flex flex-wrap gap-2">
            {INLET_PART_KINDS.map((kind) => (
              <Button key={kind} onClick={() => change([...typed, { kind }])}>
                {INLET_PART_WORDS[kind].add}
              </Button>
            ))}
          </div>
          <div className="mt-4">
            <Button needs="setUp" look="solid" disabled={busy} onClick={() => void save()}>
              {`Keep it for ${row.equipmentName}`}
            </Button>
            <p className="mt-2 text-[15px]" aria-live="polite">
              {kept && 'Kept.'}
              {tried && !parts && 'Nothing was kept: a figure is missing or not right.'}
              {failed &&
                'Nothing was kept: somebody changed the set-up meanwhile, or the server does not answer. Try again.'}
            </p>
          </div>
        </section>
        {costs && parts && <Costs costs={costs} parts={parts} speedM3h={pumpingSpeedM3h} words={words} />}
      </div>
      <InlineFilter page={page} costs={costs} />
      <FilterBrought page={page} />
    </main>
  );
}

/** What to know in three seconds. */
function costsWords({ best, lostMinutes, most }: InletCosts, parts: readonly InletPart[]): string {
  if (best) return `A ${best.diameterMm} mm hose would save ${lostWords(best.saved)} a pump-down`;
  if (lostMinutes === null) return 'Say the chamber’s volume in the set-up, and its minutes are told';
  if (lostMinutes < WORTH_MINUTES) return 'Wide enough: it costs next to nothing';
  const narrow = most === null ? undefined : parts[most];
  return `It costs ${lostWords(lostMinutes)} a pump-down, most of it here: ${narrow ? uncapital(partWords(narrow)) : ''}`;
}

function Costs({
  costs,
  parts,
  speedM3h,
  words: { print },
}: {
  costs: InletCosts;
  parts: readonly InletPart[];
  speedM3h: number;
  words: Words;
}) {
  const { speeds, wider, lostMinutes, belowPa, toPa, most } = costs;
  const narrow = most === null ? undefined : parts[most];
  return (
    <section aria-label="What it costs" className="min-w-0">
      <h2 className="text-[18px]">What reaches the chamber</h2>
      <p className="text-[14px] text-ink-2">Of {print.flow(speedM3h)} at the pump.</p>
      <table className="mt-2 w-full text-[15px]">
        <thead>
          <tr className="border-b border-rule text-left text-[14px] text-ink-2">
            <th className="py-1 font-normal">At the chamber</th>
            <th className="py-1 text-right font-normal">Air</th>
            <th className="py-1 text-right font-normal">Water vapour</th>
          </tr>
        </thead>
        <tbody>
          {speeds.map((s) => (
            <tr key={s.chamberPa} className="border-b border-rule-soft">
              <td className="figure py-1">{print.pressure(s.chamberPa)}</td>
              {[s.air, s.vapour].map((speed, i) => (
                <td key={i} className="figure py-1 pl-3 text-right">
                  {print.flow(speed)}
                  <span className="block text-ink-2 sm:ml-2 sm:inline">{number((speed / speedM3h) * 100)} %</span>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {narrow && parts.length > 1 && <p className="mt-2 text-[15px]">Most is lost in: {partWords(narrow)}.</p>}
      {lostMinutes !== null && (
        <>
          <h2 className="mt-5 text-[18px]">What a pump-down loses</h2>
          <p className="text-[14px] text-ink-2">
            From {print.pressure(belowPa)} to {print.pressure(toPa)}. Higher up the flow whirls, and nothing is claimed.
          </p>
          <table className="mt-2 w-full text-[15px]">
            <tbody>
              <tr className="border-b border-rule-soft">
                <td className="py-1">As it is</td>
                <td className="figure py-1 text-right">{lostWords(lostMinutes)}</td>
              </tr>
              {wider.map((w) => (
                <tr key={w.diameterMm} className="border-b border-rule-soft">
                  <td className="py-1">{`All hoses ${w.diameterMm} mm at least`}</td>
                  <td className="figure py-1 text-right">{lostWords(w.lostMinutes)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}
