/** Fills an empty database with the demo: the teacher, the class, the master's works, then the class's pieces one by one. */
import { createHash } from 'node:crypto';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { and, eq } from 'drizzle-orm';
import { CLASS_NAME, DemoPiece, demoPieces, SCHOOL_NAME, SHEET, STUDENTS } from '../../atelier/class9c';
import { ANSGRAVE } from '../../atelier/hand';
import { DEMO_KIT, DEMO_LINE_KIT } from '../../atelier/kit';
import { plainFace, standingNeighbour } from '../../atelier/reference';
import { renderDrawing } from '../../atelier/render';
import { drawScene, MASTER_SCENES } from '../../atelier/scenes';
import { photograph } from '../../core/capture/copyStand';
import { applyHomography, fitHomography, rectangleCorners } from '../../core/capture/homography';
import { auth } from '../accounts/auth';
import { addKit } from '../cupboard/kits';
import { database } from '../database/connection';
import { encodeJpeg, encodePng } from '../pictures/decode';
import { addPiece } from '../pieces/pieces';
import { edits, pieces, studies, students, user, works } from '../schema';
import { placeLandmarks } from '../studies/landmarks';
import { addReference } from '../studies/references';
import { addRule } from '../studies/rules';
import { createClass, NewStudent } from '../classes/classes';
import { pieceOf } from '../accounts/ownership';
import { createStudy } from '../studies/studies';
import { addFact } from '../studies/noted';
import { addWork } from '../studies/works';
import { pictureOf } from '../pictures/store';
import { DEMO_EMAIL, DEMO_NAME, DEMO_PASSWORD } from '../accounts/demoAccount';
import { seedLesson } from './lesson';
import { BUILT, seedDrills, seedInventory, seedShapes } from './proportion';

type Say = (text: string) => void;
const PX_PER_MM = 6;
const REFERENCE_PX_PER_MM = 8;
const REFERENCES = [
  ['Neighbour on the quay', standingNeighbour()],
  ['Face, plain light', plainFace()],
] as const;
const STUDY_TITLE = 'Harbour drawings after Ansgrave';

/** A made picture kept on disk under a hash of what it was made from, so that a second start need not draw it again. */
async function cached(dir: string, what: unknown, ending: string, make: () => Promise<Buffer>): Promise<Buffer> {
  await mkdir(dir, { recursive: true });
  const file = join(dir, `${createHash('sha256').update(JSON.stringify(what)).digest('hex').slice(0, 24)}.${ending}`);
  try {
    return await readFile(file);
  } catch {
    const bytes = await make();
    await writeFile(`${file}.${process.pid}`, bytes);
    await rename(`${file}.${process.pid}`, file);
    return bytes;
  }
}

async function demoTeacher(): Promise<string> {
  const db = database();
  const [row] = await db.select({ id: user.id }).from(user).where(eq(user.email, DEMO_EMAIL));
  if (row) return row.id;
  const made = await auth().api.signUpEmail({ body: { email: DEMO_EMAIL, password: DEMO_PASSWORD, name: DEMO_NAME } });
  return made.user.id;
}

async function seedKit(teacherId: string): Promise<void> {
  await addKit(teacherId, {
    ...DEMO_KIT,
    materials: DEMO_KIT.paints.map((p) => ({ ...p, kind: 'paint', properties: { opacity: 'opaque', waterproof: false } })),
  });
  await addKit(teacherId, DEMO_LINE_KIT);
}

/** Points of the one work that is a view alone, as shares of its sheet; what it is about is the nearest boat. */
const VIEW = {
  title: 'Harbour lights',
  at: {
    'horizon-left': [0, 0.22],
    'horizon-right': [1, 0.22],
    'skyline-high': [0.21, 0.055],
    'skyline-low': [0.412, 0.113],
    'subject-top': [0.257, 0.385],
    'subject-bottom': [0.25, 0.675],
    'subject-left': [0.073, 0.565],
    'subject-right': [0.446, 0.56],
  },
  hidden: ['foreground-edge'],
} as const;

const RULES: readonly ['feature' | 'always' | 'never', string, string, string][] = [
  [
    'feature',
    'proportion.figure-standing.heads-tall',
    'Passengers are four and a half heads tall.',
    'Measured on three works with standing figures.',
  ],
  ['feature', 'marks.spacing', 'Strokes stand 1.6 mm apart, very evenly.', 'Measured on all six works.'],
  ['feature', 'marks.direction', 'Strokes lean at about 152 degrees.', 'Measured on all six works.'],
  ['feature', 'colour.accent', 'One small touch of vivid orange, under one per cent of the sheet.', 'Measured on all six works.'],
  ['always', '', 'One small warm light in every picture.', 'A lantern, a lamp, a buoy: always one, always small.'],
  ['never', '', 'Hands are shown.', 'Capes cover them in every figure.'],
  ['always', '', 'The horizon stands high, about a fifth from the top.', 'In all six works.'],
];

