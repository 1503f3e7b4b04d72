/** Knows a simulated copy stand: photographs a flat sheet on a table with the faults of a classroom, and tells where the corners truly fell. */
import { CoreError } from '../errors';
import { byteFromLinear, linearFromByte } from '../colour/srgb';
import { gaussian } from '../raster/filters';
import { plane, Point, RgbImage } from '../raster/image';
import { normal, Random, seededRandom } from '../raster/statistics';
import { fitHomography, invertHomography, rectangleCorners } from './homography';

export type TableKind = 'plain' | 'wood' | 'cluttered' | 'similar';

export interface StandSettings {
  seed: number;
  /** Photograph's size in px. */
  width: number;
  height: number;
  /** Sheet in mm. */
  paper: readonly [number, number];
  /** Degrees the sheet is turned on the table, anticlockwise as seen. */
  rotation: number;
  /** Degrees the camera leans off the sheet's normal, toward `tiltToward` degrees. */
  tilt: number;
  tiltToward: number;
  /** Share of the photograph's shorter fit that the sheet fills, 0–1. */
  fill: number;
  table: TableKind;
  /** Loss of light from the brightest corner to the darkest, 0–1, and the gain of each channel. */
  falloff: number;
  cast: readonly [number, number, number];
  vignette: number;
  shadow: boolean;
  exposure: number;
  /** Blur in px (sigma), noise as a standard deviation in counts of 255. */
  blur: number;
  noise: number;
  greyCard: boolean;
  /** Barrel distortion: how much nearer the middle a frame's corner falls, as a share of its distance; phones 0–0.02. */
  lens?: number;
  /** Pencils and scraps lying across the sheet's edges. */
  laidOver?: number;
  /** The table's own colour in place of the kind's. */
  tableColour?: string;
}

export const STAND_DEFAULTS: StandSettings = {
  seed: 1,
  width: 1600,
  height: 1200,
  paper: [297, 210],
  rotation: 2,
  tilt: 6,
  tiltToward: 70,
  fill: 0.82,
  table: 'wood',
  falloff: 0.15,
  cast: [1.04, 1, 0.93],
  vignette: 0.08,
  shadow: false,
  exposure: 0.92,
  blur: 0.6,
  noise: 2,
  greyCard: false,
};

export interface StandPhoto {
  image: RgbImage;
  /** Where the sheet's corners fell, photograph px, clockwise from the sheet's own top left. */
  corners: [number, number][];
  /** Where the grey card fell: an upright rectangle safely inside it, or null. */
  grey: [number, number, number, number] | null;
}

/** Pinhole view of the table plane: focal length 1.2 of the frame's long side, the sheet's middle on the axis. */
function project(s: StandSettings): (x: number, y: number) => [number, number] {
  const [w, h] = s.paper;
  const turn = (-s.rotation * Math.PI) / 180;
  const tilt = (s.tilt * Math.PI) / 180;
  const toward = (-s.tiltToward * Math.PI) / 180;
  const focal = 1.2 * Math.max(s.width, s.height);
  const axis: [number, number] = [Math.cos(toward), Math.sin(toward)];
  const at =
    (distance: number) =>
    (x: number, y: number): [number, number] => {
      const [dx, dy] = [x - w / 2, y - h / 2];
      const px = dx * Math.cos(turn) - dy * Math.sin(turn);
      const py = dx * Math.sin(turn) + dy * Math.cos(turn);
      const along = px * axis[0] + py * axis[1];
      const depth = distance + along * Math.sin(tilt);
      const short = along * (Math.cos(tilt) - 1);
      return [s.width / 2 + (focal * (px + short * axis[0])) / depth, s.height / 2 + (focal * (py + short * axis[1])) / depth];
    };
  // Nearer or farther until the sheet fills the asked share of the frame.
  let [near, far] = [Math.max(w, h) * 0.4, Math.max(w, h) * 40];
  for (let i = 0; i < 50; i++) {
    const middle = Math.sqrt(near * far);
    const view = at(middle);
    const worst = Math.max(
      ...rectangleCorners(w, h).map(([x, y]) => {
        const [u, v] = view(x, y);
        return Math.max(Math.abs(u - s.width / 2) / (s.width / 2), Math.abs(v - s.height / 2) / (s.height / 2));
      }),
    );
    if (worst > s.fill) near = middle;
    else far = middle;
  }
  return at(far);
}

type Shade = (x: number, y: number) => readonly [number, number, number];

const lin = (hex: string) => [1, 3, 5].map((i) => linearFromByte[parseInt(hex.slice(i, i + 2), 16)]) as [number, number, number];

interface Thing {
  corners: Point[];
  colour: [number, number, number];
}

