/** Knows what a lesson needs on the tables, in which unit, and how it is shared out. */

export interface Item {
  name: string;
  unit: 'piece' | 'sheet' | 'ml' | 'g';
  /** Handed out to each student, each pair, each table of four, or the class once. */
  per: 'student' | 'pair' | 'table' | 'class';
  /** Goes with the area worked: the amount is then for a whole A4 sheet covered once. */
  byArea?: 'line' | 'wash' | 'paint' | 'light' | 'sheet';
  /** Some is always lost in palette, brush and rinsing: added on top. */
  waste?: number;
}

const item = (name: string, unit: Item['unit'], per: Item['per'], more: Partial<Item> = {}): Item => ({ name, unit, per, ...more });

export const ITEMS = {
  paper: item('drawing paper, the class’s sheet', 'sheet', 'student'),
  scrap: item('scrap paper for warm-ups', 'sheet', 'student'),
  'heavy-paper': item('heavy paper (200 g or more), the class’s sheet', 'sheet', 'student'),
  'toothed-paper': item('paper with a tooth, the class’s sheet', 'sheet', 'student'),
  pencil: item('pencil, HB', 'piece', 'student'),
  'soft-pencil': item('pencil, 4B', 'piece', 'student'),
  sharpener: item('sharpener', 'piece', 'table'),
  eraser: item('eraser', 'piece', 'pair'),
  'kneaded-eraser': item('kneaded eraser', 'piece', 'student'),
  ruler: item('ruler', 'piece', 'pair'),
  pen: item('pen-holder with a flexible or broad nib', 'piece', 'student'),
  'ink-pot': item('small ink pot that does not tip', 'piece', 'pair'),
  ink: item('ink', 'ml', 'class', { byArea: 'line', waste: 0.5 }),
  'wash-ink': item('ink for washes', 'ml', 'class', { byArea: 'wash', waste: 0.3 }),
  watercolour: item('watercolour, as mixed wash', 'ml', 'class', { byArea: 'wash', waste: 0.3 }),
  gouache: item('gouache', 'ml', 'class', { byArea: 'paint', waste: 0.25 }),
  'white-gouache': item('opaque white', 'ml', 'class', { byArea: 'light', waste: 0.5 }),
  acrylic: item('acrylic paint', 'ml', 'class', { byArea: 'paint', waste: 0.3 }),
  'round-brush': item('round brush, size 6 or 8', 'piece', 'student'),
  'fine-brush': item('fine brush, size 2', 'piece', 'student'),
  'flat-brush': item('flat brush, 25 mm', 'piece', 'pair'),
  'stiff-brush': item('old stiff brush', 'piece', 'pair'),
  water: item('water pot', 'piece', 'pair'),
  palette: item('mixing palette', 'piece', 'pair'),
  rag: item('rag or kitchen paper', 'piece', 'student'),
  candle: item('white candle end or wax crayon', 'piece', 'pair'),
  masking: item('masking fluid', 'ml', 'class', { byArea: 'light', waste: 0.5 }),
  charcoal: item('charcoal stick', 'piece', 'student'),
  chalk: item('white chalk', 'piece', 'pair'),
  stump: item('paper stump', 'piece', 'student'),
  pastels: item('soft pastels, box', 'piece', 'pair'),
  fixative: item('fixative (an adult sprays)', 'piece', 'class'),
  'coloured-pencils': item('coloured pencils, the chosen two or three', 'piece', 'student'),
  crayons: item('wax crayons, box', 'piece', 'pair'),
  'felt-pen': item('soft black felt pen', 'piece', 'pair'),
  'tracing-paper': item('tracing paper, the class’s sheet', 'sheet', 'student'),
  'clear-sheet': item('clear sheet', 'sheet', 'pair'),
  marker: item('water-based pen for the clear sheet', 'piece', 'pair'),
  block: item('soft-cut block, the class’s size', 'piece', 'student'),
  cutter: item('block cutter with a hand guard', 'piece', 'pair'),
  'print-ink': item('water-based printing ink', 'ml', 'class', { byArea: 'sheet', waste: 0.5 }),
  roller: item('roller and plate', 'piece', 'table'),
  spoon: item('wooden spoon for rubbing', 'piece', 'pair'),
} as const satisfies Record<string, Item>;

export type ItemId = keyof typeof ITEMS;
