// Longer than other files: what a look says of oil, and what it answers, belong together.
import type { BleedBody, LookBody, SumpKey } from '../journal/index.js';
import {
  afterChange,
  afterDraining,
  filledUp,
  isDenserThanWater,
  isDirty,
  oilLost,
  readOil,
  toUl,
  type ChargeSeen,
  type Finding,
  type FindingCode,
  type FindingOrigin,
  type JudgedProduct,
  type LookInContext,
  type OilFinding,
  type OilReading,
} from '../oil/index.js';
import { isHarder, jarShapeOf, stepPassed } from '../limits/index.js';
import type { OilProduct, PumpSetUp } from '../set-up/index.js';
import type { PumpState, SumpState } from './state.js';
import { afterBleed, afterLook, drawOf, isEarlier, saysWater, type WaterCount } from './water-found.js';

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
  readonly origin: Pick<Finding, 'entryId' | 'at'>;
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

/** Some of its water was found and answered: what is found from here on is held to what its runs bring from here on. */
export const isWaterAnswered = (charge: SumpState['charge']): boolean =>
  Math.min(charge.answeredWaterUl, charge.answeredExpectedUl) > 0;

/** What the charge has shown before this look. A jar that was drawn or read before is weighed by this reading alone. */
function chargeSeen({ state, sump, look, setUp, origin }: LookAtSump): ChargeSeen {
  const { charge } = sump;
  const draw = drawOf(charge.draws, look, origin);
  const readAgainUl = draw?.waterUl ?? 0;
  const { overhaul } = state;
  return {
    number: charge.number,
    chargeMl: (charge.filledUl ?? toUl(setUp.model.sumps.find((s) => s.key === sump.key)?.chargeMl ?? 1000)) / 1000,
    runs: state.totals.runs - charge.since.counts.runs,
    startColour: charge.startColour,
    waterTakenOutMl: (charge.bledWaterUl + charge.sampledWaterUl - charge.answeredWaterUl - readAgainUl) / 1000,
    expectedWaterMl: expectedMl(charge),
    ...(isWaterAnswered(charge) ? { waterAnswered: true } : {}),
    purgedSinceSeen: charge.purgedSinceSeen && !draw?.stale,
    addedSinceLevel: !charge.levelKnown,
    productChanged: sump.findings.some((f) => f.code === 'otherProduct'),
    pumpHours: overhaul ? (state.totals.minutes - overhaul.minutes) / 60 : null,
    openedBy: charge.since.entryId,
    gone: charge.gone,
  };
}

/**
 * Where water floats none of it gathers at the bottom: what a sample from there holds goes through all of the oil, at rest too, and
 * stands for the charge like one from the running pump.
 */
function asDrawn(look: LookBody, product: OilProduct | null): LookBody {
  const floats = product !== null && isDenserThanWater(product);
  return floats && look.source === 'sample' ? { ...look, drawn: 'running' } : look;
}

/** A look with everything that its judgement depends on. */
export function lookInContext(input: LookAtSump): LookInContext {
  const product = productOf(input.sump.charge.productId, input.setUp);
  return {
    look: asDrawn(input.look, product),
    product: product ?? UNKNOWN_PRODUCT,
    productUnknown: product === null,
    charge: chargeSeen(input),
    limits: input.setUp.oilLimits,
    shape: jarShapeOf({ id: input.look.jarShapeId, own: input.setUp.house.jarShape }),
  };
}

/** A look's findings on a sump. Findings stand until what answers them; a look raises, and clears only what it can see. */
export function judgeLook(said: LookAtSump): SumpState {
  const look = asDrawn(said.look, productOf(said.sump.charge.productId, said.setUp));
  const input = { ...said, look };
  const context = withStartColour(lookInContext(input));
  const reading = readOil(answersWater(input, context) ? withoutOldWater(context) : context);
  const drawnId = drawnIdOf(input, reading);
  const earlier = isEarlier(drawOf(input.sump.charge.draws, look, input.origin), look);
  const before = earlier
    ? input.sump.findings
    : input.sump.findings.filter((f) => !(f.drawnId === drawnId && saysAgain(f, look)));
  const origin = { ...input.origin, drawnId };
  if (reading.ofGoneCharge) return raiseOfGone({ ...input.sump, findings: before }, reading.findings, origin);
  const standing = before
    .filter((f) => !isCleared(f, input, context, reading))
    .map((f) => (f.answeredBy === 'whereItWent' && (look.level ?? 'none') !== 'none' ? filledUp(f) : f));
  const charge = chargeAfter(input, context, reading.settling.settled);
  const found = look.oilWent ? [...reading.findings, oilLost(look.oilWent)] : reading.findings;
  return raise({ ...input.sump, charge, findings: standing }, found, origin);
}

/** Which oil a look speaks of: that of a jar, by the entry that drew it. */
function drawnIdOf({ sump, look, origin }: LookAtSump, { ofGoneCharge }: OilReading): string {
  const { charge } = sump;
  const known = drawOf(charge.draws, look, origin)?.id ?? look.drawnId;
  return known ?? (ofGoneCharge ? (charge.since.entryId ?? origin.entryId) : origin.entryId);
}

/**
 * Whether a later reading of the same jar takes the place of what was found in it. Water, cream and haze go on parting; what only
 * the first reading can show stays: glitter sinks, growth breaks up, solvent and amines air off.
 */
const PARTS_ON: readonly FindingCode[] = [
  'water',
  'waterAboveExpected',
  'levelFromWater',
  'cream',
  'clarity',
  'goneCharge',
];
// Of a jar whose layers are read, what is left is clear oil.
const saysAgain = ({ code }: Finding, look: LookBody): boolean =>
  PARTS_ON.includes(code) && (saysWater(look) || (look.clarity ?? look.creamMl ?? null) !== null);

