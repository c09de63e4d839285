import { after, brings, type Cause } from '../cause.js';

export const meltwater: Cause = {
  name: 'Meltwater drawn in after a defrost or through an open drain',
  family: 'moisture',
  prior: { freezeDrying: 0.06, packaging: 0.002, composites: 0.004, industrial: 0.01 },
  looksLike: 'All at once far more water than any run explains, after a defrost; the vacuum is good.',
  brings: [
    brings('water', 'farMore', 0.75, 'meltwater comes by the spoonful'),
    brings('water', 'more', 0.2, 'a little was left'),
    brings('levelTrend', 'rising', 0.5, 'the water lifts the oil'),
    brings('level', 'high', 0.35, 'above MAX with nothing added'),
    brings('cream', 'yes', 0.35, 'it is beaten in'),
    brings('crackle', 'crackles', 0.5, 'water in the oil'),
    brings('haze', 'hazy', 0.35, 'droplets'),
    brings('pumpPressureAsIs', 'poor', 0.45, 'water in the oil is the pump’s ultimate'),
    brings('chamberPressure', 'poor', 0.15, 'the pump pulls less until it is purged'),
    brings('chamberPressure', 'farAbove', 0.08, 'with much water in the oil'),
  ],
  after: [
    after('defrosted', 'yes', 9, 'there was meltwater'),
    after('defrosted', 'no', 0.1, 'no meltwater was there'),
    after('drain', 'open', 6, 'it was the way in'),
    after('drain', 'closed', 0.7, 'the usual way in was shut'),
  ],
  remedy:
    'Bleed what has settled, purge warm and look again; change, with two short flushes, what does not clear. Dry the trap chamber before the next run.',
  prevention: 'Drain closed and the trap chamber wiped dry before every start; a tick for it in the run log.',
  cautions: ['hotOil'],
};
