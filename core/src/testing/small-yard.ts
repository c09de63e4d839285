import {
  MATERIAL_LIBRARY,
  setUpBook,
  type Process,
  type PumpModel,
  type SetUpBook,
  type SetUpVersion,
} from '../set-up/index.js';
import type { SchoolId, SparseLimits } from '../limits/index.js';
import {
  BODY_VERSION,
  type Correction,
  type CorrectionBody,
  type Entry,
  type EntryBodies,
  type EntryKind,
} from '../journal/index.js';

/** One site with a vane pump, a dry pump and a booster: what the tests of the fold need. */
export const START = '2031-01-01T00:00:00.000Z';
const HOUR_MS = 3_600_000;

export interface YardOptions {
  readonly preset?: SchoolId;
  readonly limits?: SparseLimits;
  readonly process?: Process;
  readonly overhauledAt?: string;
  readonly model?: Partial<PumpModel>;
  readonly waterBehaviour?: 'demulsifying' | 'detergent';
  readonly base?: 'mineral' | 'synthetic' | 'pfpe';
}

type Unversioned = {
  [K in SetUpVersion['kind']]: Pick<Extract<SetUpVersion, { kind: K }>, 'kind' | 'subjectId' | 'body'>;
}[SetUpVersion['kind']];

export function versionsOf(options: YardOptions = {}): SetUpVersion[] {
  const { preset = 'bleedAndCount', limits = {}, process = 'freezeDrying' } = options;
  const vane: PumpModel = {
    name: 'Test vane',
    kind: 'vane',
    pumpingSpeedM3h: 6,
    operatingOilTempC: 70,
    ballastRule: 'purge',
    hasOilFilter: false,
    sumps: [{ key: 'oil', chargeMl: 700, housingMl: 1000, holdUpMl: 60 }],
    ...options.model,
  };
  const product = {
    grade: 'VG 68',
    waterBehaviour: options.waterBehaviour ?? 'demulsifying',
    base: options.base ?? 'mineral',
    freshColour: 1,
    densityKgM3: options.base === 'pfpe' ? 1890 : 870,
  } as const;
  const pump = {
    siteId: 'site',
    equipmentId: 'chamber',
    preset,
    limits,
    ...(options.overhauledAt ? { overhauledAt: options.overhauledAt } : {}),
  } as const;
  const records: Unversioned[] = [
    { kind: 'site', subjectId: 'site', body: { name: 'Test site', process, zone: 'Europe/Lisbon' } },
    {
      kind: 'equipment',
      subjectId: 'chamber',
      body: { name: 'Chamber', siteId: 'site', process, referenceHours: 20, coldTrap: true },
    },
    {
      kind: 'equipment',
      subjectId: 'line',
      body: {
        name: 'Line',
        siteId: 'site',
        process: 'packaging',
        referenceHours: 8,
        cyclesPerRun: 2000,
        cycleTimeS: 30,
        coldTrap: false,
      },
    },
    { kind: 'pumpModel', subjectId: 'vane', body: vane },
    { kind: 'pumpModel', subjectId: 'dry', body: { ...vane, name: 'Test dry', kind: 'dry', sumps: [] } },
    {
      kind: 'pumpModel',
      subjectId: 'booster',
      body: {
        ...vane,
        name: 'Test booster',
        kind: 'booster',
        sumps: [
          { key: 'gearA', chargeMl: 400, housingMl: 600, holdUpMl: 20 },
          { key: 'gearB', chargeMl: 400, housingMl: 600, holdUpMl: 20 },
          { key: 'sealCup', chargeMl: 50, housingMl: 90, holdUpMl: 5 },
        ],
      },
    },
    { kind: 'oilProduct', subjectId: 'oil-a', body: { name: 'Oil A', ...product } },
    { kind: 'oilProduct', subjectId: 'oil-b', body: { name: 'Oil B', ...product } },
    { kind: 'pump', subjectId: 'p1', body: { name: 'P-1', modelId: 'vane', oilProductId: 'oil-a', ...pump } },
    {
      kind: 'pump',
      subjectId: 'd1',
      body: { name: 'D-1', modelId: 'dry', ...pump, preset: 'byTheHour', limits: { tipSeals: { hours: 100 } } },
    },
    {
      kind: 'pump',
      subjectId: 'b1',
      body: { name: 'B-1', modelId: 'booster', oilProductId: 'oil-a', ...pump, limits: { boosterOil: { runs: 4 } } },
    },
    ...Object.entries(MATERIAL_LIBRARY).map(([subjectId, body]): Unversioned => ({
      kind: 'material',
      subjectId,
      body,
    })),
  ];
  return records.map((r, i) => ({
    ...r,
    id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
    validFrom: START,
    recordedAt: START,
  }));
}

