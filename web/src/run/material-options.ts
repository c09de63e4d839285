import type { HouseSetUp } from '@winter-jar/core';
import { PROCESS_WORDS } from '../words/process-words.js';
import type { Option } from '../ui/select-field.js';

/** All materials of the house, under their processes. */
export const materialOptions = ({ material }: Pick<HouseSetUp, 'material'>): Option[] =>
  Object.entries(PROCESS_WORDS).flatMap(([process, group]) =>
    Object.entries(material)
      .filter(([, m]) => m.process === process)
      .map(([value, m]) => ({ value, words: m.name, group })),
  );
