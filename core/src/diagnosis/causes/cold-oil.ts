import { after, brings, type Cause } from '../cause.js';

export const coldOil: Cause = {
  name: 'Cold, thick oil',
  family: 'vacuum',
  prior: { freezeDrying: 0.015, packaging: 0.025, composites: 0.025, industrial: 0.02 },
  looksLike: 'Slow, much current at the start, right once it is warm.',
  brings: [
    brings('comesWarm', 'yes', 0.9, 'warm oil is thin again'),
    brings('pumpDown', 'slow', 0.5, 'thick oil slows it'),
    brings('current', 'higher', 0.55, 'thick oil brakes'),
    brings('noise', 'louder', 0.25, 'it labours'),
    brings('starts', 'slow', 0.55, 'thick oil overloads the motor'),
    brings('pumpPressureAsIs', 'poor', 0.3, 'thick oil seals late'),
    brings('starts', 'trips', 0.1, 'thick oil overloads the motor'),
  ],
  after: [
    after('room', 'cold', 8, 'it was cold'),
    after('room', 'usual', 0.2, 'it was not cold'),
    after('oilGrade', 'tooThick', 5, 'a lighter grade would turn'),
    after('oilGrade', 'fits', 0.5, 'it is thin enough'),
  ],
  remedy: 'Warm the room or the pump, or a lighter grade the maker allows.',
  prevention: 'No start below 12 °C oil.',
  cautions: ['thickOil'],
};
