import type { Entry, Level, LookBody, ParticleKind, Smell } from '../journal/index.js';
import type { FindingId } from './all-findings.js';
import { says, type SaidOfFinding as Said } from './evidence.js';

type Look = Extract<Entry, { kind: 'look' }>;

const SMELL_STATES = {
  none: 'none',
  sour: 'sour',
  burnt: 'burnt',
  solvent: 'solvent',
  rancid: 'rancid',
  fishy: 'rancid',
  ammonia: 'sharp',
} as const satisfies Readonly<Record<Smell, string>>;

const LEVEL_STATES = {
  none: 'low',
  low: 'low',
  hair: 'right',
  right: 'right',
  high: 'high',
} as const satisfies Readonly<Record<Level, string>>;
const HEIGHT: Readonly<Record<Level, number>> = { none: 0, low: 1, hair: 2, right: 2, high: 3 };

const PARTICLE_FINDINGS = {
  black: 'blackParticles',
  rustRed: 'rustParticles',
  glitter: 'glitter',
  fibres: 'fibres',
  growth: 'growth',
} as const satisfies Readonly<Partial<Record<ParticleKind, FindingId>>>;

/** Oil that stood in such a room starts thick. */
const COLD_ROOM_C = 12;

/** Steps of D1500 that a look within one run makes a fast darkening. */
const FAST_STEPS = 1.5;

/** What looks at the oil say, each by itself and against the one before it. */
export function evidenceOfLooks(entries: readonly Entry[]): Said[] {
  const said: Said[] = [];
  let last: Look | null = null;
  let sinceLast: Entry[] = [];
  for (const entry of entries) {
    if (entry.kind !== 'look' || entry.body.sump !== 'oil') {
      sinceLast.push(entry);
      continue;
    }
    said.push(...ofOneLook(entry));
    if (last) said.push(...ofTwoLooks(last, entry, sinceLast));
    last = entry;
    sinceLast = [];
  }
  return said;
}

function ofOneLook(look: Look): Said[] {
  const { level, clarity, smell, foam, thrownFromExhaust, jarTempC } = look.body;
  return [
    ...(typeof jarTempC === 'number' ? [says(look, 'room', jarTempC < COLD_ROOM_C ? 'cold' : 'usual')] : []),
    ...(level ? [says(look, 'level', LEVEL_STATES[level])] : []),
    ...(clarity ? [says(look, 'haze', clarity === 'bright' ? 'clear' : 'hazy')] : []),
    ...creamOf(look),
    ...(smell ? [says(look, 'smell', SMELL_STATES[smell])] : []),
    ...(foam ? [says(look, 'foam', foam === 'stays' ? 'yes' : 'no')] : []),
    ...(thrownFromExhaust ? [says(look, 'exhaustMist', 'thrown')] : []),
    ...solidsOf(look),
  ];
}

const isJar = ({ source, lookedAtMl }: LookBody): boolean => source !== 'sightGlass' && (lookedAtMl ?? 0) > 0;

function creamOf(look: Look): Said[] {
  const { creamMl, clarity } = look.body;
  if ((creamMl ?? 0) > 0 || clarity === 'cream') return [says(look, 'cream', 'yes')];
  return isJar(look.body) ? [says(look, 'cream', 'no')] : [];
}

function solidsOf(look: Look): Said[] {
  const { particles, particleKinds, sludgeMl } = look.body;
  const sludge = isJar(look.body) ? [says(look, 'sludge', (sludgeMl ?? 0) > 0 ? 'yes' : 'no')] : [];
  if (!particles) return sludge;
  const kinds = Object.entries(PARTICLE_FINDINGS) as [ParticleKind, (typeof PARTICLE_FINDINGS)['black']][];
  return [
    ...sludge,
    ...kinds.map(([kind, id]) => says(look, id, particles !== 'none' && particleKinds?.includes(kind) ? 'yes' : 'no')),
  ];
}

function ofTwoLooks(before: Look, look: Look, between: readonly Entry[]): Said[] {
  const has = (...kinds: Entry['kind'][]) => between.some((e) => kinds.includes(e.kind));
  const runs = between.filter((e) => e.kind === 'run').length;
  const said: Said[] = [];
  if (before.body.level && look.body.level && !has('topUp', 'change', 'bleed')) {
    const rise = HEIGHT[look.body.level] - HEIGHT[before.body.level];
    said.push(says(look, 'levelTrend', rise > 0 ? 'rising' : rise < 0 ? 'falling' : 'steady'));
  }
  const [was, is] = [before.body.colour, look.body.colour];
  if (typeof was === 'number' && typeof is === 'number' && runs > 0 && !has('change'))
    said.push(says(look, 'darkening', runs === 1 && is - was >= FAST_STEPS ? 'inOneRun' : 'slowly'));
  return said;
}
