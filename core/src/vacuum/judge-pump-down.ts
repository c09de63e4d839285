import type { FigureRead, GaugeKind, LogVerdict } from '../journal/index.js';
import { NOTHING, Z80 } from './belief.js';
import { fallingPart, fitPumpDown } from './fit-pump-down.js';
import { amongReadings, fewEnough } from './few-enough.js';
import { cut, type Columns, type GaugeSeries } from './gauge-series.js';
import { outgassingAt, speedAtChamber, type Between, type PumpDownWay } from './pump-down-model.js';

export type PumpDownVerdict = Extract<
  LogVerdict,
  'asGood' | 'leak' | 'wornOrDirty' | 'restriction' | 'moisture' | 'undecided'
>;

export const PUMP_DOWN_NOTES = [
  'thermalAbove',
  'tooShort',
  'notFromAmbient',
  'leakOrUltimate',
  'fewReadings',
  'speedAboveRated',
  'seeps',
] as const;
export type PumpDownNote = (typeof PUMP_DOWN_NOTES)[number];

export interface PumpDownJudged {
  readonly verdict: PumpDownVerdict;
  /** At the pump's inlet. */
  readonly speedM3h: FigureRead;
  /** Where it would end. */
  readonly ultimatePa: FigureRead;
  /** What a leak would be that explains all that the ultimate is above the pump's own. */
  readonly leakPaM3PerS: FigureRead;
  /** Of the speed that it should have, 0-1. */
  readonly speedShare: number;
  /** What outgassing adds to the pressure at the end. */
  readonly outgassingPa: number;
  /** Speed at the chamber at the end, of what it is at 100 hPa: a narrow place takes it away where the gas is thin. */
  readonly speedKeptShare: number;
  readonly from: number;
  readonly to: number;
  readonly spikes: readonly number[];
  readonly scatterShare: number;
  readonly against: { readonly ultimatePa: number; readonly pumpingSpeedM3h: number };
  readonly notes: readonly PumpDownNote[];
  readonly way: PumpDownWay | null;
}

/** Of a vane pump of two stages in order, where nobody says better. */
const USUAL_ULTIMATE_PA = 0.5;
/** Poor is over three times its good value, as in care by the gauge. */
const POOR_TIMES = 3;
/** Below this share of its plate speed a pump is slow: plates say what is measured without hose and valve. */
export const SLOW_SHARE = 0.75;
/** Below this share the speed is lost in something narrow where the gas is thin. */
const NARROW_SHARE = 0.5;
/** Heat goes through dense gas alike. */
const THERMAL_UP_TO_PA = 1000;
/** A log that begins lower does not show the pump's first minute. */
const FROM_AMBIENT = 0.5;
const LEAST_READINGS = 20;

/**
 * What a pump-down says: the pump's speed, where it ends, and what keeps it from there.
 * @param input.points absolute pressures over seconds, from the pump's start; the part that falls is found in them
 * @param input.volumeL of what is pumped out; nine in ten lie within `volumeKnownTo` of it
 * @param input.pumpingSpeedM3h of the plate, or the set's own best
 * @param input.ultimatePa that the pump reaches blanked off; without it 0.5 Pa
 * @param input.hose between chamber and pump, or the whole chain; its loss is taken off
 * @param input.barometerHpa of the air around: whether the log begins there
 * @throws RangeError where volume or speed is not above 0
 */
export function judgePumpDown({ points, ...asked }: PumpDownAsked & { points: GaugeSeries }): PumpDownJudged {
  const { all, ...means } = fewEnough(points);
  return amongReadings(judgeColumns(all, asked), means);
}

interface PumpDownAsked {
  readonly volumeL: number;
  readonly pumpingSpeedM3h: number;
  readonly volumeKnownTo?: number;
  readonly ultimatePa?: number;
  readonly hose?: Between | null;
  readonly gauge?: GaugeKind;
  readonly barometerHpa?: number;
}

