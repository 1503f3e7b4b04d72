/** Knows how patches of every kind of mark look in every dry and wet medium, drawn from numbers that are kept as their truth. */
import { labFromLinear } from '../core/colour/lab';
import { linearFromByte } from '../core/colour/srgb';
import type { MarkKind } from '../core/marks/kinds';
import { gaussian } from '../core/raster/filters';
import { Plane, plane, RgbImage } from '../core/raster/image';
import { normal, Random, seededRandom } from '../core/raster/statistics';
import { layStroke, noiseField, swelling } from './easel';
import { P } from './sheet';

export const PATCH_MEDIA = ['pen', 'pencil', 'crayon', 'chalk', 'brush'] as const;
export type PatchMedium = (typeof PATCH_MEDIA)[number];

interface PatchTruth {
  kind: PatchKind;
  medium: PatchMedium;
  /** Degrees anticlockwise as seen; px. Null where the kind has none. */
  angle: number | null;
  crossing: number | null;
  spacing: number | null;
  width: number | null;
  length: number | null;
}

export interface Patch {
  image: RgbImage;
  /** Bare sheet in Lab, as a reader who knows the whole picture would know it. */
  ground: readonly number[];
  /** The same in sRGB; null where all is covered. */
  sheet: Colour | null;
  truth: PatchTruth;
}

type Colour = readonly [number, number, number];

/** What a medium leaves: its colours, how much it covers, how far the paper's tooth breaks it, how soft its rim is. */
interface Look {
  grounds: readonly Colour[];
  inks: readonly Colour[];
  cover: readonly [number, number];
  /** 0 fills every hollow, 1 touches only the tops. */
  tooth: readonly [number, number];
  width: readonly [number, number];
  swell: number;
  blur: number;
}

const WHITE: readonly Colour[] = [
  [244, 240, 230],
  [236, 228, 208],
  [226, 214, 188],
];
const LOOKS: Readonly<Record<PatchMedium, Look>> = {
  pen: {
    grounds: WHITE,
    inks: [
      [28, 32, 48],
      [60, 40, 28],
      [20, 20, 20],
    ],
    cover: [0.9, 1],
    tooth: [0, 0.08],
    width: [1.2, 4],
    swell: 0.1,
    blur: 0.5,
  },
  pencil: {
    grounds: WHITE,
    inks: [
      [70, 70, 74],
      [96, 92, 92],
    ],
    cover: [0.55, 0.85],
    tooth: [0.15, 0.4],
    width: [1.6, 4],
    swell: 0.15,
    blur: 0.7,
  },
  crayon: {
    grounds: WHITE,
    inks: [
      [170, 60, 50],
      [50, 80, 150],
      [60, 110, 70],
    ],
    cover: [0.7, 0.95],
    tooth: [0.3, 0.55],
    width: [3, 6],
    swell: 0.15,
    blur: 0.8,
  },
  chalk: {
    grounds: [
      [120, 118, 112],
      [96, 104, 110],
      [136, 120, 100],
    ],
    inks: [
      [240, 238, 230],
      [232, 226, 206],
    ],
    cover: [0.65, 0.9],
    tooth: [0.25, 0.5],
    width: [2.5, 6],
    swell: 0.2,
    blur: 0.8,
  },
  brush: {
    grounds: WHITE,
    inks: [
      [36, 44, 60],
      [80, 52, 36],
    ],
    cover: [0.6, 0.95],
    tooth: [0, 0.25],
    width: [2, 6],
    swell: 0.35,
    blur: 0.7,
  },
};

const between = (r: Random, [low, high]: readonly [number, number]) => low + (high - low) * r();
const pick = <T>(r: Random, list: readonly T[]): T => list[Math.floor(r() * list.length)];

interface Hatching {
  angle: number;
  spacing: number;
  width: number;
  length: number;
  jitter: number;
  /** Curvature, 1 / px. */
  bend: number;
  swell: number;
}

function hatching(to: Plane, h: Hatching, r: Random): void {
  const t = (h.angle * Math.PI) / 180;
  const [ux, uy] = [Math.cos(t), -Math.sin(t)];
  const reach = Math.hypot(to.width, to.height) / 2;
  const [cx, cy] = [to.width / 2, to.height / 2];
  const count = 9;
  for (let v = -reach; v < reach; v += h.spacing * Math.max(0.35, 1 + h.jitter * normal(r)))
    for (let u = -reach - r() * h.length; u < reach;) {
      const long = h.length * (0.8 + 0.4 * r());
      const off = 0.25 * h.jitter * h.spacing * normal(r);
      const points = Array.from({ length: count }, (_, i): P => {
        const a = u + (long * i) / (count - 1);
        const b = v + off + (h.bend / 2) * a * a;
        return [cx + a * ux - b * uy, cy + a * uy + b * ux];
      });
      layStroke(to, points, swelling(h.width, h.swell, count));
      u += long + h.width + 3 + 3 * r();
    }
}

