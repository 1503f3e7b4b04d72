/** What a lesson says: materials, cautions, warnings about the order of steps, and the entries of its periods. */
export const items = {
  paper: 'drawing paper, the class’s sheet',
  scrap: 'scrap paper for warm-ups',
  'heavy-paper': 'heavy paper (200 g or more), the class’s sheet',
  'toothed-paper': 'rough paper for dry media, the class’s sheet',
  pencil: 'pencil, HB',
  'soft-pencil': 'pencil, 4B',
  sharpener: 'sharpener',
  eraser: 'eraser',
  'kneaded-eraser': 'kneaded eraser',
  ruler: 'ruler',
  pen: 'pen-holder with a bendy or broad nib',
  'ink-pot': 'small ink pot that does not tip',
  ink: '{ink, select, waterproof {waterproof ink} washable {washable ink} other {ink}}',
  'wash-ink': '{ink, select, waterproof {waterproof ink for washes} washable {washable ink for washes} other {ink for washes}}',
  watercolour: 'watercolour, as mixed wash',
  gouache: 'gouache',
  'white-gouache': 'opaque white',
  acrylic: 'acrylic paint',
  'round-brush': 'round brush, size 6 or 8',
  'fine-brush': 'fine brush, size 2',
  'flat-brush': 'flat brush, about 25 mm',
  'stiff-brush': 'old stiff brush',
  board: 'drawing board to tape the sheet to',
  water: 'water pot',
  towel: 'towel',
  palette: 'mixing palette',
  rag: 'rag or kitchen paper',
  candle: 'white candle end or wax crayon',
  masking: 'masking fluid',
  charcoal: 'charcoal stick',
  chalk: 'white chalk',
  stump: 'paper stump',
  pastels: 'soft pastels, box',
  fixative: 'fixative (an adult sprays)',
  'coloured-pencils': 'coloured pencils, the chosen two or three',
  crayons: 'wax crayons, box',
  'felt-pen': 'soft black felt pen',
  'felt-pens': 'water-based felt pens, set',
  'graphite-stick': 'graphite stick',
  'oil-pastels': 'oil pastels, box',
  scraper: 'blunt scraper or wooden point',
  'coloured-paper': 'coloured paper',
  scissors: 'scissors that suit the age',
  glue: 'glue stick',
  'stencil-card': 'stencil card',
  sponge: 'small sponge',
  'found-matter': 'fine sand or sawdust, a cupful',
  tablet: 'tablet or computer with a drawing program',
  'mount-card': 'card for the mount',
  'tracing-paper': 'tracing paper, the class’s sheet',
  'clear-sheet': 'clear sheet',
  marker: 'water-based pen for the clear sheet',
  block: 'soft-cut block, the class’s size',
  cutter: 'block cutter with a hand guard',
  'print-ink': 'water-based printing ink',
  roller: 'roller and plate',
  spoon: 'wooden spoon for rubbing',
} as const;

export const amounts = {
  piece: '{n, number}',
  sheet: '{n, plural, one {# sheet} other {# sheets}}',
  ml: '{n, number} ml',
  g: '{n, number} g',
  how: {
    liquid: 'about {each} ml a student, waste included',
    paper: '{each, number} each and {spare, number} spare',
    student: '{count, plural, one {one each} other {# each}}',
    pair: '{count, plural, one {one a pair} other {# a pair}}',
    table: '{count, plural, one {one a table of four} other {# a table of four}}',
    class: '{count, plural, one {for the class} other {# for the class}}',
  },
} as const;

