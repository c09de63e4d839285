import { after, brings, type Cause } from '../cause.js';

export const solventDilution: Cause = {
  name: 'Solvent in the oil',
  family: 'vapours',
  prior: { freezeDrying: 0.025, packaging: 0.004, composites: 0.03, industrial: 0.03 },
  looksLike: 'Thin oil that smells of solvent, a poor ultimate, a level that rises.',
  brings: [
    brings('thickness', 'thin', 0.75, '3 % thin it by a quarter'),
    brings('smell', 'solvent', 0.7, 'it smells so'),
    brings('chamberPressure', 'poor', 0.3, 'the pump pulls less'),
    brings('levelTrend', 'rising', 0.35, 'it adds to the oil'),
    brings('foam', 'yes', 0.2, 'it boils off'),
    brings('pumpPressureAsIs', 'poor', 0.7, 'its vapour pressure is the ultimate'),
  ],
  after: [
    after('solventLoads', 'yes', 5, 'ethanol and acetone pass a -50 °C trap'),
    after('solventLoads', 'no', 0.06, 'there was none'),
  ],
  remedy: 'Drain cold or purge with nitrogen to a safe exhaust; change; no reuse.',
  prevention: 'A trap that is cold enough for this solvent, nitrogen ballast, a change after every such run.',
  cautions: ['noAir', 'residues'],
};
