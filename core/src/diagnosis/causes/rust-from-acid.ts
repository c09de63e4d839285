import { after, brings, type Cause } from '../cause.js';

export const rustFromAcid: Cause = {
  name: 'Rust from acid moisture',
  family: 'particles',
  prior: { freezeDrying: 0.03, packaging: 0.02, composites: 0.008, industrial: 0.02 },
  looksLike: 'Rust-red particles, rust in the drain or the exhaust filter, acid oil.',
  brings: [
    brings('rustParticles', 'yes', 0.7, 'it is rust'),
    brings('rust', 'yes', 0.75, 'drain and exhaust filter rust first'),
    brings('iron', 'raised', 0.6, 'iron goes into the oil'),
    brings('acid', 'raised', 0.5, 'acid moisture does it'),
    brings('particleCode', 'raised', 0.4, 'rust is counted'),
  ],
  after: [
    after('ballast', 'closed', 2.5, 'the pump is never dried'),
    after('ballast', 'open', 0.5, 'it is dried each time'),
    after('acidLoads', 'yes', 3.5, 'acid comes in'),
  ],
  remedy: 'Change now, flush, look into the exhaust filter; ballast after every run from here on.',
  prevention: 'Dry the oil after each acid or wet run; change after each strongly acid one.',
  cautions: ['residues'],
};
