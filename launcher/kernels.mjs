// `npm run kernels`: compiles the filters' inner loops to WebAssembly and writes them into module.ts; with --check only says whether module.ts is up to date.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { ROOT } from './setup.mjs';

const here = join(ROOT, 'core', 'raster', 'kernels');
const asc = join(dirname(createRequire(import.meta.url).resolve('assemblyscript/package.json')), 'bin', 'asc.js');
/** Whether a module has a data section (number 11) that is not empty. */
function hasData(bytes) {
  for (let at = 8; at < bytes.length;) {
    const id = bytes[at++];
    let [size, shift, byte] = [0, 0, 0];
    do {
      byte = bytes[at++];
      size |= (byte & 127) << shift;
      shift += 7;
    } while (byte & 128);
    if (id === 11 && size > 1) return true;
    at += size;
  }
  return false;
}

const scratch = mkdtempSync(join(tmpdir(), 'oldhand-kernels-'));
try {
  const out = join(scratch, 'kernels.wasm');
  const options = [
    '--runtime',
    'stub',
    '--enable',
    'simd',
    '--enable',
    'bulk-memory',
    '-O3',
    '--noAssert',
    '--importMemory',
    '--initialMemory',
    '1',
    // Fours of numbers handed from one file of the loops to another: no embedding sees them.
    '--disableWarning',
    '112',
  ];
  execFileSync(process.execPath, [asc, relative(ROOT, join(here, 'assembly', 'index.ts')), ...options, '--outFile', out], {
    cwd: ROOT,
    stdio: ['ignore', 2, 2],
  });
  // The caller hands out the memory from its first byte on, so the module may keep nothing there.
  if (hasData(readFileSync(out)))
    throw new Error('assembly/ holds data of its own (an array or string literal); the memory is the caller’s');
  const text = `/** The filters' inner loops, compiled from assembly/ by \`npm run kernels\`; not edited by hand. */\nexport const MODULE =\n  '${readFileSync(out).toString('base64')}';\n`;
  const file = join(here, 'module.ts');
  if (process.argv.includes('--check')) {
    if (readFileSync(file, 'utf8') !== text) {
      process.stderr.write('core/raster/kernels/module.ts is not what assembly/ compiles to: run npm run kernels\n');
      process.exitCode = 1;
    }
  } else writeFileSync(file, text);
} finally {
  rmSync(scratch, { recursive: true, force: true });
}
