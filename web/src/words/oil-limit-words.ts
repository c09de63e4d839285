import type { SignId, StepId } from '@winter-jar/core';

interface LimitWords {
  readonly label: string;
  /** What the number counts; empty for a sign. */
  readonly unit: string;
  /** Why the default is what it is. */
  readonly reason: string;
}

/** The readings of the table with a reason each. The compiler checks that none is forgotten. */
export const STEP_WORDS: Readonly<Record<StepId, LimitWords>> = {
  waterPercent: {
    label: 'Water, over',
    unit: '% of the charge',
    reason: 'Counted over the whole charge and not per jar: a normal bleed is half water. Half of the cream counts.',
  },
  freeWaterMl: {
    label: 'Free water in the oil, from',
    unit: 'mL',
    reason: 'So much lies near the pick-up of any pump, whatever its share of a large charge: it is bled.',
  },
  waterTimesExpected: {
    label: 'Water, over',
    unit: 'times what is expected',
    reason: 'More than the process explains has a cause worth finding, even where the amount is small.',
  },
  waterMlOverExpected: {
    label: 'and at least',
    unit: 'mL more than expected',
    reason: 'Three times almost nothing is almost nothing: both must be passed.',
  },
  creamPercent: {
    label: 'Cream that stays, over',
    unit: '% of the charge',
    reason: 'Cream is water that does not separate. Any of it, once settled, asks for a look.',
  },
  colourRise: {
    label: 'Darker by',
    unit: 'steps of D1500, mineral oil',
    reason: 'Above this charge’s start, so that reused oil is not judged by where it began.',
  },
  colourRiseDark: {
    label: 'Darker by',
    unit: 'steps of D1500, detergent, ester, synthetic or dyed oil',
    reason: 'These oils turn dark without harm. PFPE is not judged by colour.',
  },
  sludgePercent: {
    label: 'Sludge of',
    unit: '% of the charge',
    reason: 'A trace (0) asks for a look; five in a hundred mean that the housing must be washed first.',
  },
  thinnerPercent: {
    label: 'Thinner by',
    unit: '% than this product’s unused oil',
    reason: 'Three per cent of solvent thin an oil by a quarter, and lower its flash point.',
  },
  thickerPercent: {
    label: 'Thicker by',
    unit: '% than this product’s unused oil',
    reason: 'Resin, varnish, or oil that ran too hot.',
  },
  labWaterPpm: {
    label: 'Water by lab of',
    unit: 'ppm, any oil',
    reason: 'For an oil with numbers of its own: for esters, PAG and other synthetics there is no default.',
  },
  labWaterPpmDetergent: {
    label: 'Water by lab of',
    unit: 'ppm, detergent oil',
    reason: 'It holds water up, so more of it is as it should be.',
  },
  ironPpm: {
    label: 'Iron of',
    unit: 'ppm above the unused oil',
    reason: 'Wear and rust. A spectrometer misses the coarse particles, so little counts already.',
  },
  ironTimesUsual: {
    label: 'Iron per 100 h over',
    unit: 'times the median of earlier charges',
    reason: 'A pump is held against itself, from three earlier charges and 20 h on.',
  },
  wearIronPpm: {
    label: 'Wear: iron of',
    unit: 'ppm above the unused oil',
    reason: 'Change and inspect. The finding outlives the change, until the vanes were looked at.',
  },
  acidRise: {
    label: 'Acid number up by',
    unit: 'mg KOH/g above the unused oil',
    reason: 'Oxidised oil, or acids of the product. Detergent oils are judged by their base number.',
  },
  baseLostPercent: {
    label: 'Base number down by over',
    unit: '% of the unused oil’s, detergent oil',
    reason: 'What neutralises acid is used up.',
  },
};

export const SIGN_WORDS: Readonly<Record<SignId, Omit<LimitWords, 'unit'>>> = {
  'clarity.hazy': { label: 'Hazy, settled', reason: 'Air has cleared by then: what is left is water or mixed oil.' },
  'clarity.cloudy': { label: 'Cloudy, settled', reason: 'More water than the oil can let drop.' },
  'clarity.opaque': { label: 'Opaque, settled', reason: 'More water than the oil can let drop.' },
  'running.opaque': { label: 'Opaque while running', reason: 'The pump is being lubricated with an emulsion.' },
  'running.cream': { label: 'Cream throughout, running', reason: 'Drain it: a purge would only stir it.' },
  'detergent.cloudy': { label: 'Cloudy, detergent oil', reason: 'It holds water up; haze alone is as it should be.' },
  'detergent.opaque': { label: 'Opaque, detergent oil', reason: 'More than it can hold up.' },
  'detergent.freeWater': {
    label: 'Free water, detergent oil',
    reason: 'An oil that holds water up drops it when it can hold no more.',
  },
  'purge.didNotClear': { label: 'A purge did not clear it', reason: 'What a warm hour on ballast leaves will stay.' },
  darkAgain: {
    label: 'Dark again in the first run',
    reason: 'Old deposits go into the new oil: the housing is dirty.',
  },
  'water.atPickUp': { label: 'Water at the oil pick-up', reason: 'The next start draws water into the vanes.' },
  'water.aboveMax': { label: 'Level above MAX from water', reason: 'Nothing was added: what rose is water.' },
  'particles.few': { label: 'Few particles', reason: 'A first sign, or the product.' },
  'particles.many': { label: 'Many particles', reason: 'They wear vanes and seals.' },
  'particles.rustRed': { label: 'Rust-red', reason: 'Acid moisture has been at the iron.' },
  'particles.growth': { label: 'Growth: a skin, fluff', reason: 'It feeds on fines and water, and spreads.' },
  'particles.glitter': { label: 'Glitter', reason: 'Metal: a bearing, a vane or the rotor.' },
  'particles.glitterRunningIn': {
    label: 'Glitter in the first 100 h',
    reason: 'A new or overhauled pump sheds some: look, try a magnet, change.',
  },
  'smell.rancid': { label: 'Rancid', reason: 'Fat of the product is turning in the oil.' },
  'smell.sour': { label: 'Sour or fermented', reason: 'Acid, or something grows.' },
  'smell.burnt': { label: 'Burnt', reason: 'The oil was overheated.' },
  'smell.fishy': { label: 'Fishy', reason: 'Amines: gloves, and no reuse.' },
  'smell.ammonia': { label: 'Ammonia', reason: 'Amine hardener: gloves, and no reuse.' },
  'smell.solvent': { label: 'Solvent', reason: 'Thin oil, and vapour that burns.' },
  'foam.stays': { label: 'Foam that stays', reason: 'Wrong or mixed oil?' },
  'foam.withHaze': { label: 'Foam and haze after another product', reason: 'The two oils do not agree.' },
  'labWater.overSaturation20': {
    label: 'Water by lab over saturation at 20 °C, mineral oil',
    reason: 'About 53 ppm: what is above drops out when the oil cools.',
  },
  'labWater.overSaturationRunning': {
    label: 'Water by lab over saturation at running temperature, mineral oil',
    reason: 'About 357 ppm at 70 °C: there is free water while the pump runs.',
  },
  'wear.confirmed': {
    label: 'Wear, and noise, glitter or a poor blank-off',
    reason: 'The lab and the pump say the same.',
  },
};