/** Colour of the table at a place in mm of the sheet's plane. */
function tableShade(s: StandSettings, random: Random): { shade: Shade; things: Thing[]; over: Thing[] } {
  const [w, h] = s.paper;
  const waves = Array.from({ length: 6 }, () => [0.02 + 0.05 * random(), random() * 6, 0.004 + 0.01 * random()]);
  const base = lin(s.tableColour ?? { plain: '#6f7a80', wood: '#9a6b42', cluttered: '#7d5a3e', similar: '#cfc6b4' }[s.table]);
  const plank = 90 + 50 * random();
  const wooden = s.table === 'wood' || s.table === 'cluttered';
  const shade: Shade = (x, y) => {
    let k = 1;
    if (wooden) {
      const drift = waves.reduce((t, [f, p, g]) => t + Math.sin(f * y * 6 + p + 3 * Math.sin(g * x)), 0) / 6;
      k = 1 + 0.22 * drift;
      const row = Math.floor((y + 2000) / plank);
      k *= 0.9 + 0.2 * (((row * 7919) % 13) / 13);
      if ((y + 2000) % plank < 1.4) k *= 0.35;
    } else k = 1 + 0.03 * Math.sin(0.03 * x + 0.05 * y);
    return [base[0] * k, base[1] * k, base[2] * k];
  };
  const things: Thing[] = [];
  if (s.table === 'cluttered') {
    const colours = ['#2e5f8a', '#b8443a', '#e2c14d', '#3f7a4c', '#e9e6df', '#2b2b2e', '#7f4a86'];
    for (let k = 0; k < 9; k++) {
      const side = Math.floor(random() * 4);
      const long = 40 + 130 * random();
      const broad = 7 + 34 * random();
      const gap = 14 + Math.hypot(long, broad) / 2 + 50 * random();
      const [cx, cy] =
        side === 0
          ? [random() * w, -gap]
          : side === 1
            ? [w + gap, random() * h]
            : side === 2
              ? [random() * w, h + gap]
              : [-gap, random() * h];
      things.push(bar(cx, cy, long, broad, random() * Math.PI, colours[k % colours.length]));
    }
  }
  // Things across an edge: half on the sheet at most, away from its corners.
  const over = Array.from({ length: s.laidOver ?? 0 }, (_, k) => {
    const along = 0.4 + 0.35 * random();
    const [cx, cy, out] = [
      [along * w, -18, 90],
      [w + 18, along * h, 0],
      [along * w, h + 18, 90],
      [-18, along * h, 0],
    ][Math.floor(4 * random())];
    return bar(cx, cy, 90, 8, ((out + 50 * (random() - 0.5)) * Math.PI) / 180, ['#d8a52e', '#35506b', '#a63a35'][k % 3]);
  });
  return { shade, things, over };
}

/** A bar of so many mm lying at an angle. */
function bar(cx: number, cy: number, long: number, broad: number, t: number, colour: string): Thing {
  const [c, n] = [Math.cos(t), Math.sin(t)];
  return {
    corners: [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([i, j]) => [cx + (i * long * c) / 2 - (j * broad * n) / 2, cy + (i * long * n) / 2 + (j * broad * c) / 2]),
    colour: lin(colour),
  };
}

function insideConvex(points: readonly Point[], x: number, y: number): boolean {
  let sign = 0;
  for (let i = 0; i < points.length; i++) {
    const [a, b] = [points[i], points[(i + 1) % points.length]];
    const c = (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0]);
    if (c === 0) continue;
    if (sign === 0) sign = Math.sign(c);
    else if (Math.sign(c) !== sign) return false;
  }
  return true;
}

/** Where the lens shows what a pinhole would show at `p`, and the other way round. */
function throughLens({ width, height, lens = 0 }: StandSettings) {
  const middle = [width / 2, height / 2];
  const reach = Math.hypot(...middle);
  const scaled = (p: Point, k: number): [number, number] => [middle[0] + (p[0] - middle[0]) * k, middle[1] + (p[1] - middle[1]) * k];
  const square = (p: Point) => ((p[0] - middle[0]) ** 2 + (p[1] - middle[1]) ** 2) / reach ** 2;
  return {
    straight: (p: Point) => scaled(p, 1 + lens * square(p)),
    bent: (p: Point) => {
      let q: Point = p;
      for (let i = 0; i < 12; i++) q = scaled(p, 1 / (1 + lens * square(q)));
      return [q[0], q[1]] as [number, number];
    },
  };
}

