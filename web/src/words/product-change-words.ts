import type { WayReason } from '@winter-jar/core';

/** Why another oil may follow the one that is in, or not. */
export const WAY_WORDS: Readonly<Record<WayReason, string>> = {
  alike: 'Same base, and the same way with water: drain and fill.',
  otherWithWater: 'One holds water in suspension, the other lets it settle: flush, or wash the housing.',
  otherBase: 'Another base: flush, or wash the housing.',
  doNotMix: 'PFPE and hydrocarbon do not mix: wash the housing, or flush until nothing of the old is left.',
  unknownOil: 'Nobody has said what one of them is: ask, and say it in the set-up first.',
  oxygen:
    'Oxygen is pumped here: a trace of hydrocarbon can ignite. Never by flushing: full strip and solvent clean by a specialist.',
  notFood: 'This oil is not registered for food contact (H1), and the service is food.',
};
