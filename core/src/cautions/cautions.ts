/**
 * What can hurt somebody, once and in one place (docs/trade.md 11): pages, cards, causes and tests cite these rows by their names.
 * Site rules, local codes, licensed practice and the maker's manual come before all of them.
 */
export const CAUTIONS = {
  stop: 'Do not start. If a load is under vacuum: close the chamber valve, booster off and run down, vent the pump side, then stop; finish the load on a spare pump. With the exhaust blocked, stop at once.',
  lockOut: 'Lock out and tag out before a cover comes off: a pump on automatic can start by itself.',
  standing: 'Only with the pump off, isolated and locked out: one on automatic can start by itself.',
  vent: 'Vent before a joint is opened: lines and boosters hold vacuum.',
  boosterVent: 'Vent the booster at its inlet until no more air rushes: it holds vacuum long after the pump.',
  hotOil: 'Hot oil and a hot housing burn: gloves, and let it cool to 60 °C before opening.',
  hotFilter: 'The oil filter is as hot as the oil, and full of it.',
  drainWarm: 'Drain warm (40–60 °C), not at running heat.',
  drainCold: 'Solvent may be in the oil: drain it cold, keep sparks away, ventilate, bond and earth metal cans.',
  noAir: 'Solvent may be in the oil: never purge or ballast with air. Nitrogen to a safe exhaust, or drain it cold.',
  nitrogen:
    'Nitrogen: from a regulator with relief at no more than 0.1 bar, never from a cylinder straight on the port; in a small room it suffocates, watch the oxygen.',
  capacitor: 'The capacitor holds charge; electrical work only by those who are trained for it.',
  supplyOff: 'Supply off before the plug is pulled.',
  exhaust: 'Oil mist and what is purged go outside or through a filter.',
  exhaustOpen: 'Never run with the exhaust capped, valved or iced up: the case can burst.',
  oxygen:
    'Oxygen above 21 %: hydrocarbon oil can explode. Only inert (PFPE) oil, in a pump made and cleaned for it; no trace of other oil or grease on hands and tools.',
  pfpeHeat:
    'Overheated PFPE and fluoro-rubber seals leave hydrogen fluoride: ventilate, do not touch, neoprene gloves, calcium gluconate at hand; no smoking with PFPE on the fingers.',
  residues: 'Residues in the oil may be toxic: gloves, eye protection, and hazardous waste.',
  biological:
    'Cultures or drugs may be in the oil: gloves, eye protection, no smelling, and the site’s way to make it harmless before it leaves.',
  corrosive: 'Acid or reactive dust may be in the oil: face shield, gloves for that acid, no reuse.',
  food: 'Food areas: only oil registered for incidental food contact (H1), and no glass jars on the line.',
  growth: 'Growth: gloves, do not breathe its mist, no reuse.',
  solventWork: 'Solvent: no flame, ventilate.',
  suspect: 'Never test a suspect that may give off solvent, acid or anything toxic without the site’s leave.',
  splashes: 'It splashes: goggles.',
  neverSolvent: 'Never with solvent in the oil.',
  furnace: 'Never the vent of a hot furnace.',
  boiling: 'Water of 20 °C boils at 23 hPa: never with the pump open to it.',
  heavy: 'Pumps are heavy: lift with help and by their eyes, never by a hose.',
  tilt: 'Never tilt a pump over 25 kg, or one that carries a booster, alone.',
  thickOil: 'Below 12 °C thick oil overloads the motor: warm the room, or use a lighter grade.',
  lever: 'Never lever on machined faces.',
  coldMetal: 'Cold metal sticks to wet skin.',
  rags: 'Oily rags and metal dust can heat by themselves: into a lidded metal bin.',
  waste: 'Used oil is regulated waste: never into drains or soil. Wipe up spills at once.',
} as const;
export type CautionId = keyof typeof CAUTIONS;

/** Cautions as they are read. */
export const cautionWords = (ids: readonly CautionId[]): string[] => ids.map((id) => CAUTIONS[id]);
