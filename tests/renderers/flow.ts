/** A loaded brush led along fields of direction: each stroke follows the field from where it is set down, takes its colour from a study beneath, and thins out. */
import { normal, Random } from '../../core/raster/statistics';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

type Field = (x: number, y: number) => number;
type Study = (x: number, y: number) => Colour;

interface Brush {
  /** px. */
  width: number;
  length: number;
  /** 0–1: how much of what lies beneath is hidden. */
  cover: number;
  /** 0 an even end, 1 drawn out to a point. */
  taper: number;
  /** Softness of its edge, px. */
  soft: number;
}

class Canvas {
  readonly px: Float32Array;
  private readonly laid: Float32Array;
  constructor(
    readonly side: number,
    ground: Study,
  ) {
    this.px = new Float32Array(3 * side * side);
    this.laid = new Float32Array(side * side);
    for (let i = 0; i < side * side; i++) this.px.set(ground(i % side, Math.floor(i / side)), 3 * i);
  }

  /** One stroke: its mask is the most that any touch of it covers, so that it does not darken where it lies on itself. */
  stroke(path: readonly (readonly [x: number, y: number, half: number])[], colour: Colour, { cover, soft }: Brush): void {
    const { side, px, laid } = this;
    const touched: number[] = [];
    for (const [x, y, half] of path) {
      const reach = half + soft;
      for (let j = Math.max(0, Math.floor(y - reach)); j <= Math.min(side - 1, Math.ceil(y + reach)); j++)
        for (let i = Math.max(0, Math.floor(x - reach)); i <= Math.min(side - 1, Math.ceil(x + reach)); i++) {
          const on = cover * Math.min(1, Math.max(0, (half - Math.hypot(i - x, j - y)) / Math.max(1, soft) + 0.5));
          const at = j * side + i;
          if (on <= laid[at]) continue;
          if (!laid[at]) touched.push(at);
          laid[at] = on;
        }
    }
    for (const at of touched) {
      for (let c = 0; c < 3; c++) px[3 * at + c] += laid[at] * (colour[c] - px[3 * at + c]);
      laid[at] = 0;
    }
  }

  done(sheet: Colour | null): Drawn {
    const data = Uint8Array.from(this.px, (v) => Math.min(255, Math.max(0, Math.round(v))));
    return { image: { width: this.side, height: this.side, data }, sheet };
  }
}

/** Follows a field both in steps of a px and a half; a brush lifts toward its end. */
function along(field: Field, x: number, y: number, { width, length, taper }: Brush): [number, number, number][] {
  const path: [number, number, number][] = [];
  const steps = Math.max(2, Math.round(length / 1.5));
  for (let k = 0; k <= steps; k++) {
    const t = k / steps;
    path.push([x, y, (width / 2) * (1 - taper * (1 - Math.sin(Math.PI * (0.12 + 0.88 * t)) ** 0.6))]);
    const way = field(x, y);
    x += 1.5 * Math.cos(way);
    y += 1.5 * Math.sin(way);
  }
  return path;
}

/** Directions that turn softly over the sheet, by `turn` rad in all; some circle about a place. */
function bending(side: number, turn: number, r: Random): Field {
  const base = 2 * Math.PI * r();
  const waves = Array.from({ length: 4 }, () => [(2 + 3 * r()) / side, 6.3 * r(), 6.3 * r()]);
  const [cx, cy] = [side * (r() * 1.6 - 0.3), side * (r() * 1.6 - 0.3)];
  if (turn > 0.8 && r() < 0.5) return (x, y) => Math.atan2(y - cy, x - cx) + Math.PI / 2 + 0.1 * Math.sin(base + (3 * x) / side);
  return (x, y) => base + (turn / 3) * waves.reduce((s, [f, a, p]) => s + Math.sin(f * (x * Math.cos(a) + y * Math.sin(a)) + p), 0);
}

/** Soft lights of a few colours, as a study laid in before. */
function someStudy(side: number, colours: readonly Colour[], r: Random): Study {
  const lights = colours.map((colour) => ({ colour, x: side * r(), y: side * r(), wide: side * (0.2 + 0.3 * r()) }));
  return (x, y) => {
    let [sum, red, green, blue] = [1e-6, 0, 0, 0];
    for (const { colour, x: cx, y: cy, wide } of lights) {
      const w = Math.exp(-((x - cx) ** 2 + (y - cy) ** 2) / (2 * wide * wide)) + 0.01;
      sum += w;
      red += w * colour[0];
      green += w * colour[1];
      blue += w * colour[2];
    }
    return [red / sum, green / sum, blue / sum];
  };
}

const shifted = (c: Colour, light: number, hue: number): Colour => [c[0] + light + hue, c[1] + light, c[2] + light - hue];

/** Where it is worked: all over, or within a soft form. */
function somewhere(side: number, everywhere: number, r: Random): (x: number, y: number) => boolean {
  if (r() < everywhere) return () => true;
  const [cx, cy, size, p] = [side * (0.25 + 0.5 * r()), side * (0.25 + 0.5 * r()), side * (0.28 + 0.25 * r()), 6.3 * r()];
  return (x, y) => Math.hypot(x - cx, y - cy) < size * (1 + 0.25 * Math.sin(2 * Math.atan2(y - cy, x - cx) + p));
}

