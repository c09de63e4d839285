// Every field of the set-up in one list, in one view: longer than other files.
import { MODEL_FACTS, type Dimension, type SetUpKind } from '@winter-jar/core';
import { TALK_WORDS } from '../words/instrument-words.js';
import { LEVEL_MARK_WORDS, MODEL_FACT_WORDS } from '../words/model-words.js';
import { SERVICE_WORDS } from '../words/service-words.js';
import { PROCESS_WORDS } from '../words/process-words.js';
import { SCHOOL_WORDS } from '../words/school-words.js';
import { MEDIA_KIND_WORDS, REUSE_SCHOOL_WORDS, VESSEL_WORDS, WASTE_WORDS } from '../words/store-words.js';
import type { Chip } from '../ui/chips.js';
import { SEASON_WORDS } from './season-words.js';

interface SpecBase {
  /** Path in the record's body, `sumps.0.chargeMl`. */
  readonly path: string;
  readonly label: string;
  readonly hint?: string;
  /** Must be said; others may stay empty. */
  readonly wanted?: true;
  /** What a new record starts with: a default of ours, and marked so until somebody says it. */
  readonly initial?: string;
  /** A question of the form, or the beginning of what is to be typed: not marked. */
  readonly unmarked?: true;
  /** Shown, and read, only where this holds. */
  readonly when?: (values: RecordValues) => boolean;
  /** Heading that begins here. */
  readonly section?: string;
}

/** One field of a record's form. A new field is one entry of a list below. */
export type FieldSpec = SpecBase &
  (
    | { readonly type: 'text' }
    | { readonly type: 'choice'; readonly chips: readonly Chip<string>[] }
    | { readonly type: 'rating' }
    | { readonly type: 'reference'; readonly to: SetUpKind }
    | { readonly type: 'number'; readonly unit: string }
    /** Typed with any unit; the body's value is the base value times `perBase`. */
    | { readonly type: 'quantity'; readonly dimension: Dimension; readonly perBase: number }
    /** Any of a few, kept as a list. */
    | { readonly type: 'many'; readonly chips: readonly Chip<string>[] }
    | { readonly type: 'flag' }
    | { readonly type: 'zone' }
    | { readonly type: 'day' }
    /** Heights and volumes, one pair on each line. */
    | { readonly type: 'heights' }
  );

/** Every field as text, by its path with `/` for `.`; what nobody has said yet is listed under `assumed`. */
export type RecordValues = Readonly<Record<string, string>>;
export const nameOf = (path: string): string => path.replaceAll('.', '/');

const chipsOf = (words: Readonly<Record<string, string>>): Chip<string>[] =>
  Object.entries(words).map(([value, w]) => ({ value, words: w }));
const kindIs =
  (...kinds: string[]) =>
  (values: RecordValues): boolean =>
    kinds.includes(values.kind ?? '');
const notDry = (values: RecordValues): boolean => values.kind !== 'dry';

const name: FieldSpec = { path: 'name', label: 'Name', type: 'text', wanted: true };
const process: FieldSpec = {
  path: 'process',
  label: 'Process',
  type: 'choice',
  chips: chipsOf(PROCESS_WORDS),
  wanted: true,
};
const pressure = { type: 'quantity', dimension: 'pressure', perBase: 1 } as const;
const volume = { type: 'quantity', dimension: 'volume', perBase: 1 } as const;
const flow = { type: 'quantity', dimension: 'flow', perBase: 1 } as const;
const hours = { type: 'quantity', dimension: 'duration', perBase: 1 / 60 } as const;
const litres = { type: 'quantity', dimension: 'volume', perBase: 1 / 1000 } as const;
const rating = (path: string, label: string): FieldSpec => ({
  path,
  label,
  type: 'rating',
  wanted: true,
  initial: '0',
});

/** The fields of one sump; a booster has three of them. */
const sump = (place: number, words: string, when: SpecBase['when']): FieldSpec[] => [
  {
    path: `sumps.${place}.chargeMl`,
    label: 'Oil charge',
    hint: 'up to MAX',
    wanted: true,
    section: words,
    when,
    ...volume,
  },
  { path: `sumps.${place}.betweenMarksMl`, label: 'Between MIN and MAX', when, ...volume },
  {
    path: `sumps.${place}.holdUpMl`,
    label: 'Hold-up',
    hint: 'stays behind after a drain',
    wanted: true,
    when,
    ...volume,
  },
  { path: `sumps.${place}.housingMl`, label: 'Housing holds at most', wanted: true, when, ...volume },
];

