/** Knows scenes of the island port, laid out in shares of the sheet, and how a hand draws them. */
import { normal, seededRandom } from '../core/raster/statistics';
import { hatchWith, headStudy, outline, passenger } from './figures';
import { Hand, HORIZON } from './hand';
import { Drawing, hatch, oval, P, Sheet, smooth } from './sheet';

/** Positions and sizes in shares: x of the width, y and heights of the sheet's height. */
export interface Scene {
  seed: number;
  figures: { x: number; y: number; height: number; lean?: number; hooded?: boolean }[];
  head?: { x: number; y: number; size: number };
  /** Deck or quay as a polygon. */
  deck: P[] | null;
  mast: { x: number; top: number; foot: number; flags: number } | null;
  rail: { y: number; from: number; to: number } | null;
  boats: { x: number; y: number; size: number }[];
  houses: { from: number; to: number } | null;
  spray: { x: number; y: number; size: number } | null;
  light: P;
}

const bare: Omit<Scene, 'seed' | 'light'> = {
  figures: [],
  deck: null,
  mast: null,
  rail: null,
  boats: [],
  houses: null,
  spray: null,
};

export const MASTER_SCENES: readonly { title: string; dated: string; widthMm: number; heightMm: number; scene: Scene }[] = [
  { title: 'Evening ferry, foredeck', dated: '1921', widthMm: 300, heightMm: 212, scene: { ...bare, seed: 11, deck: [[0, 0.74], [1, 0.66], [1, 1], [0, 1]], figures: [{ x: 0.24, y: 0.93, height: 0.6 }, { x: 0.45, y: 0.88, height: 0.5, hooded: true }, { x: 0.6, y: 0.96, height: 0.64, lean: 2 }], mast: { x: 0.83, top: 0.06, foot: 0.78, flags: 2 }, rail: { y: 0.62, from: 0, to: 1 }, boats: [{ x: 0.12, y: 0.3, size: 0.1 }], light: [0.83, 0.16] } },
  { title: 'The signal mast', dated: '1924', widthMm: 230, heightMm: 320, scene: { ...bare, seed: 12, deck: [[0, 0.82], [0.5, 0.78], [1, 0.84], [1, 1], [0, 1]], figures: [{ x: 0.68, y: 0.95, height: 0.42 }], mast: { x: 0.36, top: 0.04, foot: 0.88, flags: 5 }, boats: [{ x: 0.82, y: 0.32, size: 0.12 }], light: [0.36, 0.3] } },
  { title: 'Waiting at the slip', dated: '1926', widthMm: 360, heightMm: 220, scene: { ...bare, seed: 13, deck: [[0, 0.7], [0.62, 0.7], [0.72, 1], [0, 1]], figures: [{ x: 0.1, y: 0.94, height: 0.52, hooded: true }, { x: 0.22, y: 0.9, height: 0.48 }, { x: 0.36, y: 0.95, height: 0.58 }, { x: 0.5, y: 0.91, height: 0.46, lean: -2 }], boats: [{ x: 0.84, y: 0.56, size: 0.26 }], houses: { from: 0.55, to: 0.95 }, light: [0.9, 0.44] } },
  { title: 'Head of a passenger', dated: '1929', widthMm: 210, heightMm: 270, scene: { ...bare, seed: 14, head: { x: 0.5, y: 0.24, size: 0.36 }, light: [0.14, 0.34] } },
  { title: 'Harbour lights', dated: '1931', widthMm: 320, heightMm: 240, scene: { ...bare, seed: 15, boats: [{ x: 0.25, y: 0.62, size: 0.34 }, { x: 0.68, y: 0.44, size: 0.2 }, { x: 0.86, y: 0.84, size: 0.26 }], houses: { from: 0.04, to: 0.6 }, light: [0.46, 0.18] } },
  { title: 'Spray over the bow', dated: '1934', widthMm: 280, heightMm: 200, scene: { ...bare, seed: 16, deck: [[0.3, 1], [0.44, 0.66], [1, 0.58], [1, 1]], figures: [{ x: 0.66, y: 0.92, height: 0.56, lean: 3, hooded: true }, { x: 0.86, y: 0.9, height: 0.5, lean: 2, hooded: true }], spray: { x: 0.28, y: 0.62, size: 0.2 }, mast: { x: 0.93, top: 0.04, foot: 0.7, flags: 1 }, light: [0.76, 0.3] } },
]; // prettier-ignore

