/** Knows the students' own references of the demo: a neighbour and a face in nature's proportion, drawn soft like photographs. */
import { Drawing, oval, P, smooth } from './sheet';

const d = (points: readonly P[]) => `M${points.map((p) => `${p[0].toFixed(2)} ${p[1].toFixed(2)}`).join('L')}Z`;

/** A form lit from the upper left: a gradient across it and a soft shadow on its right. */
function lit(id: string, points: readonly P[], light: string, dark: string): string {
  return `<defs><linearGradient id="${id}" x1="0.1" y1="0" x2="0.95" y2="0.45"><stop offset="0" stop-color="${light}"/><stop offset="0.5" stop-color="${light}"/><stop offset="1" stop-color="${dark}"/></linearGradient></defs><path d="${d(points)}" fill="url(#${id})"/>`;
}

function photograph(widthMm: number, heightMm: number, back: string, parts: readonly string[], landmarks: Drawing['landmarks']): Drawing {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${widthMm} ${heightMm}" width="${widthMm}" height="${heightMm}"><rect width="${widthMm}" height="${heightMm}" fill="#9aa3a6"/>${back}<g filter="url(#soft)">${parts.join('')}</g><defs><filter id="soft"><feGaussianBlur stdDeviation="0.28"/></filter></defs></svg>`;
  return { widthMm, heightMm, svg, strokes: [], landmarks };
}

