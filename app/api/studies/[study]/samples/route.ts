import { saying } from '@/server/validation';
import { boolean, number, object, string } from 'yup';
import { body, handle } from '@/server/door/http';
import { addSample } from '@/server/studies/samples';

const schema = object({
  hand: string().required(saying('sampleWorks')),
  work: number().integer().min(0).required(),
  foil: boolean().defined().default(false),
});

/** Draws one sample work of an invented hand and adds it to the study. */
export const POST = handle(async ({ teacher, request, params }) => {
  const { hand, work, foil } = await body(request, schema);
  return { id: await addSample(teacher.id, params.study, hand, work, foil) };
});
