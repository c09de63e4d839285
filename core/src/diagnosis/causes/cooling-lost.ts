import { after, brings, type Cause } from '../cause.js';

export const coolingLost: Cause = {
  name: 'Cooling lost: fan, fins or a hot room',
  family: 'vacuum',
  prior: { freezeDrying: 0.02, packaging: 0.03, composites: 0.025, industrial: 0.03 },
  looksLike: 'The case is hotter than its own at the same work, the vacuum is as ever.',
  brings: [
    brings('cooling', 'poor', 0.85, 'seen and felt'),
    brings('caseTemp', 'hotter', 0.8, 'its heat stays'),
    brings('smell', 'burnt', 0.2, 'with time'),
    brings('colour', 'farDarker', 0.15, 'heat darkens the oil'),
    brings('current', 'higher', 0.1, 'a hot motor'),
  ],
  after: [
    after('ranHot', 'yes', 4, 'it was seen'),
    after('ranHot', 'no', 0.4, 'it ran as usual'),
    after('dustyRoom', 'yes', 2, 'dust fills the fins'),
  ],
  remedy: 'Switch off and lock out, wipe fins and fan guard, let air reach it; then measure again.',
  prevention: 'Fins wiped at each change; a hand’s breadth of air all round.',
  cautions: ['lockOut', 'hotOil'],
};
