/** Cut and drawn shapes of vector graphics, put on px by an outside program (librsvg): outlines with fields, clipped rows, turbulence for wet colour. */
import sharp from 'sharp';
import { normal, Random } from '../../core/raster/statistics';
import { rasterOf } from '../support/pictures';
import { Colour, Colours, Drawn, StrokeModel } from './patch';

type Point = readonly [x: number, y: number];

const at = (v: number) => v.toFixed(2);
const rgb = ([r, g, b]: Colour) => `rgb(${r.toFixed(0)},${g.toFixed(0)},${b.toFixed(0)})`;
const nearTo = (c: Colour, by: number, r: Random): Colour => {
  const [light, hue] = [by * normal(r), 0.5 * by * normal(r)];
  return [c[0] + light + hue, c[1] + light, c[2] + light - hue].map((v) => Math.min(255, Math.max(0, v))) as unknown as Colour;
};
const BLACK: Colour = [0, 0, 0];
const anyOf = <T>(list: readonly T[], r: Random): T => list[Math.floor(r() * list.length)];

/** A curve through points (Catmull and Rom's, as cubic pieces), closed or open. */
function through(points: readonly Point[], closed: boolean): string {
  const n = points.length;
  const of = (k: number) => (closed ? points[((k % n) + n) % n] : points[Math.min(n - 1, Math.max(0, k))]);
  let path = `M${at(points[0][0])} ${at(points[0][1])}`;
  for (let k = 0; k < (closed ? n : n - 1); k++) {
    const [a, b, c, d] = [of(k - 1), of(k), of(k + 1), of(k + 2)];
    const pull = (p: Point, q: Point, from: Point, s: number) =>
      `${at(from[0] + (s * (q[0] - p[0])) / 6)} ${at(from[1] + (s * (q[1] - p[1])) / 6)}`;
    path += `C${pull(a, c, b, 1)} ${pull(b, d, c, -1)} ${at(c[0])} ${at(c[1])}`;
  }
  return closed ? `${path}Z` : path;
}

/** A closed form, rounded or with corners, anywhere on the sheet; a main one about the middle, and large. */
function blob(side: number, r: Random, main = false): string {
  const off = main ? 0.3 : 1;
  const [cx, cy, size] = [side * (0.5 + off * (r() - 0.5)), side * (0.5 + off * (r() - 0.5)), side * ((main ? 0.35 : 0.15) + 0.4 * r())];
  const [many, flat, turn] = [4 + Math.floor(6 * r()), 0.45 + 0.55 * r(), 6.3 * r()];
  const points = Array.from({ length: many }, (_, k): Point => {
    const [t, d] = [(2 * Math.PI * (k + 0.5 * (r() - 0.5))) / many, size * (0.7 + 0.5 * r())];
    const [u, v] = [d * Math.cos(t), flat * d * Math.sin(t)];
    return [cx + u * Math.cos(turn) - v * Math.sin(turn), cy + u * Math.sin(turn) + v * Math.cos(turn)];
  });
  return r() < 0.25 ? `M${points.map((p) => p.map(at).join(' ')).join('L')}Z` : through(points, true);
}

/** An open line that wanders over the sheet from where it begins. */
function wandering(side: number, steps: number, bend: number, r: Random): Point[] {
  let [x, y, t, turn] = [side * r(), side * r(), 6.3 * r(), 0.1 * normal(r)];
  const stride = side * (0.05 + 0.1 * r());
  return Array.from({ length: steps }, (): Point => {
    turn = 0.6 * turn + bend * normal(r);
    t += turn;
    x += stride * Math.cos(t);
    y += stride * Math.sin(t);
    return [x, y];
  });
}

interface Sheet {
  defs?: string;
  body: string;
  behind: Colour;
  /** Whether what is behind is bare sheet. */
  bare?: boolean;
}

async function drawn(side: number, { defs = '', body, behind, bare = true }: Sheet): Promise<Drawn> {
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}"><defs>${defs}</defs><rect width="${side}" height="${side}" fill="${rgb(behind)}"/>${body}</svg>`;
  return { image: await rasterOf(sharp(Buffer.from(text)).flatten()), sheet: bare ? behind : null };
}

