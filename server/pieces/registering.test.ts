/** A work's picture laid over a piece that shows the same, larger, turned and put elsewhere on its sheet: against where it was put. */
import sharp from 'sharp';
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { addWork } from '../studies/works';
import { addPiece } from './pieces';
import { processPiece } from './processing';
import { registerPiece } from './registering';

afterAll(leave);

const [WIDTH, HEIGHT] = [600, 400];
const FIGURES = `<ellipse cx="170" cy="180" rx="70" ry="95" fill="#2b3b55"/><rect x="330" y="90" width="60" height="250" fill="#9c4a30"/>
  <path d="M 430 330 L 520 150 L 560 330 Z" fill="#3f6b4a"/><circle cx="470" cy="90" r="34" fill="#d9902f"/>
  <path d="M 40 340 L 560 350" stroke="#222" stroke-width="8"/>`;

/** The figures after a change of size and turn about the upper left, and a shift, px. */
const drawn = (size: number, turn: number, [x, y]: readonly [number, number]): Promise<Buffer> =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="#efe6d2"/>
       <g transform="translate(${x} ${y}) rotate(${turn}) scale(${size})">${FIGURES}</g></svg>`,
    ),
  )
    .png()
    .toBuffer();

async function registered(piece: Buffer) {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  const work = await addWork(teacher, study, await drawn(1, 0, [0, 0]), 'work.png', { widthMm: 300 });
  const about = { studentId: null, kind: 'copy', attempt: null, title: '', paperWidthMm: 300, paperHeightMm: 200 } as const;
  const id = await addPiece(teacher, study, piece, 'copy.png', { ...about, capture: 'whole', size: 'sheet' });
  await processPiece(teacher, id);
  return registerPiece(teacher, id, work);
}

test.each([
  [1, 0, [0, 0]],
  [0.9, 0, [36, 14]],
  [0.85, 4, [58, 8]],
] as const)('at %s times the size, turned by %s degrees and shifted it is found within 1 %% of the sheet', async (size, turn, shift) => {
  const found = (await registered(await drawn(size, turn, shift)))!;
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180) * size, Math.sin((turn * Math.PI) / 180) * size];
  const [o, right, down] = found;
  // Where each corner of the work, and its middle, truly lies on the piece.
  for (const [x, y] of [
    [0, 0],
    [WIDTH, 0],
    [0, HEIGHT],
    [WIDTH / 2, HEIGHT / 2],
  ]) {
    const got = [0, 1].map((k) => o[k] + x * (right[k] - o[k]) + y * (down[k] - o[k]));
    const want = [shift[0] + x * cos - y * sin, shift[1] + x * sin + y * cos];
    expect(Math.hypot(got[0] - want[0], got[1] - want[1])).toBeLessThan(0.01 * Math.hypot(WIDTH, HEIGHT));
  }
});

test('of a picture of something else nothing is said', async () => {
  expect(await registered(await sheetBytes(15, WIDTH, HEIGHT))).toBeNull();
});