export const cautions = {
  adult: 'At this age an adult does it. {caution}',
  nib: 'Nibs are sharp: carry pens point down, never shake or throw them, count them in.',
  'waterproof-ink':
    'Waterproof ink stains clothes and skin, and dries hard in pens and brushes: rinse them at once, and fill a closed pen only if its label allows it.',
  'dust-dry': 'Charcoal and pastel make dust: no blowing, tap it off over paper, wipe tables wet, air the room.',
  fixative: 'Fixative only where fresh air and school policy allow, away from the class; an adult sprays.',
  latex: 'Masking fluid may hold natural latex and ammonia: ask about allergies first, keep it off skin, air the room.',
  cutter: 'Cutters: cut away from the hand, use the guard, one at a time in each pair, under supervision.',
  small: 'Small pieces can choke the youngest: count erasers, candle ends and chalk.',
  pigment:
    'Use paints labelled for schools; never powder or old tubes with lead or other poisonous pigments. Nothing goes in the mouth, no brush is pointed with the lips.',
  slip: 'Water on the floor is slippery: pots in the middle of the table, a cloth at hand.',
  acrylic: 'Acrylic does not wash out once dry: aprons on, brushes never left to dry.',
  roller: 'Keep fingers clear of rollers and presses; ink stains: aprons on.',
  scissors: 'Scissors: sit while cutting, hand them over handles first, count them in.',
  scraper: 'Scrapers: away from the other hand; blunt points only.',
  markers: 'Felt pens with water-based ink only; solvent markers need fresh air and the school’s leave.',
  glue: 'Solvent-free glue; none near eyes, lids back on.',
  found: 'Found matter: sieved and dry, nothing sharp, no mould, no nuts; no dust stirred up, hands washed after.',
  labels:
    'Read the labels and safety data sheets; look for conformance to ASTM D-4236 or EN 71 as your local rules ask. School policy and local codes come first.',
  photographs: 'Photographs of pieces: no full names, consent as your school asks, nothing leaves this machine.',
} as const;

