export { standsAtSite } from './at-a-site.js';
export { RIGHTS, RIGHTS_OF_ROLE, ROLES, type Right, type Role } from './roles.js';
export { rightOfCorrection, rightOfEntry, rightOfKind, rightsOfRecord } from './what-needs-what.js';
export {
  houseSeen,
  mayTellOf,
  seesEntry,
  seesNow,
  seesStanding,
  standsOpen,
  stoodInSight,
  type Sight,
} from './sight.js';
