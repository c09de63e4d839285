import { after, brings, type Cause } from '../cause.js';

export const fatVapour: Cause = {
  name: 'Fat, sugar or wax vapour',
  family: 'vapours',
  prior: { freezeDrying: 0.06, packaging: 0.05, composites: 0.012, industrial: 0.05 },
  looksLike: 'Dark within minutes of a fatty load, old deposits go into suspension.',
  brings: [
    brings('darkening', 'inMinutes', 0.6, 'the vapour goes straight into the oil'),
    brings('darkening', 'inOneRun', 0.35, 'a milder load'),
    brings('smell', 'rancid', 0.4, 'fat turns'),
    brings('sludge', 'yes', 0.3, 'wax and sugar drop out'),
    brings('blackParticles', 'yes', 0.2, 'old deposits come loose'),
    brings('thickness', 'thick', 0.15, 'with much of it'),
    brings('suspectRun', 'same', 0.7, 'that load does it'),
    brings('varnish', 'yes', 0.15, 'it bakes on'),
    brings('colour', 'farDarker', 0.5, 'fat goes brown in warm oil'),
    brings('colour', 'darker', 0.3, 'a milder load'),
    brings('smell', 'fishy', 0.08, 'fat of fish'),
    brings('particleCode', 'raised', 0.3, 'it loosens old deposits'),
  ],
  after: [
    after('fattyLoads', 'yes', 5, 'there was fat, sugar or wax'),
    after('fattyLoads', 'no', 0.08, 'there was none'),
  ],
  remedy: 'Change after such runs; flush if the next charge darkens too.',
  prevention: 'Lower shelf temperature for fatty loads, a colder trap, a rule to change after each.',
  cautions: ['hotOil'],
};
