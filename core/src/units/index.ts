export { UNITS, findUnit, unitOf, type Dimension, type Unit } from './units.js';
export {
  parseQuantity,
  QUANTITY_EXAMPLES,
  type ParsedQuantity,
  type QuantityIssue,
  type QuantityIssueCode,
} from './parse-quantity.js';
export { inUnit, printDuration, printQuantity } from './print-quantity.js';
