import { brings, type Cause } from '../cause.js';

export const boosterBypass: Cause = {
  name: 'Booster bypass stuck',
  family: 'vacuum',
  prior: { freezeDrying: 0.002, packaging: 0.006, composites: 0.004, industrial: 0.03 },
  looksLike: 'The booster runs and adds nothing.',
  brings: [
    brings('boosterEffect', 'none', 0.9, 'gas goes round it'),
    brings('pumpDown', 'slow', 0.5, 'only the vane pump works'),
    brings('chamberPressure', 'poor', 0.45, 'as without a booster'),
    brings('chamberPressure', 'farAbove', 0.35, 'as without a booster'),
  ],
  after: [],
  remedy: 'Bypass piston and its O-rings out, clean, back.',
  prevention: 'The bypass with the booster’s yearly service.',
  cautions: ['lockOut', 'vent'],
};
