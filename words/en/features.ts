/**
 * What is said of each feature above and below the master's range, and what to try next. `much` is "much" for what lies far
 * outside; `piece` and `master` are values with their units; `times` how many times the larger is the smaller, 0 where that
 * says nothing; `by` how far apart they are.
 */
import { kinds } from './kinds';

const M = '{much, select, much {much } other {}}';
const MORE = '{much, select, much {far } other {}}';
const PAIR = '{piece} against {master}';
/** "…, about 2 times as much as the master’s" */
const TIMES = '{times, plural, =0 {} other {: about # times as much}}';
/** The same where the master has more. */
const FEWER = '{times, plural, =0 {} other {: the master has about # times as much}}';
const STEPS = 'by about {by} of the 100 steps from black to white';

const share = (title: string, verb: 'cover' | 'covers', fewer: string) => ({
  title: title[0].toUpperCase() + title.slice(1),
  above: `${title[0].toUpperCase()}${title.slice(1)} ${verb} ${MORE}more of the work than of the master’s: ${PAIR}.`,
  below: `${title[0].toUpperCase()}${title.slice(1)} ${verb} ${MORE}less of the work than of the master’s: ${PAIR}.`,
  tryAbove: `Next time use ${fewer} ${title}.`,
  tryBelow: `Next time use more ${title}.`,
});

