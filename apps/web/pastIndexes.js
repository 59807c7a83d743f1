/**
 * For Babel: what is imported by way of a room's index comes from the module that holds it. An index names all that its room opens; a
 * page that takes one thing of it would otherwise bring all of it along.
 */
const { parse } = require('@babel/parser');
const { createHash } = require('node:crypto');
const { existsSync, readFileSync, readdirSync, statSync } = require('node:fs');
const path = require('node:path');

const PACKAGES = path.join(path.dirname(module.filename), '../../packages');
const INDEX = `${path.sep}index.ts`;

const opened = new Map();
/** What a package opens, each by the name that it is imported by. */
for (const name of readdirSync(PACKAGES)) {
  const file = path.join(PACKAGES, name, 'package.json');
  if (!existsSync(file)) continue;
  const { exports } = JSON.parse(readFileSync(file, 'utf8'));
  for (const [from, to] of Object.entries(exports)) opened.set(path.posix.join(`@torvin/${name}`, from), path.join(PACKAGES, name, to));
}

/** The module of ours that an import means; null for another's. */
function fileOf(source, importer) {
  if (opened.has(source)) return opened.get(source);
  if (!source.startsWith('.')) return null;
  const named = path.resolve(path.dirname(importer), source);
  return [`${named}.ts`, `${named}.tsx`, path.join(named, 'index.ts')].find((file) => existsSync(file) && statSync(file).isFile()) ?? null;
}

const read = new Map();
/** name: as a module opens it. Gives the module and the name that it has in it; null where it is not opened. */
function originOf(file, name) {
  if (!read.has(file)) read.set(file, parse(readFileSync(file, 'utf8'), { sourceType: 'module', plugins: ['typescript', 'jsx'] }).program.body);
  for (const node of read.get(file)) {
    if (node.type === 'ExportAllDeclaration') {
      const from = fileOf(node.source.value, file);
      const found = from && originOf(from, name);
      if (found) return found;
    }
    if (node.type !== 'ExportNamedDeclaration') continue;
    const specifier = node.specifiers.find((one) => one.exported.name === name);
    if (specifier && !node.source) return { file, name };
    const from = specifier && fileOf(node.source.value, file);
    if (specifier) return from ? originOf(from, specifier.local.name) : { file, name };
    const { declaration } = node;
    const declared = declaration?.declarations?.map((one) => one.id.name) ?? (declaration?.id ? [declaration.id.name] : []);
    if (declared.includes(name)) return { file, name };
  }
  return null;
}

/** As an import of the module at importer writes it. */
function written(file, importer) {
  const way = path.relative(path.dirname(importer), file).split(path.sep).join('/');
  return (way.startsWith('.') ? way : `./${way}`).replace(/\.tsx?$/, '');
}

module.exports = ({ types: t }) => ({
  visitor: {
    Program(program, { filename }) {
      let changed = false;
      for (const statement of program.get('body')) {
        const { node } = statement;
        const imports = node.type === 'ImportDeclaration';
        if (!(imports || node.type === 'ExportNamedDeclaration') || !node.source || node.importKind === 'type' || node.exportKind === 'type') continue;
        const index = fileOf(node.source.value, filename);
        if (!index?.endsWith(INDEX)) continue;
        const made = node.specifiers.flatMap((one) => {
          const kind = one.importKind ?? one.exportKind;
          const origin = kind === 'type' || !one.imported === imports ? null : originOf(index, imports ? one.imported.name : one.local.name);
          if (!origin || origin.file === index) return [];
          const from = t.stringLiteral(written(origin.file, filename));
          const there = t.identifier(origin.name);
          const declared = imports
            ? t.importDeclaration([t.importSpecifier(one.local, there)], from)
            : t.exportNamedDeclaration(null, [t.exportSpecifier(there, one.exported)], from);
          return [{ one, declared }];
        });
        if (made.length === 0) continue;
        changed = true;
        const gone = new Set(made.map(({ one }) => one));
        node.specifiers = node.specifiers.filter((one) => !gone.has(one));
        const rest = node.specifiers.length > 0 ? [node] : [];
        statement.replaceWithMultiple([...rest, ...made.map(({ declared }) => declared)]);
      }
      if (changed) program.scope.crawl();
    },
  },
});

/** Of all indexes: what was made of a module by them holds as long as they stay the same. */
module.exports.digest = () => {
  const hash = createHash('sha256').update(readFileSync(module.filename));
  const add = (dir) => {
    for (const name of readdirSync(dir).sort()) {
      const at = path.join(dir, name);
      if (statSync(at).isDirectory()) add(at);
      else if (name === 'index.ts') hash.update(readFileSync(at));
    }
  };
  for (const name of readdirSync(PACKAGES).sort()) if (existsSync(path.join(PACKAGES, name, 'src'))) add(path.join(PACKAGES, name, 'src'));
  return hash.digest('hex');
};
