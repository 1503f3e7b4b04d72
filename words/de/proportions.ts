/** Was von jedem Maß der Proportion gesagt wird: sein Name und was dazu gefunden wird. */
const M = '{much, select, much {viel } other {}}';
const PAIR = '{piece} gegen {master}';
const RULER = 'Nächstes Mal: den Stift zuerst auf der Vorlage daran anlegen, dann auf der Zeichnung.';
const step = (what: string) => `Nächstes Mal: ${what} auf der Vorlage messen und auf der Zeichnung abtragen.`;

const measure = (title: string, above: string, below: string, tryAbove: string, tryBelow = tryAbove) => ({
  title,
  above: `${above}: ${PAIR}.`,
  below: `${below}: ${PAIR}.`,
  tryAbove,
  tryBelow,
});

export const proportions = {
  'eye-line': measure(
    'Augen: wie weit unten im Kopf, vom Scheitel aus',
    `Die Augen sitzen ${M}tiefer im Kopf als beim Meister`,
    `Die Augen sitzen ${M}höher im Kopf als beim Meister`,
    'Nächstes Mal: vom Scheitel aus messen, bevor die Augen gezeichnet werden.',
  ),
  'brow-third': measure(
    'Stirn: Haaransatz bis Braue, vom Gesicht unter dem Haar',
    `Die Stirn ist ${M}höher als beim Meister`,
    `Die Stirn ist ${M}niedriger als beim Meister`,
    step('vom Haaransatz bis zur Braue'),
  ),
  'nose-third': measure(
    'Nase: Braue bis Nase, vom Gesicht unter dem Haar',
    `Die Nase ist im Gesicht ${M}länger als beim Meister`,
    `Die Nase ist im Gesicht ${M}kürzer als beim Meister`,
    step('von der Braue bis zur Nase'),
  ),
  'mouth-line': measure(
    'Mund: wie weit unten, von der Nase bis zum Kinn',
    `Der Mund sitzt zwischen Nase und Kinn ${M}tiefer als beim Meister`,
    `Der Mund sitzt zwischen Nase und Kinn ${M}höher als beim Meister`,
    step('von der Nase bis zum Mund'),
  ),
  'eye-width': measure(
    'Breite eines Auges, vom Gesicht',
    `Die Augen sind im Gesicht ${M}breiter als beim Meister`,
    `Die Augen sind im Gesicht ${M}schmaler als beim Meister`,
    step('ein Auge'),
  ),
  'eye-gap': measure(
    'Abstand der Augen, in Augenbreiten',
    `Die Augen stehen ${M}weiter auseinander als beim Meister`,
    `Die Augen stehen ${M}enger beieinander als beim Meister`,
    'Nächstes Mal: sehen, wie viele Augen zwischen die Augen passen.',
  ),
  'eye-height': measure(
    'Wie offen das Auge ist, von seiner Breite',
    `Die Augen sind ${M}weiter offen als beim Meister`,
    `Die Augen sind ${M}weniger offen als beim Meister`,
    step('das offene Auge'),
  ),
  'pupil-size': measure(
    'Größe der Pupille, vom Auge',
    `Die Pupillen sind im Auge ${M}größer als beim Meister`,
    `Die Pupillen sind im Auge ${M}kleiner als beim Meister`,
    step('die Pupille'),
  ),
  'mouth-width': measure(
    'Breite des Mundes, vom Abstand der Pupillen',
    `Der Mund ist ${M}breiter als beim Meister`,
    `Der Mund ist ${M}schmaler als beim Meister`,
    'Nächstes Mal: von jeder Pupille eine Linie zum Mundwinkel fallen lassen.',
  ),
  'nose-width': measure(
    'Breite der Nase, vom Abstand der Augen',
    `Die Nase ist ${M}breiter als beim Meister`,
    `Die Nase ist ${M}schmaler als beim Meister`,
    'Nächstes Mal: vom inneren Winkel jedes Auges eine Linie fallen lassen.',
  ),
  'face-shape': measure(
    'Breite des Gesichts, von der Höhe des Kopfes',
    `Das Gesicht ist für seine Höhe ${M}breiter als beim Meister`,
    `Das Gesicht ist für seine Höhe ${M}schmaler als beim Meister`,
    step('die Breite des Gesichts'),
  ),
  'neck-width': measure(
    'Breite des Halses, vom Gesicht',
    `Der Hals ist für das Gesicht ${M}breiter als beim Meister`,
    `Der Hals ist für das Gesicht ${M}schmaler als beim Meister`,
    step('den Hals'),
  ),
  'neck-length': measure(
    'Länge des Halses, von der Höhe des Kopfes',
    `Der Hals ist für den Kopf ${M}länger als beim Meister`,
    `Der Hals ist für den Kopf ${M}kürzer als beim Meister`,
    step('vom Kinn bis zur Halsgrube'),
  ),
  'eye-tilt': measure(
    'Neigung der Augen',
    `Die Linie der Augen steigt nach rechts ${M}mehr als beim Meister`,
    `Die Linie der Augen fällt nach rechts ${M}mehr als beim Meister`,
    RULER,
  ),
  'mouth-tilt': measure(
    'Neigung des Mundes',
    `Die Linie des Mundes steigt nach rechts ${M}mehr als beim Meister`,
    `Die Linie des Mundes fällt nach rechts ${M}mehr als beim Meister`,
    RULER,
  ),
  'eye-level': measure(
    'Wie viel höher das rechte Auge sitzt, vom Kopf',
    `Das rechte Auge sitzt gegen das linke ${M}höher als beim Meister`,
    `Das rechte Auge sitzt gegen das linke ${M}tiefer als beim Meister`,
    'Nächstes Mal: zuerst eine leichte Linie durch beide Augen ziehen.',
  ),
  'heads-tall': measure(
    'Höhe, in Köpfen gezählt',
    `Die Figur ist für ihren Kopf ${M}größer als beim Meister`,
    `Die Figur ist für ihren Kopf ${M}kleiner als beim Meister`,
    'Nächstes Mal: den Kopf größer oder den Körper kürzer machen.',
    'Nächstes Mal: den Kopf kleiner oder den Körper länger machen.',
  ),
  'shoulder-width': measure(
    'Breite der Schultern, in Köpfen gezählt',
    `Die Schultern sind für den Kopf ${M}breiter als beim Meister`,
    `Die Schultern sind für den Kopf ${M}schmaler als beim Meister`,
    step('die Schultern in Köpfen'),
  ),
  'hand-length': measure(
    'Länge der Hand, von der Höhe des Kopfes',
    `Die Hände sind für den Kopf ${M}länger als beim Meister`,
    `Die Hände sind für den Kopf ${M}kürzer als beim Meister`,
    step('die Hand gegen das Gesicht'),
  ),
  'arm-length': measure(
    'Länge des Arms, in Köpfen gezählt',
    `Die Arme sind für den Kopf ${M}länger als beim Meister`,
    `Die Arme sind für den Kopf ${M}kürzer als beim Meister`,
    'Nächstes Mal: sehen, bis wohin am Bein das Handgelenk reicht.',
  ),
  'leg-share': measure(
    'Beine, von der ganzen Höhe',
    `Die Beine nehmen ${M}mehr von der Höhe ein als beim Meister`,
    `Die Beine nehmen ${M}weniger von der Höhe ein als beim Meister`,
    'Nächstes Mal: zuerst die Mitte der Figur anzeichnen.',
  ),
  'foot-length': measure(
    'Fuß, von der ganzen Höhe',
    `Die Füße sind für die Höhe ${M}länger als beim Meister`,
    `Die Füße sind für die Höhe ${M}kürzer als beim Meister`,
    step('den Fuß'),
  ),
  'waist-width': measure(
    'Taille, von den Schultern',
    `Die Taille ist für die Schultern ${M}breiter als beim Meister`,
    `Die Taille ist für die Schultern ${M}schmaler als beim Meister`,
    step('die Taille'),
  ),
  'hem-width': measure(
    'Saum des Gewands, von den Schultern',
    `Der Saum ist für die Schultern ${M}breiter als beim Meister`,
    `Der Saum ist für die Schultern ${M}schmaler als beim Meister`,
    step('den Saum'),
  ),
  lean: measure(
    'Neigung gegen das Lot',
    `Die Figur neigt sich ${M}weiter nach links als beim Meister`,
    `Die Figur neigt sich ${M}weiter nach rechts als beim Meister`,
    'Nächstes Mal: zuerst ein Lot hängen.',
  ),
} as const;

