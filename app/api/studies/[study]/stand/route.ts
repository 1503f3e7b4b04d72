import { number, object, string } from 'yup';
import { body, handle } from '@/server/door/http';
import { photographPicture } from '@/server/pictures/stand';
import { studyOf } from '@/server/accounts/ownership';
import { addWork } from '@/server/studies/works';

const schema = object({
  pictureId: string().required(),
  title: string().max(120).defined().default('Photographed'),
  rotation: number().min(-30).max(30).required(),
  tilt: number().min(0).max(30).required(),
  falloff: number().min(0).max(60).required(),
  warmth: number().min(-30).max(30).required(),
  blur: number().min(0).max(5).required(),
  noise: number().min(0).max(20).required(),
  table: string()
    .oneOf(['plain', 'wood', 'cluttered', 'similar'] as const)
    .required(),
});

/** The stand-in camera takes a photograph, which then goes the way of every upload. */
export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { pictureId, title, ...wishes } = await body(request, schema);
  const jpeg = await photographPicture(teacher.id, pictureId, wishes, Math.floor(Date.now() / 1000) % 100000);
  return { id: await addWork(teacher.id, params.study, jpeg, 'stand-in-camera.jpg', { title }) };
});
