// Longer than a file should be: one table of stories of water and jars, with what the trade says of each.

import type { VerdictLevel } from '../limits/index.js';
import type { Act } from '../oil/index.js';
import type { Clarity, Level } from '../journal/index.js';

/** What stood in a jar, mL, and how it looked. */
export interface JarSeenInStory {
  readonly waterMl?: number;
  readonly creamMl?: number;
  readonly clarity?: Clarity;
  readonly jarMl?: number;
  readonly stood: number;
  /** In the jar, °C; 25 where nothing is said. */
  readonly jarC?: number;
}

/** What happened; hours count from the first change. */
export type WaterEvent =
  | { readonly at: number; readonly change: true }
  | {
      readonly at: number;
      readonly run: {
        readonly hours: number;
        readonly ballast: 'closed' | 'open' | 'purge';
        readonly trapC?: number;
        readonly oilC?: number;
        readonly cycles?: number;
      };
    }
  /** Drawn at the bottom; the water as it was said beside the pump, null where nobody read it. */
  | { readonly at: number; readonly bleed: { readonly drawnMl: number; readonly waterMl: number | null } }
  /** A reading of the jar of the last bleed. */
  | { readonly at: number; readonly bledJar: JarSeenInStory }
  /** A sample in a jar; `again` is a later reading of the same jar. */
  | {
      readonly at: number;
      readonly sample: JarSeenInStory & { readonly drawn: 'atRest' | 'running'; readonly again?: true };
    }
  | {
      readonly at: number;
      readonly glass: {
        readonly waterMl?: number;
        readonly clarity?: Clarity;
        readonly level?: Level;
        readonly colour?: number;
        readonly stood: number;
        readonly atPickUp?: true;
      };
    }
  | { readonly at: number; readonly labPpm: number }
  | { readonly at: number; readonly purged: true };

export interface WaterCase {
  readonly name: string;
  readonly why: string;
  readonly oil?: 'mineral' | 'detergent' | 'pfpe';
  /** 700 mL where nothing is said. */
  readonly chargeMl?: number;
  /** A dryer with a cold trap where nothing is said; `plain` has no source of water that can be estimated. */
  readonly equipment?: 'dryer' | 'dryerWithVolume' | 'packing' | 'plain';
  readonly story: readonly WaterEvent[];
  readonly verdict: VerdictLevel;
  readonly act: Act | null;
  readonly never?: readonly Act[];
  /** What the charge's runs should have left in the oil, mL, from hand-reckoned figures. */
  readonly expectedMl?: readonly [from: number, to: number];
  /** Water found on the charge in all, mL. */
  readonly foundMl?: number;
}

const RUN_30H = { hours: 30, ballast: 'closed', trapC: -40 } as const;
const OUT = 'what was bled is out of the oil';

