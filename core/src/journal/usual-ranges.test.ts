import { entryAt, runAt } from '../testing/small-yard.js';
import type { Entry } from './entry.js';
import { unusualReadings } from './usual-ranges.js';

const run = (body: object): Entry => runAt(10, 20, 'fd-meat', { body });
const lab = (body: object): Entry => entryAt(10, 'labResult', { sampleId: 'a', ...body });

// Figures as they slip: a comma, an hour for a minute, one unit for another.
test.each<[string, Entry, string[]]>([
  ['a run over the weekend', run({ minutes: 72 * 60 }), []],
  ['hours typed as days: 240 h', run({ minutes: 240 * 60 }), ['minutes']],
  ['a trap at −41 °C', run({ trapTempC: -41 }), []],
  ['a trap at 41 °C: the minus was lost', run({ trapTempC: 41 }), ['trapTempC']],
  [
    'one such reading of many',
    run({
      trapProfile: [
        { minutes: 0, tempC: -41 },
        { minutes: 60, tempC: 40 },
        { minutes: 90, tempC: 44 },
      ],
    }),
    ['trapTempC'],
  ],
  ['a good vacuum', run({ lowestPressurePa: 4.7, firstPressurePa: 9000 }), []],
  ['hPa for Pa: never under half an atmosphere', run({ lowestPressurePa: 47_000 }), ['lowestPressurePa']],
  ['nothing told', run({ trapTempC: null, oilTempC: undefined }), []],
  ['hot oil and many cycles', run({ oilTempC: 150, cycles: 900_000 }), ['cycles', 'oilTempC']],
  ['not a number', run({ oilTempC: Number.NaN }), ['oilTempC']],
  ['a wet report', lab({ waterPpm: 12_000, viscosity40Mm2s: 61.2, ironPpm: 40 }), []],
  ['per cent for ppm', lab({ waterPpm: 120_000 }), ['waterPpm']],
  ['a meter in its thirties of years', entryAt(10, 'meter', { action: 'read', minutes: 300_000 * 60 }), ['minutes']],
  [
    'a jar that stood for three weeks',
    entryAt(10, 'look', { sump: 'oil', source: 'sample', hoursStood: 500 }),
    ['hoursStood'],
  ],
  ['a note', entryAt(10, 'note', { text: 'x' }), []],
])('%s', (_what, entry, fields) => {
  expect(
    unusualReadings(entry)
      .map((u) => u.field)
      .sort(),
  ).toEqual([...fields].sort());
});
