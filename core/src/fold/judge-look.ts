import type { LookBody, SumpKey } from '../journal/index.js';
import {
  afterChange,
  filledUp,
  isDenserThanWater,
  isDirty,
  oilLost,
  readOil,
  toUl,
  type ChargeSeen,
  type Finding,
  type JudgedProduct,
  type LookInContext,
  type OilFinding,
  type OilReading,
} from '../oil/index.js';
import { isHarder, jarShapeOf } from '../limits/index.js';
import type { OilProduct, PumpSetUp } from '../set-up/index.js';
import type { PumpState, SumpState } from './state.js';
import { afterBleed, afterLook, NOTHING_FOUND, type WaterCount } from './water-found.js';

/** Where the oil's product is not known, the strictest of the common ones. */
export const UNKNOWN_PRODUCT: JudgedProduct = {
  base: 'mineral',
  waterBehaviour: 'demulsifying',
  freshColour: 0.5,
  densityKgM3: 870,
};

interface LookAtSump {
  readonly state: PumpState;
  readonly sump: SumpState;
  readonly look: LookBody;
  readonly setUp: PumpSetUp;
}

const withFinding = (sump: SumpState, finding: Finding): SumpState => ({
  ...sump,
  findings: [...sump.findings.filter((f) => f.code !== finding.code), finding],
});

/** The oil that a charge is of; null where nobody has said it. */
export function productOf(chargeProductId: string | null, { pump, house }: PumpSetUp): OilProduct | null {
  const id = chargeProductId ?? pump.oilProductId;
  return (id && house.oilProduct[id]) || null;
}

/** The oil that is in a sump now, as far as anyone has said. */
export const productIn = (state: PumpState, setUp: PumpSetUp, key: SumpKey): OilProduct | null =>
  productOf(state.sumps.find((s) => s.key === key)?.charge.productId ?? null, setUp);

/** In such an oil the water floats: there is nothing to bleed at the bottom. */
export function holdsDenserOil(state: PumpState, setUp: PumpSetUp, key: SumpKey): boolean {
  const product = productIn(state, setUp, key);
  return product !== null && isDenserThanWater(product);
}

/**
 * What may still be found on a charge: all that its runs should have left, less what was found and answered, and of that no more
 * than was expected by then. Null where a run could not be estimated, or runs before the record began are in this oil.
 */
export function expectedMl(charge: SumpState['charge']): number | null {
  const { number, unestimatedRuns, expectedWaterUl, answeredWaterUl, answeredExpectedUl } = charge;
  const stillUl = expectedWaterUl - Math.min(answeredWaterUl, answeredExpectedUl);
  return number === 0 || unestimatedRuns > 0 || stillUl <= 0 ? null : stillUl / 1000;
}

/** What the charge has shown before this look. A bleed's jar that is read now takes the place of what was said when it was drawn. */
function chargeSeen({ state, sump, look, setUp }: LookAtSump): ChargeSeen {
  const { charge } = sump;
  const readAgainUl = look.source === 'bleed' ? (charge.unreadBleedUl ?? 0) : 0;
  const { overhaul } = state;
  return {
    number: charge.number,
    chargeMl: (charge.filledUl ?? toUl(setUp.model.sumps.find((s) => s.key === sump.key)?.chargeMl ?? 1000)) / 1000,
    runs: state.totals.runs - charge.since.counts.runs,
    startColour: charge.startColour,
    waterTakenOutMl: (charge.bledWaterUl + charge.sampledWaterUl - charge.answeredWaterUl - readAgainUl) / 1000,
    expectedWaterMl: expectedMl(charge),
    purgedSinceSeen: charge.purgedSinceSeen,
    addedSinceLevel: !charge.levelKnown,
    productChanged: sump.findings.some((f) => f.code === 'otherProduct'),
    pumpHours: overhaul ? (state.totals.minutes - overhaul.minutes) / 60 : null,
    gone: charge.gone,
  };
}

/** A look with everything that its judgement depends on. */
export function lookInContext(input: LookAtSump): LookInContext {
  const product = productOf(input.sump.charge.productId, input.setUp);
  return {
    look: input.look,
    product: product ?? UNKNOWN_PRODUCT,
    productUnknown: product === null,
    charge: chargeSeen(input),
    limits: input.setUp.oilLimits,
    shape: jarShapeOf({ id: input.look.jarShapeId, own: input.setUp.house.jarShape }),
  };
}

/** A look's findings on a sump. Findings stand until what answers them; a look raises, and clears only what it can see. */
export function judgeLook(input: LookAtSump & { origin: Pick<Finding, 'entryId' | 'at'> }): SumpState {
  const { look } = input;
  const context = withStartColour(lookInContext(input));
  const reading = readOil(answersWater(input, context) ? withoutOldWater(context) : context);
  if (reading.ofGoneCharge) return raiseOfGone(input.sump, reading.findings, input.origin);
  const standing = input.sump.findings
    .filter((f) => !isCleared(f, input, context, reading))
    .map((f) => (f.answeredBy === 'whereItWent' && (look.level ?? 'none') !== 'none' ? filledUp(f) : f));
  const charge = chargeAfter(input, context);
  const found = look.oilWent ? [...reading.findings, oilLost(look.oilWent)] : reading.findings;
  return raise({ ...input.sump, charge, findings: standing }, found, input.origin);
}

