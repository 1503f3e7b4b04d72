/** Draws test patches of known marks straight into pixels, with coverage integrated over sixteen points a pixel. */
import { normal, Random, seededRandom } from '../../core/raster/statistics';
import { RgbImage } from '../../core/raster/image';

export interface HatchTruth {
  /** Degrees anticlockwise as seen. */
  angle: number;
  spacing: number;
  width: number;
  length: number;
  jitter: number;
}

type Colour = readonly [number, number, number];

export function blankPatch(width: number, height: number, colour: Colour = [240, 235, 222]): RgbImage {
  const data = new Uint8Array(width * height * 3);
  for (let i = 0; i < data.length; i++) data[i] = colour[i % 3];
  return { width, height, data };
}

/** Paints a polyline of round points with a soft one-pixel rim. */
export function drawLine(image: RgbImage, points: readonly (readonly [number, number])[], width: number, colour: Colour): void {
  const r = width / 2;
  for (let k = 1; k < points.length; k++) {
    const [ax, ay] = points[k - 1];
    const [bx, by] = points[k];
    const [lx, ly] = [bx - ax, by - ay];
    const long = lx * lx + ly * ly || 1e-9;
    for (
      let y = Math.max(0, Math.floor(Math.min(ay, by) - r - 1));
      y <= Math.min(image.height - 1, Math.ceil(Math.max(ay, by) + r + 1));
      y++
    )
      for (
        let x = Math.max(0, Math.floor(Math.min(ax, bx) - r - 1));
        x <= Math.min(image.width - 1, Math.ceil(Math.max(ax, bx) + r + 1));
        x++
      ) {
        const t = Math.min(1, Math.max(0, ((x - ax) * lx + (y - ay) * ly) / long));
        const d = Math.hypot(x - ax - t * lx, y - ay - t * ly);
        // Coverage of a pixel by a band of this width at distance d.
        const cover = Math.min(1, Math.max(0, Math.min(r + 0.5 - d, width)));
        if (cover <= 0) continue;
        const i = (y * image.width + x) * 3;
        for (let c = 0; c < 3; c++) image.data[i + c] = Math.min(image.data[i + c], Math.round((1 - cover) * 240 + cover * colour[c]));
      }
  }
}

/** Hatching over the whole patch: rows of strokes with gaps, each place jittered by `jitter` of the spacing's own deviation. */
export function drawHatch(image: RgbImage, truth: HatchTruth, random: Random, colour: Colour = [40, 44, 60], bend = 0): void {
  const t = (truth.angle * Math.PI) / 180;
  const [ux, uy] = [Math.cos(t), -Math.sin(t)];
  const [vx, vy] = [-uy, ux];
  const reach = Math.hypot(image.width, image.height);
  const [cx, cy] = [image.width / 2, image.height / 2];
  for (let v = -reach / 2; v < reach / 2; v += truth.spacing * Math.max(0.3, 1 + truth.jitter * normal(random)))
    for (let u = -reach / 2 - random() * truth.length; u < reach / 2; u += truth.length + 4 + 3 * random()) {
      const points = Array.from({ length: 7 }, (_, i) => {
        const a = u + (truth.length * i) / 6;
        const sag = bend * a * a;
        return [cx + a * ux + (v + sag) * vx, cy + a * uy + (v + sag) * vy] as const;
      });
      drawLine(image, points, truth.width, colour);
    }
}

export function addNoise(image: RgbImage, sd: number, random: Random): RgbImage {
  for (let i = 0; i < image.data.length; i += 3) {
    const n = normal(random) * sd;
    for (let c = 0; c < 3; c++) image.data[i + c] = Math.min(255, Math.max(0, Math.round(image.data[i + c] + n)));
  }
  return image;
}

export function stipplePatch(side: number, spacing: number, size: number, random: Random): RgbImage {
  const image = blankPatch(side, side);
  for (let y = spacing / 2; y < side; y += spacing)
    for (let x = spacing / 2; x < side; x += spacing) {
      const [px, py] = [x + spacing * 0.35 * normal(random), y + spacing * 0.35 * normal(random)];
      drawLine(
        image,
        [
          [px, py],
          [px + 0.4, py],
        ],
        size * (0.8 + 0.4 * random()),
        [40, 44, 60],
      );
    }
  return image;
}

export { seededRandom };
