import { holdsDenserOil, productIn, smellHarms, type Settling } from '@winter-jar/core';
import type { EntryPageProps } from '../entry/entry-page.js';
import { OilWentField } from '../entry/oil-went-field.js';
import { LEVEL_CHIPS } from '../forms/level-chips.js';
import type { EntryForm } from '../entry/use-entry-form.js';
import { Chips } from '../ui/chips.js';
import { ColourScale } from '../ui/colour-scale.js';
import { ManyChips } from '../ui/many-chips.js';
import { QuantityField } from '../ui/quantity-field.js';
import { SelectField } from '../ui/select-field.js';
import { Unfolding } from '../ui/unfolding.js';
import {
  CLARITY_WORDS,
  chipsOf,
  FOAM_WORDS,
  PARTICLE_KIND_WORDS,
  PARTICLE_WORDS,
  SMELL_WORDS,
} from '../words/look-words.js';
import { jarChoices, jarsDrawn, STOOD_GLASS, STOOD_JAR, type Odd, type ReadJarValues } from './read-jar-form.js';
import { settlingWords } from './reading-words.js';
import { momentWords } from '../words/dates.js';
import { boundTo } from '../forms/bound-to.js';

type Form = EntryForm<ReadJarValues>;

const ODD: readonly { readonly value: Odd; readonly words: string; readonly glassOnly: boolean }[] = [
  { value: 'waterAtPickUp', words: 'water up to the oil pick-up', glassOnly: true },
  { value: 'thrownFromExhaust', words: 'oil thrown from the exhaust', glassOnly: false },
];

const DRAWN_CHIPS = [
  { value: 'atRest', words: 'at the bottom, at rest' },
  { value: 'running', words: 'from the running pump' },
] as const;

/** Which of the jars that stand about it is, and how a sample was drawn: what it stands for follows from both. */
export function DrawnFields({ props: { page, words }, form }: { props: EntryPageProps; form: Form }) {
  const { values, set } = form;
  const jars = jarsDrawn(page.state, values);
  const floats = holdsDenserOil(page.state, page.setUp, values.sump);
  const what = values.source === 'bleed' ? 'Bled' : 'Sample of';
  return (
    <>
      {jars.length > 0 && (
        <SelectField
          label="Which jar"
          value={values.drawnId}
          onChange={set('drawnId')}
          options={[
            ...jars.map((d) => ({
              value: d.id,
              words: `${what} ${momentWords(d.filledAt, words.zone)}${d.stood === null ? '' : ', read before'}`,
            })),
            { value: values.ownJarId, words: 'Another jar' },
          ]}
          empty="not said: by how long it stood"
          hint="A jar that is read again takes the place of its earlier reading: water goes on settling."
        />
      )}
      {values.source === 'sample' && floats && (
        <p className="text-[14px] text-ink-2">
          Water floats on this oil: what a sample holds counts as a share of the whole charge.
        </p>
      )}
      {values.source === 'sample' && !floats && (
        <Chips label="How it was drawn" chips={DRAWN_CHIPS} value={values.drawn || null} onChange={set('drawn')} />
      )}
    </>
  );
}

/** How much is in the jar, which jar, how warm. */
export function JarFields({
  props: { page },
  form,
  settling,
}: {
  props: EntryPageProps;
  form: Form;
  settling: Settling | null;
}) {
  const { values, set } = form;
  const product = productIn(page.state, page.setUp, values.sump);
  const holdsUp = product?.waterBehaviour === 'detergent' || holdsDenserOil(page.state, page.setUp, values.sump);
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-4">
        <QuantityField label="In the jar, all of it" dimension="volume" {...boundTo(form, 'lookedAtMl')} min={1} />
        <QuantityField
          label="Jar’s warmth"
          dimension="temperature"
          {...boundTo(form, 'jarTempC')}
          min={-20}
          max={90}
          hint="empty: 20 °C"
        />
        <SelectField
          label="Jar"
          value={values.jarShapeId}
          onChange={set('jarShapeId')}
          options={jarChoices(page.setUp)}
          empty="any straight"
        />
      </div>
      {settling && <p className="text-[14px] text-ink-2">{settlingWords(settling, holdsUp)}</p>}
    </div>
  );
}

