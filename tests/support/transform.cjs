/**
 * Jest runs modules in a sandbox whose globals answer slowly, which makes pixel loops thirty times slower than in Node.
 * So every module of ours gets its own constants for the globals that loops use; line numbers stay as they are.
 */
const { createTransformer } = require('@swc/jest');

const swc = createTransformer({
  jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } },
  module: { type: 'commonjs' },
});
const NAMES = [
  'Math',
  'Number',
  'Infinity',
  'NaN',
  'Float32Array',
  'Float64Array',
  'Uint8Array',
  'Int32Array',
  'Uint16Array',
  'Uint32Array',
  'Uint8ClampedArray',
  'Array',
  'Object',
  'Map',
  'Set',
];
const banner = `const ${NAMES.map((n) => `${n} = globalThis.${n}`).join(', ')};`;

module.exports = {
  canInstrument: false,
  getCacheKey: (source, file, options) => swc.getCacheKey(source, file, options) + banner.length,
  process(source, file, options) {
    const made = swc.process(source, file, options);
    return !/[\\/]node_modules[\\/]/.test(file) ? { ...made, code: `${banner}${made.code}` } : made;
  },
};
