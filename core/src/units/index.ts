export {
  type ParsedQuantity,
  parseQuantity,
  QUANTITY_EXAMPLES,
  type QuantityIssue,
  type QuantityIssueCode,
} from './parse-quantity.js';
export { readNumber, type NumberRead } from './read-number.js';
export { inUnit, printDuration, printQuantity } from './print-quantity.js';
export { type Dimension, findUnit, type Unit, unitOf, UNITS } from './units.js';
