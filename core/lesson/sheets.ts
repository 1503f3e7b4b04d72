/**
 * Knows the sheets a class may draw on: named sizes, any other, and the one in the shape of the source. ISO 216 A and B series in mm; ANSI and
 * architectural series after ASME Y14.1 in inches.
 */
const INCH = 25.4;
const inches = (w: number, h: number): [number, number] => [w * INCH, h * INCH];

/** Sides in mm, the shorter first. */
export type Size = readonly [short: number, long: number];

export const SERIES = {
  A: { A6: [105, 148], A5: [148, 210], A4: [210, 297], A3: [297, 420], A2: [420, 594], A1: [594, 841], A0: [841, 1189] },
  B: { B6: [125, 176], B5: [176, 250], B4: [250, 353], B3: [353, 500], B2: [500, 707], B1: [707, 1000], B0: [1000, 1414] },
  ANSI: {
    Letter: inches(8.5, 11),
    'ANSI B': inches(11, 17),
    'ANSI C': inches(17, 22),
    'ANSI D': inches(22, 34),
    'ANSI E': inches(34, 44),
  },
  Arch: {
    'Arch A': inches(9, 12),
    'Arch B': inches(12, 18),
    'Arch C': inches(18, 24),
    'Arch D': inches(24, 36),
    'Arch E': inches(36, 48),
  },
} as const satisfies Record<string, Record<string, Size>>;
export type Series = keyof typeof SERIES;

const NAMED: readonly (readonly [name: string, size: Size])[] = Object.values(SERIES).flatMap((sizes) => Object.entries(sizes));

/** Sides that differ by less, mm, are the same: nobody cuts finer. */
const SAME = 0.6;

/** The name of a size, either way round; null where it has none. */
export function nameOfSheet(w: number, h: number): string | null {
  const [short, long] = [Math.min(w, h), Math.max(w, h)];
  return NAMED.find(([, [a, b]]) => Math.abs(a - short) < SAME && Math.abs(b - long) < SAME)?.[0] ?? null;
}

export const sizeNamed = (name: string): Size | null => NAMED.find(([n]) => n === name)?.[1] ?? null;

/** Papers that are cut lengthwise into strips, and into how many. */
const STRIPPED = ['A4', 'A3', 'A2', 'Letter', 'ANSI B'] as const;
const INTO = [2, 3, 4] as const;

/** A long narrow sheet: one of so many that a paper is cut into along its long side. */
export interface Strip {
  paper: string;
  into: number;
  size: Size;
}

export const STRIPS: readonly Strip[] = STRIPPED.flatMap((paper) => {
  const [short, long] = sizeNamed(paper)!;
  return INTO.map((into) => ({ paper, into, size: [short / into, long] as const }));
});

/** The strip of this size, either way round; null where it is none. */
export function stripOf(w: number, h: number): Strip | null {
  const [short, long] = [Math.min(w, h), Math.max(w, h)];
  return STRIPS.find(({ size: [a, b] }) => Math.abs(a - short) < SAME && Math.abs(b - long) < SAME) ?? null;
}

/** The largest sheet of the source's shape that can be cut from a paper, the way round that leaves more; whole mm. */
export function sheetInShape(source: readonly [w: number, h: number], paper: Size): [number, number] {
  const ratio = source[0] / source[1];
  const within = ([w, h]: readonly [number, number]): [number, number] => (w / h > ratio ? [h * ratio, h] : [w, w / ratio]);
  const [a, b] = [within(paper), within([paper[1], paper[0]])];
  const [w, h] = a[0] > b[0] ? a : b;
  return [Math.floor(w), Math.floor(h)];
}

/** A sheet turned the way a picture lies: lying under one that is as wide as high or wider. */
export const turnedAs = (sheet: readonly [number, number], [w, h]: readonly [number, number]): [number, number] => {
  const [long, short] = [Math.max(...sheet), Math.min(...sheet)];
  return w >= h ? [long, short] : [short, long];
};

/** Dots to the inch at which a print from a file looks whole at arm's length: common practice, no source. */
const PRINT_DPI = 300;

/** So many px a canvas needs along a side to be printed so long, mm. */
export const canvasPx = (mm: number): number => Math.round((mm / 25.4) * PRINT_DPI);

/** How large so many px come out printed, mm. */
export const printedMm = (px: number): number => (px / PRINT_DPI) * 25.4;
