import { after, brings, type Cause } from '../cause.js';

export const liquidCarryOver: Cause = {
  name: 'Brine or juice carried over',
  family: 'moisture',
  prior: { freezeDrying: 0.002, packaging: 0.05, composites: 0.004, industrial: 0.004 },
  looksLike: 'Water and salt or fat in the oil of a packaging machine; rust soon.',
  brings: [
    brings('water', 'farMore', 0.6, 'liquid comes by the spoonful'),
    brings('water', 'more', 0.3, 'a little each shift'),
    brings('smell', 'rancid', 0.35, 'juice and fat turn'),
    brings('smell', 'sour', 0.2, 'juice ferments'),
    brings('cream', 'yes', 0.45, 'fat and water emulsify'),
    brings('levelTrend', 'rising', 0.45, 'it collects'),
    brings('rustParticles', 'yes', 0.3, 'brine rusts'),
    brings('rust', 'yes', 0.3, 'brine rusts'),
    brings('sludge', 'yes', 0.3, 'protein and fat'),
  ],
  after: [
    after('liquids', 'yes', 6, 'there was liquid to draw in'),
    after('liquids', 'no', 0.08, 'there was no liquid'),
  ],
  remedy: 'Drain at once, flush twice, change; brine eats iron within days.',
  prevention: 'Fill lower, chill before packing, a liquid separator before the pump, less end vacuum for wet packs.',
  cautions: ['hotOil', 'food'],
};