/** Strokes set down row by row across a field, as many as lie `gap` apart, in one ink. */
function led(
  canvas: Canvas,
  field: Field,
  brush: Brush,
  gap: number,
  ink: Colour,
  within: (x: number, y: number) => boolean,
  r: Random,
): void {
  const { side } = canvas;
  const loose = 0.12 + 0.3 * r();
  // Rows of a field that turns draw apart and together: a stroke is set down only where none passes.
  const cell = Math.max(1, gap * 0.8);
  const n = Math.ceil(side / cell) + 2;
  const taken = new Uint8Array(n * n);
  const key = (x: number, y: number) =>
    Math.min(n - 1, Math.max(0, Math.floor(y / cell))) * n + Math.min(n - 1, Math.max(0, Math.floor(x / cell)));
  for (let tries = 0; tries < 5 * n * n; tries++) {
    const [x, y] = [side * r(), side * r()];
    if (!within(x, y) || taken[key(x, y)]) continue;
    const path = along(field, x, y, { ...brush, length: brush.length * (0.6 + 0.8 * r()) });
    const kept = path.findIndex(([a, b], k) => k > 3 && (!within(a, b) || taken[key(a, b)] > 1));
    const whole = kept < 0 ? path : path.slice(0, kept);
    if (whole.length * 1.5 < 2 * gap) continue;
    const own = new Set(whole.map(([a, b]) => key(a, b)));
    for (const k of own) taken[k]++;
    canvas.stroke(
      whole.map(([a, b, h]) => [a, b, h * (1 - loose * 0.5 + loose * r() * 0.3)]),
      ink,
      brush,
    );
  }
}

const pen = (r: Random, length: number): Brush => ({ width: 1.4 + 3 * r(), length, cover: 0.7 + 0.3 * r(), taper: r(), soft: 1 });

/** A ground of one colour or, often, a study in paint. */
function grounded(side: number, { sheet, inks }: Colours, r: Random): { canvas: Canvas; ink: Colour; sheet: Colour | null } {
  if (r() < 0.6) return { canvas: new Canvas(side, () => sheet), ink: inks[0], sheet };
  const base = inks[1 + Math.floor((inks.length - 1) * r())] ?? inks[0];
  const light = 0.3 * base[0] + 0.59 * base[1] + 0.11 * base[2] > 128 ? -1 : 1;
  const study = someStudy(side, [base, shifted(base, 12 * normal(r), 8 * normal(r)), shifted(base, 12 * normal(r), 0)], r);
  return { canvas: new Canvas(side, study), ink: shifted(base, light * (55 + 40 * r()), 15 * normal(r)), sheet: null };
}

function hatched(side: number, colours: Colours, turn: number, sets: number, r: Random): Drawn {
  const { canvas, ink, sheet } = grounded(side, colours, r);
  const within = somewhere(side, 0.65, r);
  const brush = pen(r, side * (0.2 + 0.5 * r()));
  const gap = brush.width * (1.8 + 1.6 * r()) + 1.5;
  const field = bending(side, turn, r);
  const apart = 0.7 + 0.8 * r();
  for (let k = 0; k < sets; k++) led(canvas, (x, y) => field(x, y) + k * apart, brush, gap, ink, within, r);
  return canvas.done(sheet);
}

