// Prints every sentence in all its forms: `npm run words -- de`, `npm run words -- en american`.
import { runScript } from './script.mjs';

process.stdout.write(runScript('words/table', ...process.argv.slice(2)));
