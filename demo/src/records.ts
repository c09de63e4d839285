// Every record of the made-up yard in one view: longer than other files.
import {
  MATERIAL_LIBRARY,
  type Equipment,
  type OilProduct,
  type Person,
  type Pump,
  type PumpModel,
  type Role,
  type SetUpBodies,
  type SetUpKind,
  type Site,
} from '@winter-jar/core';

const ZONE = 'Europe/Lisbon';

/** The yard at the salt marsh looks after the pumps of five customers. All of it is made up. */
const SITES: Record<string, Site> = {
  ferry: {
    name: 'Low Ferry Records',
    process: 'freezeDrying',
    note: 'flood-wet paper',
    zone: ZONE,
    dampSeason: 'sepToNov',
  },
  heath: { name: 'Heath Seed Bank', process: 'freezeDrying', note: 'plants, cultures', zone: ZONE },
  quay: { name: 'Quayside Packing', process: 'packaging', note: 'smoked fish, brined vegetables', zone: ZONE },
  loft: { name: 'Rudder Loft', process: 'composites', note: 'bag tables, infusion', zone: ZONE },
  coil: { name: 'Coil Works', process: 'industrial', note: 'varnish, booster set', zone: ZONE, coldSeason: 'decToFeb' },
};

const drying = (siteId: string, name: string, referenceHours: number): Equipment => ({
  name,
  siteId,
  process: 'freezeDrying',
  referenceHours,
  coldTrap: true,
});

const EQUIPMENT: Record<string, Equipment> = {
  'ferry-a': drying('ferry', 'Chamber A', 30),
  'ferry-b': drying('ferry', 'Chamber B', 30),
  'ferry-c': {
    ...drying('ferry', 'Map cabinet', 40),
    chamberVolumeL: 180,
    inlet: [
      { kind: 'valve', diameterMm: 25, lengthMm: 80 },
      { kind: 'hose', diameterMm: 16, lengthMm: 1800 },
      { kind: 'bends', diameterMm: 16, count: 2 },
    ],
  },
  'heath-long': drying('heath', 'Long chamber', 24),
  'heath-bell': drying('heath', 'Bell dryer', 20),
  'heath-store': drying('heath', 'Cold store line', 12),
  'quay-1': {
    name: 'Line 1',
    siteId: 'quay',
    process: 'packaging',
    referenceHours: 9,
    cyclesPerRun: 2000,
    cycleTimeS: 24,
    coldTrap: false,
  },
  'quay-2': {
    name: 'Line 2',
    siteId: 'quay',
    process: 'packaging',
    referenceHours: 9,
    cyclesPerRun: 2000,
    cycleTimeS: 22,
    coldTrap: false,
  },
  // Flushed with oxygen-rich gas: only an inert oil may be near it.
  'quay-3': {
    name: 'Line 3',
    siteId: 'quay',
    process: 'packaging',
    referenceHours: 9,
    cyclesPerRun: 2000,
    cycleTimeS: 28,
    coldTrap: false,
  },
  'loft-1': { name: 'Bag table 1', siteId: 'loft', process: 'composites', referenceHours: 8, coldTrap: false },
  'loft-2': { name: 'Infusion bench', siteId: 'loft', process: 'composites', referenceHours: 6, coldTrap: false },
  'coil-tank': {
    name: 'Impregnation tank',
    siteId: 'coil',
    process: 'industrial',
    referenceHours: 10,
    coldTrap: false,
  },
  'coil-oven': {
    name: 'Drying oven',
    siteId: 'coil',
    process: 'industrial',
    referenceHours: 14,
    chamberVolumeL: 400,
    coldTrap: false,
  },
};

const vane = (name: string, pumpingSpeedM3h: number, chargeMl: number, more: Partial<PumpModel> = {}): PumpModel => ({
  name,
  kind: 'vane',
  pumpingSpeedM3h,
  stages: 2,
  ultimatePa: 0.6,
  operatingOilTempC: 68,
  ballastRule: 'purge',
  hasOilFilter: false,
  sumps: [{ key: 'oil', chargeMl, housingMl: Math.round(chargeMl * 1.5), holdUpMl: Math.round(chargeMl * 0.08) }],
  ...more,
});

