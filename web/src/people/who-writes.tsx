import type { DoorAnswer, SharedTablet } from '@winter-jar/contracts';
import { useState } from 'react';
import { useDoorQuery, useWriteAsMutation } from '../api/house-api.js';
import { Button } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { wrongAt } from '../words/problem-words.js';
import { WrongAsAWhole } from './at-the-door.js';

/** Whoever steps away is forgotten by the server; a look asks no earlier. */
const ASKED_EVERY_MS = 30_000;

/** On a tablet that everybody of a site shares: who writes, by a tap and where it is set by a PIN. */
export default function WhoWrites({ tablet, who }: { tablet: SharedTablet; who: DoorAnswer['who'] }) {
  useDoorQuery(undefined, { pollingInterval: ASKED_EVERY_MS, skip: who === null });
  const [say, { error, isLoading, reset }] = useWriteAsMutation();
  const [asked, setAsked] = useState<SharedTablet['people'][number] | null>(null);
  const choose = (person: SharedTablet['people'][number]) => {
    reset();
    if (person.hasPin) setAsked(person);
    else void say({ personId: person.personId });
  };
  return (
    <div
      className={`flex items-center gap-3 border-b-2 ${who === null ? 'flex-wrap' : 'justify-between'} border-ink bg-sheet px-4 py-2 wide:px-5`}
    >
      {who !== null ? (
        <>
          <p>
            <span className="font-semibold">{who.name}</span> writes here, for {tablet.siteName}.
          </p>
          <Button size="field" className="shrink-0" disabled={isLoading} onClick={() => void say({ personId: null })}>
            Somebody else
          </Button>
        </>
      ) : asked !== null ? (
        <Pin
          of={asked.name}
          error={error}
          busy={isLoading}
          back={() => {
            reset();
            setAsked(null);
          }}
          send={(pin) =>
            void say({ personId: asked.personId, pin }).then((answer) => {
              if (!('error' in answer)) setAsked(null);
            })
          }
        />
      ) : (
        <>
          <p className="font-semibold">Who writes here, at {tablet.siteName}?</p>
          <div role="group" aria-label="Who writes here" className="flex flex-wrap gap-3">
            {tablet.people.map((person) => (
              <Button size="field" key={person.personId} disabled={isLoading} onClick={() => choose(person)}>
                {person.name}
              </Button>
            ))}
          </div>
          {tablet.people.length === 0 && <p>Nobody who may write of this site can sign in yet: an owner says who.</p>}
          <WrongAsAWhole error={error} />
        </>
      )}
    </div>
  );
}

function Pin({
  of,
  error,
  busy,
  back,
  send,
}: {
  of: string;
  error: unknown;
  busy: boolean;
  back: () => void;
  send: (pin: string) => void;
}) {
  const [pin, setPin] = useState('');
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        send(pin);
        setPin('');
      }}
    >
      <TextField
        label={`PIN of ${of}`}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        value={pin}
        onText={setPin}
        error={wrongAt('pin', error)}
      />
      <Button type="submit" look="solid" size="field" disabled={busy || pin === ''}>
        It is me
      </Button>
      <Button size="field" onClick={back}>
        Back
      </Button>
      <WrongAsAWhole error={error} fields={['pin']} />
    </form>
  );
}
