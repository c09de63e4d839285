import { useState } from 'react';
import { useDoorQuery, useSignInMutation } from '../api/house-api.js';
import { Button, LinkButton } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { Loading } from '../ui/page-state.js';
import { AtTheDoor, comeIn, NotHere, useSending, WrongAsAWhole } from './at-the-door.js';

/** In the place of every page, until somebody has signed in; then the page that was wanted. */
export default function SignInPage() {
  const { data: door } = useDoorQuery();
  if (!door) return <Loading what="the door" />;
  if (door.state === 'unclaimed') return <Unclaimed />;
  return <SignIn passwordsHere={door.passwordsHere} />;
}

function Unclaimed() {
  return (
    <AtTheDoor title="Whose is this house?">
      <p>
        Nobody has an account here yet. The first owner’s code stands in the terminal of the machine that runs Winter
        Jar, with an address to open or to scan.
      </p>
      <LinkButton look="solid" size="field" to="/code" className="justify-center">
        Type the code
      </LinkButton>
    </AtTheDoor>
  );
}

function SignIn({ passwordsHere }: { passwordsHere: boolean }) {
  const [signIn, { error }] = useSignInMutation();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const { busy, onSubmit } = useSending(async () => {
    const answer = await signIn({ name, password });
    if ('error' in answer) return false;
    comeIn();
    return true;
  });
  const isWrong = (error as { status?: unknown } | undefined)?.status === 401;
  return (
    <AtTheDoor title="Sign in">
      {passwordsHere ? (
        <form onSubmit={onSubmit} className="flex flex-col gap-5">
          <TextField label="Your name" value={name} onText={setName} autoComplete="username" />
          <TextField
            label="Password"
            type="password"
            value={password}
            onText={setPassword}
            autoComplete="current-password"
          />
          {isWrong ? (
            <p role="alert" className="font-semibold text-stop">
              This name and this password do not belong together here.
            </p>
          ) : (
            <WrongAsAWhole error={error} />
          )}
          <Button type="submit" look="solid" size="field" disabled={busy} className="justify-center">
            Sign in
          </Button>
        </form>
      ) : (
        <NotHere />
      )}
      {passwordsHere && (
        <LinkButton to="/code" size="field" className="justify-center">
          I have a code
        </LinkButton>
      )}
      <p className="text-[15px] text-ink-2">
        A code pairs this device, or lets you choose a password. An owner gives it, for a forgotten password too; on the
        machine itself <span className="figure">npm run person</span> does.
      </p>
    </AtTheDoor>
  );
}
