/** Studien, Klassen, der Schrank und die Einstellungen. */
export const studies = {
  title: 'Studien',
  new: 'Neue Studie',
  none: 'Noch keine Studie. Beginnen Sie eine mit dem Bild eines Werks von dem Meister, um den es gehen soll.',
  sample: 'Kein Bild zur Hand? Jede neue Studie bietet Beispielwerke eines erfundenen Meisters an.',
  counts: '{works, plural, one {# Werk} other {# Werke}}, {pieces, plural, one {# Arbeit} other {# Arbeiten}}',
  alone: 'keine Klasse: eine Person studiert allein',
} as const;

export const newStudy = {
  title: 'Neue Studie',
  name: 'Wie soll diese Studie heißen?',
  namePlaceholder: 'Hafenzeichnungen, Herbst',
  master: 'Wessen Hand ist es?',
  masterPlaceholder: 'Name des Meisters, oder Manier einer Zeit',
  kind: 'Ein Meister oder die Manier einer Zeit?',
  kinds: { master: 'Ein Meister', period: 'Die Manier einer Zeit' },
  class: 'Wer studiert?',
  classOf: '{name} ({n, number})',
  noClass: 'Keine Klasse: ich studiere allein',
  aim: 'Wie nah soll die erste Studie sein?',
  aims: {
    replica: 'Nachbildung: Strich für Strich, Stelle für Stelle verglichen',
    study: 'Studie: eine freiere Skizze nach dem Meister',
    remembered: 'Erinnert: genau hinschauen, dann die Vorlage weglegen',
  },
  medium: 'Womit wird gearbeitet?',
  paper: 'Blatt für die Klasse',
  make: 'Die Studie beginnen',
  making: 'Wird begonnen …',
  needs: {
    title: 'Bitte der Studie einen Namen geben.',
    master: 'Bitte sagen, wessen Hand es ist.',
    letters: 'Höchstens 120 Buchstaben.',
  },
} as const;

export const media = {
  'pen-and-wash': 'Feder und Tusche mit Lavierung',
  pen: 'Nur Feder und Tusche',
  'brush-ink': 'Pinsel und Tusche',
  pencil: 'Bleistift',
  'coloured-pencil': 'Buntstift',
  charcoal: 'Kohle und Kreide',
  pastel: 'Pastellkreide',
  'wax-crayon': 'Wachsstift',
  gouache: 'Gouache',
  watercolour: 'Aquarell',
  acrylic: 'Acryl',
  print: 'Hochdruck',
} as const;

export const sheets = {
  across: '{paper} quer, {width} × {height}',
  upright: '{paper} hoch, {width} × {height}',
} as const;

export const classes = {
  title: 'Klassen',
  none: 'Noch keine Klasse. Eine Studie kommt auch ohne aus: eine Person studiert allein.',
  example: 'So wird es aussehen:',
  noPiece: 'noch keine Arbeit',
  at: '({school})',
  students: '{n, plural, one {# Person} other {# Personen}}',
  new: 'Neue Klasse',
  name: 'Name',
  school: 'Schule',
  roster: 'Personen, je eine in einer Zeile: Vorname und ein Buchstabe',
  rosterExample: 'Abel R\nBruna K',
  minors: 'Es geht um Minderjährige: volle Namen werden nicht gebraucht, und nichts verlässt diesen Rechner.',
  add: 'Die Klasse hinzufügen',
} as const;

export const settings = {
  title: 'Einstellungen',
  language: 'Sprache',
  units: { label: 'Maße in', mm: 'Millimetern', inch: 'Zoll' },
  spelling: { label: 'Englische Schreibweise', british: 'britisch', american: 'amerikanisch' },
  paper: { label: 'Papier des Druckers', A4: 'A4', Letter: 'Letter' },
  hand: { label: 'Sie zeichnen mit der', right: 'rechten Hand', left: 'linken Hand' },
} as const;

export const rules = {
  title: 'Regeln bisher',
  none: 'Oben eine Messung abhaken, oder hier einen Satz mit „immer“ oder „nie“ schreiben.',
  kind: { feature: 'gemessen', always: 'immer', never: 'nie' },
  sentence: '{kind, select, always {Immer: {sentence}} never {Nie: {sentence}} other {{sentence}}}',
  label: 'Regel',
  remove: 'Entfernen: {sentence}',
  choose: 'Immer oder nie',
  new: 'Neuer Satz',
  example: '{kind, select, always {ein warmes Licht} other {Hände werden gezeigt}}',
  already: 'Schon eine Regel: {sentence}',
  make: 'Zur Regel machen: {sentence}',
} as const;
