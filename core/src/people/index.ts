export { RIGHTS, RIGHTS_OF_ROLE, ROLES, type Right, type Role } from './roles.js';
export { RIGHT_OF_RECORD, rightOfCorrection, rightOfEntry, rightOfKind } from './what-needs-what.js';
export { houseSeen, mayTellOf, seesEntry, seesStanding, stoodInSight, type Sight } from './sight.js';
