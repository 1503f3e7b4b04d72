/** Was eine Stunde sagt: Material, Vorsicht, Warnungen zur Reihenfolge und die Einträge ihrer Abschnitte. */
export const items = {
  paper: 'Zeichenpapier, das Blatt der Klasse',
  scrap: 'Schmierpapier zum Aufwärmen',
  'heavy-paper': 'schweres Papier (200 g oder mehr), das Blatt der Klasse',
  'toothed-paper': 'raues Papier für trockene Mittel, das Blatt der Klasse',
  pencil: 'Bleistift, HB',
  'soft-pencil': 'Bleistift, 4B',
  sharpener: 'Spitzer',
  eraser: 'Radiergummi',
  'kneaded-eraser': 'Knetgummi',
  ruler: 'Lineal',
  pen: 'Federhalter mit biegsamer oder breiter Feder',
  'ink-pot': 'kleiner Tuschenapf, der nicht kippt',
  ink: '{ink, select, waterproof {wasserfeste Tusche} washable {auswaschbare Tusche} other {Tusche}}',
  'wash-ink':
    '{ink, select, waterproof {wasserfeste Tusche zum Lavieren} washable {auswaschbare Tusche zum Lavieren} other {Tusche zum Lavieren}}',
  watercolour: 'Aquarellfarbe, als angerührte Lavierung',
  gouache: 'Gouache',
  'white-gouache': 'Deckweiß',
  acrylic: 'Acrylfarbe',
  'round-brush': 'Rundpinsel, Größe 6 oder 8',
  'fine-brush': 'feiner Pinsel, Größe 2',
  'flat-brush': 'Flachpinsel, etwa 25 mm',
  'stiff-brush': 'alter borstiger Pinsel',
  board: 'Zeichenbrett, auf das das Blatt geklebt wird',
  water: 'Wasserglas',
  towel: 'Handtuch',
  palette: 'Mischpalette',
  rag: 'Lappen oder Küchenpapier',
  candle: 'weißes Kerzenende oder Wachsstift',
  masking: 'Rubbelkrepp',
  charcoal: 'Kohlestift',
  chalk: 'weiße Kreide',
  stump: 'Papierwischer',
  pastels: 'Pastellkreiden, Schachtel',
  fixative: 'Fixativ (ein Erwachsener sprüht)',
  'coloured-pencils': 'Buntstifte, die zwei oder drei gewählten',
  crayons: 'Wachsstifte, Schachtel',
  'felt-pen': 'weicher schwarzer Filzstift',
  'felt-pens': 'wasserlösliche Filzstifte, Satz',
  'graphite-stick': 'Grafitblock',
  'oil-pastels': 'Ölkreiden, Schachtel',
  scraper: 'stumpfer Schaber oder Holzspitze',
  'coloured-paper': 'farbiges Papier',
  scissors: 'Schere, die zum Alter passt',
  glue: 'Klebestift',
  'stencil-card': 'Schablonenkarton',
  sponge: 'kleiner Schwamm',
  'found-matter': 'feiner Sand oder Sägemehl, ein Becher',
  tablet: 'Tablet oder Computer mit Zeichenprogramm',
  'mount-card': 'Karton zum Aufziehen',
  'tracing-paper': 'Transparentpapier, das Blatt der Klasse',
  'clear-sheet': 'Klarsichtfolie',
  marker: 'wasserlöslicher Stift für die Folie',
  block: 'weiche Druckplatte, so groß wie das Blatt der Klasse',
  cutter: 'Schnittmesser mit Handschutz',
  'print-ink': 'wasserlösliche Druckfarbe',
  roller: 'Walze und Platte',
  spoon: 'Holzlöffel zum Abreiben',
} as const;

export const amounts = {
  piece: '{n, number}',
  sheet: '{n, plural, one {# Blatt} other {# Blätter}}',
  ml: '{n, number} ml',
  g: '{n, number} g',
  how: {
    liquid: 'etwa {each} ml je Person, Verlust eingerechnet',
    paper: 'je {each, number} und {spare, number} als Reserve',
    student: '{count, plural, one {für jeden} other {je # für jeden}}',
    pair: '{count, plural, one {zu zweit} other {je # zu zweit}}',
    table: '{count, plural, one {je Tisch mit vieren} other {je # für einen Tisch mit vieren}}',
    class: '{count, plural, one {für die Klasse} other {# für die Klasse}}',
  },
} as const;

