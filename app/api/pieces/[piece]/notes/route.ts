import { boolean, number, object, string } from 'yup';
import { body, handle } from '@/server/door/http';
import { answerRule, noteFinding } from '@/server/pieces/pieces';
import { pieceOf } from '@/server/accounts/ownership';

const schema = object({
  feature: string().max(80).required(),
  setAside: boolean().required(),
  note: string().max(2000).defined().default(''),
  version: number().integer().min(0).required(),
});
const answer = object({ ruleId: string().max(36).required(), met: boolean().required() });

/** A finding set aside or commented on. */
export const PUT = handle(async ({ teacher, request, params }) => {
  await pieceOf(teacher.id, params.piece);
  return { version: await noteFinding(teacher.id, params.piece, await body(request, schema)) };
});

/** An always or never sentence answered by a person. */
export const POST = handle(async ({ teacher, request, params }) => {
  await pieceOf(teacher.id, params.piece);
  const { ruleId, met } = await body(request, answer);
  await answerRule(teacher.id, params.piece, ruleId, met);
});
