export { seedYard } from './seed.js';
export { yardHistory, type Yard } from './yard-history.js';
export { connectStandIns, startStandIns } from './stand-ins/start-stand-ins.js';
