/** A wet layer: water stands where it was brushed, pigment drifts in it to the rim and settles in the hollows of the paper as it dries. */
import { normal, Random } from '../../core/raster/statistics';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

/** Value noise over a lattice, several octaves, 0 in the mean. */
function terrain(side: number, cell: number, octaves: number, r: Random): Float32Array {
  const out = new Float32Array(side * side);
  let weight = 1;
  for (let o = 0; o < octaves; o++, weight /= 1.7) {
    const size = Math.max(1.2, cell / 2 ** o);
    const n = Math.ceil(side / size) + 2;
    const lattice = Float32Array.from({ length: n * n }, () => normal(r));
    for (let y = 0; y < side; y++)
      for (let x = 0; x < side; x++) {
        const [u, v] = [x / size, y / size];
        const [i, j] = [Math.floor(u), Math.floor(v)];
        const ease = (t: number) => t * t * (3 - 2 * t);
        const [s, t] = [ease(u - i), ease(v - j)];
        const at = j * n + i;
        out[y * side + x] +=
          weight * ((lattice[at] * (1 - s) + lattice[at + 1] * s) * (1 - t) + (lattice[at + n] * (1 - s) + lattice[at + n + 1] * s) * t);
      }
  }
  return out;
}

/** One step of drifting: each wet cell shares `rate` of its pigment with its wet neighbours, more toward `pull`. */
function drift(pigment: Float32Array, wet: Uint8Array, pull: Float32Array, side: number, rate: number): Float32Array<ArrayBuffer> {
  const next = pigment.slice();
  for (let y = 1; y < side - 1; y++)
    for (let i = y * side + 1, end = i + side - 2; i < end; i++) {
      if (!wet[i]) continue;
      for (const j of [i + 1, i - 1, i + side, i - side]) {
        if (!wet[j]) continue;
        const flow = rate * pigment[i] * Math.max(0.05, 0.25 + pull[j] - pull[i]);
        next[i] -= flow;
        next[j] += flow;
      }
    }
  return next;
}

/** Distance (steps of four neighbours, at most `most`) from the dry, so that pigment can be drawn to the rim. */
function fromRim(wet: Uint8Array, side: number, most: number): Float32Array {
  const d = Float32Array.from(wet, (v) => (v ? most : 0));
  for (let pass = 0; pass < 2; pass++) {
    for (let y = 1; y < side; y++)
      for (let x = 1; x < side; x++) d[y * side + x] = Math.min(d[y * side + x], d[y * side + x - 1] + 1, d[(y - 1) * side + x] + 1);
    for (let y = side - 2; y >= 0; y--)
      for (let x = side - 2; x >= 0; x--) d[y * side + x] = Math.min(d[y * side + x], d[y * side + x + 1] + 1, d[(y + 1) * side + x] + 1);
  }
  return d;
}

/** Density of one layer laid where `wet` is. */
function layer(
  side: number,
  wet: Uint8Array,
  strength: number,
  paper: Float32Array,
  settle: number,
  rimming: number,
  r: Random,
): Float32Array {
  const flow = terrain(side, side / 4, 3, r);
  let pigment: Float32Array<ArrayBuffer> = Float32Array.from(wet, (v, i) => (v ? strength * Math.max(0.2, 1 + 0.25 * flow[i]) : 0));
  const rim = fromRim(wet, side, 14);
  const pull = rim.map((d) => (rimming * Math.exp(-d / 2.2)) / 2);
  for (let k = 0; k < 14; k++) pigment = drift(pigment, wet, pull, side, 0.35);
  return pigment.map((v, i) => v * Math.max(0.1, 1 - settle * paper[i]));
}

/** Light through the layers (Beer and Lambert), each channel by its own absorption. */
function dried(
  side: number,
  sheet: Colour,
  layers: readonly { density: Float32Array; paint: Colour }[],
  paper: Float32Array,
  rough: number,
  shown: boolean,
): Drawn {
  const data = new Uint8Array(3 * side * side);
  for (let i = 0; i < side * side; i++)
    for (let c = 0; c < 3; c++) {
      let v = sheet[c] + rough * paper[i];
      for (const { density, paint } of layers)
        v *= Math.exp(density[i] * Math.log(Math.max(0.03, (paint[c] + 4) / Math.max(paint[c] + 5, sheet[c] + 4))));
      data[3 * i + c] = Math.min(255, Math.max(0, Math.round(v)));
    }
  return { image: { width: side, height: side, data }, sheet: shown ? sheet : null };
}

function puddle(side: number, r: Random): Uint8Array {
  const edge = terrain(side, side / (3 + 4 * r()), 4, r);
  const [a, cut, wander] = [2 * Math.PI * r(), 0.5 * (r() - 0.5), 0.12 + 0.25 * r()];
  return Uint8Array.from({ length: side * side }, (_, i) => {
    const [x, y] = [(i % side) / side - 0.5, Math.floor(i / side) / side - 0.5];
    return x * Math.cos(a) + y * Math.sin(a) + wander * edge[i] * 0.5 > cut ? 1 : 0;
  });
}

