/** Media and sheets a study can be set up with, in plain words. */
export const MEDIA = [
  ['pen-and-wash', 'Pen and ink with washes'],
  ['pen', 'Pen and ink alone'],
  ['brush-ink', 'Brush and ink'],
  ['pencil', 'Pencil'],
  ['coloured-pencil', 'Coloured pencil'],
  ['charcoal', 'Charcoal and chalk'],
  ['pastel', 'Soft pastel'],
  ['wax-crayon', 'Wax crayon'],
  ['gouache', 'Gouache'],
  ['watercolour', 'Watercolour'],
  ['acrylic', 'Acrylic'],
  ['print', 'Relief print'],
] as const;

export const SHEETS = [
  ['A4 across', 297, 210],
  ['A4 upright', 210, 297],
  ['A3 across', 420, 297],
  ['A3 upright', 297, 420],
  ['A5 across', 210, 148],
  ['Letter across', 279.4, 215.9],
  ['Letter upright', 215.9, 279.4],
] as const;