const serviceClasses = (hint: string): FieldSpec => ({
  path: 'serviceClasses',
  label: 'Service',
  type: 'many',
  chips: chipsOf(SERVICE_WORDS),
  hint,
});

const hasTrap: SpecBase['when'] = (v) => v.coldTrap === 'yes';
const countsCycles: SpecBase['when'] = (v) => (v.cyclesPerRun ?? '') !== '';

export const FIELD_SPECS: Readonly<Record<SetUpKind, readonly FieldSpec[]>> = {
  site: [
    name,
    process,
    { path: 'note', label: 'What it does', type: 'text', hint: 'a few words, shown on the Round' },
    { path: 'zone', label: 'Time zone', type: 'zone', wanted: true, hint: 'its days follow it' },
    {
      path: 'dampSeason',
      label: 'Air of the rooms is damp',
      type: 'choice',
      chips: chipsOf(SEASON_WORDS),
      hint: 'weighed when the cause of water is looked for',
    },
    { path: 'coldSeason', label: 'Rooms are cold', type: 'choice', chips: chipsOf(SEASON_WORDS) },
  ],
  equipment: [
    name,
    { path: 'siteId', label: 'Site', type: 'reference', to: 'site', wanted: true },
    process,
    serviceClasses('of every pump on it; decides about oils, air in ballast and purge, and cautions'),
    {
      path: 'wetness',
      label: 'Its work is',
      type: 'choice',
      chips: chipsOf({ wet: 'wet: brine, juice, wash-down', dry: 'dry' }),
      hint: 'wet: the oil is changed after half a year at the latest; freeze drying counts as wet in any case',
    },
    { path: 'coldTrap', label: 'Cold trap', type: 'flag', initial: 'no' },
    { path: 'trapHoldsKg', label: 'Ice the trap holds', type: 'number', unit: 'kg', when: hasTrap },
    {
      path: 'trapEfficiency',
      label: 'Trap’s factor',
      type: 'number',
      unit: '0.05–5, empty: 1',
      when: hasTrap,
      hint: 'below 1 a poor trap, above 1 less is swallowed than S·p; a pump’s own charges come before it once they tell enough',
    },
    { path: 'chamberVolumeL', label: 'Chamber volume', ...litres },
    {
      path: 'referenceHours',
      label: 'A plain run lasts',
      hint: 'runs are weighed against it',
      wanted: true,
      section: 'What counts as one run',
      ...hours,
    },
    {
      path: 'cyclesPerRun',
      label: 'Cycles that count as one run',
      type: 'number',
      unit: 'cycles',
      hint: 'empty: counted by hours',
    },
    { path: 'cycleTimeS', label: 'One cycle takes', type: 'number', unit: 's' },
    {
      path: 'productTempC',
      label: 'Product’s warmth',
      type: 'quantity',
      dimension: 'temperature',
      perBase: 1,
      hint: 'empty: 15 °C',
      when: countsCycles,
      section: 'Water of one cycle',
    },
    {
      path: 'productHumidity',
      label: 'Humidity in the chamber',
      type: 'number',
      unit: '0–1, empty: 1',
      when: countsCycles,
    },
    {
      path: 'flashGPerCycle',
      label: 'Flashes off wet product',
      type: 'number',
      unit: 'g per cycle',
      when: countsCycles,
    },
    { path: 'targetFirstPa', label: 'Should reach', section: 'Acceptance targets', ...pressure },
    { path: 'targetFirstMinutes', label: 'within', type: 'number', unit: 'min' },
    { path: 'targetUltimatePa', label: 'and at last', ...pressure },
    { path: 'targetUltimateHours', label: 'within', type: 'number', unit: 'h' },
  ],
  pumpModel: [
    name,
    {
      path: 'kind',
      label: 'Kind',
      type: 'choice',
      chips: chipsOf({ vane: 'oil-sealed vane pump', booster: 'mechanical booster', dry: 'dry pump' }),
      wanted: true,
      initial: 'vane',
      unmarked: true,
    },
    { path: 'pumpingSpeedM3h', label: 'Pumping speed', wanted: true, ...flow },
    { path: 'stages', label: 'Stages', type: 'number', unit: '', when: kindIs('vane'), initial: '2' },
    ...sump(0, 'Oil', kindIs('vane')),
    ...sump(0, 'Gear end A', kindIs('booster')),
    ...sump(1, 'Gear end B', kindIs('booster')),
    ...sump(2, 'Seal cup', kindIs('booster')),
    {
      path: 'operatingOilTempC',
      label: 'Oil when running',
      type: 'quantity',
      dimension: 'temperature',
      perBase: 1,
      wanted: true,
      initial: '70',
    },
    { path: 'usualProductId', label: 'Oil its manual names', type: 'reference', to: 'oilProduct', when: notDry },
    { path: 'hasOilFilter', label: 'Oil filter', type: 'flag', initial: 'no', when: notDry },
    {
      path: 'oilFilterHoldUpMl',
      label: 'Oil filter soaks up',
      when: (v) => notDry(v) && v.hasOilFilter === 'yes',
      ...volume,
    },
    {
      path: 'ballastRule',
      label: 'Gas ballast is meant',
      type: 'choice',
      chips: chipsOf({ open: 'to stay open', closed: 'to stay closed', purge: 'to purge only', none: 'not there' }),
      wanted: true,
      initial: 'purge',
      section: 'Vacuum and ballast',
    },
    { path: 'ballastFlowM3h', label: 'Ballast flow', when: (v) => v.ballastRule !== 'none', ...flow },
    { path: 'ultimatePa', label: 'Ultimate, ballast closed', ...pressure },
    { path: 'ultimateBallastPa', label: 'Ultimate, ballast open', when: (v) => v.ballastRule !== 'none', ...pressure },
    { path: 'hasHourMeter', label: 'Hour meter', type: 'flag', initial: 'no' },
    {
      path: 'levelMark',
      label: 'Its glass shows',
      type: 'choice',
      chips: chipsOf(LEVEL_MARK_WORDS),
      when: kindIs('vane'),
      section: 'What a service wants to know',
      hint: 'what its manual says; a service asks for what is missing',
    },
    {
      ...{ path: 'exhaustLookPa', label: 'Look at its exhaust filter from', when: kindIs('vane'), ...pressure },
      hint: 'over ambient; built in 0.3 bar, a mist filter outside on a small pump 0.15 bar',
    },
    {
      ...{ path: 'exhaustRenewPa', label: 'Renew its exhaust filter from', when: kindIs('vane'), ...pressure },
      hint: 'over ambient; built in 0.6 bar',
    },
    ...MODEL_FACTS.map((fact): FieldSpec => ({
      ...{ path: `service.${fact}`, label: MODEL_FACT_WORDS[fact].name, hint: MODEL_FACT_WORDS[fact].hint },
      ...{ type: 'text', when: notDry },
    })),
  ],
  pump: [
    name,
    { path: 'modelId', label: 'Model', type: 'reference', to: 'pumpModel', wanted: true },
    { path: 'siteId', label: 'Site', type: 'reference', to: 'site', wanted: true, section: 'Where it stands' },
    { path: 'equipmentId', label: 'Equipment', type: 'reference', to: 'equipment', wanted: true },
    {
      path: 'place',
      label: 'It is',
      type: 'choice',
      chips: chipsOf({ inService: 'in service', lent: 'lent', spare: 'a spare', retired: 'retired' }),
      initial: 'inService',
      unmarked: true,
      hint: 'Spare and retired pumps are not on the Round.',
    },
    { path: 'note', label: 'Note', type: 'text', hint: 'lent to whom, exchanged for what' },
    {
      path: 'exhaustEnds',
      label: 'Its exhaust ends',
      type: 'choice',
      chips: chipsOf({ inside: 'inside, at a filter', outdoors: 'outdoors' }),
    },
    {
      path: 'exhaustPipe',
      label: 'Its exhaust pipe',
      type: 'choice',
      chips: chipsOf({ down: 'falls away, or has a drip leg', rises: 'climbs without one' }),
    },
    serviceClasses('beside that of its equipment'),
    { path: 'oilProductId', label: 'Oil', type: 'reference', to: 'oilProduct', section: 'How it is cared for' },
    {
      path: 'preset',
      label: 'School of oil care',
      type: 'choice',
      chips: chipsOf(SCHOOL_WORDS),
      wanted: true,
      initial: 'bleedAndCount',
      unmarked: true,
    },
    {
      path: 'overhauledAt',
      label: 'New or overhauled on',
      type: 'day',
      hint: 'its first charge is then changed early',
    },
    { path: 'blankOffPa', label: 'Its own ultimate, blanked off', ...pressure },
    {
      path: 'takesReused',
      label: 'Takes used oil again',
      type: 'flag',
      initial: 'no',
      unmarked: true,
      hint: 'where the house chooses pump by pump',
    },
    {
      path: 'reuseMost',
      label: 'Used oil goes back into it at most',
      type: 'number',
      unit: 'times',
      hint: 'empty: as often as the house allows',
    },
  ],
  oilProduct: [
    name,
    { path: 'grade', label: 'Grade', type: 'text', wanted: true, initial: 'VG 68' },
    {
      path: 'base',
      label: 'Base',
      type: 'choice',
      chips: chipsOf({ mineral: 'mineral', synthetic: 'synthetic', ester: 'ester', pfpe: 'PFPE' }),
      wanted: true,
      initial: 'mineral',
    },
    {
      path: 'waterBehaviour',
      label: 'Water',
      type: 'choice',
      chips: chipsOf({ demulsifying: 'drops out (demulsifying)', detergent: 'is held up (detergent)' }),
      wanted: true,
      initial: 'demulsifying',
    },
    {
      path: 'foodGrade',
      label: 'Registered for incidental food contact (H1)',
      type: 'flag',
      initial: 'no',
    },
    {
      path: 'dyed',
      label: 'Dyed by its maker',
      type: 'flag',
      initial: 'no',
      hint: 'judged by colour with more patience',
    },
    { path: 'densityKgM3', label: 'Density', type: 'number', unit: 'kg/m³', wanted: true, initial: '875' },
    { path: 'freshColour', label: 'Colour when unused', type: 'number', unit: 'D1500', wanted: true, initial: '1' },
    {
      path: 'viscosity40Mm2s',
      label: 'Viscosity at 40 °C',
      type: 'number',
      unit: 'mm²/s',
      section: 'The unused oil’s own analysis',
    },
    { path: 'viscosity100Mm2s', label: 'Viscosity at 100 °C', type: 'number', unit: 'mm²/s' },
    { path: 'freshWaterPpm', label: 'Water', type: 'number', unit: 'ppm' },
    { path: 'freshAcidMgKohG', label: 'Acid number', type: 'number', unit: 'mg KOH/g' },
    { path: 'freshBaseMgKohG', label: 'Base number', type: 'number', unit: 'mg KOH/g' },
    { path: 'freshIronPpm', label: 'Iron', type: 'number', unit: 'ppm' },
    { path: 'pricePerL', label: 'Price of a litre', type: 'number', unit: 'your money', section: 'What it costs' },
  ],
  material: [
    name,
    process,
    rating('moisture', 'Moisture'),
    rating('fat', 'Fat or sugar vapour'),
    rating('fines', 'Fines and dust'),
    rating('solvent', 'Solvent or resin'),
    rating('acid', 'Acid'),
    { path: 'oxygenPercent', label: 'Oxygen in the gas', type: 'number', unit: '%', hint: 'empty: air' },
    { path: 'note', label: 'Note', type: 'text' },
  ],
  person: [
    name,
    {
      path: 'maySpecialist',
      label: 'May do a specialist’s work',
      type: 'flag',
      initial: 'no',
      unmarked: true,
      hint: 'open a pump module, where the house allows it',
    },
  ],
  jarShape: [
    name,
    {
      path: 'points',
      label: 'Heights (mm) and volumes (mL)',
      type: 'heights',
      wanted: true,
      initial: '0 0\n',
      unmarked: true,
      hint: 'One height and what the jar holds up to it on each line, from “0 0” at the bottom to the brim, such as “55 250”.',
    },
  ],
  container: [
    name,
    { path: 'vessel', label: 'It is a', type: 'choice', chips: chipsOf(VESSEL_WORDS), wanted: true },
    { path: 'holdsMl', label: 'Holds', wanted: true, ...volume },
    { path: 'siteId', label: 'Site', type: 'reference', to: 'site', wanted: true, section: 'Where it stands' },
    { path: 'place', label: 'Place', type: 'text', hint: 'shelf, cellar, cabinet' },
    {
      path: 'tempC',
      label: 'How warm it is there',
      type: 'quantity',
      dimension: 'temperature',
      perBase: 1,
      hint: 'decides how fast oil settles; empty: 20 °C',
    },
    { path: 'jarShapeId', label: 'Shape', type: 'reference', to: 'jarShape', hint: 'empty: straight' },
    {
      path: 'wasteKind',
      label: 'For waste',
      type: 'choice',
      chips: chipsOf(WASTE_WORDS),
      section: 'Waste',
      hint: 'kept apart by kind; leave it open for a container of good oil',
    },
    {
      path: 'fullPercent',
      label: 'Collected when so full',
      type: 'number',
      unit: '%',
      hint: 'empty: 90 %',
      when: (v) => (v.wasteKind ?? '') !== '',
    },
    { path: 'gone', label: 'Not in use any more', type: 'flag', initial: 'no', unmarked: true },
  ],
  filterMedia: [
    name,
    { path: 'kind', label: 'Kind', type: 'choice', chips: chipsOf(MEDIA_KIND_WORDS), wanted: true },
    { path: 'holdUpMl', label: 'Soaks up', wanted: true, hint: 'comes back only in part', ...volume },
    {
      path: 'rateMlPerH',
      label: 'Lets through',
      type: 'number',
      unit: 'mL/h',
      wanted: true,
      hint: 'clean and wet, of oil of 100 mm²/s',
    },
    { path: 'lifeL', label: 'Lasts', type: 'number', unit: 'L of oil', wanted: true },
    { path: 'lifeSludgeMl', label: 'Clogs with', type: 'number', unit: 'mL of solids' },
    { path: 'price', label: 'Price', type: 'number', unit: 'your money' },
  ],
  instrument: [
    name,
    { path: 'equipmentId', label: 'Stands at', type: 'reference', to: 'equipment', wanted: true },
    {
      path: 'pumpId',
      label: 'Its pump',
      type: 'reference',
      to: 'pump',
      hint: 'runs are counted where it tells whether that one turns',
    },
    {
      path: 'talks',
      label: 'It sends',
      type: 'choice',
      chips: chipsOf(TALK_WORDS),
      wanted: true,
      section: 'On the network',
    },
    { path: 'host', label: 'Address', type: 'text', wanted: true, hint: 'its name or number, such as 192.168.1.20' },
    { path: 'port', label: 'Port', type: 'number', unit: '', wanted: true, hint: 'Modbus mostly 502, a broker 1883' },
    {
      path: 'unitId',
      label: 'Unit',
      type: 'number',
      unit: '',
      hint: 'behind a gateway; empty: 1',
      when: (v) => v.talks === 'modbus',
    },
    {
      path: 'everyMs',
      label: 'Asked every',
      type: 'number',
      unit: 'ms',
      hint: 'empty: once a second',
      when: (v) => v.talks === 'modbus',
    },
    {
      path: 'user',
      label: 'User name',
      type: 'text',
      hint: 'where its broker asks for one; the password is said where it is listened to',
      when: (v) => v.talks === 'mqtt',
    },
    {
      path: 'altitudeM',
      label: 'Height of the place',
      type: 'number',
      unit: 'm',
      hint: 'for gauges that count from the air around; empty: the sea',
    },
    {
      path: 'loadAbovePa',
      label: 'A run is on above',
      hint: 'where only the inlet pressure tells it; empty: five times what the pump comes to by itself',
      ...pressure,
    },
    { path: 'simulated', label: 'A simulated stand-in', type: 'flag', initial: 'no', unmarked: true },
  ],
  houseRules: [
    {
      path: 'reuseSchool',
      label: 'Used oil',
      type: 'choice',
      chips: chipsOf(REUSE_SCHOOL_WORDS),
      initial: 'newOnly',
      unmarked: true,
      section: 'Oil store',
      hint: 'never from or into oxygen, toxic, biological, corrosive or food service, whatever is chosen',
    },
    {
      path: 'reuseMost',
      label: 'Goes back at most',
      type: 'number',
      unit: 'times',
      hint: 'empty: 3',
      when: (v) => v.reuseSchool !== 'newOnly',
    },
    {
      path: 'reuseNewPercent',
      label: 'New oil with it',
      type: 'number',
      unit: '%',
      hint: 'at least; empty: 20',
      when: (v) => v.reuseSchool !== 'newOnly',
    },
    { path: 'wastePricePerL', label: 'A litre of waste', type: 'number', unit: 'your money' },
    {
      path: 'opensModules',
      label: 'Pump modules are opened here',
      type: 'flag',
      initial: 'no',
      unmarked: true,
      section: 'Overhaul',
      hint: 'by people whose record allows it; else a pump is exchanged',
    },
    { path: 'hourPrice', label: 'An hour’s work', type: 'number', unit: 'your money', section: 'What things cost' },
    { path: 'labPrice', label: 'A laboratory’s report', type: 'number', unit: 'your money' },
  ],
};
