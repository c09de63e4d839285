// docs/service.md from the procedures in core.
const KINDS = { vane: 'vane pumps', booster: 'boosters', dry: 'dry pumps' };
const choice = ({ words, goTo, follow, ends }) =>
  `${words}${goTo ? ` (on at “${goTo}”)` : ''}${follow ? ` (${follow} follows)` : ends ? ' (ends)' : ''}`;

const conditionsBy =
  ({ CONDITION_WORDS }) =>
  (when) =>
    when?.length ? ` _(${when.map((c) => CONDITION_WORDS[c] ?? c).join(', ')})_` : '';

const step = (conditions) => (s) => {
  const asked = {
    do: '',
    wait: ` Wait ${s.until ? `until ${s.until}, ` : ''}about ${s.minutes} min.`,
    measure: ` Measured: ${s.label}.`,
    look: ' Read.',
    dirt: ` Read: ${s.label}.`,
    choose: ` Answers: ${s.choices?.map(choice).join(' · ')}.`,
  }[s.kind];
  return `1. ${s.words.replace('{amount}', '…')}${asked}${conditions(s.when)}`;
};

const visit = (riders, names) =>
  riders.length > 0 ? `In the same visit: ${riders.map((id) => names[id]).join('; ')}.\n\n` : '';

const procedure = (core) => {
  const { ridersOf, PROCEDURE_NAMES } = core;
  const conditions = conditionsBy(core);
  return ([id, p]) => `## ${p.letter}. ${p.name}

\`${id}\` · ${p.kinds.map((k) => KINDS[k]).join(', ')} · ${p.skill}${conditions(p.when)}

${visit(ridersOf(id), PROCEDURE_NAMES)}${p.atHand.length > 0 ? `At hand: ${p.atHand.join('; ')}.\n\n` : ''}${p.steps.map(step(conditions)).join('\n')}
`;
};

/** @param core what core exports */
export const servicePage = (core) => `<!-- Made by \`npm run knowledge\` from core/src/service. -->

# Procedures

What each piece of service is, step by step, as the guide leads through it and the job cards print it. Which steps apply at a pump follows from its model, its oil and its service; which cautions are printed before a step follows from what the step does and where ([trade.md](trade.md), cautions). The site’s rules, local codes, licensed practice and the maker’s manual come first.

${Object.entries(core.PROCEDURES).map(procedure(core)).join('\n')}`;