/** A neighbour in coat and trousers on the quay, seven and a half heads tall. */
export function standingNeighbour(): Drawing {
  const [w, h] = [120, 160];
  const top = 18;
  const height = 126;
  const head = height / 7.5;
  const cx = 58;
  const at = (x: number, y: number): P => [cx + x * head, top + y * head];
  const both = (x: number, y: number): [P, P] => [at(-x, y), at(x, y)];
  const back = `<defs><linearGradient id="sky" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#b9c6cc"/><stop offset="1" stop-color="#d9d6c8"/></linearGradient></defs><rect width="${w}" height="96" fill="url(#sky)"/><rect y="84" width="${w}" height="26" fill="#5f7f86"/><rect y="108" width="${w}" height="52" fill="#8d877b"/><path d="M88 30h3v84h-3z" fill="#4a4642"/><path d="M66 143l40 6-30 4-34-5z" fill="#5c574f" opacity="0.6"/>`;
  const leg = (side: number) =>
    smooth(
      [
        at(side * 0.08, 3.75),
        at(side * 0.62, 3.7),
        at(side * 0.52, 5.4),
        at(side * 0.42, 7.15),
        at(side * 0.12, 7.15),
        at(side * 0.1, 5.4),
      ],
      true,
      6,
    );
  const arm = (side: number) =>
    smooth(
      [
        at(side * 0.72, 1.5),
        at(side * 1.02, 1.75),
        at(side * 1.16, 2.8),
        at(side * 1.08, 3.7),
        at(side * 0.84, 3.72),
        at(side * 0.84, 2.8),
      ],
      true,
      6,
    );
  const coat = smooth(
    [
      at(-0.28, 1.28),
      at(-0.96, 1.52),
      at(-0.82, 2.6),
      at(-0.86, 4.1),
      at(0, 4.2),
      at(0.86, 4.1),
      at(0.82, 2.6),
      at(0.96, 1.52),
      at(0.28, 1.28),
    ],
    true,
    6,
  );
  const parts = [
    lit('l1', leg(-1), '#57606e', '#363c48'),
    lit('l2', leg(1), '#4c5462', '#2b303a'),
    ...[-1, 1].map((s) => `<path d="${d(oval(...at(s * 0.36, 7.32), 0.34 * head, 0.16 * head))}" fill="#33261d"/>`),
    lit('c', coat, '#8c5a44', '#4a2c22'),
    lit('a1', arm(-1), '#94604a', '#613c2e'),
    lit('a2', arm(1), '#7d4f3c', '#42281f'),
    ...[-1, 1].map((s) => lit(`h${s + 1}`, oval(...at(s * 0.97, 4.02), 0.14 * head, 0.32 * head), '#d8a98c', '#a87559')),
    lit('n', [at(-0.18, 0.9), at(-0.2, 1.42), at(0.2, 1.42), at(0.18, 0.9)], '#c99a7f', '#8f6049'),
    lit(
      'f',
      smooth([at(0, 0), at(0.34, 0.2), at(0.36, 0.5), at(0.26, 0.82), at(0, 1), at(-0.26, 0.82), at(-0.36, 0.5), at(-0.34, 0.2)], true, 6),
      '#e0b396',
      '#a9775c',
    ),
    `<path d="${d(smooth([at(-0.37, 0.45), at(-0.36, 0.14), at(0, -0.03), at(0.36, 0.14), at(0.37, 0.45), at(0.28, 0.2), at(-0.28, 0.2)], true, 6))}" fill="#3b2b22"/>`,
    ...[-1, 1].map((s) => `<path d="${d(oval(...at(s * 0.14, 0.5), 0.045 * head, 0.022 * head))}" fill="#2a211c"/>`),
    `<path d="${d(oval(...at(0.01, 0.66), 0.05 * head, 0.05 * head))}" fill="#b98468"/><path d="${d(oval(...at(0, 0.79), 0.1 * head, 0.022 * head))}" fill="#8f4e42"/>`,
    `<path d="M${at(0, 1.4).join(' ')}L${at(0.03, 4.15).join(' ')}" stroke="#3d251c" stroke-width="0.5"/>`,
    lit('s', smooth([at(-0.34, 1.14), at(0.34, 1.14), at(0.42, 1.44), at(0, 1.56), at(-0.42, 1.44)], true, 6), '#c9b458', '#8c7a2e'),
  ];
  const [shoulderLeft, shoulderRight] = both(0.98, 1.55);
  const [elbowLeft, elbowRight] = both(1.08, 2.75);
  const [wristLeft, wristRight] = both(0.97, 3.72);
  const [tipLeft, tipRight] = both(0.97, 4.34);
  const [waistLeft, waistRight] = both(0.72, 2.7);
  const [kneeLeft, kneeRight] = both(0.36, 5.5);
  const [ankleLeft, ankleRight] = both(0.28, 7.1);
  const points = {
    crown: at(0, 0),
    chin: at(0, 1),
    'neck-base': at(0, 1.33),
    'shoulder-left': shoulderLeft,
    'shoulder-right': shoulderRight,
    'elbow-left': elbowLeft,
    'elbow-right': elbowRight,
    'wrist-left': wristLeft,
    'wrist-right': wristRight,
    'fingertip-left': tipLeft,
    'fingertip-right': tipRight,
    'waist-left': waistLeft,
    'waist-right': waistRight,
    crotch: at(0, 3.9),
    'knee-left': kneeLeft,
    'knee-right': kneeRight,
    'ankle-left': ankleLeft,
    'ankle-right': ankleRight,
    sole: at(0, 7.5),
    'hem-left': at(-0.86, 4.1),
    'hem-right': at(0.86, 4.1),
  };
  return photograph(w, h, back, parts, [{ template: 'figure-standing', points: mutable(points) }]);
}