export const cautions = {
  adult: 'In diesem Alter macht es ein Erwachsener. {caution}',
  nib: 'Federn sind spitz: Halter mit der Spitze nach unten tragen, nie schütteln oder werfen, am Ende nachzählen.',
  'waterproof-ink':
    'Wasserfeste Tusche macht Flecken auf Kleidung und Haut und trocknet in Federn und Pinseln hart: gleich ausspülen, und in einen geschlossenen Füller nur, wenn sein Etikett es erlaubt.',
  'dust-dry': 'Kohle und Pastell stauben: nicht pusten, über Papier abklopfen, Tische feucht wischen, lüften.',
  fixative: 'Fixativ nur, wo frische Luft und die Regeln der Schule es erlauben, abseits der Klasse; ein Erwachsener sprüht.',
  latex: 'Rubbelkrepp kann Naturlatex und Ammoniak enthalten: zuerst nach Allergien fragen, von der Haut fernhalten, lüften.',
  cutter: 'Schnittmesser: von der Hand weg schneiden, den Handschutz benutzen, zu zweit immer nur einer, unter Aufsicht.',
  small: 'Kleine Teile können die Jüngsten verschlucken: Radiergummis, Kerzenenden und Kreiden nachzählen.',
  pigment:
    'Farben nehmen, die für Schulen gekennzeichnet sind; nie Pulver oder alte Tuben mit Blei oder anderen giftigen Pigmenten. Nichts in den Mund, kein Pinsel wird mit den Lippen gespitzt.',
  slip: 'Wasser auf dem Boden ist rutschig: Gläser in die Mitte des Tisches, ein Tuch bereit.',
  acrylic: 'Acryl geht nicht mehr heraus, wenn es trocken ist: Schürzen an, Pinsel nie trocknen lassen.',
  roller: 'Finger weg von Walzen und Pressen; Druckfarbe macht Flecken: Schürzen an.',
  scissors: 'Scheren: beim Schneiden sitzen, mit dem Griff voran weitergeben, am Ende nachzählen.',
  scraper: 'Schaber: von der anderen Hand weg; nur stumpfe Spitzen.',
  markers: 'Nur Filzstifte auf Wasserbasis; Stifte mit Lösungsmittel brauchen frische Luft und die Erlaubnis der Schule.',
  glue: 'Kleber ohne Lösungsmittel; nicht an die Augen, Deckel wieder drauf.',
  found: 'Fundstücke: gesiebt und trocken, nichts Scharfes, kein Schimmel, keine Nüsse; keinen Staub aufwirbeln, danach Hände waschen.',
  labels:
    'Etiketten und Sicherheitsdatenblätter lesen; auf ASTM D-4236 oder EN 71 achten, je nachdem, was die örtlichen Regeln verlangen. Schulordnung und örtliche Vorschriften gehen vor.',
  photographs: 'Fotos von Arbeiten: keine vollen Namen, Einwilligung, wie die Schule sie verlangt, nichts verlässt diesen Rechner.',
} as const;

