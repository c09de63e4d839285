import { ENTRY_KINDS, type EntryBodies, type EntryKind } from '../journal/index.js';
import { RIGHTS_OF_ROLE, ROLES, type Role } from './roles.js';
import { rightOfCorrection, rightOfEntry } from './what-needs-what.js';

const may = (role: Role, kind: EntryKind, job: Parameters<typeof rightOfEntry>[1] = null) =>
  RIGHTS_OF_ROLE[role].includes(rightOfEntry(kind, job));

// What each may write, said by hand: owner, technician, operator, reader.
const KINDS: readonly (readonly [EntryKind, string])[] = [
  ['run', 'otp-'],
  ['look', 'otp-'],
  ['meter', 'otp-'],
  ['note', 'otp-'],
  ['bleed', 'otp-'],
  ['topUp', 'ot--'],
  ['change', 'ot--'],
  ['done', 'ot--'],
  ['labSample', 'ot--'],
  ['labResult', 'ot--'],
  ['takeOver', 'ot--'],
  ['test', 'ot--'],
  ['caseOpened', 'ot--'],
  ['caseClosed', 'ot--'],
  ['caseChecked', 'ot--'],
  ['jobStarted', 'ot--'],
  ['jobStep', 'ot--'],
  ['jobMoved', 'ot--'],
  ['jobEnded', 'ot--'],
  ['transfer', 'ot--'],
  ['stocktake', 'ot--'],
  ['opened', 'ot--'],
  ['mediaChange', 'ot--'],
];
const LETTERS: Readonly<Record<Role, string>> = { owner: 'o', technician: 't', operator: 'p', reader: '-' };
const said = (kind: EntryKind, job: Parameters<typeof rightOfEntry>[1] = null) =>
  ROLES.map((role) => (may(role, kind, job) ? LETTERS[role] : '-')).join('');

test('each kind of entry is for those who may do that work', () => {
  expect(KINDS.map(([kind]) => kind).sort()).toEqual([...ENTRY_KINDS].sort());
  for (const [kind, who] of KINDS) expect([kind, said(kind)]).toEqual([kind, who]);
});

test.each([
  ['beforeRun', null, 'otp-'],
  ['afterRun', null, 'otp-'],
  ['bleed', null, 'otp-'],
  ['ballastPurge', null, 'otp-'],
  ['potsAndTrap', null, 'otp-'],
  ['oilChange', null, 'ot--'],
  ['overhaul', null, 'ot--'],
  // What rides with it counts too.
  ['beforeRun', ['oilChange'], 'ot--'],
  ['afterRun', [], 'otp-'],
  // Not one of ours: nobody's but theirs who may anything.
  ['somethingElse', null, 'ot--'],
  ['constructor', null, 'ot--'],
] as const)('a job of %s with %j is for %s', (procedure, others, who) => {
  expect(said('jobStarted', { procedure, with: others })).toBe(who);
  expect(said('jobStep', { procedure, with: others })).toBe(who);
  expect(said('jobEnded', { procedure, with: others })).toBe(who);
});

const run = (body: Partial<EntryBodies['run']>) =>
  ({ kind: 'run', body: { session: 'run', ballast: 'open', minutes: 60, materialId: 'paper', ...body } }) as const;
const TOLD = run({});
const GOES_ON = run({ stillRunning: true, minutes: null });
const UNTOLD = run({ materialId: null });
const LOOK = { kind: 'look', body: { sump: 'oil', source: 'sightGlass' } } as const;

test.each([
  ['ada', 'ada', 'void', TOLD, 'log'],
  ['ada', 'ada', 'replace', TOLD, 'log'],
  ['ada', 'ben', 'void', TOLD, 'write'],
  ['ada', 'ben', 'replace', TOLD, 'write'],
  ['ada', 'ben', 'replace', LOOK, 'write'],
  [null, 'ben', 'void', TOLD, 'write'],
  [undefined, 'ben', 'replace', TOLD, 'write'],
  // The next shift ends what the one before began, and says what a pump told by itself cannot say.
  ['ada', 'ben', 'replace', GOES_ON, 'log'],
  [null, 'ben', 'replace', UNTOLD, 'log'],
  ['ada', 'ben', 'void', GOES_ON, 'write'],
  [null, 'ben', 'void', UNTOLD, 'write'],
  [null, 'ben', 'replace', null, 'write'],
  // Other people's corrections are left out for good.
  ['ada', 'ada', 'setAside', TOLD, 'write'],
] as const)('what %s wrote, corrected by %s with %s, where it says %j, needs %s', (who, by, action, counts, right) => {
  expect(rightOfCorrection({ original: who === undefined ? {} : { who }, counts, by, action })).toBe(right);
});
