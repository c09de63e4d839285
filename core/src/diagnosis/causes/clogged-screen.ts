import { after, brings, type Cause } from '../cause.js';

export const cloggedScreen: Cause = {
  name: 'Clogged inlet screen',
  family: 'vacuum',
  prior: { freezeDrying: 0.015, packaging: 0.03, composites: 0.03, industrial: 0.025 },
  looksLike: 'Slow from the first minute, the screen full.',
  brings: [
    brings('inletScreen', 'clogged', 0.95, 'seen when it is out'),
    brings('pumpDown', 'slow', 0.8, 'gas cannot get through'),
    brings('chamberPressure', 'poor', 0.3, 'at the low end'),
    brings('fines', 'yes', 0.2, 'what clogs it goes past it too'),
    brings('chamberPressure', 'farAbove', 0.25, 'next to nothing gets through'),
  ],
  after: [
    after('dustyLoads', 'yes', 2.5, 'dust fills it'),
    after('resinLoads', 'yes', 1.5, 'resin glues it'),
    after('screenDue', 'overdue', 3, 'it had its time'),
    after('screenDue', 'inTime', 0.5, 'it is fresh'),
  ],
  remedy: 'Screen out, wash, dry, back with a new O-ring.',
  prevention: 'The screen at every few changes.',
  cautions: ['vent'],
};