const MODELS: Record<string, PumpModel> = {
  // How its glass shows the level nobody has said.
  'bollard-6': vane('Bollard 6', 6, 700, {
    sumps: [{ key: 'oil', chargeMl: 700, housingMl: 1050, holdUpMl: 56, betweenMarksMl: 120 }],
  }),
  'bollard-16': vane('Bollard 16', 16, 1000, {
    levelMark: 'twoLines',
    service: {
      drain: 'plug low at the exhaust end',
      tilt: 'to the exhaust end, a hand’s breadth',
      keys: 'drain 8 mm hex, fill by hand',
      tightening: 'drain hand-tight and an eighth',
      seals: 'drain plug O-ring, set A of the yard',
      exhaustFilter: 'one element, E16',
    },
    sumps: [{ key: 'oil', chargeMl: 1000, housingMl: 1500, holdUpMl: 80, betweenMarksMl: 200 }],
  }),
  'bollard-25': vane('Bollard 25', 25, 1400),
  'windlass-63': vane('Windlass 63', 63, 2000, {
    stages: 1,
    ultimatePa: 50,
    operatingOilTempC: 80,
    ballastRule: 'open',
    hasOilFilter: true,
    hasHourMeter: true,
  }),
  'windlass-100': vane('Windlass 100', 100, 2600, {
    stages: 1,
    ultimatePa: 50,
    operatingOilTempC: 78,
    ballastRule: 'open',
    hasOilFilter: true,
    hasHourMeter: true,
  }),
  'gantry-250': {
    name: 'Gantry 250',
    kind: 'booster',
    pumpingSpeedM3h: 250,
    operatingOilTempC: 60,
    ballastRule: 'none',
    hasOilFilter: false,
    sumps: [
      { key: 'gearA', chargeMl: 450, housingMl: 700, holdUpMl: 30 },
      { key: 'gearB', chargeMl: 450, housingMl: 700, holdUpMl: 30 },
      { key: 'sealCup', chargeMl: 60, housingMl: 120, holdUpMl: 5 },
    ],
  },
  'thimble-15': {
    name: 'Thimble 15',
    kind: 'dry',
    pumpingSpeedM3h: 15,
    operatingOilTempC: 50,
    ballastRule: 'none',
    hasOilFilter: false,
    sumps: [],
  },
};

const PRODUCTS: Record<string, OilProduct> = {
  'linnet-68': {
    name: 'Linnet 68',
    grade: 'VG 68',
    base: 'mineral',
    waterBehaviour: 'demulsifying',
    freshColour: 1,
    densityKgM3: 872,
    pricePerL: 9.5,
  },
  'linnet-100': {
    name: 'Linnet 100',
    grade: 'VG 100',
    base: 'mineral',
    waterBehaviour: 'demulsifying',
    freshColour: 1.5,
    densityKgM3: 880,
    viscosity40Mm2s: 100,
    viscosity100Mm2s: 11.1,
    freshWaterPpm: 30,
    freshAcidMgKohG: 0.05,
    freshIronPpm: 1,
    pricePerL: 10,
  },
  'plover-100t': {
    name: 'Plover 100 T',
    grade: 'VG 100',
    base: 'mineral',
    waterBehaviour: 'detergent',
    freshColour: 2,
    densityKgM3: 884,
    pricePerL: 7.5,
  },
  'dunlin-s': {
    name: 'Dunlin S',
    grade: 'VG 68',
    base: 'synthetic',
    waterBehaviour: 'demulsifying',
    freshColour: 0.5,
    densityKgM3: 850,
    limits: { oilChange: { hours: 1500 } },
    pricePerL: 19,
  },
  'tern-f': {
    name: 'Tern F',
    grade: 'VG 68',
    base: 'pfpe',
    waterBehaviour: 'demulsifying',
    freshColour: 0.5,
    densityKgM3: 1890,
    viscosity40Mm2s: 65,
    viscosity100Mm2s: 8.4,
    limits: { oilChange: { hours: 3000 } },
    pricePerL: 160,
  },
};

