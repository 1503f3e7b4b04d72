// `npm run fit -- --pictures FOLDER`: fits what is fitted on pictures of real and drawn hands, and writes the data file.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runScript } from './script.mjs';
import { ensurePackages, ROOT, say } from './setup.mjs';

ensurePackages();
const priors = JSON.parse(runScript('fit/main', ...process.argv.slice(2)));
const file = join(ROOT, 'core', 'style', 'priors.ts');
const head = readFileSync(file, 'utf8').split('export const PRIORS')[0];
writeFileSync(file, `${head}export const PRIORS: Priors = ${JSON.stringify(priors)};\n`);
spawnSync(join(ROOT, 'node_modules', '.bin', 'prettier'), ['--write', '--log-level=warn', file], { cwd: ROOT, stdio: ['ignore', 2, 2] });
say('core/style/priors.ts brought up to date.');
