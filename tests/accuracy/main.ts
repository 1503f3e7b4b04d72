/** Prints every error table; a number given is how many seeds each set has. */
import { marksAccuracy } from './marks';

const seeds = Number(process.argv[2] ?? 20);
process.stdout.write(
  `## Marks\n\n${seeds} patches of 300 px a kind and medium in each set.\n\n${marksAccuracy(seeds)}\n`,
);