/** 17.1 g pass a trap of -40 °C in 30 h at 6 m³/h. */
export const WATER_CASES: readonly WaterCase[] = [
  {
    name: 'a spoonful bled before each run',
    why: 'what passes the trap comes out again: nothing bad',
    story: [
      { at: 0, change: true },
      { at: 40, run: RUN_30H },
      { at: 50, bleed: { drawnMl: 30, waterMl: 15 } },
      { at: 90, run: RUN_30H },
      { at: 100, bleed: { drawnMl: 30, waterMl: 16 } },
    ],
    verdict: 'runOn',
    act: null,
    expectedMl: [33, 35.5],
    foundMl: 31,
  },
  {
    name: 'a bleed whose jar is read after an hour and the next day',
    why: 'one jar holds its water once',
    story: [
      { at: 0, change: true },
      { at: 40, run: RUN_30H },
      { at: 50, bleed: { drawnMl: 30, waterMl: null } },
      { at: 51, bledJar: { waterMl: 13, jarMl: 30, stood: 1 } },
      { at: 70, bledJar: { waterMl: 13, jarMl: 30, stood: 20 } },
    ],
    verdict: 'runOn',
    act: null,
    foundMl: 13,
  },
  {
    name: 'a bleed read by eye, then twice in its jar, more water each time',
    why: 'water goes on settling: the last reading holds',
    story: [
      { at: 0, change: true },
      { at: 40, run: RUN_30H },
      { at: 50, bleed: { drawnMl: 40, waterMl: 8 } },
      { at: 51, bledJar: { waterMl: 11, creamMl: 6, jarMl: 40, stood: 1 } },
      { at: 74, bledJar: { waterMl: 14, jarMl: 40, stood: 24 } },
    ],
    verdict: 'runOn',
    act: null,
    foundMl: 14,
  },
  {
    name: 'a sample from the bottom, read after an hour and the next day',
    why: 'the second reading of one jar takes the place of the first',
    story: [
      { at: 0, change: true },
      { at: 40, run: RUN_30H },
      { at: 51, sample: { waterMl: 4, jarMl: 100, stood: 1, drawn: 'atRest' } },
      { at: 74, sample: { waterMl: 6, jarMl: 100, stood: 24, drawn: 'atRest', again: true } },
    ],
    verdict: 'runOn',
    act: null,
    foundMl: 6,
  },
  {
    name: 'two samples of two days',
    why: 'different jars add',
    story: [
      { at: 0, change: true },
      { at: 40, run: RUN_30H },
      { at: 60, sample: { waterMl: 5, jarMl: 100, stood: 10, drawn: 'atRest' } },
      { at: 85, sample: { waterMl: 4, jarMl: 100, stood: 10, drawn: 'atRest' } },
    ],
    verdict: 'runOn',
    act: null,
    foundMl: 9,
  },
  {
    name: 'a sample hazy after two hours, clear after two days, in the same jar',
    why: 'air and fine drops have gone: a later reading replaces the clarity of the first',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 30, run: { hours: 20, ballast: 'closed' } },
      { at: 33, sample: { clarity: 'hazy', jarMl: 100, stood: 10, drawn: 'atRest' } },
      { at: 78, sample: { clarity: 'bright', waterMl: 0, jarMl: 100, stood: 48, drawn: 'atRest', again: true } },
    ],
    verdict: 'runOn',
    act: null,
    foundMl: 0,
  },
  {
    name: '75 mL bled at once from 700, nothing known of the process',
    why: 'a single large bleed warns by itself: look at what is left',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 30, run: { hours: 20, ballast: 'closed' } },
      { at: 40, bleed: { drawnMl: 100, waterMl: 75 } },
    ],
    verdict: 'lookSooner',
    act: 'look',
    foundMl: 75,
  },
  {
    name: 'the same, and the colour looked at the next morning',
    why: `${OUT}: a colour makes no Stop of it, and shows no water gone either`,
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 30, run: { hours: 20, ballast: 'closed' } },
      { at: 40, bleed: { drawnMl: 100, waterMl: 75 } },
      { at: 54, glass: { colour: 1, stood: 14 } },
    ],
    verdict: 'lookSooner',
    act: 'look',
  },
  {
    name: 'the same, and no water in the glass after a night',
    why: 'what asked for a look was looked at',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 30, run: { hours: 20, ballast: 'closed' } },
      { at: 40, bleed: { drawnMl: 100, waterMl: 75 } },
      { at: 54, glass: { waterMl: 0, clarity: 'bright', stood: 14 } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'a spoonful from each of six runs, 80 mL of 700 in all',
    why: `${OUT}, and it was expected`,
    story: [
      { at: 0, change: true },
      ...[0, 1, 2, 3, 4, 5].flatMap((i): WaterEvent[] => [
        { at: 40 + i * 50, run: RUN_30H },
        { at: 50 + i * 50, bleed: { drawnMl: 30, waterMl: 13.5 } },
      ]),
    ],
    verdict: 'runOn',
    act: null,
    foundMl: 81,
    expectedMl: [99, 106],
  },
  {
    name: '60 mL bled where 17 were due',
    why: 'over 3 times as much and more than 15 mL over it: something brings water',
    story: [
      { at: 0, change: true },
      { at: 40, run: RUN_30H },
      { at: 50, bleed: { drawnMl: 80, waterMl: 60 } },
      { at: 52, bledJar: { waterMl: 60, jarMl: 80, stood: 2 } },
    ],
    verdict: 'beforeNextRun',
    act: 'change',
  },
  {
    name: '30 mL under the oil in the glass',
    why: '4.3 % of the charge stands in it: bleed it',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 30, run: { hours: 20, ballast: 'closed' } },
      { at: 54, glass: { waterMl: 30, stood: 14 } },
    ],
    verdict: 'lookSooner',
    act: 'bleed',
    foundMl: 30,
  },
  {
    name: 'the same, bled, and a clear glass the next day',
    why: 'bled, looked at, over',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 30, run: { hours: 20, ballast: 'closed' } },
      { at: 54, glass: { waterMl: 30, stood: 14 } },
      { at: 55, bleed: { drawnMl: 45, waterMl: 30 } },
      { at: 78, glass: { waterMl: 0, clarity: 'bright', stood: 23 } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'the same, bled, and 12 mL more the next day',
    why: `${OUT}: 12 mL of 700 stand in it`,
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 30, run: { hours: 20, ballast: 'closed' } },
      { at: 54, glass: { waterMl: 30, stood: 14 } },
      { at: 55, bleed: { drawnMl: 45, waterMl: 30 } },
      { at: 78, glass: { waterMl: 12, clarity: 'bright', stood: 23 } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: '130 mL under the oil of a 7 L pump',
    why: '1.9 % is a small share, but 130 mL are near any pick-up: bleed before the next run',
    equipment: 'plain',
    chargeMl: 7000,
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 130, stood: 14 } },
    ],
    verdict: 'beforeNextRun',
    act: 'bleed',
  },
  {
    name: 'the same, bled',
    why: 'bled is bled: a look shows what is left',
    equipment: 'plain',
    chargeMl: 7000,
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 130, stood: 14 } },
      { at: 55, bleed: { drawnMl: 180, waterMl: 130 } },
    ],
    verdict: 'beforeNextRun',
    act: 'look',
  },
  {
    name: '390 mL under the oil of a 20 L pump',
    why: 'the same',
    equipment: 'plain',
    chargeMl: 20_000,
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 390, stood: 14 } },
    ],
    verdict: 'beforeNextRun',
    act: 'bleed',
  },
  {
    name: '40 mL under the oil of a 7 L pump',
    why: 'little, and far from the pick-up',
    equipment: 'plain',
    chargeMl: 7000,
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 40, stood: 14 } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: '3 mL under the oil of a pump that holds 100 mL',
    why: '3 % of a tiny charge',
    equipment: 'plain',
    chargeMl: 100,
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 3, stood: 14 } },
    ],
    verdict: 'lookSooner',
    act: 'bleed',
  },
  {
    name: '2 mL of cream in a sample of 100 mL, after a day',
    why: 'a small sample stands for the charge: 2 % cream, purge it',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { creamMl: 2, waterMl: 0, jarMl: 100, stood: 24, drawn: 'running' } },
    ],
    verdict: 'lookSooner',
    act: 'purge',
  },
  {
    name: '10 mL of cream in a sample of 100 mL, after a day',
    why: '10 % of the charge is cream, over 3 %: purge it before the next run',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { creamMl: 10, waterMl: 0, jarMl: 100, stood: 24, drawn: 'running' } },
    ],
    verdict: 'beforeNextRun',
    act: 'purge',
  },
  {
    name: 'the same after a purge',
    why: 'a purge did not clear it: change',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { creamMl: 10, waterMl: 0, jarMl: 100, stood: 24, drawn: 'running' } },
      { at: 75, purged: true },
      { at: 100, sample: { creamMl: 9, waterMl: 0, jarMl: 100, stood: 24, drawn: 'running' } },
    ],
    verdict: 'beforeNextRun',
    act: 'change',
  },
  {
    name: 'a warm sample all cream after ten minutes',
    why: 'air or cream: half an hour tells, and until then nothing is started',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { creamMl: 100, jarMl: 100, stood: 0.17, jarC: 45, drawn: 'running' } },
    ],
    verdict: 'beforeNextRun',
    act: 'look',
    never: ['change', 'purge'],
  },
  {
    name: 'the same jar clear after half an hour',
    why: 'it was air',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { creamMl: 100, jarMl: 100, stood: 0.17, jarC: 45, drawn: 'running' } },
      {
        at: 79,
        sample: { creamMl: 0, waterMl: 0, clarity: 'bright', jarMl: 100, stood: 5, drawn: 'running', again: true },
      },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'a white jar, and another one clear after two days',
    why: 'a look was asked for, and shows no cream',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 20, sample: { creamMl: 100, jarMl: 100, stood: 0.17, jarC: 45, drawn: 'running' } },
      { at: 100, sample: { creamMl: 0, waterMl: 0, clarity: 'bright', jarMl: 100, stood: 48, drawn: 'running' } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'a sample drawn running, 6 mL of water in 100 after a day',
    why: 'it stands for the whole charge: 6 %, over 5 %',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { waterMl: 6, jarMl: 100, stood: 24, drawn: 'running' } },
    ],
    verdict: 'beforeNextRun',
    act: 'change',
  },
  {
    name: 'a sample drawn at the bottom at rest, 6 mL of water in 100 after a day',
    why: 'it stands for what was drained: 6 mL of 700, and they are out',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { waterMl: 6, jarMl: 100, stood: 24, drawn: 'atRest' } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'detergent oil with 5 mL of water under it',
    why: 'it can hold no more',
    oil: 'detergent',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 5, stood: 14 } },
    ],
    verdict: 'beforeNextRun',
    act: 'change',
  },
  {
    name: '20 mL of water on PFPE',
    why: 'it floats: skim and purge, there is nothing to bleed',
    oil: 'pfpe',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 20, stood: 14 } },
    ],
    verdict: 'lookSooner',
    act: 'purge',
    never: ['bleed'],
  },
  {
    name: 'laboratory: 60 ppm of water in a mineral oil',
    why: 'dissolved at running temperature: purge or dry, never bleed',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 54, labPpm: 60 },
    ],
    verdict: 'lookSooner',
    act: 'purge',
    never: ['bleed'],
  },
  {
    name: 'water as high as the pick-up',
    why: 'the pump would pump water',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 54, glass: { waterMl: 20, stood: 14, atPickUp: true } },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: 'level above MAX with nothing added, 20 mL of water under the oil',
    why: 'water took the oil up',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 20, glass: { level: 'right', stood: 14 } },
      { at: 54, glass: { waterMl: 20, level: 'high', stood: 14 } },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: 'a jar with cream after a day, read once more as if it had stood ten minutes',
    why: 'a reading of before says less of it: nothing is ticked away',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 74, sample: { creamMl: 10, waterMl: 0, jarMl: 100, stood: 24, drawn: 'running' } },
      {
        at: 75,
        sample: { creamMl: 0, waterMl: 0, clarity: 'bright', jarMl: 100, stood: 0.17, drawn: 'running', again: true },
      },
    ],
    verdict: 'beforeNextRun',
    act: 'purge',
  },
  {
    name: 'a jar with cream, purged, and the same jar clear the day after',
    why: 'the jar of before the purge takes back its own word of cream, and nothing of the water that another look had seen',
    equipment: 'plain',
    story: [
      { at: 0, change: true },
      { at: 60, glass: { waterMl: 30, stood: 14 } },
      { at: 74, sample: { creamMl: 10, waterMl: 0, jarMl: 100, stood: 24, drawn: 'running' } },
      { at: 75, purged: true },
      {
        at: 98,
        sample: { creamMl: 0, waterMl: 0, clarity: 'bright', jarMl: 100, stood: 48, drawn: 'running', again: true },
      },
    ],
    verdict: 'lookSooner',
    act: 'look',
  },
  {
    name: 'a dryer whose chamber volume is known',
    why: 'the air of one pump-down is gone in minutes: it carries nothing that comes over 30 h',
    equipment: 'dryerWithVolume',
    story: [
      { at: 0, change: true },
      { at: 40, run: RUN_30H },
    ],
    verdict: 'runOn',
    act: null,
    expectedMl: [16.6, 17.8],
  },
  {
    name: 'half an hour of purge at the end of the run',
    why: 'by the purge rate, 15 g in 0.8 h at 70 °C: 9.4 g of 17.1 go',
    story: [
      { at: 0, change: true },
      { at: 40, run: { ...RUN_30H, ballast: 'purge', oilC: 70 } },
    ],
    verdict: 'runOn',
    act: null,
    expectedMl: [7, 9],
  },
  {
    name: 'the same with the oil at 40 °C',
    why: '15 g in 5 h: 1.5 g of 17.1 go',
    story: [
      { at: 0, change: true },
      { at: 40, run: { ...RUN_30H, ballast: 'purge', oilC: 40 } },
    ],
    verdict: 'runOn',
    act: null,
    expectedMl: [15, 16.2],
  },
  {
    name: 'ballast open through the run, oil at 70 °C',
    why: 'all but a twentieth is carried out',
    story: [
      { at: 0, change: true },
      { at: 40, run: { ...RUN_30H, ballast: 'open', oilC: 70 } },
    ],
    verdict: 'runOn',
    act: null,
    expectedMl: [0.8, 0.95],
  },
  {
    name: 'ballast open through the run, oil at 20 °C',
    why: '156 g come with the air, 119 of all 173 go out again',
    story: [
      { at: 0, change: true },
      { at: 40, run: { ...RUN_30H, ballast: 'open', oilC: 20 } },
    ],
    verdict: 'runOn',
    act: null,
    expectedMl: [50, 58],
  },
  {
    name: 'a packing machine in a cold room, 2,000 cycles of 50 L at 20 °C, oil at 20 °C',
    why: '1.73 kg come, about 60 % stays',
    equipment: 'packing',
    chargeMl: 20_000,
    story: [
      { at: 0, change: true },
      { at: 40, run: { hours: 17, ballast: 'closed', cycles: 2000, oilC: 20 } },
    ],
    verdict: 'runOn',
    act: null,
    expectedMl: [950, 1150],
  },
];
