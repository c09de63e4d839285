import { brings, type Cause } from '../cause.js';

export const levelHigh: Cause = {
  name: 'Oil level too high',
  family: 'vacuum',
  prior: { freezeDrying: 0.02, packaging: 0.025, composites: 0.02, industrial: 0.025 },
  looksLike: 'Above MAX with dry oil, mist and thrown oil.',
  brings: [
    brings('level', 'high', 0.95, 'seen in the glass'),
    brings('exhaustMist', 'thrown', 0.5, 'the oil is carried out'),
    brings('exhaustMist', 'mist', 0.3, 'more than the filter holds'),
    brings('caseTemp', 'hotter', 0.2, 'it churns'),
    brings('levelTrend', 'falling', 0.3, 'it throws oil out until it stands right'),
  ],
  after: [],
  remedy: 'Look for water first; then drain to the mark on a level base.',
  prevention: 'Fill slowly near the mark; run, stop, wait, read again.',
  cautions: ['hotOil'],
};
