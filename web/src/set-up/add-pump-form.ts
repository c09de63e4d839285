import { ofMinute } from '../forms/when-field.js';
import { checkRecord } from '@winter-jar/contracts';
import {
  MATERIAL_LIBRARY,
  type Entry,
  type Envelope,
  type HouseSetUp,
  type Process,
  type SetUpKind,
  type SetUpVersion,
} from '@winter-jar/core';
import { fieldReader } from '../forms/read-quantity.js';
import { issueWords } from '../words/issue-words.js';
import { entriesOf, exactly } from '../entry/deed.js';
import type { IdFor } from '../forms/draft-ids.js';
import { nothingKnown, readTakeOver, type TakeOverValues } from '../take-over/take-over-form.js';
import { assumedFrom } from './derived-fields.js';
import { firstVersion, recordId } from './new-version.js';
import type { Units } from './record-form.js';

/** What a select holds when the record is to be made here. */
export const NEW = '+';

/** A pump in two minutes: what must be said, and what may be. */
export interface AddPumpValues extends TakeOverValues {
  name: string;
  site: string;
  siteName: string;
  process: Process;
  equipment: string;
  equipmentName: string;
  model: string;
  modelName: string;
  speed: string;
  charge: string;
  marks: string;
  holdUp: string;
  oil: string;
  oilName: string;
  preset: string;
}

/** What a plain run lasts, and which school fits, until somebody says otherwise. docs/trade.md 1 and 4. */
export const BY_PROCESS: Readonly<
  Record<Process, { hours: number; preset: string; coldTrap: boolean; cyclesPerRun?: number }>
> = {
  freezeDrying: { hours: 24, preset: 'bleedAndCount', coldTrap: true },
  packaging: { hours: 8, preset: 'byTheHour', coldTrap: false, cyclesPerRun: 2000 },
  composites: { hours: 8, preset: 'byTheLook', coldTrap: false },
  industrial: { hours: 10, preset: 'byTheHour', coldTrap: false },
};

/** Stands in for what a manual would say. */
const ASSUMED_OIL_TEMP_C = 70;
/** What a sump can hold at most: no stand-in goes beyond. */
const MOST_ML = 200_000;

const first = (records: object): string => Object.keys(records)[0] ?? NEW;

/** What the other pumps of a site have: the next one is likely to be another of them. */
export function usualAt(house: HouseSetUp, siteId: string): Pick<AddPumpValues, 'equipment' | 'model' | 'oil'> {
  const isVane = (modelId: string) => house.pumpModel[modelId]?.kind === 'vane';
  const neighbour = Object.values(house.pump).find((p) => p.siteId === siteId && isVane(p.modelId));
  return {
    equipment: Object.entries(house.equipment).find(([, e]) => e.siteId === siteId)?.[0] ?? NEW,
    model: neighbour?.modelId ?? Object.keys(house.pumpModel).find(isVane) ?? first(house.pumpModel),
    oil: neighbour?.oilProductId ?? first(house.oilProduct),
  };
}

export function addPumpDefaults(house: HouseSetUp): AddPumpValues {
  const site = first(house.site);
  const process = house.site[site]?.process ?? 'freezeDrying';
  return {
    name: '',
    site,
    siteName: '',
    process,
    ...usualAt(house, site),
    equipmentName: '',
    modelName: '',
    speed: '',
    charge: '',
    marks: '',
    holdUp: '',
    oilName: 'Mineral VG 68',
    preset: BY_PROCESS[process].preset,
    ...nothingKnown(),
  };
}

interface Context {
  readonly house: HouseSetUp;
  readonly units: Units;
  readonly zone: string;
  readonly now: string;
  /** The same at every try: names of what is made. */
  readonly idFor: IdFor;
  readonly newId: () => string;
  readonly shared: Pick<Envelope, 'who' | 'device' | 'acknowledged' | 'bodyVersion'>;
}

type Answer =
  | { readonly ok: true; readonly pumpId: string; readonly versions: readonly SetUpVersion[]; readonly entry: Entry }
  | { readonly ok: false; readonly issues: Readonly<Record<string, string>> };

