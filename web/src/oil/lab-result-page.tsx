import { labReading, type LabResultBody } from '@winter-jar/core';
import type { PumpPage } from '@winter-jar/contracts';
import { useMemo } from 'react';
import { momentWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useUnits } from '../device/use-units.js';
import { reasonWords, verdictWords } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Remark } from '../forms/remark.js';
import { useEntryForm, type EntryForm } from '../entry/use-entry-form.js';
import type { Preview } from '../entry/use-preview.js';
import { WhenField } from '../forms/when-field.js';
import { LinkButton } from '../ui/button.js';
import { ManyChips } from '../ui/many-chips.js';
import { Empty } from '../ui/page-state.js';
import { TextField } from '../ui/field.js';
import { QuantityField } from '../ui/quantity-field.js';
import { SelectField } from '../ui/select-field.js';
import { Verdict, VerdictShape } from '../ui/verdict.js';
import { labResultDefaults, labResultValuesOf, readLabResult, type LabResultValues } from './lab-result-form.js';
import {
  FIGURE_WORDS,
  notJudgedWords,
  particleCode,
  siliconWords,
  WEAR_SIGN_WORDS,
  type LabFigure,
} from '../words/lab-words.js';
import { chipsOf } from '../words/look-words.js';

export function LabResultPage() {
  return <WithPump needsOil>{(props) => <LabResult {...props} />}</WithPump>;
}

const GROUPS: readonly { readonly title: string; readonly figures: readonly LabFigure[] }[] = [
  { title: 'The oil', figures: ['viscosity40Mm2s', 'waterPpm', 'acidMgKohG', 'baseMgKohG'] },
  { title: 'Metals', figures: ['ironPpm', 'siliconPpm', 'aluminiumPpm'] },
  { title: 'Particles per mL', figures: ['count4PerMl', 'count6PerMl', 'count14PerMl'] },
];

