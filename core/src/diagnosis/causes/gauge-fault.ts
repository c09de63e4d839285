import { brings, type Cause } from '../cause.js';

export const gaugeFault: Cause = {
  name: 'Gauge, sensor or wiring at fault',
  family: 'vacuum',
  prior: { freezeDrying: 0.05, packaging: 0.03, composites: 0.05, industrial: 0.04 },
  looksLike: 'One gauge says poor, nothing else does.',
  brings: [
    brings('gauges', 'gapStays', 0.75, 'a fault stays, vapour goes'),
    brings('sensor', 'wrong', 0.75, 'it is the sensor or its wiring'),
    brings('chamberPressure', 'poor', 0.5, 'it only says so'),
    brings('flicker', 'yes', 0.05, 'a loose wire'),
    brings('chamberPressure', 'farAbove', 0.2, 'it only says so'),
  ],
  after: [],
  remedy: 'Compare with a second gauge; sensor and wiring against the data sheet; clean or replace.',
  prevention: 'A yearly comparison; a gauge out of the way of vapour and resin.',
  cautions: [],
};