/** A wandering line: direction drifts with the given unrest, turned back at the edges. */
function wander(side: number, unrest: number, steps: number, stride: number, r: Random): P[] {
  let [x, y, a, turn] = [side * (0.2 + 0.6 * r()), side * (0.2 + 0.6 * r()), 2 * Math.PI * r(), 0];
  return Array.from({ length: steps }, (): P => {
    turn = 0.8 * turn + unrest * normal(r);
    a += turn;
    const home = Math.atan2(side / 2 - y, side / 2 - x);
    if (Math.hypot(side / 2 - x, side / 2 - y) > 0.42 * side) a += 0.35 * Math.sin(home - a);
    x += stride * Math.cos(a);
    y += stride * Math.sin(a);
    return [x, y];
  });
}

type Draw = (side: number, look: Look, r: Random) => { cover: Plane; truth: Partial<PatchTruth>; wet?: boolean };

const hatchOf = (look: Look, r: Random, most = 40) => {
  const spacing = 7 + (most - 7) * r() ** 1.6;
  const width = Math.min(between(r, look.width), 0.5 * spacing);
  return { angle: 180 * r(), spacing, width, length: 45 + 70 * r(), jitter: 0.25 * r(), bend: 0, swell: look.swell };
};
const truthOf = ({ angle, spacing, width, length }: Hatching): Partial<PatchTruth> => ({ angle, spacing, width, length });

const DRAW: Readonly<Record<Exclude<MarkKind, 'dabs'>, Draw>> = {
  blank: (side) => ({ cover: plane(side, side), truth: {} }),
  flat: (side, _look, r) => {
    const cover = plane(side, side);
    cover.data.fill(0.35 + 0.6 * r());
    return { cover, truth: {}, wet: true };
  },
  'smooth-shading': (side, _look, r) => {
    // Rubbed tone: one slope, or a soft form, without an edge.
    const cover = plane(side, side);
    const [t, low, high, round] = [2 * Math.PI * r(), 0.08 + 0.1 * r(), 0.55 + 0.35 * r(), r() < 0.5];
    const [cx, cy] = [side * (0.3 + 0.4 * r()), side * (0.3 + 0.4 * r())];
    for (let i = 0; i < side * side; i++) {
      const [x, y] = [i % side, Math.floor(i / side)];
      const s = round
        ? Math.min(1, Math.hypot(x - cx, y - cy) / (0.75 * side))
        : 0.5 + ((x - side / 2) * Math.cos(t) + (y - side / 2) * Math.sin(t)) / (1.3 * side);
      cover.data[i] = low + (high - low) * (0.5 - 0.5 * Math.cos(Math.PI * Math.min(1, Math.max(0, s))));
    }
    return { cover, truth: {}, wet: true };
  },
  wash: (side, _look, r) => {
    // Fields with a wandering, darker rim, laid over each other; pigment settles in grains.
    const cover = plane(side, side);
    const grains = noiseField(side, side, 1.4 + r(), r);
    const strength = 0.2 + 0.3 * r();
    const settle = 0.05 + 0.06 * r();
    for (let k = 0, n = 2 + Math.floor(3 * r()); k < n; k++) {
      const [cx, cy, a] = [side * r(), side * r(), side * (0.3 + 0.4 * r())];
      const waves = Array.from({ length: 5 }, (_, j) => [(0.16 * normal(r)) / (j + 1), 2 * Math.PI * r()] as const);
      const rim = 2 + 2 * r();
      for (let i = 0; i < side * side; i++) {
        const [dx, dy] = [(i % side) - cx, Math.floor(i / side) - cy];
        const angle = Math.atan2(dy, dx);
        const edge = a * (1 + waves.reduce((s, [m, p], j) => s + m * Math.sin((j + 2) * angle + p), 0));
        const inside = edge - Math.hypot(dx, dy);
        if (inside <= -1) continue;
        const wet = Math.min(1, inside + 1) * strength * (1 + 0.9 * Math.exp(-((inside / rim) ** 2)));
        cover.data[i] = Math.min(1, cover.data[i] + wet * (1 + (settle / strength) * grains.data[i]));
      }
    }
    return { cover, truth: {}, wet: true };
  },
  stipple: (side, look, r) => {
    const cover = plane(side, side);
    const gap = 9 + 12 * r();
    const size = Math.min(0.5 * gap, between(r, look.width) + 1);
    for (let y = gap / 2; y < side; y += gap)
      for (let x = gap / 2; x < side; x += gap) {
        const at: P = [x + 0.35 * gap * normal(r), y + 0.35 * gap * normal(r)];
        layStroke(cover, [at, [at[0] + 0.6 * normal(r), at[1] + 0.4]], [size * (0.8 + 0.4 * r()), size]);
      }
    return { cover, truth: {} };
  },
  'parallel-hatch': (side, look, r) => {
    const cover = plane(side, side);
    const h = hatchOf(look, r);
    hatching(cover, h, r);
    return { cover, truth: truthOf(h) };
  },
  'cross-hatch': (side, look, r) => {
    const cover = plane(side, side);
    const h = { ...hatchOf(look, r, 22), jitter: 0.15 * r() };
    const crossing = 35 + 55 * r();
    hatching(cover, h, r);
    hatching(cover, { ...h, angle: (h.angle + crossing) % 180 }, r);
    return { cover, truth: { ...truthOf(h), crossing } };
  },
  'contour-hatch': (side, look, r) => {
    const cover = plane(side, side);
    const h = { ...hatchOf(look, r, 24), length: 90 + 60 * r(), jitter: 0.15 * r(), bend: (r() < 0.5 ? -1 : 1) * (0.0035 + 0.0035 * r()) };
    hatching(cover, h, r);
    return { cover, truth: { ...truthOf(h), angle: null } };
  },
  scribble: (side, look, r) => {
    const cover = plane(side, side);
    const width = between(r, look.width);
    for (let k = 0; k < 3; k++) {
      const points = wander(side, 0.12 + 0.08 * r(), 420, 4, r);
      layStroke(
        cover,
        points,
        points.map(() => width),
      );
    }
    return { cover, truth: { width } };
  },
  line: (side, look, r) => {
    const cover = plane(side, side);
    const width = between(r, look.width);
    for (let k = 0, n = 1 + Math.floor(3 * r()); k < n; k++) {
      const points = wander(side, 0.012, 45, 6, r);
      layStroke(cover, points, swelling(width, look.swell, points.length));
    }
    return { cover, truth: { width } };
  },
};

