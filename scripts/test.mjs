/**
 * npm test -- name: the tests in files whose path has that name in it. Browser tests are named by their folder, such as
 * e2e/layup: they run against what is built first.
 */
import { PLACE, browserEnv, build, install, run, tool } from './lib.mjs';

await install();
const asked = process.argv.slice(2);
const inBrowser = asked.some((name) => name.startsWith('e2e'));
if (inBrowser) await build();
const projects = inBrowser ? ['browser'] : ['unit', 'web'];
const env = { ...PLACE, ...(inBrowser ? (browserEnv() ?? {}) : {}) };
process.exit(run(...tool('jest', [...asked, '--selectProjects', ...projects]), env) ? 0 : 1);
