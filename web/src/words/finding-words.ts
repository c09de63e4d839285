import { capital, number } from '../ui/number.js';
import { dayWords } from './dates.js';
import type { Print } from '../device/use-print.js';
import type { Sentence, Words } from './words.js';
import { WEAR_SIGN_WORDS } from './lab-words.js';
import { CLARITY_WORDS, OIL_WENT_WORDS, PARTICLE_KIND_WORDS, SMELL_WORDS } from './look-words.js';
import type { Finding, FindingCode } from '@winter-jar/core';

type FoundOf<C extends FindingCode> = Extract<Finding, { readonly code: C }>;

const ml = (print: Print, ul: number) => print.volume(ul / 1000);
const percent = (share: number) => `${number(share * 100, 1)}\u00a0%`;

const LEVEL_FOUND = {
  none: { found: 'No oil in the glass', answer: 'Find out where it went, fill it up, and say it.' },
  low: { found: 'Level below MIN', answer: 'Top up to the mark.' },
  hair: { found: 'Level a hair outside the marks', answer: 'Read it again at the same temperature.' },
  high: { found: 'Level above MAX', answer: 'Drain to the mark.' },
  notTold: { found: 'Filled, and the level not read since', answer: 'Read it before the next run.' },
} as const;

const SMELL_SAYS: Readonly<Record<FoundOf<'smell'>['smell'], string>> = {
  rancid: 'Fat or oil of the product has got into it and is turning.',
  sour: 'Acid or growth in the oil: change it, and do not use it again.',
  burnt: 'The oil was overheated: change it, and find out why it ran hot.',
  fishy: 'Amines in the oil: change it with gloves on, and do not use it again.',
  ammonia: 'Amine hardener in the oil: change it with gloves on, and do not use it again.',
  solvent: 'Thin oil and flammable vapour: keep sparks away, never purge with air. Drain it cold by your site’s rules.',
};

const GONE: { readonly [C in FindingCode]?: string } = {
  water: 'too much water',
  waterAboveExpected: 'more water than expected',
  cream: 'cream',
  clarity: 'haze',
  colour: 'too dark an oil',
  sludge: 'sludge',
  particles: 'too many particles',
  smell: 'a bad smell',
  foam: 'foam',
  viscosity: 'a viscosity far from new',
  labWater: 'too much water by lab',
  iron: 'too much iron',
  ironRate: 'more iron than usual',
  silicon: 'more silicon than usual',
  particleCode: 'more particles than usual',
  acid: 'too high an acid number',
  base: 'too low a base number',
};

/** After a bleed or a purge. */
const LOOK_AT_THE_REST = 'It was bled or purged since: look at what is left.';

