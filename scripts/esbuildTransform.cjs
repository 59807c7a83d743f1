/** Jest transform for the node-side workspaces: TypeScript and ES modules to CommonJS by esbuild. */
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { transformSync, version } = require('esbuild');

const self = readFileSync(module.filename);

module.exports = {
  getCacheKey: (source, path) => createHash('sha1').update(self).update(version).update(path).update(source).digest('hex'),
  process: (source, path) =>
    transformSync(source, {
      loader: path.endsWith('x') ? 'tsx' : 'ts',
      format: 'cjs',
      target: 'node20',
      sourcemap: 'inline',
      sourcefile: path,
      supported: { 'dynamic-import': false },
      define: { 'import.meta.url': JSON.stringify(`file://${path}`) },
    }),
};
