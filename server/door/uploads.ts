/** Knows how pictures come in: few at a time, counted before they are read, over connections of their own. */
import { typed } from '../../core/message';
import Busboy from 'busboy';
import { Readable } from 'node:stream';
import { connectedFor } from '../database/connection';
import { checkRoom } from '../database/room';
import { sentence, UserError } from '../errors';
import { MOST_BYTES } from '../pictures/decode';

export interface Upload {
  bytes: Buffer;
  name: string;
  fields: Record<string, string>;
}

/** Pictures this process takes in at once; each is held in memory whole while it is stored. */
const MOST_AT_ONCE = 4;
/** What a form adds to its picture at most. */
const FORM_BYTES = 1024 * 1024;

const holder = globalThis as { __oldhandUploads?: number };
const tooLarge = (name: string | null) =>
  new UserError(413, name === null ? sentence('picture.largeUnnamed') : sentence('picture.large', { name: typed(name) }), 'picture');

/** Reads a multipart upload as it streams in, stopping as soon as it grows beyond 40 MB. */
export async function readUpload(request: Request): Promise<Upload> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('multipart/form-data') || !request.body) throw new UserError(400, sentence('picture.choose'), 'picture');
  // One byte more than allowed, so that a picture of just 40 MB is not taken for a larger one.
  const limits = { files: 1, fileSize: MOST_BYTES + 1, fields: 30, fieldSize: 20_000, parts: 40 };
  let busboy: ReturnType<typeof Busboy>;
  try {
    busboy = Busboy({ headers: { 'content-type': type }, limits, defParamCharset: 'utf8' });
  } catch {
    throw new UserError(400, sentence('picture.boundary'), 'picture');
  }
  const fields: Record<string, string> = {};
  const chunks: Buffer[] = [];
  let name: string | null = null;
  await new Promise<void>((done, fail) => {
    const source = Readable.fromWeb(request.body as Parameters<typeof Readable.fromWeb>[0]);
    const end = (why: UserError) => {
      source.unpipe(busboy);
      source.destroy();
      fail(why);
    };
    const broken = () => end(new UserError(400, sentence('picture.brokeOff'), 'picture'));
    busboy.on('field', (key, value) => (fields[key] = value));
    busboy.on('filesLimit', () => end(new UserError(400, sentence('picture.oneAtATime'), 'picture')));
    busboy.on('file', (_key, stream, info) => {
      name = info.filename || 'picture';
      stream.on('data', (c: Buffer) => chunks.push(c));
      stream.on('error', broken);
      stream.on('limit', () => end(tooLarge(name)));
    });
    busboy.on('close', done);
    busboy.on('error', broken);
    source.on('error', broken);
    source.pipe(busboy);
  });
  if (name === null) throw new UserError(400, sentence('picture.choose'), 'picture');
  return { bytes: Buffer.concat(chunks), name, fields };
}

/**
 * Takes one upload in from its first byte to its last row. While enough others are under way it is refused before anything
 * of it is read, to be sent again by itself a moment later.
 */
export async function takingIn<T>(request: Request, store: (upload: Upload) => Promise<T>): Promise<T> {
  const size = Number(request.headers.get('content-length') ?? 0);
  if (size > MOST_BYTES + FORM_BYTES) throw tooLarge(null);
  const under = holder.__oldhandUploads ?? 0;
  if (under >= MOST_AT_ONCE) throw new UserError(503, sentence('picture.waiting'), 'picture', 1);
  holder.__oldhandUploads = under + 1;
  try {
    await checkRoom(size);
    return await connectedFor('uploads', async () => store(await readUpload(request)));
  } finally {
    holder.__oldhandUploads = (holder.__oldhandUploads ?? 1) - 1;
  }
}

/** A number from a form field, or null where it is empty. */
export function fieldNumber(fields: Record<string, string>, name: string, low: number, high: number, whole = false): number | null {
  const text = fields[name]?.trim();
  if (!text) return null;
  const value = Number(text);
  if (!Number.isFinite(value) || value < low || value > high || (whole && !Number.isInteger(value)))
    throw new UserError(400, sentence(whole ? 'field.whole' : 'field.number', { name: typed(name), low, high }), name);
  return value;
}
