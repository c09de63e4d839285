import { mayNot, type MayNot } from './who-may.js';

const person = { wren: { name: 'Wren', maySpecialist: true }, maud: { name: 'Maud' } };
const rules = (opensModules: boolean | null) => ({ house: { limits: {}, opensModules } });

test.each<[string, 'operator' | 'technician' | 'specialist', boolean | null, string | null, MayNot | null]>([
  ['anybody runs it down', 'operator', false, null, null],
  ['anybody changes oil', 'technician', null, null, null],
  ['nobody has said: it is exchanged', 'specialist', null, 'wren', 'house'],
  ['the house exchanges', 'specialist', false, 'wren', 'house'],
  ['somebody who may', 'specialist', true, 'wren', null],
  ['somebody who may not', 'specialist', true, 'maud', 'person'],
  ['nobody said who', 'specialist', true, null, 'person'],
  ['nobody knows them', 'specialist', true, 'gone', 'person'],
])('%s', (_, skill, opens, who, why) => expect(mayNot({ skill }, { houseRules: rules(opens), person }, who)).toBe(why));
