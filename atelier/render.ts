/** Knows how to turn a drawing into pixels: the vectors by the image library, then paper grain and pooled wash, seeded. */
import sharp from 'sharp';
import { gaussian } from '../core/raster/filters';
import { plane, RgbImage } from '../core/raster/image';
import { normal, seededRandom } from '../core/raster/statistics';
import { Drawing } from './sheet';

/** The drawing at `pxPerMm`, with grain of `grain` counts (0 for none). */
export async function renderDrawing(drawing: Drawing, pxPerMm: number, grain: number, seed: number): Promise<RgbImage> {
  const width = Math.round(drawing.widthMm * pxPerMm);
  const height = Math.round(drawing.heightMm * pxPerMm);
  const { data } = await sharp(Buffer.from(drawing.svg), { density: 72 * pxPerMm, unlimited: true })
    .resize(width, height, { fit: 'fill' })
    .flatten({ background: drawing.svg.match(/fill="(#[0-9a-f]{6})"/)?.[1] ?? '#ffffff' })
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const image = { width, height, data: new Uint8Array(data) };
  if (grain > 0) addGrain(image, grain, seed);
  return image;
}

/** Paper tooth and clouding: fine noise softened by a pixel, and broad pools of tone. */
function addGrain(image: RgbImage, grain: number, seed: number): void {
  const random = seededRandom(seed * 31337 + 3);
  const fine = plane(image.width, image.height);
  for (let i = 0; i < fine.data.length; i++) fine.data[i] = (random() + random() + random() - 1.5) * 1.6;
  const tooth = gaussian(fine, 0.8);
  const coarse = plane(Math.ceil(image.width / 40), Math.ceil(image.height / 40));
  for (let i = 0; i < coarse.data.length; i++) coarse.data[i] = normal(random);
  const cloud = gaussian(coarse, 1.2);
  for (let y = 0; y < image.height; y++)
    for (let x = 0; x < image.width; x++) {
      const i = y * image.width + x;
      const k = Math.floor(y / 40) * coarse.width + Math.floor(x / 40);
      const shift = grain * (1.5 * tooth.data[i] + 0.35 * cloud.data[k]);
      for (let c = 0; c < 3; c++) image.data[i * 3 + c] = Math.min(255, Math.max(0, Math.round(image.data[i * 3 + c] + shift)));
    }
}
