// `npm run fit -- --pictures FOLDER [kinds | priors]`: fits what is fitted on real and drawn pictures, and writes the data files. Kinds first: what varies within a hand is read by them.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runScript } from './script.mjs';
import { ensurePackages, ROOT, say } from './setup.mjs';

const FITS = {
  kinds: { script: 'fit/kindsMain', file: 'core/marks/kindModel.ts', name: 'KIND_MODEL: KindModel', notes: 'docs/kinds.md' },
  priors: { script: 'fit/priorsMain', file: 'core/style/priors.ts', name: 'PRIORS: Priors' },
};

/** What stands below it in a page is printed by the fit. */
const MARK = '<!-- printed by npm run fit -->';

ensurePackages();
const words = process.argv.slice(2);
const wanted = Object.keys(FITS).filter((k) => !words.some((w) => w in FITS) || words.includes(k));
for (const fit of wanted) {
  const { script, file, name, notes } = FITS[fit];
  const { data, tables } = JSON.parse(runScript(script, ...words.filter((w) => !(w in FITS))));
  const path = join(ROOT, file);
  const head = readFileSync(path, 'utf8').split(`export const ${name.split(':')[0]}`)[0];
  writeFileSync(path, `${head}export const ${name} = ${JSON.stringify(data)};\n`);
  spawnSync(join(ROOT, 'node_modules', '.bin', 'prettier'), ['--write', '--log-level=warn', path], { cwd: ROOT, stdio: ['ignore', 2, 2] });
  if (notes) {
    const page = join(ROOT, notes);
    writeFileSync(page, `${readFileSync(page, 'utf8').split(MARK)[0]}${MARK}\n\n${tables}\n`);
  }
  say(`${file} brought up to date.`);
}
