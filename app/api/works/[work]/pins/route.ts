import { body, handle } from '@/server/door/http';
import { pinSchema } from '@/server/studies/schemas';
import { addPin, removePin } from '@/server/studies/noted';
import { workOf } from '@/server/accounts/ownership';

export const POST = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { patch, reading } = await body(request, pinSchema);
  return { id: await addPin(teacher.id, params.work, patch as [number, number, number, number], reading) };
});

export const DELETE = handle(async ({ teacher, request, params }) =>
  removePin(teacher.id, params.work, new URL(request.url).searchParams.get('id') ?? ''),
);
