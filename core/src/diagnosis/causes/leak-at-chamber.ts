import { after, brings, type Cause } from '../cause.js';

export const leakAtChamber: Cause = {
  name: 'Leak at door, drain, hose, fitting or valve',
  family: 'vacuum',
  prior: { freezeDrying: 0.09, packaging: 0.08, composites: 0.1, industrial: 0.07 },
  looksLike: 'Good at the pump, poor at the chamber, a rise in a straight line.',
  brings: [
    brings('chamberPressure', 'poor', 0.65, 'the leak holds it up'),
    brings('rateOfRise', 'straight', 0.9, 'a leak rises in a straight line'),
    brings('joints', 'bad', 0.45, 'most leaks can be seen or felt'),
    brings('flicker', 'yes', 0.35, 'at the valve that leaks'),
    brings('bubbles', 'yes', 0.6, 'air comes in below the water'),
    brings('stopperHelps', 'yes', 0.35, 'it is that valve'),
    brings('pumpDown', 'slow', 0.35, 'air keeps coming'),
    brings('hosePressure', 'poor', 0.25, 'where it is the hose'),
    brings('chamberPressure', 'farAbove', 0.25, 'a large leak'),
    brings('boosterOil', 'low', 0.08, 'a booster’s shaft seal lets air in and oil out'),
  ],
  after: [after('newWork', 'yes', 3, 'something was opened lately')],
  remedy: 'From the gasket over drain, hoses and connections to every valve; stop at the first that fails.',
  prevention: 'Gaskets wiped and looked at before each run; a rate of rise every month.',
  cautions: ['vent'],
};
