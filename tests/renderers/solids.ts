/** Solids in raking light, engraved: what is seen is found by ray casting, and rows, grids, dots and outlines are cut by its tone and run over its surface. */
import { normal, Random } from '../../core/raster/statistics';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

interface Seen {
  /** Which solid; 0 is the wall behind. */
  solid: number;
  /** 0 dark, 1 light. */
  tone: number;
  /** Two coordinates on the surface, px. */
  u: number;
  v: number;
}

type Solid = (x: number, y: number) => { height: number; slope: readonly [number, number]; u: number; v: number } | null;

/** An ellipsoid, a cylinder or a cone lying in the picture's plane; a main one about the middle, and large. */
function someSolid(side: number, main: boolean, r: Random): Solid {
  const off = main ? 0.3 : 0.8;
  const [cx, cy, turn] = [side * (0.5 + off * (r() - 0.5)), side * (0.5 + off * (r() - 0.5)), Math.PI * r()];
  const [long, wide, lift] = [side * ((main ? 0.4 : 0.25) + 0.45 * r()), side * ((main ? 0.3 : 0.14) + 0.3 * r()), 40 * r()];
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const form = Math.floor(3 * r());
  const tilt = 0.3 + 0.5 * r();
  return (x, y) => {
    const p = (x - cx) * c + (y - cy) * s;
    const q = (y - cy) * c - (x - cx) * s;
    if (Math.abs(p) >= long) return null;
    // Half its breadth here, and how fast that changes.
    const run = p / long;
    const half = form === 0 ? wide * Math.sqrt(1 - run * run) : form === 1 ? wide : (wide * (1 - run)) / 2;
    if (half < 1 || Math.abs(q) >= half) return null;
    const height = Math.sqrt(half * half - q * q);
    const fall = form === 0 ? (-run * wide * wide) / long : form === 1 ? 0 : (-wide / (2 * long)) * half;
    const [dp, dq] = [fall / Math.max(1, height), -q / Math.max(1, height)];
    // Round the axis, seen from a little aside, so that rings bow.
    return {
      height: height + lift,
      slope: [dp * c - dq * s, dp * s + dq * c],
      u: p + tilt * height,
      v: half * Math.asin(q / half),
    };
  };
}

interface Scene {
  at: (x: number, y: number) => Seen;
  solids: number;
}

function someScene(side: number, fewest: number, r: Random): Scene {
  const solids = Array.from({ length: fewest + Math.floor(3 * r()) }, (_, k) => someSolid(side, k === 0, r));
  const [t, flat] = [2 * Math.PI * r(), 0.5 + 0.6 * r()];
  const light = [Math.cos(t), Math.sin(t), flat];
  const norm = Math.hypot(...light);
  const wall = 0.4 + 0.5 * r();
  const fall = 0.5 * (r() - 0.5);
  return {
    solids: solids.length,
    at: (x, y) => {
      let best: Seen = { solid: 0, tone: wall + fall * ((x - y) / side), u: x, v: y };
      let top = 0;
      for (let k = 0; k < solids.length; k++) {
        const hit = solids[k](x, y);
        if (!hit || hit.height <= top) continue;
        top = hit.height;
        const [dx, dy] = hit.slope;
        const shade = (-dx * light[0] - dy * light[1] + light[2]) / (norm * Math.hypot(dx, dy, 1));
        best = { solid: k + 1, tone: 0.12 + 0.88 * Math.max(0, shade), u: hit.u, v: hit.v };
      }
      return best;
    },
  };
}

const mix = (a: Colour, b: Colour, t: number): Colour => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];

/** Every px from 2 × 2 points in it. */
function seen(side: number, colourAt: (x: number, y: number) => Colour, sheet: Colour | null): Drawn {
  const data = new Uint8Array(3 * side * side);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const four = [0, 1, 2, 3].map((k) => colourAt(x + 0.25 + 0.5 * (k & 1), y + 0.25 + 0.5 * (k >> 1)));
      for (let c = 0; c < 3; c++)
        data[3 * (y * side + x) + c] = Math.min(255, Math.max(0, Math.round(four.reduce((s, f) => s + f[c], 0) / 4)));
    }
  return { image: { width: side, height: side, data }, sheet };
}

