/** The folder of real pictures that fits ask for. */
import { existsSync, readdirSync } from 'node:fs';

/** From `--pictures FOLDER`; without it nothing is fitted. */
export function picturesFolder([flag, folder]: readonly string[]): string {
  if (flag === '--pictures' && folder && existsSync(folder)) return folder;
  process.stderr.write('fit: --pictures must name a folder with pictures of real hands (hand-X-N.jpg); without them nothing is fitted\n');
  process.exit(2);
}

/** Names of a folder's pictures, in order. */
export const picturesIn = (folder: string): string[] =>
  readdirSync(folder)
    .filter((f) => /\.(jpe?g|png)$/i.test(f))
    .sort();