/** A scene of a student's own: other places, other company. */
export function ownScene(seed: number): Scene {
  const r = seededRandom(seed * 7919 + 5);
  const pick = (low: number, high: number) => low + (high - low) * r();
  const right = r() < 0.5;
  const side = (x: number) => (right ? x : 1 - x);
  const company = 1 + Math.floor(r() * 3);
  const kind = Math.floor(r() * 4);
  const deck: P[] =
    kind === 0
      ? [
          [0, pick(0.78, 0.86)],
          [1, pick(0.78, 0.86)],
          [1, 1],
          [0, 1],
        ]
      : kind === 1
        ? [
            [side(0.02), pick(0.72, 0.8)],
            [side(0.55), pick(0.7, 0.76)],
            [side(0.72), 1],
            [side(0), 1],
          ]
        : kind === 2
          ? [
              [side(0), 1],
              [side(0.1), 0.86],
              [side(0.5), 0.72],
              [side(1), 0.7],
              [side(1), 1],
            ]
          : [
              [0, 0.9],
              [0.5, 0.84],
              [1, 0.9],
              [1, 1],
              [0, 1],
            ];
  const start = pick(0.14, 0.4);
  return {
    seed: seed + 400,
    deck,
    figures: Array.from({ length: company }, (_, i) => ({
      x: side(start + i * pick(0.17, 0.24)),
      y: pick(0.92, 0.97),
      height: pick(0.5, 0.68),
      lean: pick(-2, 2),
      hooded: r() < 0.4,
    })),
    mast: r() < 0.5 ? { x: side(pick(0.82, 0.94)), top: pick(0.03, 0.1), foot: 0.84, flags: Math.floor(r() * 4) } : null,
    rail: kind === 0 && r() < 0.6 ? { y: pick(0.66, 0.72), from: 0, to: 1 } : null,
    boats: Array.from({ length: Math.floor(r() * 3) }, () => ({
      x: pick(0.1, 0.9),
      y: pick(0.3, 0.55),
      size: pick(0.1, 0.24),
    })),
    houses: r() < 0.4 ? { from: side(0.1) < 0.5 ? 0.05 : 0.5, to: side(0.1) < 0.5 ? 0.45 : 0.95 } : null,
    spray: r() < 0.3 ? { x: side(0.75), y: 0.6, size: 0.14 } : null,
    light: [side(pick(0.6, 0.9)), pick(0.12, 0.4)],
  };
}

