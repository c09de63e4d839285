import type { CautionId } from '../cautions/index.js';
import type { CheckId } from './all-checks.js';
import type { FindingId } from './all-findings.js';

/** Parts of a set as its schematic shows them, from the product to the exhaust. */
export const SET_PARTS = [
  'chamber',
  'door',
  'drain',
  'trap',
  'port',
  'valve',
  'hose',
  'joints',
  'gauge',
  'pump',
] as const;
export type SetPart = (typeof SET_PARTS)[number];

interface Outcome {
  readonly words: string;
  readonly findings: readonly { readonly id: FindingId; readonly state: string }[];
}

/** One step of the leak hunt (procedure K): the first that fails is where the leak is. */
export interface LeakStep {
  readonly id: string;
  readonly name: string;
  readonly how: readonly string[];
  readonly cautions: readonly CautionId[];
  /** The test of which it is a part. */
  readonly checkId: CheckId;
  /** Parts that are proven tight when it passes. */
  readonly proves: readonly SetPart[];
  readonly passed: Outcome;
  readonly failed: Outcome;
  /** What to do where it fails. */
  readonly remedy: string;
  /** The step asks for a cold trap's chamber. */
  readonly needsTrap?: boolean;
}

const bad = (words: string): Outcome => ({ words, findings: [{ id: 'joints', state: 'bad' }] });
const nothing = (words: string): Outcome => ({ words, findings: [] });

