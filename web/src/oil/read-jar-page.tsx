import type { StoreContainer } from '@winter-jar/contracts';
import { holdsDenserOil, type JarSeen, type LookSource } from '@winter-jar/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useStoreQuery } from '../api/house-api.js';
import { useUnits } from '../device/use-units.js';
import { useWide } from '../device/use-wide.js';
import { EntryScreen, WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Remark } from '../forms/remark.js';
import { chargeMlOf, firstSump, SumpField, useAskedSump } from '../entry/sump-field.js';
import { useEntryForm } from '../entry/use-entry-form.js';
import { WhenField } from '../forms/when-field.js';
import { Chips } from '../ui/chips.js';
import type { Underlay } from '../ui/jar.js';
import { Loading } from '../ui/page-state.js';
import { quantityText } from '../ui/quantity-text.js';
import { BesideOthers } from './beside.js';
import { LayerSlider } from './layer-slider.js';
import { chipsOf, SOURCE_WORDS } from '../words/look-words.js';
import { PhotoField } from '../forms/photo-field.js';
import { DrawnFields, JarFields, OilFields, StoodField } from './read-jar-fields.js';
import {
  initialValues,
  jarOnShelf,
  jarStood,
  jarWaiting,
  jarOf,
  readJar,
  settlingOfFields,
  totalMlOf,
  valuesOfLook,
  type ReadJarValues,
} from './read-jar-form.js';
import { ReadingJar, type ReadingJarProps } from './reading-jar.js';
import { ReadingVerdict } from './reading-verdict.js';
import { useReading } from './use-reading.js';

export function ReadJarPage() {
  return <WithPump needsOil>{(props) => <OnShelfOrNot {...props} />}</WithPump>;
}

/** What the last jar of this kind held, else the whole charge of a full change. */
function likelyMl(jars: readonly JarSeen[], source: LookSource, chargeMl: number): number | null {
  const last = jars.findLast((j) => j.source === source && j.oilUl > 0);
  if (last) return Math.round((last.oilUl + last.sludgeUl + last.waterUl + last.creamUl) / 1000);
  return source === 'drained' && chargeMl > 0 ? chargeMl : null;
}

/** The shelf of the oil store leads here with the container that is to be read. */
function OnShelfOrNot(props: EntryPageProps) {
  const [search] = useSearchParams();
  const id = search.get('container');
  // The jar of the last change may stand on the shelf: then what is read of it is read there too.
  const { toRead } = props.page.state;
  const asked = id !== null || (toRead !== null && !props.correctId);
  const { data, isError } = useStoreQuery(undefined, { skip: !asked });
  if (asked && !data && !isError) return <Loading what="the jar" />;
  return (
    <ReadJar
      key={id}
      {...props}
      onShelf={data?.containers.find((c) => c.id === id) ?? null}
      standsIn={jarOnShelf(data?.containers ?? [], toRead)}
    />
  );
}

