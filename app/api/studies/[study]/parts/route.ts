import { pageOf, printed } from '@/app/printing';
import { PART_AS } from '@/core/composition/lineSheet';
import { message, typed } from '@/core/message';
import { PartChoice, partsSheet } from '@/core/proportion/partsSheet';
import { studyOf } from '@/server/accounts/ownership';
import { database } from '@/server/database/connection';
import { fileAnswer, handle } from '@/server/door/http';
import { getBlob, pictureOf } from '@/server/pictures/store';
import { partsOf } from '@/server/studies/parts';
import { inThread } from '@/server/threads/threads';
import type { PartPicture } from '@/server/threads/tasks';

const whole = (value: string | null, usual: number) => (value === null || value.trim() === '' ? usual : Number(value));

/** A sheet of the parts that are chosen (`part`, again and again), a PDF: cleaned to line or value, with empty boxes for one's own. */
export const GET = handle(async ({ teacher, request, params }) => {
  const study = await studyOf(teacher.id, params.study);
  const query = new URL(request.url).searchParams;
  const wanted = new Set(query.getAll('part'));
  const chosen = (await partsOf(study.id)).filter((p) => wanted.has(p.key));
  const choices = chosen.map((p): PartChoice => ({ key: p.key, said: typed(p.name), ratio: p.ratio }));
  const sheets = partsSheet(
    choices,
    { columns: whole(query.get('columns'), 3), empty: whole(query.get('empty'), 3) },
    pageOf(teacher),
    message('partsSheet.sheet', { study: typed(study.title) }),
  );
  const blobs = new Map<string, Buffer>();
  const parts: PartPicture[] = [];
  for (const { key, pictureId, outline } of chosen) {
    const { sha256, name } = await pictureOf(database(), teacher.id, pictureId);
    const bytes = blobs.get(sha256) ?? (await getBlob(database(), sha256));
    blobs.set(sha256, bytes);
    parts.push({ key, bytes, name, outline });
  }
  const pdf = await inThread({
    task: 'parts',
    parts,
    as: PART_AS.find((a) => a === query.get('as')) ?? 'line',
    ...(await printed(teacher, study, sheets)),
  });
  return fileAnswer(new Uint8Array(pdf), 'application/pdf', `${study.title}.pdf`, 'inline');
});