/** What the demo's teacher has noted of some students. */
const KNOWN: Partial<Record<string, Pick<NewStudent, 'leftHanded' | 'needs'>>> = {
  Edo: { leftHanded: true },
  Lotte: { leftHanded: true, needs: 'wide-grip pen' },
  Nour: { needs: 'sits in front' },
};

async function seedStudy(teacherId: string, cache: string, say: Say): Promise<string> {
  const classId = await createClass(
    teacherId,
    CLASS_NAME,
    SCHOOL_NAME,
    STUDENTS.map(({ firstName, initial }, i) => ({ firstName, initial, table: String(1 + Math.floor(i / 4)), ...KNOWN[firstName] })),
  );
  await seedKit(teacherId);
  const studyId = await createStudy(teacherId, {
    title: STUDY_TITLE,
    master: 'Teodor Ansgrave (1888–1951)',
    kind: 'master',
    aim: 'study',
    medium: 'pen-and-wash',
    about:
      'Ferry decks, signal masts, harbour lights and caped passengers of the island port of Skerrowby, in reed pen and two washes on ochre-washed paper.',
    classId,
    paperWidthMm: SHEET[0],
    paperHeightMm: SHEET[1],
  });
  const titles: { id: string; title: string }[] = [];
  for (const [i, m] of MASTER_SCENES.entries()) {
    say(`Demo: drawing “${m.title}” (${i + 1} of ${MASTER_SCENES.length})`);
    const drawing = drawScene(m.scene, ANSGRAVE, m.widthMm, m.heightMm);
    const png = await cached(cache, [drawing.svg, PX_PER_MM], 'png', async () =>
      encodePng(await renderDrawing(drawing, PX_PER_MM, 5, m.scene.seed)),
    );
    const workId = await addWork(teacherId, studyId, png, `${m.title}.png`, {
      title: m.title,
      dated: m.dated,
      widthMm: m.widthMm,
      heightMm: m.heightMm,
      group: i < 3 ? 'early' : 'late',
    });
    await addFact(
      teacherId,
      workId,
      'Reed pen in blue-black waterproof ink; two washes, sea green and slate violet; touches of opaque white on ochre-washed paper.',
      i % 2 ? null : 'Harbour museum’s card, Skerrowby',
    );
    const figures = [...drawing.landmarks].sort((a, b) => a.points.crown[0] - b.points.crown[0]);
    for (const [k, { template, points }] of figures.entries()) {
      const name = figures.length > 1 ? `figure ${k + 1}` : '';
      await placeLandmarks(teacherId, { subject: 'work', subjectId: workId, template, name }, 0, scaled(points, PX_PER_MM), null);
    }
    titles.push({ id: workId, title: m.title });
    if (m.title === BUILT)
      await seedShapes(
        teacherId,
        workId,
        figures.map((f) => scaled(f.points, PX_PER_MM)),
        [m.widthMm * PX_PER_MM, m.heightMm * PX_PER_MM],
      );
    if (m.title === VIEW.title) {
      const points = Object.fromEntries(
        Object.entries(VIEW.at).map(([n, [x, y]]) => [n, [x * m.widthMm * PX_PER_MM, y * m.heightMm * PX_PER_MM] as [number, number]]),
      );
      await placeLandmarks(teacherId, { subject: 'work', subjectId: workId, template: 'landscape' }, 0, points, null, {
        hidden: VIEW.hidden,
      });
    }
  }
  for (const [title, drawing] of REFERENCES) {
    const png = await cached(cache, [drawing.svg, REFERENCE_PX_PER_MM], 'png', async () =>
      encodePng(await renderDrawing(drawing, REFERENCE_PX_PER_MM, 4, 3)),
    );
    const id = await addReference(teacherId, studyId, png, `${title}.png`, { title, credit: 'class photograph' });
    const [{ template, points }] = drawing.landmarks;
    await placeLandmarks(teacherId, { subject: 'reference', subjectId: id, template }, 0, scaled(points, REFERENCE_PX_PER_MM), null);
  }
  for (const [kind, feature, sentence, evidence] of RULES) await addRule(teacherId, studyId, { kind, feature, sentence, evidence });
  await seedInventory(teacherId, studyId, titles);
  await seedDrills(studyId);
  await seedLesson(teacherId, studyId, SHEET);
  // A teacher's undo begins with what the teacher does.
  await database().delete(edits).where(eq(edits.teacherId, teacherId));
  return studyId;
}

const scaled = (points: Record<string, [number, number]>, k: number) =>
  Object.fromEntries(Object.entries(points).map(([n, [x, y]]) => [n, [x * k, y * k] as [number, number]]));

