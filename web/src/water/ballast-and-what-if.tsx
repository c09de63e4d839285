import type { PumpPage } from '@winter-jar/contracts';
import type { Words } from '../words/words.js';
import { BallastPanel } from './ballast-panel.js';
import { WhatIfPanel } from './what-if-panel.js';

/** What the gas ballast can do, and the next run otherwise than the last. */
export function BallastAndWhatIf({ page, words }: { page: PumpPage; words: Words }) {
  return (
    <div className="grid gap-x-8 gap-y-4 wide:grid-cols-2">
      <BallastPanel page={page} words={words} />
      <WhatIfPanel page={page} words={words} />
    </div>
  );
}