export function StoodField({ form, glass, settling }: { form: Form; glass: boolean; settling: Settling | null }) {
  const { values, set, error } = form;
  return (
    <div className="flex flex-col gap-3">
      <Chips
        label={glass ? 'The oil has stood for' : 'The jar has stood for'}
        chips={glass ? STOOD_GLASS : STOOD_JAR}
        value={values.stood || null}
        onChange={set('stood')}
        error={error('stood')}
      />
      {values.stood === 'other' && (
        <QuantityField label="Stood for" dimension="duration" {...boundTo(form, 'hoursStood')} min={0} />
      )}
      {settling && values.stood !== 'running' && (
        <p className="text-[14px] text-ink-2">{settlingWords(settling, false)}</p>
      )}
    </div>
  );
}

/** What the eye and the nose say. Behind the glass the quick things come first, and the rest is folded away. */
export function OilFields({ props: { page }, form, glass }: { props: EntryPageProps; form: Form; glass: boolean }) {
  const { values, set, error } = form;
  const smells = !smellHarms(page.setUp);
  const lastColour = page.state.jars.findLast((j) => j.colour !== null)?.colour ?? null;
  const level = (
    <>
      <Chips
        label={glass ? 'Level in the glass' : 'Level before draining'}
        chips={LEVEL_CHIPS}
        value={values.level || null}
        onChange={set('level')}
        error={error('level')}
      />
      <OilWentField page={page} sump={values.sump} value={values.oilWent ?? ''} onChange={set('oilWent')} />
    </>
  );
  return (
    <>
      {glass && level}
      <Chips
        label="Clarity of the oil"
        chips={chipsOf(CLARITY_WORDS)}
        value={values.clarity || null}
        onChange={set('clarity')}
        error={error('clarity')}
      />
      {glass && (
        <QuantityField
          label="Free water under the oil"
          dimension="volume"
          {...boundTo(form, 'freeWaterMl')}
          min={0}
          hint="0 when you saw none"
        />
      )}
      <ColourScale value={values.colour} last={lastColour} onChange={set('colour')} />
      <ParticleFields form={form} />
      {glass ? (
        <Unfolding
          needed={Boolean(values.smell || values.foam || values.odd.length > 0)}
          className="border-y border-rule"
          summary={<summary className="min-h-14 cursor-pointer py-4 font-semibold">Smell, foam, and what else</summary>}
        >
          <div className="flex flex-col gap-6 pb-5">
            <OtherFields form={form} glass smells={smells} />
          </div>
        </Unfolding>
      ) : (
        <>
          <OtherFields form={form} glass={false} smells={smells} />
          {level}
        </>
      )}
    </>
  );
}

function ParticleFields({ form: { values, set, error } }: { form: Form }) {
  return (
    <>
      <Chips
        label="Particles"
        chips={chipsOf(PARTICLE_WORDS)}
        value={values.particles || null}
        onChange={(particles) => {
          set('particles')(particles);
          if (particles === 'none') set('particleKinds')([]);
        }}
        error={error('particles')}
      />
      {values.particles !== '' && values.particles !== 'none' && (
        <ManyChips
          label="Of which kind"
          chips={chipsOf(PARTICLE_KIND_WORDS)}
          values={values.particleKinds}
          onChange={set('particleKinds')}
        />
      )}
    </>
  );
}

/** Where smelling harms none is asked for; one that came by itself can be told. */
function SmellField({ form: { values, set }, isAsked }: { form: Form; isAsked: boolean }) {
  const chips = (
    <Chips label="Smell" chips={chipsOf(SMELL_WORDS)} value={values.smell || null} onChange={set('smell')} />
  );
  if (isAsked) return chips;
  return (
    <Unfolding
      needed={values.smell !== ''}
      className="border-y border-rule"
      summary={
        <summary className="min-h-14 cursor-pointer py-4 font-semibold">
          Never smell at it: one that came by itself
        </summary>
      }
    >
      <div className="pb-5">{chips}</div>
    </Unfolding>
  );
}

function OtherFields({ form, glass, smells }: { form: Form; glass: boolean; smells: boolean }) {
  const { values, set } = form;
  return (
    <>
      <SmellField form={form} isAsked={smells} />
      <Chips label="Foam" chips={chipsOf(FOAM_WORDS)} value={values.foam || null} onChange={set('foam')} />
      <ManyChips
        label="Also seen"
        chips={ODD.filter((o) => glass || !o.glassOnly)}
        values={values.odd}
        onChange={set('odd')}
      />
    </>
  );
}
