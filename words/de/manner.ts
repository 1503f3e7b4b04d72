/** Die Manier einer Hand als Abweichungen von der Natur, und was unter und auf gleicher Höhe mit was steht. */
export const manner = {
  title: 'Was diese Hand an der Natur ändert{group, select, none {} other {, in „{group}“}}',
  oneWork: 'Dahinter steht nur ein Werk: Es kann diesem Bild eigen sein und nicht der Hand. Setzen Sie die Punkte auf einem zweiten Werk.',
  range: '{measure}: {low} bis {high}, meist {mid}.',
  one: '{measure}: {mid}.',
  same: '{measure}: {mid} in jedem Werk.',
  evidence:
    '{n, plural, one {# Werk} other {# Werke}}{group, select, none {} other { der Gruppe „{group}“}}, {figures, plural, one {# Figur} other {# Figuren}}. {pair, select, yes {Beide Seiten gleich wäre {nature}.} other {In der Natur: {nature}.}}',
  behind: '({n, plural, one {# Werk} other {# Werke}}, {figures, plural, one {# Figur} other {# Figuren}})',
  sure: {
    clear: '{pair, select, yes {Deutlich ungleich} other {Deutlich anders als {nature} in der Natur}}',
    likely: '{pair, select, yes {Wohl ungleich} other {Wohl anders als {nature} in der Natur}}',
    open: '{pair, select, yes {Kann gleich gemeint sein} other {Kann {nature} wie in der Natur sein}}',
  },
  none: 'Nichts weicht weiter von der Natur ab, als Werke einer Hand, das Setzen der Punkte und Menschen sich unterscheiden.',
  pairs: 'Links gegen rechts, wie diese Hand es hält',
  open: '{n, plural, one {Ein Maß} other {# Maße}}, die der Natur entsprechen können',
} as const;

export const plumb = {
  name: 'Lot und Waage',
  needs: 'Setzen Sie einen Punkt, dann lassen sich Linien durch ihn ziehen.',
  through: 'Linien durch',
  nothing: 'Nahe an seinem Lot und seiner Waagrechten steht nichts.',
  natural: 'Was in Gesichtern sonst senkrecht übereinander oder auf gleicher Höhe steht',
  heads: '{n} Köpfe',
  under:
    '{point}: {way, select, on {genau im Lot von {of}} inside {{by} innerhalb des Lots durch {of}} outside {{by} außerhalb des Lots durch {of}} right {{by} rechts vom Lot durch {of}} other {{by} links vom Lot durch {of}}}.',
  level: '{point}: {way, select, on {auf einer Höhe mit {of}} below {{by} tiefer als {of}} other {{by} höher als {of}}}.',
} as const;
