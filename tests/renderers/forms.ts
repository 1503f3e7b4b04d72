/** Figures before a ground: rounded and angular forms that overlap, each shaded, flat, washed, hatched or touched in, with or without contours. */
import { normal, Random } from '../../core/raster/statistics';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

interface Form {
  /** Distance inside, px: over 0 within the form. */
  inside: (x: number, y: number) => number;
  colour: Colour;
  deep: Colour;
  light: number;
  bend: number;
}

const mix = (a: Colour, b: Colour, t: number): Colour => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];

/** Soft noise from a few dozen waves. */
function ripple(cell: number, r: Random): (x: number, y: number) => number {
  const waves = Array.from({ length: 14 }, () => {
    const [a, k] = [2 * Math.PI * r(), (2 * Math.PI) / (cell * (0.6 + 1.2 * r()))];
    return [k * Math.cos(a), k * Math.sin(a), 6.3 * r()];
  });
  return (x, y) => waves.reduce((s, [u, v, p]) => s + Math.sin(u * x + v * y + p), 0) / 4;
}

function someForms(side: number, { inks }: Colours, r: Random): Form[] {
  return Array.from({ length: 1 + Math.floor(4 * r()) }, (_, k): Form => {
    const [cx, cy] = [side * (0.1 + 0.8 * r()), side * (0.1 + 0.8 * r())];
    const [a, long, wide] = [Math.PI * r(), side * (0.25 + 0.5 * r()), side * (0.12 + 0.35 * r())];
    const [p, q, corner] = [0.12 * r(), 6 * r(), r() < 0.35 ? 6 : 2];
    const colour = inks[1 + (k % Math.max(1, inks.length - 1))] ?? inks[0];
    const shade = 0.35 + 0.4 * r();
    return {
      inside: (x, y) => {
        const u = ((x - cx) * Math.cos(a) + (y - cy) * Math.sin(a)) / long;
        const v = ((y - cy) * Math.cos(a) - (x - cx) * Math.sin(a)) / wide;
        const t = Math.atan2(v, u);
        return (
          (1 + p * Math.sin(3 * t + q) + p * Math.sin(5 * t) - (Math.abs(u) ** corner + Math.abs(v) ** corner) ** (1 / corner)) *
          Math.min(long, wide)
        );
      },
      colour,
      deep: mix(colour, r() < 0.7 ? [10, 10, 20] : [250, 245, 230], shade),
      light: 2 * Math.PI * r(),
      bend: 0.5 + r(),
    };
  });
}

type Fill = (form: Form, x: number, y: number, inside: number) => Colour;

/** Forms over a ground that is bare sheet or a field of colour; `fill` colours them, `contour` is the width of the line round them. */
function figures(side: number, colours: Colours, r: Random, fill: Fill, contour: number): Drawn {
  const forms = someForms(side, colours, r);
  const { sheet, inks } = colours;
  const bare = r() < 0.7;
  const behind = bare ? sheet : inks[inks.length - 1];
  const data = new Uint8Array(3 * side * side);
  const unrest = ripple(14, r);
  const [wobble, swell] = [1.2 * r(), 0.5 * r()];
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const jolt = wobble * unrest(x, y);
      let colour: Colour = behind;
      for (const form of forms) {
        const d = form.inside(x + jolt, y - jolt);
        if (d > -0.5) colour = mix(colour, fill(form, x, y, d), Math.min(1, d + 0.5));
        const width = (contour / 2) * (1 + swell * unrest(x / 3, y / 3));
        if (contour && Math.abs(d) < width + 0.5) colour = mix(colour, inks[0], Math.min(1, width + 0.5 - Math.abs(d)));
      }
      data.set(
        colour.map((v) => Math.min(255, Math.max(0, Math.round(v)))),
        3 * (y * side + x),
      );
    }
  return { image: { width: side, height: side, data }, sheet: bare ? sheet : null };
}

/** From light to deep across a form, softly. */
function shading(side: number, r: Random): Fill {
  const [grain, cloud, clouds] = [3 * r() ** 2, 0.12 * r(), ripple(side / 5, r)];
  return (form, x, y, inside) => {
    const u = ((x - side / 2) * Math.cos(form.light) + (y - side / 2) * Math.sin(form.light)) / side;
    const t = 1 / (1 + Math.exp(-form.bend * 6 * u - 0.04 * (20 - inside))) + cloud * clouds(x, y);
    const c = mix(form.colour, form.deep, Math.min(1, Math.max(0, t)));
    const g = grain * normal(r);
    return [c[0] + g, c[1] + g, c[2] + g];
  };
}