/** Photographs a sheet, or the table alone. The picture must have the paper's shape to within 2 %. */
export function photograph(sheet: RgbImage | null, s: StandSettings): StandPhoto {
  const [w, h] = s.paper;
  if (sheet && Math.abs(sheet.width / sheet.height / (w / h) - 1) > 0.02) throw new CoreError('paper.shape');
  const random = seededRandom(s.seed * 2654435761);
  const view = project(s);
  const corners = rectangleCorners(w, h).map(([x, y]) => view(x, y));
  const toSheet = invertHomography(fitHomography(rectangleCorners(w, h), corners));
  const { straight, bent } = throughLens(s);
  const { shade, things, over } = tableShade(s, random);
  const card: Point[] | null = s.greyCard
    ? [
        [w * 0.08, h + 6],
        [w * 0.08 + 60, h + 6],
        [w * 0.08 + 60, h + 30],
        [w * 0.08, h + 30],
      ]
    : null;
  const cardLight = linearFromByte[0x76];
  const lightFrom = random() * 2 * Math.PI;
  const [lx, ly] = [Math.cos(lightFrom), Math.sin(lightFrom)];
  const shadowAt: Point = [s.width * (0.2 + 0.6 * random()), s.height * 1.02];
  const channels = [plane(s.width, s.height), plane(s.width, s.height), plane(s.width, s.height)];
  const scale = sheet ? [sheet.width / w, sheet.height / h] : [1, 1];
  // As many samples a pixel as the sheet has pixels there, up to three each way.
  const across = Math.hypot(corners[1][0] - corners[0][0], corners[1][1] - corners[0][1]);
  const n = Math.min(3, Math.max(2, Math.ceil((sheet?.width ?? 0) / across)));
  const diagonal = Math.hypot(s.width, s.height) / 2;
  for (let y = 0; y < s.height; y++)
    for (let x = 0; x < s.width; x++) {
      let [r, g, b] = [0, 0, 0];
      for (let sy = 0; sy < n; sy++)
        for (let sx = 0; sx < n; sx++) {
          const at: Point = [x + (sx + 0.5) / n, y + (sy + 0.5) / n];
          const [px, py] = s.lens ? straight(at) : at;
          const q = toSheet[6] * px + toSheet[7] * py + toSheet[8];
          const mx = (toSheet[0] * px + toSheet[1] * py + toSheet[2]) / q;
          const my = (toSheet[3] * px + toSheet[4] * py + toSheet[5]) / q;
          const above = over.find((t) => insideConvex(t.corners, mx, my));
          if (sheet && !above && mx >= 0 && my >= 0 && mx < w && my < h) {
            const i =
              (Math.min(sheet.height - 1, Math.floor(my * scale[1])) * sheet.width + Math.min(sheet.width - 1, Math.floor(mx * scale[0]))) *
              3;
            r += linearFromByte[sheet.data[i]];
            g += linearFromByte[sheet.data[i + 1]];
            b += linearFromByte[sheet.data[i + 2]];
            continue;
          }
          if (card && insideConvex(card, mx, my)) {
            r += cardLight;
            g += cardLight;
            b += cardLight;
            continue;
          }
          const thing = above ?? things.find((t) => insideConvex(t.corners, mx, my));
          const c = thing ? thing.colour : shade(mx, my);
          // The sheet throws a narrow soft shadow on the table.
          const gap = Math.max(-mx, mx - w, -my, my - h);
          const dim = sheet && gap < 4 ? 0.72 + 0.07 * gap : 1;
          r += c[0] * dim;
          g += c[1] * dim;
          b += c[2] * dim;
        }
      const u = (x - s.width / 2) / diagonal;
      const v = (y - s.height / 2) / diagonal;
      let light = s.exposure * (1 - s.falloff * (0.5 + 0.5 * (u * lx + v * ly))) * (1 - s.vignette * (u * u + v * v));
      if (s.shadow) {
        const d = Math.hypot((x - shadowAt[0]) / (0.28 * s.width), (y - shadowAt[1]) / (0.35 * s.height));
        light *= 1 - 0.3 / (1 + Math.exp((d - 1) * 9));
      }
      const k = light / (n * n);
      const i = y * s.width + x;
      channels[0].data[i] = r * k * s.cast[0];
      channels[1].data[i] = g * k * s.cast[1];
      channels[2].data[i] = b * k * s.cast[2];
    }
  const data = new Uint8Array(s.width * s.height * 3);
  const soft = s.blur > 0.2 ? channels.map((c) => gaussian(c, s.blur)) : channels;
  for (let i = 0; i < s.width * s.height; i++) {
    const grain = s.noise > 0 ? normal(random) * s.noise : 0;
    for (let c = 0; c < 3; c++) {
      const value = byteFromLinear(soft[c].data[i]) + grain + (s.noise > 0 ? (random() - 0.5) * s.noise : 0);
      data[i * 3 + c] = Math.min(255, Math.max(0, Math.round(value)));
    }
  }
  return {
    image: { width: s.width, height: s.height, data },
    corners: corners.map(bent),
    grey: card && uprightInside(card.map(([x, y]) => bent(view(x, y)))),
  };
}

/** An upright rectangle well inside a convex quadrilateral. */
function uprightInside(quad: readonly Point[]): [number, number, number, number] {
  const cx = quad.reduce((s, p) => s + p[0], 0) / 4;
  const cy = quad.reduce((s, p) => s + p[1], 0) / 4;
  const rx = Math.max(...quad.map((p) => Math.abs(p[0] - cx)));
  const ry = Math.max(...quad.map((p) => Math.abs(p[1] - cy)));
  for (let k = 0.8; k > 0.05; k *= 0.9) {
    const box: Point[] = [
      [cx - k * rx, cy - k * ry],
      [cx + k * rx, cy - k * ry],
      [cx + k * rx, cy + k * ry],
      [cx - k * rx, cy + k * ry],
    ];
    if (box.every(([x, y]) => insideConvex(quad, x, y)))
      return [Math.ceil(cx - 0.8 * k * rx), Math.ceil(cy - 0.8 * k * ry), Math.floor(1.6 * k * rx), Math.floor(1.6 * k * ry)];
  }
  return [Math.floor(cx), Math.floor(cy), 1, 1];
}
