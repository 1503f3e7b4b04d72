/** All stroke models that share no code, and patches of them as a scanner or a telephone would give them. */
import sharp from 'sharp';
import { drawPatch, PATCH_KINDS, PATCH_MEDIA } from '../../atelier/patches';
import { labFromLinear } from '../../core/colour/lab';
import { linearFromByte } from '../../core/colour/srgb';
import { MARK_KINDS, MarkKind } from '../../core/marks/kinds';
import { RgbImage } from '../../core/raster/image';
import { normal, Random, seededRandom } from '../../core/raster/statistics';
import { rasterOf } from '../support/pictures';
import { AGENT } from './agent';
import { BLOCK } from './block';
import { BRISTLE } from './bristle';
import { FLOW } from './flow';
import { FORMS } from './forms';
import { Colour, Colours, Drawn, StrokeModel } from './patch';
import { SOLIDS } from './solids';
import { TOOTH } from './tooth';
import { VECTOR } from './vector';
import { WET } from './wet';

const ATELIER: StrokeModel = Object.fromEntries(
  PATCH_KINDS.map((kind) => [
    kind,
    (side: number, _: Colours, r: Random): Drawn => {
      const patch = drawPatch(kind, PATCH_MEDIA[Math.floor(r() * PATCH_MEDIA.length)], Math.floor(r() * 1e6), side);
      return { image: patch.image, sheet: patch.sheet };
    },
  ]),
);

const STROKE_MODELS = {
  atelier: ATELIER,
  agent: AGENT,
  bristle: BRISTLE,
  wet: WET,
  tooth: TOOTH,
  block: BLOCK,
  forms: FORMS,
  vector: VECTOR,
  solids: SOLIDS,
  flow: FLOW,
} as const;
export type ModelName = keyof typeof STROKE_MODELS;
export const MODEL_NAMES = Object.keys(STROKE_MODELS) as ModelName[];

const lightness = ([r, g, b]: Colour) => 0.3 * r + 0.59 * g + 0.11 * b;
const anyColour = (low: number, high: number, r: Random): Colour => {
  for (;;) {
    const [grey, by] = [255 * r(), 160 * r() ** 1.5];
    const c = [0, 1, 2].map(() => Math.min(255, Math.max(0, grey + by * (r() - 0.5) * 2))) as unknown as Colour;
    if (lightness(c) >= low && lightness(c) <= high) return c;
  }
};

/** Mostly dark on light; a quarter light on dark. */
function someColours(r: Random): Colours {
  const dark = r() < 0.25;
  const sheet = dark ? anyColour(0, 110, r) : anyColour(150, 250, r);
  const apart = 45 + 60 * r();
  const ink = () =>
    dark ? anyColour(Math.min(235, lightness(sheet) + apart), 255, r) : anyColour(0, Math.max(20, lightness(sheet) - apart), r);
  return { sheet, inks: [ink(), ...Array.from({ length: 3 }, () => anyColour(20, 235, r))] };
}

/** Kinds that are as often worked over paint as on the bare sheet. */
const OVER_PAINT: ReadonlySet<MarkKind> = new Set(['line', 'parallel-hatch', 'cross-hatch', 'contour-hatch', 'scribble', 'stipple']);

/** The same marks over paint: two fields that go over into each other softly, or meet at an edge. */
function overPaint({ image, sheet }: Drawn, ink: Colour, r: Random): RgbImage {
  const { width, height, data } = image;
  const out = new Uint8Array(data.length);
  const light = lightness(ink);
  const field = () => (light < 110 ? anyColour(light + 60, 250, r) : anyColour(0, light - 60, r));
  const [one, two] = [field(), field()];
  const [a, soft, d] = [2 * Math.PI * r(), r() < 0.3 ? 0.01 : 0.2 + 0.6 * r(), 0.6 * (r() - 0.5)];
  const blotch = Array.from({ length: 5 }, () => [0.12 * normal(r), 3 + 9 * r(), 2 * Math.PI * r(), 6 * r()]);
  const apart = Math.max(1, Math.hypot(...[0, 1, 2].map((c) => ink[c] - sheet![c])));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = [x / width - 0.5, y / height - 0.5];
      const at =
        u * Math.cos(a) +
        v * Math.sin(a) -
        d +
        blotch.reduce((s, [m, f, w, p]) => s + m * Math.sin(f * (u * Math.cos(w) + v * Math.sin(w)) + p), 0);
      const t = 1 / (1 + Math.exp((-6 * at) / soft));
      const i = 3 * (y * width + x);
      const cover = Math.min(1, Math.hypot(...[0, 1, 2].map((c) => data[i + c] - sheet![c])) / apart);
      for (let c = 0; c < 3; c++) out[i + c] = Math.round((1 - cover) * (one[c] + t * (two[c] - one[c])) + cover * ink[c]);
    }
  return { width, height, data: out };
}

