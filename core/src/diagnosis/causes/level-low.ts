import { brings, type Cause } from '../cause.js';

export const levelLow: Cause = {
  name: 'Oil level low',
  family: 'vacuum',
  prior: { freezeDrying: 0.03, packaging: 0.04, composites: 0.03, industrial: 0.04 },
  looksLike: 'Below MIN, warm and noisy, a poor ultimate.',
  brings: [
    brings('level', 'low', 0.95, 'seen in the glass'),
    brings('levelTrend', 'falling', 0.6, 'it went somewhere'),
    brings('caseTemp', 'hotter', 0.4, 'less oil carries less heat'),
    brings('noise', 'louder', 0.35, 'dry vanes'),
    brings('chamberPressure', 'poor', 0.3, 'the pump pulls less'),
    brings('pumpPressureAsIs', 'poor', 0.5, 'the vanes lose their seal'),
  ],
  after: [],
  remedy: 'Top up with the same oil to the mark; find where it went.',
  prevention: 'A look at the glass before every run.',
  cautions: ['hotOil'],
};
