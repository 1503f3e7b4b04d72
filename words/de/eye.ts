/** Immer und nie: Motive, nach denen Werk für Werk gesucht wird. */
export const inventory = {
  title: 'Immer und nie',
  how: 'Nennen Sie, wonach Sie suchen: Hände, eine Laterne, ein Horizont, Ohren unter Haar. Gehen Sie dann von Werk zu Werk und sagen Sie, wie es dort steht.',
  none: 'Noch wird nach nichts gesucht.',
  new: 'Ein Motiv oder Merkmal, nach dem gesucht wird',
  example: 'Hände',
  remove: 'Nicht mehr nach „{name}“ suchen',
  here: '„{name}“ in „{work}“',
  seen: { shown: 'gezeigt', hidden: 'verdeckt', leftOut: 'weggelassen', unequal: 'absichtlich ungleich', noPlace: 'kein Platz dafür' },
  count:
    '{of, plural, =0 {Noch kein Werk angesehen} one {In einem Werk} other {In # Werken}}{of, plural, =0 {} other {: {shown, plural, =0 {} other {gezeigt in #}}{hidden, plural, =0 {} other { verdeckt in #}}{leftOut, plural, =0 {} other { weggelassen in #}}{unequal, plural, =0 {} other { ungleich in #}}}}{open, plural, =0 {.} one {; eines ist noch anzusehen.} other {; # sind noch anzusehen.}}',
  rule: {
    shown: '{name}: in jedem Bild gezeigt.',
    hidden: '{name}: verdeckt.',
    leftOut: '{name}: weggelassen.',
    unequal: '{name}: absichtlich ungleich.',
  },
  evidence:
    '{name}: {state, select, shown {gezeigt} hidden {verdeckt} leftOut {weggelassen} other {ungleich}} in {n, number} von {of, plural, one {# Werk} other {# Werken}}.',
} as const;

/** Übungen für das Auge. */
export const eye = {
  title: 'Das Auge üben',
  how: 'Acht Fragen aus Ihren eigenen Bildern, etwa fünf Minuten. Schauen, nicht messen. Fehler behalten ihr Vorzeichen, damit sich eine Gewohnheit zeigt.',
  who: 'Wer',
  oneself: 'ich allein',
  class: 'die Klasse zusammen',
  which: 'Welche Übung',
  drills: {
    ratio: 'Wie oft geht es hinein?',
    halve: 'Die Mitte finden',
    angle: 'Die Neigung treffen',
    under: 'Was steht darunter?',
    stretched: 'Welche Kopie wurde gestreckt?',
  },
  begin: 'Beginnen',
  again: 'Noch einmal',
  needs: 'Setzen Sie zuerst Punkte auf ein Werk; aus ihnen werden die Fragen gemacht.',
  question: 'Frage {n, number} von {of, number}',
  ask: {
    ratio: 'Wie oft geht die dicke Linie in die feine?',
    halve: 'Klicken Sie in die Mitte zwischen den beiden Kreuzen.',
    angle: 'Drehen Sie die Linie hier, bis sie geneigt ist wie die im Bild.',
    under: 'Klicken Sie dorthin, wo das Lot durch das Kreuz die waagrechte Linie trifft.',
    stretched: 'Eine der beiden Kopien wurde breiter gemacht als die Vorlage. Klicken Sie auf sie.',
  },
  times: 'Wie viele Male',
  turn: 'Neigung der Linie',
  answer: 'Das ist meine Antwort',
  stop: 'Diese Runde beenden',
  original: 'die Vorlage',
  copy: 'Kopie {n, number}',
  result: 'Diese Runde',
  columns: { said: 'gesagt', right: 'es ist', off: 'daneben um' },
  stretchedBy: '{by}, {right, select, yes {gesehen} other {übersehen}}',
  plumb: 'im Lot',
  beside: '{by} der Höhe nach {side, select, right {rechts} other {links}}',
  bias: {
    ratio: 'Sie sehen Längen um {by} {more, select, yes {größer} other {kleiner}}, als sie sind.',
    halve: 'Ihre Mitten liegen um {by} des Weges zu nahe am {more, select, yes {zweiten} other {ersten}} Ende.',
    angle: 'Sie drehen Neigungen um {by} zu weit {more, select, yes {gegen den Uhrzeigersinn} other {im Uhrzeigersinn}}.',
    under: 'Ihre Lote weichen um {by} ihrer Länge nach {more, select, yes {rechts} other {links}} ab.',
  },
  unbiased:
    'Kein Hang zu einer Seite: Die Antworten liegen im Mittel um {size} daneben, bei {n, plural, one {einer Frage} other {# Fragen}}.',
  seen: { least: 'Eine Streckung um {by} wird noch gesehen.', none: 'Noch keine Streckung wurde sicher gesehen.' },
  course: 'Von Runde zu Runde',
  soFar: 'Bisher {n, plural, one {eine Runde} other {# Runden}}. {said}',
  chart: 'Größe des Fehlers und, gestrichelt, sein Hang zu einer Seite über {n, plural, one {eine Runde} other {# Runden}}.',
  axis: 'daneben um, {unit}',
  legend: 'Dunkel: die Größe des Fehlers. Gestrichelt: mit Vorzeichen, damit sich ein Hang zeigt.',
} as const;
