import { ROLES, type Right, type Role } from '@winter-jar/core';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsString, Length, Matches } from 'class-validator';
import { IdOf, Maybe, OneOf, together } from './body-rules.js';

/** Too long to be guessed at, with few tries a quarter of an hour (server/src/door/tries.ts). */
export const SHORTEST_PASSWORD = 12;
const LONGEST_PASSWORD = 128;
const right = `${SHORTEST_PASSWORD} to ${LONGEST_PASSWORD} characters: three or four words do`;

/** A password that is chosen. */
const NewPassword = (): PropertyDecorator => Length(SHORTEST_PASSWORD, LONGEST_PASSWORD, { message: right });
const GivenPassword = (): PropertyDecorator => Length(1, LONGEST_PASSWORD, { message: 'your password' });
const SignInName = (): PropertyDecorator =>
  Matches(/^(?=.*\S)[^\p{Cc}]{1,60}$/u, { message: 'a name of 1 to 60 characters' });
const Code = (): PropertyDecorator => Length(1, 40, { message: 'the eight letters and figures of the code' });

const MOST_SITES = 200;
const sites = { message: `1 to ${MOST_SITES} ids of sites, each once; or null for every site` };
const SiteIds = (): PropertyDecorator =>
  together(
    IsArray(sites),
    ArrayMinSize(1, sites),
    ArrayMaxSize(MOST_SITES, sites),
    ArrayUnique((id: unknown) => id, sites),
    IsString({ ...sites, each: true }),
    Length(1, 64, { ...sites, each: true }),
  );

/** Body of `POST /api/door/sign-in`. */
export class SignInPost {
  @SignInName() name!: string;
  @GivenPassword() password!: string;
}

/** Body of `POST /api/door/look-at-code`. */
export class CodePost {
  @Code() code!: string;
}

/** Body of `POST /api/door/claim`: the first owner. A code is asked for where the server is open to a network. */
export class ClaimPost {
  @Maybe(Code()) code?: string | null;
  @SignInName() name!: string;
  @NewPassword() password!: string;
}

/** Body of `POST /api/door/set-password`: with a code, or with the present one by who is signed in. */
export class PasswordPost {
  @Maybe(Code()) code?: string | null;
  @Maybe(GivenPassword()) present?: string | null;
  @NewPassword() password!: string;
}

/** Body of `POST /api/door/pair`. */
export class PairPost {
  @Code() code!: string;
  @SignInName() device!: string;
}

/** Body of `POST /api/door/step-into`, in a demo yard alone; null: whoever is there. */
export class StepIntoPost {
  @Maybe(IdOf('a person')) personId?: string | null;
}

/** Body of `POST /api/people/{personId}/account`. */
export class AccountPost {
  @OneOf(ROLES) role!: Role;
  /** Sites that they are bound to; null: all, as for every owner. */
  @Maybe(SiteIds()) siteIds?: readonly string[] | null;
}

/** What a code lets one do, once. */
export const CODE_PURPOSES = ['claim', 'password', 'pair', 'tablet'] as const;
export type CodePurpose = (typeof CODE_PURPOSES)[number];

/** Body of `POST /api/people/{personId}/code`. */
export class NewCodePost {
  @OneOf(['password', 'pair']) purpose!: Exclude<CodePurpose, 'claim' | 'tablet'>;
}

/** Body of `POST /api/people/tablet-code`: for a tablet that everybody of a site shares. */
export class TabletCodePost {
  @IdOf('a site') siteId!: string;
}

const Pin = (): PropertyDecorator => Matches(/^\d{4,8}$/, { message: '4 to 8 figures' });

/** Body of `POST /api/door/pin`: for shared tablets; null: a tap does. */
export class PinPost {
  @Maybe(Pin()) pin?: string | null;
}

/** Body of `POST /api/door/write-as`, at a shared tablet alone; null: nobody any more. */
export class WriteAsPost {
  @Maybe(IdOf('a person')) personId?: string | null;
  @Maybe(Length(1, 8, { message: 'their PIN' })) pin?: string | null;
}

