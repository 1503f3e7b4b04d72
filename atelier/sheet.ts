/** Knows a sheet being drawn on: collects SVG in mm, and beside it the truth of every stroke and colour. */
import { normal, Random } from '../core/raster/statistics';

export type P = readonly [number, number];

export interface DrawnStroke {
  role: 'hatch' | 'cross' | 'outline' | 'line' | 'dot' | 'highlight';
  from: P;
  to: P;
  width: number;
}

export interface Drawing {
  widthMm: number;
  heightMm: number;
  svg: string;
  strokes: DrawnStroke[];
  /** Landmarks by figure: template and points in mm. */
  landmarks: { template: 'face-front' | 'figure-standing'; points: Record<string, [number, number]> }[];
}

const n = (v: number) => v.toFixed(2);
const d = (points: readonly P[], close: boolean) => `M${points.map((p) => `${n(p[0])} ${n(p[1])}`).join('L')}${close ? 'Z' : ''}`;

export class Sheet {
  private parts: string[] = [];
  readonly strokes: DrawnStroke[] = [];
  readonly landmarks: Drawing['landmarks'] = [];

  constructor(
    readonly width: number,
    readonly height: number,
    readonly random: Random,
  ) {}

  /** A field of one colour; opacity under 1 lets what lies below show. */
  fill(points: readonly P[], colour: string, opacity = 1): void {
    this.parts.push(`<path d="${d(points, true)}" fill="${colour}" fill-opacity="${opacity}"/>`);
  }

  /** A wash: a field with a slightly wandering, darker rim, in two overlapping layers. */
  wash(points: readonly P[], colour: string, opacity: number): void {
    const loose = (amount: number) => points.map(([x, y]): P => [x + amount * normal(this.random), y + amount * normal(this.random)]);
    this.fill(loose(0.5), colour, opacity * 0.75);
    this.parts.push(
      `<path d="${d(loose(0.9), true)}" fill="${colour}" fill-opacity="${opacity * 0.3}" stroke="${colour}" stroke-opacity="${opacity * 0.45}" stroke-width="0.5"/>`,
    );
  }

  /** A single stroke of even width, bent by `sag` mm in its middle. */
  stroke(a: P, b: P, width: number, colour: string, role: DrawnStroke['role'], sag = 0, opacity = 1): void {
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const [nx, ny] = [-(b[1] - a[1]) / long, (b[0] - a[0]) / long];
    const c: P = [(a[0] + b[0]) / 2 + 2 * sag * nx, (a[1] + b[1]) / 2 + 2 * sag * ny];
    this.parts.push(
      `<path d="M${n(a[0])} ${n(a[1])}Q${n(c[0])} ${n(c[1])} ${n(b[0])} ${n(b[1])}" fill="none" stroke="${colour}" stroke-width="${width.toFixed(3)}" stroke-linecap="round" stroke-opacity="${opacity}"/>`,
    );
    this.strokes.push({ role, from: a, to: b, width });
  }

  /** A line through points that swells toward its middle, as a reed pen leaves it. */
  ribbon(points: readonly P[], width: number, colour: string, role: DrawnStroke['role'], tremble: number): void {
    if (points.length < 2) return;
    const left: P[] = [];
    const right: P[] = [];
    points.forEach((p, i) => {
      const a = points[Math.max(0, i - 1)];
      const b = points[Math.min(points.length - 1, i + 1)];
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const [nx, ny] = [-(b[1] - a[1]) / long, (b[0] - a[0]) / long];
      const t = i / (points.length - 1);
      const half = (width / 2) * (0.82 + 0.28 * Math.sin(Math.PI * t));
      const off = tremble * 0.5 * normal(this.random);
      left.push([p[0] + (half + off) * nx, p[1] + (half + off) * ny]);
      right.unshift([p[0] - (half - off) * nx, p[1] - (half - off) * ny]);
    });
    this.parts.push(`<path d="${d([...left, ...right], true)}" fill="${colour}"/>`);
    for (let i = 1; i < points.length; i++) this.strokes.push({ role, from: points[i - 1], to: points[i], width });
  }

