/** Fits what is fitted on pictures and prints the data file: `npm run fit -- --pictures FOLDER`. */
import { existsSync } from 'node:fs';
import { byHand, drawnHands, realPictures, atOwnScale } from './hands';
import { priorsFrom } from './priors';

async function main([flag, folder]: readonly string[]): Promise<void> {
  if (flag !== '--pictures' || !folder || !existsSync(folder)) {
    process.stderr.write('fit: --pictures must name a folder with pictures of real hands (hand-X-N.jpg); without them nothing is fitted\n');
    process.exit(2);
  }
  const hands = [...byHand([...(await drawnHands(5)), ...(await realPictures(folder))]).values()].filter((works) => works.length > 2);
  const priors = priorsFrom(hands.map(atOwnScale));
  process.stdout.write(JSON.stringify(priors));
}

void main(process.argv.slice(2));
