import { after, brings, type Cause } from '../cause.js';

export const resinVapour: Cause = {
  name: 'Resin, styrene or amine vapour',
  family: 'vapours',
  prior: { freezeDrying: 0.003, packaging: 0.003, composites: 0.09, industrial: 0.03 },
  looksLike: 'The oil thickens, a sharp smell, varnish on the screen and the parts.',
  brings: [
    brings('thickness', 'thick', 0.65, 'it polymerises in the oil'),
    brings('smell', 'sharp', 0.55, 'it smells so'),
    brings('varnish', 'yes', 0.5, 'it sets on warm parts'),
    brings('darkening', 'inOneRun', 0.3, 'it darkens'),
    brings('inletScreen', 'clogged', 0.2, 'it sets there'),
    brings('current', 'higher', 0.15, 'thick oil'),
    brings('sludge', 'yes', 0.2, 'gel'),
    brings('smell', 'fishy', 0.25, 'amine hardener smells of fish'),
    brings('colour', 'darker', 0.35, 'it yellows and browns'),
    brings('colour', 'farDarker', 0.15, 'it browns'),
    brings('starts', 'slow', 0.2, 'gel brakes'),
    brings('pumpDown', 'slow', 0.2, 'thick oil'),
    brings('thickness', 'gels', 0.15, 'it cures in the oil'),
    brings('starts', 'stiff', 0.08, 'it glues the rotor'),
    brings('swallowed', 'yes', 0.1, 'the pot failed'),
  ],
  after: [
    after('resinLoads', 'yes', 4, 'there was resin'),
    after('resinLoads', 'no', 0.05, 'there was none'),
    after('catchPot', 'failed', 5, 'it came past the pot'),
    after('catchPot', 'sound', 0.7, 'the pot held'),
  ],
  remedy: 'Drain before it sets, flush with an oil that the maker allows, clean the catch pot and the trap.',
  prevention: 'A catch pot that is emptied, a cold trap before the pump, longer wait before full vacuum.',
  cautions: ['residues', 'noAir'],
};
