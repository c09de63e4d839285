import { Dialog } from 'radix-ui';
import type { DoorAnswer } from '@winter-jar/contracts';
import { Link } from 'react-router';
import { useAboutQuery, useSetUpQuery, useStepIntoMutation } from '../api/house-api.js';
import { useDoor } from '../device/use-door.js';
import { Chips } from '../ui/chips.js';
import { ROLE_WORDS } from '../words/door-words.js';
import {
  FLOW_UNITS,
  PRESSURE_UNITS,
  prefsSlice,
  TEMPERATURE_UNITS,
  VOLUME_UNITS,
  type Prefs,
} from '../device/prefs-slice.js';
import { useAppDispatch, useAppSelector } from '../device/store.js';

const asChips = <V extends string>(values: readonly V[]) => values.map((value) => ({ value, words: value }));
/** No id: a chip without a value cannot be chosen. */
const NOBODY = '-';
const THEMES = [
  { value: 'system', words: 'as the device' },
  { value: 'light', words: 'light' },
  { value: 'dark', words: 'cellar (dark)' },
] as const;
const LETTERS = [
  { value: 'on', words: 'on' },
  { value: 'off', words: 'off' },
] as const;

/** Of a demo yard, to see it as each of its people does. */
function StepInto({ people, who }: Pick<DoorAnswer, 'who'> & { people: DoorAnswer['stepInto'] }) {
  const [stepInto, { isLoading }] = useStepIntoMutation();
  const be = (personId: string) =>
    void stepInto({ personId: personId === NOBODY ? null : personId }).then(
      (answer) => 'error' in answer || window.location.reload(),
    );
  return (
    <Chips
      label="Who you are in this yard"
      chips={[
        ...people.map(({ personId, name, role, siteIds }) => ({
          value: personId,
          words: `${name}, ${ROLE_WORDS[role]}${siteIds ? ', some sites' : ''}`,
        })),
        { value: NOBODY, words: 'whoever is there' },
      ]}
      value={who?.personId ?? NOBODY}
      onChange={isLoading ? () => undefined : be}
      hint="Its door is open: be one of its people, and see what each sees and may."
    />
  );
}

function SignedIn({ who, close }: { who: NonNullable<DoorAnswer['who']>; close: () => void }) {
  return (
    <p className="text-[15px]">
      Signed in as <span className="font-semibold">{who.name}</span>, {ROLE_WORDS[who.role]}.{' '}
      <Link to="/sign-in" onClick={close}>
        Your devices, password, sign out
      </Link>
    </p>
  );
}

/** One tap per device; every entry from here then bears the name. */
function Chosen({ value, onChange }: { value: string | null; onChange: (who: string | null) => void }) {
  const { data } = useSetUpQuery();
  const people = Object.entries(data?.house.person ?? {}).map(([id, p]) => ({ value: id, words: p.name }));
  if (people.length === 0) {
    return (
      <p className="text-[15px]">
        Entries can bear a name. <a href="/set-up/person/new">Add the people who write here</a>, then choose one on each
        device.
      </p>
    );
  }
  return (
    <Chips
      label="Who writes on this device"
      chips={[...people, { value: NOBODY, words: 'nobody' }]}
      value={value ?? NOBODY}
      onChange={(who) => onChange(who === NOBODY ? null : who)}
    />
  );
}

/** Who writes here, and what this person picked, kept on this device and used everywhere at once. */
export default function PrefsDialog({ close }: { close: () => void }) {
  const { data: about } = useAboutQuery();
  const door = useDoor();
  const prefs = useAppSelector((s) => s.prefs);
  const dispatch = useAppDispatch();
  const choose = (chosen: Partial<Prefs>) => dispatch(prefsSlice.actions.chosen(chosen));
  return (
    <div className="flex flex-col gap-5">
      <Dialog.Title className="text-[22px]">Who, units and look</Dialog.Title>
      {door && door.stepInto.length > 0 ? (
        <StepInto people={door.stepInto} who={door.who} />
      ) : door?.tablet ? (
        <p className="text-[15px]">A tablet of {door.tablet.siteName}: above each page it asks who writes.</p>
      ) : door?.who ? (
        <SignedIn who={door.who} close={close} />
      ) : (
        <Chosen value={prefs.who} onChange={(who) => choose({ who })} />
      )}
      <Chips
        label="Pressure"
        chips={asChips(PRESSURE_UNITS)}
        value={prefs.pressure}
        onChange={(pressure) => choose({ pressure })}
      />
      <Chips
        label="Volume"
        chips={asChips(VOLUME_UNITS)}
        value={prefs.volume}
        onChange={(volume) => choose({ volume })}
      />
      <Chips
        label="Temperature"
        chips={asChips(TEMPERATURE_UNITS)}
        value={prefs.temperature}
        onChange={(temperature) => choose({ temperature })}
      />
      <Chips
        label="Pumping speed"
        chips={asChips(FLOW_UNITS)}
        value={prefs.flow}
        onChange={(flow) => choose({ flow })}
      />
      <Chips label="Theme" chips={THEMES} value={prefs.theme} onChange={(theme) => choose({ theme })} />
      <Chips
        label="Single-letter keys"
        chips={LETTERS}
        value={prefs.letters ? 'on' : 'off'}
        onChange={(letters) => choose({ letters: letters === 'on' })}
      />
      {about && <p className="text-[14px] text-ink-2">Winter Jar {about.version}</p>}
    </div>
  );
}
