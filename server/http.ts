/** Knows how a route handler answers: signed-in teachers only, same-origin changes only, errors as plain sentences. */
import Busboy from 'busboy';
import { Readable } from 'node:stream';
import { AnyObjectSchema, InferType, ValidationError } from 'yup';
import { teacherOf, Teacher } from './accounts/auth';
import { Told } from './errors';
import { log } from './log';
import { MOST_BYTES } from './pictures/decode';

type Params = Record<string, string>;
type Handler = (context: { teacher: Teacher; request: Request; params: Params }) => Promise<unknown>;

function refuse(error: unknown): Response {
  if (error instanceof Told)
    return Response.json({ error: error.message, field: error.field }, { status: error.status });
  if (error instanceof ValidationError)
    return Response.json(
      { error: error.errors[0], field: error.path ?? error.inner[0]?.path ?? null },
      { status: 400 },
    );
  if (error instanceof RangeError) return Response.json({ error: error.message, field: null }, { status: 400 });
  log.error({ err: error }, 'request failed');
  return Response.json(
    { error: 'Something went wrong here. What was saved before is safe; try again.', field: null },
    { status: 500 },
  );
}

/** A change may only come from Old Hand's own pages. */
function checkOrigin(request: Request): void {
  if (request.method === 'GET' || request.method === 'HEAD') return;
  const origin = request.headers.get('origin');
  const host = request.headers.get('host');
  if (origin === null ? request.headers.get('sec-fetch-site') === 'cross-site' : new URL(origin).host !== host)
    throw new Told(400, 'This change did not come from Old Hand’s own page.');
}

/** Wraps a handler for the App Router. A Response it gives is passed on; anything else becomes JSON. */
export function handle(work: Handler) {
  return async (request: Request, context: { params: Promise<Params> }): Promise<Response> => {
    try {
      checkOrigin(request);
      const teacher = await teacherOf(request.headers);
      if (!teacher) throw new Told(401, 'Sign in first.');
      const answer = await work({ teacher, request, params: await context.params });
      return answer instanceof Response ? answer : Response.json(answer ?? { ok: true });
    } catch (error) {
      return refuse(error);
    }
  };
}

/** The request's JSON checked by a schema; unknown fields are dropped. */
export async function body<S extends AnyObjectSchema>(request: Request, schema: S): Promise<InferType<S>> {
  let value: unknown;
  try {
    value = await request.json();
  } catch {
    throw new Told(400, 'The request holds no JSON.');
  }
  return schema.validate(value, { abortEarly: true, stripUnknown: true });
}

export interface Upload {
  bytes: Buffer;
  name: string;
  fields: Record<string, string>;
}

/** Reads a multipart upload as it streams in, stopping as soon as it grows beyond 40 MB. */
export async function upload(request: Request): Promise<Upload> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('multipart/form-data') || !request.body)
    throw new Told(400, 'Choose a picture to send.', 'picture');
  const busboy = Busboy({
    headers: { 'content-type': type },
    limits: { files: 1, fileSize: MOST_BYTES, fields: 30, fieldSize: 20_000 },
  });
  const fields: Record<string, string> = {};
  const chunks: Buffer[] = [];
  let name: string | null = null;
  await new Promise<void>((done, fail) => {
    const broken = () => fail(new Told(400, 'The upload broke off. Choose the picture again.', 'picture'));
    const source = Readable.fromWeb(request.body as Parameters<typeof Readable.fromWeb>[0]);
    busboy.on('field', (key, value) => (fields[key] = value));
    busboy.on('file', (_key, stream, info) => {
      name = info.filename || 'picture';
      stream.on('data', (c: Buffer) => chunks.push(c));
      stream.on('error', broken);
      stream.on('limit', () => {
        source.destroy();
        fail(new Told(413, `“${name}” is larger than 40 MB. Save it smaller and choose it again.`, 'picture'));
      });
    });
    busboy.on('close', done);
    busboy.on('error', broken);
    source.on('error', broken);
    source.pipe(busboy);
  });
  if (name === null) throw new Told(400, 'Choose a picture to send.', 'picture');
  return { bytes: Buffer.concat(chunks), name, fields };
}

/** A number from a form field, or null where it is empty. */
export function fieldNumber(fields: Record<string, string>, name: string, low: number, high: number): number | null {
  const text = fields[name]?.trim();
  if (!text) return null;
  const value = Number(text);
  if (!Number.isFinite(value) || value < low || value > high)
    throw new Told(400, `“${name}” must be a number from ${low} to ${high}.`, name);
  return value;
}