/** Who is signed in here. */
export interface SignedIn {
  readonly personId: string;
  readonly name: string;
  readonly role: Role;
  /** Sites that they are bound to; null: all. */
  readonly siteIds: readonly string[] | null;
}

/**
 * How the door stands for who asks. `free`: this machine alone, and nobody has an account; `open`: whoever reaches it may do
 * everything, as it was told; `unclaimed`: open to a network, and the first owner is awaited; `shut`: sign in first; `in`: signed in.
 */
export type DoorState = 'free' | 'open' | 'unclaimed' | 'shut' | 'in';

export interface DoorAnswer {
  /** Name of the house: what a device keeps for one house is not given to another that answers at the same address. */
  readonly house: string;
  readonly state: DoorState;
  /** In a demo yard also where the door is open: whoever one has stepped into. */
  readonly who: SignedIn | null;
  /** What may be asked for here. */
  readonly rights: readonly Right[];
  /** False over plain http from another machine: a password would cross the network for all to read. */
  readonly passwordsHere: boolean;
  /** People of a demo yard, to step into. */
  readonly stepInto: readonly SignedIn[];
  /** Where this is a tablet that everybody of a site shares; then `who` is whoever has said so and writes. */
  readonly tablet: SharedTablet | null;
}

export interface SharedTablet {
  readonly siteName: string;
  /** Who may write here. */
  readonly people: readonly { readonly personId: string; readonly name: string; readonly hasPin: boolean }[];
}

/** What a code is for, before it is used. */
export interface CodeAnswer {
  readonly purpose: CodePurpose;
  /** Whose it is, or of which site; null for the first owner. */
  readonly name: string | null;
}

export interface NewCode {
  readonly code: string;
  readonly purpose: CodePurpose;
  readonly expiresAt: string;
  /** Addresses at which it is used; the code stands behind the `#`, which no server is sent. */
  readonly addresses: readonly string[];
}

/** A browser that somebody signed in with, or a device that is somebody's until it is taken off. */
export interface OpenSession {
  readonly id: string;
  readonly kind: 'browser' | 'device' | 'tablet';
  readonly name: string;
  readonly address: string;
  readonly since: string;
  readonly lastUsedAt: string;
  /** The one that asks. */
  readonly isThis: boolean;
}

export interface SessionsAnswer {
  readonly sessions: readonly OpenSession[];
  /** For shared tablets. */
  readonly hasPin: boolean;
}

export interface PersonAccount {
  readonly personId: string;
  readonly name: string;
  /** Null for somebody of the set-up who cannot sign in. */
  readonly role: Role | null;
  /** Sites that they are bound to; null: all. */
  readonly siteIds: readonly string[] | null;
  readonly hasPassword: boolean;
  readonly sessions: readonly OpenSession[];
}

export interface PeopleAnswer {
  readonly people: readonly PersonAccount[];
  /** Shared by everybody of a site. */
  readonly tablets: readonly (OpenSession & { readonly siteId: string })[];
}

/** What the record of the doors knows of. */
export const DOOR_EVENTS = [
  'claimed',
  'signedIn',
  'signInRefused',
  'signedOut',
  'sessionEnded',
  'codeMade',
  'codeRefused',
  'paired',
  'tabletPaired',
  'wroteAs',
  'pinRefused',
  'pinSet',
  'passwordSet',
  'accountMade',
  'roleChanged',
  'sitesChanged',
  'accountEnded',
  'refused',
  'fileMade',
  'restored',
] as const;
export type DoorEventKind = (typeof DOOR_EVENTS)[number];

export interface DoorEvent {
  readonly at: string;
  readonly what: DoorEventKind;
  /** Who did it, or tried to, by name; null where nobody is known. */
  readonly by: string | null;
  /** Whom it is about, by name. */
  readonly about: string | null;
  readonly address: string;
  readonly detail: string | null;
}

/** The latest first. */
export interface DoorRecordAnswer {
  readonly events: readonly DoorEvent[];
}
