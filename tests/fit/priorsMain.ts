/** Fits how features vary within hands, and prints the data file's object. */
import { byHand, drawnHands, realPictures, atOwnScale } from './hands';
import { picturesFolder } from './pictures';
import { priorsFrom } from './priors';

async function main(args: readonly string[]): Promise<void> {
  const folder = picturesFolder(args);
  const hands = [...byHand([...(await drawnHands(5)), ...(await realPictures(folder))]).values()].filter((works) => works.length > 2);
  process.stdout.write(JSON.stringify({ data: priorsFrom(hands.map(atOwnScale)) }));
}

void main(process.argv.slice(2));
