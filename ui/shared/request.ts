/** Knows how a page talks to the server: JSON there and back, told errors as sentences. */
import { CoreError } from '@/core/errors';
import { Message, message } from '@/core/message';

export class RequestError extends Error {
  constructor(
    readonly said: Message,
    readonly status: number,
    readonly field: string | null,
  ) {
    super(said.key);
  }
}

const LOST = message('shared.lost');

/** What is told of an error caught on a page: as it was said, or that something went wrong. */
export const problemOf = (error: unknown): Message =>
  error instanceof RequestError || error instanceof CoreError ? error.said : message('errors.wrong');

async function answerOf<T>(response: Response): Promise<T> {
  const value = (await response.json().catch(() => null)) as { said?: Message; field?: string } | null;
  if (!response.ok) throw new RequestError(value?.said ?? LOST, response.status, value?.field ?? null);
  return value as T;
}

export async function send<T = unknown>(method: 'POST' | 'PATCH' | 'DELETE' | 'PUT', path: string, value?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: value === undefined ? undefined : JSON.stringify(value),
    });
  } catch {
    throw new RequestError(LOST, 0, null);
  }
  return answerOf<T>(response);
}

export async function get<T>(path: string): Promise<T> {
  try {
    return await answerOf<T>(await fetch(path, { headers: { accept: 'application/json' } }));
  } catch (error) {
    if (error instanceof RequestError) throw error;
    throw new RequestError(LOST, 0, null);
  }
}

type Fields = Record<string, string>;

/** A picture is sent again this often while others are coming in; at a second or two each that is some minutes. */
const MOST_TURNS = 120;

function sendOnce<T>(path: string, form: FormData, onProgress?: (share: number) => void): Promise<T | { wait: number }> {
  return new Promise((done, fail) => {
    const request = new XMLHttpRequest();
    request.open('POST', path);
    request.responseType = 'json';
    request.upload.onprogress = (e) => e.lengthComputable && onProgress?.(e.loaded / e.total);
    request.onerror = () => fail(new RequestError(LOST, 0, null));
    request.onload = () => {
      const value = request.response as { said?: Message; field?: string } | null;
      const wait = Number(request.getResponseHeader('retry-after'));
      if (request.status === 503 && wait > 0) done({ wait });
      else if (request.status >= 200 && request.status < 300) done(value as T);
      else fail(new RequestError(value?.said ?? LOST, request.status, value?.field ?? null));
    };
    request.send(form);
  });
}

/** Sends a picture with fields, telling how much has gone; while too many others are coming in, waits its turn. */
export async function sendPicture<T = unknown>(
  path: string,
  file: Blob,
  name: string,
  fields: Fields,
  onProgress?: (share: number) => void,
): Promise<T> {
  const form = new FormData();
  for (const [key, value] of Object.entries(fields)) form.set(key, value);
  form.set('picture', file, name);
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const answer = await sendOnce<T>(path, form, onProgress);
    if (!(typeof answer === 'object' && answer !== null && 'wait' in answer)) return answer as T;
    // Not all at the same moment again.
    await new Promise((go) => setTimeout(go, 1000 * answer.wait * (0.5 + Math.random())));
  }
  throw new RequestError(message('shared.busy'), 503, 'picture');
}
