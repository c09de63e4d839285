// npm start: installs and builds what is missing, serves your own data folder, empty at first.
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, install, root } from './build.mjs';
import { serveUntilStopped } from './serve.mjs';

const { values } = parseArgs({
  options: {
    host: { type: 'string', default: '127.0.0.1' },
    https: { type: 'boolean', default: false },
    open: { type: 'boolean', default: false },
    plain: { type: 'boolean', default: false },
    port: { type: 'string', default: '4870' },
    data: { type: 'string', default: join(root, 'data/own') },
  },
});

install();
build();
const address = await serveUntilStopped(values);
console.log(`\nWinter Jar: ${address}\nYour data in ${values.data}. Another folder: npm start -- --data <folder>`);
