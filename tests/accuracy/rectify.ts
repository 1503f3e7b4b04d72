/** Error tables of squaring up: works of the six hands photographed on four kinds of table. */
import { SAMPLE_HANDS } from '../../atelier/hands';
import { furtherWork } from '../../atelier/hands/sample';
import { photograph, STAND_DEFAULTS, StandSettings, TableKind } from '../../core/capture/copyStand';
import { rectify } from '../../core/capture/rectify';
import { ciede2000 } from '../../core/colour/difference';
import { hexFromLab, labFromHex, labPlanes } from '../../core/colour/lab';
import { RgbImage } from '../../core/raster/image';
import { reduceImage } from '../../core/raster/resample';
import { mean, median, seededRandom } from '../../core/raster/statistics';
import { number, percent, SeedSet, seedSets, table } from './tables';

const TABLES: readonly TableKind[] = ['plain', 'wood', 'cluttered', 'similar'];
const [WIDTH, HEIGHT] = [1200, 900];
const DIAGONAL = Math.hypot(WIDTH, HEIGHT);
const SHEET_PX_PER_MM = 3;

/** The colour, lighter or darker by so many L*. */
function nearTo(hex: string, off: number): string {
  const [L, a, b] = labFromHex(hex);
  return hexFromLab([L + off > 97 ? L - off : L + off, a, b]);
}

/** A photograph's faults, the same for the same seed: turned to 20°, tilted to 25°, dimmed, tinted, shadowed, noisy, bent by the lens. */
function standOf(seed: number, tableKind: TableKind, paper: readonly [number, number], ground: string): StandSettings {
  const r = seededRandom(seed * 7727 + TABLES.indexOf(tableKind));
  const pick = (a: number, b: number) => a + (b - a) * r();
  return {
    ...STAND_DEFAULTS,
    seed: seed * 10 + TABLES.indexOf(tableKind),
    width: WIDTH,
    height: HEIGHT,
    paper,
    table: tableKind,
    rotation: pick(-20, 20),
    tilt: pick(0, 25),
    tiltToward: pick(0, 360),
    fill: pick(0.62, 0.9),
    falloff: pick(0, 0.4),
    cast: [pick(0.88, 1.15), 1, pick(0.8, 1.12)],
    vignette: pick(0, 0.15),
    shadow: r() < 0.3,
    exposure: pick(0.75, 0.98),
    noise: pick(1, 4),
    blur: pick(0.4, 1.1),
    greyCard: true,
    lens: pick(0, 0.012),
    laidOver: r() < 0.3 ? 1 + Math.floor(2 * r()) : 0,
    ...(tableKind === 'similar' && { tableColour: nearTo(ground, pick(4, 9) * (r() < 0.5 ? -1 : 1)) }),
  };
}

interface Shot {
  table: TableKind;
  hand: string;
  seed: number;
  found: boolean;
  /** Farthest corner as a share of the photograph's diagonal. */
  corner: number;
  colour: number;
  confidence: number;
}

/** Mean ΔE00 over a lattice of places, each a small area, once the corners are right. */
function colourMiss(got: RgbImage, sheet: RgbImage): number {
  const small = (image: RgbImage) => labPlanes(reduceImage(image, 24, 18));
  const [a, b] = [small(got), small(sheet)];
  return mean(Array.from(a.L.data, (_, i) => ciede2000([a.L.data[i], a.a.data[i], a.b.data[i]], [b.L.data[i], b.a.data[i], b.b.data[i]])));
}

async function shoot({ seeds }: SeedSet): Promise<Shot[]> {
  const out: Shot[] = [];
  for (const seed of seeds)
    for (const hand of SAMPLE_HANDS) {
      const work = furtherWork(hand, seed);
      const { image: sheet } = await hand.draw(work, SHEET_PX_PER_MM);
      const kind = TABLES[(seed + SAMPLE_HANDS.indexOf(hand)) % TABLES.length];
      const photo = photograph(sheet, standOf(seed, kind, [work.widthMm, work.heightMm], String(hand.rules.ground ?? '#a9c8cf')));
      const got = rectify(photo.image, { paper: [work.widthMm, work.heightMm], pxPerMm: 2, grey: photo.grey! });
      const corner = got.corners
        ? Math.max(...got.corners.map((c, i) => Math.hypot(c[0] - photo.corners[i][0], c[1] - photo.corners[i][1]))) / DIAGONAL
        : NaN;
      out.push({
        table: kind,
        hand: hand.key,
        seed,
        found: got.found,
        corner,
        confidence: got.confidence,
        colour: corner < 0.015 ? colourMiss(got.image!, sheet) : NaN,
      });
    }
  return out;
}

