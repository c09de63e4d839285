import { after, brings, type Cause } from '../cause.js';

export const exhaustCondensate: Cause = {
  name: 'Condensate running back from a rising exhaust pipe',
  family: 'moisture',
  prior: { freezeDrying: 0.015, packaging: 0.02, composites: 0.012, industrial: 0.025 },
  looksLike: 'Water after stops, drops in the exhaust pipe, a pipe that rises.',
  brings: [
    brings('waterInExhaust', 'yes', 0.8, 'it stands in the pipe'),
    brings('water', 'more', 0.5, 'it runs back at every stop'),
    brings('water', 'farMore', 0.35, 'a long pipe holds much'),
    brings('levelTrend', 'rising', 0.4, 'it collects under the oil'),
    brings('rust', 'yes', 0.35, 'the exhaust side stays wet'),
    brings('cream', 'yes', 0.3, 'beaten in at the start'),
    brings('haze', 'hazy', 0.35, 'droplets'),
    brings('crackle', 'crackles', 0.45, 'water in the oil'),
    brings('waterAgain', 'yes', 0.45, 'it runs back at the next stop'),
    brings('pumpPressureAsIs', 'poor', 0.4, 'water in the oil is the pump’s ultimate'),
    brings('level', 'high', 0.35, 'water lifts it'),
    brings('chamberPressure', 'farAbove', 0.1, 'with much water in the oil'),
    brings('chamberPressure', 'poor', 0.15, 'the pump pulls less until it is purged'),
  ],
  after: [
    after('exhaustPipe', 'rises', 8, 'it can run back'),
    after('exhaustPipe', 'down', 0.05, 'it runs away from the pump'),
    after('exhaustOutlet', 'outdoors', 1.5, 'a cold pipe condenses'),
  ],
  remedy:
    'Empty the pipe, bleed or purge the oil and look again, change it if it does not clear; fit a drip leg or let the pipe fall away from the pump.',
  prevention: 'A drip leg that is emptied, or a pipe that falls away.',
  cautions: ['exhaustOpen'],
};