/** Everything that a new pump needs: records that are not there yet, the pump itself, and its take-over. */
export function readAddPump(v: AddPumpValues, context: Context): Answer {
  const { house, units, now, idFor, newId, shared } = context;
  const fields = fieldReader(units);
  const versions: SetUpVersion[] = [];
  /** Checked by the shared rules; `fieldOf` says at which field of this form a record's field stands. */
  function add(kind: SetUpKind, subjectId: string, body: object, fieldOf: Readonly<Record<string, string>>) {
    const checked = checkRecord(kind, body);
    if (checked.ok) versions.push(firstVersion(kind, { id: newId(), subjectId, at: now, body: body as never }));
    else for (const issue of checked.issues) fields.refuse(fieldOf[issue.field] ?? 'name', issueWords(issue));
    return subjectId;
  }
  const zone = house.site[v.site]?.zone ?? context.zone;
  const siteId =
    v.site === NEW
      ? add(
          'site',
          recordId(v.siteName, idFor('site')),
          { name: v.siteName.trim(), process: v.process, zone },
          { name: 'siteName' },
        )
      : v.site;
  const { hours, coldTrap, cyclesPerRun } = BY_PROCESS[v.process];
  const equipmentId =
    v.equipment === NEW
      ? add(
          'equipment',
          recordId(v.equipmentName, idFor('equipment')),
          {
            name: v.equipmentName.trim(),
            siteId,
            process: v.process,
            referenceHours: hours,
            coldTrap,
            ...(cyclesPerRun ? { cyclesPerRun } : {}),
            assumed: ['referenceHours', 'coldTrap', ...(cyclesPerRun ? ['cyclesPerRun'] : [])],
          },
          { name: 'equipmentName' },
        )
      : v.equipment;
  const oilProductId =
    v.oil === NEW ? add('oilProduct', recordId(v.oilName, idFor('oil')), oilBody(v), { name: 'oilName' }) : v.oil;
  const modelId =
    v.model === NEW
      ? add('pumpModel', recordId(v.modelName, idFor('model')), modelBody(v, fields), {
          name: 'modelName',
          pumpingSpeedM3h: 'speed',
          'sumps.0.chargeMl': 'charge',
          'sumps.0.holdUpMl': 'holdUp',
          'sumps.0.betweenMarksMl': 'marks',
        })
      : v.model;
  const isDry = house.pumpModel[v.model]?.kind === 'dry';
  const pumpId = add(
    'pump',
    recordId(v.name, idFor('pump')),
    { name: v.name.trim(), modelId, siteId, equipmentId, preset: v.preset, ...(isDry ? {} : { oilProductId }) },
    { name: 'name' },
  );
  const takeOver = readTakeOver(v, { units, zone, nowMs: Date.parse(now), hasOil: !isDry });
  const issues = { ...fields.issues, ...(takeOver.ok ? {} : takeOver.issues) };
  if (!takeOver.ok || fields.hasIssues()) return { ok: false, issues };
  const { deed } = exactly('takeOver', ofMinute(now), takeOver.body);
  const { main: entry } = entriesOf(deed, { subject: { type: 'pump', id: pumpId }, zone, now, idFor, shared });
  return { ok: true, pumpId, versions: [...versions, ...libraryOf(house, now, newId)], entry };
}

function oilBody({ oilName }: AddPumpValues): object {
  return {
    name: oilName.trim(),
    grade: /VG ?\d+/i.exec(oilName)?.[0] ?? 'VG 68',
    base: 'mineral',
    waterBehaviour: 'demulsifying',
    freshColour: 1,
    densityKgM3: 875,
    assumed: ['grade', 'base', 'waterBehaviour', 'freshColour', 'densityKgM3'],
  };
}

/** The four numbers, and stand-ins for the rest, each marked as not from the manual. */
function modelBody(v: AddPumpValues, fields: ReturnType<typeof fieldReader>): object {
  const speed = fields.wanted('speed', v.speed, 'flow', { min: 0.1, max: 100_000 });
  const chargeMl = fields.wanted('charge', v.charge, 'volume', { min: 1, max: MOST_ML });
  const marks = fields.optional('marks', v.marks, 'volume', { min: 0 });
  const holdUp = fields.optional('holdUp', v.holdUp, 'volume', { min: 0 });
  const assumed = ['stages', 'operatingOilTempC', 'ballastRule', 'ballastFlowM3h', 'hasOilFilter', 'sumps.0.housingMl'];
  if (marks === null) assumed.push('sumps.0.betweenMarksMl');
  if (holdUp === null) assumed.push('sumps.0.holdUpMl');
  return {
    name: v.modelName.trim(),
    kind: 'vane',
    pumpingSpeedM3h: speed || 1,
    stages: 2,
    operatingOilTempC: ASSUMED_OIL_TEMP_C,
    ballastRule: 'purge',
    ballastFlowM3h: assumedFrom('ballastFlowM3h', speed),
    hasOilFilter: false,
    hasHourMeter: v.meter.trim() !== '',
    sumps: [
      {
        key: 'oil',
        chargeMl: chargeMl || 1,
        housingMl: Math.min(assumedFrom('sumps.0.housingMl', chargeMl) || 1, MOST_ML),
        holdUpMl: holdUp ?? assumedFrom('sumps.0.holdUpMl', chargeMl),
        betweenMarksMl: marks ?? assumedFrom('sumps.0.betweenMarksMl', chargeMl),
      },
    ],
    assumed,
  };
}

/** A house's first pump brings the material classes with it: no run can be weighed without. */
function libraryOf(house: HouseSetUp, at: string, newId: () => string): SetUpVersion[] {
  if (Object.keys(house.material).length > 0) return [];
  return Object.entries(MATERIAL_LIBRARY).map(([subjectId, body]) =>
    firstVersion('material', { id: newId(), subjectId, at, body }),
  );
}
