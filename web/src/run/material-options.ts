import type { HouseSetUp } from '@winter-jar/core';
import { PROCESS_WORDS } from '../words/process-words.js';
import { NOT_TOLD } from './run-form.js';
import type { Option } from '../ui/select-field.js';

/** All materials of the house, under their processes, and that nobody knows. */
export const materialOptions = ({ material }: Pick<HouseSetUp, 'material'>): Option[] => [
  { value: NOT_TOLD, words: 'don’t know yet' },
  ...Object.entries(PROCESS_WORDS).flatMap(([process, group]) =>
    Object.entries(material)
      .filter(([, m]) => m.process === process)
      .map(([value, m]) => ({ value, words: m.name, group })),
  ),
];