/** Arten von Punkten, die Punkte selbst, und die Teile, die beim Machen ihren eigenen Weg gehen. */
export const templates = {
  'face-front': 'Gesicht von vorn',
  'figure-standing': 'Stehende Figur',
} as const;

export const points = {
  'face-front': {
    crown: 'Scheitel',
    chin: 'tiefster Punkt des Kinns',
    hairline: 'Haaransatz in der Mitte',
    'brow-left': 'Braue über dem linken Auge',
    'brow-right': 'Braue über dem rechten Auge',
    'eye-left-outer': 'linkes Auge, äußerer Winkel',
    'eye-left-inner': 'linkes Auge, innerer Winkel',
    'eye-right-inner': 'rechtes Auge, innerer Winkel',
    'eye-right-outer': 'rechtes Auge, äußerer Winkel',
    'pupil-left': 'Mitte der linken Pupille',
    'pupil-right': 'Mitte der rechten Pupille',
    'nose-left': 'linker Nasenflügel',
    'nose-right': 'rechter Nasenflügel',
    'nose-base': 'Punkt gleich unter der Nase',
    'mouth-left': 'linker Mundwinkel',
    'mouth-right': 'rechter Mundwinkel',
    'mouth-centre': 'Mitte der Lippen',
    'face-left': 'linker Rand des Gesichts auf Höhe der Augen',
    'face-right': 'rechter Rand des Gesichts auf Höhe der Augen',
    'ear-left-top': 'oberes Ende des linken Ohrs',
    'ear-left-bottom': 'unteres Ende des linken Ohrs',
    'ear-right-top': 'oberes Ende des rechten Ohrs',
    'ear-right-bottom': 'unteres Ende des rechten Ohrs',
    'neck-left': 'linke Seite des Halses',
    'neck-right': 'rechte Seite des Halses',
    'neck-base': 'Halsgrube',
  },
  'figure-standing': {
    crown: 'Scheitel',
    chin: 'tiefster Punkt des Kinns',
    sole: 'Boden unter den Füßen',
    'neck-base': 'Halsgrube',
    'shoulder-left': 'linke Schulter',
    'shoulder-right': 'rechte Schulter',
    'elbow-left': 'linker Ellbogen',
    'elbow-right': 'rechter Ellbogen',
    'wrist-left': 'linkes Handgelenk',
    'wrist-right': 'rechtes Handgelenk',
    'fingertip-left': 'linke Fingerspitzen',
    'fingertip-right': 'rechte Fingerspitzen',
    'waist-left': 'linke Seite der Taille',
    'waist-right': 'rechte Seite der Taille',
    crotch: 'Punkt, an dem sich die Beine teilen',
    'knee-left': 'linkes Knie',
    'knee-right': 'rechtes Knie',
    'ankle-left': 'linker Knöchel',
    'ankle-right': 'rechter Knöchel',
    heel: 'hinteres Ende eines Fußes',
    toe: 'vorderes Ende desselben Fußes',
    'hem-left': 'Gewand, linkes Ende des Saums',
    'hem-right': 'Gewand, rechtes Ende des Saums',
  },
} as const;

export const parts = {
  'face-front': { head: 'Schädel und Gesicht', eyes: 'Augen und Brauen', nose: 'Nase', mouth: 'Mund', ears: 'Ohren', neck: 'Hals' },
  'figure-standing': {
    head: 'Kopf und Hals',
    trunk: 'Schultern und Taille',
    arms: 'Arme und Hände',
    legs: 'Beine und Füße',
    garment: 'Gewand',
  },
} as const;
