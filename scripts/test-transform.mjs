// How Jest reads our modules: by swc, with the language's own names bound once per module.
import swc from '@swc/jest';

// A test runs in a context of its own, in which every use of a global name is asked of the context anew: a loop over
// Math was seven times slower than in plain node. A module that declares one of these names itself says so as a syntax
// error. What a test replaces (Date, timers, fetch) is not among them.
const NAMES = [
  'Array',
  'BigInt',
  'Float32Array',
  'Float64Array',
  'Infinity',
  'Int32Array',
  'JSON',
  'Map',
  'Math',
  'NaN',
  'Number',
  'Object',
  'Set',
  'String',
  'Uint8Array',
];

const bindNames = (module) => {
  const used = NAMES.filter((name) => new RegExp(`\\b${name}\\b`).test(module.code));
  return used.length ? { ...module, code: `const { ${used.join(', ')} } = globalThis; ${module.code}` } : module;
};

export default {
  createTransformer(options) {
    const swcTransformer = swc.createTransformer(options);
    return {
      ...swcTransformer,
      process: (...source) => bindNames(swcTransformer.process(...source)),
      processAsync: async (...source) => bindNames(await swcTransformer.processAsync(...source)),
      getCacheKey: (...source) => `${swcTransformer.getCacheKey(...source)}-${NAMES.join('-')}`,
    };
  },
};
