import { after, brings, type Cause } from '../cause.js';

export const suckback: Cause = {
  name: 'Anti-suckback valve stuck or its ball pitted',
  family: 'vacuum',
  prior: { freezeDrying: 0.025, packaging: 0.015, composites: 0.02, industrial: 0.015 },
  looksLike: 'Oil up the hose now and then, only after a stop under vacuum.',
  brings: [
    brings('oilUpHose', 'now', 0.65, 'only after some stops'),
    brings('oilUpHose', 'always', 0.25, 'where the ball is bad'),
    brings('suckbackBall', 'bad', 0.85, 'seen when it is out'),
    brings('levelTrend', 'falling', 0.3, 'the oil is in the hose'),
    brings('chamberPressure', 'poor', 0.1, 'oil in the line'),
    brings('pumpDown', 'slow', 0.4, 'a valve that sticks half shut'),
    brings('level', 'low', 0.2, 'the oil is in the hose'),
  ],
  after: [
    after('stoppedUnderVacuum', 'yes', 5, 'that is when it is needed'),
    after('stoppedUnderVacuum', 'no', 0.3, 'it was vented each time'),
  ],
  remedy: 'Vent the pump side before each stop; then the valve out: ball and O-ring, roundness, pits, grit; both new.',
  prevention: 'Vent the pump side before the pump stops, always.',
  cautions: ['vent'],
};
