/** A hand that steers: a mass on a spring runs after where it wants to go, trembles, presses and lets go. */
import { RgbImage } from '../../core/raster/image';
import { normal, Random } from '../../core/raster/statistics';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

class Sheet {
  readonly ink: Float32Array;
  constructor(readonly side: number) {
    this.ink = new Float32Array(side * side);
  }
  touch(x: number, y: number, radius: number, depth: number): void {
    const r = Math.ceil(radius + 1);
    for (let j = Math.max(0, Math.floor(y) - r); j <= Math.min(this.side - 1, Math.floor(y) + r); j++)
      for (let i = Math.max(0, Math.floor(x) - r); i <= Math.min(this.side - 1, Math.floor(x) + r); i++) {
        const c = Math.min(1, Math.max(0, radius + 0.5 - Math.hypot(i + 0.5 - x, j + 0.5 - y))) * Math.min(1, 2 * radius) * depth;
        const at = j * this.side + i;
        if (c > this.ink[at]) this.ink[at] = c;
      }
  }
}

interface Hand {
  width: number;
  tremor: number;
  stiff: number;
  fade: number;
}

const someHand = (r: Random): Hand => ({ width: 0.9 + 3.4 * r() ** 1.5, tremor: 0.25 * r(), stiff: 0.05 + 0.12 * r(), fade: 0.5 * r() });

/** Runs along what `want` asks for (a place for each share 0–1 of the way); pressure swells and dies away. */
function run(sheet: Sheet, hand: Hand, want: (t: number) => [number, number], length: number, r: Random): void {
  let [x, y] = want(0);
  const [x1, y1] = want(0.02);
  const pace = Math.hypot(x1 - x, y1 - y) / (0.02 * length);
  let [vx, vy] = [(x1 - x) / (0.02 * length) / Math.max(1e-6, pace), (y1 - y) / (0.02 * length) / Math.max(1e-6, pace)];
  let press = 0;
  const steps = Math.ceil(length * 1.6);
  for (let k = 0; k <= steps; k++) {
    const t = k / steps;
    const [wx, wy] = want(Math.min(1, t + 0.02));
    vx += hand.stiff * (wx - x) - 0.45 * vx * hand.stiff * 4 + hand.tremor * 0.25 * normal(r);
    vy += hand.stiff * (wy - y) - 0.45 * vy * hand.stiff * 4 + hand.tremor * 0.25 * normal(r);
    const fast = Math.hypot(vx, vy);
    if (fast > 1.4) {
      vx *= 1.4 / fast;
      vy *= 1.4 / fast;
    }
    x += vx * 0.62;
    y += vy * 0.62;
    press = 0.92 * press + 0.08 * normal(r);
    const ends = Math.min(1, 8 * t + 0.4, 1 - hand.fade + 4 * hand.fade * (1 - t));
    sheet.touch(x, y, (hand.width / 2) * Math.max(0.25, (1 + 0.6 * press) * ends), Math.min(1, 0.75 + 0.25 * ends));
  }
}

function inked(sheet: Sheet, { sheet: paper, inks }: Colours, under?: Uint8Array, fields?: readonly Colour[]): Drawn {
  const { side, ink } = sheet;
  const data = new Uint8Array(3 * side * side);
  for (let i = 0; i < ink.length; i++) {
    const base = under && fields && under[i] ? fields[under[i] - 1] : paper;
    for (let c = 0; c < 3; c++) data[3 * i + c] = Math.round(base[c] + (inks[0][c] - base[c]) * ink[i]);
  }
  const image: RgbImage = { width: side, height: side, data };
  return { image, sheet: paper };
}

