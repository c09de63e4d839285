// npm run unit: the quick tests of what the trade knows, its rules on the wire and the words, for an answer while one works.
import { install, run } from './build.mjs';

install();
const NODE_OPTIONS = '--experimental-vm-modules --disable-warning=ExperimentalWarning';
const given = process.argv.slice(2);
run('npx', ['jest', '--selectProjects', 'core', 'contracts', '--maxWorkers=2', ...given], {
  env: { ...process.env, NODE_OPTIONS },
});