/** Why an order of steps does harm, and what to do. `a` is the earlier step, `b` the later. */
export const order = {
  'water-over-running': {
    reason: '“{a}” is not waterproof: “{b}” will carry it over the sheet.',
    remedy: 'Take waterproof ink, or lay the wash first and draw when it is dry. If you want it to bleed, say so in class.',
  },
  'water-over-dust': {
    reason: '“{a}” lies as dust: water turns it to mud.',
    remedy: 'Fix it in between, or wash first and draw when it is dry.',
  },
  'pencil-under-wash': {
    reason: 'Pencil under “{a}” is sealed in: it can no longer be rubbed out, and rubbing roughens the wash.',
    remedy: 'Rub out before the first wash, or keep the pencil so pale that it may stay.',
  },
  'resist-after-wash': {
    reason: '“{b}” keeps off only what comes after it; “{a}” has already taken the lights.',
    remedy: 'Move “{b}” before the first wash.',
  },
  'line-over-wax': { reason: 'The pen skips where “{a}” has been.', remedy: 'Draw the line first, then protect the lights.' },
  'light-after-dark': {
    reason: 'See-through colour only darkens: “{b}” cannot lighten “{a}”, it will lift and muddy it.',
    remedy: 'Go from light to dark.',
  },
  'light-covered': { reason: '“{b}” after “{a}” dirties or lifts the lights.', remedy: 'Keep “{a}” for the end.' },
  'pen-on-thick': { reason: 'A pen skips and clogs on “{a}”.', remedy: 'Draw the line before, or use a fine brush.' },
  'smear-fill-last': {
    reason: '“{a}” smears: the hand drags it about during “{b}”.',
    remedy: 'Move “{a}” to the end; a sheet under the hand.',
  },
  'outline-before-fill': {
    reason: '“{a}” comes with nothing drafted or outlined: the fill has no edge to stop at.',
    remedy: 'Draft or outline the field first; “{b}” may still go over it at the end.',
  },
  'outline-last': {
    reason: 'You put the outline last; “{a}” comes before “{b}”.',
    remedy: 'Move “{a}” behind the fields, or leave the outline as the lesson has it.',
  },
  'outline-none': {
    reason: 'You leave out the outline; “{b}” draws one.',
    remedy: 'Leave the step out and let one colour stop at the next, or let the lesson have its outline.',
  },
  'groove-under-tone': {
    reason: '“{a}” presses grooves that stay white through “{b}”.',
    remedy: 'Lay the tone first, or keep the grooves as lines of light.',
  },
  'nothing-holds-on-wax': {
    reason: '“{b}” does not hold on “{a}”: it beads off the wax.',
    remedy: 'Paint first and draw in wax on the dry paint, or leave those places free of wax.',
  },
  'ground-first': { reason: '“{b}” goes over the whole sheet and over “{a}”.', remedy: 'Tone the sheet before anything else.' },
  'rub-out-dust': { reason: 'Rubbing out lifts “{a}” too.', remedy: 'Rub out before the dusty layers.' },
  'guide-gone': {
    reason: 'The pencil is rubbed out before “{b}”, with nothing laid that holds the drawing: the guide is gone.',
    remedy: 'Make the pencil paler instead, or draw the line first.',
  },
  'line-first': {
    reason: 'You draw before you lay tones; “{a}” comes before “{b}”.',
    remedy: 'Move “{b}” before it, or leave line and tone as the lesson has them.',
  },
  'tone-first': {
    reason: 'You lay tones before you draw; “{a}” comes before “{b}”.',
    remedy: 'Move “{a}” behind it, or leave line and tone as the lesson has them.',
  },
  'not-rubbed': {
    reason: 'You go from tone to tone by layers of equal pressure; “{b}” rubs.',
    remedy: 'Leave it out and lay thinner layers, or let the lesson rub.',
  },
  'does-not-lift': {
    reason: '“{a}” no longer comes off: “{b}” takes nothing out of it.',
    remedy: 'Keep those lights bare from the start, lay opaque white at the end, or take what comes off again.',
  },
  'must-not-touch': {
    reason: '“{b}” does not take on “{a}”.',
    remedy: 'Put “{b}” before it, or keep the two apart on the sheet.',
  },
  rack: {
    reason:
      'When period {period, number} ends, {wet, plural, one {one sheet is} other {# sheets are}} still wet from “{a}”; the rack has {rack, plural, =0 {no place} one {one place} other {# places}}.',
    remedy:
      'Find another place for {over, plural, one {one sheet} other {# sheets}}: a line with pegs, window sills, newspaper on the floor. Or end “{a}” earlier.',
  },
  'forbidden-after': {
    reason: '“{b}” must not come after “{a}”: that is how you wrote it.',
    remedy: 'Move “{b}” before it, or leave it out.',
  },
  'nothing-before': {
    reason: '“{b}” builds on a step that has not come yet.',
    remedy: 'Move it later, or add the step before it.',
  },
  'too-many-washes': {
    reason: 'More than three wet layers turn muddy and make thin paper buckle.',
    remedy: 'Join two washes, or take heavy, stretched paper.',
  },
  unfixed: {
    reason: '“{b}” stays as dust and rubs off in the folder.',
    remedy: 'Fix it at the end, or keep it under a cover sheet.',
  },
  'no-erasing': { reason: 'This class does not rub out.', remedy: 'Leave the step out: draw lightly and go over the line again.' },
  'straight-in': {
    reason: 'This class goes straight in with the final tool.',
    remedy: 'Leave the pencil draft out and warm up longer on scrap.',
  },
  'over-time': {
    reason:
      'Even at the fewest minutes the work takes {needed, plural, one {one period} other {# periods}} of {minutes, number} minutes, not {asked, number}.',
    remedy: 'Add {over, plural, one {a period} other {# periods}}, or leave a step out: the longest is “{longest}”.',
  },
  shortened: {
    reason:
      'To fit, steps are shortened{fully, select, yes { to the fewest minutes} other {}}, and looking, warming up and talking are brief.',
    remedy: 'One more period, or one step fewer, gives the time back.',
  },
  shared: {
    reason: '{have, plural, =0 {There is none of} one {There is one of} other {There are # of}} “{what}”, and {needed, number} are needed.',
    remedy:
      'Work in {turns, number} turns: the others practise on scrap meanwhile. All together it takes {minutes, plural, one {# minute} other {# minutes}}.',
    none: 'Get them, or take another tool and another step.',
    passed: 'They are passed round; a few more save waiting.',
  },
  drying: {
    reason: '{why} Wait {n, plural, one {# minute} other {# minutes}} after “{a}”.',
    remedy: 'The wait is filled with practice below; a break between periods would dry it for nothing.',
  },
  'short-drying': {
    reason:
      '“{a}” usually dries in {usual, plural, one {# minute} other {# minutes}}; {n, number} {n, plural, one {is} other {are}} planned.',
    remedy: 'Test with the back of the hand before going on; thinner layers dry sooner.',
  },
} as const;

