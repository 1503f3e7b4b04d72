/** Die Werkbank „Schauen“: Werke, ihre Maße und Fakten, Beispielwerke, die Ersatzkamera, Zuschneiden. */
export const look = {
  choose: 'Bilder von Werken wählen',
  add: 'Werke hinzufügen',
  drop: 'Bilder von ein bis acht Werken hier ablegen oder auswählen. Eine fotografierte Postkarte genügt.',
  empty: 'Hierher kommt, was zuerst auffällt, mit Maßen und Fakten.',
  title: 'Titel',
  width: 'Wahre Breite ({unit})',
  height: 'Höhe ({unit})',
  dated: 'Datiert',
  shapes: 'Die Form des Bildes und diese Maße weichen um {share} voneinander ab. Das Bild auf das Werk zuschneiden oder die Maße prüfen.',
  noWidth: 'Ohne die wahre Breite werden Spuren in Tausendsteln der Bildbreite angegeben.',
  group: 'Gruppe',
  groupExample: 'früh, spät …',
  early: 'früh',
  late: 'spät',
  foil: 'von anderer Hand (zum Gegenhalten)',
  crop: 'Zuschneiden oder drehen',
  remove: 'Dieses Werk entfernen',
  strikes: 'Was fällt zuerst auf?',
  credit: 'Wo es hängt, und mit wessen Erlaubnis es gezeigt wird',
  creditExample: 'Hafenmuseum, für den Unterricht frei',
  facts: 'Fakten',
  inferred: 'geschlossen',
  removeFact: 'entfernen',
  fact: 'Ein Faktum',
  factExample: 'Ein Faktum zu diesem Werk',
  source: 'Wo es zu lesen war',
  sourceExample: 'Wo es zu lesen war; leer heißt geschlossen',
  samples: {
    title: 'Mit Beispielwerken ausprobieren',
    hand: 'Erfundene Hand',
    choice: '{name} ({lived})',
    about: '{medium}. {manner}',
    foil: 'ein Werk, zum Gegenhalten neben denen des Meisters',
    addFoil: 'Werk zum Gegenhalten hinzufügen',
    add: '{n, plural, one {# Werk hinzufügen} other {# Werke hinzufügen}}',
    drawing: 'wird gezeichnet: {n, number} von {all, number} …',
  },
  flat: {
    start: 'An den Ecken gerade richten',
    picture: 'Das Foto mit den Ecken des Werks',
    corner:
      '{corner, select, tl {Obere linke} tr {Obere rechte} br {Untere rechte} other {Untere linke}} Ecke des Werks, bei {x, number} und {y, number}',
    how: 'Setzen Sie die vier Ecken auf die des Werks: einer Postkarte, einer Seite, eines Plakats an der Wand.',
    found: 'Diese Ecken wurden gefunden; verschieben Sie, was falsch ist.',
    keep: 'Gerade richten',
  },
  fill: '{size} nach der Form des Bildes eintragen',
  cropping: {
    picture: 'Das Bild zum Zuschneiden',
    side: '{side, select, left {Linke} right {Rechte} top {Obere} other {Untere}} Seite des Rahmens, {at}',
    size: '{width, number} × {height}',
    turn: 'Um ein Viertel drehen ({turn})',
    keep: 'Diesen Teil behalten',
  },
} as const;

export const stand = {
  title: 'Ersatzkamera',
  how: 'Fotografiert „{work}“, wie es auf einem Tisch liegt, und fügt das Foto als Werk hinzu.',
  rotation: 'Auf dem Tisch gedreht',
  tilt: 'Kamera schräg',
  falloff: 'Licht fällt ab um',
  warmth: 'Warmes oder kühles Licht',
  blur: 'Unschärfe',
  noise: 'Rauschen',
  table: 'Tisch',
  tables: { plain: 'einfarbig', wood: 'aus Holz', cluttered: 'vollgestellt', similar: 'so hell wie das Blatt' },
  photographed: '{work}, fotografiert',
  exposing: 'Wird belichtet …',
  take: 'Das Foto machen',
} as const;

/** Die erfundenen Hände der Beispielwerke. */
export const samples = {
  ansgrave: {
    medium: 'Rohrfeder und Lavierung auf gelblichem Papier',
    manner:
      'Figuren in Umhängen, viereinhalb Köpfe hoch, gleichmäßige Schraffur in einer Richtung, eine Linie nur auf der Windseite, ein kleines Licht.',
  },
  skarn: {
    medium: 'Pastellkreide auf blaugrauem Papier',
    manner: 'Verriebene Lagen breiter Striche, nirgends ein Umriss, warme Lichter zuletzt über einem kühlen, dunklen Blatt.',
  },
  raake: {
    medium: 'Buntstifte auf glattem weißem Papier',
    manner: 'Kurze Striche mit der Drehung des Seils, ein zweiter Stift über dem ersten; keine Fläche gefüllt, kein Umriss.',
  },
  leuvik: {
    medium: 'Kohle und weiße Kreide auf graubraunem Papier',
    manner: 'Verwischtes Dunkel, Lichter gehoben und mit Kreide getupft, und kaum eine harte Kante.',
  },
  oostvik: {
    medium: 'Glasur auf Fliese',
    manner: 'Flache kühle Glasuren, jede von der nächsten durch eine gleichmäßige dunkle Linie getrennt; nichts schattiert, nichts offen.',
  },
  osk: {
    medium: 'Pinsel und verdünnte Tusche auf rauem weißem Papier',
    manner:
      'Nasse Lavierungen, die zu harten Rändern trocknen, ein trockener Pinsel über rauem Papier, und fast die Hälfte des Blatts leer.',
  },
} as const;
