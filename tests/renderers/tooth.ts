/** Dry colour rubbed over a rough sheet: a height field catches the tool where it stands up, the more the harder it is pressed. */
import { normal, Random } from '../../core/raster/statistics';
import { Colours, Drawn, StrokeModel } from './patch';

/** Heights of a sheet, about 0–1 in rank: filtered noise made by adding many small bumps. */
function heights(side: number, grain: number, r: Random): Float32Array {
  const raw = Float32Array.from({ length: side * side }, () => normal(r));
  const radius = Math.ceil(2 * grain);
  const kernel = Array.from({ length: 2 * radius + 1 }, (_, k) => Math.exp(-((k - radius) ** 2) / (2 * grain * grain)));
  const wrap = (v: number) => (v + side) % side;
  const across = raw.map((_, i) => kernel.reduce((s, g, k) => s + g * raw[i - (i % side) + wrap((i % side) + k - radius)], 0));
  const down = across.map((_, i) =>
    kernel.reduce((s, g, k) => s + g * across[wrap(Math.floor(i / side) + k - radius) * side + (i % side)], 0),
  );
  const sd = Math.sqrt(down.reduce((s, v) => s + v * v, 0) / down.length);
  return down.map((v) => 1 / (1 + Math.exp((-1.7 * v) / sd)));
}

interface Stick {
  width: number;
  /** 0 touches only the tops, 1 goes into the hollows. */
  force: number;
  soft: number;
}

class Rubbing {
  readonly worn: Float32Array;
  constructor(
    readonly side: number,
    readonly sheet: Float32Array,
  ) {
    this.worn = new Float32Array(side * side);
  }
  /** Leaves colour at one px for the pressure there. */
  rub(i: number, pressure: number, soft: number): void {
    const bite = 1 / (1 + Math.exp(-(this.sheet[i] + pressure - 1) / soft));
    this.worn[i] = 1 - (1 - this.worn[i]) * (1 - bite * Math.min(1, 2.5 * pressure));
  }
  /** One stroke, every px of it rubbed once. */
  stroke(points: readonly (readonly [number, number])[], stick: Stick, r: Random): void {
    const most = new Map<number, number>();
    const half = stick.width / 2;
    points.forEach(([x, y], k) => {
      const t = k / Math.max(1, points.length - 1);
      const press = stick.force * Math.min(1, 0.5 + 4 * t, 0.4 + 3 * (1 - t)) * (1 + 0.08 * normal(r));
      for (let j = Math.max(0, Math.floor(y - half - 1)); j <= Math.min(this.side - 1, Math.ceil(y + half)); j++)
        for (let i = Math.max(0, Math.floor(x - half - 1)); i <= Math.min(this.side - 1, Math.ceil(x + half)); i++) {
          const d = Math.hypot(i + 0.5 - x, j + 0.5 - y) / half;
          if (d > 1.15) continue;
          const here = press * Math.max(0, 1 - 0.5 * d ** 4);
          const at = j * this.side + i;
          if (here > (most.get(at) ?? 0)) most.set(at, here);
        }
    });
    for (const [at, p] of most) this.rub(at, p, stick.soft);
  }
  picture({ sheet, inks }: Colours, bare: boolean): Drawn {
    const data = new Uint8Array(3 * this.side * this.side);
    for (let i = 0; i < this.worn.length; i++)
      for (let c = 0; c < 3; c++)
        data[3 * i + c] = Math.min(
          255,
          Math.max(0, Math.round(sheet[c] + 5 * (this.sheet[i] - 0.5) + (inks[0][c] - sheet[c]) * Math.min(1, this.worn[i]))),
        );
    return { image: { width: this.side, height: this.side, data }, sheet: bare ? sheet : null };
  }
}

const someStick = (r: Random): Stick => ({ width: 1.6 + 5.5 * r() ** 1.6, force: 0.55 + 0.4 * r(), soft: 0.05 + 0.15 * r() });
const rubbing = (side: number, r: Random) => new Rubbing(side, heights(side, 0.7 + 1.1 * r(), r));

/** Points a px apart along an arc. */
function arc(x: number, y: number, angle: number, long: number, curve: number, shake: number, r: Random): [number, number][] {
  let [px, py, a] = [x, y, angle - (curve * long) / 2];
  px -= (long / 2) * Math.cos(angle);
  py -= (long / 2) * Math.sin(angle);
  return Array.from({ length: Math.max(2, Math.round(long)) }, () => {
    a += curve + shake * normal(r);
    px += Math.cos(a);
    py += Math.sin(a);
    return [px, py];
  });
}