/** Common accidents at a step, and what helps. */
export const accidents = {
  'ink-run':
    'Ink run or blotted: lay blotting paper on it, do not rub; when it is dry make a form of it or scrape it with a blade an adult holds.',
  bloom: 'A bloom or a hard edge in the wash: leave it until it is dry, then go over all of it once, or let it stand as weather.',
  torn: 'Paper torn or rubbed rough: press it flat, let it dry, glue a slip behind it; go on around the place, dry.',
  'out-of-room': 'Out of room: glue a strip on and draw on over the seam, or let the form be cut by the edge on purpose.',
  smudged: 'Smudged: lift it with a kneaded eraser, dabbing, not rubbing; a sheet under the hand from now on.',
  'wax-astray': 'Wax where none should be: scrape it off warm with a blunt edge; what stays, make into a light.',
  cracked: 'Paint cracked or too thick: let it dry, lift what is loose, one thin coat over it.',
  'cut-wrong': 'Cut wrong: tape the parts from behind, or cut the part anew and keep the other as a pattern.',
  'glued-wrong': 'Glued askew: slide it while it is wet; once dry lay another part over it.',
  'not-saved': 'Lost what was drawn: open the last version kept; from now on save a new version at every step.',
} as const;

/** Why a step has to wait until the one before it is dry. */
export const drying = {
  'rub-out': 'Rub out only when it is dry: damp ink smears and damp paper tears.',
  'wet-on-damp': 'A wet layer on a damp one runs together and turns muddy.',
  'water-on-ink': 'Water on damp ink carries it away, waterproof or not.',
  feathers: 'On a damp sheet the line grows hairs.',
  sinks: 'On a damp layer the touch sinks in and runs.',
  tears: 'A damp layer tears and lifts under the next.',
} as const;

/** What is to be minded at a step. */
export const hints = {
  'far-first': 'Far before near.',
  'near-first': 'Near first: what is behind stops at it.',
  hand: 'Right-handers left to right, left-handers right to left; a sheet under the hand.',
  'ink-dries': 'Waterproof ink dries hard: rinse pen or brush at once.',
  'ink-runs': 'This ink runs under water, dry or not.',
} as const;

/** Entries of a period. */
export const schedule = {
  look: {
    title: 'Look together',
    text: 'The source large on the wall: what strikes you first? Then the rules, one by one, found in the picture.',
  },
  'hand-out': { title: 'Hand out', text: 'Materials to the tables, names on the backs, the source where everybody sees it.' },
  'hand-out-again': {
    title: 'Hand out and recall',
    text: 'Sheets back, the source up again; somebody says where we stopped and what comes next.',
  },
  'warm-up': {
    title: 'Warm up',
    text: 'Arm and wrist loose, then practice strokes in boxes on scrap{known, select, yes {, {gap} apart and slanting at {slant}} other {, with the gap and slant you see in the source}}.',
  },
  watch: { title: 'Watch: {name}', text: '{watch}' },
  turn: { title: '{name}', text: '{does}' },
  again: {
    title: 'Another try, freer',
    text: 'On a fresh sheet, from memory first: half the strokes, one rule on purpose stronger. Then hold both beside the source.',
  },
  'turn-as': { title: '{name}: {option}', text: '{does}' },
  'practise-plain': { title: 'Practise on scrap: {name}', text: 'Try it twice on scrap, once smaller and once larger than it will be.' },
  practise: { title: 'Practise on scrap: {name}', text: 'Easier: {easier} Bolder: {bolder}' },
  write: {
    title: 'Write a principle down',
    text: 'One sentence: what does this hand always do? And where in the picture do you see it?',
  },
  walk: { title: 'Walk round and look', text: 'Hands behind the back: what works in three neighbours’ sheets?' },
  wait: { title: 'Let it dry', text: 'Test with the back of the hand: cool means damp.' },
  spare: { title: 'Finish; extra for the quick', text: '{extra}' },
  'clear-up': { title: 'Clear up', text: 'Sheets flat to dry, tools washed and counted in, tables wiped wet.' },
  talk: {
    title: 'Hang and talk',
    text: 'What works is said first. Then one thing each would try next. Title, name and credit on the back.',
  },
} as const;
