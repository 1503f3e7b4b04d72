/** Knows how a route handler answers: signed-in teachers only, own pages' changes only, errors as plain sentences. */
import { AnyObjectSchema, InferType, ValidationError } from 'yup';
import { CoreError } from '../../core/errors';
import { asMessage, Message, typed } from '../../core/message';
import { teacherOf, Teacher } from '../accounts/auth';
import { isFull, isLost } from '../database/failures';
import { noRoom } from '../database/room';
import { counted, isEnding } from '../ending';
import { sentence, UserError } from '../errors';
import { log } from '../log';
import { checkOrigin } from '../origin';
import '../validation';
import { plainly } from '../words';

type Params = Record<string, string>;
type Handler = (context: { teacher: Teacher; request: Request; params: Params }) => Promise<unknown>;

/** Answers hold names of students and are nobody else's: no browser or proxy keeps them. */
const KEPT_NOWHERE = { 'cache-control': 'no-store' };
const json = (value: unknown, status: number, more: Record<string, string> = {}): Response =>
  Response.json(value, { status, headers: { ...KEPT_NOWHERE, ...more } });

/** A file to be kept under its name, or where `inline` to be opened. */
export const fileAnswer = (body: BodyInit, type: string, name: string, how: 'attachment' | 'inline' = 'attachment'): Response =>
  new Response(body, {
    headers: { ...KEPT_NOWHERE, 'content-type': type, 'content-disposition': `${how}; filename*=UTF-8''${encodeURIComponent(name)}` },
  });

/** What is said of an error nobody meant for a person, where something helpful can be said of it. */
function helpfully(thrown: unknown): unknown {
  if (isFull(thrown)) return noRoom();
  if (isLost(thrown)) return new UserError(503, sentence('databaseAway'), null, 3);
  if (thrown instanceof CoreError) return new UserError(400, thrown.said);
  if (thrown instanceof ValidationError) {
    const [said] = thrown.errors as unknown[];
    const field = thrown.path ?? thrown.inner[0]?.path ?? null;
    return new UserError(400, asMessage(said) ?? sentence('field.invalid', { name: typed(field ?? '') }), field);
  }
  return thrown;
}

/** `said` is for the page, which puts it into the teacher's own language; `error` says the same in plain English. */
const refusal = (said: Message, field: string | null) => ({ error: plainly(said), said, field });

export function refuse(thrown: unknown): Response {
  const known = helpfully(thrown);
  if (known instanceof UserError) {
    const { status, said, field, retryAfter } = known;
    // What we put off ourselves, with many at once, is expected: whoever asked comes again.
    if (thrown === known && retryAfter !== null) log.info({ status, why: known.message }, 'request put off');
    else if (status >= 500) log.warn({ err: thrown }, 'request refused');
    return json(refusal(said, field), status, retryAfter === null ? {} : { 'retry-after': String(retryAfter) });
  }
  log.error({ err: thrown }, 'request failed');
  return json(refusal(sentence('wrong'), null), 500);
}

/** Wraps a handler for the App Router. A Response it gives is passed on; anything else becomes JSON. */
export function handle(work: Handler) {
  return async (request: Request, context: { params: Promise<Params> }): Promise<Response> => {
    try {
      checkOrigin(request);
      if (isEnding()) throw new UserError(503, sentence('ending'), null, 2);
      const teacher = await teacherOf(request.headers);
      if (!teacher) throw new UserError(401, sentence('signInFirst'));
      const params = await context.params;
      const answer = await counted(() => work({ teacher, request, params }));
      return answer instanceof Response ? answer : json(answer ?? { ok: true }, 200);
    } catch (thrown) {
      return refuse(thrown);
    }
  };
}

const MOST_JSON = 256 * 1024;

/** The request's text, given up as soon as it grows beyond what any form here sends. */
export async function textOf(request: Request): Promise<string> {
  const tooMuch = () => new UserError(413, sentence('tooMuch'));
  if (Number(request.headers.get('content-length') ?? 0) > MOST_JSON) throw tooMuch();
  const parts: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (let next = await reader?.read(); next && !next.done; next = await reader?.read()) {
    size += next.value.length;
    if (size > MOST_JSON) {
      await reader?.cancel();
      throw tooMuch();
    }
    parts.push(next.value);
  }
  return Buffer.concat(parts).toString('utf8');
}

export function readJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new UserError(400, sentence('noJson'));
  }
}

/** Levels that any form here needs, and some more. */
const MOST_LEVELS = 16;

/** Whether a value is nested deeper than any form here; walked by levels, since a walk by calls would run out of stack. */
function tooDeep(value: unknown): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length; depth++) {
    if (depth > MOST_LEVELS) return true;
    level = level.flatMap((v) => (typeof v === 'object' && v !== null ? Object.values(v) : []));
  }
  return false;
}

/** The request's JSON checked by a schema; unknown fields are dropped. */
export async function body<S extends AnyObjectSchema>(request: Request, schema: S): Promise<InferType<S>> {
  const value = readJson(await textOf(request));
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new UserError(400, sentence('noObject'));
  if (tooDeep(value)) throw new UserError(400, sentence('tooDeep'));
  return schema.validate(value, { abortEarly: true, stripUnknown: true });
}
