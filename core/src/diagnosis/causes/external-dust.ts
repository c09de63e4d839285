import { after, brings, type Cause } from '../cause.js';

export const externalDust: Cause = {
  name: 'Dust from outside',
  family: 'particles',
  prior: { freezeDrying: 0.008, packaging: 0.01, composites: 0.015, industrial: 0.018 },
  looksLike: 'Silicon with aluminium in the lab report; wear with it.',
  brings: [
    brings('silicon', 'withAluminium', 0.85, 'that pair is dust'),
    brings('iron', 'raised', 0.35, 'dust grinds'),
    brings('inletScreen', 'clogged', 0.15, 'it gathers there'),
    brings('particleCode', 'raised', 0.7, 'dust is counted'),
  ],
  after: [after('dustyRoom', 'yes', 4, 'there is dust'), after('dustyRoom', 'no', 0.5, 'the air is clean')],
  remedy: 'Clean the air where it comes in (vent filter, ballast inlet); then change the oil and its filter.',
  prevention: 'A filter on the vent and on the ballast inlet.',
  cautions: [],
};