function LabResult(props: EntryPageProps) {
  const { page, words, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;
  const form = useEntryForm<'labResult', LabResultValues>({
    kind: 'labResult',
    page,
    defaults: labResultDefaults(page),
    read: (v) => readLabResult(v, units, zone, Date.now()),
    fill: (entry) => labResultValuesOf(entry, zone, units),
    savedWords: () => `Lab report saved on ${page.row.name}`,
    correctId,
  });
  if (page.state.samples.length === 0 && !correctId) return <NoSample page={page} />;
  return (
    <EntryScreen
      title="Lab report"
      props={props}
      form={form}
      saveWords="Save the report"
      right={(preview) => <ReportVerdict page={page} preview={preview} form={form} words={words} />}
    >
      <SampleField page={page} form={form} words={words} />
      {GROUPS.map(({ title, figures }) => (
        <fieldset key={title}>
          <legend className="mb-2 text-[18px] font-bold [font-family:var(--font-head)]">{title}</legend>
          <div className="grid gap-x-4 gap-y-4 sm:grid-cols-2">
            {figures.map((figure) => (
              <QuantityField
                key={figure}
                label={FIGURE_WORDS[figure].label}
                dimension={FIGURE_WORDS[figure].dimension}
                text={form.values[figure]}
                onText={form.set(figure)}
                error={form.error(figure)}
                min={0}
                {...(FIGURE_WORDS[figure].dimension === 'count' ? { hint: 'per mL' } : {})}
              />
            ))}
          </div>
        </fieldset>
      ))}
      <TextField
        label="or the particle code"
        value={form.values.isoCode}
        onText={form.set('isoCode')}
        error={form.error('isoCode')}
        hint="ISO 4406, such as 19/17/14: kept as the most particles that it stands for"
      />
      <ManyChips
        label="What the pump shows beside it"
        chips={chipsOf(WEAR_SIGN_WORDS)}
        values={form.values.wearSigns}
        onChange={form.set('wearSigns')}
      />
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}

function NoSample({ page }: { page: PumpPage }) {
  return (
    <main>
      <PageTitle title={`Lab report · ${page.row.name}`} />
      <Empty title="No sample has been drawn yet">
        A report speaks for the day and the charge of its sample. Log when the bottle was drawn from {page.row.name},
        then its report.
      </Empty>
      <LinkButton to={`/pumps/${page.row.pumpId}/lab-sample`} look="solid" className="mx-4">
        Log a lab sample
      </LinkButton>
    </main>
  );
}

function SampleField({ page, form, words }: { page: PumpPage; form: EntryForm<LabResultValues>; words: Words }) {
  const options = [...page.state.samples].reverse().map((s) => ({
    value: s.entryId,
    words: `${s.label ? `${s.label}, ` : ''}drawn ${momentWords(s.at, words.zone, words.now)}${s.measured.length > 0 ? ' (has a report)' : ''}`,
  }));
  const { sampleId } = form.values;
  const known = sampleId === '' || options.some((o) => o.value === sampleId);
  return (
    <SelectField
      label="Which sample"
      value={sampleId}
      onChange={form.set('sampleId')}
      error={form.error('sampleId')}
      options={known ? options : [...options, { value: sampleId, words: 'the older sample that it was entered for' }]}
    />
  );
}

/** What the report says by itself, and the verdict as it would then stand. */
function ReportVerdict({
  page,
  preview,
  form,
  words,
}: {
  page: PumpPage;
  preview: Preview;
  form: EntryForm<LabResultValues>;
  words: Words;
}) {
  const entry = form.pending?.entry;
  const body = entry?.kind === 'labResult' ? entry.body : null;
  const sample = page.state.samples.find((s) => s.entryId === body?.sampleId);
  const report = useMemo(
    () => (body && sample ? labReading({ state: page.state, sample, body, setUp: page.setUp }) : null),
    [page, sample, body],
  );
  if (!body || preview.kind === 'none')
    return (
      <p className="text-[15px] text-ink-2">
        {page.row.name} now: {verdictWords(page.row.verdict, page.row.act)}. What the report says shows here, live, once
        you have typed a figure.
      </p>
    );
  return (
    <div className="flex flex-col gap-5">
      {preview.kind === 'shown' && (
        <div aria-live="polite">
          <Verdict
            level={preview.after.verdict}
            words={verdictWords(preview.after.verdict, preview.after.act)}
            size="large"
          />
        </div>
      )}
      {report?.ofGoneCharge && (
        <p className="border-l-4 border-edge pl-3 text-[15px]">
          This sample is of the charge that went out with the last change: it says little about the new oil.
        </p>
      )}
      {report && sample && (
        <section>
          <h2 className="mb-1 text-[18px]">What the report says</h2>
          {report.findings.length === 0 ? (
            <p className="text-[15px]">Nothing in it speaks against this oil.</p>
          ) : (
            <ul className="border-t border-rule">
              {report.findings.map((f) => (
                <li key={f.code} className="flex gap-2 border-b border-rule py-2 text-[15px]">
                  <span className="pt-0.5">
                    <VerdictShape level={f.level} />
                  </span>
                  <span>{reasonWords({ ...f, entryId: '', at: sample.at, sump: sample.sump }, words).full}</span>
                </li>
              ))}
            </ul>
          )}
        </section>
      )}
      <Remarks body={body} notJudged={report?.notJudged.map(notJudgedWords) ?? []} />
    </div>
  );
}

function Remarks({ body, notJudged }: { body: LabResultBody; notJudged: readonly string[] }) {
  const code = particleCode(body);
  const said = [
    code &&
      `Particles are ${code} by ISO 4406. Counted optically in hazy oil, droplets count too: then it is void unless the sample was dried.`,
    siliconWords(body),
    body.ironPpm &&
      'Iron by spectrometer misses particles above 5 to 8 µm: a ferrous index or a filter patch sees them.',
    ...notJudged,
  ].filter(Boolean);
  if (said.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2 text-[14px] text-ink-2">
      {said.map((line) => (
        <li key={String(line)}>{line}</li>
      ))}
    </ul>
  );
}
