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
};

export const SIGN_WORDS: Readonly<Record<SignId, Omit<LimitWords, 'unit'>>> = {
  'clarity.hazy': { label: 'Hazy, settled', reason: 'Air has cleared by then: what is left is water or mixed oil.' },
  'clarity.cloudy': { label: 'Cloudy, settled', reason: 'More water than the oil can let drop.' },
  'clarity.opaque': { label: 'Opaque, settled', reason: 'More water than the oil can let drop.' },
  'running.opaque': { label: 'Opaque while running', reason: 'The pump is being lubricated with an emulsion.' },
  'running.cream': { label: 'Cream throughout, running', reason: 'Drain it: a purge would only stir it.' },
  'detergent.cloudy': { label: 'Cloudy, detergent oil', reason: 'It holds water up; haze alone is as it should be.' },
  'detergent.opaque': { label: 'Opaque, detergent oil', reason: 'More than it can hold up.' },
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
};
