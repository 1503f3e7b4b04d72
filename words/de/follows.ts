/** Wem die Abweichungen eines eigenen Bildes von seiner Vorlage folgen. */
export const follows = {
  title: 'Von der Vorlage zur Manier',
  none: 'Die Zeichnung bleibt bei ihrer Vorlage, und die Manier verlangt hier nichts anderes.',
  as: {
    manner: 'Folgt der Manier',
    further: 'Geht weiter als die Manier',
    open: 'Die Manier ginge weiter',
    neither: 'Folgt keinem von beiden',
  },
  one: '{measure}: {times} der Vorlage; die Manier macht daraus {asked}.',
  unasked: '{measure}: {times} der Vorlage; die Manier lässt es, wie es ist.',
} as const;
