/** Knows what is said of each feature above and below a range, and what to try next: the whole table of sentence forms. */
import { MARK_KINDS } from '../marks/kind';

export interface Form {
  /** What is spoken of, as the subject of a sentence. */
  subject: string;
  above: string;
  below: string;
  /** What to try next when above, and when below. */
  tryAbove: string;
  tryBelow: string;
  /** What it is held against, where that is not the master's own. */
  than?: string;
}

export const form = (subject: string, above: string, below: string, tryAbove: string, tryBelow: string): Form => ({
  subject,
  above,
  below,
  tryAbove,
  tryBelow,
});

export const KIND_NAMES: Record<(typeof MARK_KINDS)[number], string> = {
  blank: 'bare sheet',
  flat: 'flat, even colour',
  'smooth-shading': 'smooth shading',
  wash: 'wash',
  stipple: 'dots',
  'parallel-hatch': 'parallel strokes',
  'cross-hatch': 'crossing strokes',
  'contour-hatch': 'strokes that follow the form',
  scribble: 'scribble',
  line: 'plain line',
};

export const FORMS: Record<string, Form> = {
  'marks.direction': form(
    'the strokes',
    'are turned farther to the left',
    'are turned farther to the right',
    'turn the sheet until the strokes fall at the master’s angle',
    'turn the sheet until the strokes fall at the master’s angle',
  ),
  'marks.crossing': form(
    'the two sets of strokes',
    'cross more squarely',
    'cross at a narrower angle',
    'lay the second set at a smaller turn to the first',
    'lay the second set more nearly square to the first',
  ),
  'marks.coherence': form(
    'the strokes',
    'keep more strictly to one direction',
    'run in more directions',
    'let a second set cross in a few places',
    'keep each passage to one direction',
  ),
  'marks.spacing': form(
    'the strokes',
    'stand farther apart',
    'stand closer together',
    'lay the next strokes closer, using the gap card',
    'leave more bare sheet between strokes',
  ),
  'marks.spacingVariation': form(
    'the gaps between strokes',
    'are less even',
    'are more even',
    'slow down and keep each gap like the last',
    'loosen: the master’s gaps vary more',
  ),
  'marks.lineWidth': form(
    'the lines',
    'are thicker',
    'are thinner',
    'use a finer tool or less pressure',
    'use a broader tool or more pressure',
  ),
  'marks.lineSwell': form(
    'the lines',
    'swell and thin more',
    'are more uniform in width',
    'keep the pressure steadier',
    'press and lift within the stroke',
  ),
  'marks.strokeLength': form(
    'the strokes',
    'are longer',
    'are shorter',
    'lift the tool sooner',
    'draw from the wrist or arm in longer pulls',
  ),
  'marks.straightness': form(
    'the strokes',
    'are straighter',
    'are more bent',
    'let the strokes arch slightly',
    'pull the strokes straighter',
  ),
  'marks.coverage': form(
    'the worked part',
    'is more filled',
    'is more open',
    'leave more of the sheet showing between marks',
    'work more marks into the forms',
  ),
  'edges.outlined': form(
    'the forms',
    'are outlined on more of their edge',
    'are outlined on less of their edge',
    'leave some edges without a line',
    'draw the line where the master draws it',
  ),
  'edges.sharp': form(
    'the edges',
    'are sharp more often',
    'are sharp less often',
    'soften some edges',
    'cut some edges clean',
  ),
  'edges.soft': form(
    'the edges',
    'are soft more often',
    'are soft less often',
    'cut some edges clean',
    'let some edges melt',
  ),
  'edges.lost': form(
    'the edges',
    'are lost more often',
    'are lost less often',
    'find some lost edges again',
    'let some edges disappear',
  ),
  'marks.colourSlack': form(
    'the colour',
    'strays farther from its line',
    'keeps closer to its line',
    'fill more exactly to the line',
    'let the colour miss its line as the master does',
  ),
  'marks.finish': form(
    'the working',
    'differs more from part to part',
    'is more the same all over',
    'bring the parts nearer to one finish',
    'finish one part and leave another open',
  ),
  'marks.grain': form(
    'the surface',
    'has more fine grain between the strokes',
    'has less fine grain between the strokes',
    'use a smoother paper',
    'use a paper with more grain',
  ),
  'marks.tooth': form(
    'the surface',
    'shows more tooth between the strokes',
    'shows less tooth between the strokes',
    'press into the paper or rub the tone together',
    'use a rougher paper and let it break the tone',
  ),
  'marks.speckle': form(
    'the surface',
    'is more speckled between the strokes',
    'is less speckled between the strokes',
    'close the tone until the specks are gone',
    'let the tone break into specks',
  ),
  'colour.groundL': form('the sheet', 'is lighter', 'is darker', 'tone the sheet first', 'use a lighter sheet'),
  'colour.groundChroma': form(
    'the sheet',
    'is more coloured',
    'is less coloured',
    'use a quieter sheet',
    'wash the sheet with the ground colour first',
  ),
  'colour.count': form(
    'the palette',
    'has more colours',
    'has fewer colours',
    'put two or three colours away',
    'add one of the master’s colours',
  ),
  'colour.chroma': form(
    'the colour',
    'is stronger overall',
    'is quieter overall',
    'grey the mixes with a little of their opposite',
    'use the colours purer',
  ),
  'colour.chromaHigh': form(
    'the strongest colours',
    'are stronger',
    'are quieter',
    'grey the strongest mixes',
    'let a few touches be purer',
  ),
  'colour.warm': form(
    'warm colour',
    'covers more of the picture',
    'covers less of the picture',
    'cool some passages',
    'warm some passages',
  ),
  'colour.cool': form(
    'cool colour',
    'covers more of the picture',
    'covers less of the picture',
    'warm some passages',
    'cool some passages',
  ),
  'colour.balance': form(
    'the balance of colour',
    'is warmer',
    'is cooler',
    'let the cool side win back some area',
    'let the warm side win back some area',
  ),
  'colour.accent': form(
    'the small vivid touches',
    'cover more',
    'cover less',
    'keep the vivid touch small',
    'add the one small vivid touch',
  ),
  'colour.palette': {
    ...form(
      'the palette',
      'lies farther from the master’s colours',
      'lies nearer to the master’s colours',
      'mix from the master’s recipes',
      'go on so',
    ),
    than: 'than the master’s works from each other',
  },
  'value.mean': form(
    'the picture',
    'is lighter overall',
    'is darker overall',
    'deepen the shadows',
    'leave more light',
  ),
  'value.dark': form(
    'the darks',
    'are less deep',
    'are deeper',
    'put in the deepest dark once, where it counts',
    'keep the darks a step lighter',
  ),
  'value.light': form(
    'the lights',
    'are lighter',
    'are dimmer',
    'let the sheet’s own tone be the light',
    'keep the lights bare',
  ),
  'value.range': form(
    'the step from darkest to lightest',
    'is larger',
    'is smaller',
    'pull darks and lights together',
    'make the darks darker and keep the lights',
  ),
  'value.darkShare': form(
    'the darks',
    'cover more',
    'cover less',
    'open up some of the darks',
    'join small darks into larger ones',
  ),
  'value.lightShare': form(
    'the lights',
    'cover more',
    'cover less',
    'tone down some of the lights',
    'keep more of the sheet light',
  ),
  'value.focusContrast': form(
    'the strongest contrast',
    'is stronger',
    'is weaker',
    'quieten the strongest contrast',
    'set the darkest dark beside the lightest light at the focus',
  ),
  'composition.centreX': form(
    'the weight of the picture',
    'sits farther right',
    'sits farther left',
    'plan the next one farther left',
    'plan the next one farther right',
  ),
  'composition.centreY': form(
    'the weight of the picture',
    'sits lower',
    'sits higher',
    'plan the next one higher',
    'plan the next one lower',
  ),
  'composition.coverage': form(
    'the drawing',
    'fills more of the sheet',
    'fills less of the sheet',
    'leave more of the sheet bare',
    'let the drawing fill the sheet',
  ),
  'composition.margin': form('the free margin', 'is wider', 'is narrower', 'go nearer to the edge', 'leave a margin'),
  'composition.envelope': form(
    'the overall shape',
    'is simpler',
    'is less simple',
    'break the outer shape a little',
    'gather the forms into one simple shape',
  ),
};

