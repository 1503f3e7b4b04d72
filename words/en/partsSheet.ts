/** A sheet of parts to choose and combine from. */
export const partsSheet = {
  title: 'Parts to choose from',
  how: 'Parts of the works on one sheet, to choose and combine: an eye here, a hat there. Draw round them under Shapes; add drawings of your own.',
  needsShapes: 'No parts yet: draw round some under Shapes. Whole works can be taken, too, to be coloured in before anybody draws.',
  of: { shape: 'Parts', work: 'Whole works', own: 'Drawings of your own' },
  from: '{name}, from “{work}”',
  upload: 'Add a drawing of your own',
  cleaned: 'Cleaned to',
  as: { line: 'line', value: 'three values', asItIs: 'nothing: as they are' },
  columns: 'Side by side',
  empty: 'Empty boxes',
  own: 'your own',
  sheet: 'Parts to choose from: {study}',
} as const;