const stroke = (path: string, ink: Colour, width: number, more = '') =>
  `<path d="${path}" fill="none" stroke="${rgb(ink)}" stroke-width="${at(width)}" stroke-linecap="round" stroke-linejoin="round" ${more}/>`;
const fill = (path: string, paint: string, more = '') => `<path d="${path}" fill="${paint}" ${more}/>`;

/** A line whose width swells: the outline of a thin closed form, there and back. */
function swelling(points: readonly Point[], ink: Colour, width: number, r: Random): string {
  const beat = 0.5 + 2 * r();
  const sides = [1, -1].map((sign) =>
    points.map(([x, y], k): Point => {
      const [p, q] = [points[Math.max(0, k - 1)], points[Math.min(points.length - 1, k + 1)]];
      const long = Math.max(1e-6, Math.hypot(q[0] - p[0], q[1] - p[1]));
      const half = (sign * width * (0.35 + 0.65 * Math.abs(Math.sin(1 + beat * k)))) / 2;
      return [x - (half * (q[1] - p[1])) / long, y + (half * (q[0] - p[0])) / long];
    }),
  );
  return fill(through([...sides[0], ...sides[1].reverse()], true), rgb(ink));
}

/** Straight strokes side by side, in a clip or over all, at an angle. */
function rows(side: number, angle: number, gap: number, ink: Colour, r: Random): string {
  const [width, loose, long, faint] = [gap * (0.15 + 0.35 * r()), 0.25 * r() ** 2, side * (0.15 + 1.2 * r()), 0.65 + 0.35 * r()];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  let out = '';
  for (let across = -0.75 * side; across < 0.75 * side; across += gap) {
    const v = across + loose * gap * normal(r);
    for (let along = -0.75 * side - long * r(); along < 0.75 * side; along += long * (1.05 + 0.15 * r())) {
      const bow = 0.06 * loose * long * normal(r);
      const ends = [along, along + long / 2, along + long].map((u, k): Point => {
        const w = v + (k === 1 ? bow : 0);
        return [side / 2 + u * c - w * s, side / 2 + u * s + w * c];
      });
      out += stroke(through(ends, false), ink, width, `opacity="${at(faint)}"`);
    }
  }
  return out;
}

/** One to three fields of rows, each within its form or over all; with the forms' outlines now and then. */
function rowed(side: number, { sheet, inks }: Colours, sets: number, r: Random): Promise<Drawn> {
  const gap = 4 + 11 * r() ** 1.3;
  const [angle, apart] = [Math.PI * r(), 0.6 + 0.9 * r()];
  const everywhere = r() < 0.5;
  const forms = Array.from({ length: everywhere ? 1 : 2 + Math.floor(3 * r()) }, (_, k) => blob(side, r, k === 0));
  const outline = r() < 0.35 ? 1 + 2 * r() : 0;
  const defs = forms.map((form, k) => `<clipPath id="c${k}"><path d="${form}"/></clipPath>`).join('');
  const body = forms.map((form, k) => {
    const lines = Array.from({ length: sets }, (_, j) => rows(side, angle + j * apart, gap * (0.9 + 0.2 * r()), inks[0], r)).join('');
    const within = everywhere ? lines : `<g clip-path="url(#c${k})">${lines}</g>`;
    return within + (outline ? stroke(form, inks[0], outline) : '');
  });
  return drawn(side, { defs, body: body.join(''), behind: sheet });
}

