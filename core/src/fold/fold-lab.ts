import {
  LAB_READINGS,
  type LabReading,
  type LabResultBody,
  type LabSampleBody,
  type LabValues,
} from '../journal/index.js';
import {
  afterViscosity,
  classesOf,
  countsDroplets,
  ironRatePer100h,
  labReadingOf,
  onNewCharge,
  readLab,
  toUl,
  type JudgedLab,
  type LabReport,
} from '../oil/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { done, onSump, type Context } from './fold-context.js';
import { productOf, raise, raiseOfGone, UNKNOWN_PRODUCT } from './judge-look.js';
import { useAfterDraw } from './oil-use.js';
import { KEPT, type PumpState, type SampleDrawn, type SumpState } from './state.js';

const MILLI = 1000;
const measuredBy = (values: LabValues) => LAB_READINGS.filter((r) => (values[r] ?? null) !== null);

export function foldLabSample(
  state: PumpState,
  context: Context,
  { sump: key, label, drawnMl, levelAfter }: LabSampleBody,
): PumpState {
  const sump = state.sumps.find((s) => s.key === key);
  if (!sump) return state;
  const { charge } = sump;
  const sample: SampleDrawn = {
    entryId: context.entry.id,
    at: context.entry.happenedAt,
    sump: key,
    label: label ?? null,
    chargeNumber: charge.number,
    productId: charge.productId ?? context.setUp.pump.oilProductId ?? null,
    minutes: state.totals.minutes - charge.since.counts.minutes,
    measured: [],
  };
  const drawn = { ...done(state, context, 'labSample'), samples: [...state.samples, sample].slice(-KEPT.samples) };
  return key === 'oil' ? useAfterDraw(drawn, context, { oilUl: toUl(drawnMl), levelAfter: levelAfter ?? null }) : drawn;
}

/** A report with everything that its judgement depends on. */
export function labInContext(input: {
  state: PumpState;
  sample: SampleDrawn;
  body: LabResultBody;
  setUp: PumpSetUp;
}): JudgedLab {
  const { state, sample, body, setUp } = input;
  const sump = state.sumps.find((s) => s.key === sample.sump);
  const earlier = sample.sump === 'oil' ? state.labCharges.filter((c) => c.chargeNumber < sample.chargeNumber) : [];
  return {
    values: body,
    wearSigns: body.wearSigns ?? [],
    product: productOf(sample.productId, setUp) ?? UNKNOWN_PRODUCT,
    limits: setUp.oilLimits,
    charge: {
      hours: sample.minutes / 60,
      runningOilTempC: setUp.model.operatingOilTempC,
      earlierIronRates: state.ironRates
        .filter((r) => r.chargeNumber < sample.chargeNumber)
        .map((r) => r.milliPpmPer100h / MILLI),
      earlierSilicon: earlier.flatMap((c) => (c.siliconPpm === null ? [] : [c.siliconPpm])),
      earlierClasses: earlier.flatMap((c) => (c.classes === null ? [] : [c.classes])),
      glitterSeen: sump?.findings.some((f) => f.code === 'particles' && f.kinds.includes('glitter')) ?? false,
    },
  };
}

/** What a report says by itself, and whether it speaks of the charge that is gone. */
export function labReading(input: Parameters<typeof labInContext>[0]): LabReport & { readonly ofGoneCharge: boolean } {
  const sump = input.state.sumps.find((s) => s.key === input.sample.sump);
  return {
    ...readLab(labInContext(input)),
    ofGoneCharge: sump !== undefined && sump.charge.number !== input.sample.chargeNumber,
  };
}

/**
 * A report speaks for its sample's time and charge, however late it comes: it raises what nothing has answered since, and a
 * later sample that measured the same has the last word.
 */
