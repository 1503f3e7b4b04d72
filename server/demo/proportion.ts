/** What the demo's teacher has done with proportion beside points: one work's build-up, an inventory, and a class's drills. */
import { message } from '../../core/message';
import type { Landmarks } from '../../core/proportion/align';
import type { Drill, DrillAnswer } from '../../core/proportion/drills';
import type { DrawnShape } from '../../core/proportion/shapeList';
import type { Seen } from '../../core/style/inventory';
import { database, newId } from '../database/connection';
import { drillRounds } from '../schema';
import { addMotif, changeMotif } from '../studies/motifs';
import { drawShapes } from '../studies/shapes';

type At = [number, number];

/** Which of the demo's works is built up from shapes. */
export const BUILT = 'Evening ferry, foredeck';

const shape = (id: string, name: string, outline: At[]): DrawnShape => ({ id, name, outline, as: null, gap: false });
const oval = ([cx, cy]: At, rx: number, ry: number): At[] =>
  Array.from({ length: 24 }, (_, i) => [cx + rx * Math.cos((2 * Math.PI * i) / 24), cy + ry * Math.sin((2 * Math.PI * i) / 24)]);

const NAMES = ['left passenger', 'middle passenger', 'right passenger'];

/** A cape by shoulders and hem, a head by crown and chin; px. */
function passenger(points: Landmarks, k: number): DrawnShape[] {
  const at = (name: string): At => [points[name][0], points[name][1]];
  const [crown, chin] = [at('crown'), at('chin')];
  const high = Math.hypot(chin[0] - crown[0], chin[1] - crown[1]) / 2;
  const middle: At = [(crown[0] + chin[0]) / 2, (crown[1] + chin[1]) / 2];
  return [
    shape(`cape-${k + 1}`, NAMES[k], [at('shoulder-left'), at('shoulder-right'), at('hem-right'), at('hem-left')]),
    shape(`head-${k + 1}`, `head of the ${NAMES[k]}`, oval(middle, 0.72 * high, high)),
  ];
}

/** The sea, the passengers, the lantern and its mast, and the gap between two capes. */
export async function seedShapes(
  teacherId: string,
  workId: string,
  figures: readonly Landmarks[],
  [w, h]: readonly [number, number],
): Promise<void> {
  const places = (...list: At[]): At[] => list.map(([u, v]) => [u * w, v * h]);
  const inside = ({ outline, ...s }: DrawnShape): DrawnShape => ({
    ...s,
    outline: outline.map(([x, y]) => [Math.min(w, Math.max(0, x)), Math.min(h, Math.max(0, y))]),
  });
  const [first, second] = figures;
  const gap: DrawnShape = {
    ...shape('gap', 'gap between two capes', [
      [first['shoulder-right'][0], first['shoulder-right'][1]],
      [second['shoulder-left'][0], second['shoulder-left'][1]],
      [second['hem-left'][0], second['hem-left'][1]],
      [first['hem-right'][0], first['hem-right'][1]],
    ]),
    gap: true,
  };
  const shapes = [
    shape('sea', 'sea', places([0, 0.22], [1, 0.22], [1, 0.66], [0, 0.74])),
    ...figures.slice(0, NAMES.length).flatMap(passenger),
    shape('lantern', 'lantern', oval([0.83 * w, 0.16 * h], 0.03 * w, 0.03 * w)),
    shape('mast', 'mast', places([0.823, 0.06], [0.836, 0.06], [0.836, 0.7], [0.823, 0.7])),
    gap,
  ];
  await drawShapes(teacherId, workId, 0, { shapes: shapes.map(inside) }, message('edits.shapes'));
}

/** What is looked for in every work, by the title it stands so in. */
const INVENTORY: readonly [name: string, Readonly<Record<string, Seen>>, rest: Seen][] = [
  ['hands', { 'Harbour lights': 'noPlace' }, 'hidden'],
  ['one warm light', {}, 'shown'],
  ['the horizon', { 'Head of a passenger': 'hidden' }, 'shown'],
];

export async function seedInventory(teacherId: string, studyId: string, works: readonly { id: string; title: string }[]): Promise<void> {
  for (const [name, but, rest] of INVENTORY) {
    const id = await addMotif(teacherId, studyId, name);
    await changeMotif(teacherId, studyId, id, 1, { seen: Object.fromEntries(works.map((w) => [w.id, but[w.title] ?? rest])) });
  }
}

/** The class counted heads once a week: it saw lengths too large, and less so from week to week. */
const COUNTED: readonly (readonly number[])[] = [
  [0.21, 0.12, 0.18, 0.05, 0.24, 0.16, 0.09, 0.2],
  [0.14, 0.1, 0.19, -0.03, 0.15, 0.12, 0.07, 0.11],
  [0.08, 0.12, -0.04, 0.09, 0.1, 0.03, 0.07, 0.12],
  [0.05, -0.06, 0.07, 0.02, 0.06, -0.02, 0.04, 0.03],
];
const TRUTHS = [4.5, 2.6, 3.1, 1.7, 4.4, 2.2, 1.5, 3.6];
const WEEK_MS = 7 * 86_400_000;

export async function seedDrills(studyId: string, now = Date.now()): Promise<void> {
  const rounds = COUNTED.map((errors, week) => ({
    id: newId(),
    studyId,
    studentId: null,
    who: 'class' as const,
    drill: 'ratio' satisfies Drill,
    answers: errors.map((error, k): DrillAnswer => ({ truth: TRUTHS[k], said: TRUTHS[k] * (1 + error), error })),
    at: new Date(now - (COUNTED.length - week) * WEEK_MS),
  }));
  await database().insert(drillRounds).values(rounds);
}
