/** Error tables of palette, ground, accents, temperature and edges: painted fields of known colours, and the same pictures made worse. */
import { paintFields, PaintedFields, RIMS } from '../../atelier/fields';
import { ciede2000 } from '../../core/colour/difference';
import { labFromHex, lchFromLab } from '../../core/colour/lab';
import { measurePicture, Profile } from '../../core/style/profile';
import { paletteDistance } from '../../core/style/transport';
import { cropAndTurn } from '../../core/raster/crop';
import { RgbImage } from '../../core/raster/image';
import { reduceImage } from '../../core/raster/resample';
import { mean, median, quantile } from '../../core/raster/statistics';
import { number, percent, SeedSet, seedSets, table } from './tables';

/** What others do to a picture before it comes to us; made by a caller that has an image library. */
export type Spoil = (image: RgbImage) => Promise<RgbImage>;

interface Seen {
  seed: number;
  truth: PaintedFields;
  profile: Profile;
  spoiled: { name: string; profile: Profile }[];
}

async function look({ seeds }: SeedSet, jpeg: Spoil): Promise<Seen[]> {
  const out: Seen[] = [];
  for (const seed of seeds) {
    const truth = paintFields(seed);
    const { image } = truth;
    const read = (i: RgbImage) => measurePicture(i, { colours: 8 }).profile;
    const spoiled = [
      { name: 'half the size', profile: read(reduceImage(image, image.width >> 1, image.height >> 1)) },
      {
        name: 'turned by 90°',
        profile: read(cropAndTurn(image, { x: 0, y: 0, w: image.width, h: image.height, turn: 90 })),
      },
      { name: 'JPEG 70', profile: read(await jpeg(image)) },
    ];
    out.push({ seed, truth, profile: read(image), spoiled });
  }
  return out;
}

const nearest = (profile: Profile, hex: string) => {
  const lab = labFromHex(hex);
  return profile.palette.map((e) => ({ e, off: ciede2000(e.lab, lab) })).sort((a, b) => a.off - b.off)[0];
};

const warmHue = (h: number) => h >= 330 || h <= 110;

/** Warm share of the painted part, from the colours laid. */
function trueWarm({ colours, ground }: PaintedFields): number {
  let [warm, all] = [0, 0];
  for (const { hex, share } of colours) {
    if (hex === ground) continue;
    const [, c, h] = lchFromLab(labFromHex(hex));
    all += share;
    if (c >= 8 && warmHue(h)) warm += share;
  }
  return all > 0 ? warm / all : 0;
}

function rowsOf(seen: readonly Seen[]): string[][] {
  const large = seen.flatMap((s) =>
    s.truth.colours.filter((c) => c.share >= 0.04).map((c) => ({ ...nearest(s.profile, c.hex), share: c.share, seed: s.seed, hex: c.hex })),
  );
  for (const l of large)
    if (l.off > 3 || Math.abs(l.e.share - l.share) > 0.03)
      process.stderr.write(`  ${l.seed}: ${l.hex} off ${l.off.toFixed(1)}, share ${l.share.toFixed(3)} read ${l.e.share.toFixed(3)}\n`);
  const offs = large.map((l) => l.off);
  const shares = large.map((l) => Math.abs(l.e.share - l.share));
  const grounds = seen.map((s) =>
    s.truth.ground === null
      ? s.profile.ground === null
      : s.profile.ground !== null && ciede2000(s.profile.ground.lab, labFromHex(s.truth.ground)) < 5,
  );
  seen.forEach((s, i) => {
    if (!grounds[i]) process.stderr.write(`  ${s.seed}: ground ${s.truth.ground} read ${s.profile.ground?.hex ?? 'none'}\n`);
  });
  const accents = seen.filter((s) => s.truth.accent !== null);
  const kept = accents.filter((s) => {
    const n = nearest(s.profile, s.truth.accent!);
    return n.off < 8 && n.e.share < 0.012;
  });
  const rims = RIMS.map((k) => [
    `edges ${k}, median error`,
    percent(median(seen.map((s) => Math.abs(s.profile.edges[k] - s.truth.rims[k])))),
  ]);
  return [
    ['colours of 4 % and more found within ΔE00 3', percent(offs.filter((o) => o <= 3).length / offs.length)],
    ['their ΔE00: median, 95 %', `${number(median(offs))}, ${number(quantile(offs, 0.95))}`],
    ['their shares within 0.03', percent(shares.filter((s) => s <= 0.03).length / shares.length)],
    ['bare sheet told from paint', percent(grounds.filter(Boolean).length / grounds.length)],
    ['accents under 1 % kept', percent(kept.length / accents.length)],
    ['warm share, median error', number(median(seen.map((s) => Math.abs(s.profile.temperature.warm - trueWarm(s.truth)))), 3)],
    ...seen[0].spoiled.map((v, k) => [
      `palette moved by ${v.name}: mean, worst ΔE00`,
      `${number(mean(seen.map((s) => paletteDistance(s.profile.palette, s.spoiled[k].profile.palette))))}, ${number(Math.max(...seen.map((s) => paletteDistance(s.profile.palette, s.spoiled[k].profile.palette))))}`,
    ]),
    ...rims,
  ];
}

/** The colour part of the accuracy notes; `many` pictures a set. */
export async function colourAccuracy(many: number, jpeg: Spoil): Promise<string> {
  const parts: string[] = [];
  for (const set of seedSets(many)) parts.push(`### ${set.name}`, table(['reading', 'result'], rowsOf(await look(set, jpeg))));
  return parts.join('\n\n');
}