/** Warum eine Reihenfolge schadet, und was zu tun ist. `a` ist der frühere Schritt, `b` der spätere. */
export const order = {
  'water-over-running': {
    reason: '„{a}“ ist nicht wasserfest: „{b}“ trägt es über das Blatt.',
    remedy:
      'Wasserfeste Tusche nehmen, oder zuerst lavieren und zeichnen, wenn es trocken ist. Wenn es auslaufen soll, das in der Klasse sagen.',
  },
  'water-over-dust': {
    reason: '„{a}“ liegt als Staub da: Wasser macht Schlamm daraus.',
    remedy: 'Dazwischen fixieren, oder zuerst lavieren und zeichnen, wenn es trocken ist.',
  },
  'pencil-under-wash': {
    reason: 'Bleistift unter „{a}“ ist eingeschlossen: er lässt sich nicht mehr ausradieren, und das Reiben raut die Lavierung auf.',
    remedy: 'Vor der ersten Lavierung radieren, oder den Bleistift so blass halten, dass er bleiben darf.',
  },
  'resist-after-wash': {
    reason: '„{b}“ hält nur ab, was danach kommt; „{a}“ hat die Lichter schon genommen.',
    remedy: '„{b}“ vor die erste Lavierung stellen.',
  },
  'line-over-wax': { reason: 'Die Feder springt, wo „{a}“ war.', remedy: 'Zuerst die Linie zeichnen, dann die Lichter schützen.' },
  'light-after-dark': {
    reason: 'Durchscheinende Farbe macht nur dunkler: „{b}“ kann „{a}“ nicht aufhellen, es löst sie an und trübt sie.',
    remedy: 'Von Hell nach Dunkel arbeiten.',
  },
  'light-covered': { reason: '„{b}“ nach „{a}“ verschmutzt die Lichter oder hebt sie ab.', remedy: '„{a}“ für den Schluss aufheben.' },
  'pen-on-thick': {
    reason: 'Eine Feder springt und verstopft auf „{a}“.',
    remedy: 'Die Linie vorher zeichnen, oder einen feinen Pinsel nehmen.',
  },
  'smear-fill-last': {
    reason: '„{a}“ schmiert: die Hand zieht es während „{b}“ herum.',
    remedy: '„{a}“ ans Ende stellen; ein Blatt unter die Hand.',
  },
  'outline-before-fill': {
    reason: '„{a}“ kommt, ohne dass etwas entworfen oder umrandet ist: die Füllung hat keine Kante, an der sie endet.',
    remedy: 'Das Feld zuerst entwerfen oder umranden; „{b}“ darf am Ende trotzdem darüber.',
  },
  'outline-last': {
    reason: 'Der Umriss kommt hier zuletzt; „{a}“ steht vor „{b}“.',
    remedy: '„{a}“ hinter die Felder stellen, oder den Umriss lassen, wie die Stunde ihn hat.',
  },
  'outline-none': {
    reason: 'Sie lassen den Umriss weg; „{b}“ zeichnet einen.',
    remedy: 'Den Schritt weglassen und eine Farbe an der nächsten enden lassen, oder der Stunde ihren Umriss lassen.',
  },
  'groove-under-tone': {
    reason: '„{a}“ drückt Rillen, die durch „{b}“ weiß bleiben.',
    remedy: 'Zuerst den Ton legen, oder die Rillen als Lichtlinien behalten.',
  },
  'nothing-holds-on-wax': {
    reason: '„{b}“ hält nicht auf „{a}“: es perlt vom Wachs ab.',
    remedy: 'Zuerst malen und auf der trockenen Farbe mit Wachs zeichnen, oder diese Stellen frei von Wachs lassen.',
  },
  'ground-first': { reason: '„{b}“ geht über das ganze Blatt und über „{a}“.', remedy: 'Das Blatt vor allem anderen tönen.' },
  'rub-out-dust': { reason: 'Das Radieren hebt auch „{a}“ ab.', remedy: 'Vor den staubenden Lagen radieren.' },
  'guide-gone': {
    reason: 'Der Bleistift wird vor „{b}“ ausradiert, und nichts hält die Zeichnung fest: die Führung ist weg.',
    remedy: 'Den Bleistift nur blasser machen, oder zuerst die Linie zeichnen.',
  },
  'line-first': {
    reason: 'Sie zeichnen, bevor Sie Töne legen; „{a}“ steht vor „{b}“.',
    remedy: '„{b}“ davor stellen, oder Linie und Ton lassen, wie die Stunde sie hat.',
  },
  'tone-first': {
    reason: 'Sie legen Töne, bevor Sie zeichnen; „{a}“ steht vor „{b}“.',
    remedy: '„{a}“ dahinter stellen, oder Linie und Ton lassen, wie die Stunde sie hat.',
  },
  'not-rubbed': {
    reason: 'Sie gehen mit Lagen gleichen Drucks von Ton zu Ton; „{b}“ verreibt.',
    remedy: 'Weglassen und dünnere Lagen legen, oder die Stunde verreiben lassen.',
  },
  'does-not-lift': {
    reason: '„{a}“ geht nicht mehr ab: „{b}“ nimmt nichts heraus.',
    remedy: 'Diese Lichter von Anfang an frei lassen, am Ende Deckweiß setzen, oder etwas nehmen, das wieder abgeht.',
  },
  'must-not-touch': {
    reason: '„{b}“ hält nicht auf „{a}“.',
    remedy: '„{b}“ davor stellen, oder beides auf dem Blatt getrennt halten.',
  },
  rack: {
    reason:
      'Am Ende von Abschnitt {period, number} {wet, plural, one {ist ein Blatt} other {sind # Blätter}} noch nass von „{a}“; im Trockengestell {rack, plural, =0 {ist kein Platz} one {ist ein Platz} other {sind # Plätze}}.',
    remedy:
      'Für {over, plural, one {ein Blatt} other {# Blätter}} einen anderen Platz finden: eine Leine mit Klammern, Fensterbänke, Zeitung auf dem Boden. Oder „{a}“ früher beenden.',
  },
  'forbidden-after': {
    reason: '„{b}“ darf nicht nach „{a}“ kommen: so haben Sie es aufgeschrieben.',
    remedy: '„{b}“ davor stellen oder weglassen.',
  },
  'nothing-before': {
    reason: '„{b}“ baut auf einem Schritt auf, der noch nicht da war.',
    remedy: 'Später setzen, oder den Schritt davor hinzufügen.',
  },
  'too-many-washes': {
    reason: 'Mehr als drei nasse Lagen werden trüb und wellen dünnes Papier.',
    remedy: 'Zwei Lavierungen verbinden, oder schweres, aufgespanntes Papier nehmen.',
  },
  unfixed: {
    reason: '„{b}“ bleibt als Staub liegen und reibt sich in der Mappe ab.',
    remedy: 'Am Ende fixieren, oder unter einem Deckblatt aufbewahren.',
  },
  'no-erasing': {
    reason: 'Diese Klasse radiert nicht.',
    remedy: 'Den Schritt weglassen: leicht zeichnen und noch einmal über die Linie gehen.',
  },
  'straight-in': {
    reason: 'Diese Klasse geht gleich mit dem endgültigen Werkzeug ans Blatt.',
    remedy: 'Den Bleistiftentwurf weglassen und sich länger auf Schmierpapier aufwärmen.',
  },
  'over-time': {
    reason:
      'Selbst mit den wenigsten Minuten braucht die Arbeit {needed, plural, one {einen Abschnitt} other {# Abschnitte}} von {minutes, number} Minuten, nicht {asked, number}.',
    remedy:
      '{over, plural, one {Einen Abschnitt} other {# Abschnitte}} hinzufügen, oder einen Schritt weglassen: der längste ist „{longest}“.',
  },
  shortened: {
    reason:
      'Damit es passt, sind Schritte gekürzt{fully, select, yes { auf die wenigsten Minuten} other {}}, und Schauen, Aufwärmen und Reden sind knapp.',
    remedy: 'Ein Abschnitt mehr oder ein Schritt weniger gibt die Zeit zurück.',
  },
  shared: {
    reason: 'Von „{what}“ {have, plural, =0 {ist nichts} one {ist eins} other {sind #}} da, gebraucht werden {needed, number}.',
    remedy:
      'In {turns, number} Gruppen nacheinander arbeiten: die anderen üben so lange auf Schmierpapier. Zusammen dauert es {minutes, plural, one {# Minute} other {# Minuten}}.',
    passed: 'Sie gehen von Hand zu Hand; ein paar mehr ersparen das Warten.',
    none: 'Mehr davon besorgen, oder ein anderes Werkzeug und einen anderen Schritt nehmen.',
  },
  drying: {
    reason: '{why} Nach „{a}“ {n, plural, one {# Minute} other {# Minuten}} warten.',
    remedy: 'Das Warten ist unten mit Übung gefüllt; eine Pause zwischen zwei Abschnitten würde es umsonst trocknen.',
  },
  'short-drying': {
    reason:
      '„{a}“ trocknet gewöhnlich in {usual, plural, one {# Minute} other {# Minuten}}; geplant {n, plural, one {ist} other {sind}} {n, number}.',
    remedy: 'Vor dem Weitermachen mit dem Handrücken prüfen; dünnere Lagen trocknen schneller.',
  },
} as const;

