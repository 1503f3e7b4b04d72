import { fieldNumber, handle, upload } from '@/server/http';
import { Told } from '@/server/errors';
import { addPiece, listPieces } from '@/server/pieces/pieces';
import { studyOf } from '@/server/studies/studies';

export const GET = handle(({ teacher, params }) => listPieces(teacher.id, params.study));

export const POST = handle(async ({ teacher, request, params }) => {
  const study = await studyOf(teacher.id, params.study);
  const { bytes, name, fields } = await upload(request);
  const kind = fields.kind;
  if (kind !== 'warm-up' && kind !== 'copy' && kind !== 'original')
    throw new Told(400, 'Say whether this is a warm-up, a copy or an original.', 'kind');
  const id = await addPiece(teacher.id, params.study, bytes, name, {
    studentId: fields.studentId || null,
    kind,
    attempt: fieldNumber(fields, 'attempt', 1, 99),
    title: (fields.title ?? '').slice(0, 120),
    paperWidthMm: fieldNumber(fields, 'paperWidthMm', 10, 5000) ?? study.paperWidthMm,
    paperHeightMm: fieldNumber(fields, 'paperHeightMm', 10, 5000) ?? study.paperHeightMm,
  });
  return { id };
});
