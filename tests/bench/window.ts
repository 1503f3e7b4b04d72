/** How soon the reading window answers at its usual size, wherever on a demo work it is put. */
import { ANSGRAVE } from '../../atelier/hand';
import { renderDrawing } from '../../atelier/render';
import { drawScene, MASTER_SCENES } from '../../atelier/scenes';
import { sortedQuantile } from '../../core/raster/statistics';
import { prepare } from '../../core/style/prepare';
import { measurePatch } from '../../core/style/profile';

const [WIDTH_MM, HEIGHT_MM, PX_PER_MM] = [300, 212, 6];
/** Side of the window as it opens, px. */
const SIDE = 240;

const image = await renderDrawing(drawScene(MASTER_SCENES[0].scene, ANSGRAVE, WIDTH_MM, HEIGHT_MM), PX_PER_MM, 5, 11);
const ground = prepare(image, { widthMm: WIDTH_MM }).ground?.lab ?? null;

function timed(x: number, y: number): number {
  const begun = performance.now();
  measurePatch(image, [x, y, SIDE, SIDE], ground, { pictureWidth: image.width, mmPerPixel: WIDTH_MM / image.width });
  return performance.now() - begun;
}

const first = timed(0, 0);
const times: number[] = [];
for (let y = 0; y + SIDE <= image.height; y += SIDE) for (let x = 0; x + SIDE <= image.width; x += SIDE) times.push(timed(x, y));
times.sort((a, b) => a - b);
process.stdout.write(
  `${JSON.stringify({ firstMs: first, medianMs: sortedQuantile(times, 0.5), mostMs: times[times.length - 1], windows: times.length, side: SIDE })}\n`,
);
