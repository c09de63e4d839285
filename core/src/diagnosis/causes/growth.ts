import { after, brings, type Cause } from '../cause.js';

export const growth: Cause = {
  name: 'Growth feeding on fines and water',
  family: 'particles',
  prior: { freezeDrying: 0.012, packaging: 0.018, composites: 0.003, industrial: 0.006 },
  looksLike: 'A skin or fluff and a sour smell after days of standing.',
  brings: [
    brings('growth', 'yes', 0.85, 'a skin or fluff is how it looks'),
    brings('smell', 'sour', 0.65, 'it ferments'),
    brings('sludge', 'yes', 0.3, 'it sinks'),
    brings('acid', 'raised', 0.3, 'it makes acid'),
    brings('water', 'more', 0.3, 'it needs water'),
    brings('particleCode', 'raised', 0.3, 'fluff'),
  ],
  after: [after('idle', 'days', 6, 'it takes 2-7 days in the warm'), after('idle', 'no', 0.25, 'it had no time')],
  remedy: 'Drain, wash the housing, two flushes, new oil; never reuse this oil.',
  prevention: 'No wet oil left standing: purge and drain before a break.',
  cautions: ['residues'],
};
