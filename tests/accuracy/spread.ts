/** Is each feature's spread honest? Works of the six hands measured again and again, and readings against what was drawn. */
import { paintFields } from '../../atelier/fields';
import { ANSGRAVE_HAND } from '../../atelier/hands/ansgrave';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { furtherWork } from '../../atelier/hands/sample';
import { labFromHex, lchFromLab } from '../../core/colour/lab';
import { Feature, FEATURES, FeatureSet } from '../../core/style/features';
import { inMm } from '../../core/style/compare';
import { featureDifference } from '../../core/style/range';
import { measurePicture } from '../../core/style/profile';
import { cropImage, RgbImage } from '../../core/raster/image';
import { reduceImage } from '../../core/raster/resample';
import { median, normal, quantile, seededRandom } from '../../core/raster/statistics';
import { Spoil } from './colour';
import { percent, SeedSet, seedSets, table } from './tables';

/** One standard normal's central 80 %. */
const CENTRAL = 1.28;
const PX_PER_MM = 4;

function noisy(image: RgbImage, amount: number, seed: number): RgbImage {
  const r = seededRandom(seed);
  return { ...image, data: image.data.map((v) => Math.min(255, Math.max(0, Math.round(v + amount * normal(r))))) };
}

type Tally = Map<string, { within: number; all: number; ratios: number[] }>;

function count(tally: Tally, name: string, truth: number, read: Feature): void {
  if (read.value === null || read.spread === null) return;
  const own = tally.get(name) ?? { within: 0, all: 0, ratios: [] };
  const off = Math.abs(featureDifference(FEATURES[name], truth, read.value));
  own.all++;
  own.within += off <= CENTRAL * read.spread ? 1 : 0;
  own.ratios.push(off / Math.max(1e-9, read.spread));
  tally.set(name, own);
}

/** The same picture noisier, smaller, through JPEG, cut a little: how far readings move against their spread. */
async function again(set: SeedSet, jpeg: Spoil, tally: Tally): Promise<void> {
  for (const hand of SAMPLE_HANDS)
    for (const seed of set.seeds) {
      const work = furtherWork(hand, seed);
      const { image } = await hand.draw(work, PX_PER_MM);
      const read = (i: RgbImage, widthMm: number) => measurePicture(i, { widthMm }).profile.features;
      const truth = read(image, work.widthMm);
      const cut = Math.round(0.02 * image.width);
      const others: FeatureSet[] = [
        read(noisy(image, 3, seed), work.widthMm),
        read(noisy(reduceImage(image, Math.round(0.85 * image.width), Math.round(0.85 * image.height)), 2, seed), work.widthMm),
        read(cropImage(await jpeg(image), [cut, cut, image.width - 2 * cut, image.height - 2 * cut]), work.widthMm * 0.96),
      ];
      for (const [name, t] of Object.entries(truth)) {
        if (t.value === null) continue;
        for (const o of others) count(tally, name, t.value, o[name]);
      }
    }
}

/** Readings against what was drawn: the pen's strokes, and painted fields. */
async function drawn(set: SeedSet, tally: Tally): Promise<void> {
  for (const seed of set.seeds) {
    const work = furtherWork(ANSGRAVE_HAND, seed + 20);
    const { image, strokes } = await ANSGRAVE_HAND.draw(work, PX_PER_MM);
    const { features } = measurePicture(image, { widthMm: image.width / PX_PER_MM }).profile;
    const rules = ANSGRAVE_HAND.rules as Record<string, number>;
    count(tally, 'marks.direction', rules.angle, features['marks.direction']);
    count(tally, 'marks.spacing', rules.spacing, inMm(features['marks.spacing'], work.widthMm));
    count(tally, 'marks.lineWidth', median(strokes.map((s) => s.width)), inMm(features['marks.lineWidth'], work.widthMm));
  }
  for (const seed of [...set.seeds, ...set.seeds.map((s) => s + 40)]) {
    const { image, ground, colours, rims } = paintFields(seed);
    const { features } = measurePicture(image, { colours: 8 }).profile;
    const lch = colours.map((c) => ({ ...c, lab: labFromHex(c.hex), lch: lchFromLab(labFromHex(c.hex)) }));
    const sum = (of: (c: (typeof lch)[number]) => number) => lch.reduce((s, c) => s + c.share * of(c), 0);
    count(
      tally,
      'value.mean',
      sum((c) => c.lab[0]),
      features['value.mean'],
    );
    count(
      tally,
      'colour.chroma',
      sum((c) => c.lch[1]),
      features['colour.chroma'],
    );
    count(
      tally,
      'value.darkShare',
      sum((c) => (c.lab[0] < 35 ? 1 : 0)),
      features['value.darkShare'],
    );
    count(
      tally,
      'value.lightShare',
      sum((c) => (c.lab[0] > 75 ? 1 : 0)),
      features['value.lightShare'],
    );
    for (const rim of ['outlined', 'sharp', 'soft'] as const) count(tally, `edges.${rim}`, rims[rim], features[`edges.${rim}`]);
    if (!ground) continue;
    count(tally, 'colour.groundL', labFromHex(ground)[0], features['colour.groundL']);
    count(tally, 'colour.groundChroma', lchFromLab(labFromHex(ground))[1], features['colour.groundChroma']);
    const bare = lch.find((c) => c.hex === ground)!.share;
    count(tally, 'composition.coverage', 1 - bare, features['composition.coverage']);
  }
}

function rows(tally: Tally): string[][] {
  const names = Object.keys(FEATURES).filter((n) => tally.has(n));
  const all = [...tally.values()].reduce((s, t) => ({ within: s.within + t.within, all: s.all + t.all }), { within: 0, all: 0 });
  return [
    ...names.map((n) => {
      const t = tally.get(n)!;
      return [n, String(t.all), percent(t.within / t.all, 0), (quantile(t.ratios, 0.8) / CENTRAL).toFixed(2)];
    }),
    ['all', String(all.all), percent(all.within / all.all, 0), ''],
  ];
}

/** The uncertainty part of the accuracy notes; `many` works a hand and set. */
export async function spreadAccuracy(many: number, jpeg: Spoil): Promise<string> {
  const parts: string[] = [];
  for (const set of seedSets(many, 300, 900)) {
    const [moved, truth]: Tally[] = [new Map(), new Map()];
    await again(set, jpeg, moved);
    await drawn(set, truth);
    parts.push(`### ${set.name}`);
    parts.push(
      'Measured again after noise, a smaller size, JPEG and a cut:',
      table(['feature', 'readings', 'within 1.28 spreads', 'honest spread ÷ told'], rows(moved)),
    );
    parts.push('Against what was drawn:', table(['feature', 'readings', 'within 1.28 spreads', 'honest spread ÷ told'], rows(truth)));
  }
  return parts.join('\n\n');
}