/** What a bleed says by itself when it is drawn; its jar says it again. */
export function judgeBleed(input: Omit<LookAtSump, 'look'> & { body: BleedBody }): SumpState {
  const { body, sump, origin } = input;
  const look: LookBody = { sump: body.sump, source: 'bleed', hoursStood: 0, freeWaterMl: body.waterMl ?? null };
  const { findings } = readOil(lookInContext({ ...input, look: { ...look, drawnId: origin.entryId } }));
  const charge = {
    ...sump.charge,
    ...foundIn(afterBleed(foundOn(sump.charge), body.waterMl, origin)),
    bledSinceWaterSeen: true,
  };
  // What stood in the glass above the mark has come out.
  const left = sump.findings.filter((f) => !(f.code === 'level' && f.found === 'high'));
  const bled = <F extends OilFinding>(found: readonly F[]) => found.map((f) => afterDraining(f, origin.at));
  return raise({ ...sump, charge, findings: bled(left) }, bled(findings), { ...origin, drawnId: origin.entryId });
}

/** What an oil that was changed since shows of the pump: that half is done, and what was done at the pump before it counts. */
export function raiseOfGone(sump: SumpState, found: readonly OilFinding[], origin: FindingOrigin): SumpState {
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
export function raise(sump: SumpState, found: readonly OilFinding[], origin: FindingOrigin): SumpState {
  return found.reduce((next, f) => {
    const stands = next.findings.find((s) => s.code === f.code);
    if (stands && isHarder(stands.level, f.level)) return next;
    // Another look had said so as well: a later reading of this jar does not take that back.
    const { drawnId = null, ...own } = origin;
    const alone = drawnId !== null && (!stands || stands.drawnId === drawnId);
    return withFinding(next, { ...f, ...own, ...(alone ? { drawnId } : {}) });
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
function answersWater({ sump, look, origin }: LookAtSump, context: LookInContext): boolean {
  if (!sump.charge.bledSinceWaterSeen || look.source === 'bleed') return false;
  if (isOld({ sump, look, origin })) return false;
  if ((look.freeWaterMl ?? null) === null || showsMuch(look, context)) return false;
  const { findings, settling } = readOil(withoutOldWater(context));
  return settling.settled && !findings.some((f) => f.code === 'water' || f.code === 'cream');
}

/** Water that comes out with a jar is out, but so much of it says that there was more than a bleed had left. */
function showsMuch(look: LookBody, { charge, limits }: LookInContext): boolean {
  const shownMl = (look.freeWaterMl ?? 0) + (look.creamMl ?? 0) / 2;
  return stepPassed(limits, 'waterPercent', (shownMl / charge.chargeMl) * 100) !== null;
}

/** A jar that was drawn before the last bleed or purge shows nothing of what they left. */
const isOld = ({ sump, look, origin }: Pick<LookAtSump, 'sump' | 'look' | 'origin'>): boolean =>
  drawOf(sump.charge.draws, look, origin)?.stale ?? false;

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
      return (
        !seenAgain &&
        !isOld(input) &&
        isDirty(finding, look) === false &&
        (reading.settling.settled || !needsSettling(finding))
      );
    case 'whereItWent':
      return Boolean(look.oilWent);
    case 'look':
      // What has not settled yet tells nothing of oil that nobody knows; a jar of a bleed is what lay at its bottom.
      if (finding.code === 'unknownAge')
        return Boolean(look.clarity ?? look.colour) && reading.settling.settled && look.source !== 'bleed';
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
    case 'job':
    case 'closing':
      return false;
  }
}

/** The nose and the foam speak at once; what floats or sinks must have had its time. */
const needsSettling = ({ code }: Finding): boolean => code !== 'smell' && code !== 'foam';

function chargeAfter(input: LookAtSump, context: LookInContext, settled: boolean): SumpState['charge'] {
  const { sump, look, origin } = input;
  const { charge } = sump;
  const answered = answersWater(input, context);
  const asked = look.clarity ?? look.creamMl ?? null;
  const wet = readOil(withoutOldWater(context)).findings.some((f) => f.code === 'water');
  const next = {
    ...charge,
    startColour: context.charge.startColour,
    levelKnown: look.level ? look.level !== 'high' : charge.levelKnown,
    purgedSinceSeen: asked === null || isOld(input) ? charge.purgedSinceSeen : false,
    bledSinceWaterSeen: answered || (wet && !isOld(input)) ? false : charge.bledSinceWaterSeen,
    answeredWaterUl: answered ? charge.bledWaterUl + charge.sampledWaterUl : charge.answeredWaterUl,
    answeredExpectedUl: answered ? charge.expectedWaterUl : charge.answeredExpectedUl,
  };
  const { chargeMl } = context.charge;
  const water = foundIn(afterLook(foundOn(charge), look, origin, { chargeMl, settled }));
  return look.source === 'bleed' ? { ...next, ...water, bledSinceWaterSeen: true } : { ...next, ...water };
}

/** The water that was found on a charge: taken out, and seen standing in it. */
export const foundOn = ({ bledWaterUl, sampledWaterUl, standingWaterUl, draws }: SumpState['charge']): WaterCount => ({
  bledUl: bledWaterUl,
  sampledUl: sampledWaterUl,
  standingUl: standingWaterUl,
  draws,
});
const foundIn = ({ bledUl, sampledUl, standingUl, draws }: WaterCount) => ({
  bledWaterUl: bledUl,
  sampledWaterUl: sampledUl,
  standingWaterUl: standingUl,
  draws,
});
