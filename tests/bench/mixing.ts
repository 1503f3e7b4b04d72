/** Forty paints, three at a time: how long mixing takes to be made ready and to answer, and how near its best comes to the best of every mix there is. */
import { ciede2000 } from '../../core/colour/difference';
import { Kit, laidLinear, MOST_PARTS, readyKit } from '../../core/colour/kit';
import { labFromHex, labFromLinear } from '../../core/colour/lab';
import { mixerFor } from '../../core/colour/mixing';
import { hexFromLinear } from '../../core/colour/srgb';
import { WHITE_PAPER } from '../../core/colour/wash';
import { median, seededRandom } from '../../core/raster/statistics';

const PAINTS = 40;
const TARGETS = 50;
/** Of every mix the plainly nearest are judged by CIEDE2000. */
const JUDGED = 400;

const random = seededRandom(40);
const hex = () => `#${[0, 1, 2].map(() => Math.floor(20 + 225 * random()).toString(16).padStart(2, '0')).join('')}`; // prettier-ignore
const tinted = (masstone: string) => {
  const lighter = [1, 3, 5].map((i) => {
    const v = parseInt(masstone.slice(i, i + 2), 16);
    return Math.round(v + (0.45 + 0.3 * random()) * (245 - v)).toString(16).padStart(2, '0'); // prettier-ignore
  });
  return `#${lighter.join('')}`;
};
const kit: Kit = {
  name: 'forty',
  white: 'white',
  paints: [
    { name: 'white', pigment: '', masstone: '#f6f5f0', tint: null, strength: 1 },
    ...Array.from({ length: PAINTS - 1 }, (_, i) => {
      const masstone = hex();
      return { name: `paint ${i}`, pigment: '', masstone, tint: { hex: tinted(masstone), parts: [1, 4] as [number, number] }, strength: 1 };
    }),
  ],
};

let begun = performance.now();
const mix = mixerFor(kit);
const readyMs = performance.now() - begun;
const targets = Array.from({ length: TARGETS }, hex);
const times: number[] = [];
const own = targets.map((target) => {
  begun = performance.now();
  const [best] = mix(target).recipes;
  times.push(performance.now() - begun);
  return best.deltaE;
});

// Every mix of up to three paints and white, once; each target keeps its plainly nearest.
const ready = readyKit(kit, WHITE_PAPER);
const asked = targets.map(labFromHex);
const nearest: { far: number; hex: string }[][] = targets.map(() => []);
const worst = targets.map(() => Infinity);
let mixes = 0;
const look = (chosen: number[], parts: number[], down: number) => {
  const linear = laidLinear(ready, chosen, parts, down);
  const [L, a, b] = labFromLinear(...linear);
  mixes++;
  for (let t = 0; t < TARGETS; t++) {
    const far = (L - asked[t][0]) ** 2 + (a - asked[t][1]) ** 2 + (b - asked[t][2]) ** 2;
    if (far >= worst[t]) continue;
    nearest[t].push({ far, hex: hexFromLinear(linear) });
    if (nearest[t].length < 2 * JUDGED) continue;
    nearest[t].sort((p, q) => p.far - q.far).length = JUDGED;
    worst[t] = nearest[t][JUDGED - 1].far;
  }
};
const share = (chosen: number[], parts: number[], left: number) => {
  if (parts.length === chosen.length) for (let down = 0; down <= left; down++) look(chosen, parts, down);
  else for (let n = 1; n <= left - (chosen.length - 1 - parts.length); n++) share(chosen, [...parts, n], left - n);
};
begun = performance.now();
const n = PAINTS - 1;
for (let a = 0; a < n; a++) {
  share([a], [], MOST_PARTS);
  for (let b = a + 1; b < n; b++) {
    share([a, b], [], MOST_PARTS);
    for (let c = b + 1; c < n; c++) share([a, b, c], [], MOST_PARTS);
  }
}
const exhaustiveMs = performance.now() - begun;
const best = nearest.map((list, t) => Math.min(...list.map((m) => ciede2000(asked[t], labFromHex(m.hex)))));
const behind = own.map((v, t) => v - best[t]);
console.log(
  JSON.stringify({
    paints: PAINTS,
    targets: TARGETS,
    mixes,
    readyMs,
    answerMs: median(times),
    mostMs: Math.max(...times),
    exhaustiveMs,
    behind: Math.max(...behind),
    usually: median(behind),
  }),
);