function sea(sheet: Sheet, hand: Hand): void {
  const [w, h] = [sheet.width, sheet.height];
  const top = HORIZON * h;
  const water: P[] = [
    [0, top],
    [w, top],
    [w, h],
    [0, h],
  ];
  sheet.wash(water, hand.seaWash, hand.washOpacity * 0.9);
  sheet.ribbon(
    Array.from({ length: 24 }, (_, i): P => [(w * i) / 23, top]),
    hand.lineWidth,
    hand.ink,
    'line',
    hand.tremble,
  );
  // Two bands of first-set strokes and, in the water alone, the second set across them.
  const band = (y0: number, y1: number, x0: number, x1: number) =>
    smooth(
      [
        [x0 * w, y0 * h],
        [((x0 + x1) / 2) * w, (y0 - 0.02) * h],
        [x1 * w, y0 * h],
        [x1 * w, y1 * h],
        [((x0 + x1) / 2) * w, (y1 + 0.02) * h],
        [x0 * w, y1 * h],
      ],
      true,
      4,
    );
  const upper = band(HORIZON + 0.05, 0.44, 0.02, 0.98);
  const lower = band(0.5, 0.72, 0.02, 0.98);
  for (const area of [upper, lower]) hatch(sheet, area, hatchWith(hand));
  for (const area of [band(HORIZON + 0.06, 0.4, 0.04, 0.42), band(0.52, 0.7, 0.55, 0.96)])
    hatch(sheet, area, hatchWith(hand, { angle: hand.angle - hand.crossing, role: 'cross' }));
  if (hand.white)
    for (let i = 0; i < 9; i++) {
      const [x, y] = [sheet.random() * w, (0.46 + 0.04 * normal(sheet.random)) * h];
      sheet.stroke([x, y], [x + 5 + 4 * sheet.random(), y + 0.4], 0.7, '#fbfaf4', 'highlight', 0.3);
    }
}

function deckOf(sheet: Sheet, hand: Hand, shares: readonly P[]): void {
  const deck = shares.map(([x, y]): P => [x * sheet.width, y * sheet.height]);
  sheet.fill(deck, hand.ground);
  for (let i = 1; i < deck.length; i++) {
    const [a, b] = [deck[i - 1], deck[i]];
    if (a[1] >= sheet.height - 1 && b[1] >= sheet.height - 1) continue;
    if ((a[0] <= 0.5 && b[0] <= 0.5) || (a[0] >= sheet.width - 0.5 && b[0] >= sheet.width - 0.5)) continue;
    sheet.ribbon(
      Array.from({ length: 16 }, (_, k): P => [a[0] + ((b[0] - a[0]) * k) / 15, a[1] + ((b[1] - a[1]) * k) / 15]),
      hand.windward,
      hand.ink,
      'outline',
      hand.tremble,
    );
  }
  const lowest = Math.min(...deck.map((p) => p[1]));
  for (let i = 1; i <= 4; i++) {
    const y = lowest + ((sheet.height - lowest) * (i + 0.6)) / 5.2;
    const xs = deck.map((p) => p[0]);
    const [left, right] = [Math.min(...xs), Math.max(...xs)];
    const inset = 0.04 * (right - left) + (i % 2) * 6;
    sheet.stroke(
      [left + inset + (shares.length === 4 ? 0.1 * sheet.width * (1 - i / 5) : 0), y],
      [right - inset, y - 1.5],
      hand.lineWidth,
      hand.ink,
      'line',
      0.4,
    );
  }
}

function mastOf(sheet: Sheet, hand: Hand, m: NonNullable<Scene['mast']>): void {
  const [x, top, foot] = [m.x * sheet.width, m.top * sheet.height, m.foot * sheet.height];
  const pole: P[] = [
    [x - 1.1, top],
    [x + 1.1, top],
    [x + 1.9, foot],
    [x - 1.9, foot],
  ];
  sheet.fill(pole, hand.ground);
  hatch(
    sheet,
    [
      [x, top],
      [x + 1.2, top],
      [x + 2, foot],
      [x, foot],
    ],
    hatchWith(hand, { spacing: hand.spacing }),
  );
  sheet.ribbon(
    Array.from({ length: 20 }, (_, i): P => [x - 1.1 - (0.8 * i) / 19, top + ((foot - top) * i) / 19]),
    hand.windward,
    hand.ink,
    'outline',
    hand.tremble,
  );
  if (hand.lee > 0)
    sheet.ribbon(
      Array.from({ length: 20 }, (_, i): P => [x + 1.1 + (0.8 * i) / 19, top + ((foot - top) * i) / 19]),
      hand.lee,
      hand.ink,
      'outline',
      hand.tremble,
    );
  sheet.stroke(
    [x - 0.09 * sheet.width, top + 0.07 * sheet.height],
    [x + 0.09 * sheet.width, top + 0.07 * sheet.height],
    hand.windward,
    hand.ink,
    'line',
  );
  for (let i = 0; i < m.flags; i++) {
    const y = top + (0.1 + 0.085 * i) * sheet.height;
    const long = (0.075 - 0.006 * i) * sheet.width;
    const flag = smooth(
      [
        [x + 2, y],
        [x + 2 + long * 0.6, y + 1.5],
        [x + 2 + long, y - 0.5],
        [x + 2 + long, y + 0.05 * sheet.height],
        [x + 2 + long * 0.5, y + 0.055 * sheet.height],
        [x + 2, y + 0.05 * sheet.height],
      ],
      true,
      4,
    );
    sheet.fill(flag, hand.ground);
    sheet.wash(flag, i % 2 ? hand.seaWash : hand.shadeWash, hand.washOpacity);
    if (i % 2 === 0) hatch(sheet, flag, hatchWith(hand));
    outline(sheet, flag, hand);
  }
}

