/** What a command was given and cannot use: told in one line, exit code 2. */
import { Message, message, Values } from '../core/message';

export class Unusable extends Error {
  readonly said: Message;

  /** `key` stands under `headless` in `words/`. */
  constructor(key: string, values?: Values) {
    super(key);
    this.said = message(`headless.${key}`, values);
  }
}
