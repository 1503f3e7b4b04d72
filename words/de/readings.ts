/** Was eine Messung der Spuren oder der Farbe in Sätzen sagt, und die Namen der Farben. */
export const readings = {
  kind: {
    likely: 'Das sieht aus wie: {kind}.',
    perhaps: 'Das ist wahrscheinlich: {kind}.',
    unsure: 'Das könnte sein: {kind}. Sicher zu sagen ist es nicht.',
    unknown: 'Welche Art von Spuren das ist, lässt sich nicht sagen.',
  },
  whole: 'Überwiegend: {kind}.',
  wholeBeside: 'Überwiegend: {kind}; daneben {others}.',
  wholeUnknown: 'Aus welcher Art von Spuren es überwiegend besteht, lässt sich nicht sagen.',
  part: '{kind} ({share})',
  spacing:
    'Die Striche stehen {gap} auseinander, {evenness, select, veryEven {sehr gleichmäßig} even {gleichmäßig} uneven {ungleichmäßig} other {sehr ungleichmäßig}} (bis auf etwa {give}).',
  direction: 'Die meisten Striche sind um {angle} gegen die Waagerechte geneigt.',
  crossing:
    'Zwei Strichlagen treffen sich unter {angle}{how, select, square {, fast im rechten Winkel} narrow {, in spitzem Winkel} other {}}.',
  lineWidth: 'Die Linien sind {width} breit{swell, select, yes { und wechseln zwischen dünn und dick} other {, fast immer gleich dick}}.',
  strokeLength: 'Ein Strich ist {length} lang, soweit er sich verfolgen lässt.',
  straightness: '{bent, select, yes {Die Striche sind gebogen.} other {Die Striche sind gerade oder kaum gebogen.}}',
  coverage: 'Spuren bedecken {share} {of, select, window {des Fensters} other {des bearbeiteten Teils}}.',
  coverageTonal: 'Einzelne Striche oder Punkte zeigen sich auf {share} {of, select, window {des Fensters} other {des bearbeiteten Teils}}.',
  edges:
    'Wo Hell auf Dunkel trifft, sind {outlined} der Kante von einer Linie begleitet, {sharp} scharf, {soft} weich und {lost} verloren.',
  slack: { kept: 'Die Farbe bleibt an ihrer Linie.', strays: 'Die Farbe verlässt ihre Linie um etwa {size}.' },
  surface: {
    smooth: 'Zwischen den Strichen ist die Fläche glatt.',
    grain: 'Zwischen den Strichen zeigt die Fläche ein feines Korn.',
    tooth: 'Zwischen den Strichen zeigt sich das raue Papier.',
    speckle: 'Zwischen den Strichen ist die Fläche gesprenkelt.',
  },
  finish: 'Am meisten ausgeführt ist es {most}, am wenigsten {least}.',
  ground: 'Der Ton des Blatts: {colour}.',
  groundDoubt: 'Der Ton des Blatts ist vielleicht: {colour}; es ist von Farbe kaum zu unterscheiden.',
  count: '{n, plural, one {Eine Farbe macht} other {Etwa # Farben machen}} das meiste vom Bild aus.',
  accent: 'Ein kleiner Tupfer, {colour}, auf {share} des Blatts.',
  balance: {
    none: 'Weder warme noch kühle Farbe wird gebraucht.',
    warm: 'Warme Farbe führt, auf {share} der Arbeit.',
    cool: 'Kühle Farbe führt, auf {share} der Arbeit.',
    even: 'Warme und kühle Farbe halten sich die Waage, mit je {share}.',
  },
  chroma:
    '{how, select, quiet {Die Farbe ist insgesamt ruhig.} moderate {Die Farbe ist insgesamt von mittlerer Kraft.} other {Die Farbe ist insgesamt kräftig.}}',
  valueRange: 'Licht und Dunkel liegen {n} der 100 Stufen von Schwarz bis Weiß auseinander.',
  values:
    '{key, select, low {Das Bild ist insgesamt dunkel} high {Das Bild ist insgesamt hell} other {Das Bild ist von mittlerer Helligkeit}}: auf einer Skala von 0, Schwarz, bis 100, Weiß, reicht es von {dark} bis {light}.',
  temperature: 'Warm {warm}, kühl {cool}, keins von beiden {neutral}.',
  proportion: '{measure}: {value}.',
  range: '{title}: {from} bis {to}, in der Mitte {about}.',
  likeWorks: '{title}: wie in den Werken.',
  evidence: {
    one: 'Gemessen an „{title}“.',
    mean: 'Mittel aus {n, plural, one {# Werk} other {# Werken}}{group, select, none {} other { der Gruppe „{group}“}}.',
    range: 'Spanne von {n, plural, one {# Werk} other {# Werken}}{group, select, none {} other { der Gruppe „{group}“}}.',
    nature: '{evidence} In der Natur: {canon}.',
  },
} as const;

