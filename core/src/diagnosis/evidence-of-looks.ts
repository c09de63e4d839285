import type { Entry, Level, LookBody, ParticleKind } from '../journal/index.js';
import { observed, type Observation } from './evidence.js';
import { PARTICLE_SIGNS, SMELL_SIGNS } from './look-signs.js';

type Look = Extract<Entry, { kind: 'look' }>;

/** A hair outside the marks is neither. */
const LEVEL_STATES = {
  none: 'low',
  low: 'low',
  hair: null,
  right: 'right',
  high: 'high',
} as const satisfies Readonly<Record<Level, string | null>>;
const HEIGHT: Readonly<Record<Level, number>> = { none: 0, low: 1, hair: 2, right: 2, high: 3 };

/** Oil that stood in such a room starts thick. */
const COLD_ROOM_C = 12;

/** Steps of D1500 that a look within one run makes a fast darkening. */
const FAST_STEPS = 1.5;

/** What looks at the oil say, each by itself and against the one before it. */
export function evidenceOfLooks(entries: readonly Entry[]): Observation[] {
  const said: Observation[] = levelOf(entries);
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

/** The level now: as the last look read it or the last service left it. What a look read above MAX, a bleed has lowered. */
function levelOf(entries: readonly Entry[]): Observation[] {
  let said: Observation[] = [];
  for (const entry of entries) {
    if (!('sump' in entry.body) || entry.body.sump !== 'oil') continue;
    if (entry.kind === 'bleed' && said.at(-1)?.state === 'high') said = [];
    const filled = entry.kind === 'topUp' || entry.kind === 'change';
    const level = entry.kind === 'look' ? entry.body.level : filled ? entry.body.levelAfter : null;
    // Filled, and nobody said how high: what was read before speaks no more.
    if (filled && !level) said = [];
    if (!level) continue;
    const state = LEVEL_STATES[level];
    said = state === null ? [] : [...said, observed(entry, 'level', state)];
  }
  return said;
}

function ofOneLook(look: Look): Observation[] {
  const { clarity, smell, foam, thrownFromExhaust, jarTempC } = look.body;
  return [
    ...(typeof jarTempC === 'number' ? [observed(look, 'room', jarTempC < COLD_ROOM_C ? 'cold' : 'usual')] : []),
    ...(clarity ? [observed(look, 'haze', clarity === 'bright' ? 'clear' : 'hazy')] : []),
    ...creamOf(look),
    ...(smell ? [observed(look, 'smell', SMELL_SIGNS[smell])] : []),
    ...(foam ? [observed(look, 'foam', foam === 'stays' ? 'yes' : 'no')] : []),
    ...(thrownFromExhaust ? [observed(look, 'exhaustMist', 'thrown')] : []),
    ...solidsOf(look),
  ];
}

const isJar = ({ source, lookedAtMl }: LookBody): boolean => source !== 'sightGlass' && (lookedAtMl ?? 0) > 0;

function creamOf(look: Look): Observation[] {
  const { creamMl, clarity } = look.body;
  if ((creamMl ?? 0) > 0 || clarity === 'cream') return [observed(look, 'cream', 'yes')];
  return isJar(look.body) ? [observed(look, 'cream', 'no')] : [];
}

function solidsOf(look: Look): Observation[] {
  const { particles, particleKinds, sludgeMl } = look.body;
  const sludge = isJar(look.body) ? [observed(look, 'sludge', (sludgeMl ?? 0) > 0 ? 'yes' : 'no')] : [];
  if (!particles) return sludge;
  const kinds = Object.entries(PARTICLE_SIGNS) as [ParticleKind, (typeof PARTICLE_SIGNS)['black']][];
  return [
    ...sludge,
    ...kinds.map(([kind, id]) =>
      observed(look, id, particles !== 'none' && particleKinds?.includes(kind) ? 'yes' : 'no'),
    ),
  ];
}

function ofTwoLooks(before: Look, look: Look, between: readonly Entry[]): Observation[] {
  const has = (...kinds: Entry['kind'][]) => between.some((e) => kinds.includes(e.kind));
  const runs = between.filter((e) => e.kind === 'run').length;
  const said: Observation[] = [];
  // Running oil stands lower than oil at rest: only like is held against like.
  const isLike = (before.body.hoursStood === 0) === (look.body.hoursStood === 0);
  if (isLike && before.body.level && look.body.level && !has('topUp', 'change', 'bleed')) {
    const rise = HEIGHT[look.body.level] - HEIGHT[before.body.level];
    said.push(observed(look, 'levelTrend', rise > 0 ? 'rising' : rise < 0 ? 'falling' : 'steady'));
  }
  const [was, is] = [before.body.colour, look.body.colour];
  if (typeof was === 'number' && typeof is === 'number' && runs > 0 && !has('change'))
    said.push(observed(look, 'darkening', runs === 1 && is - was >= FAST_STEPS ? 'inOneRun' : 'slowly'));
  return said;
}