/** Bowed strokes side by side, the bow going over from one into another, as over folds and hair. */
function bowed(side: number, ink: Colour, r: Random): string {
  const [t, cx, cy] = [Math.PI * r(), side * (0.3 + 0.4 * r()), side * (0.3 + 0.4 * r())];
  const [long, deep, gap] = [side * (0.3 + 0.35 * r()), side * (0.3 + 0.4 * r()), 4 + 6 * r()];
  const bow = () => (r() < 0.5 ? -1 : 1) * long * (0.35 + 0.5 * r());
  const [from, to, lean] = [bow(), bow(), 0.4 * normal(r)];
  const [width, loose] = [0.8 + 0.3 * gap * r(), 0.4 * r()];
  let out = '';
  for (let v = -deep; v < deep; v += gap) {
    const share = (v + deep) / (2 * deep);
    const off = v + loose * gap * (r() - 0.5);
    const [begin, end] = [-1 + 0.25 * r(), 1 - 0.25 * r()];
    const points = Array.from({ length: 6 }, (_, k): Point => {
      const u = begin + ((end - begin) * k) / 5;
      const w = off + (from + share * (to - from)) * (1 - u * u) + lean * long * u ** 3 * (share - 0.5);
      return [cx + long * u * Math.cos(t) - w * Math.sin(t), cy + long * u * Math.sin(t) + w * Math.cos(t)];
    });
    out += r() < 0.5 ? stroke(through(points, false), ink, width) : swelling(points, ink, 1.3 * width, r);
  }
  return out;
}

const turbulence = (id: string, cell: number, octaves: number, more: string, r: Random) =>
  `<filter id="${id}" x="-20%" y="-20%" width="140%" height="140%" color-interpolation-filters="sRGB"><feTurbulence type="fractalNoise" baseFrequency="${(1 / cell).toFixed(4)}" numOctaves="${octaves}" seed="${Math.floor(9999 * r())}" result="n"/>${more}</filter>`;

/** Fine noise of a colour over the whole sheet, at most so strong: the filter, and what it is laid on. */
function grain(side: number, cell: number, colour: Colour, strong: number, r: Random): { filter: string; over: string } {
  const rows = colour.map((v) => `0 0 0 0 ${at(v / 255)}`).join(' ');
  return {
    filter: turbulence('grain', cell, 2, `<feColorMatrix in="n" values="${rows} 0 0 0 ${at(strong)} 0"/>`, r),
    over: `<rect width="${side}" height="${side}" filter="url(#grain)"/>`,
  };
}

/** Fields of even colour, side by side and one over the other. */
const fields = (side: number, inks: readonly Colour[], many: number, r: Random) =>
  Array.from({ length: many }, () => fill(blob(side, r), rgb(anyOf(inks, r)))).join('');