function boatOf(sheet: Sheet, hand: Hand, b: Scene['boats'][number]): void {
  const [x, y, s] = [b.x * sheet.width, b.y * sheet.height, b.size * sheet.width];
  const hull = smooth(
    [
      [x - 0.5 * s, y - 0.12 * s],
      [x - 0.36 * s, y + 0.1 * s],
      [x + 0.36 * s, y + 0.1 * s],
      [x + 0.56 * s, y - 0.16 * s],
      [x, y - 0.08 * s],
    ],
    true,
    6,
  );
  sheet.fill(hull, hand.ground);
  sheet.wash(hull, hand.shadeWash, hand.washOpacity);
  hatch(sheet, hull, hatchWith(hand));
  outline(sheet, hull, hand);
  const cabin: P[] = [
    [x - 0.16 * s, y - 0.1 * s],
    [x - 0.16 * s, y - 0.28 * s],
    [x + 0.12 * s, y - 0.28 * s],
    [x + 0.14 * s, y - 0.1 * s],
  ];
  sheet.fill(cabin, hand.ground);
  outline(
    sheet,
    cabin.flatMap((p, i) =>
      Array.from({ length: 8 }, (_, k): P => {
        const q = cabin[(i + 1) % 4];
        return [p[0] + ((q[0] - p[0]) * k) / 8, p[1] + ((q[1] - p[1]) * k) / 8];
      }),
    ),
    hand,
  );
  sheet.stroke([x + 0.02 * s, y - 0.28 * s], [x + 0.02 * s, y - 0.52 * s], hand.windward, hand.ink, 'line');
}

function housesOf(sheet: Sheet, hand: Hand, { from, to }: NonNullable<Scene['houses']>): void {
  const base = HORIZON * sheet.height;
  let x = from * sheet.width;
  while (x < to * sheet.width) {
    const wide = (0.04 + 0.05 * sheet.random()) * sheet.width;
    const high = (0.06 + 0.09 * sheet.random()) * sheet.height;
    const roof = (0.02 + 0.03 * sheet.random()) * sheet.height;
    const corners: P[] = [
      [x, base],
      [x, base - high],
      [x + wide / 2, base - high - roof],
      [x + wide, base - high],
      [x + wide, base],
    ];
    const house = corners.flatMap((p, i) =>
      Array.from({ length: 8 }, (_, k): P => {
        const q = corners[(i + 1) % 5];
        return [p[0] + ((q[0] - p[0]) * k) / 8, p[1] + ((q[1] - p[1]) * k) / 8];
      }),
    );
    sheet.fill(house, hand.ground);
    if (sheet.random() < 0.6) {
      sheet.wash(house, hand.shadeWash, hand.washOpacity * 0.8);
      hatch(sheet, house, hatchWith(hand));
    } else sheet.wash(house, hand.seaWash, hand.washOpacity * 0.6);
    outline(sheet, house, hand);
    x += wide * 1.05;
  }
}