/** Rows of strokes along a field of directions that turns by `turn` radians over the patch. */
function rows(sheet: Sheet, hand: Hand, angle: number, gap: number, long: number, turn: number, uneven: number, r: Random): void {
  const { side } = sheet;
  const reach = 0.8 * side;
  const bend = turn / (1.4 * side);
  for (let v = -reach; v < reach; v += gap * Math.max(0.4, 1 + uneven * normal(r)))
    for (let u = -reach - long * r(); u < reach;) {
      const [from, own] = [u, long * (0.7 + 0.6 * r())];
      const shift = 0.3 * uneven * gap * normal(r);
      const lean = 0.04 * uneven * normal(r);
      // Concentric arcs about one far centre, or straight rows.
      const place = (t: number): [number, number] => {
        const a = from + own * t;
        const b = v + shift + lean * own * (t - 0.5);
        if (Math.abs(bend) < 1e-4)
          return [side / 2 + a * Math.cos(angle) - b * Math.sin(angle), side / 2 + a * Math.sin(angle) + b * Math.cos(angle)];
        const R = 1 / bend + b;
        const phi = a * bend;
        const [p, q] = [R * Math.sin(phi), R * Math.cos(phi) - 1 / bend];
        return [side / 2 + p * Math.cos(angle) - q * Math.sin(angle), side / 2 + p * Math.sin(angle) + q * Math.cos(angle)];
      };
      const [mx, my] = place(0.5);
      if (mx > -own && my > -own && mx < side + own && my < side + own) run(sheet, hand, place, own, r);
      u += own + hand.width + 2 + 0.2 * gap + 3 * r();
    }
}

const someGap = (r: Random, hand: Hand) => Math.max(2.1 * hand.width, 5 + 17 * r() ** 1.4);

/** A shape's outline: an oval with waves in it. */
function outline(side: number, r: Random): (t: number) => [number, number] {
  const [cx, cy, a] = [side * (0.1 + 0.8 * r()), side * (0.1 + 0.8 * r()), side * (0.15 + 0.4 * r())];
  const [p, q, s] = [2 * Math.PI * r(), 0.2 * r(), 0.5 + r()];
  const [start, part] = [r(), 0.4 + 0.6 * r()];
  return (t) => {
    const phi = 2 * Math.PI * (start + part * t);
    const rad = a * (1 + q * Math.sin(3 * phi + p) + 0.5 * q * Math.sin(5 * phi));
    return [cx + rad * Math.cos(phi), cy + s * rad * Math.sin(phi)];
  };
}

