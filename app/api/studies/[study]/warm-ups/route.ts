import { pageOf, printed } from '@/app/printing';
import { WARM_UPS, warmStrokesOf, warmUpSheets } from '@/core/lesson/warmUps';
import { studyOf } from '@/server/accounts/ownership';
import { fileAnswer, handle } from '@/server/door/http';
import { planOf } from '@/server/lessons/plans';
import { inThread } from '@/server/threads/threads';

/** Warm-ups that are wanted (`sheet`, again and again), a PDF at true scale; `left=yes` for left hands. */
export const GET = handle(async ({ teacher, request, params }) => {
  const study = await studyOf(teacher.id, params.study);
  const query = new URL(request.url).searchParams;
  const asked = query.getAll('sheet');
  const view = await planOf(study);
  const sheets = warmUpSheets(
    WARM_UPS.filter((w) => asked.includes(w)),
    warmStrokesOf(view.strokes, view.sheetMm[0]),
    pageOf(teacher),
    query.get('left') === 'yes',
  );
  const pdf = await inThread({ task: 'parts', parts: [], as: 'line', ...(await printed(teacher, study, sheets)) });
  return fileAnswer(new Uint8Array(pdf), 'application/pdf', `${study.title}.pdf`, 'inline');
});