/** Übliche Unfälle bei einem Schritt, und was hilft. */
export const accidents = {
  'ink-run':
    'Tusche verlaufen oder ein Klecks: Löschpapier auflegen, nicht reiben; wenn es trocken ist, eine Form daraus machen, oder ein Erwachsener schabt es mit einer Klinge ab.',
  bloom:
    'Ein Rand oder ein Wasserfleck in der Lavierung: trocknen lassen, dann einmal über alles gehen, oder ihn als Wetter stehen lassen.',
  torn: 'Papier gerissen oder aufgeraut: flach drücken, trocknen lassen, einen Streifen von hinten ankleben; um die Stelle herum trocken weiterarbeiten.',
  'out-of-room':
    'Kein Platz mehr: einen Streifen ankleben und über die Naht hinaus zeichnen, oder die Form mit Absicht vom Rand abschneiden lassen.',
  smudged: 'Verwischt: mit dem Knetgummi abtupfen, nicht reiben; ab jetzt ein Blatt unter die Hand.',
  'wax-astray': 'Wachs, wo keins sein soll: warm mit einer stumpfen Kante abschaben; was bleibt, zu einem Licht machen.',
  cracked: 'Farbe gerissen oder zu dick: trocknen lassen, Loses abheben, eine dünne Schicht darüber.',
  'cut-wrong': 'Falsch geschnitten: die Teile von hinten zusammenkleben, oder neu schneiden und das alte Teil als Muster behalten.',
  'glued-wrong': 'Schief geklebt: verschieben, solange es nass ist; wenn es trocken ist, ein anderes Teil darüberlegen.',
  'not-saved': 'Gezeichnetes verloren: die letzte gespeicherte Fassung öffnen; ab jetzt bei jedem Schritt eine neue Fassung speichern.',
} as const;

