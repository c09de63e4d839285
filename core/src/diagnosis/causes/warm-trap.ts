import { after, brings, type Cause } from '../cause.js';

export const warmTrap: Cause = {
  name: 'Vapour past a warm or overloaded trap',
  family: 'moisture',
  prior: { freezeDrying: 0.08, packaging: 0.004, composites: 0.01, industrial: 0.03 },
  looksLike:
    'More water from run to run with nothing odd at the pump; the trap’s log is warm or the trap is full of ice.',
  brings: [
    brings('water', 'more', 0.65, 'the trap lets vapour past at its ice’s pressure'),
    brings('water', 'farMore', 0.2, '5 K warmer nearly doubles it'),
    brings('cream', 'yes', 0.3, 'the water is beaten into the oil'),
    brings('levelTrend', 'rising', 0.3, 'water collects'),
    brings('chamberPressure', 'poor', 0.5, 'the chamber stands at the ice’s pressure'),
    brings('haze', 'hazy', 0.3, 'droplets'),
    brings('crackle', 'crackles', 0.4, 'water in the oil'),
    brings('waterAgain', 'yes', 0.55, 'each run brings it again'),
    brings('pumpPressureAsIs', 'poor', 0.4, 'water in the oil is the pump’s ultimate'),
    brings('level', 'high', 0.3, 'water lifts it'),
  ],
  after: [
    after('trap', 'warm', 9, 'it was seen'),
    after('trap', 'cold', 0.15, 'a cold trap holds the vapour back'),
    after('wetLoads', 'yes', 1.5, 'much to catch'),
    after('trapLoad', 'over', 5, 'ice bridges, and its surface is warm'),
    after('trapLoad', 'within', 0.7, 'it had room'),
  ],
  remedy: 'Defrost the trap, load less or dry slower, and have the cooling looked at; bleed or purge the water.',
  prevention: 'Watch the trap during the run; weigh the load against what the trap can hold.',
  cautions: ['hotOil'],
};