const HUES: Record<string, string> = {
  roseRed: 'Rosenrot',
  red: 'Rot',
  orange: 'Orange',
  yellowOrange: 'Gelborange',
  yellow: 'Gelb',
  yellowGreen: 'Gelbgrün',
  green: 'Grün',
  blueGreen: 'Blaugrün',
  turquoise: 'Türkis',
  blue: 'Blau',
  violet: 'Violett',
  purple: 'Purpur',
  redBrown: 'Rotbraun',
  brown: 'Braun',
  ochre: 'Ocker',
  olive: 'Oliv',
  white: 'Weiß',
  paleGrey: 'blasses Grau',
  lightGrey: 'helles Grau',
  midGrey: 'mittleres Grau',
  darkGrey: 'dunkles Grau',
  black: 'Schwarz',
  brownBlack: 'Braunschwarz',
  blueBlack: 'Blauschwarz',
  greenBlack: 'Grünschwarz',
};
const hue = Object.entries(HUES)
  .map(([key, name]) => `${key} {${name}}`)
  .join(' ');

/** Namen der Farben: der Ton zuerst, dann wie hell und wie kräftig, dann was gleichnamige unterscheidet. */
export const colours = {
  name: `{tinge, select, warm {warmes } cool {kühles } other {}}{hue, select, ${hue} other {Farbe}}{light, select, pale {, blass} light {, hell} dark {, dunkel} veryDark {, sehr dunkel} other {}}{strength, select, vivid {, leuchtend} greyed {, gebrochen} other {}}{twin, select, lighter {, das hellere} deeper {, das tiefere} clearer {, das klarere} duller {, das stumpfere} between {, das mittlere} warmer {, das wärmere} cooler {, das kühlere} other {}}{number, plural, =0 {} other { #}}`,
} as const;

export const mixing = {
  nothing: 'Der Kasten hat keine Farbe zum Mischen.',
  within: 'Erreichbar: die nächste Mischung ist {miss}.',
  beyond: 'Mit diesem Kasten nicht erreichbar: die nächste Mischung ist {miss}.',
  same: 'so nah, dass kein Auge sie von der verlangten Farbe unterscheidet',
  near: 'der verlangten Farbe sehr nah',
  off: '{much, select, little {ein wenig } much {viel } other {}}{how} als verlangt',
  how: {
    lighter: 'heller',
    darker: 'dunkler',
    stronger: 'kräftiger',
    duller: 'stumpfer',
    redder: 'röter',
    greener: 'grüner',
    yellower: 'gelber',
    bluer: 'blauer',
  },
  parts: '{n, plural, one {# Teil} other {# Teile}} {paint}',
} as const;

export const laid = {
  nothing: 'In diesem Kasten sind keine Farben zum Auftragen.',
  within: 'Erreichbar: Die nächste ist {miss}.',
  beyond: 'Mit diesem Kasten nicht erreichbar: Die nächste ist {miss}.',
} as const;

export const capture = {
  'no-sheet': 'Es wurde kein Blatt gefunden; bitte die vier Ecken von Hand setzen.',
  'little-ground': 'Es ist zu wenig leeres Blatt da, um das Licht zu beurteilen; das Licht blieb, wie es war.',
  'card-aside': 'Die Graukarte liegt weit vom Blatt entfernt; ihr Licht kann ein anderes sein.',
  'corners-uncertain': 'Die Ecken sind unsicher; bitte von Hand prüfen.',
  'perhaps-inside':
    'Was gefunden wurde, ist vielleicht ein Feld im Bild und kein Blatt: Seine Seiten gehen über die Ecken hinaus, oder es hat nicht die Form des Papiers. Bitte die Ecken von Hand setzen oder sagen, dass es ganz kam.',
} as const;
