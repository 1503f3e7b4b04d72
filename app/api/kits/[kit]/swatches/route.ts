import { kitOf } from '@/server/cupboard/kits';
import { swatchesSchema } from '@/server/cupboard/schemas';
import { readSheet, takeSwatches } from '@/server/cupboard/swatches';
import { body, handle } from '@/server/door/http';
import { fieldNumber, takingIn } from '@/server/door/uploads';

/** Reads a photograph of a painted swatch sheet; nothing of it is kept. */
export const POST = handle(async ({ teacher, request, params }) => {
  await kitOf(teacher.id, params.kit);
  return takingIn(request, async ({ bytes, name, fields }) => {
    const page = (fieldNumber(fields, 'page', 1, 100, true) ?? 1) - 1;
    return readSheet(teacher.id, params.kit, page, bytes, name);
  });
});

/** Takes over what was read. */
export const PUT = handle(async ({ teacher, request, params }) => {
  await kitOf(teacher.id, params.kit);
  const { taken } = await body(request, swatchesSchema);
  await takeSwatches(teacher.id, params.kit, taken);
});
