/** Knows the sheets a class may draw on: their name and sides in mm, the side across first. */
export const SHEETS = [
  ['A4', 297, 210],
  ['A4', 210, 297],
  ['A3', 420, 297],
  ['A3', 297, 420],
  ['A5', 210, 148],
  ['Letter', 279.4, 215.9],
  ['Letter', 215.9, 279.4],
] as const;
