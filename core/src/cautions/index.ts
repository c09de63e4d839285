export { type CautionId, CAUTIONS, cautionWords } from './cautions.js';
export { cautionsAt, cautionsOf, dangersOf, type Deed, placeOf, type Place, type Risk } from './cautions-at.js';
