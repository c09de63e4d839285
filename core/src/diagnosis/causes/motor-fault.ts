import { brings, type Cause } from '../cause.js';

export const motorFault: Cause = {
  name: 'Motor or its capacitor failing',
  family: 'vacuum',
  prior: { freezeDrying: 0.015, packaging: 0.02, composites: 0.015, industrial: 0.02 },
  looksLike: 'Hums and starts late or trips, while the pump turns free and its vacuum is good.',
  brings: [
    brings('starts', 'slow', 0.85, 'it lacks torque'),
    brings('current', 'higher', 0.5, 'it slips'),
    brings('noise', 'louder', 0.2, 'it hums'),
    brings('caseTemp', 'hotter', 0.1, 'the motor’s heat'),
    brings('starts', 'trips', 0.1, 'its current is too high'),
  ],
  after: [],
  remedy: 'Turn the pump by hand, locked out: free? Then an electrician measures supply and capacitor.',
  prevention: 'Starting current noted when new; few starts in a row.',
  cautions: ['lockOut', 'capacitor'],
};
