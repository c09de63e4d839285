import { after, brings, type Cause } from '../cause.js';

export const acidVapour: Cause = {
  name: 'Acid vapour in the oil',
  family: 'vapours',
  prior: { freezeDrying: 0.015, packaging: 0.008, composites: 0.006, industrial: 0.015 },
  looksLike: 'Acid number up and iron with it after acid loads.',
  brings: [
    brings('acid', 'raised', 0.8, 'it is acid'),
    brings('iron', 'raised', 0.5, 'acid attacks iron'),
    brings('smell', 'sour', 0.25, 'weak acids smell'),
    brings('rustParticles', 'yes', 0.25, 'with time'),
    brings('rust', 'yes', 0.25, 'with time'),
    brings('darkening', 'inOneRun', 0.2, 'it ages the oil'),
    brings('colour', 'darker', 0.3, 'it ages the oil'),
  ],
  after: [after('acidLoads', 'yes', 6, 'there was acid'), after('acidLoads', 'no', 0.15, 'there was none')],
  remedy: 'Change after every such run; no reuse; look for rust.',
  prevention: 'Neutralise or trap the acid; a filter element for acid before the pump.',
  cautions: ['residues'],
};