/** A face from the front in nature's proportion. */
export function plainFace(): Drawing {
  const [w, h] = [110, 140];
  const head = 74;
  const [cx, top] = [54, 18];
  const at = (x: number, y: number): P => [cx + x * head, top + y * head];
  const back = `<defs><radialGradient id="wall" cx="0.35" cy="0.3" r="0.9"><stop offset="0" stop-color="#c6c3b6"/><stop offset="1" stop-color="#8f8d84"/></radialGradient></defs><rect width="${w}" height="${h}" fill="url(#wall)"/>`;
  const eye = (s: number) =>
    `<path d="${d(smooth([at(s * 0.067, 0.5), at(s * 0.134, 0.475), at(s * 0.201, 0.5), at(s * 0.134, 0.518)], true, 6))}" fill="#f1ece2"/><path d="${d(oval(...at(s * 0.134, 0.497), 0.026 * head, 0.026 * head))}" fill="#3a4a3e"/><path d="${d(smooth([at(s * 0.06, 0.415), at(s * 0.14, 0.395), at(s * 0.215, 0.425), at(s * 0.14, 0.412)], true, 6))}" fill="#4a3426"/>`;
  const parts = [
    lit('nk', [at(-0.19, 0.85), at(-0.21, 1.3), at(0.21, 1.3), at(0.19, 0.85)], '#c4906f', '#84553c'),
    lit(
      'sh',
      smooth(
        [at(-0.24, 1.1), at(-0.85, 1.42), at(-0.95, 1.8), at(0.95, 1.8), at(0.85, 1.42), at(0.24, 1.1), at(0.1, 1.24), at(-0.1, 1.24)],
        true,
        6,
      ),
      '#50657a',
      '#2c3a49',
    ),
    ...[-1, 1].map((s) => lit(`e${s + 1}`, oval(...at(s * 0.345, 0.54), 0.035 * head, 0.11 * head), '#d79f80', '#96644a')),
    lit(
      'fc',
      smooth(
        [
          at(0, 0),
          at(0.28, 0.12),
          at(0.335, 0.5),
          at(0.27, 0.8),
          at(0.1, 0.985),
          at(0, 1),
          at(-0.1, 0.985),
          at(-0.27, 0.8),
          at(-0.335, 0.5),
          at(-0.28, 0.12),
        ],
        true,
        8,
      ),
      '#e3b492',
      '#a06d50',
    ),
    `<path d="${d(smooth([at(-0.35, 0.48), at(-0.34, 0.1), at(0, -0.06), at(0.34, 0.1), at(0.35, 0.48), at(0.26, 0.2), at(0, 0.15), at(-0.26, 0.2)], true, 8))}" fill="#5b3a22"/>`,
    eye(-1),
    eye(1),
    `<path d="${d(smooth([at(-0.01, 0.5), at(0.03, 0.6), at(0.067, 0.68), at(0.02, 0.71), at(-0.05, 0.7)], true, 6))}" fill="#b27e5f" opacity="0.75"/>`,
    `<path d="${d(smooth([at(-0.134, 0.8), at(-0.04, 0.785), at(0, 0.79), at(0.04, 0.785), at(0.134, 0.8), at(0, 0.835)], true, 6))}" fill="#a5574c"/>`,
  ];
  const pairs: [string, number, number][] = [
    ['brow', 0.14, 0.405],
    ['pupil', 0.134, 0.497],
    ['nose', 0.067, 0.69],
    ['mouth', 0.134, 0.8],
    ['face', 0.335, 0.5],
    ['neck', 0.2, 1.08],
  ];
  const points: Record<string, P> = {
    crown: at(0, 0),
    hairline: at(0, 0.15),
    chin: at(0, 1),
    'nose-base': at(0, 0.712),
    'mouth-centre': at(0, 0.808),
    'neck-base': at(0, 1.33),
  };
  for (const [s, side] of [
    [-1, 'left'],
    [1, 'right'],
  ] as const) {
    for (const [name, x, y] of pairs) points[`${name}-${side}`] = at(s * x, y);
    points[`eye-${side}-inner`] = at(s * 0.067, 0.5);
    points[`eye-${side}-outer`] = at(s * 0.201, 0.5);
    points[`ear-${side}-top`] = at(s * 0.35, 0.43);
    points[`ear-${side}-bottom`] = at(s * 0.345, 0.65);
  }
  return photograph(w, h, back, parts, [{ template: 'face-front', points: mutable(points) }]);
}

const mutable = (points: Readonly<Record<string, P>>) =>
  Object.fromEntries(Object.entries(points).map(([n, p]) => [n, [p[0], p[1]] as [number, number]]));
