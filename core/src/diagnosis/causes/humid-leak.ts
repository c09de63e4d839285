import { after, brings, type Cause } from '../cause.js';

export const humidLeak: Cause = {
  name: 'Humid air leaking in',
  family: 'moisture',
  prior: { freezeDrying: 0.015, packaging: 0.02, composites: 0.015, industrial: 0.02 },
  looksLike: 'Water, and a chamber that never gets below several hPa.',
  brings: [
    brings('chamberPressure', 'farAbove', 0.85, 'the leak that brings so much water holds the chamber there'),
    brings('chamberPressure', 'poor', 0.1, 'a smaller leak'),
    brings('rateOfRise', 'straight', 0.85, 'a leak rises in a straight line'),
    brings('water', 'more', 0.4, 'the air brings water'),
    brings('water', 'farMore', 0.4, 'a large leak'),
    brings('joints', 'bad', 0.55, 'so large a leak can be seen or felt'),
    brings('bubbles', 'yes', 0.5, 'air comes in below the water'),
    brings('flicker', 'yes', 0.3, 'at the leaking valve'),
    brings('pumpDown', 'slow', 0.6, 'it never stops coming'),
    brings('cream', 'yes', 0.3, 'beaten in'),
    brings('haze', 'hazy', 0.4, 'droplets'),
    brings('crackle', 'crackles', 0.4, 'water in the oil'),
    brings('levelTrend', 'rising', 0.3, 'water collects'),
    brings('waterAgain', 'yes', 0.6, 'it never stops coming'),
    brings('pumpPressureAsIs', 'poor', 0.4, 'water in the oil is the pump’s ultimate'),
    brings('level', 'high', 0.3, 'water lifts it'),
  ],
  after: [
    after('humidRoom', 'humid', 2, 'the air is wet'),
    after('newWork', 'yes', 2.5, 'something was opened lately'),
  ],
  remedy: 'Find the leak from the chamber towards the pump; purge the oil when it is tight.',
  prevention: 'Check tightness after every work on door, hoses and valves.',
  cautions: ['vent'],
};