/** Paper can only be darkened by glazing: dark sheets are turned into pale ones. */
const pale = ({ sheet, inks }: Colours): Colours => {
  const light = (c: Colour) => c[0] + c[1] + c[2];
  const dark = inks.map((c) => (light(c) > 520 ? ([c[0] * 0.55, c[1] * 0.6, c[2] * 0.65] as const) : c));
  return light(sheet) < 480 ? { sheet: [240, 236, 226], inks: dark } : { sheet, inks: dark };
};

function washes(side: number, colours: Colours, r: Random): Drawn {
  const { sheet, inks } = pale(colours);
  const paper = terrain(side, 2.5 + 3 * r(), 2, r);
  const settle = 0.28 * r() ** 1.4;
  const whole = r() < 0.35;
  const layers = Array.from({ length: 1 + Math.floor(3 * r()) }, (_, k) => ({
    density: layer(
      side,
      k === 0 && whole ? new Uint8Array(side * side).fill(1) : puddle(side, r),
      0.25 + 0.5 * r(),
      paper,
      settle,
      0.3 + 1.6 * r(),
      r,
    ),
    paint: inks[k % inks.length],
  }));
  return dried(side, sheet, layers, paper, 1.2 * r(), !whole);
}

export const WET: StrokeModel = {
  wash: washes,
  flat: (side, colours, r) => {
    const { sheet, inks } = pale(colours);
    const paper = terrain(side, 3, 2, r);
    return dried(side, sheet, [{ density: new Float32Array(side * side).fill(0.8 + 0.4 * r()), paint: inks[0] }], paper, 0.4 * r(), false);
  },
  'smooth-shading': (side, colours, r) => {
    // A graded wash of fine pigment, laid on damp paper: no rim, no grain.
    const { sheet, inks } = pale(colours);
    const [a, low, high] = [2 * Math.PI * r(), 0.05 + 0.2 * r(), 0.7 + 0.5 * r()];
    const soft = terrain(side, side / 2, 1, r);
    const density = Float32Array.from({ length: side * side }, (_, i) => {
      const u = ((i % side) / side - 0.5) * Math.cos(a) + (Math.floor(i / side) / side - 0.5) * Math.sin(a);
      return low + (high - low) / (1 + Math.exp(-6 * u - 0.6 * soft[i]));
    });
    return dried(side, sheet, [{ density, paint: inks[0] }], terrain(side, 3, 2, r), 0.5 * r(), false);
  },
  line: (side, colours, r) => {
    // Contours drawn with a pointed, wet brush, some over a pale even wash.
    const { sheet, inks } = pale(colours);
    const paper = terrain(side, 3, 2, r);
    const wet = new Uint8Array(side * side);
    for (let k = 0, n = 1 + Math.floor(4 * r()); k < n; k++) {
      let [x, y, a] = [side * r(), side * r(), 2 * Math.PI * r()];
      const [width, curve] = [1 + 2.2 * r(), 0.03 * (r() - 0.5)];
      for (let step = 0; step < side * (0.6 + r()); step++) {
        a += curve + 0.02 * normal(r);
        x += Math.cos(a);
        y += Math.sin(a);
        for (let j = -3; j <= 3; j++)
          for (let i = -3; i <= 3; i++)
            if (Math.hypot(i, j) <= width && x + i >= 0 && y + j >= 0 && x + i < side && y + j < side)
              wet[Math.floor(y + j) * side + Math.floor(x + i)] = 1;
      }
    }
    const layers = [{ density: layer(side, wet, 1.2, paper, 0.1, 0.6, r), paint: inks[0] }];
    const washed = r() < 0.5;
    if (washed) layers.push({ density: new Float32Array(side * side).fill(0.15 + 0.15 * r()), paint: inks[inks.length - 1] });
    return dried(side, sheet, layers, paper, 0.6 * r(), !washed);
  },
  dabs: (side, colours, r) => {
    // Wet touches set side by side, each dried with its own rim.
    const { sheet, inks } = pale(colours);
    const paper = terrain(side, 3, 2, r);
    const [size, long] = [4 + 8 * r(), 1 + 1.6 * r()];
    const [a0, wild] = [Math.PI * r(), 0.2 + 0.8 * r()];
    const layers = inks.map((paint) => {
      const wet = new Uint8Array(side * side);
      for (let k = 0; k < (0.55 * side * side) / (size * size * long * 2); k++) {
        const [x, y, a] = [side * r(), side * r(), a0 + wild * normal(r)];
        const own = size * (0.7 + 0.5 * r());
        for (let j = -2 * size * long; j <= 2 * size * long; j++)
          for (let i = -2 * size * long; i <= 2 * size * long; i++) {
            const [u, v] = [(i * Math.cos(a) + j * Math.sin(a)) / long, j * Math.cos(a) - i * Math.sin(a)];
            const [px, py] = [Math.round(x + i), Math.round(y + j)];
            if (u * u + v * v <= own * own && px >= 0 && py >= 0 && px < side && py < side) wet[py * side + px] = 1;
          }
      }
      return { density: layer(side, wet, 0.5 + 0.5 * r(), paper, 0.1 * r(), 0.6, r), paint };
    });
    return dried(side, sheet, layers, paper, 0.6 * r(), r() < 0.5);
  },
};
