import { writeFileSync } from 'node:fs';
import { drawnExamples, realExamples } from './fit/material';
async function main() {
  writeFileSync('/tmp/ev-real.json', JSON.stringify(await realExamples('../shared/pictures')));
  writeFileSync('/tmp/ev-drawn.json', JSON.stringify(await drawnExamples(26, 1000)));
}
void main();
