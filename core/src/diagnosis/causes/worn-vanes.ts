import { after, brings, type Cause } from '../cause.js';

export const wornVanes: Cause = {
  name: 'Worn vanes',
  family: 'vacuum',
  prior: { freezeDrying: 0.025, packaging: 0.06, composites: 0.035, industrial: 0.045 },
  looksLike: 'Poor at the pump with fresh warm oil, louder, slower, many hours.',
  brings: [
    brings('pumpPressure', 'poor', 0.85, 'the vanes do not seal'),
    brings('chamberPressure', 'poor', 0.5, 'the pump pulls less'),
    brings('pumpDown', 'slow', 0.6, 'it moves less gas'),
    brings('noise', 'louder', 0.55, 'vanes knock'),
    brings('vanes', 'worn', 0.9, 'seen on the bench'),
    brings('blackParticles', 'yes', 0.35, 'vane dust'),
    brings('iron', 'raised', 0.25, 'the cylinder wears too'),
    brings('current', 'higher', 0.15, 'they rub'),
    brings('hosePressure', 'poor', 0.7, 'the pump itself'),
    brings('pumpPressureAsIs', 'poor', 0.85, 'the vanes do not seal'),
    brings('chamberPressure', 'farAbove', 0.1, 'with vanes that are gone'),
    brings('ballastClosed', 'same', 0.1, 'what passes the vanes drowns the ballast’s air'),
    brings('particleCode', 'raised', 0.35, 'vane dust is counted'),
    brings('noise', 'grinding', 0.05, 'broken vanes'),
  ],
  after: [
    after('hours', 'many', 5, 'vanes wear with the hours'),
    after('hours', 'few', 0.3, 'they are young'),
    after('newPump', 'yes', 0.1, 'they are new'),
  ],
  remedy:
    'Fresh warm oil and a second gauge first; then a bench inspection, or an exchange pump: compare cost and days.',
  prevention: 'Oil in time, no grit, no liquid.',
  cautions: ['lockOut', 'heavy'],
};
