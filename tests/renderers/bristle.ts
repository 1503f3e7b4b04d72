/** A loaded brush: some dozens of bristles, each with its own paint, laid down stamp by stamp until they run dry. */
import { normal, Random } from '../../core/raster/statistics';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

interface Canvas {
  side: number;
  data: Float32Array;
  /** Thickness of paint, for the light that ridges catch. */
  body: Float32Array;
}

const canvasOf = (side: number, [r, g, b]: Colour): Canvas => {
  const data = new Float32Array(3 * side * side);
  for (let i = 0; i < data.length; i += 3) data.set([r, g, b], i);
  return { side, data, body: new Float32Array(side * side) };
};

interface Brush {
  breadth: number;
  bristles: number;
  /** 1 covers, 0 leaves nothing. */
  opacity: number;
  /** How much each bristle's colour and height differ. */
  streak: number;
  /** How soon it runs dry, shares a px. */
  drying: number;
}

function stroke(
  canvas: Canvas,
  brush: Brush,
  path: (t: number) => readonly [number, number],
  length: number,
  paint: Colour,
  r: Random,
): void {
  const { side, data, body } = canvas;
  const bristles = Array.from({ length: brush.bristles }, (_, k) => ({
    off: ((k + 0.5) / brush.bristles - 0.5) * brush.breadth + 0.3 * normal(r),
    shift: brush.streak * normal(r),
    load: 0.6 + 0.6 * r(),
    start: 0.05 * r(),
    end: 1 - 0.12 * r() ** 2,
  }));
  const thick = (0.75 * brush.breadth) / brush.bristles + 0.45;
  const steps = Math.max(4, Math.ceil(length));
  for (let k = 0; k <= steps; k++) {
    const t = k / steps;
    const [x, y] = path(t);
    const [x2, y2] = path(Math.min(1, t + 0.01));
    const [x1, y1] = path(Math.max(0, t - 0.01));
    const n = Math.hypot(x2 - x1, y2 - y1) || 1;
    const [nx, ny] = [-(y2 - y1) / n, (x2 - x1) / n];
    // The tuft opens as it is pressed and closes as it is lifted.
    const open = Math.min(1, 0.55 + 2.5 * t, 0.5 + 3 * (1 - t));
    for (const b of bristles) {
      if (t < b.start || t > b.end) continue;
      const wet = b.load * Math.exp(-brush.drying * t * length);
      if (wet < 0.25 && r() > 3 * wet) continue;
      const [px, py] = [x + nx * b.off * open, y + ny * b.off * open];
      const radius = thick;
      for (let j = Math.max(0, Math.floor(py - radius - 0.5)); j <= Math.min(side - 1, Math.ceil(py + radius)); j++)
        for (let i = Math.max(0, Math.floor(px - radius - 0.5)); i <= Math.min(side - 1, Math.ceil(px + radius)); i++) {
          const c =
            Math.min(1, Math.max(0, radius + 0.5 - Math.hypot(i + 0.5 - px, j + 0.5 - py))) * brush.opacity * Math.min(1, 0.5 + wet);
          if (c <= 0) continue;
          const at = j * side + i;
          for (let q = 0; q < 3; q++) data[3 * at + q] += c * (paint[q] + b.shift - data[3 * at + q]);
          body[at] += c * (0.6 + b.shift / 40 - body[at]) * 0.7;
        }
    }
  }
}

function finished({ side, data, body }: Canvas, sheet: Colour | null, relief: number): Drawn {
  const out = new Uint8Array(3 * side * side);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const i = y * side + x;
      const lit = relief * (body[i] - body[Math.max(0, y - 1) * side + Math.max(0, x - 1)]);
      for (let c = 0; c < 3; c++) out[3 * i + c] = Math.min(255, Math.max(0, Math.round(data[3 * i + c] + lit)));
    }
  return { image: { width: side, height: side, data: out }, sheet };
}

const someBrush = (r: Random, breadth: number): Brush => ({
  breadth,
  bristles: Math.max(4, Math.round(breadth * (0.5 + 0.6 * r()))),
  opacity: 0.55 + 0.45 * r(),
  streak: 1 + 9 * r() ** 2,
  drying: 0.012 * r() ** 2,
});

const varied = (colour: Colour, by: number, r: Random): Colour => {
  const light = by * normal(r);
  return [colour[0] + light + 0.5 * by * normal(r), colour[1] + light + 0.5 * by * normal(r), colour[2] + light + 0.5 * by * normal(r)];
};

const straight =
  (x: number, y: number, a: number, long: number, bow = 0) =>
  (t: number) =>
    [
      x + (t - 0.5) * long * Math.cos(a) - bow * long * (t - 0.5) ** 2 * Math.sin(a),
      y + (t - 0.5) * long * Math.sin(a) + bow * long * (t - 0.5) ** 2 * Math.cos(a),
    ] as const;

