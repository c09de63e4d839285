import type { BallastUse, Clarity, Level } from '../journal/index.js';
import { foldText } from './fold-text.js';

/** What a row of a notebook tells of. */
export const NOTEBOOK_KINDS = ['run', 'change', 'topUp', 'look', 'meter', 'note'] as const;
export type NotebookKind = (typeof NOTEBOOK_KINDS)[number];

/** Each as whole folded words; the first that is found wins, so the longer stand before what they hold. */
const KIND_WORDS: readonly [NotebookKind, readonly string[]][] = [
  [
    'change',
    [
      ...[
        'oil change',
        'oil changed',
        'changed oil',
        'changed the oil',
        'change oil',
        'change of oil',
        'new oil',
        'fresh oil',
      ],
      ...[
        'full change',
        'oil and filter',
        'olwechsel',
        'ol gewechselt',
        'vidange',
        'cambio de aceite',
        'cambio aceite',
      ],
      ...['cambio olio', 'troca de oleo', 'olie ververst', 'oliebyte', 'change', 'changed', 'oc'],
    ],
  ],
  [
    'topUp',
    [
      ...[
        'top up',
        'topped up',
        'topup',
        'topped',
        'added oil',
        'oil added',
        'nachgefullt',
        'ol nachgefullt',
        'appoint',
      ],
      ...['rabbocco', 'relleno', 'bijgevuld', 'refilled'],
    ],
  ],
  [
    'look',
    [
      ...[
        'look',
        'looked',
        'checked oil',
        'oil check',
        'oil checked',
        'check oil',
        'sight glass',
        'sightglass',
        'inspection',
      ],
      ...['ol gepruft', 'olkontrolle', 'controle', 'check', 'checked'],
    ],
  ],
  ['meter', ['meter', 'hour meter', 'meter reading', 'zahlerstand', 'compteur']],
  ['note', ['note', 'remark', 'notiz', 'service', 'repair', 'repaired', 'reparatur']],
  [
    'run',
    [
      ...[
        'run',
        'ran',
        'batch',
        'drying',
        'dry',
        'cure',
        'cycle',
        'cycles',
        'shift',
        'job',
        'lauf',
        'trocknung',
        'charge',
      ],
      ...['schicht', 'lot', 'sechage', 'secado', 'turno', 'corsa', 'freeze drying', 'packing', 'side job', 'degassing'],
    ],
  ],
];

const KIND_OF = new Map(KIND_WORDS.flatMap(([kind, words]) => words.map((word) => [word, kind] as const)));

/** What a cell that names the kind of a row says; null where it says something else. */
export const kindNamed = (text: string): NotebookKind | null => KIND_OF.get(foldText(text)) ?? null;

const OIL_CHANGED =
  /\b(oil changed|changed (the )?oil|oil change|change of oil|new oil|olwechsel|ol gewechselt|vidange|cambio (de )?aceite|cambio olio)\b/;
const NOT_DONE = /\b(no|not|needs?|due|should|must|before|soon|next|kein|nicht|sans|pas|sin)\b/;

/** Whether a remark tells in passing that the oil was changed, and not that it should be. */
export function tellsOfAChange(remark: string): boolean {
  const folded = foldText(remark);
  return OIL_CHANGED.test(folded) && !NOT_DONE.test(folded);
}

const wordsOf = <T extends string>(words: Readonly<Record<T, readonly string[]>>) => {
  const known = new Map<string, T>();
  for (const [value, spoken] of Object.entries(words) as [T, readonly string[]][])
    for (const word of [value, ...spoken]) known.set(foldText(word), value);
  return (text: string): T | null => known.get(foldText(text)) ?? null;
};

export const ballastNamed = wordsOf<BallastUse>({
  closed: ['shut', 'no', 'n', 'off', 'zu', 'nein', 'aus', 'geschlossen', 'ferme', 'non', 'cerrado', 'chiuso', '0'],
  open: ['yes', 'y', 'on', 'auf', 'ja', 'an', 'offen', 'ouvert', 'oui', 'abierto', 'si', 'aperto', '1', 'x'],
  purge: ['purged', 'after', 'purge after', 'at the end', 'gespult', 'purge', 'warm up'],
  unknown: ['not known', 'dont know', 'unbekannt'],
});

export const levelNamed = wordsOf<Level>({
  none: ['empty', 'no oil', 'leer', 'nothing'],
  low: ['too low', 'below min', 'under min', 'min', 'niedrig', 'bas', 'bajo', 'basso', 'zu wenig'],
  hair: ['a hair low', 'just under', 'slightly low', 'bit low'],
  right: [
    'ok',
    'okay',
    'good',
    'fine',
    'normal',
    'gut',
    'bon',
    'bien',
    'bene',
    'middle',
    'mid',
    'half',
    'full',
    'in ordnung',
  ],
  high: ['too high', 'over max', 'above max', 'max', 'hoch', 'haut', 'alto', 'overfilled', 'zu viel'],
});

export const clarityNamed = wordsOf<Clarity>({
  bright: ['clear', 'clean', 'ok', 'good', 'fine', 'klar', 'claire', 'clair', 'clara', 'claro', 'chiaro', 'like new'],
  hazy: ['haze', 'slight haze', 'slightly hazy', 'dull', 'leicht trub'],
  cloudy: ['turbid', 'murky', 'trub', 'trouble', 'turbio', 'torbido'],
  opaque: ['not see through', 'undurchsichtig'],
  cream: ['milky', 'white', 'mayonnaise', 'mayo', 'emulsion', 'creamy', 'milchig', 'laiteux', 'lechoso', 'lattiginoso'],
});
