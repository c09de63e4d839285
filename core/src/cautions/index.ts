export { type CautionId, CAUTIONS, cautionWords } from './cautions.js';
export { cautionsAt, dangersOf, type Deed } from './cautions-at.js';
