import { changeMaterial, materialOf, removeMaterial } from '@/server/cupboard/kits';
import { materialChangeSchema } from '@/server/cupboard/schemas';
import { body, handle } from '@/server/door/http';

export const PATCH = handle(async ({ teacher, request, params }) => {
  await materialOf(teacher.id, params.material);
  const { version, ...material } = await body(request, materialChangeSchema);
  await changeMaterial(teacher.id, params.material, version, material);
});

export const DELETE = handle(({ teacher, params }) => removeMaterial(teacher.id, params.material));
