import { body, handle } from '@/server/door/http';
import { factSchema } from '@/server/studies/schemas';
import { addFact, removeFact } from '@/server/studies/noted';
import { workOf } from '@/server/accounts/ownership';

export const POST = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { text, source } = await body(request, factSchema);
  return { id: await addFact(teacher.id, params.work, text, source || null) };
});

export const DELETE = handle(async ({ teacher, request, params }) =>
  removeFact(teacher.id, params.work, new URL(request.url).searchParams.get('id') ?? ''),
);
