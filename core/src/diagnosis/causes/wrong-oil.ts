import { after, brings, type Cause } from '../cause.js';

export const wrongOil: Cause = {
  name: 'Wrong or mixed oil',
  family: 'vapours',
  prior: { freezeDrying: 0.012, packaging: 0.015, composites: 0.015, industrial: 0.015 },
  looksLike: 'Foam, haze or gel after another oil went in.',
  brings: [
    brings('foam', 'yes', 0.65, 'two oils foam'),
    brings('haze', 'hazy', 0.6, 'additives drop out'),
    brings('thickness', 'thick', 0.3, 'some pairs gel'),
    brings('sludge', 'yes', 0.2, 'what drops out'),
    brings('afterPurge', 'notCleared', 0.6, 'it is not water'),
    brings('pumpPressureAsIs', 'poor', 0.3, 'a lighter oil'),
  ],
  after: [
    after('productChanged', 'yes', 7, 'another oil went in'),
    after('productChanged', 'no', 0.3, 'no other oil went in'),
  ],
  remedy: 'Drain, flush by compatibility, a new filter, the first charge short.',
  prevention: 'One oil per pump, named on its housing; a flush at every change of product.',
  cautions: ['oxygen'],
};
