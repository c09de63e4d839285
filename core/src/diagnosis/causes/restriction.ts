import { after, brings, type Cause } from '../cause.js';

export const restriction: Cause = {
  name: 'Restriction by hose or in-line filter',
  family: 'vacuum',
  prior: { freezeDrying: 0.03, packaging: 0.015, composites: 0.04, industrial: 0.02 },
  looksLike: 'Pump good, chamber tight, and still poor: better with a short wide line.',
  brings: [
    brings('withoutFilter', 'better', 0.85, 'it is what restricts'),
    brings('pumpDown', 'slow', 0.55, 'gas gets through slowly'),
    brings('chamberPressure', 'poor', 0.5, 'the line eats the speed'),
    brings('chamberPressure', 'farAbove', 0.15, 'the line eats the speed'),
  ],
  after: [
    after('inLineFilter', 'fitted', 2.5, 'an element restricts'),
    after('inLineFilter', 'none', 0.6, 'only the hose is left'),
  ],
  remedy: 'Clean the element; then a shorter and wider hose, or a filter with more conductance.',
  prevention: 'A filter’s pressure drop noted when new.',
  cautions: ['vent'],
};
