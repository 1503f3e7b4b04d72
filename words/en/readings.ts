/** What a reading of marks or colour says in sentences, and the names of colours. */
export const readings = {
  kind: {
    likely: 'This looks like {kind}.',
    perhaps: 'This is probably {kind}.',
    unsure: 'This may be {kind}, but it is hard to tell.',
    unknown: 'What kind of marks these are cannot be told.',
  },
  whole: 'Mostly {kind}.',
  wholeBeside: 'Mostly {kind}, beside {others}.',
  wholeUnknown: 'What kind of marks it is mostly made of cannot be told.',
  part: '{kind} ({share})',
  spacing:
    'Strokes stand {gap} apart, {evenness, select, veryEven {very evenly} even {evenly} uneven {unevenly} other {very unevenly}} (give or take {give}).',
  direction: 'Most strokes slant at {angle} from level.',
  crossing: 'Two sets of strokes meet at {angle}{how, select, square {, nearly square} narrow {, a narrow angle} other {}}.',
  lineWidth: 'Lines are {width} wide{swell, select, yes { and change from thin to thick} other {, hardly changing from thin to thick}}.',
  strokeLength: 'A stroke is {length} long, as far as it can be followed.',
  straightness: '{bent, select, yes {Strokes are bent.} other {Strokes are straight or hardly bent.}}',
  coverage: 'Marks cover {share} of the {of, select, window {window} other {worked part}}.',
  coverageTonal: 'Single strokes or dots show on {share} of the {of, select, window {window} other {worked part}}.',
  edges: 'Where light meets dark, {outlined} of the edge has a line round it, {sharp} is sharp, {soft} is soft and {lost} is lost.',
  slack: { kept: 'Colour keeps to its line.', strays: 'Colour strays about {size} from its line.' },
  surface: {
    smooth: 'Between the strokes the surface is smooth.',
    grain: 'Between the strokes the surface shows a fine grain.',
    tooth: 'Between the strokes the rough of the paper shows.',
    speckle: 'Between the strokes the surface is speckled.',
  },
  finish: 'Most is done in the {most}, least in the {least}.',
  ground: 'The sheet is toned {colour}.',
  groundDoubt: 'The sheet may be toned {colour}; it can hardly be told from paint.',
  count: '{n, plural, one {One colour makes} other {About # colours make}} most of the picture.',
  accent: 'One small touch of {colour}, {share} of the sheet.',
  balance: {
    none: 'Neither warm nor cool colour is used.',
    warm: 'Warm colour leads, on {share} of the work.',
    cool: 'Cool colour leads, on {share} of the work.',
    even: 'Warm and cool colour keep the balance, {share} each.',
  },
  chroma:
    '{how, select, quiet {Colour is quiet overall.} moderate {Colour is of middling strength overall.} other {Colour is strong overall.}}',
  valueRange: 'Lights and darks lie {n} of the 100 steps from black to white apart.',
  values:
    '{key, select, low {The picture is dark overall} high {The picture is light overall} other {The picture is of middling lightness}}: on a scale from 0, black, to 100, white, it goes from {dark} to {light}.',
  temperature: 'Warm {warm}, cool {cool}, neither {neutral}.',
  proportion: '{measure}: {value}.',
  range: '{title}: {from} to {to}, {about} in the middle.',
  likeWorks: '{title}: as in the works.',
  evidence: {
    one: 'Measured on “{title}”.',
    mean: 'Mean of {n, plural, one {# work} other {# works}}{group, select, none {} other { of the group “{group}”}}.',
    range: 'Range of {n, plural, one {# work} other {# works}}{group, select, none {} other { of the group “{group}”}}.',
    nature: '{evidence} In nature: {canon}.',
  },
} as const;

/** Names of colours: what hue it is, how light and how strong, and what parts it from others of the same name. */
const HUES = [
  'rose red',
  'red',
  'orange',
  'yellow orange',
  'yellow',
  'yellow green',
  'green',
  'blue green',
  'turquoise',
  'blue',
  'violet',
  'purple',
  'red brown',
  'brown',
  'ochre',
  'olive',
  'white',
  'pale grey',
  'light grey',
  'mid grey',
  'dark grey',
  'black',
  'brown black',
  'blue black',
  'green black',
];
const hue = HUES.map((h) => `${h.replace(/ (.)/, (_, l: string) => l.toUpperCase())} {${h}}`).join(' ');

export const colours = {
  name: `{twin, select, lighter {lighter } deeper {deeper } clearer {clearer } duller {duller } between {middling } warmer {warmer } cooler {cooler } other {}}{tinge, select, warm {warm } cool {cool } other {}}{light, select, pale {pale } light {light } dark {dark } veryDark {very dark } other {}}{strength, select, vivid {vivid } greyed {greyed } other {}}{hue, select, ${hue} other {colour}}{number, plural, =0 {} other { #}}`,
} as const;

export const mixing = {
  nothing: 'The kit has no paint to mix from.',
  within: 'Within reach: the nearest mix is {miss}.',
  beyond: 'Out of reach of this kit: the nearest mix is {miss}.',
  same: 'so near that no eye will tell it from the colour asked for',
  near: 'very near the colour asked for',
  off: '{much, select, little {a little } much {much } other {}}{how} than asked',
  how: {
    lighter: 'lighter',
    darker: 'darker',
    stronger: 'stronger',
    duller: 'duller',
    redder: 'redder',
    greener: 'greener',
    yellower: 'yellower',
    bluer: 'bluer',
  },
  parts: '{n, plural, one {# part} other {# parts}} {paint}',
} as const;

export const laid = {
  nothing: 'The kit has no colours to lay.',
  within: 'Within reach: the nearest is {miss}.',
  beyond: 'Out of reach of this kit: the nearest is {miss}.',
} as const;

export const capture = {
  'no-sheet': 'No sheet was found; place its four corners by hand.',
  'little-ground': 'There is too little bare sheet to judge the light by; the light was left as it is.',
  'card-aside': 'The grey card lies far from the sheet; its light may differ.',
  'corners-uncertain': 'The corners are uncertain; check them by hand.',
  'perhaps-inside':
    'What was found may be a field inside the picture and no sheet: its sides go on past its corners, or it is not of the paper’s shape. Set the corners by hand, or say that it came whole.',
} as const;
