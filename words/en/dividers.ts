/** Dividers: a span set anywhere, walked along a line. */
export const dividers = {
  name: 'Dividers',
  how: 'Set the span with its two ends, lay the line along what you measure, and read how often the one goes into the other. A line along an edge can be kept and carried to the paper.',
  goes: 'The span goes into the line {steps}.',
  whole:
    '{as, select, just {} more {a bit more than } other {a bit less than }}{whole, plural, =0 {not once} one {once} other {{whole, number} times}}',
  part: '{as, select, just {} more {a bit more than } other {a bit less than }}{part} of a time',
  both: '{whole, number} and {as, select, just {} more {a bit more than } other {a bit less than }}{part} times',
  lengths: 'Span {span}, line {way} in the work.',
  slope:
    '{way, select, plumb {The line stands plumb.} level {The line lies level.} right {The line leans {plumb} to the right of plumb, {level} from level.} other {The line leans {plumb} to the left of plumb, {level} from level.}}',
  ends: { a: 'Dividers, one end', b: 'Dividers, other end', c: 'Line, beginning', d: 'Line, end' },
  lineName: 'line {n, number}',
  nameOfLine: 'What the line lies along',
  keep: 'Keep the line',
  kept: '{name}: {by} from level',
  drop: 'Let {name} go',
  carry: 'Carry the kept lines to the paper',
} as const;