function hatch(to: Rubbing, stick: Stick, angle: number, gap: number, curve: number, r: Random): void {
  const { side } = to;
  const long = 40 + 70 * r();
  const uneven = 0.25 * r();
  for (let v = -0.75 * side; v < 0.75 * side; v += gap * Math.max(0.4, 1 + uneven * normal(r)))
    for (let u = -0.8 * side + long * r(); u < 0.8 * side; u += long + 4 + 5 * r()) {
      const q = v + (curve / 2) * u * u;
      const [x, y] = [side / 2 + u * Math.cos(angle) - q * Math.sin(angle), side / 2 + u * Math.sin(angle) + q * Math.cos(angle)];
      if (x < -long || y < -long || x > side + long || y > side + long) continue;
      to.stroke(arc(x, y, angle + Math.atan(curve * u), long * (0.8 + 0.4 * r()), curve, 0.004, r), stick, r);
    }
}

const gapOf = (r: Random, stick: Stick) => stick.width * (1.6 + 1.4 * r()) + 2;

export const TOOTH: StrokeModel = {
  blank: (side, colours, r) => rubbing(side, r).picture(colours, true),
  'parallel-hatch': (side, colours, r) => {
    const [to, stick] = [rubbing(side, r), someStick(r)];
    hatch(to, stick, Math.PI * r(), gapOf(r, stick), 0, r);
    return to.picture(colours, true);
  },
  'cross-hatch': (side, colours, r) => {
    const [to, stick, angle] = [rubbing(side, r), someStick(r), Math.PI * r()];
    const gap = gapOf(r, stick) * 1.3;
    hatch(to, stick, angle, gap, 0, r);
    hatch(to, stick, angle + 0.45 + 1.1 * r(), gap, 0, r);
    return to.picture(colours, true);
  },
  'contour-hatch': (side, colours, r) => {
    const [to, stick] = [rubbing(side, r), someStick(r)];
    hatch(to, stick, Math.PI * r(), gapOf(r, stick), (r() < 0.5 ? -1 : 1) * ((1 + 0.8 * r()) / (1.3 * side)), r);
    return to.picture(colours, true);
  },
  'smooth-shading': (side, colours, r) => {
    // The side of the stick drawn over and over until no stroke shows; then perhaps rubbed with a finger.
    const to = rubbing(side, r);
    const [a, low, high, soft] = [2 * Math.PI * r(), 0.1 + 0.2 * r(), 0.5 + 0.4 * r(), 0.12 + 0.35 * r()];
    const hollow = r();
    for (let i = 0; i < side * side; i++) {
      const [x, y] = [(i % side) / side - 0.5, Math.floor(i / side) / side - 0.5];
      const s = hollow < 0.5 ? x * Math.cos(a) + y * Math.sin(a) : Math.hypot(x - 0.4 * Math.cos(a), y - 0.4 * Math.sin(a)) - 0.5;
      to.rub(i, low + (high - low) / (1 + Math.exp(-7 * s)), soft);
    }
    return to.picture(colours, r() < 0.3);
  },
  scribble: (side, colours, r) => {
    const [to, stick] = [rubbing(side, r), someStick(r)];
    for (let k = 0; k < 3; k++) {
      let [x, y, a, turn] = [side * r(), side * r(), 2 * Math.PI * r(), 0.15];
      const lean = r() < 0.5 ? 0.1 + 0.1 * r() : 0;
      const points: [number, number][] = [];
      for (let step = 0; step < side * (5 + 4 * r()); step++) {
        turn = 0.93 * turn + 0.045 * normal(r);
        a += turn + lean;
        x += Math.cos(a) + 0.04 * (side / 2 - x) * 0.1;
        y += Math.sin(a) + 0.04 * (side / 2 - y) * 0.1;
        points.push([x, y]);
      }
      to.stroke(points, stick, r);
    }
    return to.picture(colours, true);
  },
  stipple: (side, colours, r) => {
    const [to, stick] = [rubbing(side, r), { ...someStick(r), force: 0.95 }];
    const gap = 7 + 11 * r();
    for (let k = 0; k < (side / gap) ** 2; k++) {
      const [x, y] = [side * r(), side * r()];
      const size = Math.min(0.55 * gap, stick.width + 0.8);
      to.stroke(
        [
          [x, y],
          [x + 0.5, y + 0.3],
        ],
        { ...stick, width: size },
        r,
      );
    }
    return to.picture(colours, true);
  },
  line: (side, colours, r) => {
    const [to, stick] = [rubbing(side, r), someStick(r)];
    for (let k = 0, n = 1 + Math.floor(4 * r()); k < n; k++)
      to.stroke(arc(side * r(), side * r(), 2 * Math.PI * r(), side * (0.5 + 0.9 * r()), 0.03 * (r() - 0.5), 0.01, r), stick, r);
    return to.picture(colours, true);
  },
};
