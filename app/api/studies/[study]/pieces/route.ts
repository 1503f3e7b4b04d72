import { handle } from '@/server/door/http';
import { fieldNumber, takingIn } from '@/server/door/uploads';
import { sentence, UserError } from '@/server/errors';
import { addPiece, listPieces } from '@/server/pieces/pieces';
import { comingSchema } from '@/server/studies/schemas';
import { studyOf } from '@/server/accounts/ownership';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return listPieces(params.study);
});

export const POST = handle(async ({ teacher, request, params }) => {
  const study = await studyOf(teacher.id, params.study);
  return takingIn(request, async ({ bytes, name, fields }) => {
    const kind = fields.kind;
    if (kind !== 'warm-up' && kind !== 'copy' && kind !== 'original') throw new UserError(400, sentence('pieceKind'), 'kind');
    const coming = await comingSchema.validate({ capture: fields.capture || 'photograph', size: fields.size || 'sheet' });
    const id = await addPiece(teacher.id, params.study, bytes, name, {
      studentId: fields.studentId || null,
      kind,
      ...coming,
      attempt: fieldNumber(fields, 'attempt', 1, 99, true),
      title: (fields.title ?? '').slice(0, 120),
      paperWidthMm: fieldNumber(fields, 'paperWidthMm', 10, 5000) ?? study.paperWidthMm,
      paperHeightMm: fieldNumber(fields, 'paperHeightMm', 10, 5000) ?? study.paperHeightMm,
    });
    return { id };
  });
});
