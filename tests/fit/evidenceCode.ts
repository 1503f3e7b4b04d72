/** Knows which code the clues come from, and its hash: what was fitted with one version does not fit another. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const MARKS = ['build', 'closeUp', 'clues', 'detail', 'evidence', 'ink', 'orientation', 'ridges', 'spacing', 'strokes', 'workup'];
/** Of the compiled loops those that reckon clues; what only softens or copies is tested against plain loops. */
const LOOPS = ['closeUp', 'lanes', 'layers', 'outline', 'tensor', 'window'];

/** First 16 hex digits of SHA-256 over that code without comments and layout. */
export const evidenceCode = (): string =>
  hashOf([
    ...MARKS.map((name) => join('core', 'marks', `${name}.ts`)),
    ...LOOPS.map((name) => join('core', 'raster', 'kernels', 'assembly', `${name}.ts`)),
  ]);

/** The same over any files of the project. */
export function hashOf(files: readonly string[]): string {
  const hash = createHash('sha256');
  for (const file of files) {
    const source = readFileSync(join(process.cwd(), file), 'utf8');
    const { outputText } = ts.transpileModule(source, { compilerOptions: { removeComments: true, target: ts.ScriptTarget.ES2022 } });
    hash.update(outputText.replace(/\s+/g, ''));
  }
  return hash.digest('hex').slice(0, 16);
}