/** Whether a tool that follows `phase` (rows one apart) cuts here: broader where it is darker, not at all where it is light. */
const cuts = (phase: number, dark: number): boolean => Math.abs(phase - Math.round(phase)) < 0.5 * Math.min(0.72, dark);

type Rows = (seen: Seen, x: number, y: number) => number[];

/** Solids whose shadows are cut in rows; `rowsOf` gives the phase of each set of rows, the later ones only in deeper shadow. */
function engraved(side: number, { sheet, inks }: Colours, rowsOf: Rows, fewest: number, r: Random): Drawn {
  const scene = someScene(side, fewest, r);
  const [from, gain, deeper] = [0.9 + 0.4 * r(), 0.6 + 0.5 * r(), 0.12 * r()];
  // The hand's unrest: rows waver, as one.
  const [wx, wy, amount] = [0.03 + 0.05 * r(), 0.03 + 0.05 * r(), 0.14 * r()];
  const outline = r() < 0.4;
  const solidNear = (x: number, y: number) => scene.at(x, y).solid;
  return seen(
    side,
    (x, y) => {
      const here = scene.at(x, y);
      if (outline && (solidNear(x + 1.3, y) !== here.solid || solidNear(x, y + 1.3) !== here.solid)) return inks[0];
      const waver = amount * (Math.sin(wx * x + wy * y) + Math.sin(wy * x - wx * y + 2));
      const cut = rowsOf(here, x, y).some((phase, k) => cuts(phase + waver, gain * (from - deeper * k - here.tone)));
      return cut ? inks[0] : sheet;
    },
    sheet,
  );
}

/** Rows in the picture's plane, at an angle and a distance apart. */
const across = (x: number, y: number, angle: number, gap: number) => (x * Math.cos(angle) + y * Math.sin(angle)) / gap;

