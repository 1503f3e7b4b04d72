// Knows how a TypeScript script of tests/ is bundled and run.
import { spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { basename, join } from 'node:path';
import { ROOT } from './setup.mjs';

/** Runs `file`, a path under tests/ without its ending; gives what it printed. */
export function runScript(file, ...words) {
  const require = createRequire(join(ROOT, 'package.json'));
  // Beside the other bundles, so that its packages are found.
  const folder = join(ROOT, 'build', 'bench');
  const outfile = join(folder, `${basename(file)}.mjs`);
  mkdirSync(folder, { recursive: true });
  require('esbuild').buildSync({
    entryPoints: [join(ROOT, 'tests', `${file}.ts`)],
    outfile,
    bundle: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    packages: 'external',
    logLevel: 'error',
  });
  const done = spawnSync(process.execPath, [outfile, ...words], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 2],
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  if (done.status !== 0) throw new Error(`tests/${file} did not finish`);
  return done.stdout;
}