export const FLOW: StrokeModel = {
  'parallel-hatch': (side, colours, r) => hatched(side, colours, 0.12 * r(), 1, r),
  'cross-hatch': (side, colours, r) => hatched(side, colours, 0.2 * r(), 2, r),
  'contour-hatch': (side, colours, r) => hatched(side, colours, 1.2 + 1.2 * r(), 1, r),
  stipple: (side, colours, r) => {
    const { canvas, ink, sheet } = grounded(side, colours, r);
    const within = somewhere(side, 0.5, r);
    const brush: Brush = { width: 1.8 + 3 * r(), length: 2 * r(), cover: 0.8 + 0.2 * r(), taper: 0, soft: 1 };
    const field = bending(side, 3, r);
    const many = ((0.4 + 0.9 * r()) * (side / (brush.width + 3)) ** 2) / 1.5;
    for (let k = 0; k < many; k++) {
      const [x, y] = [side * r(), side * r()];
      if (within(x, y)) canvas.stroke(along(field, x, y, { ...brush, width: brush.width * (0.7 + 0.6 * r()) }), ink, brush);
    }
    return canvas.done(sheet);
  },
  scribble: (side, colours, r) => {
    const { canvas, ink, sheet } = grounded(side, colours, r);
    const brush = pen(r, side * (3 + 4 * r()));
    for (let k = 0; k < 2 + 3 * r(); k++) {
      // Led by its own unrest, not by the place, and drawn back to the middle.
      let [way, turn] = [6.3 * r(), 0.15 * normal(r)];
      const [kept, wild] = [0.1 + 0.12 * r(), 0.05 + 0.12 * r()];
      const [cx, cy] = [side * (0.3 + 0.4 * r()), side * (0.3 + 0.4 * r())];
      const field: Field = (x, y) => {
        turn = 0.92 * turn + wild * normal(r);
        const off = Math.hypot(x - cx, y - cy) / side;
        if (off > 0.3) turn += kept * Math.sin(Math.atan2(cy - y, cx - x) - way);
        return (way += turn);
      };
      canvas.stroke(along(field, cx + 0.2 * side * normal(r), cy + 0.2 * side * normal(r), { ...brush, taper: 0 }), ink, brush);
    }
    return canvas.done(sheet);
  },
  line: (side, colours, r) => {
    const { canvas, ink, sheet } = grounded(side, colours, r);
    const brush = { ...pen(r, 0), width: 1.6 + 3.4 * r() };
    const many = 3 + Math.floor(5 * r());
    for (let k = 0; k < many; k++) {
      const field = bending(side, 2.5 * r(), r);
      canvas.stroke(along(field, side * r(), side * r(), { ...brush, length: side * (0.3 + 0.9 * r()) }), ink, brush);
    }
    return canvas.done(sheet);
  },
  dabs: (side, { sheet, inks }, r) => {
    const study = someStudy(side, [...inks, sheet], r);
    const canvas = new Canvas(side, study);
    const brush: Brush = { width: 5 + 9 * r(), length: 0, cover: 0.75 + 0.25 * r(), taper: 0.7 * r(), soft: 1 + 1.5 * r() };
    const long = brush.width * (0.6 + 2.2 * r());
    const [varied, hue, field] = [9 + 18 * r(), 12 * r(), bending(side, 2.5 * r(), r)];
    const many = (2.2 * side * side) / (brush.width * (long + brush.width));
    for (let k = 0; k < many; k++) {
      const [x, y] = [side * r(), side * r()];
      const colour = shifted(study(x, y), varied * normal(r), hue * normal(r));
      canvas.stroke(
        along((a, b) => field(a, b) + 0.1, x, y, { ...brush, length: long * (0.7 + 0.6 * r()) }),
        colour,
        brush,
      );
    }
    return canvas.done(null);
  },
  'smooth-shading': (side, { sheet, inks }, r) => {
    // Many soft strokes, each hardly seen, that follow a form.
    const study = someStudy(side, [sheet, ...inks.slice(0, 2)], r);
    const canvas = new Canvas(side, () => study(side / 2, side / 2));
    const brush: Brush = {
      width: side * (0.08 + 0.1 * r()),
      length: side * 0.35,
      cover: 0.1 + 0.12 * r(),
      taper: 0.4,
      soft: side * (0.08 + 0.08 * r()),
    };
    const field = bending(side, 2 * r(), r);
    for (let k = 0; k < 160; k++) {
      const [x, y] = [side * (1.2 * r() - 0.1), side * (1.2 * r() - 0.1)];
      canvas.stroke(
        along(field, x, y, brush).filter((_, i) => i % 4 === 0),
        shifted(study(x, y), 4 * normal(r), 2 * normal(r)),
        brush,
      );
    }
    return canvas.done(null);
  },
  wash: (side, { sheet, inks }, r) => {
    // A few broad strokes of thin colour, uneven within, that show where they overlap.
    const canvas = new Canvas(side, () => sheet);
    const field = bending(side, 0.8 * r(), r);
    const many = 3 + Math.floor(4 * r());
    const paints = inks.slice(0, 1 + Math.floor(2 * r()));
    for (let k = 0; k < many; k++) {
      const paint = paints[k % paints.length];
      const brush: Brush = {
        width: side * (0.25 + 0.3 * r()),
        length: side * (0.7 + 0.5 * r()),
        cover: 0.25 + 0.3 * r(),
        taper: 0,
        soft: 1.5,
      };
      const [x, y] = [side * (0.9 * r() - 0.1), side * (0.9 * r() - 0.1)];
      const [beat, sway] = [6.3 * r(), 0.05 + 0.12 * r()];
      const path = along(field, x, y, brush)
        .filter((_, i) => i % 3 === 0)
        .map(([u, v, half], i): [number, number, number] => [u, v, half * (1 + sway * Math.sin(beat + i / 4) + 0.04 * normal(r))]);
      canvas.stroke(path, paint, brush);
      // Water let in: lighter and darker places that run out softly.
      for (let j = 0; j < 6; j++) {
        const [px, py] = path[Math.floor(path.length * r())];
        const wide = brush.width * (0.25 + 0.3 * r());
        const spot: Brush = { ...brush, cover: 0.18 * r() + 0.14, soft: wide };
        canvas.stroke(
          [[px + 0.3 * brush.width * normal(r), py + 0.3 * brush.width * normal(r), wide / 2]],
          r() < 0.5 ? sheet : paint,
          spot,
        );
      }
    }
    const settle = 2 + 4 * r();
    for (let i = 0; i < canvas.px.length; i += 3) {
      const g = settle * normal(r);
      for (let c = 0; c < 3; c++) canvas.px[i + c] += g;
    }
    return canvas.done(sheet);
  },
};
