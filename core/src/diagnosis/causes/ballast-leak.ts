import { after, brings, type Cause } from '../cause.js';

export const ballastLeak: Cause = {
  name: 'Ballast valve open or leaking',
  family: 'vacuum',
  prior: { freezeDrying: 0.03, packaging: 0.025, composites: 0.025, industrial: 0.025 },
  looksLike: 'Poor at the pump, better with the ballast valve stoppered; the position may be other than logged.',
  brings: [
    brings('pumpPressure', 'poor', 0.55, 'air comes in at the pump'),
    brings('stopperHelps', 'yes', 0.75, 'stop its inlet and it is gone'),
    brings('chamberPressure', 'poor', 0.55, 'the pump pulls less'),
    brings('exhaustMist', 'mist', 0.3, 'more gas, more mist'),
    brings('hosePressure', 'poor', 0.65, 'at the pump'),
    brings('flicker', 'yes', 0.25, 'when it is turned'),
    brings('pumpPressureAsIs', 'poor', 0.7, 'air comes in at the pump'),
    brings('chamberPressure', 'farAbove', 0.1, 'on a small pump'),
    brings('ballastClosed', 'same', 0.5, 'it does not close'),
    brings('ballastClosed', 'better', 0.4, 'it stood open'),
  ],
  after: [after('ballast', 'open', 3, 'it stands open')],
  remedy: 'Close it by hand; new O-ring and spring where it leaks.',
  prevention: 'Its O-ring with the yearly service.',
  cautions: ['hotOil'],
};
