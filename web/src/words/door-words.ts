import type { DoorEventKind } from '@winter-jar/contracts';
import type { Role } from '@winter-jar/core';

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'owner',
  technician: 'technician',
  operator: 'operator',
  reader: 'reader',
};

/** What each may do, in one sentence. */
export const ROLE_MAY: Readonly<Record<Role, string>> = {
  owner: 'Everything: people, house rules, instruments and backups too.',
  technician:
    'Writes anything in the journal, brings in logs, sets pumps up. Not people, house rules, instruments or backups.',
  operator:
    'Logs runs, looks, bleeds, meters and notes, and does what comes before and after a run. Corrects their own, and ends the runs of others.',
  reader: 'Looks, and writes nothing.',
};

/** What happened at the doors, as a line of the record says it. */
export const EVENT_WORDS: Readonly<Record<DoorEventKind, string>> = {
  claimed: 'became the first owner',
  signedIn: 'signed in',
  signInRefused: 'was refused: a wrong name or password',
  signedOut: 'signed out',
  sessionEnded: 'took a device off',
  codeMade: 'made a one-time code',
  codeRefused: 'was refused: a wrong code, or an old one',
  paired: 'paired a device',
  tabletPaired: 'paired a shared tablet',
  wroteAs: 'writes at a shared tablet',
  pinRefused: 'was refused: a wrong PIN',
  pinSet: 'changed their PIN',
  passwordSet: 'chose a password',
  accountMade: 'let somebody sign in',
  roleChanged: 'changed what somebody may',
  sitesChanged: 'changed which sites somebody sees',
  accountEnded: 'ended somebody’s sign-in',
  refused: 'was refused: not their right',
  fileMade: 'had a file made',
  restored: 'put other data in place',
};

/** Which sites somebody sees, as a sentence. @param names by id; a site that is in the set-up no more has none */
export function sitesWords(
  siteIds: readonly string[],
  names: Readonly<Record<string, { readonly name: string }>>,
): string {
  const known = siteIds.map((id) => names[id]?.name ?? 'a site that is gone');
  return `${known.join(', ')} alone: nothing of other sites.`;
}
