/** What the computation tells a person: an input that cannot be used, named with its remedy. Engine errors are never this. */
import { Message, message, Values } from './message';

export class CoreError extends Error {
  override readonly name = 'CoreError';
  readonly said: Message;

  /** `key` stands under `unusable` in `words/`. */
  constructor(key: string, values?: Values) {
    super(key);
    this.said = message(`unusable.${key}`, values);
  }
}