  dot(at: P, radius: number, colour: string): void {
    this.parts.push(`<circle cx="${n(at[0])}" cy="${n(at[1])}" r="${n(radius)}" fill="${colour}"/>`);
    this.strokes.push({ role: 'dot', from: at, to: at, width: 2 * radius });
  }

  finish(ground: string): Drawing {
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${this.width} ${this.height}" width="${this.width}" height="${this.height}"><rect width="${this.width}" height="${this.height}" fill="${ground}"/>${this.parts.join('')}</svg>`;
    return { widthMm: this.width, heightMm: this.height, svg, strokes: this.strokes, landmarks: this.landmarks };
  }
}

/** Points along a smooth curve through the given ones (Catmull and Rom 1974). */
export function smooth(points: readonly P[], closed = false, per = 8): P[] {
  const out: P[] = [];
  const count = points.length;
  const at = (i: number) => (closed ? points[(i + count) % count] : points[Math.min(count - 1, Math.max(0, i))]);
  for (let i = 0; i < (closed ? count : count - 1); i++)
    for (let k = 0; k < per; k++) {
      const t = k / per;
      const [a, b, c, e] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
      const f = (j: 0 | 1) =>
        0.5 *
        (2 * b[j] + (c[j] - a[j]) * t + (2 * a[j] - 5 * b[j] + 4 * c[j] - e[j]) * t * t + (3 * b[j] - a[j] - 3 * c[j] + e[j]) * t ** 3);
      out.push([f(0), f(1)]);
    }
  if (!closed) out.push(points[count - 1]);
  return out;
}

/** An ellipse as a polygon. */
export function oval(cx: number, cy: number, rx: number, ry: number, count = 36): P[] {
  return Array.from(
    { length: count },
    (_, i) => [cx + rx * Math.cos((2 * Math.PI * i) / count), cy + ry * Math.sin((2 * Math.PI * i) / count)] as const,
  );
}

export interface HatchSettings {
  spacing: number;
  unevenness: number;
  angle: number;
  length: readonly [number, number];
  arch: number;
  width: number;
  colour: string;
  opacity?: number;
  role: 'hatch' | 'cross';
  tremble: number;
}

/** Fills a polygon with rows of strokes of one direction; rows are cut at its edge and broken into single strokes. */
export function hatch(sheet: Sheet, polygon: readonly P[], s: HatchSettings): void {
  const { random } = sheet;
  const t = (s.angle * Math.PI) / 180;
  const u: P = [Math.cos(t), -Math.sin(t)];
  const v: P = [-u[1], u[0]];
  const along = polygon.map((p) => p[0] * u[0] + p[1] * u[1]);
  const across = polygon.map((p) => p[0] * v[0] + p[1] * v[1]);
  const end = Math.max(...across);
  for (
    let row = Math.min(...across) + s.spacing * (0.3 + 0.4 * random());
    row < end;
    row += s.spacing * Math.max(0.35, 1 + s.unevenness * normal(random))
  ) {
    const cuts: number[] = [];
    for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
      const [a, b] = [across[j], across[i]];
      if (a > row === b > row) continue;
      cuts.push(along[j] + ((row - a) / (b - a)) * (along[i] - along[j]));
    }
    cuts.sort((a, b) => a - b);
    for (let k = 0; k + 1 < cuts.length; k += 2) {
      const [from, to] = [cuts[k] + 0.5, cuts[k + 1] - 0.5];
      if (to - from < 1.6) continue;
      const mean = (s.length[0] + s.length[1]) / 2;
      for (let at = from; at < to - 1;) {
        let long = s.length[0] + (s.length[1] - s.length[0]) * random();
        if (to - at - long < 0.35 * mean) long = Math.min(to - at, s.length[1] * 1.15);
        const stop = Math.min(to, at + long);
        const wave = () => s.tremble * 0.6 * normal(random);
        const [w0, w1] = [row + wave(), row + wave()];
        sheet.stroke(
          [at * u[0] + w0 * v[0], at * u[1] + w0 * v[1]],
          [stop * u[0] + w1 * v[0], stop * u[1] + w1 * v[1]],
          s.width * (0.92 + 0.16 * random()),
          s.colour,
          s.role,
          s.arch * (stop - at),
          s.opacity ?? 1,
        );
        at = stop + 1.4 + 0.8 * random();
      }
    }
  }
}
