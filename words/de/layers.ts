/** Die Ebenen, die über einem Bild liegen können. */
export const layers = {
  title: 'Ebenen',
  open: 'Ebenen über dem Bild',
  begun: 'Es wird nachgesehen, was wo liegt …',
  reading: '{done, number} von {all, number} Stellen gelesen',
  failed: 'Das Bild ließ sich nicht lesen. Laden Sie die Seite neu.',
  untold: '? nicht zu sagen',
  noSheet: 'Hier ist kein bloßes Blatt zu sehen, also ist nichts ausgespart.',
  handling: { outlined: '● umrandet', sharp: '• scharf', soft: '○ weich', lost: '× verloren' },
  points: { label: 'Punkte und Maße', hint: 'die gesetzten Punkte und das Maß, um das es geht' },
  patches: { label: 'Behaltene Stellen', hint: 'die Stellen, die aus dem Lesefenster behalten wurden' },
  strokes: { label: 'Verfolgte Striche', hint: 'jeder Strich, wie er verfolgt wurde' },
  directions: {
    label: 'Richtungen',
    hint: 'wohin die Striche laufen, Stelle für Stelle',
    legend: 'Ein kurzer Strich läuft, wie die Striche dort laufen; je länger er ist, desto mehr halten sie sich daran.',
  },
  kinds: { label: 'Arten von Strichen', hint: 'welche Art an jeder Stelle gelesen wurde' },
  edges: { label: 'Kanten', hint: 'wie die Grenze von Hell und Dunkel behandelt ist' },
  colours: { label: 'Wo eine Farbe lebt', hint: 'alles außer der gewählten Farbe der Palette wird gedämpft' },
  temperature: {
    label: 'Warm und kühl',
    hint: 'warme und kühle Stellen als hell und dunkel',
    legend: 'Warm ist weiß, kühl schwarz, keins von beiden grau.',
  },
  steps: { label: 'Dunkel und Licht', hint: 'alles außer dem Dunkelsten und dem Hellsten wird gedämpft' },
  contrast: {
    label: 'Stärkster Kontrast',
    hint: 'wo Hell und Dunkel am stärksten aufeinandertreffen',
    legend: 'Der Ring steht, wo halb geschlossene Augen den stärksten Kontrast sehen.',
  },
  finish: {
    label: 'Wo wie viel getan ist',
    hint: 'am meisten und am wenigsten bearbeitetes Neuntel des Bildes',
    legend: 'Je mehr Balken, desto mehr ist in diesem Neuntel getan.',
  },
  area: {
    label: 'Form des Ganzen',
    hint: 'Mitte des Bearbeiteten und die Form, die es füllt',
    legend: 'Das Kreuz ist die Mitte des Bearbeiteten; die gestrichelte Linie ist die einfache Form, die am besten passt.',
  },
  lights: {
    label: 'Ausgesparte Lichter',
    hint: 'die Formen, die das bloße Blatt behält',
    legend: 'Dunkel mit voller Linie: ausgespart und umschlossen. Gestrichelt: ausgespart und zum Rand offen.',
  },
  thirds: { label: 'Drittel', hint: 'Linien bei einem und zwei Dritteln' },
} as const;
