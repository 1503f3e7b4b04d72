import { seededRandom } from '../raster/statistics';
import { ciede2000 } from './difference';
import { Kit, laidLinear, MOST_PARTS, readyKit } from './kit';
import { labFromHex } from './lab';
import { mixerFor } from './mixing';
import { hexFromLinear } from './srgb';
import { WHITE_PAPER } from './wash';

const random = seededRandom(12);
const hex = () => `#${[0, 1, 2].map(() => Math.floor(20 + 220 * random()).toString(16).padStart(2, '0')).join('')}`; // prettier-ignore
const kit = (white: string | null): Kit => ({
  name: '',
  white,
  paints: [
    ...(white ? [{ name: white, pigment: '', masstone: '#f5f4ee', tint: null, strength: 1 }] : []),
    ...Array.from({ length: 6 }, (_, i) => ({ name: `p${i}`, pigment: '', masstone: hex(), tint: null, strength: 0.3 + random() })),
  ],
});

/** The least ΔE00 of every mix of up to three paints, judged by the printed colour as recipes are. */
function bestOfAll(of: Kit, targets: readonly string[]): number[] {
  const ready = readyKit(of, WHITE_PAPER);
  const asked = targets.map(labFromHex);
  const best = targets.map(() => Infinity);
  const look = (chosen: number[], parts: number[], left: number): void => {
    if (parts.length < chosen.length) {
      for (let n = 1; n <= left - (chosen.length - 1 - parts.length); n++) look(chosen, [...parts, n], left - n);
      return;
    }
    for (let down = 0; down <= left; down++) {
      const lab = labFromHex(hexFromLinear(laidLinear(ready, chosen, parts, down)));
      asked.forEach((a, t) => (best[t] = Math.min(best[t], ciede2000(a, lab))));
    }
  };
  const n = ready.pigments.length;
  for (let a = 0; a < n; a++) {
    look([a], [], MOST_PARTS);
    for (let b = a + 1; b < n; b++) {
      look([a, b], [], MOST_PARTS);
      for (let c = b + 1; c < n; c++) look([a, b, c], [], MOST_PARTS);
    }
  }
  return best;
}

test.each(['white', null])('what is found is within ΔE00 0.3 of the best of every mix there is, let down with %s', (white) => {
  const of = kit(white);
  const targets = Array.from({ length: 8 }, hex);
  const best = bestOfAll(of, targets);
  const mix = mixerFor(of);
  targets.forEach((t, i) => expect([t, mix(t).recipes[0].deltaE - best[i] < 0.3]).toEqual([t, true]));
});
