import { pageOf, printed } from '@/app/printing';
import { CoreError } from '@/core/errors';
import { FINENESS } from '@/core/composition/lineSheet';
import { turnedAs } from '@/core/lesson/sheets';
import { carryOver, wishesFrom } from '@/core/proportion/carryOver';
import { studyOf, workOf } from '@/server/accounts/ownership';
import { database } from '@/server/database/connection';
import { fileAnswer, handle } from '@/server/door/http';
import { notFound } from '@/server/errors';
import { getBlob, pictureOf } from '@/server/pictures/store';
import { rulersOf } from '@/server/studies/bodyRulers';
import { ownTemplatesOf } from '@/server/studies/ownTemplates';
import { readIn, shapesOf } from '@/server/studies/shapes';
import { listWorks } from '@/server/studies/works';
import { inThread } from '@/server/threads/threads';
import { figuresOf, sourceOf } from '@/ui/proportion/carrying';

/** The sheets of one way of carrying a work over, a PDF at true scale; `keys=only` leaves out the sheet that is drawn on. */
export const GET = handle(async ({ teacher, request, params }) => {
  const row = await workOf(teacher.id, params.work);
  const study = await studyOf(teacher.id, row.studyId);
  const work = (await listWorks(row.studyId)).find((w) => w.id === params.work);
  if (!work) throw notFound('work');
  const query = Object.fromEntries(new URL(request.url).searchParams) as Record<string, string | undefined>;
  const frame = work.frame ?? ([0, 0, work.pictureWidth, work.pictureHeight] as const);
  const wishes = wishesFrom(query, {
    sheet: turnedAs([study.paperWidthMm, study.paperHeightMm], [frame[2], frame[3]]),
    leftHanded: teacher.settings.hand === 'left',
  });
  const drawn = await shapesOf(work.id);
  const shapes = wishes.method === 'shapes' ? drawn.shapes : [];
  if (wishes.method === 'shapes' && !shapes.some((s) => !s.gap)) throw new CoreError('carry.shapes');
  const template = query.template ?? '';
  const named = query.set ?? work.sets.find((s) => s.template === template)?.name ?? '';
  const source = sourceOf(
    { title: work.title, widthMm: work.widthMm, frame },
    figuresOf(work.sets, await ownTemplatesOf(teacher.id), template, named),
    await readIn(shapes, frame),
    drawn.lines,
    wishes,
    await rulersOf(study),
  );
  const { sheets } = carryOver(source, wishes, pageOf(teacher));
  const { sha256, name } = await pictureOf(database(), teacher.id, work.pictureId);
  const pdf = await inThread({
    task: 'sheets',
    bytes: await getBlob(database(), sha256),
    name,
    frame: [...frame],
    fineness: FINENESS.find((f) => f === query.fineness) ?? 'middle',
    ...(await printed(teacher, study, query.keys === 'only' ? sheets.slice(1) : sheets)),
  });
  return fileAnswer(new Uint8Array(pdf), 'application/pdf', `${work.title}.pdf`, 'inline');
});
