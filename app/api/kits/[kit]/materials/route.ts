import { addMaterial, kitOf } from '@/server/cupboard/kits';
import { materialSchema } from '@/server/cupboard/schemas';
import { body, handle } from '@/server/door/http';

export const POST = handle(async ({ teacher, request, params }) => {
  await kitOf(teacher.id, params.kit);
  return { id: await addMaterial(teacher.id, params.kit, await body(request, materialSchema)) };
});