/** What a look found, in the person's units and days. The compiler checks that no code is forgotten. */
export const FINDING_WORDS: { readonly [C in FindingCode]: (found: FoundOf<C>, words: Words) => Sentence } = {
  water: (r, { print, zone, now }) => {
    const share = percent(r.foundUl / r.chargeUl);
    const answer =
      r.act === 'look' && r.drainedAt
        ? LOOK_AT_THE_REST
        : r.act === 'purge' && r.by === 'cream'
          ? 'Half of the cream counts as water: purge, and change if it does not clear.'
          : r.act === 'purge'
            ? 'It floats on this oil: skim it, purge, then look again.'
            : r.act === 'bleed'
              ? 'Bleed or purge, then look again.'
              : 'Change the oil, or bleed and purge until a settled look is clear.';
    const at = dayWords(r.at, zone, now);
    if (r.by === 'heldUp')
      return {
        short: `Free water under a detergent oil: ${ml(print, r.foundUl)}`,
        full: `${ml(print, r.foundUl)} of free water under an oil that holds water up (${at}): it can hold no more. Change it.`,
      };
    if (r.by === 'amount')
      return {
        short: `Free water: ${ml(print, r.foundUl)}`,
        full: `${ml(print, r.foundUl)} of free water at once (${at}), ${share} of the charge; so much is near the pick-up from ${ml(print, r.limitShare * r.chargeUl)} on. ${answer}`,
      };
    if (r.by === 'drawn')
      return {
        short: `Drawn at once: ${ml(print, r.foundUl)} of water`,
        full: `${ml(print, r.foundUl)} of water drawn at once (${at}), ${share} of the charge. It is out of the oil: look at what is left before the next run, and find out where so much comes from.`,
      };
    return {
      short: `Water: ${ml(print, r.foundUl)}, ${share} of the charge`,
      full: `${ml(print, r.foundUl)} of water in the oil (${at}): ${share} of the charge, the limit is ${percent(r.limitShare)}. ${answer}`,
    };
  },
  waterAboveExpected: (r, { print, zone, now }) => ({
    short: `${ml(print, r.foundUl - r.expectedUl)} more water than expected`,
    full: `${ml(print, r.foundUl)} of water found${r.sinceAnswer ? ' since its last clear look' : ''} where ${ml(print, r.expectedUl)} are expected (${dayWords(r.at, zone, now)}); the limit is ${number(r.limitTimes, 1)} times as much. Find out where it comes from.`,
  }),
  waterAtPickUp: (r, { zone, now }) => ({
    short: 'Water at the oil pick-up',
    full: `Water stands at the oil pick-up (${dayWords(r.at, zone, now)}): the pump would draw it in. Drain it, and change the oil.`,
  }),
  levelFromWater: (r, { print, zone, now }) => ({
    short: 'Level above MAX from water',
    full: `The level rose above MAX with nothing added, and ${ml(print, r.foundUl)} of water were found (${dayWords(r.at, zone, now)}). Drain the oil and change it.`,
  }),
  cream: (r, { print, zone, now }) => ({
    short: `Cream: ${ml(print, r.creamUl)}${r.afterPurge ? ' after a purge' : ''}`,
    full: `${ml(print, r.creamUl)} of cream (${dayWords(r.at, zone, now)}): ${percent(r.creamUl / r.chargeUl)} of the charge. ${
      r.afterPurge
        ? 'A purge did not clear it: change the oil.'
        : r.act === 'look' && r.drainedAt
          ? LOOK_AT_THE_REST
          : r.act === 'purge'
            ? 'It is water that does not separate: purge, and change if it does not clear.'
            : r.act === 'change'
              ? 'Drain it cold, and change it.'
              : r.level === 'beforeNextRun'
                ? 'It may be air: let the jar stand half an hour at 40 °C or warmer, and look again before anything is started.'
                : 'Let it stand its time and look again.'
    }`,
  }),
  creamThroughout: (r, { zone, now }) => ({
    short: 'Running oil is cream throughout',
    full: `The running oil was cream throughout (${dayWords(r.at, zone, now)}). Drain it, do not purge.`,
  }),
  clarity: (r, { zone, now }) => {
    const when = r.running ? 'while running' : `after ${number(r.hoursStood, 1)} h standing`;
    const seen = CLARITY_WORDS[r.clarity];
    return {
      short: r.running ? `Running oil ${seen}` : `Oil ${seen} ${when}`,
      full: `The oil was ${seen} ${when} (look ${dayWords(r.at, zone, now)}).${
        r.level === 'stop' ? ' Drain it, do not purge.' : r.afterPurge ? ' A purge did not clear it.' : ''
      }`,
    };
  },
  colour: (r, { zone, now }) => ({
    short: `Colour ${number(r.colour, 1)}, up ${number(r.colour - r.startColour, 1)} on this charge`,
    full: `Colour ${number(r.colour, 1)} on ASTM D1500 (${dayWords(r.at, zone, now)}), ${number(r.colour - r.startColour, 1)} above this charge’s start; the limit is ${number(r.limitRise, 1)}.`,
  }),
  darkAgain: (r, { zone, now }) => ({
    short: `Dark again: colour ${number(r.colour, 1)} within the first run`,
    full: `Colour ${number(r.colour, 1)} on ASTM D1500 within the first run after a change (${dayWords(r.at, zone, now)}), ${number(r.colour - r.startColour, 1)} above its start: the housing is dirty. Flush it or clean the housing, not just a change.`,
  }),
  sludge: (r, { print, zone, now }) => ({
    short: `Sludge: ${ml(print, r.sludgeUl)}, ${percent(r.sludgeUl / r.chargeUl)} of the charge`,
    full: `${ml(print, r.sludgeUl)} of sludge (${dayWords(r.at, zone, now)}): ${percent(r.sludgeUl / r.chargeUl)} of the charge. ${
      { stop: 'Wash the housing first.', beforeNextRun: 'Flush with the change.', lookSooner: 'A trace: watch it.' }[
        r.level
      ]
    }`,
  }),
  particles: (r, { zone, now }) => {
    const kinds = r.kinds.map((k) => PARTICLE_KIND_WORDS[k]).join(', ');
    const what = kinds ? `${r.amount} particles, ${kinds}` : `${r.amount} particles`;
    const answer =
      r.answeredBy === 'washAndChange'
        ? ' It feeds on what clings to the housing: wash it, gloves on, fill it anew, and do not use the oil again.'
        : r.level === 'stop'
          ? ' Metal: do not start it. Look with a magnet and find where it comes from.'
          : r.runningIn
            ? ' A pump that is being run in: look with a magnet, then change.'
            : r.level === 'beforeNextRun'
              ? ' Change the oil.'
              : '';
    return {
      short: capital(what),
      full: `${capital(what)} (${dayWords(r.at, zone, now)}).${answer}`,
    };
  },
  smell: (r, { zone, now }) => ({
    short: `Smell: ${SMELL_WORDS[r.smell]}`,
    full: `The oil smelt ${r.smell === 'solvent' || r.smell === 'ammonia' ? 'of ' : ''}${SMELL_WORDS[r.smell]} (${dayWords(r.at, zone, now)}). ${r.answeredBy === 'stripAndChange' ? 'PFPE that was overheated leaves hydrogen fluoride: ventilate, touch nothing, and let a specialist strip and clean it.' : SMELL_SAYS[r.smell]}`,
  }),
  foam: (r, { zone, now }) => ({
    short: r.withHaze ? 'Foam and haze after another product' : 'Foam that stays',
    full: `Foam that stays${r.withHaze ? ', with haze, after another product was filled' : ''} (${dayWords(r.at, zone, now)}). ${r.withHaze ? 'The oils do not agree: flush.' : 'Wrong or mixed oil?'}`,
  }),
  level: (r, { zone, now }) => {
    const { found, answer } = LEVEL_FOUND[r.found];
    if (r.filled)
      return {
        short: 'Filled up, and nobody said where the oil went',
        full: `No oil stood in the glass (${dayWords(r.at, zone, now)}). It is filled up again, and nobody said where the oil went: by a leak, out of the exhaust, or back up the hose. It may go again.`,
      };
    const water = r.found === 'high' && r.nothingAdded ? ' Nothing was added: look for water first.' : '';
    return { short: found, full: `${found} (${dayWords(r.at, zone, now)}).${water} ${answer}` };
  },
  oilLost: (r, { zone, now }) => ({
    short: `Oil had gone ${OIL_WENT_WORDS[r.where]}`,
    full: `No oil stood in the glass: it had gone ${OIL_WENT_WORDS[r.where]} (said ${dayWords(r.at, zone, now)}). Look at the level again after the next run.`,
  }),
  thrownOil: (r, { zone, now }) => ({
    short: 'Oil thrown from the exhaust',
    full: `Oil came out of the exhaust after the first minutes of pump-down (${dayWords(r.at, zone, now)}). Do not start it: too much oil, a blocked exhaust filter or a torn one.`,
  }),
  viscosity: (r, { zone, now }) => {
    const by = `${number(Math.abs(r.foundMm2s / r.freshMm2s - 1) * 100)}\u00a0% ${r.thinner ? 'thinner' : 'thicker'} than new`;
    const answer = r.thinner
      ? r.level === 'stop'
        ? 'Three per cent of solvent do that, and lower the flash point: keep sparks away, never purge with air, drain it cold by your site’s rules.'
        : 'Solvent, or a thinner oil filled up? Never purge it with air until you know.'
      : 'Resin, varnish or overheated oil.';
    return {
      short: `Oil ${by}`,
      full: `By lab the oil is ${by}: ${number(r.foundMm2s, 1)} against ${number(r.freshMm2s, 1)}\u00a0mm²/s at 40\u00a0°C (sample ${dayWords(r.at, zone, now)}); the limit is ${number(r.limitPercent)}\u00a0%. ${answer}`,
    };
  },
  labWater: (r, { print, zone, now }) => ({
    short: `Water by lab: ${number(r.foundPpm)}\u00a0ppm`,
    full: `${number(r.foundPpm)}\u00a0ppm of water by lab (sample ${dayWords(r.at, zone, now)}); ${
      r.saturatedAtC === null
        ? `the limit is ${number(r.limitPpm)}\u00a0ppm`
        : `at ${print.temperature(r.saturatedAtC)} this oil holds ${number(r.limitPpm)}\u00a0ppm dissolved, the rest drops out`
    }. ${{ bleed: 'Bleed it, then look.', purge: 'Purge it, then look; change it if it does not clear.', change: 'Change it: with solvent in it, it must not be purged with air.' }[r.act as string] ?? 'Look at it again.'}`,
  }),
  iron: (r, { zone, now }) => ({
    short: `Iron: ${number(r.abovePpm)}\u00a0ppm above new`,
    full: `${number(r.abovePpm)}\u00a0ppm of iron above the unused oil (sample ${dayWords(r.at, zone, now)}); the limit is ${number(r.limitPpm)}\u00a0ppm. ${r.level === 'lookSooner' ? 'Draw the next sample sooner.' : 'Change the oil.'}`,
  }),
  silicon: (r, { zone, now }) => ({
    short: `Silicon: ${number(r.foundPpm)}\u00a0ppm`,
    full: `${number(r.foundPpm)}\u00a0ppm of silicon, where earlier charges had ${number(r.usualPpm)} (sample ${dayWords(r.at, zone, now)}). ${r.withAluminium ? 'With aluminium it is dust: see where air comes in.' : 'Alone it may be silicone, of release agent, sealant or antifoam.'}`,
  }),
  particleCode: (r, { zone, now }) => ({
    short: `Particles ${r.found}`,
    full: `Particle code ${r.found}, ${number(r.classesUp, 1)} classes over earlier charges (sample ${dayWords(r.at, zone, now)}). A fatty run can do that, by what it loosens: draw the next sample sooner.`,
  }),
  ironRate: (r, { zone, now }) => ({
    short: `Iron rises ${number(r.per100h / r.usualPer100h, 1)} times as fast as usual`,
    full: `Iron rises by ${number(r.per100h, 1)}\u00a0ppm per 100\u00a0h, where earlier charges had ${number(r.usualPer100h, 1)} (sample ${dayWords(r.at, zone, now)}); the limit is ${number(r.limitTimes, 1)} times as much. Draw the next sample sooner.`,
  }),
  wear: (r, { zone, now }) => ({
    short: `Wear: ${number(r.abovePpm)}\u00a0ppm of iron`,
    full: `${number(r.abovePpm)}\u00a0ppm of iron above the unused oil (sample ${dayWords(r.at, zone, now)})${
      r.signs.length > 0 ? `, with ${r.signs.map((s) => WEAR_SIGN_WORDS[s]).join(' and ')}` : ''
    }: the pump is wearing. ${r.level === 'stop' ? 'Do not start it; inspect vanes and bearings.' : 'Change the oil, then inspect vanes and bearings.'}`,
  }),
  acid: (r, { zone, now }) => ({
    short: `Acid number ${number(r.foundMgKohG - r.freshMgKohG, 2)} above new`,
    full: `Acid number ${number(r.foundMgKohG, 2)} against ${number(r.freshMgKohG, 2)}\u00a0mg KOH/g when new (sample ${dayWords(r.at, zone, now)}); the limit is ${number(r.limitRise, 2)} above. ${r.level === 'lookSooner' ? 'Draw the next sample sooner.' : 'Change the oil.'}`,
  }),
  base: (r, { zone, now }) => ({
    short: `Base number ${number((r.foundMgKohG / r.freshMgKohG) * 100)}\u00a0% of new`,
    full: `Base number ${number(r.foundMgKohG, 1)} of ${number(r.freshMgKohG, 1)}\u00a0mg KOH/g when new (sample ${dayWords(r.at, zone, now)}): what neutralises acid is used up. ${r.level === 'lookSooner' ? 'Draw the next sample sooner.' : 'Change the oil.'}`,
  }),
  otherProduct: (r) => ({
    short: 'Another oil product was filled',
    full:
      r.answeredBy === 'washAndChange'
        ? 'PFPE and another oil came together: they do not mix, and the PFPE lies at the pick-up. Wash the housing, and fill it anew.'
        : 'Another oil product was filled than before: flush, and fit a new filter. Mixed oil foams and goes hazy.',
  }),
  unknownAge: (r, { zone, now }) => ({
    short: r.changedKnown ? 'Oil of unknown use' : 'Oil of unknown age',
    full: `${
      r.changedKnown ? 'Nobody knows how many runs this oil has seen' : 'Nobody knows when this oil was changed'
    } (taken over ${dayWords(r.at, zone, now)}). Its limits count from the take-over. A change ends this, a report of the laboratory, or a look at its colour and clarity once it has settled.`,
  }),
  goneCharge: (r, { zone, now }) => ({
    short: `The last charge came out bad: ${GONE[r.cause] ?? 'see its jar'}`,
    full: `The jar of the charge that is gone showed ${GONE[r.cause] ?? 'something bad'} (${dayWords(r.at, zone, now)}). Look at the new oil soon, and find the cause.`,
  }),
};
