/** Trials of range, comparison and own invention over the six hands: leave one out, and copies against other pictures. */
import { noiseField } from '../../atelier/easel';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { furtherWork, SampleHand } from '../../atelier/hands/sample';
import { compare, Measured } from '../../core/style/compare';
import { FEATURE_GROUPS } from '../../core/style/features';
import { cropImage, RgbImage } from '../../core/raster/image';
import { mean, quantile, seededRandom } from '../../core/raster/statistics';
import { measured } from '../support/measured';
import { rocArea } from './hands';
import { number, SeedSet, seedSets, table } from './tables';

const PX_PER_MM = 4;
const SCORES = ['overall', ...FEATURE_GROUPS] as const;

interface Work {
  hand: SampleHand;
  image: RgbImage;
  own: Measured;
}

async function worksOf({ seeds }: SeedSet): Promise<Work[]> {
  const out: Work[] = [];
  for (const hand of SAMPLE_HANDS)
    for (const seed of seeds) {
      const work = furtherWork(hand, seed);
      const { image } = await hand.draw(work, PX_PER_MM);
      out.push({ hand, image, own: measured(image, work.widthMm) });
    }
  return out;
}

/** For each hand: works left out in turn against all works of the others, by group. */
function leaveOneOut(works: readonly Work[]): string {
  const rows = SAMPLE_HANDS.map((hand) => {
    const own = works.filter((w) => w.hand === hand);
    const others = works.filter((w) => w.hand !== hand);
    const scores = SCORES.map(() => ({ own: [] as number[], others: [] as number[] }));
    for (const left of own) {
      const sources = own.filter((w) => w !== left).map((w) => w.own);
      for (const piece of [left, ...others]) {
        const { closeness } = compare(sources, piece.own, { as: 'original' });
        SCORES.forEach((s, k) => {
          const v = s === 'overall' ? closeness.overall : closeness.groups[s];
          if (v !== null) scores[k][piece === left ? 'own' : 'others'].push(v);
        });
      }
    }
    return { hand, areas: scores.map((s) => (s.own.length && s.others.length ? rocArea(s.own, s.others) : NaN)), scores };
  });
  return table(
    ['hand', ...SCORES],
    [
      ...rows.map((r) => [
        r.hand.name,
        ...r.areas.map((a, k) =>
          Number.isFinite(a) ? `${number(a, 3)} (${mean(r.scores[k].own).toFixed(0)} against ${mean(r.scores[k].others).toFixed(0)})` : '–',
        ),
      ]),
      ['mean', ...SCORES.map((_, k) => number(mean(rows.map((r) => r.areas[k]).filter(Number.isFinite)), 3))],
    ],
  );
}

const perPixel = (image: RgbImage, from: (x: number, y: number) => readonly [number, number]): RgbImage => {
  const data = new Uint8Array(image.data.length);
  for (let y = 0; y < image.height; y++)
    for (let x = 0; x < image.width; x++) {
      const [u, v] = from(x, y);
      const i =
        3 * (Math.min(image.height - 1, Math.max(0, Math.round(v))) * image.width + Math.min(image.width - 1, Math.max(0, Math.round(u))));
      data.set(image.data.subarray(i, i + 3), 3 * (y * image.width + x));
    }
  return { ...image, data };
};

const mirrored = (image: RgbImage) => perPixel(image, (x, y) => [image.width - 1 - x, y]);

/** A tenth cut away at two sides. */
function cropped({ ...image }: RgbImage): RgbImage {
  const [w, h] = [Math.round(0.9 * image.width), Math.round(0.9 * image.height)];
  return cropImage(image, [image.width - w, 0, w, h]);
}

/** Other colours at about the same lightness. */
function recoloured(image: RgbImage): RgbImage {
  const data = new Uint8Array(image.data.length);
  for (let i = 0; i < data.length; i += 3) {
    const [r, g, b] = image.data.subarray(i, i + 3);
    data.set([0.25 * r + 0.6 * g + 0.15 * b, 0.5 * r + 0.15 * g + 0.35 * b, 0.2 * r + 0.7 * g + 0.1 * b].map(Math.round), i);
  }
  return { ...image, data };
}

/** Redrawn with wobble: every place off by about 1.2 % of the width, neighbours alike. */
function wobbled(image: RgbImage, seed: number): RgbImage {
  const step = 8;
  const [w, h] = [Math.ceil(image.width / step) + 1, Math.ceil(image.height / step) + 1];
  const r = seededRandom(seed);
  const [dx, dy] = [noiseField(w, h, 0.07 * w, r), noiseField(w, h, 0.07 * w, r)];
  const amount = 0.012 * image.width;
  return perPixel(image, (x, y) => {
    const k = Math.floor(y / step) * w + Math.floor(x / step);
    return [x + amount * dx.data[k], y + amount * dy.data[k]];
  });
}

const COPIES: Readonly<Record<string, (image: RgbImage, seed: number) => RgbImage>> = {
  mirrored,
  'cropped by a tenth': cropped,
  recoloured,
  'redrawn with wobble': wobbled,
  'all four': (image, seed) => recoloured(mirrored(wobbled(cropped(image), seed + 1))),
};

/** Own invention of copies of every kind, and of other pictures by the same hand, each against all of the hand's works. */
function inventions(works: readonly Work[]): string {
  const found = new Map<string, number[]>();
  const put = (name: string, v: number) => found.set(name, [...(found.get(name) ?? []), v]);
  for (const hand of SAMPLE_HANDS) {
    const own = works.filter((w) => w.hand === hand);
    const invented = (piece: Measured, sources: readonly Work[]) =>
      compare(
        sources.map((s) => s.own),
        piece,
        { as: 'original' },
      ).ownInvention;
    own.forEach((w, i) => {
      put(
        'another picture of the same hand',
        invented(
          w.own,
          own.filter((o) => o !== w),
        ),
      );
      // Copies cost a whole measuring each: two works a hand.
      if (i >= 2) return;
      for (const [name, make] of Object.entries(COPIES)) put(name, invented(measured(make(w.image, i), w.own.widthMm!), own));
    });
  }
  const quarters = [0, 0.1, 0.25, 0.5, 0.75, 0.9, 1];
  return table(
    ['piece', 'pieces', 'least', '10 %', '25 %', 'middle', '75 %', '90 %', 'most'],
    [...found].map(([name, v]) => [name, String(v.length), ...quarters.map((q) => quantile(v, q).toFixed(0))]),
  );
}

/** The style part of the accuracy notes; `many` works a hand and set, at least 5. */
export async function styleAccuracy(many: number): Promise<string> {
  const parts: string[] = [];
  for (const set of seedSets(Math.max(5, many), 0, 100)) {
    const works = await worksOf(set);
    parts.push(`### ${set.name}`, leaveOneOut(works), inventions(works));
  }
  return parts.join('\n\n');
}
