// The same histories at every run of the tests; SEED=random tries others, SEED=<number> those of one that failed.
import fc from 'fast-check';

const { SEED = '20310309' } = process.env;
if (SEED !== 'random') fc.configureGlobal({ seed: Number(SEED) });
