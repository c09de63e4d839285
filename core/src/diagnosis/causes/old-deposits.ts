import { after, brings, type Cause } from '../cause.js';

export const oldDeposits: Cause = {
  name: 'Deposits of an earlier charge released again',
  family: 'particles',
  prior: { freezeDrying: 0.05, packaging: 0.05, composites: 0.04, industrial: 0.045 },
  looksLike: 'Fresh oil is dark again within the first run, whatever was run.',
  brings: [
    brings('darkAfterChange', 'yes', 0.85, 'the housing is dirty, not the run'),
    brings('darkening', 'inOneRun', 0.4, 'it goes into the fresh oil at once'),
    brings('sludge', 'yes', 0.5, 'it lies in the housing'),
    brings('emptyRun', 'same', 0.75, 'it needs no product'),
    brings('blackParticles', 'yes', 0.3, 'flakes come loose'),
    brings('varnish', 'yes', 0.25, 'that is what it is'),
    brings('suspectRun', 'same', 0.5, 'whatever is run'),
    brings('particleCode', 'raised', 0.5, 'loose deposits are counted'),
    brings('colour', 'farDarker', 0.35, 'within days of a change'),
    brings('colour', 'darker', 0.35, 'within days of a change'),
  ],
  after: [after('carriedOver', 'yes', 2, 'old oil left it')],
  remedy: 'Flush until it stays light, or wash the housing: new oil alone will foul again.',
  prevention: 'Flush at every few changes; no oil carried over.',
  cautions: ['hotOil', 'lockOut'],
};
