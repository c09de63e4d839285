import { after, brings, type Cause } from '../cause.js';

export const wetLoad: Cause = {
  name: 'Chamber or load still wet, or outgassing',
  family: 'vacuum',
  prior: { freezeDrying: 0.05, packaging: 0.02, composites: 0.06, industrial: 0.045 },
  looksLike: 'A rise that flattens, a thermal gauge that comes down late; good again once it is dry.',
  brings: [
    brings('rateOfRise', 'flattens', 0.85, 'vapour fills the chamber up to its own pressure and stops'),
    brings('chamberPressure', 'poor', 0.6, 'it gives off gas for hours'),
    brings('chamberPressure', 'farAbove', 0.05, 'with much water'),
    brings('gauges', 'gapCloses', 0.5, 'a thermal gauge reads 1.6 times true in vapour'),
    brings('pumpDown', 'slow', 0.35, 'gas keeps coming'),
    brings('emptyRun', 'same', 0.25, 'where it is the chamber itself'),
  ],
  after: [
    after('wetLoads', 'yes', 2, 'there was water to give off'),
    after('wetLoads', 'no', 0.5, 'little to give off'),
    after('newWork', 'yes', 1.3, 'new lining and sealant give off gas'),
  ],
  remedy: 'Give it time, warm it, dry the chamber and the trap; then a rate of rise, empty and dry.',
  prevention: 'Dry store for cloth, core and lining; a bake-out after relining; trap drained before each run.',
  cautions: ['furnace'],
};