export const SOLIDS: StrokeModel = {
  'parallel-hatch': (side, colours, r) => {
    const [angle, gap] = [Math.PI * r(), 4.5 + 7 * r()];
    return engraved(side, colours, (_, x, y) => [across(x, y, angle, gap)], 1, r);
  },
  'cross-hatch': (side, colours, r) => {
    const [angle, gap, turn] = [Math.PI * r(), 5 + 7 * r(), 0.7 + 0.8 * r()];
    return engraved(side, colours, (_, x, y) => [across(x, y, angle, gap), across(x, y, angle + turn, gap)], 1, r);
  },
  'contour-hatch': (side, colours, r) => {
    const [gap, along, angle] = [4.5 + 6 * r(), r() < 0.3, Math.PI * r()];
    return engraved(side, colours, (s, x, y) => [s.solid ? (along ? s.v : s.u) / gap : across(x, y, angle, gap)], 2, r);
  },
  stipple: (side, { sheet, inks }, r) => {
    const scene = someScene(side, 1, r);
    const [gap, from, size] = [4.5 + 5 * r(), 0.9 + 0.2 * r(), 0.16 + 0.12 * r()];
    const n = Math.ceil(side / gap) + 2;
    const dots = Array.from({ length: n * n }, () => [0.9 * (r() - 0.5), 0.9 * (r() - 0.5), r(), 0.75 + 0.5 * r()]);
    return seen(
      side,
      (x, y) => {
        const [i, j] = [Math.floor(x / gap), Math.floor(y / gap)];
        for (let b = Math.max(0, j - 1); b <= j + 1; b++)
          for (let a = Math.max(0, i - 1); a <= i + 1; a++) {
            const [dx, dy, chance, big] = dots[b * n + a];
            const [px, py] = [(a + 0.5 + dx) * gap, (b + 0.5 + dy) * gap];
            if (Math.hypot(x - px, y - py) < size * gap * big && chance < 1.25 * (from - scene.at(px, py).tone)) return inks[0];
          }
        return sheet;
      },
      sheet,
    );
  },
  line: (side, { sheet, inks }, r) => {
    const scene = someScene(side, 3, r);
    const [width, swell] = [0.7 + 1.6 * r(), 0.9 * r()];
    const coloured = r() < 0.4;
    return seen(
      side,
      (x, y) => {
        const here = scene.at(x, y);
        const w = width * (1 + swell * (0.5 - here.tone));
        // Where one solid ends before another, and where a band of the surface does.
        const ends = [0, 1, 2, 3, 4, 5].some((k) => {
          const there = scene.at(x + w * Math.cos(k * 1.0472), y + w * Math.sin(k * 1.0472));
          return there.solid !== here.solid || (here.solid > 0 && Math.floor(there.u / (0.3 * side)) !== Math.floor(here.u / (0.3 * side)));
        });
        return ends ? inks[0] : coloured && here.solid ? inks[1 + (here.solid % (inks.length - 1))] : sheet;
      },
      sheet,
    );
  },
  flat: (side, { sheet, inks }, r) => {
    const scene = someScene(side, 2, r);
    const [step, bare] = [r() < 0.5 ? 0.3 + 0.3 * r() : -1, r() < 0.4];
    const paints = [bare ? sheet : inks[3], ...inks.slice(1)];
    return seen(
      side,
      (x, y) => {
        const { solid, tone } = scene.at(x, y);
        const paint = solid ? paints[1 + (solid % (paints.length - 1))] : paints[0];
        return solid && tone < step ? mix(paint, [20, 20, 30], 0.35) : paint;
      },
      bare ? sheet : null,
    );
  },
  'smooth-shading': (side, { sheet, inks }, r) => {
    const scene = someScene(side, 2, r);
    const [deep, grain, tinted] = [mix(inks[0], [0, 0, 0], 0.3 * r()), 6 * r() ** 2, r() < 0.5];
    return seen(
      side,
      (x, y) => {
        const { solid, tone } = scene.at(x, y);
        const light = tinted && solid ? mix(sheet, inks[1 + (solid % (inks.length - 1))], 0.7) : sheet;
        const c = mix(deep, light, Math.min(1, Math.max(0, tone)));
        const g = 2 * grain * normal(r);
        return [c[0] + g, c[1] + g, c[2] + g];
      },
      null,
    );
  },
  wash: (side, { sheet, inks }, r) => {
    // Glazes laid one over the other, each as far as its shadow reaches, none of them even.
    const scene = someScene(side, 2, r);
    const glazes = Array.from({ length: 2 + Math.floor(2 * r()) }, (_, k) => ({
      reach: 0.35 + 0.28 * k + 0.1 * r(),
      strength: 0.25 + 0.25 * r(),
      waves: Array.from({ length: 9 }, () => [(0.25 + r()) * (12 / side), 6.3 * r(), 6.3 * r()]),
    }));
    const [uneven, settled, cell] = [0.22 + 0.24 * r(), 0.05 + 0.1 * r(), 0.8 + 1.2 * r()];
    const grains = Float32Array.from({ length: 4096 }, () => normal(r));
    return seen(
      side,
      (x, y) => {
        const { solid, tone } = scene.at(x, y);
        const paint = inks[solid % inks.length];
        const grain = grains[(Math.floor(y / cell) % 64) * 64 + (Math.floor(x / cell) % 64)];
        let left = 1;
        for (const { reach, strength, waves } of glazes) {
          const cloud = waves.reduce((s, [f, a, p]) => s + Math.sin(f * (x * Math.cos(a) + y * Math.sin(a)) + p), 0) / 3;
          const within = reach - tone + 0.03 * cloud;
          if (within < 0) continue;
          const rim = 0.5 * Math.exp(-within / 0.02);
          left *= Math.exp(-strength * Math.max(0, 1 + uneven * 2 * cloud + settled * grain + rim));
        }
        return mix(sheet, paint, Math.min(1, 1.4 * (1 - left)));
      },
      sheet,
    );
  },
};
