// Longer than a file should be: one table of stories where work can hurt someone, with what the trade says of each.

import type { VerdictLevel } from '../limits/index.js';
import type { Act } from '../oil/index.js';

/** Oils of the stories; `h1` is registered for incidental food contact, the other mineral oils are not. */
export type StoryOil = 'mineral' | 'otherMineral' | 'detergent' | 'h1' | 'pfpe';

/** What happened, in the words of the trade; hours count from the first change. Percent of sludge and cream are of the charge. */
export type StoryEvent =
  | { readonly at: number; readonly change: StoryOil; readonly oilWent?: 'leak' | 'exhaust' | 'suckedBack' }
  | { readonly at: number; readonly topUp: StoryOil; readonly oilWent?: 'leak' | 'exhaust' | 'suckedBack' }
  /** Rating of the solvent in what was put in, and the oxygen of the gas that was pumped, in percent. */
  | { readonly at: number; readonly run: { readonly solvent?: number; readonly oxygen?: number; readonly on?: true } }
  | {
      readonly at: number;
      readonly look: {
        readonly smell?: 'none' | 'solvent' | 'burnt';
        readonly glitter?: true;
        readonly growth?: true;
        readonly sludgePercent?: number;
        readonly creamPercent?: number;
        readonly noOil?: true;
      };
    }
  | { readonly at: number; readonly done: 'vaneCheck' | 'flush' | 'housingClean' | 'stripClean' | 'purge' }
  /** Viscosity at 40 °C of a sample of the oil that is in, against the fresh oil's. */
  | { readonly at: number; readonly viscosityPercent: number }
  /** From then on the set-up says so of the pump. */
  | { readonly at: number; readonly service: 'oxygen' | 'food' };

export interface SafetyCase {
  readonly name: string;
  readonly why: string;
  /** What the set-up names. */
  readonly oil?: StoryOil;
  readonly service?: 'oxygen' | 'food' | 'toxic';
  readonly story: readonly StoryEvent[];
  readonly verdict: VerdictLevel;
  readonly act: Act | null;
  /** Acts that no reason may ask for. */
  readonly never?: readonly Act[];
}

const TRACE = 'a trace of hydrocarbon can ignite in oxygen: strip and solvent clean by a specialist';
const AIR = 'ballast air and solvent vapour can burn: never purge with air';

