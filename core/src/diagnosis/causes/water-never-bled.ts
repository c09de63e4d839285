import { after, brings, type Cause } from '../cause.js';

export const waterNeverBled: Cause = {
  name: 'Settled water that was never bled',
  family: 'moisture',
  prior: { freezeDrying: 0.04, packaging: 0.015, composites: 0.008, industrial: 0.015 },
  looksLike: 'The usual spoonful of each run has added up under the oil; nothing else is odd.',
  brings: [
    brings('water', 'more', 0.65, 'what each run leaves adds up'),
    brings('levelTrend', 'rising', 0.5, 'the water lifts the oil'),
    brings('level', 'high', 0.2, 'with time'),
    brings('rust', 'yes', 0.2, 'iron stands in water'),
    brings('growth', 'yes', 0.05, 'water feeds it'),
    brings('haze', 'hazy', 0.2, 'some of it is stirred up'),
    brings('crackle', 'crackles', 0.35, 'water in the oil'),
    brings('pumpPressureAsIs', 'poor', 0.3, 'water in the oil is the pump’s ultimate'),
  ],
  after: [after('bled', 'no', 6, 'nobody let it out'), after('bled', 'yes', 0.05, 'it was let out each time')],
  remedy: 'Bleed before every run until clean oil follows, and top up to the mark.',
  prevention: 'A bleed before each run as a task of its own.',
  cautions: ['hotOil'],
};
