import { changeMaterial, removeMaterial } from '@/server/cupboard/kits';
import { materialChangeSchema } from '@/server/cupboard/schemas';
import { body, handle } from '@/server/door/http';

export const PATCH = handle(async ({ teacher, request, params }) => {
  const { version, ...material } = await body(request, materialChangeSchema);
  await changeMaterial(teacher.id, params.material, version, material);
});

export const DELETE = handle(({ teacher, params }) => removeMaterial(teacher.id, params.material));
