import type { Dimension } from '../units/index.js';

/** What a column of a notebook can say. */
export type NotebookField =
  | 'pump'
  | 'what'
  | 'date'
  | 'time'
  | 'end'
  | 'length'
  | 'cycles'
  | 'material'
  | 'equipment'
  | 'ballast'
  | 'loadKg'
  | 'trapTempC'
  | 'pressurePa'
  | 'oilTempC'
  | 'meter'
  | 'oil'
  | 'inMl'
  | 'outMl'
  | 'level'
  | 'clarity'
  | 'who'
  | 'remark';

export interface FieldSpec {
  /** Folded words that stand over such a column, the telling ones first. */
  readonly headings: readonly string[];
  /** Where it is a quantity: what a number without a unit means, and within which bounds it can be, in the base unit. */
  readonly quantity?: {
    readonly dimension: Dimension;
    readonly unit: string;
    readonly min: number;
    readonly max: number;
  };
}

const quantity = (dimension: Dimension, unit: string, min: number, max: number) => ({ dimension, unit, min, max });

/** In the order in which they are asked for on the screen; several columns may be remarks, each other field is one column. */
export const NOTEBOOK_FIELDS: Readonly<Record<NotebookField, FieldSpec>> = {
  pump: { headings: ['pump', 'pumps', 'pump no', 'pump name', 'pumpe', 'pompe', 'bomba', 'pompa', 'pomp', 'vp'] },
  date: { headings: ['date', 'day', 'datum', 'tag', 'fecha', 'data', 'jour', 'giorno', 'dato', 'dia', 'when'] },
  time: {
    headings: [
      ...['start', 'started', 'start time', 'time', 'from', 'begin', 'on', 'beginn', 'uhrzeit', 'zeit', 'von'],
      ...['heure', 'debut', 'hora', 'inicio', 'ora', 'inizio', 'tijd', 'time of day', 'from to'],
    ],
  },
  end: {
    headings: [
      ...['end', 'ended', 'end time', 'stop', 'stopped', 'finish', 'finished', 'until', 'to', 'off', 'ende', 'bis'],
      ...['fin', 'fine', 'eind', 'slut'],
    ],
  },
  length: {
    headings: [
      ...[
        'hours',
        'length',
        'duration',
        'run time',
        'runtime',
        'hrs',
        'h',
        'run hours',
        'hours run',
        'how long',
        'ran',
      ],
      ...[
        'minutes',
        'min',
        'dauer',
        'stunden',
        'laufzeit',
        'std',
        'duree',
        'heures',
        'duracion',
        'horas',
        'durata',
        'ore',
        'uren',
      ],
    ],
    quantity: quantity('duration', 'h', 1, 30 * 1440),
  },
  what: {
    headings: [
      'what',
      'what was done',
      'kind',
      'type',
      'event',
      'action',
      'activity',
      'task',
      'was',
      'art',
      'quoi',
      'que',
      'cosa',
    ],
  },
  material: {
    headings: [
      ...[
        'material',
        'product',
        'contents',
        'what went in',
        'batch',
        'goods',
        'stuff',
        'job',
        'ware',
        'inhalt',
        'produkt',
      ],
      ...['charge', 'produit', 'producto', 'prodotto', 'load', 'lot'],
    ],
  },
  equipment: {
    headings: [
      ...['equipment', 'chamber', 'line', 'machine', 'dryer', 'freeze dryer', 'furnace', 'oven', 'table', 'bag table'],
      ...['anlage', 'kammer', 'maschine', 'ofen', 'equipo', 'chambre', 'camera'],
    ],
  },
  cycles: { headings: ['cycles', 'pulls', 'strokes', 'packs', 'count', 'zyklen', 'takte', 'cicli', 'ciclos'] },
  ballast: { headings: ['ballast', 'gas ballast', 'gasballast', 'gb'] },
  loadKg: {
    headings: ['weight', 'kg', 'load kg', 'gewicht', 'poids', 'peso', 'load', 'lb', 'lbs'],
    quantity: quantity('mass', 'kg', 0, 100_000),
  },
  trapTempC: {
    headings: [
      'trap',
      'trap temp',
      'trap temperature',
      'cold trap',
      'condenser',
      'ice condenser',
      'kuhlfalle',
      'falle',
      'piege',
    ],
    quantity: quantity('temperature', '°C', -120, 60),
  },
  pressurePa: {
    headings: [
      ...['pressure', 'vacuum', 'lowest', 'lowest pressure', 'end pressure', 'ultimate', 'gauge', 'druck', 'enddruck'],
      ...[
        'vakuum',
        'pression',
        'vide',
        'presion',
        'pressione',
        'druk',
        'torr',
        'mbar',
        'hpa',
        'micron',
        'microns',
        'mtorr',
      ],
    ],
    quantity: quantity('pressure', 'hPa', 1e-6, 110_000),
  },
  oilTempC: {
    headings: ['oil temp', 'oil temperature', 'oltemperatur', 'oltemp'],
    quantity: quantity('temperature', '°C', -20, 200),
  },
  meter: {
    headings: [
      'meter',
      'hour meter',
      'hours meter',
      'counter',
      'total hours',
      'zahler',
      'betriebsstunden',
      'compteur',
      'contaore',
    ],
    quantity: quantity('duration', 'h', 0, 60_000_000),
  },
  oil: { headings: ['oil', 'oil type', 'oil product', 'which oil', 'ol', 'olsorte', 'huile', 'aceite', 'olio'] },
  inMl: {
    headings: [
      ...[
        'oil in',
        'filled',
        'fill',
        'in',
        'added',
        'new oil',
        'litres',
        'liters',
        'litre',
        'ml',
        'qt',
        'quarts',
        'nachgefullt',
      ],
      ...['eingefullt', 'menge', 'amount', 'volume', 'oil added', 'oil filled'],
    ],
    quantity: quantity('volume', 'mL', 0.1, 1_000_000),
  },
  outMl: {
    headings: ['oil out', 'drained', 'out', 'came out', 'abgelassen', 'drain'],
    quantity: quantity('volume', 'mL', 0, 1_000_000),
  },
  level: { headings: ['level', 'oil level', 'olstand', 'stand', 'niveau', 'nivel', 'livello'] },
  clarity: {
    headings: [
      'oil looks',
      'oil look',
      'look',
      'looks',
      'clarity',
      'appearance',
      'oil condition',
      'condition',
      'aussehen',
      'aspect',
    ],
  },
  who: {
    headings: [
      'who',
      'by',
      'name',
      'operator',
      'technician',
      'tech',
      'initials',
      'signed',
      'sign',
      'wer',
      'qui',
      'quien',
      'chi',
    ],
  },
  remark: {
    headings: [
      ...['remark', 'remarks', 'note', 'notes', 'comment', 'comments', 'observations', 'bemerkung', 'bemerkungen'],
      ...['notiz', 'notizen', 'remarque', 'notas', 'nota', 'note e', 'anmerkung', 'opmerking'],
    ],
  },
};