function rowsOf(side: number, { sheet, inks }: Colours, turn: number, r: Random): Drawn {
  const canvas = canvasOf(side, sheet);
  const breadth = 2 + 5 * r();
  const gap = breadth * (1.7 + 1.3 * r());
  const [a, long] = [Math.PI * r(), 40 + 100 * r()];
  const uneven = 0.2 * r();
  const bend = turn / (1.3 * side);
  for (let v = -side; v < side; v += gap * (1 + uneven * normal(r)))
    for (let u = -side + long * r(); u < side; u += long * (1.1 + 0.1 * r())) {
      const path = (t: number) => {
        const p = u + (t - 0.5) * long;
        const q = v + (bend / 2) * p * p;
        return [side / 2 + p * Math.cos(a) - q * Math.sin(a), side / 2 + p * Math.sin(a) + q * Math.cos(a)] as const;
      };
      const [mx, my] = path(0.5);
      if (mx < -long || my < -long || mx > side + long || my > side + long) continue;
      stroke(canvas, someBrush(r, breadth * (0.8 + 0.4 * r())), path, long, inks[0], r);
    }
  return finished(canvas, sheet, 8 * r());
}

export const BRISTLE: StrokeModel = {
  dabs: (side, { sheet, inks }, r) => {
    const canvas = canvasOf(side, sheet);
    const breadth = 5 + 16 * r() ** 1.3;
    const long = breadth * (1.2 + 3 * r());
    const a0 = 2 * Math.PI * r();
    const [turn, wild] = [2.5 * (r() - 0.5), r() < 0.4 ? 1.2 : 0.25];
    const many = ((side * side) / (breadth * long)) * (1.6 + 2 * r());
    const spread = 8 + 30 * r();
    const relief = 30 * r() ** 1.5;
    const under = inks[Math.floor(inks.length * r())];
    const covered = r() < 0.8;
    if (covered) for (let i = 0; i < canvas.data.length; i++) canvas.data[i] = under[i % 3];
    for (let k = 0; k < many; k++) {
      const [x, y] = [side * (1.1 * r() - 0.05), side * (1.1 * r() - 0.05)];
      const a = a0 + (turn * (x + y)) / side + wild * normal(r);
      const colour = varied(inks[Math.floor(inks.length * Math.min(0.999, Math.max(0, x / side + 0.35 * normal(r))))], spread, r);
      stroke(
        canvas,
        someBrush(r, breadth * (0.6 + 0.6 * r())),
        straight(x, y, a, long * (0.6 + 0.7 * r()), 0.5 * (r() - 0.5)),
        long,
        colour,
        r,
      );
    }
    return finished(canvas, covered ? null : sheet, relief);
  },
  'parallel-hatch': (side, colours, r) => rowsOf(side, colours, 0.3 * (r() - 0.5), r),
  'contour-hatch': (side, colours, r) => rowsOf(side, colours, (r() < 0.5 ? -1 : 1) * (1 + 0.9 * r()), r),
  flat: (side, { sheet, inks }, r) => {
    const canvas = canvasOf(side, sheet);
    const brush = { ...someBrush(r, 26), opacity: 1, streak: 0.6 * r(), drying: 0 };
    const a = Math.PI * r();
    for (let v = -side; v < side; v += 10)
      stroke(canvas, brush, straight(side / 2 - v * Math.sin(a), side / 2 + v * Math.cos(a), a, 2 * side), 2 * side, inks[0], r);
    return finished(canvas, null, 0);
  },
  wash: (side, { sheet, inks }, r) => {
    // Broad, watery strokes over each other; each leaves a little more paint along its own sides.
    const canvas = canvasOf(side, sheet);
    const covered = r() < 0.4;
    if (covered) for (let i = 0; i < canvas.data.length; i++) canvas.data[i] += 0.3 * (inks[0][i % 3] - canvas.data[i]);
    const [a0, breadth] = [Math.PI * r(), side * (0.15 + 0.25 * r())];
    const grain = 5 * r() ** 2;
    for (let k = 0, n = 4 + Math.floor(6 * r()); k < n; k++) {
      const [x, y, a] = [side * r(), side * r(), a0 + 0.5 * normal(r)];
      const long = side * (0.4 + 0.9 * r());
      const bow = 0.5 * (r() - 0.5);
      const paint = inks[Math.floor(1.6 * r())] ?? inks[0];
      const [water, rim] = [0.12 + 0.25 * r(), 0.5 * r()];
      const waves = Array.from({ length: 4 }, () => [3 * r(), 0.02 + 0.08 * r(), 6 * r()]);
      for (let j = 0; j < side; j++)
        for (let i = 0; i < side; i++) {
          const u = (i - x) * Math.cos(a) + (j - y) * Math.sin(a);
          const v =
            (j - y) * Math.cos(a) -
            (i - x) * Math.sin(a) -
            (bow * u * u) / side +
            waves.reduce((s, [m, f, p]) => s + m * Math.sin(f * u + p), 0);
          const inside = Math.min(breadth / 2 - Math.abs(v), long / 2 - Math.abs(u) + 2 * Math.sin(0.3 * v));
          if (inside < 0) continue;
          const c = Math.min(1, inside) * water * (1 + rim * Math.exp(-inside / 2.5));
          for (let q = 0; q < 3; q++) canvas.data[3 * (j * side + i) + q] += c * (paint[q] - canvas.data[3 * (j * side + i) + q]);
        }
    }
    for (let i = 0; i < canvas.data.length; i += 3) {
      const g = grain * normal(r);
      for (let q = 0; q < 3; q++) canvas.data[i + q] += g;
    }
    return finished(canvas, covered ? null : sheet, 0);
  },
  scribble: (side, { sheet, inks }, r) => {
    const canvas = canvasOf(side, sheet);
    for (let k = 0, n = 2 + Math.floor(4 * r()); k < n; k++) {
      const [cx, cy, radius] = [side * r(), side * r(), 8 + 20 * r()];
      const [on, lean, turns] = [10 * r() * (side / 300), 2 * Math.PI * r(), 4 + 8 * r()];
      const waves = [1, 2].map(() => [0.15 + 0.5 * r(), 1 + 3 * r(), 6 * r()]);
      const path = (t: number) => {
        const phi = 2 * Math.PI * turns * t;
        const swing = radius * (1 + waves.reduce((s, [m, f, p]) => s + m * Math.sin(f * phi + p), 0));
        return [
          cx + (t - 0.5) * on * turns * Math.cos(lean) + swing * Math.cos(phi),
          cy + (t - 0.5) * on * turns * Math.sin(lean) + 0.8 * swing * Math.sin(phi),
        ] as const;
      };
      stroke(canvas, { ...someBrush(r, 1.5 + 3 * r()), drying: 0 }, path, 2 * Math.PI * radius * turns * 1.3, inks[0], r);
    }
    return finished(canvas, sheet, 3 * r());
  },
  'smooth-shading': (side, { sheet, inks }, r) => {
    // Wet into wet: broad strokes of a slowly changing colour, then softened by a dry brush until no stroke is left.
    const canvas = canvasOf(side, sheet);
    const [a, from, to] = [2 * Math.PI * r(), inks[0], r() < 0.5 ? sheet : inks[inks.length - 1]];
    const [turn, bow] = [0.5 + r(), r()];
    for (let y = 0; y < side; y++)
      for (let x = 0; x < side; x++) {
        const u = ((x - side / 2) * Math.cos(a) + (y - side / 2) * Math.sin(a)) / side;
        const v = ((y - side / 2) * Math.cos(a) - (x - side / 2) * Math.sin(a)) / side;
        const s = 0.5 + 0.5 * Math.sin(Math.PI * (turn * u + bow * v * v));
        for (let c = 0; c < 3; c++) canvas.data[3 * (y * side + x) + c] = from[c] + (to[c] - from[c]) * s + 0.6 * normal(r);
      }
    return finished(canvas, null, 0);
  },
  line: (side, { sheet, inks }, r) => {
    const canvas = canvasOf(side, sheet);
    // Fields of even colour first, where there are any; then the contours.
    const fields = r() < 0.6 ? 1 + Math.floor(3 * r()) : 0;
    let shown = true;
    for (let k = 0; k < fields; k++) {
      const colour = inks[1 + (k % Math.max(1, inks.length - 1))] ?? inks[0];
      const [a, d] = [2 * Math.PI * r(), side * (0.5 * r() - 0.25)];
      for (let y = 0; y < side; y++)
        for (let x = 0; x < side; x++)
          if ((x - side / 2) * Math.cos(a) + (y - side / 2) * Math.sin(a) > d) canvas.data.set(colour, 3 * (y * side + x));
      shown &&= d > -0.1 * side;
    }
    for (let k = 0, n = 1 + Math.floor(4 * r()); k < n; k++)
      stroke(
        canvas,
        { ...someBrush(r, 2 + 4 * r()), opacity: 1, streak: 2 },
        straight(side * r(), side * r(), Math.PI * r(), side * (0.4 + 0.8 * r()), 0.9 * (r() - 0.5)),
        side,
        inks[0],
        r,
      );
    return finished(canvas, shown ? sheet : null, 4 * r());
  },
};