export const bookOf = (options: YardOptions = {}): SetUpBook => setUpBook(versionsOf(options));

/** Hours after the start of the test year. */
export const at = (hours: number): string => new Date(Date.parse(START) + hours * HOUR_MS).toISOString();

let made = 0;
/** An entry so many hours after the start; ids count up. */
export function entryAt<K extends EntryKind>(
  hours: number,
  kind: K,
  body: EntryBodies[K],
  more: { pumpId?: string; equipmentId?: string; caseId?: string; jobId?: string; id?: string } = {},
): Entry {
  made += 1;
  const id = more.id ?? `10000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
  const subjects = [
    { type: 'pump' as const, id: more.pumpId ?? 'p1' },
    ...(more.equipmentId ? [{ type: 'equipment' as const, id: more.equipmentId }] : []),
    ...(more.jobId ? [{ type: 'job' as const, id: more.jobId }] : []),
    ...(more.caseId ? [{ type: 'case' as const, id: more.caseId }] : []),
  ];
  return {
    id,
    actId: id,
    kind,
    body,
    subjects,
    happenedAt: at(hours),
    zone: 'Europe/Lisbon',
    precision: 'exact',
    recordedAt: at(hours),
    acknowledged: [],
    bodyVersion: BODY_VERSION,
  } as unknown as Entry;
}

/** A run of so many hours; `any-empty` weighs its hours alone. */
export const runAt = (
  startHours: number,
  hours: number,
  materialId = 'any-empty',
  more: Parameters<typeof entryAt>[3] & { body?: Partial<EntryBodies['run']> } = {},
): Entry =>
  entryAt(
    startHours,
    'run',
    { materialId, minutes: hours * 60, session: 'run', ballast: 'closed', ventedBeforeStop: 'yes', ...more.body },
    { equipmentId: 'chamber', ...more },
  );

/** A word on an entry, said at such an hour of the test year. */
export function correctionAt(hours: number, target: Entry, body: Partial<CorrectionBody>): Correction {
  const { id, happenedAt, recordedAt } = entryAt(hours, 'note', { text: '' });
  const said = { targetId: target.id, supersedes: null, action: 'void' as const, ...body };
  return { ...target, id, actId: id, happenedAt, recordedAt, kind: 'correction', body: said };
}

export const changeAt = (hours: number, productId = 'oil-a'): Entry =>
  entryAt(hours, 'change', { sump: 'oil', productId, outMl: 650, inMl: 700, levelAfter: 'right' });

export const lookAt = (hours: number, seen: Partial<EntryBodies['look']>): Entry =>
  entryAt(hours, 'look', { sump: 'oil', source: 'sightGlass', hoursStood: 8, ...seen });

/** A case as its entries tell it, on one pump. */
export const caseAt = {
  opened: (hours: number, caseId = 'case-a', pumpId = 'p1'): Entry =>
    entryAt(hours, 'caseOpened', { complaint: 'cream after every wet load' }, { caseId, pumpId }),
  closed: (hours: number, causeId: string | null = 'condensation', caseId = 'case-a', pumpId = 'p1'): Entry =>
    entryAt(hours, 'caseClosed', { causeId, remedy: 'Purged warm', checkAfterRuns: 2 }, { caseId, pumpId }),
  checked: (hours: number, held: boolean, caseId = 'case-a'): Entry =>
    entryAt(hours, 'caseChecked', { held }, { caseId }),
};

/** A service as its entries tell it, on one pump. */
export const jobAt = {
  started: (hours: number, procedure: string, jobId = 'job-a', pumpId = 'p1'): Entry =>
    entryAt(hours, 'jobStarted', { procedure }, { jobId, pumpId }),
  step: (hours: number, step: string, body: Partial<EntryBodies['jobStep']> = {}, jobId = 'job-a'): Entry =>
    entryAt(hours, 'jobStep', { step, visit: 1, phase: 'done', ...body }, { jobId }),
  moved: (hours: number, body: EntryBodies['jobMoved'], jobId = 'job-a'): Entry =>
    entryAt(hours, 'jobMoved', body, { jobId }),
  ended: (hours: number, how: EntryBodies['jobEnded']['how'], jobId = 'job-a'): Entry =>
    entryAt(hours, 'jobEnded', { how }, { jobId }),
};

/** What somebody found, as sure as can be. */
export const foundAt = (hours: number, found: Readonly<Record<string, string>>, certainty = 1): Entry =>
  entryAt(hours, 'test', { findings: Object.entries(found).map(([id, state]) => ({ id, state, certainty })) });
