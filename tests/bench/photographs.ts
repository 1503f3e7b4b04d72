/** Writes the class's photographs, one original a student, as JPEG files into the folder named on the command line. */
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { demoPieces, STUDENTS } from '../../atelier/class9c';
import { renderDrawing } from '../../atelier/render';
import { photograph } from '../../core/capture/copyStand';
import { encodeJpeg } from '../../server/pictures/decode';

const PX_PER_MM = 6;
const dir = process.argv[2];
await mkdir(dir, { recursive: true });
for (const piece of demoPieces(STUDENTS.length)) {
  if (piece.kind !== 'original' || piece.attempt !== 1) continue;
  const sheet = await renderDrawing(piece.drawing, PX_PER_MM, 5, piece.seed);
  const photo = photograph(sheet, piece.stand);
  await writeFile(join(dir, `${String(piece.student).padStart(2, '0')}.jpg`), await encodeJpeg(photo.image, 92));
}
