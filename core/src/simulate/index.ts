export { seededRandom, type Random } from './random.js';
export { simulatePump, type PumpProfile } from './pump-life.js';
