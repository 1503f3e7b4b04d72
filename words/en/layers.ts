/** The layers that can lie over a picture. */
export const layers = {
  title: 'Layers',
  open: 'Layers over the picture',
  begun: 'Looking where things lie …',
  reading: '{done, number} of {all, number} places read',
  failed: 'The picture could not be read. Load the page again.',
  untold: '? cannot be told',
  noSheet: 'No bare sheet shows here, so nothing is bare.',
  handling: { outlined: '● outlined', sharp: '• sharp', soft: '○ soft', lost: '× lost' },
  points: { label: 'Points and measures', hint: 'the points placed, and the measure in hand' },
  patches: { label: 'Kept patches', hint: 'the patches kept from the reading window' },
  strokes: { label: 'Strokes traced', hint: 'each stroke as it was followed' },
  directions: {
    label: 'Directions',
    hint: 'which way strokes run, place by place',
    legend: 'A tick runs the way the strokes do; the longer it is, the more they keep to it.',
  },
  kinds: { label: 'Kinds of mark', hint: 'what kind of mark was read in each place' },
  edges: { label: 'Edges', hint: 'how the border of light and dark is handled' },
  colours: { label: 'Where a colour lives', hint: 'everything but the colour chosen in the palette is dimmed' },
  temperature: {
    label: 'Warm and cool',
    hint: 'warm and cool places as light and dark',
    legend: 'Warm is shown white, cool black, neither grey.',
  },
  steps: { label: 'Darks and lights', hint: 'everything but the darkest and the lightest is dimmed' },
  contrast: {
    label: 'Strongest contrast',
    hint: 'where light and dark meet most strongly',
    legend: 'The ring stands where half-closed eyes see the strongest contrast.',
  },
  finish: {
    label: 'How much is done where',
    hint: 'most and least worked ninth of the picture',
    legend: 'The more bars, the more is done in that ninth.',
  },
  area: {
    label: 'Shape of the whole',
    hint: 'centre of what is worked, and the shape it fills',
    legend: 'The cross is the middle of what is worked; the dashed line is the plain shape that fits it best.',
  },
  lights: {
    label: 'Bare lights',
    hint: 'the shapes the bare sheet keeps',
    legend: 'Dark with a full line: bare and shut in. Dashed line: bare and open to the edge.',
  },
  thirds: { label: 'Thirds', hint: 'lines at a third and two thirds' },
} as const;
