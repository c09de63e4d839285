import type { PersonAccount } from '@winter-jar/contracts';
import { ROLES, type Role } from '@winter-jar/core';
import { useState } from 'react';
import { useGiveAccountMutation, usePeopleQuery, useSetUpQuery, useTakeAccountMutation } from '../api/house-api.js';
import { useDoor } from '../device/use-door.js';
import { Button, LinkButton } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { ManyChips } from '../ui/many-chips.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { ROLE_MAY, ROLE_WORDS, sitesWords } from '../words/door-words.js';
import { WrongAsAWhole } from './at-the-door.js';
import { CodeForThem } from './code-for-them.js';
import { SharedTablets } from './shared-tablets.js';
import { SessionList } from './session-list.js';

/** Who may sign in and what they may: the owner's page. */
export function PeoplePage() {
  const door = useDoor();
  const { data, isError, refetch } = usePeopleQuery();
  if (isError && !data)
    return (
      <Trouble title="The people could not be fetched" onRetry={() => void refetch()}>
        The server does not answer, or this is not for you.
      </Trouble>
    );
  if (!data || !door) return <Loading what="the people" />;
  return (
    <main className="mx-auto flex w-full max-w-[760px] flex-col gap-6 px-4 pb-10 pt-5">
      <PageTitle title="People and doors" />
      <div>
        <h1 className="text-[28px]">People and doors</h1>
        <p className="mt-1 max-w-[68ch]">{STANDS[door.state]}</p>
        <div className="mt-4 flex flex-wrap gap-3">
          {door.state === 'free' && (
            <LinkButton look="solid" to="/people/first-owner">
              Ask for a sign-in from now on
            </LinkButton>
          )}
          <LinkButton to="/people/record">What happened at the doors</LinkButton>
          <LinkButton look="plain" to="/set-up/person/new">
            Add somebody
          </LinkButton>
        </div>
      </div>
      {data.people.length === 0 ? (
        <Empty inside title="Nobody yet">
          Add the people who write here; then say what each may.
        </Empty>
      ) : (
        <ul className="flex flex-col gap-3">
          {data.people.map((person) => (
            <Person key={person.personId} person={person} />
          ))}
        </ul>
      )}
      <SharedTablets tablets={data.tablets} />
    </main>
  );
}

const STANDS = {
  free: 'Nobody needs to sign in: Winter Jar is open to this machine alone. Once there is an owner, everybody signs in, on this machine too.',
  open: 'The door is open: whoever reaches this server may do everything. Outside a demo yard nobody’s rights are given or taken before it is started without --open.',
  in: 'Everybody signs in. Give each what they need for their work, and no more.',
  shut: '',
  unclaimed: '',
} as const;

function Person({ person }: { person: PersonAccount }) {
  const [isOpen, setOpen] = useState(false);
  const { name, role, siteIds, hasPassword, sessions } = person;
  const sites = useSetUpQuery().data?.house.site ?? {};
  const stands =
    role === null
      ? 'cannot sign in'
      : `${ROLE_WORDS[role]}${hasPassword || sessions.length > 0 ? '' : ', has not come in yet'}`;
  return (
    <li className={`border-l-4 bg-sheet p-4 ${role === null ? 'border-l-rule' : 'border-l-ink'}`}>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div className="min-w-0">
          <h2 dir="auto" className="text-[18px] wrap-anywhere">
            {name}
          </h2>
          <p className="text-ink-2">{stands}</p>
          {siteIds && <p className="text-[14px] text-ink-2">{sitesWords(siteIds, sites)}</p>}
        </div>
        <Button
          aria-expanded={isOpen}
          aria-label={`${role === null ? 'Let sign in' : 'Change'}: ${name}`}
          onClick={() => setOpen(!isOpen)}
        >
          {role === null ? 'Let them sign in' : 'Change'}
        </Button>
      </div>
      {isOpen && <Rights person={person} />}
    </li>
  );
}

function Rights({ person }: { person: PersonAccount }) {
  const { personId, name, role, siteIds, sessions } = person;
  const [give, giving] = useGiveAccountMutation();
  const [take, taking] = useTakeAccountMutation();
  const [chosen, setChosen] = useState<Role | null>(role);
  const sites = useSetUpQuery().data?.house.site ?? {};
  const [bound, setBound] = useState<readonly string[]>(siteIds ?? []);
  // An owner sees every site; so does everybody who is bound to none.
  const kept = chosen === 'owner' ? [] : bound.filter((id) => sites[id]);
  const boundTo = kept.length === 0 ? null : kept;
  const isOther = chosen !== role || inOrder(boundTo) !== inOrder(siteIds);
  const [isAsked, setAsked] = useState(false);
  return (
    <div className="mt-4 flex flex-col gap-5 border-t border-rule-soft pt-4">
      <Chips
        label={`What ${name} may`}
        chips={ROLES.map((value) => ({ value, words: ROLE_WORDS[value] }))}
        value={chosen}
        onChange={setChosen}
        hint={chosen === null ? 'Choose one; it can be changed at any time.' : ROLE_MAY[chosen]}
      />
      {chosen !== null && chosen !== 'owner' && Object.keys(sites).length + bound.length > 1 && (
        <div className="flex flex-col gap-2">
          <ManyChips
            label={`Sites that ${name} sees`}
            chips={Object.entries(sites).map(([value, site]) => ({ value, words: site.name }))}
            values={bound}
            onChange={setBound}
          />
          <p className="text-[14px] text-ink-2">
            {boundTo === null
              ? 'None is chosen: every site, also those that are still to come.'
              : 'Pumps, entries, files and photographs of other sites are not shown, and not written.'}
          </p>
        </div>
      )}
      {isOther && chosen !== null && (
        <div>
          <Button
            look="solid"
            disabled={giving.isLoading}
            onClick={() => void give({ personId, accountPost: { role: chosen, siteIds: boundTo } })}
          >
            {role === null
              ? `Let ${name} sign in`
              : chosen === role
                ? 'From now on these sites'
                : `From now on ${ROLE_WORDS[chosen]}`}
          </Button>
        </div>
      )}
      <WrongAsAWhole error={giving.error ?? taking.error} />
      {role !== null && (
        <>
          <CodeForThem personId={personId} name={name} />
          {sessions.length > 0 && <SessionList title="Signed in at" sessions={sessions} />}
          {isAsked ? (
            <section aria-label="No sign-in any more" className="flex flex-col gap-3 border-l-4 border-stop pl-4">
              <p>
                {name} is signed out everywhere at once, and comes in again only with a new code. What {name} wrote
                stays as it is, with the name.
              </p>
              <div className="flex flex-wrap gap-3">
                <Button disabled={taking.isLoading} onClick={() => void take(personId)}>
                  End {name}’s sign-in
                </Button>
                <Button look="solid" onClick={() => setAsked(false)}>
                  Leave it
                </Button>
              </div>
            </section>
          ) : (
            <div>
              <Button look="plain" className="!px-0" onClick={() => setAsked(true)}>
                {name} signs in no longer …
              </Button>
            </div>
          )}
        </>
      )}
    </div>
  );
}

const inOrder = (siteIds: readonly string[] | null): string => JSON.stringify(siteIds && [...siteIds].sort());
