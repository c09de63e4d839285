import { after, brings, type Cause } from '../cause.js';

export const blockedExhaust: Cause = {
  name: 'Clogged exhaust filter, or a blocked or iced exhaust line',
  family: 'vacuum',
  prior: { freezeDrying: 0.03, packaging: 0.06, composites: 0.02, industrial: 0.045 },
  looksLike: 'Hot, more current, mist, back-pressure at the exhaust.',
  brings: [
    brings('backPressure', 'raised', 0.9, 'it has to push'),
    brings('caseTemp', 'hotter', 0.6, 'it works against pressure'),
    brings('current', 'higher', 0.6, 'it works against pressure'),
    brings('exhaustMist', 'mist', 0.45, 'a soaked filter lets oil through'),
    brings('levelTrend', 'falling', 0.25, 'oil goes out as mist'),
    brings('pumpPressure', 'poor', 0.25, 'gas comes back'),
    brings('noise', 'louder', 0.2, 'it labours'),
    brings('chamberPressure', 'poor', 0.15, 'gas comes back'),
    brings('pumpPressureAsIs', 'poor', 0.25, 'gas comes back'),
    brings('chamberPressure', 'farAbove', 0.1, 'it hardly moves gas'),
    brings('starts', 'slow', 0.15, 'it starts against pressure'),
    brings('backPressure', 'blocked', 0.06, 'iced or valved shut'),
    brings('level', 'low', 0.1, 'with time'),
  ],
  after: [
    after('exhaustFilter', 'overdue', 5, 'it had its hours'),
    after('exhaustFilter', 'inTime', 0.4, 'it is fresh'),
    after('exhaustOutlet', 'outdoors', 1.5, 'its end ices up'),
    after('room', 'cold', 2.5, 'oil mist stiffens, water freezes'),
  ],
  remedy: 'Stop. Filter off and look, line free, a new filter.',
  prevention: 'Exhaust filter by hours; back-pressure noted at each service.',
  cautions: ['exhaustOpen', 'hotOil'],
};
