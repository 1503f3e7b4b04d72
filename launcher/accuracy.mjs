// `npm run accuracy -- --pictures FOLDER`: prints the error tables of the readings and keeps them in docs/accuracy.md.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runScript } from './script.mjs';
import { ensurePackages, ROOT, say } from './setup.mjs';

const MARK = '<!-- Below this line: printed by npm run accuracy. -->';

ensurePackages();
const told = runScript('accuracy/main', ...process.argv.slice(2));
process.stdout.write(told);
// A shorter trial run, of some parts or a number of seeds of its own or without pictures of real hands, is printed only.
if (process.argv.length === 4 && process.argv[2] === '--pictures') {
  const file = join(ROOT, 'docs', 'accuracy.md');
  const head = readFileSync(file, 'utf8').split(MARK)[0].trimEnd();
  writeFileSync(file, `${head}\n\n${MARK}\n\n${told.trim()}\n`);
  spawnSync(join(ROOT, 'node_modules', '.bin', 'prettier'), ['--write', '--log-level=warn', file], { cwd: ROOT, stdio: ['ignore', 2, 2] });
  say('docs/accuracy.md brought up to date.');
}