export const VECTOR: StrokeModel = {
  blank: (side, { sheet }, r) => {
    const { filter, over } = grain(side, 1.5 + 2 * r(), BLACK, 0.12 * r(), r);
    return drawn(side, { defs: filter, body: over, behind: sheet });
  },
  flat: (side, { sheet, inks }, r) => {
    const bare = r() < 0.3;
    return drawn(side, { body: fields(side, inks.slice(1), 2 + Math.floor(4 * r()), r), behind: bare ? sheet : inks[1], bare });
  },
  line: (side, { sheet, inks }, r) => {
    const width = 1 + 3.5 * r();
    const coloured = r() < 0.45;
    const forms = Array.from({ length: 2 + Math.floor(4 * r()) }, () => blob(side, r));
    const filled = forms.map(
      (form) => (coloured ? fill(form, rgb(anyOf([sheet, ...inks.slice(1)], r))) : '') + stroke(form, inks[0], width),
    );
    const folds = Array.from({ length: 2 + Math.floor(5 * r()) }, () =>
      swelling(wandering(side, 4 + Math.floor(5 * r()), 0.3, r), inks[0], 1.2 * width, r),
    );
    return drawn(side, { body: filled.join('') + folds.join(''), behind: sheet });
  },
  'parallel-hatch': (side, colours, r) => rowed(side, colours, 1, r),
  'cross-hatch': (side, colours, r) => rowed(side, colours, 2 + Math.floor(1.3 * r()), r),
  'contour-hatch': (side, { sheet, inks }, r) => drawn(side, { body: bowed(side, inks[0], r), behind: sheet }),
  stipple: (side, { sheet, inks }, r) => {
    const [size, gap, t, long] = [0.7 + 1.8 * r(), 5 + 7 * r(), 6.3 * r(), r() < 0.3 ? 1.5 + r() : 1];
    let body = '';
    const many = Math.round((side / gap) ** 2 * 1.6);
    for (let k = 0; k < many; k++) {
      const [u, v] = [r(), r()];
      // Thinning out to one side.
      if (r() < 0.75 * (0.5 + (u - 0.5) * Math.cos(t) + (v - 0.5) * Math.sin(t))) continue;
      const d = size * (0.7 + 0.6 * r());
      body += `<ellipse cx="${at(u * side)}" cy="${at(v * side)}" rx="${at(d * long)}" ry="${at(d)}" transform="rotate(${at(360 * r())} ${at(u * side)} ${at(v * side)})" fill="${rgb(inks[0])}"/>`;
    }
    return drawn(side, { body, behind: sheet });
  },
  scribble: (side, { sheet, inks }, r) => {
    const [loops, size, drift] = [2 + Math.floor(3 * r()), side * (0.05 + 0.12 * r()), side * (0.02 + 0.04 * r())];
    const zigzag = r() < 0.35;
    let body = '';
    for (let k = 0; k < loops; k++) {
      let [x, y] = [side * r(), side * r()];
      let [t, way] = [6.3 * r(), 6.3 * r()];
      const points = Array.from({ length: 60 + Math.floor(90 * r()) }, (_, i): Point => {
        if (!zigzag) t += 0.9 + 0.5 * r();
        way += 0.25 * normal(r);
        x += drift * Math.cos(way) + 0.08 * (side / 2 - x);
        y += drift * Math.sin(way) + 0.08 * (side / 2 - y);
        const d = size * (0.6 + 0.8 * r());
        const to = zigzag ? way + 1.3 + (i % 2) * Math.PI : t;
        return [x + d * Math.cos(to), y + d * Math.sin(to)];
      });
      body += stroke(through(points, false), inks[0], 0.8 + 1.7 * r());
    }
    return drawn(side, { body, behind: sheet });
  },
  'smooth-shading': (side, { inks }, r) => {
    const paints = inks.slice(1);
    const soft = Array.from(
      { length: 3 },
      (_, k) =>
        `<filter id="s${k}" x="-60%" y="-60%" width="220%" height="220%"><feGaussianBlur stdDeviation="${at(side * (0.04 + 0.12 * r()))}"/></filter>`,
    ).join('');
    const base = anyOf(paints, r);
    const deep = nearTo(base, 70, r);
    const [x1, y1] = [r(), r()];
    const grade = `<linearGradient id="g" x1="${at(x1)}" y1="${at(y1)}" x2="${at(1 - x1)}" y2="${at(1 - y1)}"><stop offset="0" stop-color="${rgb(base)}"/><stop offset="${at(0.3 + 0.4 * r())}" stop-color="${rgb(nearTo(base, 35, r))}"/><stop offset="1" stop-color="${rgb(deep)}"/></linearGradient>`;
    const { filter, over } = grain(side, 1.2 + 1.5 * r(), BLACK, 0.3 * r() ** 2, r);
    const clouds = Array.from({ length: 2 + Math.floor(5 * r()) }, () =>
      fill(blob(side, r), rgb(nearTo(anyOf([base, deep], r), 40, r)), `filter="url(#s${Math.floor(3 * r())})"`),
    ).join('');
    const edge = r() < 0.3 ? fill(blob(side, r), 'url(#g)') : '';
    const body = `<rect width="${side}" height="${side}" fill="url(#g)"/>${edge}${clouds}${over}`;
    return drawn(side, { defs: soft + grade + filter, body, behind: base, bare: false });
  },
  wash: (side, { sheet, inks }, r) => {
    // The colour's strength runs with slow noise; the edge is pushed about by the same, and darker within a few px of it.
    const many = 1 + Math.floor(3 * r());
    const defs: string[] = [];
    let body = '';
    for (let k = 0; k < many; k++) {
      const form =
        r() < 0.4
          ? `M${-side} ${at(side * 0.4 * r())}L${2 * side} ${at(side * 0.4 * r())}L${2 * side} ${2 * side}L${-side} ${2 * side}Z`
          : blob(side, r, k === 0);
      const [low, run, rim] = [0.2 + 0.35 * r(), 0.5 + 1.3 * r(), 0.5 * r()];
      defs.push(
        turbulence(
          `w${k}`,
          side * (0.15 + 0.4 * r()),
          3 + Math.floor(3 * r()),
          `<feDisplacementMap in="SourceGraphic" in2="n" scale="${at(30 * r())}" xChannelSelector="R" yChannelSelector="G" result="d"/>` +
            `<feColorMatrix in="n" values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 ${at(run)} 0 0 0 ${at(low - run / 2 + 0.1)}" result="a"/>` +
            `<feComposite in="d" in2="a" operator="in" result="f"/>` +
            `<feMorphology in="d" operator="erode" radius="${at(1 + 1.5 * r())}" result="e"/><feGaussianBlur in="e" stdDeviation="1.2" result="b"/>` +
            `<feComposite in="d" in2="b" operator="out" result="o"/><feComponentTransfer in="o" result="rim"><feFuncA type="linear" slope="${at(rim)}"/></feComponentTransfer>` +
            `<feMerge><feMergeNode in="f"/><feMergeNode in="rim"/></feMerge>`,
          r,
        ),
      );
      body += fill(form, rgb(anyOf(inks, r)), `filter="url(#w${k})"`);
    }
    const { filter, over } = grain(side, 1.5 + 2 * r(), sheet, 0.35 * r(), r);
    return drawn(side, { defs: defs.join('') + filter, body: body + over, behind: sheet });
  },
  dabs: (side, { sheet, inks }, r) => {
    const [size, long, varied] = [5 + 9 * r(), 1.4 + 2 * r(), 10 + 22 * r()];
    const [base, other] = [anyOf(inks, r), anyOf([...inks, sheet], r)];
    const [way, turn, edge] = [6.3 * r(), 0.6 + 2 * r(), 6.3 * r()];
    const shape = anyOf(['stroke', 'ellipse', 'cut'] as const, r);
    let body = '';
    const many = Math.round(((side / size) ** 2 * 2.4) / long);
    for (let k = 0; k < many; k++) {
      const [x, y] = [side * r(), side * r()];
      const place = (x / side - 0.5) * Math.cos(edge) + (y / side - 0.5) * Math.sin(edge);
      const t = way + turn * place * 2 + 0.25 * normal(r);
      const colour = rgb(nearTo(place + 0.15 * normal(r) > 0.1 ? other : base, varied, r));
      const [dx, dy, d] = [Math.cos(t), Math.sin(t), size * (0.7 + 0.6 * r())];
      const half = (d * long) / 2;
      if (shape === 'ellipse')
        body += `<ellipse rx="${at(half)}" ry="${at(d / 2)}" fill="${colour}" transform="translate(${at(x)} ${at(y)}) rotate(${at((180 * t) / Math.PI)})"/>`;
      else if (shape === 'cut') {
        const corner = (u: number, v: number) => `${at(x + u * half * dx - (v * d * dy) / 2)} ${at(y + u * half * dy + (v * d * dx) / 2)}`;
        body += fill(
          `M${corner(-1, -1 + 0.4 * r())}L${corner(1, -1 + 0.4 * r())}L${corner(1, 1 - 0.4 * r())}L${corner(-1, 1 - 0.4 * r())}Z`,
          colour,
        );
      } else
        body += `<path d="M${at(x - half * dx)} ${at(y - half * dy)}L${at(x + half * dx)} ${at(y + half * dy)}" stroke="${colour}" stroke-width="${at(d)}" stroke-linecap="round" opacity="${at(0.75 + 0.25 * r())}"/>`;
    }
    return drawn(side, { body, behind: r() < 0.5 ? sheet : base, bare: false });
  },
};
