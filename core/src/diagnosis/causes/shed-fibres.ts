import { after, brings, type Cause } from '../cause.js';

export const shedFibres: Cause = {
  name: 'Fibres shed by a filter upstream',
  family: 'particles',
  prior: { freezeDrying: 0.01, packaging: 0.01, composites: 0.02, industrial: 0.012 },
  looksLike: 'Fibres in the jar since a filter was fitted.',
  brings: [
    brings('fibres', 'yes', 0.9, 'they are its fibres'),
    brings('inletScreen', 'clogged', 0.2, 'they felt on the screen'),
    brings('particleCode', 'raised', 0.25, 'fibres are counted'),
  ],
  after: [
    after('inLineFilter', 'fitted', 6, 'it is there'),
    after('inLineFilter', 'none', 0.15, 'there is none to shed'),
  ],
  remedy: 'Take the element out and look at it; one that is made for vacuum; change the oil.',
  prevention: 'Elements made for vacuum, changed by age.',
  cautions: ['vent'],
};