function row(name: string, shots: readonly Shot[]): string[] {
  const right = shots.filter((s) => s.corner <= 0.015);
  const corners = right.map((s) => s.corner);
  const wrong = shots.filter((s) => s.found && !(s.corner <= 0.015));
  return [
    name,
    String(shots.length),
    percent(right.length / shots.length),
    `${wrong.length} (${wrong.filter((s) => s.confidence >= 0.65).length} of them sure)`,
    String(shots.filter((s) => !s.found).length),
    corners.length ? percent(median(corners), 2) : '–',
    corners.length ? percent(Math.max(...corners), 2) : '–',
    corners.length ? number(mean(right.map((s) => s.colour))) : '–',
  ];
}

const HEAD = [
  'on',
  'photographs',
  'found within 1.5 %',
  'found elsewhere',
  'said not found',
  'corner, median',
  'corner, worst',
  'ΔE00 after card',
];

/** Tables without a sheet: how many were said to have none. */
function empties({ seeds }: SeedSet): string[] {
  const told = seeds.flatMap((seed) =>
    TABLES.map((kind) => {
      const photo = photograph(null, { ...standOf(seed, kind, [297, 210], '#f2eee3'), greyCard: false });
      const got = rectify(photo.image, { paper: [297, 210], pxPerMm: 1 });
      if (got.found) process.stderr.write(`  empty ${kind} ${seed}: found with ${got.confidence.toFixed(2)}\n`);
      return !got.found;
    }),
  );
  return ['tables without a sheet, said so', `${told.filter(Boolean).length} of ${told.length}`];
}

/** Sheets photographed across: portrait when landscape was declared, and the other way round. */
async function across({ seeds }: SeedSet): Promise<string[]> {
  let [right, all] = [0, 0];
  for (const seed of seeds) {
    const work = furtherWork(SAMPLE_HANDS[seed % SAMPLE_HANDS.length], 3 * seed);
    if (work.widthMm === work.heightMm) continue;
    const { image } = await SAMPLE_HANDS[seed % SAMPLE_HANDS.length].draw(work, SHEET_PX_PER_MM);
    const stand = standOf(seed, 'wood', [work.widthMm, work.heightMm], '#ffffff');
    const photo = photograph(image, stand);
    const got = rectify(photo.image, { paper: [work.heightMm, work.widthMm], pxPerMm: 1 });
    all++;
    // Turned 90° anticlockwise, the result's top left is the sheet's top right.
    if (got.corners && Math.hypot(got.corners[0][0] - photo.corners[1][0], got.corners[0][1] - photo.corners[1][1]) < 0.015 * DIAGONAL)
      right++;
  }
  return ['sheets shown across, turned to the declared paper', `${right} of ${all}`];
}

/** The photographs' part of the accuracy notes: `many` seeds a set, six photographs each. */
export async function rectifyAccuracy(many: number): Promise<string> {
  const parts: string[] = [];
  for (const set of seedSets(many)) {
    const shots = await shoot(set);
    for (const s of shots)
      if (!(s.corner <= 0.015))
        process.stderr.write(
          `  ${s.hand} ${s.seed} on ${s.table}: ${s.found ? `corners off ${percent(s.corner, 2)}, confidence ${s.confidence.toFixed(2)}` : 'not found'}\n`,
        );
    parts.push(
      `### ${set.name}`,
      table(HEAD, [
        ...TABLES.map((t) =>
          row(
            `${t} table`,
            shots.filter((s) => s.table === t),
          ),
        ),
        ...SAMPLE_HANDS.map((h) =>
          row(
            `${h.name}’s works`,
            shots.filter((s) => s.hand === h.key),
          ),
        ),
        row('all', shots),
      ]),
      table(['asked', 'answer'], [empties(set), await across(set)]),
    );
  }
  return parts.join('\n\n');
}