export const SAFETY_CASES: readonly SafetyCase[] = [
  // Oxygen and PFPE.
  {
    name: 'a PFPE pump in oxygen service on its own oil',
    why: 'inert oil in a pump that is meant for it',
    oil: 'pfpe',
    service: 'oxygen',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, run: { oxygen: 60 } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'mineral oil filled into an oxygen pump',
    why: TRACE,
    oil: 'pfpe',
    service: 'oxygen',
    story: [{ at: 0, change: 'mineral' }],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'mineral oil topped up in an oxygen pump',
    why: TRACE,
    oil: 'pfpe',
    service: 'oxygen',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, topUp: 'mineral' },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'the same, drained and filled with PFPE again',
    why: TRACE,
    oil: 'pfpe',
    service: 'oxygen',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, topUp: 'mineral' },
      { at: 20, change: 'pfpe' },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'the same, flushed with PFPE',
    why: 'never by flushing',
    oil: 'pfpe',
    service: 'oxygen',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, topUp: 'mineral' },
      { at: 20, done: 'flush' },
      { at: 20, change: 'pfpe' },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'the same, stripped and cleaned, filled with PFPE',
    why: 'what the trade asks for was done',
    oil: 'pfpe',
    service: 'oxygen',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, topUp: 'mineral' },
      { at: 30, done: 'stripClean' },
      { at: 31, change: 'pfpe' },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'stripped and cleaned, but the old charge is still the one on record',
    why: 'who cleans drains: without a new charge nobody knows what is in it',
    oil: 'pfpe',
    service: 'oxygen',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, topUp: 'mineral' },
      { at: 30, done: 'stripClean' },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: 'stripped and cleaned, then mineral oil again',
    why: TRACE,
    oil: 'pfpe',
    service: 'oxygen',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 30, done: 'stripClean' },
      { at: 31, change: 'mineral' },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'a mineral pump whose class becomes oxygen',
    why: 'by a change of the class in the set-up too',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 40, service: 'oxygen' },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'a mineral pump that pumped a gas of 60 % oxygen',
    why: 'high-oxygen flushing is ordinary packaging, and mineral oil can explode in it',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { oxygen: 60 } },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'a mineral pump that pumped a gas of 23 % oxygen',
    why: 'the strictest makers’ limit is 21 %',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { oxygen: 23 } },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'a mineral pump that is pumping oxygen now',
    why: 'nobody waits for the end of such a run',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { oxygen: 80, on: true } },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'a mineral pump on air',
    why: '21 % is air',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { oxygen: 21 } },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'mineral oil topped up in a PFPE pump without a class',
    why: 'a PFPE pump is kept free of hydrocarbon whatever it pumps today',
    oil: 'pfpe',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, topUp: 'mineral' },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'PFPE topped up in a mineral pump',
    why: 'immiscible, it sinks to the pick-up: change and clean',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, topUp: 'pfpe' },
    ],
    verdict: 'beforeNextRun',
    act: 'washHousing',
  },
  {
    name: 'PFPE topped up in a mineral pump, housing washed, new charge',
    why: 'changed and cleaned',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, topUp: 'pfpe' },
      { at: 20, done: 'housingClean' },
      { at: 20, change: 'mineral' },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'PFPE topped up in a mineral pump, then another mineral oil',
    why: 'what comes later makes nothing milder',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, topUp: 'pfpe' },
      { at: 20, topUp: 'otherMineral' },
      { at: 30, change: 'otherMineral' },
    ],
    verdict: 'beforeNextRun',
    act: 'washHousing',
  },
  // Other products.
  {
    name: 'another mineral oil topped up',
    why: 'never mix oil types; a top-up with another product is mixing too',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, topUp: 'otherMineral' },
    ],
    verdict: 'lookSooner',
    act: 'flush',
  },
  {
    name: 'detergent oil topped up on demulsifying oil',
    why: 'a detergent holds the water up that the other lets drop',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, topUp: 'detergent' },
    ],
    verdict: 'lookSooner',
    act: 'flush',
  },
  {
    name: 'its own oil topped up',
    why: 'nothing is mixed',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, topUp: 'mineral' },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'a food pump on an oil that is not H1',
    why: 'food areas: only oil for incidental contact',
    service: 'food',
    story: [{ at: 0, change: 'mineral' }],
    verdict: 'beforeNextRun',
    act: 'change',
  },
  {
    name: 'a food pump on H1 oil, its class said after the fill',
    why: 'the oil that is in it decides',
    oil: 'h1',
    story: [
      { at: 0, change: 'h1' },
      { at: 20, service: 'food' },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'PFPE that smells burnt',
    why: 'overheated PFPE gives off hydrogen fluoride: ventilate, do not touch, a specialist',
    oil: 'pfpe',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, run: {} },
      { at: 40, look: { smell: 'burnt' } },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'burnt PFPE, only changed',
    why: 'deposits that give off hydrogen fluoride stay behind',
    oil: 'pfpe',
    story: [
      { at: 0, change: 'pfpe' },
      { at: 10, run: {} },
      { at: 40, look: { smell: 'burnt' } },
      { at: 60, change: 'pfpe' },
    ],
    verdict: 'stop',
    act: 'stripClean',
  },
  {
    name: 'mineral oil that smells burnt',
    why: 'overheated oil is changed',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 40, look: { smell: 'burnt' } },
    ],
    verdict: 'beforeNextRun',
    act: 'change',
  },
  // Solvent.
  {
    name: 'cream after a run with a solvent of rating 2',
    why: AIR,
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { solvent: 2 } },
      { at: 60, look: { creamPercent: 2 } },
    ],
    verdict: 'lookSooner',
    act: 'change',
    never: ['purge'],
  },
  {
    name: 'cream after a run with a solvent of rating 1',
    why: 'a trace of solvent does not bar air',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { solvent: 1 } },
      { at: 60, look: { creamPercent: 2 } },
    ],
    verdict: 'lookSooner',
    act: 'purge',
  },
  {
    name: 'cream, and two plain runs since the solvent',
    why: 'the solvent is in this charge still',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { solvent: 3 } },
      { at: 40, run: {} },
      { at: 70, run: {} },
      { at: 100, look: { creamPercent: 2 } },
    ],
    verdict: 'lookSooner',
    act: 'change',
    never: ['purge'],
  },
  {
    name: 'cream in a new charge after the solvent',
    why: 'changed, the oil is free of it',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: { solvent: 3 } },
      { at: 40, change: 'mineral' },
      { at: 50, run: {} },
      { at: 90, look: { creamPercent: 2 } },
    ],
    verdict: 'lookSooner',
    act: 'purge',
  },
  {
    name: 'cream while a solvent run is on',
    why: AIR,
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { creamPercent: 2 } },
      { at: 70, run: { solvent: 3, on: true } },
    ],
    verdict: 'lookSooner',
    act: 'change',
    never: ['purge'],
  },
  {
    name: 'a smell of solvent',
    why: 'thin oil, flammable vapour',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { smell: 'solvent' } },
    ],
    verdict: 'stop',
    act: 'change',
    never: ['purge'],
  },
  {
    name: 'a smell of solvent, changed',
    why: 'what ends it is its viscosity, not another change',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { smell: 'solvent' } },
      { at: 70, change: 'mineral' },
    ],
    verdict: 'stop',
    act: 'sample',
    never: ['purge', 'change'],
  },
  {
    name: 'a smell of solvent, changed, and no smell noticed',
    why: 'of methanol or acetonitrile a missing smell proves nothing',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { smell: 'solvent' } },
      { at: 70, change: 'mineral' },
      { at: 80, look: { smell: 'none' } },
    ],
    verdict: 'stop',
    act: 'sample',
  },
  {
    name: 'a smell of solvent, changed, 4 % thinner, no smell noticed',
    why: 'within 10 % of fresh, and no smell',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { smell: 'solvent' } },
      { at: 70, change: 'mineral' },
      { at: 80, look: { smell: 'none' } },
      { at: 90, viscosityPercent: -4 },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'a smell of solvent, changed, 12 % thinner',
    why: 'solvent came out of the pump into the new oil',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { smell: 'solvent' } },
      { at: 70, change: 'mineral' },
      { at: 90, viscosityPercent: -12 },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: 'a smell of solvent, changed, 4 % thinner, smelled again',
    why: 'the nose found it again',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { smell: 'solvent' } },
      { at: 70, change: 'mineral' },
      { at: 80, look: { smell: 'solvent' } },
      { at: 90, viscosityPercent: -4 },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: 'solvent in toxic work, changed, 4 % thinner',
    why: 'no smell is asked for where smelling harms',
    service: 'toxic',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { smell: 'solvent' } },
      { at: 70, change: 'mineral' },
      { at: 90, viscosityPercent: -4 },
    ],
    verdict: 'runOn',
    act: null,
  },
  // A Stop ends only with its danger.
  {
    name: 'glitter, vanes checked, the metal still in the oil',
    why: 'the inspection and clean oil',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { glitter: true } },
      { at: 70, done: 'vaneCheck' },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: 'glitter, changed and not inspected',
    why: 'the inspection and clean oil',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { glitter: true } },
      { at: 70, change: 'mineral' },
    ],
    verdict: 'stop',
    act: 'inspect',
  },
  {
    name: 'glitter, inspected, then changed',
    why: 'both were done',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { glitter: true } },
      { at: 70, done: 'vaneCheck' },
      { at: 71, change: 'mineral' },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: 'glitter, changed, inspected, and glitter again',
    why: 'the new oil has it too',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { glitter: true } },
      { at: 70, change: 'mineral' },
      { at: 71, done: 'vaneCheck' },
      { at: 90, look: { glitter: true } },
    ],
    verdict: 'stop',
    act: 'inspect',
  },
  {
    name: '6 % sludge, the housing washed and nothing filled in',
    why: 'a wash ends with a new charge',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { sludgePercent: 6 } },
      { at: 70, done: 'housingClean' },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: '6 % sludge, the housing washed and filled in one deed',
    why: 'a wash with a new charge',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { sludgePercent: 6 } },
      { at: 70, done: 'housingClean' },
      { at: 70, change: 'mineral' },
    ],
    verdict: 'runOn',
    act: null,
  },
  {
    name: '6 % sludge, only changed',
    why: 'new oil on a housing full of sludge is foul again',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { sludgePercent: 6 } },
      { at: 70, change: 'mineral' },
    ],
    verdict: 'stop',
    act: 'washHousing',
  },
  {
    name: '6 % sludge, changed, and washed a day later without a refill',
    why: 'the oil that was filled before the wash went out with it',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { sludgePercent: 6 } },
      { at: 70, change: 'mineral' },
      { at: 94, done: 'housingClean' },
    ],
    verdict: 'stop',
    act: 'change',
  },
  {
    name: 'no oil in the glass, topped up',
    why: 'first say where the oil went',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { noOil: true } },
      { at: 61, topUp: 'mineral' },
    ],
    verdict: 'stop',
    act: 'findCause',
  },
  {
    name: 'no oil in the glass, topped up, it had leaked out',
    why: 'the reason is said: look whether it goes again',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { noOil: true } },
      { at: 61, topUp: 'mineral', oilWent: 'leak' },
    ],
    verdict: 'lookSooner',
    act: 'look',
  },
  {
    name: 'no oil in the glass, filled by a change without a word',
    why: 'new oil goes where the old went',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { noOil: true } },
      { at: 61, change: 'mineral' },
    ],
    verdict: 'stop',
    act: 'findCause',
  },
  {
    name: 'growth',
    why: 'it feeds on what clings to the housing: wash, gloves, no reuse',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { growth: true } },
    ],
    verdict: 'beforeNextRun',
    act: 'washHousing',
  },
  {
    name: 'growth, only changed',
    why: 'stands until a wash',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { growth: true } },
      { at: 70, change: 'mineral' },
    ],
    verdict: 'beforeNextRun',
    act: 'washHousing',
  },
  {
    name: 'growth, washed and filled anew',
    why: 'washed with a new charge',
    story: [
      { at: 0, change: 'mineral' },
      { at: 10, run: {} },
      { at: 60, look: { growth: true } },
      { at: 70, done: 'housingClean' },
      { at: 71, change: 'mineral' },
    ],
    verdict: 'runOn',
    act: null,
  },
];
