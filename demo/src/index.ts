export { seedYard } from './seed.js';
export { yardHistory, type Yard } from './yard-history.js';
