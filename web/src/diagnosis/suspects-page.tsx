import { countOf } from '../ui/number.js';
import { CAUTIONS } from '@winter-jar/core';
import type { RoundRow, SuspectsAnswer } from '@winter-jar/contracts';
import type { MaterialRate, Suspects } from '@winter-jar/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useRoundQuery, useSuspectsQuery } from '../api/house-api.js';
import { PageTitle } from '../ui/page-title.js';
import { Button, LinkButton } from '../ui/button.js';
import { Caution } from '../ui/caution.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { SelectField } from '../ui/select-field.js';
import { rateWords } from '../words/diagnosis-words.js';
import { suspectPlan } from './suspect-plan.js';

const FIRST = 6;

/** Which materials of the house go with dark oil or with water, and how to test them one by one. */
export function SuspectsPage() {
  const { data, isError, refetch } = useSuspectsQuery();
  if (isError && !data)
    return (
      <main>
        <Trouble title="The runs could not be weighed" onRetry={() => void refetch()}>
          The server does not answer.
        </Trouble>
      </main>
    );
  if (!data) return <Loading what="the runs of a year" />;
  const answer = data;
  return (
    <main className="min-w-0 flex-1 px-4 pb-10 pt-4 wide:px-6">
      <PageTitle title="Suspect materials" />
      <h1 className="text-[26px]">Suspect materials</h1>
      <p className="mt-1 max-w-[720px] text-[15px]">
        Over the last year and all pumps: how often, per run, a material goes with oil that got a step darker, or with
        5&nbsp;mL of water or more. Runs between two readings share what they showed. The bar is where the rate lies
        four times in five; few runs keep it near the usual one, the dotted line.
      </p>
      {answer.dark.materials.length + answer.water.materials.length === 0 ? (
        <Empty inside title="Nothing to weigh yet">
          It takes two looks with a colour, or two readings of water, with runs between them.
        </Empty>
      ) : (
        <>
          <div className="mt-4 grid gap-x-10 gap-y-6 wide:grid-cols-2">
            <Rates title="Dark oil" suspects={answer.dark} names={answer.names} />
            <Rates title="Water" suspects={answer.water} names={answer.names} />
          </div>
          <Plan answer={answer} />
        </>
      )}
    </main>
  );
}

function Rates({ title, suspects, names }: { title: string; suspects: Suspects; names: SuspectsAnswer['names'] }) {
  const [all, setAll] = useState(false);
  const shown = all ? suspects.materials : suspects.materials.slice(0, FIRST);
  const most = Math.min(1, Math.max(0.1, ...suspects.materials.map((m) => m.p90)));
  return (
    <section className="min-w-0">
      <h2 className="text-[20px]">{title}</h2>
      <p className="text-[14px] text-ink-2">
        {suspects.stretches} readings; usual over all pumps: {rateWords(suspects.usualRate)} per run
      </p>
      <ul className="mt-2">
        {shown.map((m) => (
          <li key={m.materialId} className="border-b border-rule-soft py-2">
            <div className="flex items-baseline justify-between gap-3">
              <span className={`min-w-0 wrap-anywhere ${m.standsOut ? 'font-semibold' : ''}`}>
                {names[m.materialId] ?? m.materialId}
                {m.standsOut && <span className="ml-2 text-[13px] text-before-next-run">▲ stands out</span>}
              </span>
              <span className="figure shrink-0 text-[14px]">{rateWords(m.p50)}</span>
            </div>
            <RateBar rate={m} usual={suspects.usualRate} most={most} />
            <p className="text-[13px] text-ink-2">
              {countOf(m.runs, 'run')}, {countOf(m.came, 'reading')} with it · likely {rateWords(m.p10)} to{' '}
              {rateWords(m.p90)}
            </p>
          </li>
        ))}
      </ul>
      {suspects.materials.length > FIRST && (
        <Button look="plain" className="!px-0 !text-[14px]" onClick={() => setAll(!all)}>
          {all ? 'Fewer materials' : `All ${suspects.materials.length} materials`}
        </Button>
      )}
    </section>
  );
}

function RateBar({ rate, usual, most }: { rate: MaterialRate; usual: number; most: number }) {
  const at = (share: number) => `${(Math.min(share, most) / most) * 100}%`;
  return (
    <span className="relative my-1 block h-4" aria-hidden="true">
      <span className="absolute inset-y-1.5 w-full rounded-full bg-rule-soft" />
      <span
        className={`absolute inset-y-1.5 rounded-full ${rate.standsOut ? 'bg-before-next-run' : 'bg-edge'}`}
        style={{ left: at(rate.p10), right: `calc(100% - ${at(rate.p90)})` }}
      />
      <span className="absolute inset-y-0.5 w-1 -ml-0.5 bg-ink" style={{ left: at(rate.p50) }} />
      <span className="absolute inset-y-0 -ml-px border-l-2 border-dotted border-ink" style={{ left: at(usual) }} />
    </span>
  );
}

/** One thing at a time: a reading, an empty run as control, then each suspect alone in small loads. */
function Plan({ answer }: { answer: SuspectsAnswer }) {
  const { data } = useRoundQuery(undefined);
  const [search, setSearch] = useSearchParams();
  const pumps = ((data?.rows ?? []) as RoundRow[]).filter((r) => r.kind === 'vane');
  const pumpId = search.get('pump') ?? '';
  const plan = suspectPlan(answer);
  if (plan.length === 0) return null;
  const to = (path: string) => `/pumps/${pumpId}/${path}`;
  const link = (path: string, words: string) =>
    pumpId ? (
      <Link to={to(path)} className="font-semibold text-ink">
        {words}
      </Link>
    ) : (
      words
    );
  return (
    <section className="mt-8 max-w-[760px]">
      <h2 className="text-[20px]">Test them one by one</h2>
      <div className="desk mt-2 max-w-[360px]">
        <SelectField
          label="On which pump"
          value={pumpId}
          onChange={(id) => setSearch(id ? { pump: id } : {}, { replace: true, preventScrollReset: true })}
          options={pumps.map((r) => ({ value: r.pumpId, words: `${r.name}, ${r.equipmentName}`, group: r.siteName }))}
          empty="choose a pump"
        />
      </div>
      <ol className="mt-4 list-decimal pl-6 text-[15px] leading-6">
        <li>
          {link('look', 'Look at the oil')}: colour, clarity, water. What comes later is held against it. Change nothing
          else meanwhile.
        </li>
        <li className="mt-2">
          The control: {link('run', 'an empty run')} as long as a usual one, then look again and{' '}
          {link('test?check=emptyRun', 'say how it came out')}. Dark or wet without product: it is not the material.
        </li>
        {plan.map(({ materialId, runsToClear }) => (
          <li key={materialId} className="mt-2">
            <strong>{answer.names[materialId] ?? materialId}</strong> alone, in a small load, a quarter of the usual:{' '}
            {link('run', 'log the run')}, look, {link('test?check=suspectRun', 'say how it came out')}. One bad run in a
            clean row convicts it; {runsToClear} clean {runsToClear === 1 ? 'run' : 'runs in a row'} would clear it four
            times in five.
          </li>
        ))}
      </ol>
      <div className="mt-4 flex flex-col items-start gap-4">
        <Caution>{CAUTIONS.suspect} Site rules and the maker’s manual come first.</Caution>
        {pumpId && <LinkButton to={to('what-is-wrong')}>Back to What is wrong?</LinkButton>}
      </div>
    </section>
  );
}
