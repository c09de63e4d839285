import { useState } from 'react';
import {
  useEndOtherSessionsMutation,
  useOwnSessionsQuery,
  useSetUpQuery,
  useSetPasswordMutation,
  useSetPinMutation,
  useSignOutMutation,
} from '../api/house-api.js';
import { useDoor } from '../device/use-door.js';
import { Button } from '../ui/button.js';
import { TextField } from '../ui/field.js';
import { Empty, Loading } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { ROLE_MAY, ROLE_WORDS, sitesWords } from '../words/door-words.js';
import { wrongAt } from '../words/problem-words.js';
import { comeIn, useSending, WrongAsAWhole } from './at-the-door.js';
import { ChosenPassword } from './code-page.js';
import { CodeForThem } from './code-for-them.js';
import { SessionList } from './session-list.js';

/** What somebody does about their own sign-in. */
export function OwnSignInPage() {
  const door = useDoor();
  const { data } = useOwnSessionsQuery();
  const sites = useSetUpQuery().data?.house.site ?? {};
  const [signOut, leaving] = useSignOutMutation();
  const [endOthers, ending] = useEndOtherSessionsMutation();
  if (!door || !data) return <Loading what="your sign-in" />;
  const { who } = door;
  if (door.tablet)
    return (
      <main>
        <Empty title={`A tablet of ${door.tablet.siteName}`}>
          Everybody of the site writes here. Your devices, your password and your PIN are yours: see to them at a device
          of your own.
        </Empty>
      </main>
    );
  if (!who)
    return (
      <main>
        <Empty title="Nobody is signed in here">Whoever opens this browser may do everything.</Empty>
      </main>
    );
  return (
    <main className="mx-auto flex w-full max-w-[760px] flex-col gap-8 px-4 pb-10 pt-5">
      <PageTitle title="Your sign-in" />
      <div>
        <h1 className="text-[28px] wrap-anywhere">
          {who.name}, {ROLE_WORDS[who.role]}
        </h1>
        <p className="mt-1 max-w-[68ch]">{ROLE_MAY[who.role]}</p>
        {who.siteIds && <p className="mt-1 max-w-[68ch]">{sitesWords(who.siteIds, sites)}</p>}
        <Button
          className="mt-4"
          look="solid"
          disabled={leaving.isLoading}
          onClick={() => void signOut().then((answer) => 'error' in answer || comeIn('/'))}
        >
          Sign out here
        </Button>
      </div>
      <section className="flex flex-col gap-3">
        <h2 className="text-[20px]">Your devices</h2>
        <CodeForThem personId={who.personId} name={who.name} own />
        <SessionList title="Signed in at" sessions={data.sessions} />
        {data.sessions.length > 1 && (
          <div>
            <Button disabled={ending.isLoading} onClick={() => void endOthers()}>
              Sign out everywhere else
            </Button>
          </div>
        )}
      </section>
      {who.role !== 'reader' && <OwnPin hasPin={data.hasPin} />}
      {door.state === 'in' && <OtherPassword name={who.name} />}
    </main>
  );
}

function OwnPin({ hasPin }: { hasPin: boolean }) {
  const [set, { error, isLoading }] = useSetPinMutation();
  const [pin, setPin] = useState('');
  const { busy, onSubmit } = useSending(async () => {
    if (!('error' in (await set({ pin })))) setPin('');
    return false;
  });
  return (
    <section>
      <h2 className="text-[20px]">PIN for shared tablets</h2>
      <p className="mt-1 max-w-[68ch]">
        {hasPin
          ? 'A tablet that everybody shares asks for it before it writes as you.'
          : 'Without one a tap on your name does, on a tablet that everybody shares.'}
      </p>
      <form onSubmit={onSubmit} className="mt-3 flex max-w-[440px] flex-col gap-4">
        <TextField
          label={hasPin ? 'Another PIN' : 'A PIN'}
          type="password"
          inputMode="numeric"
          autoComplete="off"
          value={pin}
          onText={setPin}
          hint="4 to 8 figures"
          error={wrongAt('pin', error)}
        />
        <WrongAsAWhole error={error} fields={['pin']} />
        <div className="flex flex-wrap gap-3">
          <Button type="submit" disabled={busy || isLoading || pin === ''}>
            Keep the PIN
          </Button>
          {hasPin && (
            <Button look="plain" disabled={isLoading} onClick={() => void set({ pin: null })}>
              No PIN any more
            </Button>
          )}
        </div>
      </form>
    </section>
  );
}

function OtherPassword({ name }: { name: string }) {
  const [set, { error, data }] = useSetPasswordMutation();
  const [present, setPresent] = useState('');
  const [password, setPassword] = useState('');
  const { busy, onSubmit } = useSending(async () => {
    const answer = await set({ present, password });
    if (!('error' in answer)) {
      setPresent('');
      setPassword('');
    }
    return false;
  });
  return (
    <section>
      <h2 className="text-[20px]">Another password</h2>
      <form onSubmit={onSubmit} className="mt-3 flex max-w-[440px] flex-col gap-5">
        <input type="text" name="username" autoComplete="username" value={name} readOnly hidden />
        <TextField
          label="The present one"
          type="password"
          value={present}
          onText={setPresent}
          autoComplete="current-password"
          error={wrongAt('present', error)}
        />
        <ChosenPassword label="The new one" value={password} onText={setPassword} error={wrongAt('password', error)} />
        <WrongAsAWhole error={error} fields={['present', 'password']} />
        {data && !error && <p role="status">It is kept. Other browsers of yours have to sign in again.</p>}
        <div>
          <Button type="submit" disabled={busy}>
            Keep the new password
          </Button>
        </div>
      </form>
    </section>
  );
}
