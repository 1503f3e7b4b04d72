/** Knows how a warning about a picture is given: one line on standard error. */
import { message, typed } from '../core/message';
import type { Say } from '../words/say';

export const warn = (key: string, path: string, say: Say): boolean =>
  process.stderr.write(say('headless.warning', { words: message(`headless.${key}`, { path: typed(path) }) }) + '\n');