function ReadJar({
  onShelf,
  standsIn,
  ...props
}: EntryPageProps & {
  /** The container that the shelf sent here with. */
  onShelf: StoreContainer | null;
  /** The container in which the jar of the last change stands. */
  standsIn: StoreContainer | null;
}) {
  const { page, words, correctId } = props;
  const units = useUnits();
  const { zone } = page.row;
  const asked = useAskedSump(page);
  // As the verdict says it: a jar that nobody read in a week is let go.
  const isReady = page.standing.reasons.some((reason) => reason.code === 'jarToRead' && reason.ready);
  const fromRound = isReady && !correctId && !asked;
  // What the shelf knows of a jar is the same, whoever sent here.
  const stands = onShelf ?? (fromRound ? standsIn : null);
  const waiting = stands
    ? jarStood(stands, units, Date.parse(words.now))
    : fromRound
      ? jarWaiting(page.state, Date.parse(words.now))
      : {};
  const held = waiting.source ? likelyMl(page.state.jars, waiting.source, chargeMlOf(page, 'oil')) : null;
  const lookedAtMl = waiting.lookedAtMl ?? quantityText(held, units.volume);
  const defaults = { ...initialValues({ sump: asked ?? firstSump(page), zone, lookedAtMl }), ...waiting };
  const form = useEntryForm<'look', ReadJarValues>({
    kind: 'look',
    page,
    defaults,
    read: (values) => readJar(values, units, zone, Date.now()),
    fill: (entry) => valuesOfLook(entry, zone, units),
    savedWords: () => `Look saved on ${page.row.name}`,
    correctId,
    ...(onShelf ? { draft: onShelf.id, then: `/store?at=${onShelf.id}` } : {}),
  });
  const { set } = form;
  // The fields are empty until what was typed last is back.
  const values = form.ready ? form.values : defaults;
  const [underlay, setUnderlay] = useState<Underlay | null>(null);
  const read = useReading(page, form.pending);
  const glass = values.source === 'sightGlass';
  const wide = useWide();
  const jar = useJar(props, values, set('layers'), underlay);
  const inJar = !glass && jar.totalMl > 0;
  const setSource = (source: LookSource) => {
    set('source')(source);
    set('drawnId')(source === 'drained' ? (page.state.toRead?.entryId ?? '') : '');
    // Only what came out of the pump stands on the shelf.
    const onIt = source === 'drained' || (source === 'bleed' && onShelf);
    set('containerId')(onIt ? (onShelf?.id ?? standsIn?.id ?? '') : '');
    if (source === 'sightGlass' || values.lookedAtMl.trim() !== '') return;
    const ml =
      source === 'drained' && standsIn
        ? Math.round(standsIn.shelf.heldMl)
        : likelyMl(page.state.jars, source, chargeMlOf(page, values.sump));
    if (ml !== null) set('lookedAtMl')(quantityText(ml, units.volume));
  };
  const settling = settlingOfFields(values, units, page.state, page.setUp);
  return (
    <EntryScreen
      title={glass ? 'Look at oil' : 'Read the jar'}
      props={props}
      form={form}
      saveWords="Save the look"
      left={inJar ? <JarPicture jar={jar} words={words} /> : undefined}
      right={(preview) => (
        <div className="flex flex-col gap-6">
          <ReadingVerdict page={page} preview={preview} read={read} words={words} />
          <BesideOthers page={page} words={words} />
        </div>
      )}
    >
      <SumpField page={page} value={values.sump} onChange={set('sump')} />
      <Chips label="Where it comes from" chips={chipsOf(SOURCE_WORDS)} value={values.source} onChange={setSource} />
      {!glass && <DrawnFields props={props} form={form} />}
      {!glass && <JarFields props={props} form={form} settling={settling} />}
      {inJar && !wide && <LayerSlider {...jar} print={words.print} />}
      <StoodField form={form} glass={glass} settling={glass ? settling : null} />
      <OilFields props={props} form={form} glass={glass} />
      <PhotoField
        photoId={values.photoId}
        onPhoto={set('photoId')}
        underlay={underlay}
        onUnderlay={inJar ? setUnderlay : null}
      />
      <WhenField form={form} />
      <Remark form={form} />
    </EntryScreen>
  );
}

function useJar(
  { page }: EntryPageProps,
  values: ReadJarValues,
  onLayers: ReadingJarProps['onLayers'],
  underlay: Underlay | null,
): ReadingJarProps {
  const units = useUnits();
  const totalMl = totalMlOf(values, units);
  return {
    layers: values.layers,
    totalMl,
    shape: jarOf(values.jarShapeId, totalMl, page.setUp),
    denser: holdsDenserOil(page.state, page.setUp, values.sump),
    colour: values.colour,
    hazy: values.layers.hazyMl === 0 && values.clarity !== '' && values.clarity !== 'bright',
    underlay,
    onLayers,
  };
}

function JarPicture({ jar, words }: { jar: ReadingJarProps; words: EntryPageProps['words'] }) {
  return (
    <>
      <ReadingJar {...jar} print={words.print} />
      <p className="mt-3 max-w-[360px] text-[14px] text-ink-2">
        Drag an edge, move it with the arrow keys, or type. {jar.shape.name}, to scale.
        {jar.denser && ' This oil is denser than water: the water floats.'}
      </p>
    </>
  );
}
