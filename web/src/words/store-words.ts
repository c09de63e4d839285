import { hours, number } from '../ui/number.js';
import {
  filterMediaOf,
  type HouseSetUp,
  type MediaKind,
  type Move,
  type NotInto,
  type Refusal,
  type ReuseSchool,
  type Settle,
  type ShelfGroup,
  type TransferBody,
  type Vessel,
  type WasteKind,
  type WrongWaste,
} from '@winter-jar/core';
import { momentWords } from './dates.js';
import { SERVICE_WORDS } from './service-words.js';
import { SMELL_WORDS } from './look-words.js';
import type { Words } from './words.js';

export const VESSEL_WORDS: Readonly<Record<Vessel, string>> = {
  can: 'can',
  bottle: 'bottle',
  jar: 'jar',
  drum: 'drum',
  filter: 'filter',
};

export const WASTE_WORDS: Readonly<Record<WasteKind, string>> = {
  oil: 'used oil',
  oilWithSolvent: 'oil with solvent',
  pfpe: 'PFPE',
  chlorinated: 'chlorinated oil',
  oilySolids: 'oily solids: rags, filters',
  waterWithOil: 'water with oil',
};

export const MEDIA_KIND_WORDS: Readonly<Record<MediaKind, string>> = {
  paper: 'gravity paper',
  spinOn: 'spin-on element',
  depth: 'depth cartridge',
  adsorber: 'adsorber',
  desiccant: 'desiccant',
};

export const REUSE_SCHOOL_WORDS: Readonly<Record<ReuseSchool, string>> = {
  newOnly: 'new oil only',
  reuse: 'filter and reuse',
  chosenPumps: 'reuse in chosen pumps',
};

/** Over the containers that stand so. */
export const GROUP_WORDS: Readonly<Record<ShelfGroup, string>> = {
  new: 'New',
  settling: 'Settling',
  toRead: 'To read',
  toPour: 'To pour off',
  toFilter: 'To filter',
  filter: 'Filters',
  ready: 'Ready to go back',
  refused: 'Not to go back',
  spent: 'Used',
  waste: 'Waste',
  empty: 'Empty',
};

/** "1st", "2nd", "3rd", "4th". */
export function ordinal(n: number): string {
  const ends = { one: 'st', two: 'nd', few: 'rd', other: 'th' } as const;
  const rule = new Intl.PluralRules('en-GB', { type: 'ordinal' }).select(n);
  return `${n}${ends[rule as keyof typeof ends] ?? 'th'}`;
}

/** How often an oil has come out of a pump. */
export const roundsWords = (rounds: number): string =>
  rounds === 0 ? 'new' : rounds === 1 ? 'once round' : rounds === 2 ? 'twice round' : `${rounds} times round`;

/** What only stayed behind from a charge before is a trace, and not told. */
export const LEAST_ROUND = 0.1;

/** A mean of rounds with its tenth, where it is none of the whole ones. */
export const meanRoundsWords = (mean: number, worst: number): string =>
  mean === worst ? roundsWords(worst) : `${number(mean, 1)} times round on average, at most ${worst}`;

const hoursWords = (hours: number): string =>
  hours < 1
    ? `${number(hours * 60)}\u00a0min`
    : hours < 72
      ? `${number(hours)}\u00a0h`
      : `${number(hours / 24, 1)}\u00a0days`;

/** What a container waits for, and from when. */
export function settleWords(settle: Settle, { zone, now }: Words): string {
  switch (settle.how) {
    case 'settles':
      return settle.ready
        ? `has stood its time (${hoursWords(settle.hours)})`
        : `pour from ${momentWords(settle.from, zone, now)}, ${hoursWords(settle.hours)} in all`;
    case 'freezes':
      return settle.ready
        ? 'frozen through: pour it off cold'
        : `freezes until ${momentWords(settle.from, zone, now)}, then pour it off cold`;
    case 'detergent':
      return 'does not settle: a detergent oil holds its water up. Filter it or dispose of it';
    case 'denser':
      return 'denser than water: the water floats. Skim it off';
    case 'unknownOil':
      return 'nobody said which oil it is';
  }
}

