import type { PumpPage } from '@winter-jar/contracts';
import type { JobMovedBody, JobState } from '@winter-jar/core';
import { useState } from 'react';
import { Button } from '../ui/button.js';
import { SelectField } from '../ui/select-field.js';
import { Tick } from '../ui/tick.js';
import { personName } from '../words/person-words.js';

/** Who goes on, and that no moment is without a lock: the next one hangs before the first comes off. */
export function HandOver({
  page,
  job,
  onDone,
  onLeave,
}: {
  page: PumpPage;
  job: JobState;
  onDone: (body: JobMovedBody) => void;
  onLeave: () => void;
}) {
  const { house } = page.setUp;
  const [to, setTo] = useState('');
  const [isHung, setHung] = useState(false);
  const [isTried, setTried] = useState(false);
  const people = Object.entries(house.person).filter(([id]) => id !== job.who);
  const first = personName(job.who, house) ?? 'whoever was at it';
  return (
    <section aria-label="Hand over" className="flex flex-col gap-4 border-l-4 border-ink bg-sheet p-4">
      <SelectField
        label="Who goes on"
        value={to}
        onChange={setTo}
        options={people.map(([value, { name }]) => ({ value, words: name }))}
        error={isTried && to === '' ? 'Say who goes on.' : undefined}
      />
      <div>
        <Tick label={`The next lock hung before that of ${first} came off`} ticked={isHung} onTick={setHung} />
        {isTried && !isHung && (
          <p role="alert" className="text-[14px] font-semibold text-stop">
            Hang the next lock first: at no moment may it be without one.
          </p>
        )}
      </div>
      <div className="flex flex-wrap gap-3">
        <Button
          size="field"
          look="solid"
          onClick={() => {
            setTried(true);
            if (to !== '' && isHung) onDone({ how: 'handedOver', to, locksChanged: true });
          }}
        >
          Hand it over
        </Button>
        <Button size="field" onClick={onLeave}>
          Not now
        </Button>
      </div>
    </section>
  );
}
