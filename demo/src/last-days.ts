import type { EntryBodies, EntryKind } from '@winter-jar/core';

/** What was written in the yard's last days, hours before the seeding, besides what the simulation brings. */
export type LastEntry = {
  [K in EntryKind]: {
    readonly pumpId: string;
    readonly equipmentId?: string;
    readonly kind: K;
    readonly hoursBefore: number;
    /** A report's sample stands under `cites`. */
    readonly body: K extends 'labResult' ? Omit<EntryBodies[K], 'sampleId'> : EntryBodies[K];
    /** By which others cite it. */
    readonly name?: string;
    readonly cites?: string;
    /** The case that it belongs to, by the name of its opening. */
    readonly ofCase?: string;
    /** The job that it belongs to, by the name of its start: one deed with it. */
    readonly ofJob?: string;
    /** Of a wait that was begun: so long. */
    readonly waitMinutes?: number;
    /** Somebody of the yard where it is missing. */
    readonly who?: string;
  };
}[EntryKind];

const look = (pumpId: string, hoursBefore: number, body: Partial<EntryBodies['look']>): LastEntry => ({
  pumpId,
  kind: 'look',
  hoursBefore,
  body: { sump: 'oil', source: 'sightGlass', hoursStood: 10, level: 'right', clarity: 'bright', ...body },
});

/** A run that goes on while the yard is looked at. */
const running = (pumpId: string, equipmentId: string, hoursBefore: number, materialId: string): LastEntry => ({
  pumpId,
  equipmentId,
  kind: 'run',
  hoursBefore,
  body: { materialId, stillRunning: true, session: 'run', ballast: 'closed', ventedBeforeStop: 'unknown' },
});

/** A bottle for the laboratory, and its report two weeks later. */
const lab = (
  pumpId: string,
  label: string,
  daysBefore: number,
  report: (LastEntry & { kind: 'labResult' })['body'] | null,
): LastEntry[] => [
  {
    pumpId,
    kind: 'labSample',
    hoursBefore: daysBefore * 24,
    body: { sump: 'oil', drawnMl: 100, label },
    name: label,
  },
  ...(report
    ? [{ pumpId, kind: 'labResult' as const, hoursBefore: (daysBefore - 14) * 24, body: report, cites: label }]
    : []),
];

const DAY = 24;
const found = (id: string, state: string, certainty = 0.97) => ({ id, state, certainty });

/** A case from its opening to the check, and one that is open. */
const CASES: readonly LastEntry[] = [
  {
    pumpId: 'cw-02',
    kind: 'caseOpened',
    hoursBefore: 58 * DAY,
    name: 'hose',
    ofCase: 'hose',
    body: { complaint: 'Oil in the hose on Monday mornings' },
  },
  {
    pumpId: 'cw-02',
    kind: 'test',
    hoursBefore: 58 * DAY - 1,
    ofCase: 'hose',
    body: { findings: [found('oilUpHose', 'now'), found('stoppedUnderVacuum', 'yes', 0.8)] },
  },
  {
    pumpId: 'cw-02',
    kind: 'test',
    hoursBefore: 57 * DAY,
    ofCase: 'hose',
    body: {
      checkId: 'suckbackOut',
      findings: [found('suckbackBall', 'bad')],
      remark: 'Ball pitted, a grain of oxide on its seat.',
    },
  },
  {
    pumpId: 'cw-02',
    kind: 'caseClosed',
    hoursBefore: 57 * DAY - 3,
    ofCase: 'hose',
    body: {
      causeId: 'suckback',
      remedy: 'Valve cleaned, new ball; the pump side is vented before every stop now.',
      checkAfterRuns: 5,
    },
  },
  { pumpId: 'cw-02', kind: 'caseChecked', hoursBefore: 40 * DAY, ofCase: 'hose', body: { held: true } },
  {
    pumpId: 'hs-01',
    kind: 'caseOpened',
    hoursBefore: 49,
    name: 'dark',
    ofCase: 'dark',
    body: { complaint: 'Dark again within one run' },
  },
  {
    pumpId: 'hs-01',
    kind: 'test',
    hoursBefore: 2.5,
    ofCase: 'dark',
    body: { findings: [found('darkening', 'inOneRun', 0.8)], remark: 'Fresh on Friday, brown by Monday.' },
  },
  {
    pumpId: 'hs-01',
    kind: 'test',
    hoursBefore: 2,
    ofCase: 'dark',
    body: {
      checkId: 'heatAndNoise',
      findings: [found('current', 'usual'), found('caseTemp', 'usual'), found('noise', 'usual')],
    },
  },
];

