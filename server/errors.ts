/** Errors that a person is told in plain words, with the HTTP status each becomes. */
export class Told extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 415 | 429 | 503 | 507,
    message: string,
    readonly field: string | null = null,
    /** After how many seconds the same may be asked again, where waiting is all it needs. */
    readonly retryAfter: number | null = null,
  ) {
    super(message);
  }
}

export const notFound = (what = 'This page') => new Told(404, `${what} does not exist, or belongs to another teacher.`);
export const conflict = (what: string) =>
  new Told(409, `${what} was changed in another window meanwhile. Your screen now shows that newer state; make your change again.`);