/** What scanning, saving and shrinking do to a picture. */
async function passedOn(image: RgbImage, side: number, r: Random): Promise<RgbImage> {
  const { width, height } = image;
  const data = new Uint8Array(image.data);
  const [noise, a, fall] = [3 * r() ** 2, 2 * Math.PI * r(), 0.12 * r() ** 2];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const light = 1 - fall * (0.5 + (x / width - 0.5) * Math.cos(a) + (y / height - 0.5) * Math.sin(a));
      const n = noise * normal(r);
      for (let c = 0; c < 3; c++) {
        const i = 3 * (y * width + x) + c;
        data[i] = Math.min(255, Math.max(0, Math.round(data[i] * light + n)));
      }
    }
  const turn = r() < 0.5 ? 6 * (r() - 0.5) : 0;
  const turned = await sharp(data, { raw: { width, height, channels: 3 } })
    .rotate(turn, { background: '#fff' })
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const kept = Math.floor(0.9 * width);
  const { width: wide, height: tall } = turned.info;
  // Only what the turning left whole is kept; the cut is done first, since one pipeline would do it last.
  const cut = await sharp(turned.data, { raw: { width: wide, height: tall, channels: 3 } })
    .extract({ left: (wide - kept) >> 1, top: (tall - kept) >> 1, width: kept, height: kept })
    .png()
    .toBuffer();
  let flow = sharp(cut);
  flow = flow.resize(side, side, { kernel: 'lanczos3' });
  if (r() < 0.5) flow = flow.blur(0.35 + 0.7 * r());
  else if (r() < 0.25) flow = flow.sharpen();
  const jpeg = await flow.jpeg({ quality: Math.round(60 + 35 * r()) }).toBuffer();
  return rasterOf(sharp(jpeg));
}

export interface MadePatch {
  model: ModelName;
  kind: MarkKind;
  image: RgbImage;
  /** The sheet's Lab where a reader of the whole picture would know it, else null. */
  ground: readonly number[] | null;
}

/** One patch of a kind by a model, the same for the same seed. */
export async function makePatch(model: ModelName, kind: MarkKind, seed: number): Promise<MadePatch> {
  const draw = STROKE_MODELS[model][kind];
  if (!draw) throw new Error(`${model} does not make ${kind}`);
  const r = seededRandom(seed * 97 + MODEL_NAMES.indexOf(model) * 13 + MARK_KINDS.indexOf(kind));
  for (let k = 0; k < 5; k++) r();
  const side = Math.round(112 + 190 * r() ** 1.4);
  const colours = someColours(r);
  const drawn = await draw(Math.round((side / 0.9) * (1 + 0.8 * r() ** 2)), colours, r);
  const painted = drawn.sheet !== null && OVER_PAINT.has(kind) && r() < 0.45;
  const image = await passedOn(painted ? overPaint(drawn, colours.inks[0], r) : drawn.image, side, r);
  // The sheet is known where it shows here; else often from elsewhere in the picture, of whatever colour it may be.
  const sheet =
    painted || !drawn.sheet
      ? r() < 0.5
        ? r() < 0.5
          ? anyColour(200, 250, r)
          : anyColour(0, 60, r)
        : null
      : r() < 0.85 || kind === 'blank'
        ? drawn.sheet
        : null;
  return {
    model,
    kind,
    image,
    ground: sheet && labFromLinear(...(sheet.map((v) => linearFromByte[Math.round(v)]) as [number, number, number])),
  };
}

export const kindsOf = (model: ModelName): MarkKind[] => MARK_KINDS.filter((k) => STROKE_MODELS[model][k]);
