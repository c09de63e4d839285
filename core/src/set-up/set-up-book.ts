import { resolveRules, type CareRules } from './care-rules.js';
import { resolveOilLimits, type OilLimits } from '../limits/index.js';
import {
  SET_UP_KINDS,
  type Equipment,
  type OilProduct,
  type Pump,
  type PumpModel,
  type ServiceClass,
  type SetUpBodies,
  type SetUpKind,
  type SetUpVersion,
  type Site,
} from './records.js';

export const HOUSE_RULES_ID = 'house';

/** All records in force at one time, by kind and id. Jars of one's own stand beside those of the library. */
export type HouseSetUp = { readonly [K in SetUpKind]: Readonly<Record<string, SetUpBodies[K]>> };

/** What the fold and the standing of one pump need to know. */
export interface PumpSetUp {
  readonly pumpId: string;
  readonly pump: Pump;
  readonly model: PumpModel;
  readonly site: Site;
  readonly equipment: Equipment;
  /** The oil that it is judged by: the one that the set-up names, or the one in the sump, see {@link withOilIn}. */
  readonly product: OilProduct | null;
  /** Of the pump and of its equipment. */
  readonly service: readonly ServiceClass[];
  readonly rules: CareRules;
  readonly oilLimits: OilLimits;
  /** The whole house, for what an entry names (another equipment, a material, an oil product). */
  readonly house: HouseSetUp;
}

export interface SetUpBook {
  /** Records in force at an instant; before the first version of a record, that first version. Before the first house rules, none. */
  at(instant: string): HouseSetUp;
  /** Null when there is no such pump, or a record it names is missing. */
  pumpAt(input: { pumpId: string; instant: string }): PumpSetUp | null;
  /** Ids of pumps that any version says stand at an equipment. */
  pumpsEverAt(equipmentId: string): string[];
  /** Ids of the sites at which a pump stood from one instant to another, each once. */
  sitesOfPump(input: { pumpId: string; from: string; until: string }): string[];
}

const byRecording = (a: SetUpVersion, b: SetUpVersion): number =>
  a.recordedAt < b.recordedAt || (a.recordedAt === b.recordedAt && a.id < b.id) ? -1 : 1;

/** Records without a prototype: an id such as "constructor" must find nothing. */
const noRecords = () => Object.create(null) as Record<string, unknown>;

const emptyHouse = () =>
  Object.fromEntries(SET_UP_KINDS.map((kind) => [kind, noRecords()])) as Record<SetUpKind, Record<string, unknown>>;

function houseAt(versions: readonly SetUpVersion[], instant: string): HouseSetUp {
  const house = emptyHouse();
  const chosen = new Map<string, SetUpVersion>();
  for (const version of versions) {
    // Our defaults stood before them: what a house says first counts from then on.
    if (version.kind === 'houseRules' && version.validFrom > instant) continue;
    const key = `${version.kind}/${version.subjectId}`;
    const best = chosen.get(key);
    if (!best || isBetter(version, best, instant)) chosen.set(key, version);
  }
  for (const version of chosen.values()) house[version.kind][version.subjectId] = version.body;
  return house as unknown as HouseSetUp;
}

/** Both versions are of one record, `best` came first in the order of recording. */
function isBetter(version: SetUpVersion, best: SetUpVersion, instant: string): boolean {
  const started = version.validFrom <= instant;
  if (started !== best.validFrom <= instant) return started;
  return started ? version.validFrom >= best.validFrom : version.validFrom <= best.validFrom;
}

function resolvePump(house: HouseSetUp, pumpId: string): PumpSetUp | null {
  const pump = house.pump[pumpId];
  const model = pump && house.pumpModel[pump.modelId];
  const site = pump && house.site[pump.siteId];
  const equipment = pump && house.equipment[pump.equipmentId];
  if (!pump || !model || !site || !equipment) return null;
  const service = [...new Set([...(pump.serviceClasses ?? []), ...(equipment.serviceClasses ?? [])])];
  return judgedBy(pump.oilProductId ?? null, { pumpId, pump, model, site, equipment, service, house });
}

function judgedBy(productId: string | null, known: Omit<PumpSetUp, 'product' | 'rules' | 'oilLimits'>): PumpSetUp {
  const { pump, model, equipment, house } = known;
  const product = productId ? (house.oilProduct[productId] ?? null) : null;
  const rules = resolveRules({
    pump,
    model,
    product,
    equipment,
    house: house.houseRules[HOUSE_RULES_ID],
  });
  const oilLimits = resolveOilLimits(house.houseRules[HOUSE_RULES_ID]?.oilLimits, product?.oilLimits, pump.oilLimits);
  return { ...known, product, rules, oilLimits };
}

/** Few pumps hold another oil than their set-up names, and those are asked for at each of their entries. */
const byOilIn = new WeakMap<PumpSetUp, Map<string, PumpSetUp>>();

/** The same pump with the rules and limits of the oil that is in it; as the set-up says where nobody has said what is in it. */
export function withOilIn(setUp: PumpSetUp, productId: string | null): PumpSetUp {
  if (productId === null || productId === (setUp.pump.oilProductId ?? null)) return setUp;
  const known = byOilIn.get(setUp) ?? new Map<string, PumpSetUp>();
  byOilIn.set(setUp, known);
  const made = known.get(productId) ?? judgedBy(productId, setUp);
  known.set(productId, made);
  return made;
}

/** The set-up's versions, readable at any time. Few versions, many questions: each span between two changes is resolved once. */
export function setUpBook(versions: readonly SetUpVersion[]): SetUpBook {
  const sorted = [...versions].sort(byRecording);
  const changes = [...new Set(sorted.map((v) => v.validFrom))].sort();
  const houses = new Map<number, HouseSetUp>();
  const pumps = new Map<string, PumpSetUp | null>();

  function spanOf(instant: string): number {
    let low = 0;
    let high = changes.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((changes[middle] ?? '') <= instant) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  function at(instant: string): HouseSetUp {
    const span = spanOf(instant);
    const known = houses.get(span);
    if (known) return known;
    const house = houseAt(sorted, changes[span - 1] ?? '');
    houses.set(span, house);
    return house;
  }

  function pumpAt({ pumpId, instant }: { pumpId: string; instant: string }): PumpSetUp | null {
    const key = `${spanOf(instant)}/${pumpId}`;
    const known = pumps.get(key);
    if (known !== undefined) return known;
    const resolved = resolvePump(at(instant), pumpId);
    pumps.set(key, resolved);
    return resolved;
  }

  function pumpsEverAt(equipmentId: string): string[] {
    const there = sorted.filter((v) => v.kind === 'pump' && v.body.equipmentId === equipmentId);
    return [...new Set(there.map((v) => v.subjectId))];
  }

  function sitesOfPump({ pumpId, from, until }: { pumpId: string; from: string; until: string }): string[] {
    const instants = [from, ...changes.filter((c) => c > from && c <= until)];
    return [...new Set(instants.flatMap((instant) => at(instant).pump[pumpId]?.siteId ?? []))];
  }

  return { at, pumpAt, pumpsEverAt, sitesOfPump };
}
