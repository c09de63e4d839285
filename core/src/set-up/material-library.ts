import type { Material, Process } from './records.js';

type Ratings = readonly [moisture: number, fat: number, fines: number, solvent: number, acid: number];

const entry = (id: string, process: Process, name: string, ratings: Ratings, note: string): [string, Material] => {
  const [moisture, fat, fines, solvent, acid] = ratings;
  return [id, { name, process, moisture, fat, fines, solvent, acid, note }];
};

/** Generic classes of load with ratings 0-3 for what reaches the oil. A starting point: every value can be edited. */
export const MATERIAL_LIBRARY: Readonly<Record<string, Material>> = Object.fromEntries([
  entry(
    'fd-paper-wet',
    'freezeDrying',
    'Paper, wet',
    [3, 0, 1, 0, 0],
    'Soaked books and maps: long runs, much vapour.',
  ),
  entry('fd-paper-damp', 'freezeDrying', 'Paper, damp', [2, 0, 1, 0, 0], 'Most of the water is already gone.'),
  entry(
    'fd-parchment',
    'freezeDrying',
    'Parchment and leather',
    [2, 1, 0, 0, 0],
    'Gives off some fat late in the run.',
  ),
  entry(
    'fd-wood',
    'freezeDrying',
    'Waterlogged wood',
    [3, 0, 1, 1, 1],
    'Glycol from the soak and weak acids come along.',
  ),
  entry('fd-textile', 'freezeDrying', 'Textile, rinsed', [2, 0, 2, 0, 0], 'Lint passes a coarse inlet screen.'),
  entry('fd-plants', 'freezeDrying', 'Plants and herbs', [2, 1, 2, 0, 0], 'Leaf dust and scented oils.'),
  entry('fd-fruit', 'freezeDrying', 'Fruit, sugary', [3, 2, 1, 0, 1], 'Sugar vapour and fruit acids darken the oil.'),
  entry('fd-meat', 'freezeDrying', 'Meat or fish', [3, 3, 1, 0, 0], 'Fat vapour darkens the oil within one run.'),
  entry(
    'fd-cultures',
    'freezeDrying',
    'Cultures in skim milk',
    [2, 1, 1, 0, 0],
    'Treat the drained oil by the site’s rules.',
  ),
  entry('fd-soil', 'freezeDrying', 'Soil and sediment', [3, 0, 3, 0, 1], 'Fines go everywhere once it is dry.'),
  entry('vp-dry-goods', 'packaging', 'Dry goods', [0, 0, 1, 0, 0], 'Room air, little else.'),
  entry(
    'vp-flour-spice',
    'packaging',
    'Flour and spice',
    [0, 1, 3, 0, 0],
    'Dust is drawn in with the last of the air.',
  ),
  entry('vp-cheese', 'packaging', 'Cheese', [1, 1, 0, 0, 1], 'Some whey and lactic acid.'),
  entry('vp-meat', 'packaging', 'Meat, fresh', [2, 2, 0, 0, 0], 'Juice is carried over when bags are overfilled.'),
  entry('vp-fish-smoked', 'packaging', 'Fish, smoked', [2, 2, 0, 0, 1], 'Brine and fish oil.'),
  entry('vp-brined', 'packaging', 'Brined vegetables', [3, 0, 0, 0, 1], 'Salt water rusts the pump from inside.'),
  entry(
    'vp-cooked',
    'packaging',
    'Cooked, still warm',
    [3, 1, 0, 0, 0],
    'Boils in the chamber: much vapour per cycle.',
  ),
  entry('co-epoxy', 'composites', 'Epoxy lay-up', [0, 0, 0, 2, 0], 'Amine hardener smells of fish or ammonia.'),
  entry('co-polyester', 'composites', 'Polyester, styrene', [0, 0, 0, 3, 0], 'Styrene thins the oil and burns.'),
  entry('co-vinylester', 'composites', 'Vinyl ester', [0, 0, 0, 3, 0], 'As polyester.'),
  entry('co-prepreg', 'composites', 'Prepreg, oven cure', [0, 0, 1, 1, 0], 'Little vapour, some fibre.'),
  entry('co-infusion', 'composites', 'Resin infusion', [1, 0, 0, 2, 0], 'A full catch pot sends resin into the pump.'),
  entry('co-dry-bag', 'composites', 'Bag, dry debulk', [0, 0, 1, 0, 0], 'Crumbs of release film.'),
  entry('in-varnish', 'industrial', 'Varnish impregnation', [1, 0, 0, 2, 0], 'Varnish builds up on vanes.'),
  entry(
    'in-silicone',
    'industrial',
    'Silicone degassing',
    [0, 1, 0, 1, 0],
    'Silicon in a lab sample is not dust here.',
  ),
  entry('in-resin-degas', 'industrial', 'Casting resin degassing', [0, 0, 0, 2, 0], 'Foams over when drawn too fast.'),
  entry('in-binder-wax', 'industrial', 'Debinding, wax', [0, 3, 1, 0, 0], 'Wax sets in cold lines and in the filter.'),
  entry('in-furnace', 'industrial', 'Vacuum furnace, metal', [0, 0, 2, 0, 0], 'Metal oxide dust is abrasive.'),
  entry(
    'in-transformer',
    'industrial',
    'Transformer oil drying',
    [2, 1, 0, 0, 0],
    'Water comes out with light oil ends.',
  ),
  entry('any-empty', 'industrial', 'Empty, leak test or warm-up', [0, 0, 0, 0, 0], 'A clean run.'),
]);
