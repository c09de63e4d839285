import { after, brings, type Cause } from '../cause.js';

export const siliconeCarryOver: Cause = {
  name: 'Silicone or antifoam carried over',
  family: 'vapours',
  prior: { freezeDrying: 0.003, packaging: 0.006, composites: 0.02, industrial: 0.018 },
  looksLike: 'Foam that stays and silicon alone in the report, with the same oil as ever.',
  brings: [
    brings('silicon', 'alone', 0.8, 'silicone, not dust: no aluminium with it'),
    brings('foam', 'yes', 0.6, 'a trace makes oil foam'),
    brings('haze', 'hazy', 0.2, 'fine drops of it'),
    brings('afterPurge', 'notCleared', 0.3, 'it is not water'),
  ],
  after: [after('resinLoads', 'yes', 1.8, 'release agents and potting bring it')],
  remedy: 'Change the oil, and keep release agent, sealant and antifoam away from the inlet; foam again: flush.',
  prevention: 'No spraying beside a running pump; a trap or a longer wait before full vacuum.',
  cautions: [],
};
