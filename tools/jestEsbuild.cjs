// Translates TypeScript for Jest: quick, and without type checks, which `tsc` does.
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { transformSync, version } = require('esbuild');

const self = readFileSync(__filename);
// Jest looks up each global by name in a sandbox, which is slow where figures are made: these are taken once a file.
const globals = 'const { Math, Number, Object, Array, Map, Set, Float64Array, NaN, Infinity } = globalThis;';
const moduleUrl = "const moduleUrl = require('node:url').pathToFileURL(__filename).href;";

module.exports = {
  process(source, path) {
    const { code, map } = transformSync(source, {
      loader: path.endsWith('x') ? 'tsx' : 'ts',
      jsx: 'automatic',
      // What is brought later in the application is there at once.
      supported: { 'dynamic-import': false },
      format: 'cjs',
      target: 'node20',
      sourcefile: path,
      sourcemap: 'both',
      define: { 'import.meta.url': 'moduleUrl', 'process.env.EXPO_OS': '"web"' },
      banner: `${globals} ${moduleUrl}`,
    });
    return { code, map };
  },
  getCacheKey(source, path, { configString }) {
    return createHash('sha256')
      .update(source)
      .update(path)
      .update(configString)
      .update(version)
      .update(self)
      .digest('hex');
  },
};
