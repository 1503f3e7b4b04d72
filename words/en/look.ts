/** The bench Look: works, their sizes and facts, sample works, the stand-in camera, cropping. */
export const look = {
  choose: 'Choose pictures of works',
  add: 'Add works',
  drop: 'Drop pictures of one to eight works here, or choose them. A photographed postcard will do.',
  empty: 'What strikes you first will go here, with sizes and facts.',
  title: 'Title',
  width: 'Real width ({unit})',
  height: 'height ({unit})',
  dated: 'Dated',
  shapes: 'The picture’s shape and these sizes differ by {share}. Crop the picture to the work, or check the sizes.',
  noWidth: 'Without the real width, marks are given in thousandths of the picture’s width.',
  group: 'Group',
  groupExample: 'early, late …',
  early: 'early',
  late: 'late',
  foil: 'by another hand (a foil)',
  crop: 'Crop or turn',
  remove: 'Remove this work',
  strikes: 'What strikes you first?',
  credit: 'Where it hangs, and on whose licence it is shown',
  creditExample: 'Harbour museum, free for lessons',
  facts: 'Facts',
  inferred: 'inferred',
  removeFact: 'remove',
  fact: 'A fact',
  factExample: 'A fact about this work',
  source: 'Where it was read',
  sourceExample: 'Where you read it; empty means inferred',
  samples: {
    title: 'Try it with sample works',
    hand: 'Invented hand',
    choice: '{name} ({lived})',
    about: '{medium}. {manner}',
    foil: 'one work, as a foil beside the master’s',
    addFoil: 'Add a foil',
    add: '{n, plural, one {Add # work} other {Add # works}}',
    drawing: 'drawing {n, number} of {all, number} …',
  },
  flat: {
    start: 'Straighten by its corners',
    picture: 'The photograph, with the corners of the work',
    corner:
      '{corner, select, tl {Upper left} tr {Upper right} br {Lower right} other {Lower left}} corner of the work, at {x, number} and {y, number}',
    how: 'Put the four corners on those of the work: a postcard, a page, a poster on a wall.',
    found: 'These corners were found; move those that are wrong.',
    keep: 'Straighten it',
  },
  fill: 'Fill in {size} from the picture’s shape',
  cropping: {
    picture: 'The picture to crop',
    side: '{side, select, left {Left} right {Right} top {Upper} other {Lower}} side of the frame, {at}',
    size: '{width, number} × {height}',
    turn: 'Turn by a quarter ({turn})',
    keep: 'Keep this part',
  },
} as const;

export const stand = {
  title: 'Stand-in camera',
  how: 'Photographs “{work}” lying on a table and adds the photograph as a work.',
  rotation: 'Turned on the table',
  tilt: 'Camera off square',
  falloff: 'Light falls off by',
  warmth: 'Warm or cool light',
  blur: 'Blur',
  noise: 'Noise',
  table: 'Table',
  tables: { plain: 'plain', wood: 'wooden', cluttered: 'cluttered', similar: 'as light as the sheet' },
  photographed: '{work}, photographed',
  exposing: 'Exposing …',
  take: 'Take the photograph',
} as const;

/** The invented hands of the sample works. */
export const samples = {
  ansgrave: {
    medium: 'Reed pen and wash on buff paper',
    manner: 'Caped figures four and a half heads tall, even hatching one way, a line only on the windward side, one small light.',
  },
  skarn: {
    medium: 'Soft pastel on blue-grey paper',
    manner: 'Rubbed layers of broad strokes, no outline anywhere, warm lights laid last over a cool dark sheet.',
  },
  raake: {
    medium: 'Coloured pencils on smooth white paper',
    manner: 'Short dashes laid with the twist of the rope, a second pencil over the first; no area filled, no outline.',
  },
  leuvik: {
    medium: 'Charcoal and white chalk on grey-brown paper',
    manner: 'Smudged darks, lights lifted and touched with chalk, and hardly a hard edge.',
  },
  oostvik: {
    medium: 'Glaze on tile',
    manner: 'Flat cool glazes, each kept from the next by one even dark line; nothing shaded, nothing left open.',
  },
  osk: {
    medium: 'Brush and diluted ink on rough white paper',
    manner: 'Wet washes that dry to hard rims, a dry brush dragged over rough paper, and nearly half the sheet left bare.',
  },
} as const;