function sprayOf(sheet: Sheet, hand: Hand, s: NonNullable<Scene['spray']>): void {
  for (let i = 0; i < 130; i++) {
    const a = Math.PI * (1 + sheet.random());
    const r = s.size * sheet.width * Math.sqrt(sheet.random());
    sheet.dot(
      [s.x * sheet.width + r * Math.cos(a), s.y * sheet.height + 0.8 * r * Math.sin(a)],
      0.4 + 0.45 * sheet.random(),
      i % 3 ? hand.ink : '#fbfaf4',
    );
  }
}

/** Draws a scene by a hand on a sheet of this size in mm. */
export function drawScene(scene: Scene, hand: Hand, widthMm: number, heightMm: number): Drawing {
  const sheet = new Sheet(widthMm, heightMm, seededRandom(scene.seed * 104729 + 17));
  sea(sheet, hand);
  // A few strokes of weather in the sky, by the first set alone.
  hatch(
    sheet,
    smooth(
      [
        [0.5 * widthMm, 0.05 * heightMm],
        [0.7 * widthMm, 0.03 * heightMm],
        [0.8 * widthMm, 0.1 * heightMm],
        [0.62 * widthMm, 0.14 * heightMm],
      ],
      true,
      5,
    ),
    hatchWith(hand),
  );
  if (scene.houses) housesOf(sheet, hand, scene.houses);
  for (const b of scene.boats) boatOf(sheet, hand, b);
  if (scene.mast && !scene.deck) mastOf(sheet, hand, scene.mast);
  if (scene.rail) {
    const y = scene.rail.y * heightMm;
    const [a, b] = [scene.rail.from * widthMm, scene.rail.to * widthMm];
    sheet.ribbon(
      Array.from({ length: 24 }, (_, i): P => [a + ((b - a) * i) / 23, y]),
      hand.windward,
      hand.ink,
      'outline',
      hand.tremble,
    );
    for (let x = a + 0.05 * widthMm; x < b; x += 0.085 * widthMm)
      sheet.stroke([x, y], [x, y + 0.12 * heightMm], hand.lineWidth * 1.2, hand.ink, 'line');
  }
  if (scene.deck) deckOf(sheet, hand, scene.deck);
  if (scene.mast && scene.deck) mastOf(sheet, hand, scene.mast);
  if (scene.spray) sprayOf(sheet, hand, scene.spray);
  if (scene.head) headStudy(sheet, hand, scene.head.x * widthMm, scene.head.y * heightMm, scene.head.size * heightMm);
  for (const f of scene.figures.slice().sort((p, q) => p.y - q.y))
    passenger(sheet, hand, [f.x * widthMm, f.y * heightMm], f.height * heightMm, f.lean ?? 0, f.hooded);
  if (hand.motley > 0) {
    const colours = ['#d83a5a', '#3f6fd8', '#e8c418', '#4fb848', '#b848c8'];
    for (let i = 0; i < 14; i++)
      sheet.wash(
        oval(
          sheet.random() * widthMm,
          sheet.random() * heightMm,
          (0.04 + 0.05 * sheet.random()) * widthMm,
          (0.04 + 0.05 * sheet.random()) * heightMm,
          18,
        ),
        colours[i % 5],
        hand.motley * 0.75,
      );
  }
  if (hand.accent) {
    const r = Math.sqrt((hand.accentShare * widthMm * heightMm) / Math.PI);
    const [x, y] = [scene.light[0] * widthMm, scene.light[1] * heightMm];
    sheet.fill(oval(x, y, r, r), hand.accent);
    sheet.ribbon(
      smooth([
        [x - r, y + 0.4 * r],
        [x - 1.05 * r, y - 0.3 * r],
        [x - 0.5 * r, y - 0.95 * r],
      ]),
      hand.windward,
      hand.ink,
      'outline',
      0.05,
    );
  }
  return sheet.finish(hand.ground);
}
