import { after, brings, type Cause } from '../cause.js';

export const oilLost: Cause = {
  name: 'Oil lost through the exhaust at high throughput',
  family: 'vacuum',
  prior: { freezeDrying: 0.01, packaging: 0.025, composites: 0.015, industrial: 0.045 },
  looksLike: 'The level falls, mist at the exhaust, long hours of much gas.',
  brings: [
    brings('levelTrend', 'falling', 0.8, 'it leaves as mist'),
    brings('exhaustMist', 'mist', 0.65, 'that is where it goes'),
    brings('exhaustMist', 'thrown', 0.25, 'at very high flow'),
    brings('level', 'low', 0.35, 'with time'),
  ],
  after: [
    after('throughput', 'high', 7, 'much gas carries much oil'),
    after('throughput', 'usual', 0.3, 'little gas carries little oil'),
  ],
  remedy: 'Top up and throttle the first minutes; then an oil return or a larger mist filter.',
  prevention: 'Size the filter for the flow; no long runs at high pressure.',
  cautions: ['exhaust'],
};