const pump = (
  name: string,
  modelId: string,
  equipmentId: string,
  preset: Pump['preset'],
  oilProductId: string | null,
  limits?: Pump['limits'],
): Pump => ({
  name,
  modelId,
  siteId: EQUIPMENT[equipmentId]?.siteId ?? '',
  equipmentId,
  preset,
  oilProductId,
  ...(limits ? { limits } : {}),
});

const PUMPS: Record<string, Pump> = {
  'lf-01': pump('LF-01', 'bollard-6', 'ferry-a', 'bleedAndCount', 'linnet-68'),
  'lf-02': pump('LF-02', 'bollard-6', 'ferry-b', 'bleedAndCount', 'linnet-68'),
  'lf-03': pump('LF-03', 'bollard-16', 'ferry-c', 'freshEveryRun', 'linnet-68'),
  'hs-01': pump('HS-01', 'bollard-16', 'heath-long', 'byTheLook', 'linnet-68', { oilChange: { runs: 12 } }),
  'hs-02': pump('HS-02', 'bollard-6', 'heath-bell', 'bleedAndCount', 'linnet-68'),
  'hs-03': pump('HS-03', 'thimble-15', 'heath-store', 'byTheHour', null, {
    tipSeals: { hours: 2000 },
    bearings: { hours: 6000 },
  }),
  'qp-01': pump('QP-01', 'windlass-63', 'quay-1', 'byTheHour', 'plover-100t'),
  'qp-02': pump('QP-02', 'windlass-63', 'quay-2', 'byTheHour', 'plover-100t'),
  'qp-03': pump('QP-03', 'windlass-63', 'quay-3', 'byTheLook', 'tern-f'),
  'rl-01': pump('RL-01', 'bollard-25', 'loft-1', 'byTheLook', 'linnet-100', { oilChange: { weight: 25 } }),
  'rl-02': pump('RL-02', 'bollard-25', 'loft-2', 'byTheLab', 'linnet-100', { oilChange: { weight: 30 } }),
  'cw-01': pump('CW-01', 'windlass-100', 'coil-tank', 'byTheHour', 'dunlin-s'),
  'cw-b1': pump('CW-B1', 'gantry-250', 'coil-tank', 'byTheHour', 'dunlin-s'),
  'cw-02': pump('CW-02', 'bollard-25', 'coil-oven', 'byTheHour', 'linnet-100', { oilChange: { hours: 400 } }),
};

/** Who writes in the yard. Made up, like all of it. */
export const PEOPLE: Record<string, Person> = {
  wren: { name: 'Wren', maySpecialist: true },
  corin: { name: 'Corin' },
  maud: { name: 'Maud' },
};
/** Who runs pumps, or only looks: nothing of the history is theirs. */
export const ONLOOKERS: Record<string, Person> = { pell: { name: 'Pell' }, oda: { name: 'Oda' } };

/** What each may in this yard, whose door is open: one steps into them. */
export const ROLES_OF_PEOPLE: Readonly<Record<string, Role>> = {
  wren: 'owner',
  corin: 'technician',
  maud: 'technician',
  pell: 'operator',
  oda: 'reader',
};

/** Who is bound to some sites: a customer sees their own pumps. */
export const SITES_OF_PEOPLE: Readonly<Record<string, readonly string[]>> = { oda: ['ferry'] };

/** Every record of the yard: kind, id, body. */
export const YARD_RECORDS: readonly {
  readonly kind: SetUpKind;
  readonly subjectId: string;
  readonly body: SetUpBodies[SetUpKind];
}[] = (
  [
    ['site', SITES],
    ['equipment', EQUIPMENT],
    ['pumpModel', MODELS],
    ['oilProduct', PRODUCTS],
    ['material', MATERIAL_LIBRARY],
    ['pump', PUMPS],
    ['person', PEOPLE],
    [
      'houseRules',
      { house: { limits: {}, opensModules: true, reuseSchool: 'reuse', hourPrice: 42, wastePricePerL: 0.8 } },
    ],
  ] as const
).flatMap(([kind, records]) =>
  Object.entries(records).map(([subjectId, body]) => ({ kind, subjectId, body: body as SetUpBodies[SetUpKind] })),
);