/** In the order in which a leak is hunted: cheap before dear, from the door to the sensor. */
export const LEAK_STEPS: readonly LeakStep[] = [
  {
    id: 'gaskets',
    name: 'Gasket of door or lid, clean and sound',
    how: [
      'Wipe gasket and seat, look along it against a light, feel for cuts and flat spots; on a bag, press its seal down all round.',
    ],
    cautions: ['vent'],
    checkId: 'jointsLook',
    proves: ['door'],
    passed: nothing('Clean, soft, whole'),
    failed: bad('Dirty, cut, hard or flat'),
    remedy: 'Clean it and its seat, turn or renew the gasket; then pump down again.',
  },
  {
    id: 'drain',
    name: 'Drain line and plug, or the catch pot',
    how: ['Closed to the stop, dry, its seal whole; close it with a stopper if in doubt.'],
    cautions: ['vent'],
    checkId: 'jointsLook',
    proves: ['drain'],
    passed: nothing('Closed, dry, seal whole'),
    failed: bad('Open, wet or its seal is worn'),
    remedy: 'Close it, renew the seal, or put a stopper in its place.',
  },
  {
    id: 'hoses',
    name: 'Hoses',
    how: ['Bend every hose by hand along its length; look for cracks at its ends.'],
    cautions: ['vent'],
    checkId: 'jointsLook',
    proves: ['hose'],
    passed: nothing('Supple, no crack'),
    failed: bad('Cracked, hard or loose'),
    remedy: 'Renew the hose; never carry or pull a pump by it.',
  },
  {
    id: 'connections',
    name: 'Every connection',
    how: ['Clamps, fittings, centring rings: turn each by a finger; a ring that is dry or pinched?'],
    cautions: ['vent'],
    checkId: 'jointsLook',
    proves: ['joints'],
    passed: { words: 'All tight', findings: [{ id: 'joints', state: 'sound' }] },
    failed: bad('One is loose or pinched'),
    remedy: 'Clean the faces, set the ring, close the clamp; renew what is pinched.',
  },
  {
    id: 'valves',
    name: 'Every valve, turned',
    how: [
      'At low pressure turn one valve at a time, wait ten seconds each, and watch the gauge.',
      'A bad one is replaced by a stopper: does the pressure come right?',
    ],
    cautions: ['furnace', 'vent'],
    checkId: 'turnValves',
    proves: ['valve'],
    passed: { words: 'The gauge stays quiet', findings: [{ id: 'flicker', state: 'no' }] },
    failed: { words: 'The gauge moves with one of them', findings: [{ id: 'flicker', state: 'yes' }] },
    remedy: 'A stopper in its place proves it; renew its seal or the valve.',
  },
  {
    id: 'oil',
    name: 'Pump oil and level',
    how: ['Oil clear and warm, level between the marks? If not: mend that first, and measure again.'],
    cautions: ['hotOil'],
    checkId: 'lookRunning',
    proves: [],
    passed: {
      words: 'Clear, between the marks',
      findings: [
        { id: 'haze', state: 'clear' },
        { id: 'level', state: 'right' },
      ],
    },
    failed: nothing('Hazy, dark, or the level is not right'),
    remedy: 'Purge or change the oil, set the level, and measure again.',
  },
  {
    id: 'pumpBlanked',
    name: 'Pump blanked off, second gauge',
    how: [
      'Pump warm, fresh oil, a blank flange with a second gauge on its inlet.',
      'Read after 20 minutes, ballast closed.',
    ],
    cautions: ['vent'],
    checkId: 'blankOffPump',
    proves: ['pump'],
    passed: { words: 'It reaches its own ultimate', findings: [{ id: 'pumpPressure', state: 'good' }] },
    failed: { words: 'Poor at the pump itself', findings: [{ id: 'pumpPressure', state: 'poor' }] },
    remedy: 'The pump: its ballast valve, glass, plugs and shaft seal first, then vanes on the bench.',
  },
  {
    id: 'portBlanked',
    name: 'Chamber port blanked, gauge at the hose’s end',
    how: ['Hose on, its far end blanked with a gauge.', 'Good here and poor at the chamber: the chamber.'],
    cautions: ['vent'],
    checkId: 'blankOffPort',
    proves: ['hose', 'joints', 'pump'],
    passed: { words: 'Good at the hose’s end', findings: [{ id: 'hosePressure', state: 'good' }] },
    failed: { words: 'Poor at the hose’s end', findings: [{ id: 'hosePressure', state: 'poor' }] },
    remedy: 'Between pump and chamber: hose, its fittings, an in-line filter, the isolation valve.',
  },
  {
    id: 'bubbles',
    name: 'Bubble check in the trap chamber',
    how: [
      'Pump valved off from about 100 hPa, water over the suspect joint, seconds only.',
      'Bubbles show where. Drain and dry after.',
    ],
    cautions: ['boiling'],
    checkId: 'bubbleCheck',
    proves: ['trap', 'chamber', 'port'],
    passed: { words: 'No bubbles', findings: [{ id: 'bubbles', state: 'no' }] },
    failed: { words: 'Bubbles', findings: [{ id: 'bubbles', state: 'yes' }] },
    remedy: 'Seal or renew what bubbles; a weld or a crack is for the maker.',
    needsTrap: true,
  },
  {
    id: 'sensor',
    name: 'Sensor and its wiring',
    how: ['Plug off, measure between the pins, compare with the data sheet; wiggle the cable.'],
    cautions: ['supplyOff'],
    checkId: 'sensorResistance',
    proves: ['gauge'],
    passed: { words: 'By the data sheet', findings: [{ id: 'sensor', state: 'right' }] },
    failed: { words: 'Off the data sheet, or it jumps', findings: [{ id: 'sensor', state: 'wrong' }] },
    remedy: 'Renew the sensor or its cable; what it showed before cannot be trusted.',
  },
];

/** How far a hunt has come. */
export interface HuntStanding {
  readonly next: LeakStep | null;
  readonly failed: LeakStep | null;
  readonly proven: readonly SetPart[];
  readonly done: Readonly<Record<string, boolean>>;
}

/** @param said what was said of steps, the oldest first; the last word on a step counts */
export function huntStanding(input: {
  said: readonly { readonly leakStep: string; readonly passed: boolean }[];
  hasTrap: boolean;
}): HuntStanding {
  const steps = LEAK_STEPS.filter((s) => input.hasTrap || !s.needsTrap);
  const done = Object.fromEntries(input.said.map(({ leakStep, passed }) => [leakStep, passed]));
  const failed = steps.find((s) => done[s.id] === false) ?? null;
  const proven = new Set(steps.filter((s) => done[s.id]).flatMap((s) => s.proves));
  return {
    next: failed ? null : (steps.find((s) => done[s.id] === undefined) ?? null),
    failed,
    proven: SET_PARTS.filter((p) => proven.has(p)),
    done,
  };
}
