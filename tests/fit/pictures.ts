/** The folder of real pictures that fits ask for. */
import { existsSync } from 'node:fs';

/** From `--pictures FOLDER`; without it nothing is fitted. */
export function picturesFolder([flag, folder]: readonly string[]): string {
  if (flag === '--pictures' && folder && existsSync(folder)) return folder;
  process.stderr.write('fit: --pictures must name a folder with pictures of real hands (hand-X-N.jpg); without them nothing is fitted\n');
  process.exit(2);
}
