import { after, brings, type Cause } from '../cause.js';

export const leakAtPump: Cause = {
  name: 'Leak at the pump: shaft seal, gasket, glass or plug',
  family: 'vacuum',
  prior: { freezeDrying: 0.025, packaging: 0.035, composites: 0.03, industrial: 0.035 },
  looksLike: 'Poor blanked off with fresh warm oil; oil weeps where air goes in.',
  brings: [
    brings('pumpPressure', 'poor', 0.85, 'the leak is behind the blank'),
    brings('chamberPressure', 'poor', 0.5, 'the pump pulls less'),
    brings('pumpWeeps', 'yes', 0.65, 'where air goes in oil comes out'),
    brings('levelTrend', 'falling', 0.5, 'it loses oil'),
    brings('vanes', 'worn', 0.3, 'the seal is looked at with them'),
    brings('hosePressure', 'poor', 0.7, 'the pump itself'),
    brings('pumpPressureAsIs', 'poor', 0.85, 'the leak is behind the blank'),
    brings('chamberPressure', 'farAbove', 0.1, 'a large leak'),
    brings('ballastClosed', 'same', 0.15, 'other air drowns the ballast’s'),
    brings('level', 'low', 0.2, 'with time'),
  ],
  after: [after('hours', 'many', 1.6, 'seals age'), after('newWork', 'yes', 1.3, 'a plug or gasket was moved')],
  remedy:
    'Plugs, glass and gasket first, tightened or renewed; then the shaft seal by the manual, or an exchange pump.',
  prevention: 'A new O-ring at each change; the glass wiped and looked at.',
  cautions: ['lockOut', 'vent'],
};