function judgeColumns(all: Columns, input: PumpDownAsked): PumpDownJudged {
  const {
    volumeL,
    pumpingSpeedM3h,
    volumeKnownTo = 0.1,
    ultimatePa = USUAL_ULTIMATE_PA,
    hose = null,
    gauge = 'capacitance',
    barometerHpa = 1013.25,
  } = input;
  if (!(volumeL > 0)) throw new RangeError(`volumeL: ${volumeL} is not above 0`);
  if (!(pumpingSpeedM3h > 0)) throw new RangeError(`pumpingSpeedM3h: ${pumpingSpeedM3h} is not above 0`);
  const against = { ultimatePa, pumpingSpeedM3h };
  const volumeM3 = volumeL / 1000;
  const [falls, to] = fallingPart(all);
  // Further up a thermal gauge hardly tells one pressure from another.
  const reads = gauge === 'thermal' ? all.pa.findIndex((pa, i) => i >= falls && pa < THERMAL_UP_TO_PA) : falls;
  const from = reads < 0 ? to : reads;
  const part = cut(all, from, to);
  if (part.s.length < LEAST_READINGS) return unread(against, { from, to });
  const start = part.s[0] ?? 0;
  const seconds = part.s.map((t) => t - start);
  const found = fitPumpDown({ seconds, pa: part.pa, volumeM3, hose, ratedM3s: pumpingSpeedM3h / 3600 });
  const { way, sigmas } = found;
  const volumeSigma = volumeKnownTo / 1.645;
  const speedSigma = Math.hypot(sigmas.speed, volumeSigma);
  const speed = around(way.speedM3s * 3600, speedSigma);
  const end = found.endPa;
  const speedAtEnd = speedAtChamber(way, end, hose);
  const outgassingPa = outgassingAt(way, seconds.at(-1) ?? 1) / speedAtEnd;
  const base = around(way.basePa, sigmas.base);
  const leakOf = (pa: number) => Math.max(0, pa - ultimatePa) * speedAtEnd;
  const spread = Math.exp(Z80 * volumeSigma);
  const most = { p10: leakOf(base.p10) / spread, p50: leakOf(base.p50), p90: leakOf(base.p90) * spread };
  const share = way.speedM3s / (pumpingSpeedM3h / 3600);
  const isSlow = share < SLOW_SHARE;
  const seen = base.p90 < base.p10 * 3 && sigmas.base < 0.5;
  const isPoor = base.p50 > POOR_TIMES * ultimatePa;
  const kept = speedAtChamber({ ...way }, end, null) / speedAtChamber({ ...way }, 10_000, null);
  const isNarrow = way.narrowM3s !== null && kept < NARROW_SHARE;
  const isWet = way.wet !== null || outgassingPa > Math.max(way.basePa, POOR_TIMES * ultimatePa);
  const verdict: PumpDownVerdict = isWet
    ? 'moisture'
    : isNarrow
      ? 'restriction'
      : isSlow
        ? isPoor
          ? 'wornOrDirty'
          : seen
            ? 'restriction'
            : 'undecided'
        : !seen
          ? 'undecided'
          : isPoor
            ? 'leak'
            : 'asGood';
  // What is not called a leak may still hide one: nothing up to all of it.
  const leak = verdict === 'leak' ? most : { p10: 0, p50: 0, p90: most.p90 };
  const notes: PumpDownNote[] = [
    ...(gauge === 'thermal' ? (['thermalAbove'] as const) : []),
    ...(seen ? [] : (['tooShort'] as const)),
    ...((part.pa[0] ?? 0) < barometerHpa * 100 * FROM_AMBIENT && gauge !== 'thermal'
      ? (['notFromAmbient'] as const)
      : []),
    ...(verdict === 'leak' ? (['leakOrUltimate'] as const) : []),
    ...(way.outgassingPower < 1 ? (['seeps'] as const) : []),
    ...(share > 1.3 ? (['speedAboveRated'] as const) : []),
  ];
  return {
    verdict,
    speedM3h: speed,
    ultimatePa: base,
    leakPaM3PerS: leak,
    speedShare: share,
    outgassingPa,
    speedKeptShare: kept,
    from,
    to,
    spikes: found.spikes.map((i) => from + i),
    scatterShare: found.scatter,
    against,
    notes,
    way,
  };
}

/** Of a logarithm's standard deviation. */
const around = (middle: number, sigma: number): FigureRead => ({
  p10: middle * Math.exp(-Z80 * sigma),
  p50: middle,
  p90: middle * Math.exp(Z80 * sigma),
});

const unread = (against: PumpDownJudged['against'], { from, to }: { from: number; to: number }): PumpDownJudged => ({
  verdict: 'undecided',
  speedM3h: NOTHING,
  ultimatePa: NOTHING,
  leakPaM3PerS: NOTHING,
  speedShare: 0,
  outgassingPa: 0,
  speedKeptShare: 1,
  from,
  to,
  spikes: [],
  scatterShare: 0,
  against,
  notes: ['fewReadings'],
  way: null,
});