/** What an oil that was changed since shows of the pump: that half is done, and what was done at the pump before it counts. */
export function raiseOfGone(
  sump: SumpState,
  found: readonly OilFinding[],
  origin: Pick<Finding, 'entryId' | 'at'>,
): SumpState {
  const { gone, since } = sump.charge;
  const open = found.filter((f) => !gone?.answered.includes(f.code));
  const left = open.map((f) => (f.level === 'stop' ? afterChange({ ...f, ...origin }, since.at) : f));
  return raise(
    sump,
    left.filter((f) => f !== null),
    origin,
  );
}

/** The hardest of each kind stands. */
export function raise(
  sump: SumpState,
  found: readonly OilFinding[],
  origin: Pick<Finding, 'entryId' | 'at'>,
): SumpState {
  return found.reduce((next, f) => {
    const stands = next.findings.find((s) => s.code === f.code);
    return stands && isHarder(stands.level, f.level) ? next : withFinding(next, { ...f, ...origin });
  }, sump);
}

/** The first look at a charge sets its start colour, before any run; a later one is held against the unused oil. */
function withStartColour(context: LookInContext): LookInContext {
  const { charge, look, product } = context;
  const colour = look.colour ?? null;
  if (charge.startColour !== null || colour === null) return context;
  return { ...context, charge: { ...charge, startColour: charge.runs === 0 ? colour : product.freshColour } };
}

/** After a bleed or a purge a settled look at the oil itself that shows little water answers what was found before. */
function answersWater({ sump, look }: LookAtSump, context: LookInContext): boolean {
  if (!sump.charge.bledSinceWaterSeen || look.source === 'bleed') return false;
  if ((look.freeWaterMl ?? null) === null) return false;
  const { findings, settling } = readOil(withoutOldWater(context));
  return settling.settled && !findings.some((f) => f.code === 'water' || f.code === 'cream');
}

const withoutOldWater = (context: LookInContext): LookInContext => ({
  ...context,
  charge: { ...context.charge, waterTakenOutMl: 0, expectedWaterMl: null },
});

/** Whether this look, at the charge that goes on, shows that a standing finding is over. */
function isCleared(finding: Finding, input: LookAtSump, context: LookInContext, reading: OilReading): boolean {
  const { look } = input;
  const seenAgain = reading.findings.some((f) => f.code === finding.code);
  switch (finding.answeredBy) {
    case 'bleedOrPurgeThenLook':
      return !seenAgain && answersWater(input, context);
    case 'changeOrClearLook':
      return !seenAgain && isDirty(finding, look) === false && (reading.settling.settled || !needsSettling(finding));
    case 'whereItWent':
      return Boolean(look.oilWent);
    case 'look':
      if (finding.code === 'unknownAge') return Boolean(look.clarity ?? look.colour);
      return finding.code === 'goneCharge' || isDirty(finding, look) !== null;
    case 'topUp':
    case 'drainToMark':
      return (look.level ?? null) !== null;
    case 'change':
    case 'changeOrSample':
    case 'flush':
    case 'inspect':
    case 'changeThenViscosity':
    case 'inspectAndChange':
    case 'flushAndChange':
    case 'washAndChange':
    case 'stripAndChange':
    case 'case':
      return false;
  }
}

/** The nose and the foam speak at once; what floats or sinks must have had its time. */
const needsSettling = ({ code }: Finding): boolean => code !== 'smell' && code !== 'foam';

function chargeAfter(input: LookAtSump, context: LookInContext): SumpState['charge'] {
  const { sump, look } = input;
  const { charge } = sump;
  const answered = answersWater(input, context);
  const asked = look.clarity ?? look.creamMl ?? null;
  const wet = readOil(withoutOldWater(context)).findings.some((f) => f.code === 'water');
  const next = {
    ...charge,
    startColour: context.charge.startColour,
    levelKnown: look.level ? look.level !== 'high' : charge.levelKnown,
    purgedSinceSeen: asked === null ? charge.purgedSinceSeen : false,
    bledSinceWaterSeen: answered || wet ? false : charge.bledSinceWaterSeen,
    answeredWaterUl: answered ? charge.bledWaterUl + charge.sampledWaterUl : charge.answeredWaterUl,
    answeredExpectedUl: answered ? charge.expectedWaterUl : charge.answeredExpectedUl,
  };
  const water = takenOutOf(afterLook(foundOn(charge), look));
  return look.source === 'bleed' ? { ...next, ...water, bledSinceWaterSeen: true } : { ...next, ...water };
}

/** What is kept of the water on a charge: what was taken out. What stands in the oil, the jars show. */
const foundOn = ({ bledWaterUl, sampledWaterUl, unreadBleedUl }: SumpState['charge']): WaterCount => ({
  ...NOTHING_FOUND,
  bledUl: bledWaterUl,
  sampledUl: sampledWaterUl,
  unreadBleedUl,
});
const takenOutOf = ({ bledUl, sampledUl, unreadBleedUl }: WaterCount) => ({
  bledWaterUl: bledUl,
  sampledWaterUl: sampledUl,
  unreadBleedUl,
});

/** The charge after a bleed as it was said when drawn. */
export const chargeAfterBleed = (
  charge: SumpState['charge'],
  waterMl: number | null | undefined,
): SumpState['charge'] => ({
  ...charge,
  ...takenOutOf(afterBleed(foundOn(charge), waterMl)),
  bledSinceWaterSeen: true,
});