const ruler = 'lay the pencil along it on the source, then on the drawing';
const gauge = (what: string) => `measure ${what} on the source, and step it off on the drawing`;

/** Proportions by measure. */
export const PROPORTION_FORMS: Record<string, Form> = {
  'eye-line': form('the eyes', 'sit lower in the head', 'sit higher in the head', 'measure from the crown before drawing the eyes', 'measure from the crown before drawing the eyes'),
  'brow-third': form('the forehead', 'is higher', 'is lower', gauge('hairline to brow'), gauge('hairline to brow')),
  'nose-third': form('the nose', 'is longer in the face', 'is shorter in the face', gauge('brow to nose'), gauge('brow to nose')),
  'mouth-line': form('the mouth', 'sits lower between nose and chin', 'sits higher between nose and chin', gauge('nose to mouth'), gauge('nose to mouth')),
  'eye-width': form('the eyes', 'are wider in the face', 'are narrower in the face', gauge('one eye'), gauge('one eye')),
  'eye-gap': form('the eyes', 'stand farther apart', 'stand closer together', 'see how many eyes fit between them', 'see how many eyes fit between them'),
  'eye-height': form('the eyes', 'are more open', 'are less open', gauge('the open eye'), gauge('the open eye')),
  'pupil-size': form('the pupils', 'are larger in the eye', 'are smaller in the eye', gauge('the pupil'), gauge('the pupil')),
  'mouth-width': form('the mouth', 'is wider', 'is narrower', 'drop a line from the pupils to the mouth corners', 'drop a line from the pupils to the mouth corners'),
  'nose-width': form('the nose', 'is wider', 'is narrower', 'drop a line from the inner corners of the eyes', 'drop a line from the inner corners of the eyes'),
  'face-shape': form('the face', 'is wider for its height', 'is narrower for its height', gauge('the width of the face'), gauge('the width of the face')),
  'neck-width': form('the neck', 'is wider for the face', 'is narrower for the face', gauge('the neck'), gauge('the neck')),
  'neck-length': form('the neck', 'is longer for the head', 'is shorter for the head', gauge('chin to neck'), gauge('chin to neck')),
  'eye-tilt': form('the line of the eyes', 'climbs more to the right', 'falls more to the right', ruler, ruler),
  'mouth-tilt': form('the line of the mouth', 'climbs more to the right', 'falls more to the right', ruler, ruler),
  'eye-level': form('the right eye', 'sits higher against the left', 'sits lower against the left', 'draw a light line through both eyes first', 'draw a light line through both eyes first'),
  'heads-tall': form('the figure', 'is taller for its head', 'is shorter for its head', 'make the head larger or the body shorter', 'make the head smaller or the body longer'),
  'shoulder-width': form('the shoulders', 'are wider for the head', 'are narrower for the head', gauge('the shoulders in heads'), gauge('the shoulders in heads')),
  'hand-length': form('the hands', 'are longer for the head', 'are shorter for the head', gauge('the hand against the face'), gauge('the hand against the face')),
  'arm-length': form('the arms', 'are longer for the head', 'are shorter for the head', 'see where the wrist comes to on the leg', 'see where the wrist comes to on the leg'),
  'leg-share': form('the legs', 'take up more of the height', 'take up less of the height', 'mark the half of the figure first', 'mark the half of the figure first'),
  'foot-length': form('the feet', 'are longer for the height', 'are shorter for the height', gauge('the foot'), gauge('the foot')),
  'waist-width': form('the waist', 'is wider for the shoulders', 'is narrower for the shoulders', gauge('the waist'), gauge('the waist')),
  'hem-width': form('the hem', 'is wider for the shoulders', 'is narrower for the shoulders', gauge('the hem'), gauge('the hem')),
  lean: form('the figure', 'leans more to the left', 'leans more to the right', 'drop a plumb line first', 'drop a plumb line first'),
}; // prettier-ignore

