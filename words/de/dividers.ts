/** Stechzirkel: eine Spanne, irgendwo gesetzt und an einer Linie entlang abgetragen. */
export const dividers = {
  name: 'Stechzirkel',
  how: 'Die Spanne mit ihren beiden Enden setzen, die Linie an das legen, was gemessen wird, und ablesen, wie oft die eine in die andere geht. Eine Linie an einer Kante lässt sich behalten und aufs Papier tragen.',
  goes: 'Die Spanne geht {steps} in die Linie.',
  whole:
    '{as, select, just {} more {etwas mehr als } other {etwas weniger als }}{whole, plural, =0 {keinmal} one {einmal} other {{whole, number} Mal}}',
  part: '{as, select, just {} more {etwas mehr als } other {etwas weniger als }}{part} Mal',
  both: '{whole, number} und {as, select, just {} more {etwas mehr als } other {etwas weniger als }}{part} Mal',
  lengths: 'Spanne {span}, Linie {way} im Werk.',
  slope:
    '{way, select, plumb {Die Linie steht im Lot.} level {Die Linie liegt waagrecht.} right {Die Linie neigt sich {plumb} vom Lot nach rechts, {level} von der Waagrechten.} other {Die Linie neigt sich {plumb} vom Lot nach links, {level} von der Waagrechten.}}',
  ends: { a: 'Stechzirkel, ein Ende', b: 'Stechzirkel, anderes Ende', c: 'Linie, Anfang', d: 'Linie, Ende' },
  lineName: 'Linie {n, number}',
  nameOfLine: 'Woran die Linie liegt',
  keep: 'Linie behalten',
  kept: '{name}: {by} von der Waagrechten',
  drop: '{name} verwerfen',
  carry: 'Behaltene Linien aufs Papier tragen',
} as const;