export const features = {
  within: {
    pair: `{title}: like the master’s, ${PAIR}.`,
    plain: '{title}: like the master’s.',
  },
  marks: {
    direction: {
      title: 'Slant of the strokes',
      above: `The strokes are turned ${MORE}more to the left than the master’s: ${PAIR}.`,
      below: `The strokes are turned ${MORE}more to the right than the master’s: ${PAIR}.`,
      tryAbove: 'Next time turn the sheet until your strokes fall at the master’s slant.',
      tryBelow: 'Next time turn the sheet until your strokes fall at the master’s slant.',
    },
    crossing: {
      title: 'Angle of crossing strokes',
      above: `The two sets of strokes cross ${MORE}more squarely than the master’s: ${PAIR}.`,
      below: `The two sets of strokes cross at a ${M}narrower angle than the master’s: ${PAIR}.`,
      tryAbove: 'Next time turn the second set less away from the first.',
      tryBelow: 'Next time lay the second set more nearly square to the first.',
    },
    coherence: {
      title: 'Order of the strokes',
      above: `The strokes keep ${M}more strictly to one direction than the master’s.`,
      below: `The strokes run in {much, select, much {many } other {}}more directions than the master’s.`,
      tryAbove: 'Next time let a second set cross in a few places.',
      tryBelow: 'Next time keep each passage to one direction.',
    },
    spacing: {
      title: 'Gap between strokes',
      above: `The strokes stand ${M}farther apart than the master’s: ${PAIR}.`,
      below: `The strokes stand ${M}closer together than the master’s: ${PAIR}.`,
      tryAbove: 'Next time lay the strokes closer, with the gap card beside them.',
      tryBelow: 'Next time leave more bare sheet between strokes.',
    },
    spacingVariation: {
      title: 'Evenness of the gaps',
      above: `The gaps between strokes are ${M}less even than the master’s{times, plural, =0 {} other {: they change about # times as much}}.`,
      below: `The gaps between strokes are ${M}more even than the master’s{times, plural, =0 {} other {: the master’s change about # times as much}}.`,
      tryAbove: 'Next time slow down and keep each gap like the last.',
      tryBelow: 'Next time loosen your hand: the master’s gaps change more.',
    },
    lineWidth: {
      title: 'Thickness of the lines',
      above: `The lines are ${M}thicker than the master’s: ${PAIR}.`,
      below: `The lines are ${M}thinner than the master’s: ${PAIR}.`,
      tryAbove: 'Next time use a finer tool, or press less.',
      tryBelow: 'Next time use a broader tool, or press more.',
    },
    lineSwell: {
      title: 'Swelling of the lines',
      above: `The lines change from thin to thick ${M}more than the master’s.`,
      below: `The lines are ${M}more the same in thickness than the master’s.`,
      tryAbove: 'Next time keep the pressure steadier.',
      tryBelow: 'Next time press and lift within the stroke.',
    },
    strokeLength: {
      title: 'Length of the strokes',
      above: `The strokes are ${M}longer than the master’s: ${PAIR}.`,
      below: `The strokes are ${M}shorter than the master’s: ${PAIR}.`,
      tryAbove: 'Next time lift the tool sooner.',
      tryBelow: 'Next time draw longer pulls, from the wrist or the arm.',
    },
    straightness: {
      title: 'Straightness of the strokes',
      above: `The strokes are ${M}straighter than the master’s.`,
      below: `The strokes are ${M}more bent than the master’s.`,
      tryAbove: 'Next time let the strokes bend a little.',
      tryBelow: 'Next time pull the strokes straighter.',
    },
    coverage: {
      title: 'How filled it is',
      above: `The worked part is ${M}more filled with marks than the master’s: ${PAIR}.`,
      below: `The worked part is ${M}more open than the master’s: ${PAIR} under marks.`,
      tryAbove: 'Next time leave more of the sheet showing between marks.',
      tryBelow: 'Next time work more marks into the forms.',
    },
    colourSlack: {
      title: 'Colour off its line',
      above: `The colour strays ${M}farther from its line than the master’s: ${PAIR}.`,
      below: `The colour keeps ${M}closer to its line than the master’s: ${PAIR}.`,
      tryAbove: 'Next time fill more exactly to the line.',
      tryBelow: 'Next time let the colour miss its line a little, as the master does.',
    },
    finish: {
      title: 'Finished and open parts',
      above: `The parts differ ${M}more in finish than the master’s{times, plural, =0 {} other {: about # times as much}}.`,
      below: `The parts differ ${M}less in finish than the master’s: the work is more the same everywhere{times, plural, =0 {} other {, the master’s parts differ about # times as much}}.`,
      tryAbove: 'Next time bring the parts nearer to one finish.',
      tryBelow: 'Next time finish one part and leave another open.',
    },
    grain: {
      title: 'Fine grain of the surface',
      above: `The surface shows ${M}more fine grain between the strokes than the master’s${TIMES}.`,
      below: `The surface shows ${M}less fine grain between the strokes than the master’s${FEWER}.`,
      tryAbove: 'Next time use a smoother paper.',
      tryBelow: 'Next time use a paper with more grain.',
    },
    tooth: {
      title: 'Rough paper showing through',
      above: `The rough of the paper shows ${M}more between the strokes than in the master’s${TIMES}.`,
      below: `The rough of the paper shows ${M}less between the strokes than in the master’s${FEWER}.`,
      tryAbove: 'Next time press into the paper, or rub the tone together.',
      tryBelow: 'Next time use a rougher paper and let it break the tone.',
    },
    speckle: {
      title: 'Specks on the surface',
      above: `The surface is ${M}more speckled between the strokes than the master’s${TIMES}.`,
      below: `The surface is ${M}less speckled between the strokes than the master’s${FEWER}.`,
      tryAbove: 'Next time close the tone until the specks are gone.',
      tryBelow: 'Next time let the tone break into specks.',
    },
    fineDetail: {
      title: 'Finest detail',
      above: `There is ${M}more of the finest detail than in the master’s work${TIMES}.`,
      below: `There is ${M}less of the finest detail than in the master’s work${FEWER}.`,
      tryAbove: 'Next time stop sooner: leave the smallest marks out.',
      tryBelow: 'Next time add the smallest marks with the point of the tool, where the master has them.',
    },
    smallDetail: {
      title: 'Strength of the single marks',
      above: `Single marks stand out ${M}more than in the master’s work${TIMES}.`,
      below: `Single marks stand out ${M}less than in the master’s work${FEWER}.`,
      tryAbove: 'Next time bring the marks nearer in tone to what lies round them.',
      tryBelow: 'Next time set each mark clearly lighter or darker than what lies round it.',
    },
    broadDetail: {
      title: 'Strength of the small forms',
      above: `Small forms stand out ${M}more than in the master’s work${TIMES}.`,
      below: `Small forms stand out ${M}less than in the master’s work${FEWER}.`,
      tryAbove: 'Next time let small forms sink into the large ones.',
      tryBelow: 'Next time set small forms clearly apart from the large ones.',
    },
    smallColour: {
      title: 'Colour in the single marks',
      above: `Neighbouring marks differ ${M}more in colour than the master’s${TIMES}.`,
      below: `Neighbouring marks differ ${M}less in colour than the master’s${FEWER}.`,
      tryAbove: 'Next time mix one colour for a passage and change only how light it is.',
      tryBelow: 'Next time change the colour a little from mark to mark.',
    },
    largeColour: {
      title: 'Colour in the small forms',
      above: `Neighbouring forms differ ${M}more in colour than the master’s${TIMES}.`,
      below: `Neighbouring forms differ ${M}less in colour than the master’s${FEWER}.`,
      tryAbove: 'Next time keep neighbouring forms in one family of colour.',
      tryBelow: 'Next time give neighbouring forms colours of their own, not only lights and darks.',
    },
    smallDark: {
      title: 'Dark marks or light marks',
      above: `The marks are ${M}more often dark on light than the master’s.`,
      below: `The marks are ${M}more often light on dark than the master’s.`,
      tryAbove: 'Next time let light marks do some of the work.',
      tryBelow: 'Next time draw with the dark and leave the light.',
    },
    largeDark: {
      title: 'Dark forms or light forms',
      above: `Small forms are ${M}more often dark on light than the master’s.`,
      below: `Small forms are ${M}more often light on dark than the master’s.`,
      tryAbove: 'Next time set some light forms against the dark.',
      tryBelow: 'Next time set some dark forms against the light.',
    },
    even: {
      title: 'Places in even colour',
      above: `More of the work is left in even colour than in the master’s: ${PAIR}.`,
      below: `Less of the work is left in even colour than in the master’s: ${PAIR}.`,
      tryAbove: 'Next time work over some of the even places.',
      tryBelow: 'Next time leave more places in one even colour.',
    },
    share: {
      blank: {
        title: 'Bare sheet',
        above: `Bare sheet shows ${MORE}more than in the master’s work: ${PAIR}.`,
        below: `Bare sheet shows ${MORE}less than in the master’s work: ${PAIR}.`,
        tryAbove: 'Next time work over more of the sheet.',
        tryBelow: 'Next time leave more of the sheet bare.',
      },
      flat: share(kinds.flat, 'covers', 'less'),
      'smooth-shading': share(kinds['smooth-shading'], 'covers', 'less'),
      wash: share(kinds.wash, 'covers', 'less'),
      stipple: share(kinds.stipple, 'cover', 'fewer'),
      'parallel-hatch': share(kinds['parallel-hatch'], 'cover', 'fewer'),
      'cross-hatch': share(kinds['cross-hatch'], 'cover', 'fewer'),
      'contour-hatch': share(kinds['contour-hatch'], 'cover', 'fewer'),
      scribble: share(kinds.scribble, 'covers', 'less'),
      line: share(kinds.line, 'cover', 'fewer'),
      dabs: share(kinds.dabs, 'cover', 'fewer'),
      untold: {
        title: 'What could not be told',
        above: `Of more of the work than of the master’s it cannot be told how it is made: ${PAIR}.`,
        below: `Of less of the work than of the master’s it cannot be told how it is made: ${PAIR}.`,
        tryAbove: 'Next time photograph it closer and sharper.',
        tryBelow: 'Next time compare by eye what the reading cannot tell.',
      },
    },
  },
  edges: {
    outlined: {
      title: 'Edges with a line',
      above: `More of the edges have a line round them than in the master’s work: ${PAIR}.`,
      below: `Fewer of the edges have a line round them than in the master’s work: ${PAIR}.`,
      tryAbove: 'Next time leave some edges without a line.',
      tryBelow: 'Next time draw the line where the master draws it.',
    },
    sharp: {
      title: 'Sharp edges',
      above: `More of the edges are sharp than in the master’s work: ${PAIR}.`,
      below: `Fewer of the edges are sharp than in the master’s work: ${PAIR}.`,
      tryAbove: 'Next time soften some edges.',
      tryBelow: 'Next time cut some edges clean.',
    },
    soft: {
      title: 'Soft edges',
      above: `More of the edges are soft than in the master’s work: ${PAIR}.`,
      below: `Fewer of the edges are soft than in the master’s work: ${PAIR}.`,
      tryAbove: 'Next time cut some edges clean.',
      tryBelow: 'Next time let some edges melt.',
    },
    lost: {
      title: 'Lost edges',
      above: `More of the edges are lost than in the master’s work: ${PAIR}.`,
      below: `Fewer of the edges are lost than in the master’s work: ${PAIR}.`,
      tryAbove: 'Next time find some of the lost edges again.',
      tryBelow: 'Next time let some edges disappear.',
    },
  },
  colour: {
    groundL: {
      title: 'Lightness of the sheet',
      above: `The sheet is ${M}lighter than the master’s, ${STEPS}.`,
      below: `The sheet is ${M}darker than the master’s, ${STEPS}.`,
      tryAbove: 'Next time tone the sheet first.',
      tryBelow: 'Next time use a lighter sheet.',
    },
    groundChroma: {
      title: 'Colour of the sheet',
      above: `The sheet is ${M}more coloured than the master’s{times, plural, =0 {} other {: about # times as strong}}.`,
      below: `The sheet is ${M}less coloured than the master’s{times, plural, =0 {} other {: the master’s is about # times as strong}}.`,
      tryAbove: 'Next time use a quieter sheet.',
      tryBelow: 'Next time wash the sheet with the master’s ground colour first.',
    },
    count: {
      title: 'Number of colours',
      above: `There are more colours than in the master’s work: ${PAIR}.`,
      below: `There are fewer colours than in the master’s work: ${PAIR}.`,
      tryAbove: 'Next time put two or three colours away.',
      tryBelow: 'Next time add one of the master’s colours.',
    },
    chroma: {
      title: 'Strength of colour',
      above: `The colour is ${M}stronger overall than the master’s{times, plural, =0 {} other {: about # times as strong}}.`,
      below: `The colour is ${M}quieter overall than the master’s{times, plural, =0 {} other {: the master’s is about # times as strong}}.`,
      tryAbove: 'Next time grey your mixes with a little of their opposite colour.',
      tryBelow: 'Next time use the colours purer.',
    },
    chromaHigh: {
      title: 'Strongest colours',
      above: `The strongest colours are ${M}stronger than the master’s{times, plural, =0 {} other {: about # times as strong}}.`,
      below: `The strongest colours are ${M}quieter than the master’s{times, plural, =0 {} other {: the master’s are about # times as strong}}.`,
      tryAbove: 'Next time grey the strongest mixes.',
      tryBelow: 'Next time let a few touches be purer.',
    },
    warm: {
      title: 'Area of warm colour',
      above: `Warm colour covers ${MORE}more of the picture than of the master’s: ${PAIR}.`,
      below: `Warm colour covers ${MORE}less of the picture than of the master’s: ${PAIR}.`,
      tryAbove: 'Next time cool some passages.',
      tryBelow: 'Next time warm some passages.',
    },
    cool: {
      title: 'Area of cool colour',
      above: `Cool colour covers ${MORE}more of the picture than of the master’s: ${PAIR}.`,
      below: `Cool colour covers ${MORE}less of the picture than of the master’s: ${PAIR}.`,
      tryAbove: 'Next time warm some passages.',
      tryBelow: 'Next time cool some passages.',
    },
    balance: {
      title: 'Warm against cool',
      above: `The colour as a whole is ${M}warmer than the master’s.`,
      below: `The colour as a whole is ${M}cooler than the master’s.`,
      tryAbove: 'Next time let the cool side win back some area.',
      tryBelow: 'Next time let the warm side win back some area.',
    },
    accent: {
      title: 'Small vivid touches',
      above: `The small vivid touches cover ${MORE}more than the master’s: ${PAIR} of the sheet.`,
      below: `The small vivid touches cover ${MORE}less than the master’s: ${PAIR} of the sheet.`,
      tryAbove: 'Next time keep the vivid touch small.',
      tryBelow: 'Next time add the one small vivid touch.',
    },
    palette: {
      title: 'Palette',
      above: `The colours lie ${M}farther from the master’s than the master’s works do from each other{times, plural, =0 {} other {: about # times as far}}.`,
      below: `The colours lie nearer to the master’s than the master’s works do to each other.`,
      tryAbove: 'Next time mix from the master’s recipes.',
      tryBelow: 'Next time go on like this.',
    },
  },
  value: {
    mean: {
      title: 'Lightness overall',
      above: `The picture is ${M}lighter overall than the master’s, ${STEPS}.`,
      below: `The picture is ${M}darker overall than the master’s, ${STEPS}.`,
      tryAbove: 'Next time deepen the shadows.',
      tryBelow: 'Next time leave more light.',
    },
    dark: {
      title: 'Deepest dark',
      above: `The darks are ${M}less deep than the master’s, ${STEPS}.`,
      below: `The darks are ${M}deeper than the master’s, ${STEPS}.`,
      tryAbove: 'Next time put in the deepest dark once, where it counts.',
      tryBelow: 'Next time keep the darks a step lighter.',
    },
    light: {
      title: 'Lightest light',
      above: `The lights are ${M}lighter than the master’s, ${STEPS}.`,
      below: `The lights are ${M}dimmer than the master’s, ${STEPS}.`,
      tryAbove: 'Next time let the sheet’s own tone be the light.',
      tryBelow: 'Next time keep the lights bare.',
    },
    range: {
      title: 'From darkest to lightest',
      above: `The step from darkest to lightest is ${M}larger than the master’s, ${STEPS}.`,
      below: `The step from darkest to lightest is ${M}smaller than the master’s, ${STEPS}.`,
      tryAbove: 'Next time pull darks and lights together.',
      tryBelow: 'Next time make the darks darker and keep the lights.',
    },
    darkShare: {
      title: 'Area of darks',
      above: `The darks cover ${MORE}more of the picture than of the master’s: ${PAIR}.`,
      below: `The darks cover ${MORE}less of the picture than of the master’s: ${PAIR}.`,
      tryAbove: 'Next time open up some of the darks.',
      tryBelow: 'Next time join small darks into larger ones.',
    },
    lightShare: {
      title: 'Area of lights',
      above: `The lights cover ${MORE}more of the picture than of the master’s: ${PAIR}.`,
      below: `The lights cover ${MORE}less of the picture than of the master’s: ${PAIR}.`,
      tryAbove: 'Next time tone down some of the lights.',
      tryBelow: 'Next time keep more of the sheet light.',
    },
    focusContrast: {
      title: 'Strongest contrast',
      above: `The strongest contrast is ${M}stronger than the master’s, ${STEPS}.`,
      below: `The strongest contrast is ${M}weaker than the master’s, ${STEPS}.`,
      tryAbove: 'Next time quieten the strongest contrast.',
      tryBelow: 'Next time set the darkest dark beside the lightest light, where the eye shall rest.',
    },
  },
  composition: {
    centreX: {
      title: 'Weight, left to right',
      above: `The weight of the picture sits farther right than the master’s, by {by} of the width.`,
      below: `The weight of the picture sits farther left than the master’s, by {by} of the width.`,
      tryAbove: 'Next time plan the picture farther left.',
      tryBelow: 'Next time plan the picture farther right.',
    },
    centreY: {
      title: 'Weight, top to bottom',
      above: `The weight of the picture sits lower than the master’s, by {by} of the height.`,
      below: `The weight of the picture sits higher than the master’s, by {by} of the height.`,
      tryAbove: 'Next time plan the picture higher.',
      tryBelow: 'Next time plan the picture lower.',
    },
    coverage: {
      title: 'Worked area',
      above: `The drawing fills ${MORE}more of the sheet than the master’s: ${PAIR}.`,
      below: `The drawing fills ${MORE}less of the sheet than the master’s: ${PAIR}.`,
      tryAbove: 'Next time leave more of the sheet bare.',
      tryBelow: 'Next time let the drawing fill the sheet.',
    },
    margin: {
      title: 'Free margin',
      above: `The free margin is ${M}wider than the master’s, by {by} of the sheet.`,
      below: `The free margin is ${M}narrower than the master’s, by {by} of the sheet.`,
      tryAbove: 'Next time go nearer to the edge.',
      tryBelow: 'Next time leave a margin.',
    },
    envelope: {
      title: 'Overall shape',
      above: `The overall shape is ${M}simpler than the master’s.`,
      below: `The overall shape is ${M}less simple than the master’s.`,
      tryAbove: 'Next time break the outer shape a little.',
      tryBelow: 'Next time gather the forms into one simple shape.',
    },
  },
  place: {
    scale: {
      title: 'Size on the sheet',
      within: 'The whole keeps the source’s size on the sheet.',
      above: 'The whole is {by} larger on the sheet than in the source.',
      below: 'The whole is {by} smaller on the sheet than in the source.',
      tryAbove: 'Next time mark the source’s outer edges on your sheet first, and stay inside them.',
      tryBelow: 'Next time mark the source’s outer edges on your sheet first, and go out to them.',
    },
    turn: {
      title: 'Lean on the sheet',
      within: 'The whole stands as upright as in the source.',
      above: 'The whole leans {by} to the left, against the source.',
      below: 'The whole leans {by} to the right, against the source.',
      tryAbove: 'Next time hold a plumb line before the source and before your sheet.',
      tryBelow: 'Next time hold a plumb line before the source and before your sheet.',
    },
    stretch: {
      title: 'Width against height',
      within: 'The whole is as wide for its height as in the source.',
      above: 'The whole is {by} wider for its height than in the source.',
      below: 'The whole is {by} narrower for its height than in the source.',
      tryAbove: 'Next time measure the whole width against the whole height before anything else.',
      tryBelow: 'Next time measure the whole width against the whole height before anything else.',
    },
    shiftX: {
      title: 'Place, left to right',
      within: 'The whole stands where the source has it, left to right.',
      above: 'The whole has moved {by}{of, select, sheet { of the sheet} other {}} to the right.',
      below: 'The whole has moved {by}{of, select, sheet { of the sheet} other {}} to the left.',
      tryAbove: 'Next time fold a middle line and see what it cuts in the source.',
      tryBelow: 'Next time fold a middle line and see what it cuts in the source.',
    },
    shiftY: {
      title: 'Place, top to bottom',
      within: 'The whole stands where the source has it, top to bottom.',
      above: 'The whole has moved {by}{of, select, sheet { of the sheet} other {}} down.',
      below: 'The whole has moved {by}{of, select, sheet { of the sheet} other {}} up.',
      tryAbove: 'Next time fold a middle line across and see what it cuts in the source.',
      tryBelow: 'Next time fold a middle line across and see what it cuts in the source.',
    },
    weight: {
      title: 'Working: {where}',
      within: 'As worked as the source: {where}.',
      above: `${'{much, select, much {Much more} other {More}}'} heavily worked than the source: {where}.`,
      below: `${'{much, select, much {Much more} other {More}}'} lightly worked than the source: {where}.`,
      tryAbove: 'Next time leave that part more open; squint at both to see it.',
      tryBelow: 'Next time work that part further; squint at both to see it.',
    },
  },
} as const;

/** The nine parts of a picture. */
export const fields = {
  'upper-left': 'upper left',
  'upper-middle': 'upper middle',
  'upper-right': 'upper right',
  'middle-left': 'middle left',
  'middle-middle': 'centre',
  'middle-right': 'middle right',
  'lower-left': 'lower left',
  'lower-middle': 'lower middle',
  'lower-right': 'lower right',
} as const;

export const groups = {
  proportion: 'Proportion',
  marks: 'Marks',
  colour: 'Colour',
  value: 'Values',
  composition: 'Placing',
} as const;

/** What stays or changes from work to work of a hand, and what parts it from another. */
export const hand = {
  constant: {
    range: '{title}: steady from work to work, from {from} to {to}.',
    plain: '{title}: steady from work to work.',
  },
  varies: {
    range: '{title}: changes from work to work, from {from} to {to}.',
    plain: '{title}: changes from work to work.',
  },
  parts: {
    pair: '{title}: {here}, in the other hand {there}.',
    plain: '{title}: {much, select, much {much } other {}}{more, select, yes {more} other {less}} than in the other hand.',
  },
};