/** Titles for lists and charts. */
export const TITLES: Readonly<Record<string, string>> = {
    'marks.direction': 'stroke direction', 'marks.crossing': 'crossing angle', 'marks.coherence': 'order of the strokes', 'marks.spacing': 'stroke spacing', 'marks.spacingVariation': 'unevenness of spacing',
    'marks.lineWidth': 'line width', 'marks.lineSwell': 'swell of the line', 'marks.strokeLength': 'stroke length', 'marks.straightness': 'straightness', 'marks.coverage': 'how filled', 'edges.outlined': 'outlined edges', 'edges.sharp': 'sharp edges',
    'edges.soft': 'soft edges', 'edges.lost': 'lost edges', 'marks.colourSlack': 'colour off its line', 'marks.finish': 'difference in finish', 'marks.grain': 'grain of the surface', 'marks.tooth': 'tooth of the surface', 'marks.speckle': 'speckle of the surface', 'colour.groundL': 'lightness of the sheet', 'colour.groundChroma': 'colour of the sheet',
    'colour.count': 'number of colours', 'colour.chroma': 'strength of colour', 'colour.chromaHigh': 'strongest colours', 'colour.warm': 'warm area', 'colour.cool': 'cool area', 'colour.balance': 'warm against cool', 'colour.accent': 'small vivid touches',
    'colour.palette': 'palette', 'value.mean': 'overall lightness', 'value.dark': 'deepest dark', 'value.light': 'lightest light', 'value.range': 'range of values', 'value.darkShare': 'area of darks', 'value.lightShare': 'area of lights',
    'value.focusContrast': 'strongest contrast', 'composition.centreX': 'weight, left to right', 'composition.centreY': 'weight, top to bottom', 'composition.coverage': 'worked area', 'composition.margin': 'free margin', 'composition.envelope': 'overall shape',
}; // prettier-ignore