export type PatchKind = keyof typeof DRAW;
export const PATCH_KINDS = Object.keys(DRAW) as PatchKind[];

/** A patch of one kind in one medium, the same for the same seed. */
export function drawPatch(kind: PatchKind, medium: PatchMedium, seed: number, side = 300): Patch {
  const r = seededRandom((seed * PATCH_MEDIA.length + PATCH_MEDIA.indexOf(medium)) * PATCH_KINDS.length + PATCH_KINDS.indexOf(kind) + 7);
  const look = LOOKS[medium];
  const ground = pick(r, look.grounds);
  const ink = pick(r, look.inks);
  const { cover, truth, wet } = DRAW[kind](side, look, r);
  const opacity = between(r, look.cover);
  // Wet and rubbed colour fills the hollows; dry strokes catch on the tops.
  const broken = between(r, look.tooth);
  const tooth = noiseField(side, side, 1.1 + 0.7 * r(), r);
  const sheet = noiseField(side, side, 1.5, r);
  for (let i = 0; i < cover.data.length; i++) {
    const bite = wet ? 1 : Math.min(1, Math.max(0, 0.5 + (2.2 - 3.4 * broken - tooth.data[i]) / 0.9));
    cover.data[i] *= opacity * bite;
  }
  const soft = gaussian(cover, look.blur * (0.8 + 0.5 * r()));
  const noise = 0.8 + 1.6 * r();
  const fibre = 0.6 + 0.9 * r();
  const data = new Uint8Array(side * side * 3);
  for (let i = 0; i < side * side; i++) {
    const shade = noise * normal(r) + fibre * sheet.data[i];
    for (let c = 0; c < 3; c++)
      data[3 * i + c] = Math.min(255, Math.max(0, Math.round(ground[c] + (ink[c] - ground[c]) * soft.data[i] + shade)));
  }
  const none = { angle: null, crossing: null, spacing: null, width: null, length: null };
  const [red, green, blue] = ground.map((v) => linearFromByte[v]);
  return {
    image: { width: side, height: side, data },
    ground: labFromLinear(red, green, blue),
    sheet: kind === 'flat' || kind === 'smooth-shading' ? null : ground,
    truth: { ...none, ...truth, kind, medium },
  };
}