/** The quick part, before any server starts: account, class, cupboard, study and the master's works. */
export async function seedDemo(url: string, cache: string, say: Say): Promise<{ email: string; password: string }> {
  process.env.DATABASE_URL = url;
  process.env.BETTER_AUTH_SECRET ??= 'only-used-while-seeding-the-demo';
  const db = database();
  const [anyone] = await db.select({ id: studies.id }).from(studies).limit(1);
  if (!anyone) await seedStudy(await demoTeacher(), cache, say);
  return { email: DEMO_EMAIL, password: DEMO_PASSWORD };
}

interface Arrived {
  piece: DemoPiece;
  id: string;
  corners: [number, number][];
}

async function photographOf(piece: DemoPiece, cache: string): Promise<{ jpeg: Buffer; corners: [number, number][] }> {
  const what = [piece.drawing.svg, piece.stand];
  const jpeg = await cached(cache, what, 'jpg', async () => {
    const sheet = await renderDrawing(piece.drawing, PX_PER_MM, 5, piece.seed);
    const photo = photograph(sheet, piece.stand);
    await cached(cache, [what, 'corners'], 'json', async () => Buffer.from(JSON.stringify(photo.corners)));
    return encodeJpeg(photo.image, 92);
  });
  const corners = JSON.parse((await cached(cache, [what, 'corners'], 'json', async () => Buffer.from('[]'))).toString()) as [
    number,
    number,
  ][];
  return { jpeg, corners };
}

/** Drawn landmarks carried through the photograph into the squared-up picture. */
async function carryLandmarks(teacherId: string, { piece, id, corners }: Arrived): Promise<boolean> {
  const row = await pieceOf(teacherId, id);
  if (row.state === 'no-sheet' || row.state === 'failed') return true;
  if (row.state !== 'ready' || !row.rectifiedId || !row.corners) return false;
  const figure = piece.drawing.landmarks.at(-1);
  if (!figure) return true;
  const upright = await pictureOf(database(), teacherId, row.rectifiedId);
  const toPhoto = fitHomography(rectangleCorners(SHEET[0], SHEET[1]), corners);
  const toUpright = fitHomography(row.corners, rectangleCorners(upright.width, upright.height));
  const points = Object.fromEntries(
    Object.entries(figure.points).map(([n, p]) => [n, applyHomography(toUpright, applyHomography(toPhoto, p))]),
  );
  await placeLandmarks(teacherId, { subject: 'piece', subjectId: id, template: figure.template }, 0, points, null).catch(() => 0);
  return true;
}

/** The slow part, beside a running server: photographs arrive one after another; landmarks follow when a sheet has been squared up. */
async function seedPieces(cache: string, only = STUDENTS.length): Promise<void> {
  const db = database();
  const [study] = await db
    .select({ id: studies.id, teacherId: studies.teacherId, classId: studies.classId })
    .from(studies)
    .innerJoin(user, eq(user.id, studies.teacherId))
    .where(and(eq(user.email, DEMO_EMAIL), eq(studies.title, STUDY_TITLE)));
  if (!study?.classId) return;
  const roster = await db.select().from(students).where(eq(students.classId, study.classId));
  const there = await db
    .select({ id: pieces.id, studentId: pieces.studentId, kind: pieces.kind, attempt: pieces.attempt })
    .from(pieces)
    .where(eq(pieces.studyId, study.id));
  let open: Arrived[] = [];
  const carry = async () => {
    const next: Arrived[] = [];
    for (const a of open) if (!(await carryLandmarks(study.teacherId, a).catch(() => true))) next.push(a);
    open = next;
  };
  for (const piece of demoPieces(only)) {
    const student = roster.find((r) => r.firstName === STUDENTS[piece.student].firstName && r.initial === STUDENTS[piece.student].initial);
    if (!student) continue;
    const photo = await photographOf(piece, cache);
    const before = there.find((t) => t.studentId === student.id && t.kind === piece.kind && t.attempt === piece.attempt);
    const id =
      before?.id ??
      (await addPiece(study.teacherId, study.id, photo.jpeg, `${piece.key}.jpg`, {
        studentId: student.id,
        kind: piece.kind,
        attempt: piece.attempt,
        title: piece.title,
        paperWidthMm: SHEET[0],
        paperHeightMm: SHEET[1],
      }));
    open.push({ piece, id, corners: photo.corners });
    await carry();
  }
  // Wait for the queue; whatever is removed meanwhile no longer counts.
  while (open.length) {
    await new Promise((done) => setTimeout(done, 1500));
    await carry();
    const [any] = await db.select({ id: works.id }).from(works).where(eq(works.studyId, study.id)).limit(1);
    if (!any) return;
  }
}

// Run as a program of its own: DATABASE_URL in the environment, then the cache folder and how many students.
if (process.argv[2] === 'pieces') {
  await seedPieces(process.argv[3], process.argv[4] ? Number(process.argv[4]) : undefined);
  process.exit(0);
}