export function foldLabResult(state: PumpState, { setUp, entry }: Context, body: LabResultBody): PumpState {
  const sample = state.samples.find((s) => s.entryId === body.sampleId);
  if (!sample) return state;
  const report = labReading({ state, sample, body, setUp });
  const known = state.samples
    .filter((s) => s.sump === sample.sump && s.chargeNumber === sample.chargeNumber && s.at > sample.at)
    .flatMap((s) => s.measured);
  const measured = measuredBy(body).filter((r) => !known.includes(r));
  const speaks = report.findings.filter((f) => {
    const reading = labReadingOf(f);
    return reading !== undefined && measured.includes(reading) && !isAnswered(state, sample, f.code);
  });
  const origin = { entryId: entry.id, at: sample.at };
  // Against an unused oil that nobody has measured, a figure says nothing.
  const fresh = productOf(sample.productId, setUp)?.viscosity40Mm2s ?? null;
  const saysThickness = fresh !== null && measured.includes('viscosity40Mm2s');
  const judged = onSump(state, sample.sump, (sump) => {
    if (report.ofGoneCharge) return raiseOfGone(sump, onNewCharge(speaks), origin);
    const left = saysThickness
      ? sump.findings.map((f) => afterViscosity(f, isThin(report.findings))).filter((f) => f !== null)
      : sump.findings;
    const standing = left.filter((f) => {
      if (f.code === 'unknownAge') return !TELLS_OF_AGE.some((r) => measured.includes(r)) || f.at > sample.at;
      const reading = labReadingOf(f);
      return reading === undefined || !measured.includes(reading) || f.answeredBy === 'inspectAndChange';
    });
    return raise(withUnansweredWater({ ...sump, findings: standing }, state, sample, speaks), speaks, origin);
  });
  const samples = judged.samples.map((s) => (s === sample ? { ...s, measured: measuredBy(body) } : s));
  const lab = labInContext({ state, sample, body, setUp });
  const next = withLabCharge({ ...judged, samples }, sample, lab);
  return measured.includes('ironPpm') ? withIronRate(next, sample, lab) : next;
}

/** What shows how far an oil has gone, whoever changed it when. */
const TELLS_OF_AGE: readonly LabReading[] = ['acidMgKohG', 'viscosity40Mm2s'];

const isThin = (findings: LabReport['findings']): boolean => findings.some((f) => f.code === 'viscosity' && f.thinner);

const wasDoneSince = (state: PumpState, sample: SampleDrawn, task: 'bleed' | 'purge' | 'vaneCheck'): boolean =>
  (state.tasks[task]?.at ?? '') > sample.at;

/** Done between the sample and its report: what it asks for need not be asked for again. */
function isAnswered(state: PumpState, sample: SampleDrawn, code: string): boolean {
  if (code === 'wear') return wasDoneSince(state, sample, 'vaneCheck');
  const sump = state.sumps.find((s) => s.key === sample.sump);
  return (
    code === 'labWater' &&
    (wasDoneSince(state, sample, 'bleed') || wasDoneSince(state, sample, 'purge')) &&
    sump?.charge.bledSinceWaterSeen === false
  );
}

/** Only a bleed or purge after the sample can answer its water. */
function withUnansweredWater(
  sump: SumpState,
  state: PumpState,
  sample: SampleDrawn,
  speaks: LabReport['findings'],
): SumpState {
  const wet = speaks.some((f) => f.code === 'labWater');
  if (!wet || wasDoneSince(state, sample, 'bleed') || wasDoneSince(state, sample, 'purge')) return sump;
  return { ...sump, charge: { ...sump.charge, bledSinceWaterSeen: false } };
}

/** What a charge has shown, for those that come after it. */
function withLabCharge(state: PumpState, sample: SampleDrawn, lab: JudgedLab): PumpState {
  const silicon = lab.values.siliconPpm ?? null;
  const counted = countsDroplets(lab) ? null : classesOf(lab.values);
  if (sample.sump !== 'oil' || (silicon === null && counted === null)) return state;
  const { chargeNumber } = sample;
  const known = state.labCharges.find((c) => c.chargeNumber === chargeNumber);
  const others = state.labCharges.filter((c) => c.chargeNumber !== chargeNumber);
  const charge = {
    chargeNumber,
    siliconPpm: silicon ?? known?.siliconPpm ?? null,
    classes: counted ?? known?.classes ?? null,
  };
  const next = [...others, charge].sort((a, b) => a.chargeNumber - b.chargeNumber);
  return { ...state, labCharges: next.slice(-KEPT.labCharges) };
}

/** The newest report on a charge gives its rate. */
function withIronRate(state: PumpState, sample: SampleDrawn, lab: JudgedLab): PumpState {
  const rate = ironRatePer100h({ ...lab, hours: lab.charge.hours });
  if (rate === null || sample.sump !== 'oil') return state;
  const { chargeNumber } = sample;
  const others = state.ironRates.filter((r) => r.chargeNumber !== chargeNumber);
  const next = [...others, { chargeNumber, milliPpmPer100h: Math.round(rate * MILLI) }];
  return { ...state, ironRates: next.sort((a, b) => a.chargeNumber - b.chargeNumber).slice(-KEPT.labCharges) };
}
