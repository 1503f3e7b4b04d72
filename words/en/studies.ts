/** Studies, classes, the cupboard and the settings. */
export const studies = {
  title: 'Studies',
  new: 'New study',
  none: 'No study yet. Begin one with a picture of a work by the master you want to teach.',
  sample: 'No picture at hand? Every new study offers sample works by an invented master.',
  counts: '{works, plural, one {# work} other {# works}}, {pieces, plural, one {# piece} other {# pieces}}',
  alone: 'no class: one person studies alone',
} as const;

export const newStudy = {
  title: 'New study',
  name: 'What do you call this study?',
  namePlaceholder: 'Harbour drawings, autumn term',
  master: 'Whose hand is it?',
  masterPlaceholder: 'The master’s name, or a period manner',
  kind: 'One master, or the manner of a period?',
  kinds: { master: 'One master', period: 'A period’s manner' },
  class: 'Who studies?',
  classOf: '{name} ({n, number})',
  noClass: 'No class: I study alone',
  aim: 'How close should the first study be?',
  aims: {
    replica: 'Replica: stroke for stroke, held place by place',
    study: 'Study: a looser sketch after the master',
    remembered: 'Remembered: look hard, then put the source away',
  },
  medium: 'What will be used?',
  paper: 'Sheet for the class',
  make: 'Begin the study',
  making: 'Beginning …',
  needs: { title: 'Give the study a name.', master: 'Say whose hand it is.', letters: 'At most 120 letters.' },
} as const;

export const media = {
  'pen-and-wash': 'Pen and ink with washes',
  pen: 'Pen and ink alone',
  'brush-ink': 'Brush and ink',
  pencil: 'Pencil',
  'coloured-pencil': 'Coloured pencil',
  charcoal: 'Charcoal and chalk',
  pastel: 'Soft pastel',
  'wax-crayon': 'Wax crayon',
  gouache: 'Gouache',
  watercolour: 'Watercolour',
  acrylic: 'Acrylic',
  print: 'Relief print',
} as const;

export const sheets = {
  across: '{paper} across, {width} × {height}',
  upright: '{paper} upright, {width} × {height}',
} as const;

export const classes = {
  title: 'Classes',
  none: 'No class yet. A study can also do without: one person studies alone.',
  example: 'So it will look:',
  noPiece: 'no piece yet',
  at: 'at {school}',
  students: '{n, plural, one {# student} other {# students}}',
  new: 'New class',
  name: 'Name',
  school: 'School',
  roster: 'Students, one a line: first name and an initial',
  rosterExample: 'Abel R\nBruna K',
  minors: 'Students are minors: no full names are needed, and nothing leaves this machine.',
  add: 'Add the class',
} as const;

export const settings = {
  title: 'Settings',
  language: 'Language',
  units: { label: 'Measures in', mm: 'millimetres', inch: 'inches' },
  spelling: { label: 'Spelling', british: 'British', american: 'American' },
  paper: { label: 'Paper of the printer', A4: 'A4', Letter: 'Letter' },
  hand: { label: 'You draw with the', right: 'right hand', left: 'left hand' },
} as const;

export const rules = {
  title: 'Rules so far',
  none: 'Tick a reading above, or write an always or never sentence here.',
  kind: { feature: 'measured', always: 'always', never: 'never' },
  sentence: '{kind, select, always {Always: {sentence}} never {Never: {sentence}} other {{sentence}}}',
  label: 'Rule',
  remove: 'Remove: {sentence}',
  choose: 'Always or never',
  new: 'New sentence',
  example: '{kind, select, always {one warm light} other {hands are shown}}',
  already: 'A rule already: {sentence}',
  make: 'Make it a rule: {sentence}',
} as const;
