import { after, brings, type Cause } from '../cause.js';

export const overheatedOil: Cause = {
  name: 'Oxidised or overheated oil',
  family: 'vapours',
  prior: { freezeDrying: 0.02, packaging: 0.045, composites: 0.025, industrial: 0.045 },
  looksLike: 'Dark, thick, a burnt smell; the pump ran hot or the oil was old.',
  brings: [
    brings('smell', 'burnt', 0.75, 'that is how it smells'),
    brings('thickness', 'thick', 0.45, 'oxidised oil thickens'),
    brings('acid', 'raised', 0.55, 'oxidation makes acid'),
    brings('varnish', 'yes', 0.35, 'it bakes on'),
    brings('darkening', 'inOneRun', 0.25, 'heat darkens it'),
    brings('sludge', 'yes', 0.25, 'with time'),
    brings('caseTemp', 'hotter', 0.45, 'it still runs hot'),
    brings('colour', 'farDarker', 0.5, 'oxidised oil is dark'),
    brings('colour', 'darker', 0.35, 'oxidised oil is dark'),
    brings('pumpPressureAsIs', 'poor', 0.25, 'what cracks off is vapour'),
  ],
  after: [
    after('ranHot', 'yes', 5, 'it was seen'),
    after('ranHot', 'no', 0.5, 'it ran as usual'),
    after('carriedOver', 'yes', 2, 'old oil oxidises faster'),
  ],
  remedy: 'Change, and find out why it ran hot: exhaust, level, cooling, load.',
  prevention: 'Half the hours per 10 K above 80 °C; clean fins; an oil that stands heat.',
  cautions: ['hotOil'],
};
