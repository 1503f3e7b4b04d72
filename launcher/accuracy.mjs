// `npm run accuracy`: prints the error tables of the readings and keeps them in docs/accuracy.md.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ensurePackages, ROOT, say } from './setup.mjs';

const MARK = '<!-- Below this line: printed by npm run accuracy. -->';

ensurePackages();
const require = createRequire(join(ROOT, 'package.json'));
mkdirSync(join(ROOT, 'build', 'bench'), { recursive: true });
const outfile = join(ROOT, 'build', 'bench', 'accuracy.mjs');
require('esbuild').buildSync({ entryPoints: [join(ROOT, 'tests', 'accuracy', 'main.ts')], outfile, bundle: true, format: 'esm', platform: 'node', target: 'node20', packages: 'external', logLevel: 'error' }); // prettier-ignore
const done = spawnSync(process.execPath, [outfile, ...process.argv.slice(2)], { cwd: ROOT, stdio: ['ignore', 'pipe', 2], encoding: 'utf8', maxBuffer: 1e8 }); // prettier-ignore
if (done.status !== 0) throw new Error('the accuracy tables were not finished');
process.stdout.write(done.stdout);
// A shorter trial run, with a number of seeds of its own, is printed only.
if (process.argv.length === 2) {
  const file = join(ROOT, 'docs', 'accuracy.md');
  const head = readFileSync(file, 'utf8').split(MARK)[0].trimEnd();
  writeFileSync(file, `${head}\n\n${MARK}\n\n${done.stdout.trim()}\n`);
  spawnSync(join(ROOT, 'node_modules', '.bin', 'prettier'), ['--write', '--log-level=warn', file], { cwd: ROOT, stdio: ['ignore', 2, 2] }); // prettier-ignore
  say('docs/accuracy.md brought up to date.');
}
