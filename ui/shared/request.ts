/** Knows how a page talks to the server: JSON there and back, told errors as sentences. */
import { text } from '../text/en';

export class RequestError extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly field: string | null,
  ) {
    super(message);
  }
}

async function answerOf<T>(response: Response): Promise<T> {
  const value = (await response.json().catch(() => null)) as { error?: string; field?: string } | null;
  if (!response.ok) throw new RequestError(value?.error ?? text.shared.lost, response.status, value?.field ?? null);
  return value as T;
}

export async function send<T = unknown>(
  method: 'POST' | 'PATCH' | 'DELETE' | 'PUT',
  path: string,
  value?: unknown,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: value === undefined ? undefined : JSON.stringify(value),
    });
  } catch {
    throw new RequestError(text.shared.lost, 0, null);
  }
  return answerOf<T>(response);
}

export async function get<T>(path: string): Promise<T> {
  try {
    return await answerOf<T>(await fetch(path));
  } catch (error) {
    if (error instanceof RequestError) throw error;
    throw new RequestError(text.shared.lost, 0, null);
  }
}

/** Sends a picture with fields, telling how much has gone. */
export function sendPicture<T = unknown>(
  path: string,
  file: Blob,
  name: string,
  fields: Record<string, string>,
  onProgress?: (share: number) => void,
): Promise<T> {
  return new Promise((done, fail) => {
    const form = new FormData();
    for (const [key, value] of Object.entries(fields)) form.set(key, value);
    form.set('picture', file, name);
    const request = new XMLHttpRequest();
    request.open('POST', path);
    request.responseType = 'json';
    request.upload.onprogress = (e) => e.lengthComputable && onProgress?.(e.loaded / e.total);
    request.onerror = () => fail(new RequestError(text.shared.lost, 0, null));
    request.onload = () => {
      const value = request.response as { error?: string; field?: string } | null;
      if (request.status >= 200 && request.status < 300) done(value as T);
      else fail(new RequestError(value?.error ?? text.shared.lost, request.status, value?.field ?? null));
    };
    request.send(form);
  });
}
