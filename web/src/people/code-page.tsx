import { SHORTEST_PASSWORD, type CodeAnswer } from '@winter-jar/contracts';
import { useEffect, useRef, useState } from 'react';
import {
  useClaimMutation,
  useDoorQuery,
  useLookAtCodeMutation,
  usePairDeviceMutation,
  useSetPasswordMutation,
} from '../api/house-api.js';
import { Button } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { Loading } from '../ui/page-state.js';
import { wrongAt } from '../words/problem-words.js';
import { AtTheDoor, comeIn, NotHere, useSending, WrongAsAWhole } from './at-the-door.js';

/** A one-time code is used: scanned with the address, where it stands behind the `#`, or typed. */
export function CodePage() {
  const { data: door } = useDoorQuery();
  const [code, setCode] = useState(() => window.location.hash.slice(1));
  const [look, { data: is, error, isLoading }] = useLookAtCodeMutation();
  const wasScanned = useRef(code !== '');
  useEffect(() => {
    // Out of the address bar, and out of what the browser remembers of it.
    if (window.location.hash) window.history.replaceState(window.history.state, '', window.location.pathname);
    if (wasScanned.current) void look({ code });
    wasScanned.current = false;
  }, [look, code]);
  if (!door) return <Loading what="the door" />;
  if (!door.passwordsHere)
    return (
      <AtTheDoor title="A code">
        <NotHere />
      </AtTheDoor>
    );
  if (is) return <Used is={is} code={code} />;
  return (
    <AtTheDoor title="A code">
      <form
        className="flex flex-col gap-5"
        onSubmit={(event) => {
          event.preventDefault();
          void look({ code });
        }}
      >
        <TextField
          label="The eight letters and figures"
          value={code}
          onText={setCode}
          autoComplete="one-time-code"
          error={wrongAt('code', error)}
          hint="It is used once, and runs out."
        />
        <WrongAsAWhole error={error} fields={['code']} />
        <Button type="submit" look="solid" size="field" disabled={isLoading || code === ''} className="justify-center">
          Go on
        </Button>
      </form>
    </AtTheDoor>
  );
}

function Used({ is, code }: { is: CodeAnswer; code: string }) {
  if (is.purpose === 'claim') return <Claim code={code} />;
  if (is.purpose === 'password') return <NewPassword name={is.name ?? ''} code={code} />;
  return <Pair name={is.name ?? ''} code={code} isTablet={is.purpose === 'tablet'} />;
}

function Claim({ code }: { code: string }) {
  return (
    <AtTheDoor title="The first owner">
      <ClaimForm code={code} />
    </AtTheDoor>
  );
}

/** The first owner. @param code null on the machine itself, where none is asked for */
export function ClaimForm({ code }: { code: string | null }) {
  const [claim, { error }] = useClaimMutation();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const { busy, onSubmit } = useSending(async () => {
    const answer = await claim({ code, name, password });
    if ('error' in answer) return false;
    comeIn('/people');
    return true;
  });
  return (
    <>
      <p>
        An owner may do everything, and says what others may. From now on whoever comes to this house signs in, on this
        machine too.
      </p>
      <form onSubmit={onSubmit} className="flex flex-col gap-5">
        <TextField
          label="Your name"
          value={name}
          onText={setName}
          autoComplete="username"
          hint="As your entries bear it. You sign in with it."
          error={wrongAt('name', error)}
        />
        <ChosenPassword value={password} onText={setPassword} error={wrongAt('password', error)} />
        <WrongAsAWhole error={error} fields={['name', 'password']} />
        <Button type="submit" look="solid" size="field" disabled={busy} className="justify-center">
          This house is mine
        </Button>
      </form>
    </>
  );
}

function NewPassword({ name, code }: { name: string; code: string }) {
  const [set, { error }] = useSetPasswordMutation();
  const [password, setPassword] = useState('');
  const { busy, onSubmit } = useSending(async () => {
    const answer = await set({ code, password });
    if ('error' in answer) return false;
    comeIn('/');
    return true;
  });
  return (
    <AtTheDoor title={`A password for ${name}`}>
      <form onSubmit={onSubmit} className="flex flex-col gap-5">
        <input type="text" name="username" autoComplete="username" value={name} readOnly hidden />
        <ChosenPassword value={password} onText={setPassword} error={wrongAt('password', error)} />
        <WrongAsAWhole error={error} fields={['password']} />
        <Button type="submit" look="solid" size="field" disabled={busy} className="justify-center">
          Keep it and come in
        </Button>
      </form>
    </AtTheDoor>
  );
}

/** @param name whose it becomes, or of which site */
function Pair({ name, code, isTablet }: { name: string; code: string; isTablet: boolean }) {
  const [pair, { error }] = usePairDeviceMutation();
  const [device, setDevice] = useState('');
  const { busy, onSubmit } = useSending(async () => {
    const answer = await pair({ code, device });
    if ('error' in answer) return false;
    comeIn('/');
    return true;
  });
  return (
    <AtTheDoor title={isTablet ? `A tablet of ${name}` : `This device for ${name}`}>
      <p>
        {isTablet
          ? `From now on it shows ${name} and asks who writes, until it is taken off the list at the desk.`
          : `From now on whoever holds this device writes as ${name}, until it is taken off the list at the desk.`}
      </p>
      <form onSubmit={onSubmit} className="flex flex-col gap-5">
        <TextField
          label="What is this device called?"
          value={device}
          onText={setDevice}
          hint={`So that it is found in the list: “${isTablet ? 'tablet by the door' : 'phone with the blue case'}”.`}
          error={wrongAt('device', error)}
        />
        <WrongAsAWhole error={error} fields={['device']} />
        <Button type="submit" look="solid" size="field" disabled={busy} className="justify-center">
          {isTablet ? 'It hangs there for all' : `It is ${name}’s`}
        </Button>
      </form>
    </AtTheDoor>
  );
}

export function ChosenPassword({
  label = 'A password',
  value,
  onText,
  error,
}: {
  label?: string;
  value: string;
  onText: (text: string) => void;
  error: string | undefined;
}) {
  return (
    <TextField
      label={label}
      type="password"
      value={value}
      onText={onText}
      autoComplete="new-password"
      hint={`At least ${SHORTEST_PASSWORD} characters; three or four words that do not belong together are good.`}
      error={error}
    />
  );
}
