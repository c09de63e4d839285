export { seededRandom, type Random } from './random.js';
export { simulatePump, type PumpProfile } from './pump-life.js';
export { ailingPump, SIMULATED_FAULTS, type AilingPump } from './ailing-pump.js';
