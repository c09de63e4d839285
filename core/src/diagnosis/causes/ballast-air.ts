import { after, brings, type Cause } from '../cause.js';

export const ballastAir: Cause = {
  name: 'Ballast air bringing water into a cold pump',
  family: 'moisture',
  prior: { freezeDrying: 0.025, packaging: 0.03, composites: 0.012, industrial: 0.015 },
  looksLike: 'Water though the trap is cold and the ballast was open, in humid weather or a cold pump.',
  brings: [
    brings('water', 'more', 0.6, 'cold oil keeps what the air brings'),
    brings('water', 'farMore', 0.25, '0.6 m³/h at half humidity bring 156 g in 30 h'),
    brings('haze', 'hazy', 0.4, 'droplets'),
    brings('cream', 'yes', 0.35, 'beaten in'),
    brings('levelTrend', 'rising', 0.3, 'water collects'),
    brings('crackle', 'crackles', 0.4, 'water in the oil'),
    brings('waterAgain', 'yes', 0.45, 'each cold run brings it again'),
    brings('pumpPressureAsIs', 'poor', 0.4, 'water in the oil is the pump’s ultimate'),
    brings('chamberPressure', 'poor', 0.15, 'the pump pulls less until it is purged'),
    brings('level', 'high', 0.35, 'water lifts it'),
    brings('chamberPressure', 'farAbove', 0.1, 'with much water in the oil'),
  ],
  after: [
    after('ballast', 'open', 6, 'it lets the air in'),
    after('ballast', 'closed', 0.03, 'no ballast air came in'),
    after('ballast', 'purge', 0.5, 'only for a while, and warm'),
    after('pumpTemp', 'cold', 5, 'cold oil cannot carry it out'),
    after('pumpTemp', 'warm', 0.1, 'warm oil carries it out again'),
    after('humidRoom', 'humid', 3, 'the air is wet'),
  ],
  remedy: 'Warm the pump with the inlet closed, then ballast for an hour; look again.',
  prevention: 'Open the ballast only when the oil is at 60 °C; dry gas for ballast where the room is humid.',
  cautions: ['hotOil', 'exhaust'],
};
