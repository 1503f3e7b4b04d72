/** Knows what a lesson needs on the tables, in which unit, and how it is shared out. */

/** Students at a table. */
export const TABLE = 4;

export interface Item {
  unit: 'piece' | 'sheet' | 'ml' | 'g';
  /** Handed out to each student, each pair, each table of four, or the class once. */
  per: 'student' | 'pair' | 'table' | 'class';
  /** Goes with the area worked: then an amount counts coats. */
  byArea?: 'line' | 'wash' | 'paint' | 'light' | 'sheet';
  /** It goes from hand to hand within a turn: too few are no reason to work one after another. */
  passed?: true;
  /** What one coat of a whole A4 sheet takes, in its unit: common practice, no source; a teacher sets it after a trial. */
  coat?: number;
  /** Some is always lost in palette, brush and rinsing: added on top. */
  waste?: number;
}

const item = (unit: Item['unit'], per: Item['per'], more: Partial<Item> = {}): Item => ({ unit, per, ...more });

/** What each is called stands under `items` in `words/`. */
export const ITEMS = {
  paper: item('sheet', 'student'),
  scrap: item('sheet', 'student'),
  'heavy-paper': item('sheet', 'student'),
  'toothed-paper': item('sheet', 'student'),
  pencil: item('piece', 'student'),
  'soft-pencil': item('piece', 'student'),
  sharpener: item('piece', 'table', { passed: true }),
  eraser: item('piece', 'pair', { passed: true }),
  'kneaded-eraser': item('piece', 'student', { passed: true }),
  ruler: item('piece', 'pair', { passed: true }),
  pen: item('piece', 'student'),
  'ink-pot': item('piece', 'pair'),
  ink: item('ml', 'class', { byArea: 'line', coat: 0.5, waste: 0.5 }),
  'wash-ink': item('ml', 'class', { byArea: 'wash', coat: 1, waste: 0.3 }),
  watercolour: item('ml', 'class', { byArea: 'wash', coat: 0.8, waste: 0.3 }),
  gouache: item('ml', 'class', { byArea: 'paint', coat: 7, waste: 0.25 }),
  'white-gouache': item('ml', 'class', { byArea: 'light', coat: 7, waste: 0.5 }),
  acrylic: item('ml', 'class', { byArea: 'paint', coat: 6, waste: 0.3 }),
  'round-brush': item('piece', 'student'),
  'fine-brush': item('piece', 'student'),
  'flat-brush': item('piece', 'pair'),
  'stiff-brush': item('piece', 'pair', { passed: true }),
  board: item('piece', 'student'),
  water: item('piece', 'pair'),
  towel: item('piece', 'table'),
  palette: item('piece', 'pair'),
  rag: item('piece', 'student'),
  candle: item('piece', 'pair', { passed: true }),
  masking: item('ml', 'class', { byArea: 'light', coat: 8, waste: 0.5 }),
  charcoal: item('piece', 'student'),
  chalk: item('piece', 'pair', { passed: true }),
  stump: item('piece', 'student', { passed: true }),
  pastels: item('piece', 'pair'),
  fixative: item('piece', 'class'),
  'coloured-pencils': item('piece', 'student'),
  crayons: item('piece', 'pair'),
  'felt-pen': item('piece', 'pair', { passed: true }),
  'felt-pens': item('piece', 'pair'),
  'graphite-stick': item('piece', 'student'),
  'oil-pastels': item('piece', 'pair'),
  scraper: item('piece', 'pair', { passed: true }),
  'coloured-paper': item('sheet', 'student'),
  scissors: item('piece', 'student'),
  glue: item('piece', 'pair', { passed: true }),
  'stencil-card': item('sheet', 'student'),
  sponge: item('piece', 'pair'),
  'found-matter': item('piece', 'table'),
  tablet: item('piece', 'student'),
  'mount-card': item('sheet', 'student'),
  'tracing-paper': item('sheet', 'student'),
  'clear-sheet': item('sheet', 'pair'),
  marker: item('piece', 'pair', { passed: true }),
  block: item('piece', 'student'),
  cutter: item('piece', 'pair'),
  'print-ink': item('ml', 'class', { byArea: 'sheet', coat: 5, waste: 0.5 }),
  roller: item('piece', 'table', { passed: true }),
  spoon: item('piece', 'pair', { passed: true }),
} as const satisfies Record<string, Item>;

export type ItemId = keyof typeof ITEMS;

/** How many of a thing lie on the tables for so many students. */
export const PER: Readonly<Record<Item['per'], (students: number) => number>> = {
  student: (n) => n,
  pair: (n) => Math.ceil(n / 2),
  table: (n) => Math.ceil(n / TABLE),
  class: () => 1,
};
