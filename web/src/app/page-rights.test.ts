import { RIGHTS_OF_ROLE, ROLES, type Role } from '@winter-jar/core';
import { neededByPage } from './page-rights.js';

const LETTERS: Readonly<Record<Role, string>> = { owner: 'o', technician: 't', operator: 'p', reader: 'r' };

// Who is offered a page, said by hand: o owner, t technician, p operator, r reader; whoever of them is bound to some sites is not where a - stands.
test.each([
  ['/', 'otpr'],
  ['/pumps/lf-03', 'otpr'],
  ['/pumps/lf-03/run', 'otp'],
  ['/pumps/lf-03/look', 'otp'],
  ['/pumps/lf-03/bleed', 'otp'],
  ['/pumps/lf-03/meter', 'otp'],
  ['/pumps/lf-03/note', 'otp'],
  ['/pumps/lf-03/job-cards', 'otp'],
  ['/pumps/lf-03/job', 'otp'],
  ['/pumps/lf-03/change', 'ot'],
  ['/pumps/lf-03/top-up', 'ot'],
  ['/pumps/lf-03/lab-report', 'ot'],
  ['/pumps/lf-03/done', 'ot'],
  ['/pumps/lf-03/take-over', 'ot'],
  ['/pumps/lf-03/blank-off', 'ot'],
  ['/pumps/lf-03/gauge-log', 'ot'],
  ['/pumps/lf-03/case-open', 'ot'],
  ['/pumps/lf-03/what-is-wrong', 'otpr'],
  ['/pumps/lf-03/vacuum-record', 'otpr'],
  ['/pumps/lf-03/label', 'otpr'],
  ['/pumps/lf-03/job-cards/oilChange/own-steps', 'ot -'],
  ['/pumps/lf-03/job-cards/oilChange', 'otpr'],
  ['/store', 'otpr'],
  ['/store/can-1/pour', 'ot'],
  ['/store/can-1/trace', 'otpr -'],
  ['/set-up/pump/new', 'ot'],
  ['/set-up/equipment/new', 'ot'],
  ['/set-up/pumpModel/new', 'ot -'],
  ['/set-up/file', 'otpr -'],
  ['/set-up/person/new', 'o -'],
  ['/set-up/instrument/new', 'o -'],
  ['/set-up/houseRules/new', 'o -'],
  ['/set-up/houseRules/house', 'otpr'],
  ['/set-up/nothing/new', 'otpr'],
  ['/start', 'otp'],
  ['/untold', 'otp'],
  ['/logs/runs', 'otpr'],
  ['/logs/notebook', 'ot -'],
  ['/backup', 'o'],
  ['/people', 'o'],
  ['/people/record', 'o'],
  ['/sign-in', 'otpr'],
])('%s is offered to %s', (path, said) => {
  const needed = [neededByPage(path)].flat();
  const may = ROLES.filter((role) => needed.every((right) => RIGHTS_OF_ROLE[role].includes(right)));
  const who = may.map((role) => LETTERS[role]).join('');
  expect(needed.includes('everySite') ? `${who} -` : who).toBe(said);
});