/** A fill cut by strokes that follow the form, round it or across it. */
function stroked(side: number, turning: boolean, ink: Colour, r: Random): Fill {
  const [gap, share, a] = [4 + 8 * r(), 0.3 + 0.25 * r(), Math.PI * r()];
  const [unrest, base] = [ripple(30, r), shading(side, r)];
  const [loose, length] = [0.15 + 0.5 * r(), 15 + 40 * r()];
  const [fx, fy] = [side * (0.5 + 1.2 * (r() - 0.5)), side * (0.5 + 1.2 * (r() - 0.5))];
  return (form, x, y, inside) => {
    const [across, along] = turning
      ? [Math.hypot(x - fx, y - fy), Math.atan2(y - fy, x - fx) * (side / 2)]
      : [x * Math.cos(a) + y * Math.sin(a), y * Math.cos(a) - x * Math.sin(a)];
    const phase = across / gap + 0.3 * loose * unrest(x, y);
    const row = Math.floor(phase);
    // Each row is broken into strokes, out of step with its neighbours.
    const stop = Math.abs(((along / length + 0.37 * row * row) % 1) + 0.0001);
    const on = phase - row < share && stop < 0.86;
    return on ? mix(base(form, x, y, inside), ink, 0.75) : base(form, x, y, inside);
  };
}

export const FORMS: StrokeModel = {
  flat: (side, colours, r) => figures(side, colours, r, (form) => form.colour, 0),
  'smooth-shading': (side, colours, r) => figures(side, colours, r, shading(side, r), 0),
  line: (side, colours, r) => figures(side, colours, r, r() < 0.4 ? (form) => form.colour : shading(side, r), 1.2 + 3.3 * r()),
  'parallel-hatch': (side, colours, r) => figures(side, colours, r, stroked(side, false, colours.inks[0], r), r() < 0.4 ? 2 : 0),
  'contour-hatch': (side, colours, r) => figures(side, colours, r, stroked(side, true, colours.inks[0], r), r() < 0.4 ? 2 : 0),
  wash: (side, colours, r) => {
    const [clouds, grain] = [ripple(side / 4, r), ripple(2.5, r)];
    const [run, settle, rim] = [0.15 + 0.2 * r(), 0.08 * r(), 0.3 * r()];
    return figures(
      side,
      colours,
      r,
      (form, x, y, inside) =>
        mix(colours.sheet, form.colour, Math.max(0.1, 0.55 + run * clouds(x, y) + settle * grain(x, y) + rim * Math.exp(-inside / 2.5))),
      r() < 0.2 ? 1.5 : 0,
    );
  },
  dabs: (side, colours, r) => {
    // Touches on a jittered lattice, long one way that slowly turns; the nearest one's colour is seen.
    const [size, long, a, turn] = [6 + 12 * r(), 1.3 + 1.7 * r(), Math.PI * r(), 2 * (r() - 0.5)];
    const n = Math.ceil(side / size) + 4;
    const seeds = Array.from({ length: n * n }, () => [r(), r(), normal(r), normal(r)]);
    const [varied, hue] = [10 + 25 * r(), 12 * r()];
    const base = shading(side, r);
    return figures(
      side,
      colours,
      r,
      (form, x, y, inside) => {
        const t = a + (turn * (x + y)) / side;
        const [u, v] = [(x * Math.cos(t) + y * Math.sin(t)) / long, y * Math.cos(t) - x * Math.sin(t)];
        let [best, which] = [Infinity, seeds[0]];
        const [cu, cv] = [Math.floor(u / size), Math.floor(v / size)];
        for (let j = -1; j <= 1; j++)
          for (let i = -1; i <= 1; i++) {
            const s = seeds[((((cv + j) % n) + n) % n) * n + ((((cu + i) % n) + n) % n)];
            const d = Math.hypot(u / size - cu - i - s[0], v / size - cv - j - s[1]);
            if (d < best) [best, which] = [d, s];
          }
        const c = base(form, x, y, inside);
        const l = varied * which[2];
        return [c[0] + l + hue * which[3], c[1] + l, c[2] + l - hue * which[3]];
      },
      0,
    );
  },
};
