/** Die Stunde an der Wand. */
export const board = {
  title: 'Tafel',
  left: 'Verbleibende Zeit',
  over: 'Die Zeit ist um',
  last: 'Die letzte Minute',
  stopped: 'angehalten',
  ended: 'Behalten. Gut gemacht.',
  stuck: 'Wenn es misslingt: {stuck}',
  next: 'Danach: {title}, {minutes, plural, one {# Minute} other {# Minuten}}',
  nothingNext: 'Danach kommt nichts mehr.',
  back: 'Zurück (Pfeil links)',
  forward: 'Weiter (Pfeil rechts)',
  go: 'Weiterlaufen (Leertaste)',
  moreShapes: 'Eine Form mehr (Pfeil nach unten)',
  lessShapes: 'Eine Form weniger (Pfeil nach oben)',
  pause: 'Uhr anhalten (Leertaste)',
  more: 'Zwei Minuten mehr (+)',
  soundOn: 'Ton aus; läuten, wenn die Zeit um ist',
  soundOff: 'Ton an; still sein',
  large: 'Ganzer Bildschirm',
  period: 'Welcher Abschnitt',
  end: 'Beenden und Zeiten behalten',
  leave: 'Zum Plan',
} as const;

/** Das Blatt für die Hand der Lehrkraft. */
export const run = {
  page: 'Ablaufblatt',
  title: 'Ablaufblatt: {study}',
  about: 'Für Ihre Hand in der Stunde. In die letzte Spalte kommt, was wirklich geschah.',
  at: 'um',
  what: 'was geschieht',
  handOut: 'austeilen',
  watch: 'sagen und beachten',
  handIn: 'Vor dem Abgeben fragen',
  accent: 'Ist der kleine Tupfer {colour} da? In der Vorlage nimmt er {part} des Blatts ein.',
  darks: 'Sind die kleinen Dunkelheiten da? In der Vorlage nimmt {colour} {part} des Blatts ein.',
  bare: 'Sind die Lichter frei? In der Vorlage ist das Blatt auf {part} zu sehen.',
  away: 'Wer gefehlt hat, holt {n, plural, one {# Minute} other {# Minuten}} nach:',
  helpers: 'Helfer:',
  accidents: 'Wenn etwas passiert:',
  room: 'was wirklich geschah',
} as const;

/** Aufwärmblätter in wahrer Größe. */
export const warmUps = {
  page: 'Aufwärmblätter',
  title: 'Aufwärmblätter zum Drucken',
  back: 'Plan',
  measured: 'Gemessen an „{work}“: {gap} auseinander, um {slant} geneigt, {length} lang, {width} breit. Alles in wahrer Größe.',
  usual:
    'Es sind noch keine Striche gemessen: geübt wird mit üblichen Werten. Messen Sie ein Werk, dann treten seine eigenen an ihre Stelle.',
  which: 'Blätter',
  suits: 'passt zu dieser Stunde',
  look: 'ansehen',
  left: 'für linke Hände: von rechts begonnen',
  sheet: {
    gap: 'Abstandskarte',
    boxes: 'Kästchen zum Weitermachen',
    crossing: 'Kästchen zum Kreuzen',
    pressure: 'Druck, dünn bis dick',
    values: 'Tonwerte in Stufen',
    layers: 'Lagen mit gleichem Druck',
    unbroken: 'Eine Linie ohne Absetzen',
    dabs: 'Tupfer',
    dots: 'Punkte',
  },
  how: {
    gap: 'Die Karte ausschneiden und neben die Striche legen: der Abstand ist der der Karte, überall.',
    boxes:
      'Die erste Reihe nachziehen, die nächsten mit demselben Abstand und derselben Neigung weitermachen, die letzten allein füllen. Auf den letzten Strich schauen, nicht auf die Spitze.',
    crossing:
      'Die erste Lage ist da. Die zweite in der ersten Reihe nachziehen, in den nächsten weitermachen, dann allein: der Winkel zwischen den Lagen bleibt gleich.',
    pressure:
      'Jede Form in einem Zug ziehen: drücken, wo sie schwillt, abheben, wo sie dünn wird. Darunter, auf der gestrichelten Linie, noch einmal ohne Hilfe.',
    values:
      'Die erste Reihe ist gedruckt. Jedes Kästchen darunter so füllen wie das kleine Feld darüber: mit halb geschlossenen Augen sollte es verschwinden.',
    layers:
      'Mit demselben leichten Druck: eine Lage über den ganzen Streifen, eine zweite ab der ersten gestrichelten Linie, eine dritte, eine vierte. Keine Kante darf zu sehen sein außer den vier Stufen.',
    unbroken: 'Die blasse Linie ohne Absetzen nachziehen, langsam, dann doppelt so schnell; dann eine eigene zeichnen.',
    dabs: 'Ein Tupfer für jede Form, so lang und so breit. Die nächste Reihe ist begonnen; weitermachen, zu einer Seite hin dichter. Die letzte gehört Ihnen.',
    dots: 'Punkte, die Feder senkrecht, nie in Reihen. So dunkel wie das Kästchen darüber; in die leere Hälfte weitermachen; dann allein.',
  },
  gapSlant: '{gap}, um {slant} geneigt',
  gapLevel: '{gap}, waagrecht',
  begun: {
    over: 'diese nachziehen',
    on: 'hier weitermachen',
    alone: 'diese allein',
  },
  step: 'Stufe {n, number}',
  layers: 'eine, zwei, drei, vier Lagen',
  unbrokenOver: 'der blassen Linie nach, ohne Absetzen',
  unbrokenOwn: 'eine eigene, ohne Absetzen',
  dark: '{part} dunkel',
  dabs: {
    over: 'je ein Tupfer',
    on: 'hier weitermachen',
    alone: 'eigene',
  },
} as const;
