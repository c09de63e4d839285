export { type CautionId, CAUTIONS, cautionWords } from './cautions.js';
export { cautionsAt, type Deed } from './cautions-at.js';