export const AGENT: StrokeModel = {
  blank: (side, colours) => inked(new Sheet(side), colours),
  'parallel-hatch': (side, colours, r) => {
    const [sheet, hand] = [new Sheet(side), someHand(r)];
    rows(sheet, hand, Math.PI * r(), someGap(r, hand), 25 + 110 * r(), 0.35 * (r() - 0.5), 0.3 * r(), r);
    return inked(sheet, colours);
  },
  'cross-hatch': (side, colours, r) => {
    const [sheet, hand] = [new Sheet(side), someHand(r)];
    const [angle, gap] = [Math.PI * r(), someGap(r, hand)];
    const sets = r() < 0.25 ? 3 : 2;
    for (let k = 0; k < sets; k++)
      rows(
        sheet,
        hand,
        angle + k * (sets === 3 ? 1.05 : 0.45 + 1.1 * r()),
        gap * (0.85 + 0.3 * r()),
        40 + 100 * r(),
        0.2 * (r() - 0.5),
        0.25 * r(),
        r,
      );
    return inked(sheet, colours);
  },
  'contour-hatch': (side, colours, r) => {
    const [sheet, hand] = [new Sheet(side), someHand(r)];
    rows(sheet, hand, Math.PI * r(), someGap(r, hand), 50 + 120 * r(), (r() < 0.5 ? -1 : 1) * (0.9 + 1.3 * r()), 0.25 * r(), r);
    return inked(sheet, colours);
  },
  'smooth-shading': (side, colours, r) => {
    // A soft point going to and fro many thousand times, so lightly that no stroke can be told; what builds up is a grainy tone.
    const sheet = new Sheet(side);
    const [a, bow, soft] = [2 * Math.PI * r(), r(), 0.04 + 0.08 * r()];
    const [low, high] = [0.05 + 0.1 * r(), 0.4 + 0.5 * r()];
    for (let k = 0; k < side * side * 0.9; k++) {
      const [x, y] = [side * r(), side * r()];
      const u = ((x - side / 2) * Math.cos(a) + (y - side / 2) * Math.sin(a)) / side;
      const v = ((y - side / 2) * Math.cos(a) - (x - side / 2) * Math.sin(a)) / side;
      const tone = low + (high - low) / (1 + Math.exp(-6 * (u + bow * v * v)));
      const way = Math.PI * r();
      for (let t = -2; t <= 2; t++) {
        const [px, py] = [Math.floor(x + t * Math.cos(way)), Math.floor(y + t * Math.sin(way))];
        if (px < 0 || py < 0 || px >= side || py >= side) continue;
        const at = py * side + px;
        sheet.ink[at] += soft * Math.max(0, tone - sheet.ink[at] + 0.15 * normal(r));
      }
    }
    for (let i = 0; i < sheet.ink.length; i++) sheet.ink[i] = Math.min(1, Math.max(0, sheet.ink[i] * 1.6));
    return inked(sheet, colours);
  },
  scribble: (side, colours, r) => {
    const [sheet, hand] = [new Sheet(side), { ...someHand(r), fade: 0 }];
    const way = r();
    const many = 2 + Math.floor(4 * r());
    for (let k = 0; k < many; k++) {
      const [cx, cy] = [side * r(), side * r()];
      const a = 2 * Math.PI * r();
      if (way < 0.45) {
        // Coils: a circling hand that moves on.
        const [radius, on, reach] = [6 + 16 * r(), 0.15 + 0.45 * r(), side * (0.6 + 0.5 * r())];
        const turns = reach / (2 * radius * on);
        run(
          sheet,
          hand,
          (t) => [
            cx + (t - 0.5) * reach * Math.cos(a) + radius * Math.cos(2 * Math.PI * turns * t),
            cy + (t - 0.5) * reach * Math.sin(a) + radius * (0.6 + 0.4 * Math.sin(a)) * Math.sin(2 * Math.PI * turns * t),
          ],
          2 * Math.PI * turns * radius,
          r,
        );
      } else {
        // Tangles: sums of incommensurate swings.
        const waves = [0, 1, 2].map(() => [side * (0.08 + 0.16 * r()), 2 + 9 * r(), 7 * r(), 7 * r()]);
        run(
          sheet,
          hand,
          (t) => [
            side / 2 + 0.3 * (cx - side / 2) + waves.reduce((s, [m, f, p]) => s + m * Math.sin(f * 6.28 * t + p), 0),
            side / 2 + 0.3 * (cy - side / 2) + waves.reduce((s, [m, f, , p]) => s + m * Math.cos(1.17 * f * 6.28 * t + p), 0),
          ],
          side * (8 + 8 * r()),
          r,
        );
      }
    }
    return inked(sheet, colours);
  },
  stipple: (side, colours, r) => {
    const [sheet, hand] = [new Sheet(side), someHand(r)];
    const gap = 6 + 12 * r();
    const many = (side / gap) ** 2 * (0.6 + 0.6 * r());
    const lean = 2 * Math.PI * r();
    for (let k = 0; k < many; k++) {
      const [x, y] = [side * r(), side * r()];
      // More of them toward one side.
      if (r() < 0.6 * ((x * Math.cos(lean) + y * Math.sin(lean)) / side)) continue;
      const size = Math.min(0.32 * gap, 0.8 + 0.7 * hand.width * (0.6 + 0.6 * r()));
      sheet.touch(x, y, size, 0.9);
      sheet.touch(x + 0.6 * size * normal(r), y + 0.6 * size * normal(r), 0.8 * size, 0.9);
    }
    return inked(sheet, colours);
  },
  line: (side, colours, r) => {
    const [sheet, hand] = [new Sheet(side), { ...someHand(r), width: 1.2 + 3.5 * r() }];
    for (let k = 0, n = 1 + Math.floor(5 * r()); k < n; k++) {
      if (r() < 0.6) run(sheet, hand, outline(side, r), side * (0.8 + r()), r);
      else {
        const [a, cx, cy, bow] = [2 * Math.PI * r(), side * r(), side * r(), 0.4 * (r() - 0.5)];
        const long = side * (0.3 + 0.9 * r());
        run(
          sheet,
          hand,
          (t) => [
            cx + (t - 0.5) * long * Math.cos(a) - bow * long * (t - 0.5) ** 2 * Math.sin(a),
            cy + (t - 0.5) * long * Math.sin(a) + bow * long * (t - 0.5) ** 2 * Math.cos(a),
          ],
          long,
          r,
        );
      }
    }
    return inked(sheet, colours);
  },
};
