/** A cut block: even colour in fields parted along straight and curved cuts, key lines left standing, gouged rows and dots. */
import { Random } from '../../core/raster/statistics';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

type Field = (x: number, y: number) => number;

/** Colour of a px from 3 × 3 points in it. */
function printed(side: number, colourAt: (x: number, y: number) => Colour, sheet: Colour | null): Drawn {
  const data = new Uint8Array(3 * side * side);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const sum = [0, 0, 0];
      for (let k = 0; k < 9; k++) colourAt(x + ((k % 3) + 0.5) / 3, y + (Math.floor(k / 3) + 0.5) / 3).forEach((v, c) => (sum[c] += v));
      data.set(
        sum.map((v) => Math.round(v / 9)),
        3 * (y * side + x),
      );
    }
  return { image: { width: side, height: side, data }, sheet };
}

/** Signed distance to a cut: a straight or a round one, or one that wavers. */
function cut(side: number, r: Random): Field {
  const [a, d] = [2 * Math.PI * r(), side * 0.45 * (r() - 0.5)];
  const [nx, ny] = [Math.cos(a), Math.sin(a)];
  const [wave, phase, amount] = [6 + 10 * r(), 6 * r(), r() < 0.5 ? 0.05 * side * r() : 0];
  if (r() < 0.45) {
    const [cx, cy, R] = [side * (0.5 + 0.9 * (r() - 0.5)), side * (0.5 + 0.9 * (r() - 0.5)), side * (0.15 + 0.5 * r())];
    return (x, y) => Math.hypot(x - cx, y - cy) - R + amount * Math.sin(wave * Math.atan2(y - cy, x - cx) + phase);
  }
  return (x, y) =>
    (x - side / 2) * nx + (y - side / 2) * ny - d + amount * Math.sin((wave * ((y - side / 2) * nx - (x - side / 2) * ny)) / side + phase);
}

function fields(side: number, { sheet, inks }: Colours, keyed: boolean, r: Random): Drawn {
  const many = keyed ? 1 + Math.floor(4 * r()) : 1;
  const cuts = Array.from({ length: many }, () => cut(side, r));
  const key = inks[0];
  const colours = inks.length > 1 ? inks.slice(1) : [sheet];
  const width = 1 + 3.5 * r();
  const swell = 0.8 * r();
  const bare = r() < 0.5;
  return printed(
    side,
    (x, y) => {
      let side2 = 0;
      for (let k = 0; k < cuts.length; k++) {
        const d = cuts[k](x, y);
        if (keyed && Math.abs(d) < width * (1 + swell * Math.sin((x + 2 * y) / 40 + k))) return key;
        side2 += d > 0 ? 1 << k : 0;
      }
      return bare && side2 === 0 ? sheet : colours[side2 % colours.length];
    },
    bare && keyed ? sheet : null,
  );
}

/** Gouged rows: phase along one direction, lines swelling with the tone. */
function rows(side: number, { sheet, inks }: Colours, turn: number, sets: number, r: Random): Drawn {
  const gap = 6 + 12 * r();
  const [share, swell] = [0.25 + 0.25 * r(), 0.15 * r()];
  const a = Math.PI * r();
  const [cx, cy] = [side / 2 - Math.cos(a) * (side / turn), side / 2 - Math.sin(a) * (side / turn)];
  const angles = Array.from({ length: sets }, (_, k) => a + k * (0.45 + 1.1 * r()));
  const [wobble, p] = [0.25 * r(), 6 * r()];
  return printed(
    side,
    (x, y) => {
      const tone = share + swell * Math.sin(x / 60 + p) * Math.cos(y / 70);
      for (const b of angles) {
        const across = turn ? Math.hypot(x - cx, y - cy) : x * Math.cos(b) + y * Math.sin(b);
        const phase = across / gap + wobble * Math.sin((x * Math.sin(b) - y * Math.cos(b)) / 50);
        if (phase - Math.floor(phase) < tone / (sets > 1 ? 1.4 : 1)) return inks[0];
      }
      return sheet;
    },
    sheet,
  );
}

export const BLOCK: StrokeModel = {
  flat: (side, colours, r) =>
    r() < 0.6
      ? printed(side, () => colours.inks[0], null)
      : fields(side, { ...colours, inks: [colours.inks[0], ...colours.inks] }, false, r),
  line: (side, colours, r) => fields(side, colours, true, r),
  'parallel-hatch': (side, colours, r) => rows(side, colours, 0, 1, r),
  'cross-hatch': (side, colours, r) => rows(side, colours, 0, 2, r),
  'contour-hatch': (side, colours, r) => rows(side, colours, 0.9 + 0.9 * r(), 1, r),
  stipple: (side, { sheet, inks }, r) => {
    const [gap, a] = [7 + 9 * r(), Math.PI * r()];
    const dots = Array.from({ length: 64 * 64 }, () => [r() - 0.5, r() - 0.5, 0.12 + 0.13 * r()]);
    const loose = 0.2 + 0.6 * r();
    return printed(
      side,
      (x, y) => {
        const [u, v] = [(x * Math.cos(a) - y * Math.sin(a)) / gap, (x * Math.sin(a) + y * Math.cos(a)) / gap];
        for (let j = -1; j <= 1; j++)
          for (let i = -1; i <= 1; i++) {
            const [cu, cv] = [Math.floor(u) + i, Math.floor(v) + j];
            const [du, dv, size] = dots[(((cu & 63) << 6) | (cv & 63)) % dots.length];
            if (Math.hypot(u - cu - 0.5 - loose * du, v - cv - 0.5 - loose * dv) < size) return inks[0];
          }
        return sheet;
      },
      sheet,
    );
  },
};
