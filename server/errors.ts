/** Errors that a person is told in plain words, with the HTTP status each becomes. */
import { Message, message, Values } from '../core/message';
import type { KeyUnder } from '../words/catalogue';
import { plainly } from './words';

export class UserError extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 415 | 429 | 503 | 507,
    readonly said: Message,
    readonly field: string | null = null,
    /** After how many seconds the same may be asked again, where waiting is all it needs. */
    readonly retryAfter: number | null = null,
  ) {
    super(plainly(said));
  }
}

/** One of the sentences under `errors` in `words/`. */
export const sentence = (key: KeyUnder<'errors'>, values?: Values): Message => message(`errors.${key}`, values);

type Gone = Extract<KeyUnder<'errors'>, `gone.${string}`> extends `gone.${infer What}` ? What : never;
type Changed = Extract<KeyUnder<'errors'>, `changed.${string}`> extends `changed.${infer What}` ? What : never;

export const notFound = (what: Gone = 'page') => new UserError(404, sentence(`gone.${what}`));
export const conflict = (what: Changed) => new UserError(409, sentence(`changed.${what}`));
