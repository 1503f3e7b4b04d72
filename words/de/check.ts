/** Wo eine Zeichnung von ihrer Vorlage abweicht, wenn die eine über die andere gelegt wird. */
export const check = {
  title: 'Gegen die Vorlage gehalten',
  against: 'Gegen',
  work: '{title}, {name}',
  reference: 'eigene Vorlage: {title}',
  none: 'Setzen Sie dieselben Punkte auf ein Werk, dann wird die Zeichnung hier dagegen gehalten.',
  few: 'Setzen Sie mindestens drei Punkte, die beide haben.',
  carry: 'Mit den Orten der Vorlage beginnen',
  size: '{part}: {by} {way, select, larger {größer} other {kleiner}} im Verhältnis zum Ganzen.',
  shift: '{part}: {by} zu weit {way, select, left {links} right {rechts} low {unten} other {oben}}.',
  turn: 'Die Linie von „{from}“ zu „{to}“ ist um {by} {way, select, clockwise {im Uhrzeigersinn} other {gegen den Uhrzeigersinn}} gedreht.',
  within: 'Nichts weicht um mehr als {part} des Ganzen oder {degrees} ab.',
  rest: '{n, plural, one {eine kleinere Abweichung} other {{n, number} kleinere Abweichungen}}',
  arrows: 'Pfeile führen von dort, wo die Vorlage einen Punkt hat, dorthin, wo die Zeichnung ihn hat.',
} as const;
