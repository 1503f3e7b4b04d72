/** Ein Blatt mit Teilen zum Auswählen und Zusammensetzen. */
export const partsSheet = {
  title: 'Teile zum Auswählen',
  how: 'Teile der Werke auf einem Blatt, zum Auswählen und Zusammensetzen: hier ein Auge, dort ein Hut. Umfahren Sie sie unter Formen; fügen Sie eigene Zeichnungen hinzu.',
  needsShapes:
    'Noch keine Teile: Umfahren Sie einige unter Formen. Auch ganze Werke lassen sich nehmen, um sie auszumalen, ehe jemand zeichnet.',
  of: { shape: 'Teile', work: 'Ganze Werke', own: 'Eigene Zeichnungen' },
  from: '{name}, aus „{work}“',
  upload: 'Eine eigene Zeichnung hinzufügen',
  cleaned: 'Gereinigt zu',
  as: { line: 'Linie', value: 'drei Tonwerten', asItIs: 'nichts: wie sie sind' },
  columns: 'Nebeneinander',
  empty: 'Leere Felder',
  own: 'dein eigenes',
  sheet: 'Teile zum Auswählen: {study}',
} as const;
