import type { ServiceClass } from '@winter-jar/core';

/** Service classes as a technician names them. */
export const SERVICE_WORDS: Readonly<Record<ServiceClass, string>> = {
  oxygen: 'oxygen above 21 %',
  flammable: 'flammable or solvent',
  toxic: 'toxic or cytostatic',
  biological: 'biological',
  corrosive: 'corrosive or reactive',
  food: 'food',
};
