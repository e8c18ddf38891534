// Translates TypeScript for Jest: quick, and without type checks, which `tsc` does.
const { transformSync } = require('esbuild');

module.exports = {
  process(source, path) {
    const { code, map } = transformSync(source, {
      loader: 'ts',
      format: 'cjs',
      target: 'node20',
      sourcefile: path,
      sourcemap: 'both',
      define: { 'import.meta.url': 'moduleUrl' },
      banner: "const moduleUrl = require('node:url').pathToFileURL(__filename).href;",
    });
    return { code, map };
  },
};
