export { seededRandom, type Random } from './random.js';
export { simulatePump, type PumpProfile } from './pump-life.js';
export { ailingPump, type AilingPump } from './ailing-pump.js';
export { SIMULATED_FAULTS } from './simulated-faults.js';
