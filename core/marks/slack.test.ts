/** Drawn forms whose colour stands a known way off their line. */
import { Easel } from '../../atelier/easel';
import { P, smooth } from '../../atelier/sheet';
import { labPlanes } from '../colour/lab';
import { colourSlack } from './slack';

const PX_PER_MM = 3.4;

/** Six forms with an even line; the colour stands `off` mm outside it (or inside, below 0). */
function forms(off: number, line: boolean, seed = 1, hatch = false) {
  const easel = new Easel(300, 200, PX_PER_MM, '#f2ecdd', seed);
  const r = easel.random;
  for (let k = 0; k < 6; k++) {
    const [cx, cy, size] = [60 + 90 * (k % 3), 55 + 90 * Math.floor(k / 3), 28 + 6 * r()];
    const wave = Array.from({ length: 10 }, () => 0.85 + 0.25 * r());
    const at = (more: number) =>
      smooth(
        wave.map((v, i): P => [
          cx + (size * v + more) * Math.cos((2 * Math.PI * i) / 10),
          cy + (size * v + more) * Math.sin((2 * Math.PI * i) / 10),
        ]),
        true,
        10,
      );
    easel.put(easel.field(at(off)), ['#b8503c', '#4c7fa6', '#6f9a54'][k % 3], { grain: 0.05 });
    if (hatch)
      for (let x = cx - size * 0.6; x < cx + size * 0.6; x += 2.4) {
        const s = easel.stencil();
        easel.stroke(
          s,
          [
            [x, cy - 0.5 * size],
            [x + 6, cy + 0.5 * size],
          ],
          0.45,
        );
        easel.put(s, '#26221f');
      }
    if (!line) continue;
    const outline = easel.stencil();
    easel.stroke(outline, [...at(0), at(0)[0]], 0.8);
    easel.put(outline, '#26221f');
  }
  return labPlanes(easel.finish(2).image);
}

test.each([0, 1.6, 3, -1.2, -2.4])('colour %f mm off its line is read to 0.4 mm', (off) => {
  const slack = colourSlack(forms(off, true))!;
  expect(Math.abs(slack.px / PX_PER_MM - Math.abs(off))).toBeLessThan(0.4);
  expect(slack.lined).toBeGreaterThan(0.7);
});

test('hatching inside the forms is not taken for their line', () => {
  const slack = colourSlack(forms(1.8, true, 3, true))!;
  expect(Math.abs(slack.px / PX_PER_MM - 1.8)).toBeLessThan(0.5);
});

test('colour without a line has no slack to read, nor has an empty sheet', () => {
  expect(colourSlack(forms(0, false))).toBeNull();
  expect(colourSlack(labPlanes(new Easel(80, 60, 3, '#eeeeee', 2).finish(1).image))).toBeNull();
});