/** Warum ein Schritt warten muss, bis der vorige trocken ist. */
export const drying = {
  'rub-out': 'Erst radieren, wenn es trocken ist: feuchte Tusche schmiert, und feuchtes Papier reißt.',
  'wet-on-damp': 'Eine nasse Lage auf einer feuchten läuft zusammen und wird trüb.',
  'water-on-ink': 'Wasser auf feuchter Tusche trägt sie davon, wasserfest oder nicht.',
  feathers: 'Auf feuchtem Blatt bekommt die Linie Haare.',
  sinks: 'Auf feuchter Lage sinkt der Tupfer ein und läuft.',
  tears: 'Eine feuchte Lage reißt und löst sich unter der nächsten.',
} as const;

/** Woran bei einem Schritt zu denken ist. */
export const hints = {
  'far-first': 'Fernes vor Nahem.',
  'near-first': 'Nahes zuerst: was dahinter liegt, endet daran.',
  hand: 'Rechtshänder von links nach rechts, Linkshänder von rechts nach links; ein Blatt unter die Hand.',
  'ink-dries': 'Wasserfeste Tusche trocknet hart: Feder oder Pinsel gleich ausspülen.',
  'ink-runs': 'Diese Tusche läuft unter Wasser, trocken oder nicht.',
} as const;

/** Einträge eines Abschnitts. */
export const schedule = {
  look: {
    title: 'Gemeinsam schauen',
    text: 'Die Vorlage groß an der Wand: was fällt zuerst auf? Dann die Regeln, eine nach der anderen, im Bild wiederfinden.',
  },
  'hand-out': { title: 'Austeilen', text: 'Material auf die Tische, Namen auf die Rückseiten, die Vorlage, wo alle sie sehen.' },
  'hand-out-again': {
    title: 'Austeilen und erinnern',
    text: 'Die Blätter zurück, die Vorlage wieder an die Wand; jemand sagt, wo wir aufgehört haben und was als Nächstes kommt.',
  },
  'warm-up': {
    title: 'Aufwärmen',
    text: 'Arm und Handgelenk lockern, dann Übungsstriche in Kästchen auf Schmierpapier{known, select, yes {, {gap} auseinander und um {slant} geneigt} other {, mit Abstand und Neigung, wie die Vorlage sie zeigt}}.',
  },
  watch: { title: 'Zuschauen: {name}', text: '{watch}' },
  turn: { title: '{name}', text: '{does}' },
  again: {
    title: 'Noch ein Versuch, freier',
    text: 'Auf einem neuen Blatt, zuerst aus dem Kopf: halb so viele Striche, eine Regel mit Absicht stärker. Dann beide neben die Vorlage halten.',
  },
  'turn-as': { title: '{name}: {option}', text: '{does}' },
  'practise-plain': {
    title: 'Auf Schmierpapier üben: {name}',
    text: 'Zweimal auf Schmierpapier versuchen, einmal kleiner und einmal größer als später.',
  },
  practise: { title: 'Auf Schmierpapier üben: {name}', text: 'Leichter: {easier} Kühner: {bolder}' },
  write: {
    title: 'Einen Grundsatz aufschreiben',
    text: 'Ein Satz: was tut diese Hand immer? Und wo im Bild ist das zu sehen?',
  },
  walk: { title: 'Herumgehen und schauen', text: 'Hände auf den Rücken: was gelingt auf drei Blättern der anderen?' },
  wait: { title: 'Trocknen lassen', text: 'Mit dem Handrücken prüfen: kühl heißt feucht.' },
  spare: { title: 'Fertig machen; mehr für die Schnellen', text: '{extra}' },
  'clear-up': { title: 'Aufräumen', text: 'Blätter flach zum Trocknen, Werkzeug gewaschen und nachgezählt, Tische feucht gewischt.' },
  talk: {
    title: 'Aufhängen und reden',
    text: 'Zuerst wird gesagt, was gelingt. Dann, was jeder als Nächstes versuchen würde. Titel, Name und Quelle auf die Rückseite.',
  },
} as const;
