import { after, brings, type Cause } from '../cause.js';

export const productFines: Cause = {
  name: 'Product fines drawn in',
  family: 'particles',
  prior: { freezeDrying: 0.035, packaging: 0.035, composites: 0.012, industrial: 0.03 },
  looksLike: 'Grains or powder of the product in the jar, and on the inlet screen.',
  brings: [
    brings('fines', 'yes', 0.85, 'they are the product'),
    brings('inletScreen', 'clogged', 0.4, 'they stop there first'),
    brings('sludge', 'yes', 0.3, 'they settle'),
    brings('blackParticles', 'yes', 0.15, 'charred grains'),
    brings('pumpDown', 'slow', 0.1, 'a full screen'),
    brings('suspectRun', 'same', 0.5, 'that product sheds'),
    brings('particleCode', 'raised', 0.7, 'they are counted'),
    brings('colour', 'darker', 0.15, 'they cloud it'),
  ],
  after: [
    after('dustyLoads', 'yes', 5, 'there was dust to draw in'),
    after('dustyLoads', 'no', 0.2, 'nothing dusty was loaded'),
    after('inLineFilter', 'fitted', 0.4, 'a filter holds most back'),
  ],
  remedy: 'Change the oil and its filter, clean the screen; flush when grains come again.',
  prevention: 'A filter that suits fine dust, slower pump-down, covered trays.',
  cautions: ['vent'],
};
