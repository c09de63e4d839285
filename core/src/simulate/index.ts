export { ailingPump, type AilingPump } from './ailing-pump.js';
export { type PumpProfile, simulatePump } from './pump-life.js';
export { type Random, seededRandom } from './random.js';
export { SIMULATED_FAULTS } from './simulated-faults.js';
