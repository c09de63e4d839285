export { gammaQuantile } from './gamma-quantile.js';
export { gammaSample } from './gamma-sample.js';
export { median } from './median.js';
export { normalTail } from './normal.js';
export { ownLimit } from './own-limit.js';
export { senSlope } from './sen-slope.js';
export { type Shift, shiftBetween } from './shift.js';
export { type Trend, trendOf } from './trend.js';
export { weightedQuantile } from './weighted-quantile.js';