/** Why an oil may not go back, with what it rests on. */
export function refusalWords(refusal: Refusal, house: HouseSetUp, { print }: Words): string {
  switch (refusal.code) {
    case 'newOnly':
      return 'This house uses new oil only';
    case 'service':
      return `It did ${SERVICE_WORDS[refusal.service]} service: such oil never goes back`;
    case 'smell':
      return `Its jar smelt ${refusal.smell === 'solvent' ? 'of solvent' : SMELL_WORDS[refusal.smell]}: no filter takes that out`;
    case 'particles':
      return refusal.kind === 'glitter'
        ? 'Glitter was seen in it: metal that a filter does not take out whole'
        : 'Something grew in it: wash what it was in, gloves, to waste';
    case 'material': {
      const name = house.material[refusal.materialId]?.name ?? refusal.materialId;
      return refusal.stays === 'solvent'
        ? `${name} ran while it was in a pump: its solvent or resin stays in the oil`
        : `${name} ran while it was in a pump: its acid stays in the oil`;
    }
    case 'lab':
      return refusal.figure === 'acidMgKohG'
        ? `The lab found an acid number of ${number(refusal.value, 2)} mg KOH/g, over ${number(refusal.limit, 2)}`
        : `The lab found ${number(refusal.value, 1)} mm²/s at 40 °C, more than 10 % off the unused oil’s ${number(refusal.limit, 1)}`;
    case 'colour':
      return `Colour ${refusal.colour}: over ${refusal.fresh + refusal.most}, that is ${refusal.most} above the unused oil`;
    case 'mixed':
      return `Two products are in it: ${refusal.productIds.map((id) => house.oilProduct[id]?.name ?? id).join(' and ')}`;
    case 'unknownOil':
      return 'Nobody said which oil it is';
    case 'rounds':
      return `It has been round ${refusal.rounds} times; the rule of the house is ${refusal.most} at most`;
    case 'pfpe':
      return 'PFPE and oils denser than water are not cleaned here: keep them apart, for a specialist';
    case 'waste':
      return 'It stands in a container for waste';
    case 'notRead':
      return 'Nobody has read it since it was poured: read it first';
    case 'pourOff': {
      const below = [
        ['water', refusal.waterMl],
        ['cream', refusal.creamMl],
        ['sludge', refusal.sludgeMl],
      ] as const;
      const said = below.flatMap(([what, ml]) => (ml > 0 ? [`${print.volume(ml)} of ${what}`] : []));
      return `Pour it off first: ${said.join(', ')} beneath`;
    }
    case 'notClear':
      return 'It is not clear against a line of print: let it stand, warm it, or filter it';
  }
}

export const USED_OIL_WORDS: Readonly<Record<NotInto | 'refused', string>> = {
  newOnly: 'This house uses new oil only, and this oil has been in a pump before.',
  notChosen: 'This pump takes new oil only, and this oil has been in a pump before.',
  service: 'Used oil does not go into a pump of this service.',
  rounds: 'This oil has been round oftener than this pump takes it.',
  otherProduct: 'This pump is kept on another oil, and this one has been in a pump before.',
  refused: 'This used oil is not fit to go back: its page says why.',
};

export const WRONG_WASTE_WORDS: Readonly<Record<WrongWaste, string>> = {
  pfpe: 'This is PFPE: it is kept apart from all other waste, in a container of its own.',
  notPfpe: 'That container is for PFPE alone: other oil makes all of it dearer to get rid of.',
  solvent:
    'Solvent or resin may be in it: it is kept apart, its vapour burns. Bond and earth metal cans when you pour it.',
};

const OUTSIDE_WORDS = {
  bought: 'bought',
  notSaid: 'nobody said',
  shortage: 'there before anybody wrote it down',
  process: 'the load',
  exhaust: 'the exhaust',
  reading: 'a reading’s difference',
  stocktake: 'a stocktake’s difference',
  sample: 'a lab sample',
  spill: 'spilled',
  carrier: 'the carrier',
  media: 'with the filter’s media',
} as const;

/** A place of a movement, by its key. */
export function placeName(key: Move['from'], house: HouseSetUp): string {
  const [type = '', id = ''] = [key.slice(0, key.indexOf(':')), key.slice(key.indexOf(':') + 1)];
  if (type === 'container') return house.container[id]?.name ?? id;
  if (type === 'media') return `the media of ${house.container[id]?.name ?? id}`;
  if (type === 'sump') return house.pump[id.split('/')[0] ?? '']?.name ?? id;
  return OUTSIDE_WORDS[key as keyof typeof OUTSIDE_WORDS] ?? key;
}

/** Media by its name: the house's own, or one of the library. */
export const mediaName = (id: string, house: HouseSetUp): string =>
  filterMediaOf({ id, own: house.filterMedia })?.name ?? id;

/** A transfer in one line. */
export function transferWords(body: TransferBody, house: HouseSetUp, { print }: Words): string {
  const name = (id: string | null | undefined) => (id ? (house.container[id]?.name ?? id) : null);
  const volumes = (
    [
      ['', body.oilMl],
      ['water ', body.waterMl],
      ['cream ', body.creamMl],
      ['sludge ', body.sludgeMl],
    ] as const
  ).flatMap(([what, ml]) => (ml ? [`${what}${print.volume(ml)}`] : []));
  const from = name(body.fromId) ?? (body.outside === 'bought' ? 'bought' : 'not said from where');
  const to =
    name(body.toId) ??
    (body.outside === 'carrier' ? (body.carrier ?? 'a carrier') : body.outside === 'spill' ? 'spilled' : 'not said');
  const parts = [
    `${volumes.join(', ')}: ${from} → ${to}`,
    body.productId && (house.oilProduct[body.productId]?.name ?? body.productId),
    body.batch && `batch ${body.batch}`,
    body.noteNumber && `note ${body.noteNumber}`,
    body.estimated && 'not measured',
    body.throughHours && `ran through in ${hours(body.throughHours)}`,
    body.remark,
  ];
  return parts.filter(Boolean).join(' · ');
}