export const LAST_DAYS: readonly LastEntry[] = [
  ...lab('rl-02', 'RL-02/1', 130, { viscosity40Mm2s: 98, waterPpm: 40, ironPpm: 4, acidMgKohG: 0.1 }),
  ...lab('rl-02', 'RL-02/2', 88, { viscosity40Mm2s: 96, waterPpm: 44, ironPpm: 5, acidMgKohG: 0.15 }),
  ...lab('rl-02', 'RL-02/3', 47, {
    viscosity40Mm2s: 93,
    waterPpm: 38,
    ironPpm: 5,
    acidMgKohG: 0.15,
    count4PerMl: 5200,
    count6PerMl: 1400,
    count14PerMl: 90,
  }),
  ...lab('rl-02', 'RL-02/4', 9, null),
  { pumpId: 'cw-b1', kind: 'done', hoursBefore: 900, body: { task: 'inletScreen' } },
  { pumpId: 'hs-02', kind: 'done', hoursBefore: 700, body: { task: 'inletScreen' } },
  look('lf-01', 2, {
    source: 'sample',
    lookedAtMl: 340,
    hoursStood: 20,
    jarTempC: 24,
    sludgeMl: 2,
    freeWaterMl: 46,
    creamMl: 18,
    hazyMl: 190,
    clarity: 'hazy',
    colour: 3,
    particles: 'few',
    particleKinds: ['brown'],
    smell: 'sour',
  }),
  look('lf-02', 5, { colour: 1.5, freeWaterMl: 7 }),
  look('hs-01', 3, { colour: 2.5, clarity: 'bright', freeWaterMl: 6 }),
  look('rl-01', 1, {
    source: 'sightGlass',
    hoursStood: 0,
    clarity: 'opaque',
    colour: 6,
    smell: 'solvent',
    remark: 'The catch pot was full.',
  }),
  look('rl-02', 25.5, { colour: 2 }),
  running('hs-02', 'heath-bell', 6, 'fd-plants'),
  // Its end was forgotten.
  running('rl-02', 'loft-2', 25, 'co-infusion'),
  { pumpId: 'qp-02', kind: 'meter', hoursBefore: 7.5, body: { action: 'read', minutes: 4127 * 60 } },
  look('qp-01', 120, { colour: 3, clarity: 'hazy', remark: 'Brine on the floor under line 1.' }),
  look('qp-02', 7, { colour: 2.5, clarity: 'hazy' }),
  look('qp-03', 9, {
    source: 'sample',
    lookedAtMl: 240,
    hoursStood: 3,
    jarTempC: 18,
    freeWaterMl: 4,
    sludgeMl: 0,
    clarity: 'bright',
    colour: 0.5,
    particles: 'few',
    particleKinds: ['black'],
  }),
  look('cw-01', 8, { colour: 1.5 }),
  look('cw-02', 26, { level: 'low', colour: 2.5, remark: 'Just under MIN, cold.' }),
  {
    pumpId: 'cw-b1',
    kind: 'topUp',
    hoursBefore: 30,
    body: { sump: 'sealCup', productId: 'dunlin-s', addedMl: 8, levelAfter: 'right' },
  },
  {
    pumpId: 'lf-01',
    kind: 'note',
    hoursBefore: 1.8,
    body: { text: 'Trap of chamber A was slow to cool on Monday. Ask about the compressor.' },
  },
  ...CASES,
];
