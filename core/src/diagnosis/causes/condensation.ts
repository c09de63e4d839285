import { after, brings, type Cause } from '../cause.js';

export const condensation: Cause = {
  name: 'Water condensing in the pump, gas ballast closed',
  family: 'moisture',
  prior: { freezeDrying: 0.14, packaging: 0.12, composites: 0.05, industrial: 0.07 },
  looksLike:
    'Cream or haze after wet loads, more in the jar than the trap lets past, rust with time; the chamber is fine.',
  brings: [
    brings('cream', 'yes', 0.6, 'condensed water is beaten into the oil'),
    brings('haze', 'hazy', 0.5, 'fine droplets stay in suspension'),
    brings('water', 'more', 0.6, 'what condenses stays in the oil'),
    brings('water', 'farMore', 0.1, 'over several wet runs it adds up'),
    brings('levelTrend', 'rising', 0.4, 'water lies under the oil and lifts it'),
    brings('rust', 'yes', 0.3, 'a pump that is never dried rusts'),
    brings('rustParticles', 'yes', 0.15, 'rust comes loose'),
    brings('crackle', 'crackles', 0.5, 'water flashes on the plate'),
    brings('waterAgain', 'yes', 0.5, 'the purge clears it, the next wet run brings it back'),
    brings('pumpPressureAsIs', 'poor', 0.5, 'water in the oil is the pump’s ultimate'),
    brings('chamberPressure', 'poor', 0.2, 'the pump pulls less until it is purged'),
    brings('level', 'high', 0.3, 'water lifts it'),
    brings('chamberPressure', 'farAbove', 0.12, 'with much water in the oil'),
  ],
  after: [
    after('ballast', 'closed', 4, 'nothing carries the vapour out'),
    after('ballast', 'open', 0.12, 'the ballast carries it out'),
    after('pumpTemp', 'cold', 2.5, 'a cold pump condenses what a warm one passes'),
    after('pumpTemp', 'warm', 0.5, 'warm oil holds little water'),
    after('wetLoads', 'yes', 2, 'there is vapour to condense'),
    after('wetLoads', 'no', 0.4, 'little vapour comes'),
    after('humidRoom', 'humid', 1.5, 'humid air brings water too'),
  ],
  remedy:
    'Purge warm for an hour with the inlet closed and the ballast open, look again, and change the oil if it has not cleared.',
  prevention:
    'Warm the pump to 60 °C before wet loads; ballast as this pump’s record says; half an hour of ballast after the run.',
  cautions: ['hotOil', 'exhaust', 'noAir'],
};
